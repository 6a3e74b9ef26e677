package ridgefall.core.seal;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.seal.SealFact.ZoneLooked;

/** The last look between glass and panel, by a light from the side: as much at a time as such a light shows at once. */
public final class DustLook {
    static final String ID = "seal.dust";

    /** So wide a patch a hand lamp lights from the side without a bright end and a dark one. */
    private static final double LIT_MM = 90;

    private DustLook() {}

    /** A patch of the front, numbered row by row from the top left as it is seen from the front. */
    public record Zone(int number, double xMm, double yMm, double widthMm, double heightMm) {}

    /** What a light from the side shows. */
    public enum Speck {
        NOTHING("clean", ""),
        DUST("dust", "blown off from the side; wiped dry it comes back charged"),
        HAIR("a hair", "lifted with a sticky roller"),
        PRINT("a fingerprint", "a damp swab from its middle outwards, then dry"),
        SPLINTER("a splinter", "lifted with tape, never a finger; look beneath the cables too");

        private final String words;
        private final String off;

        Speck(String words, String off) {
            this.words = words;
            this.off = off;
        }

        public String words() {
            return words;
        }

        /** How it comes off. */
        public String off() {
            return off;
        }
    }

    public static List<Zone> zones(DeviceProfile profile) {
        double width = profile.edge().widthMm();
        double height = profile.edge().heightMm();
        int columns = (int) Math.ceil(width / LIT_MM);
        int rows = (int) Math.ceil(height / LIT_MM);
        List<Zone> zones = new ArrayList<>();
        for (int i = 0; i < rows * columns; i++) {
            int row = i / columns;
            int column = i % columns;
            zones.add(new Zone(i + 1, column * width / columns, row * height / rows, width / columns, height / rows));
        }
        return zones;
    }

    /** What was found last where something still lies. */
    private static Optional<Map.Entry<Integer, Speck>> dirty(JobState state) {
        return SealState.of(state).dust().entrySet().stream()
                .filter(zone -> zone.getValue() != Speck.NOTHING)
                .min(Map.Entry.comparingByKey());
    }

    static Step step(DeviceProfile profile, JobState state) {
        int zones = zones(profile).size();
        Step step = Checks.check(
                state,
                ID,
                "No dust, no film, no tool inside",
                "low light along the glass" + (zones == 1 ? "" : ", zone by zone; tap the one where something lies"),
                "Clean");
        Optional<Map.Entry<Integer, Speck>> dirty = dirty(state);
        if (dirty.isPresent()) {
            int zone = dirty.get().getKey();
            return Step.open(
                            ID,
                            Station.SEAL,
                            step.title(),
                            dirty.get().getValue().off(),
                            Step.go("Off, and looked again", new ZoneLooked(zone, Speck.NOTHING)))
                    .problem(capital(dirty.get().getValue().words()) + " in zone " + zone + " of " + zones)
                    .leading(Step.Lead.RECORD);
        }
        long looked = SealState.of(state).dust().size();
        boolean failed =
                state.check(ID).filter(given -> given.answer() == Answer.FAIL).isPresent();
        return looked == zones && !failed ? step.answered("Clean, all " + zones + " zones looked at") : step;
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }

    /** What can be told of a zone that somebody points at. */
    public static List<Choice> about(int zone, JobState state) {
        Speck there = SealState.of(state).dust().get(zone);
        return Stream.of(Speck.values())
                .filter(speck -> speck != there)
                .map(speck -> speck == Speck.NOTHING
                        ? Step.go(there == null ? "Clean here" : "Off, and looked again", new ZoneLooked(zone, speck))
                        : Step.fail(capital(speck.words()), new ZoneLooked(zone, speck)))
                .toList();
    }

    /** Nobody calls the whole clean while something is known to lie in it. */
    static List<Hold> holds(JobState state) {
        return dirty(state)
                .map(zone -> Hold.firm(
                        ID,
                        Station.SEAL,
                        capital(zone.getValue().words()) + " lies in zone " + zone.getKey() + " still"))
                .stream()
                .toList();
    }
}
