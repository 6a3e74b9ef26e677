package ridgefall.core.damage;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.damage.DamageFact.Mishap;
import ridgefall.core.damage.DamageState.Noted;
import ridgefall.core.intake.IntakeFact.PhotoTaken;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobState;
import ridgefall.core.profile.Beneath;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.PlaceWords;

/**
 * What a mishap may have harmed, and what is looked at before the front is sealed over it.
 *
 * @param place as the hand finds it; null where it has none along the edge
 * @param beneath what lies there, the worst first, each with what its loss means
 * @param todo what to look at; null where nothing has to be
 */
public record Consequence(Noted mishap, String place, List<String> beneath, String todo) {
    /** Of all that went wrong to the front that is on now, in the order it did. */
    public static List<Consequence> all(DeviceProfile profile, JobState state) {
        return DamageState.of(state).sinceClosed().stream()
                .map(noted -> of(profile, noted))
                .toList();
    }

    static Consequence of(DeviceProfile profile, Noted noted) {
        Double at = noted.mishap().positionMm();
        List<String> beneath = at == null
                ? List.of()
                : Beneath.at(profile, at).stream().map(Beneath::told).toList();
        return new Consequence(
                noted,
                at == null ? null : PlaceWords.at(profile, at),
                beneath,
                todo(noted, beneath).orElse(null));
    }

    /** Whether nothing but words and pictures of it was recorded since. */
    public boolean isLatest(JobState state) {
        List<Noted> mishaps = DamageState.of(state).mishaps();
        Fact latest = state.latest().fact();
        boolean words = latest instanceof DamageFact || latest instanceof PhotoTaken;
        return words && mishaps.get(mishaps.size() - 1).seq() == mishap.seq();
    }

    /** The step before sealing that it asks for. */
    public String checkId() {
        return "test.after-" + mishap.seq();
    }

    private static Optional<String> todo(Noted noted, List<String> beneath) {
        String there = beneath.isEmpty() ? "what lies there" : beneath.get(0);
        return switch (noted.mishap().mishap()) {
            case SLIP, TOO_DEEP, CUT ->
                Optional.of("Look at " + there + ": scored, cut or creased? Try what hangs on it");
            case NEW_CRACK ->
                onNewFront(noted)
                        ? Optional.of("The new front is cracked: it does not go on like that")
                        : Optional.empty();
            case SCREW_DROPPED ->
                Optional.of("Find it: a screw under the panel or on a board shorts or cracks something");
            case CLIP_BROKEN -> Optional.of("Every piece out of the body; does the front hold there without it?");
            case HOT_SPOT -> Optional.of("Picture even there, no yellow or dark patch; nothing soft, nothing swollen");
            case SOLVENT_SPILLED -> Optional.of("Dry, nothing hazy or soft, none under the panel or in a socket");
            case PICK_LOST -> Optional.empty();
        };
    }

    /** The old front may crack, it comes off; from bonding on it is the new one's turn. */
    private static boolean onNewFront(Noted noted) {
        String step = noted.mishap().stepId();
        return step != null
                && Stream.of("bond.", "test.", "open.", "seal.", "after.").anyMatch(step::startsWith);
    }

    /** Where somebody may have to look at more than one thing. */
    public String title() {
        Mishap what = mishap.mishap().mishap();
        List<String> words = new ArrayList<>(List.of("After the " + what.words().toLowerCase(Locale.ROOT)));
        if (place != null) {
            words.add(place);
        }
        return String.join(", ", words);
    }
}
