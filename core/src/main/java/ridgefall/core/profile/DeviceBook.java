package ridgefall.core.profile;

import java.util.List;
import ridgefall.core.units.NotAllowed;

/** The profiles a shop works from, by id. */
public final class DeviceBook {
    private static final List<DeviceProfile> PROFILES = List.of(MarrowbyQuire11.profile());

    private DeviceBook() {}

    public static List<DeviceProfile> profiles() {
        return PROFILES;
    }

    /** @throws NotAllowed when the book has no such device */
    public static DeviceProfile profile(String id) {
        return PROFILES.stream()
                .filter(profile -> profile.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotAllowed(
                        "profileId",
                        id,
                        "one of "
                                + String.join(
                                        ", ",
                                        PROFILES.stream().map(DeviceProfile::id).toList())));
    }
}
