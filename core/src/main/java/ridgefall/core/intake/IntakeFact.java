package ridgefall.core.intake;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Family;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ProfileDocument.Function;
import ridgefall.core.profile.ProfileDocument.Seating;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** What is noted while the owner stands there. Places in mm, face up. */
public sealed interface IntakeFact extends Fact.Of<IntakeState> {
    Family<IntakeState> FAMILY = new Family<>(IntakeFact.class, IntakeState.NOTHING, IntakeState::hears);

    int MOST_POINTS = 200;

    enum Battery {
        SOUND,
        SWOLLEN,
        /** Sound to look at, but over three years old or weak: it gets less heat. */
        TIRED;

        public boolean swollen() {
            return this == SWOLLEN;
        }
    }

    @Override
    default Family<IntakeState> family() {
        return FAMILY;
    }

    @Override
    default Optional<Station> station() {
        return Optional.of(Station.INTAKE);
    }

    @Override
    default Page page() {
        return Page.FOUND;
    }

    /** @param variantId null where the device has none or it is not known */
    record JobOpened(String profileId, int profileVersion, String variantId, String owner, String fault)
            implements IntakeFact {
        @Override
        public void check() {
            Allowed.text("profileId", profileId, 60);
            Allowed.between("profileVersion", profileVersion, 1, 100_000, "");
            Allowed.optionalText("variantId", variantId, 40);
            Allowed.text("owner", owner, 80);
            Allowed.text("fault", fault, 400);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.opened(this, entry.happenedAt());
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("owner");
        }

        @Override
        public String words(FactWords told) {
            return "Taken in: " + fault;
        }
    }

