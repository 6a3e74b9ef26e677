package ridgefall.core.decide;

import java.util.List;
import java.util.UUID;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.units.Allowed;

/**
 * One piece of the shelf, as it was when it became a job's.
 *
 * @param stockId its row of the stock
 * @param words what it is called there, 1 to 160 characters
 */
public record Piece(UUID stockId, PartKind kind, Grade grade, String words, List<Brings> brings) {
    public Piece {
        brings = brings == null ? null : List.copyOf(brings);
    }

    /** @throws ridgefall.core.units.NotAllowed naming what is missing */
    public void check() {
        Allowed.present("stockId", stockId);
        Allowed.present("kind", kind);
        Allowed.present("grade", grade);
        Allowed.text("words", words, 160);
        Allowed.present("brings", brings);
    }
}
