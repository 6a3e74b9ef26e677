package ridgefall.core.parts;

import java.util.List;
import ridgefall.core.decide.Piece;
import ridgefall.core.profile.DeviceProfile;

/** What lies on the shop's shelf; whoever keeps the stock says so. */
@FunctionalInterface
public interface Shelf {
    Shelf EMPTY = profile -> List.of();

    /** @param free pieces of it that no job has, at least 1 */
    record Lying(Piece piece, int free) {
        /** As it is called, and whether it is the last one. */
        String words() {
            return piece.words() + (free == 1 ? " (the last one)" : "");
        }
    }

    /** Free pieces that fit a device in its variant, those to be used up first before others. */
    List<Lying> lying(DeviceProfile profile);
}