    record FrontSeen(FrontCondition condition) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("condition", condition);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().front(condition));
        }

        @Override
        public String words(FactWords told) {
            return "Front glass " + condition.words();
        }
    }

    /** A crack that runs out to the edge, or near it; {@code lengthMm} is 0 where it was tapped at one place. */
    record CrackMarked(double fromMm, double lengthMm) implements IntakeFact {
        @Override
        public void check() {
            Allowed.between("fromMm", fromMm, 0, 4000, "mm along the edge");
            Allowed.between("lengthMm", lengthMm, 0, 2000, "mm");
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.cracked(lengthMm > 0 ? new EdgeInterval(fromMm, lengthMm) : IntakeState.tappedCrack(fromMm));
        }

        @Override
        public String words(FactWords told) {
            return "Crack over the "
                    + told.profile().placeName(told.profile().edge().landmarkAt(fromMm))
                    + (lengthMm == 0 ? "" : ", {mm:" + lengthMm + "} along it");
        }
    }

    record BatterySeen(Battery battery) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("battery", battery);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().battery(Optional.of(battery)));
        }

        @Override
        public Timer.Change timers() {
            return battery == Battery.SWOLLEN ? Timer.Change.STOP_ALL : Timer.Change.NONE;
        }

        @Override
        public String words(FactWords told) {
            return "Battery " + battery.name().toLowerCase(Locale.ROOT);
        }
    }

    record PowerSeen(boolean canSwitchOff) implements IntakeFact {
        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().canSwitchOff(canSwitchOff));
        }

        @Override
        public String words(FactWords told) {
            return canSwitchOff ? "Switched off" : "Can't be switched off";
        }
    }

    /** {@code present} false takes a symptom back. */
    record SymptomSeen(Symptom symptom, boolean present) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("symptom", symptom);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().symptom(symptom, present));
        }

        @Override
        public String words(FactWords told) {
            return symptom.words() + (present ? "" : ": not so after all");
        }
    }

    /** A crack as it runs over the face: 2 to {@value IntakeFact#MOST_POINTS} points. */
    record CrackDrawn(List<Point> line) implements IntakeFact {
        public CrackDrawn {
            line = line == null ? null : List.copyOf(line);
        }

        @Override
        public void check() {
            Allowed.present("line", line);
            Allowed.between("line", line.size(), 2, MOST_POINTS, "points");
            line.forEach(IntakeFact::onFace);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.marked(entry.seq(), this);
        }

        double lengthMm() {
            double length = 0;
            for (int i = 1; i < line.size(); i++) {
                length += Math.hypot(
                        line.get(i).xMm() - line.get(i - 1).xMm(),
                        line.get(i).yMm() - line.get(i - 1).yMm());
            }
            return length;
        }

        @Override
        public String words(FactWords told) {
            return "Crack drawn, {mm:" + Math.round(lengthMm()) + "} long";
        }
    }

    record DentMarked(Point at) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("at", at);
            onFace(at);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.marked(entry.seq(), this);
        }

        @Override
        public String words(FactWords told) {
            return "Dent marked";
        }
    }

    /**
     * The frame is bent.
     *
     * @param gapMm under this corner when it lies on a flat plate, 0.1–10 mm
     * @param bentMm length of edge from the corner to where it touches, 5–500 mm; null where nobody measured
     */
    record BendMarked(Landmark corner, double gapMm, Double bentMm) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("corner", corner);
            if (!corner.isCorner()) {
                throw new NotAllowed("corner", corner, "TOP_LEFT, TOP_RIGHT, BOTTOM_RIGHT or BOTTOM_LEFT");
            }
            Allowed.between("gapMm", gapMm, 0.1, 10, "mm");
            if (bentMm != null) {
                Allowed.between("bentMm", bentMm, 5, 500, "mm");
            }
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.marked(entry.seq(), this);
        }

        @Override
        public String words(FactWords told) {
            return "Bent: gap of {mm:" + gapMm + "} under the " + told.profile().placeName(corner)
                    + (bentMm == null ? "" : ", over {mm:" + bentMm + "}");
        }
    }

    /** A crack, dent or bend that is not there after all, by the number of the fact that marked it. */
    record MarkRemoved(long seq) implements IntakeFact {
        @Override
        public void check() {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a mark of this job)");
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.unmarked(seq);
        }

        @Override
        public String words(FactWords told) {
            return "Not so after all: " + told.say(seq);
        }
    }

    /** It was here before with the same, as the job of this number. */
    record CameBack(long jobNumber) implements IntakeFact {
        @Override
        public void check() {
            Allowed.between("jobNumber", (double) jobNumber, 1, 1_000_000_000, "(a job's number)");
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().cameFrom(jobNumber));
        }

        @Override
        public String words(FactWords told) {
            return "Came back: it was job " + jobNumber;
        }
    }

    /** What the owner said about what is stored on it. */
    enum DataKept {
        SAVED_ELSEWHERE("saved elsewhere"),
        NOT_SAVED("not saved: the owner knows that it may be lost"),
        NONE_ON_IT("nothing on it that matters");

        private final String words;

        DataKept(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** The owner was asked, for the record. */
    record DataAsked(DataKept data) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("data", data);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.said(before.owner().data(data));
        }

        @Override
        public String words(FactWords told) {
            return "Data on it: " + data.words();
        }
    }

    /** The owner knows what opening it can cost, and has it opened all the same. */
    record RisksAccepted(String acceptedBy) implements IntakeFact {
        @Override
        public void check() {
            Allowed.text("acceptedBy", acceptedBy, 80);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.said(before.owner().accepted(acceptedBy));
        }

        @Override
        public Optional<String> ownersField() {
            return Optional.of("acceptedBy");
        }

        @Override
        public String words(FactWords told) {
            return "Risks of opening accepted by " + acceptedBy;
        }
    }

    /** It does something that its profile does not name: tried from here on like all it does. */
    record FunctionAdded(String words) implements IntakeFact {
        @Override
        public void check() {
            Allowed.text("words", words, 60);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.adding(
                    new Function("added-" + entry.seq(), words, List.of(Seating.OPEN, Seating.CLOSED), null));
        }

        @Override
        public String words(FactWords told) {
            return "It has: " + words;
        }
    }

    /** The owner unlocks it here and now. {@code what} is what may be opened. */
    record UnlockedByOwner(String what) implements IntakeFact {
        @Override
        public void check() {
            Allowed.text("what", what, 200);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.said(before.owner().unlocked(Optional.of(what)));
        }

        @Override
        public Set<String> answers() {
            return Set.of("intake.passcode");
        }

        @Override
        public boolean voids(String id) {
            return id.equals("intake.passcode");
        }

        @Override
        public String words(FactWords told) {
            return "Unlocked by the owner: " + what;
        }
    }

    /**
     * Somebody was inside before.
     *
     * @param missingScrews that were not in their holes when it came in, 0–40
     */
    record EarlierRepair(String signs, int missingScrews) implements IntakeFact {
        @Override
        public void check() {
            Allowed.text("signs", signs, 200);
            Allowed.between("missingScrews", missingScrews, 0, 40, "screws");
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().earlier(Optional.of(this)));
        }

        @Override
        public Set<String> answers() {
            return Set.of("intake.earlier");
        }

        @Override
        public boolean voids(String id) {
            return id.equals("intake.earlier");
        }

        @Override
        public String words(FactWords told) {
            return "Signs of an earlier repair: " + signs
                    + (missingScrews == 0
                            ? ""
                            : ", " + missingScrews + (missingScrews == 1 ? " screw" : " screws") + " missing");
        }
    }

    /** When the owner was told that it will be ready. */
    record Promised(LocalDate on) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("on", on);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.looked(before.unit().promised(on));
        }

        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public String words(FactWords told) {
            return "Promised for {day:" + on + "}";
        }
    }

    /** The picture itself lies in the store under this id. */
    record PhotoTaken(UUID photoId, String words) implements IntakeFact {
        @Override
        public void check() {
            Allowed.present("photoId", photoId);
            Allowed.optionalText("words", words, 80);
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.pictured(this);
        }

        /** The picture itself is on it. */
        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public boolean canBeTakenBack() {
            return false;
        }

        @Override
        public String words(FactWords told) {
            return "Photo" + (words == null || words.isBlank() ? "" : ": " + words);
        }
    }

    /**
     * All before it was read from a file that another book of jobs, or this one, had written: where it comes from.
     *
     * @param number of the job as it was there
     * @param facts that the file held
     */
    record BroughtIn(long number, int facts) implements IntakeFact {
        @Override
        public void check() {
            Allowed.between("number", number, 1, Long.MAX_VALUE, "");
            Allowed.between("facts", facts, 1, Integer.MAX_VALUE, "");
        }

        @Override
        public IntakeState after(IntakeState before, Entry entry) {
            return before.broughtIn(entry.happenedAt());
        }

        @Override
        public Role by() {
            return Role.LEAD;
        }

        /** Nothing was done to the device. */
        @Override
        public Page page() {
            return Page.ELSEWHERE;
        }

        @Override
        public boolean canBeTakenBack() {
            return false;
        }

        @Override
        public String words(FactWords told) {
            return "Brought in from a file: job " + number + " of the book it comes from, " + facts + " facts";
        }
    }

    private static void onFace(Point point) {
        Allowed.present("point", point);
        Allowed.between("xMm", point.xMm(), -5, 1005, "mm");
        Allowed.between("yMm", point.yMm(), -5, 1005, "mm");
    }
}
