package ridgefall.core.job;

import java.math.BigDecimal;
import java.util.Locale;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.Grade;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.Money;
import ridgefall.core.units.NotAllowed;

/**
 * Something that happened at the bench: the vocabulary of the journal. Each fact checks its own values; whether it may
 * happen now is for the stations to say. Positions are edge positions in mm, temperatures °C, durations s.
 */
public sealed interface Fact
        permits IntakeFact,
                PartsFact,
                Fact.JobOpened,
                Fact.FrontSeen,
                Fact.CrackMarked,
                Fact.BatterySeen,
                Fact.PowerSeen,
                Fact.FunctionTested,
                Fact.RepairAgreed,
                Fact.NotWorthIt,
                Fact.ReplacementPriced,
                Fact.CheckAnswered,
                Fact.SoakStarted,
                Fact.SoakEnded,
                Fact.SettingChanged,
                Fact.LyingChanged,
                Fact.PickTried,
                Fact.TemperatureRead,
                Fact.StretchFreed,
                Fact.WedgeSet,
                Fact.WedgePulled,
                Fact.MishapSeen,
                Fact.FrontOpened,
                Fact.BatteryIsolated,
                Fact.IsolationProven,
                Fact.PlugFreed,
                Fact.ScrewsCounted,
                Fact.CarriedOver,
                Fact.CarryOverLost,
                Fact.TimerStarted,
                Fact.TimerStopped,
                Fact.StripsChosen,
                Fact.StripLaid,
                Fact.CoverRemoved,
                Fact.Sealed,
                Fact.HandedOver,
                Fact.Undone,
                Fact.HoldOverridden {
    /** The longest duration a timer takes: a day. */
    int LONGEST_S = 86_400;

    /** The station this fact belongs to. */
    Station station();

    enum Answer {
        PASS,
        FAIL,
        CANNOT_TEST
    }

    /** When a function was tried: as it came in, with the front loose, with the front seated. */
    enum Phase {
        BEFORE(Station.INTAKE),
        OPEN(Station.TEST),
        AFTER(Station.PROVE);

        private final Station station;

        Phase(Station station) {
            this.station = station;
        }
    }

    enum Battery {
        SOUND,
        SWOLLEN
    }

    enum Isolation {
        UNPLUGGED,
        CARD_UNDER_CONTACT
    }

    enum Mishap {
        SLIP("Slip"),
        NEW_CRACK("New crack"),
        SCREW_DROPPED("Dropped screw"),
        PICK_LOST("Pick fell out");

        private final String words;

        Mishap(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    enum Surface {
        GLASS,
        FRAME
    }

    enum Count {
        OUT,
        IN
    }

    enum TimerKind {
        DRYING(Station.CLEAN, "Solvent drying"),
        PRESSING(Station.SEAL, "Pressing the tape");

        private final Station station;
        private final String words;

        TimerKind(Station station, String words) {
            this.station = station;
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** @param variantId null where the device has none or it is not known */
    record JobOpened(String profileId, int profileVersion, String variantId, String owner, String fault)
            implements Fact {
        public JobOpened {
            Allowed.text("profileId", profileId, 60);
            Allowed.between("profileVersion", profileVersion, 1, 100_000, "");
            Allowed.optionalText("variantId", variantId, 40);
            Allowed.text("owner", owner, 80);
            Allowed.text("fault", fault, 400);
        }

        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    record FrontSeen(FrontCondition condition) implements Fact {
        public FrontSeen {
            Allowed.present("condition", condition);
        }

        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    /** A crack that runs out to the edge, or near it; {@code lengthMm} is 0 where it was tapped at one place. */
    record CrackMarked(double fromMm, double lengthMm) implements Fact {
        public CrackMarked {
            Allowed.between("fromMm", fromMm, 0, 4000, "mm along the edge");
            Allowed.between("lengthMm", lengthMm, 0, 2000, "mm");
        }

        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    record BatterySeen(Battery battery) implements Fact {
        public BatterySeen {
            Allowed.present("battery", battery);
        }

        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    record PowerSeen(boolean canSwitchOff) implements Fact {
        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    /** {@code reason} is asked for when the function can't be tested. */
    record FunctionTested(String functionId, Phase phase, Answer answer, String reason) implements Fact {
        public FunctionTested {
            Allowed.text("functionId", functionId, 40);
            Allowed.present("phase", phase);
            reasonFor(answer, reason);
        }

        @Override
        public Station station() {
            return phase.station;
        }
    }

    /** @param grade of the part that was quoted; null when the price did not come from a quote */
    record RepairAgreed(String repairId, Grade grade, BigDecimal price, String currency, String agreedBy)
            implements Fact {
        public RepairAgreed {
            Allowed.text("repairId", repairId, 40);
            price = Money.of("price", price, currency).amount();
            Allowed.text("agreedBy", agreedBy, 80);
        }

        @Override
        public Station station() {
            return Station.DECIDE;
        }
    }

    /** What another device like this costs: what a repair is weighed against. */
    record ReplacementPriced(BigDecimal price, String currency) implements Fact {
        public ReplacementPriced {
            price = Money.of("price", price, currency).amount();
        }

        @Override
        public Station station() {
            return Station.DECIDE;
        }
    }

    /** The owner keeps the device as it is: it goes back unrepaired. */
    record NotWorthIt(String reason, String agreedBy) implements Fact {
        public NotWorthIt {
            Allowed.text("reason", reason, 200);
            Allowed.text("agreedBy", agreedBy, 80);
        }

        @Override
        public Station station() {
            return Station.DECIDE;
        }
    }

    /** One line of a station's own check list; the id starts with the station's name. */
    record CheckAnswered(String checkId, Answer answer, String reason) implements Fact {
        public CheckAnswered {
            Allowed.text("checkId", checkId, 60);
            reasonFor(answer, reason);
            stationOf(checkId);
        }

        @Override
        public Station station() {
            return stationOf(checkId);
        }

        private static Station stationOf(String checkId) {
            for (Station station : Station.values()) {
                if (checkId.startsWith(station.name().toLowerCase(Locale.ROOT) + ".")) {
                    return station;
                }
            }
            throw new NotAllowed("checkId", checkId, "a station's name, a dot and a check, as in clean.shards");
        }
    }

    /** How a source meets the front: a face lies on it, or an outlet is led along the border. */
    enum Sweep {
        FACE,
        ROUND,
        STRETCH_BY_STRETCH
    }

    /**
     * Heat meets the front.
     *
     * @param seconds how long it is meant to; for each stretch where it goes stretch by stretch
     * @param dial airflow as the machine's dial counts it; null where there is none
     * @param distanceMm of the outlet from the glass; null where the front lies on the source
     * @param sweep null in journals from before outlets were known: the front lies on the source
     */
    record SoakStarted(String sourceId, double settingC, int seconds, Double dial, Double distanceMm, Sweep sweep)
            implements Fact {
        public SoakStarted {
            Allowed.text("sourceId", sourceId, 40);
            Allowed.between("settingC", settingC, 30, 600, "°C");
            Allowed.between("seconds", seconds, 10, 3600, "s");
            if (dial != null) {
                Allowed.between("dial", dial, 0, 100, "on the dial");
            }
            if (distanceMm != null) {
                Allowed.between("distanceMm", distanceMm, 5, 300, "mm");
            }
            sweep = sweep == null ? Sweep.FACE : sweep;
        }

        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    /** Off the source; the bond is reckoned to stay workable for so long. */
    record SoakEnded(int workableSeconds) implements Fact {
        public SoakEnded {
            Allowed.between("workableSeconds", workableSeconds, 0, 3600, "s");
        }

        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    /** The source runs at another setting from here on. */
    record SettingChanged(double settingC) implements Fact {
        public SettingChanged {
            Allowed.between("settingC", settingC, 30, 600, "°C");
        }

        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    /** It has slipped and lies on an edge only, or lies flat again. */
    record LyingChanged(boolean flat) implements Fact {
        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    /** The pick was tried at the edge: does it go in without force? */
    record PickTried(boolean goesIn) implements Fact {
        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    record TemperatureRead(Surface surface, double celsius) implements Fact {
        public TemperatureRead {
            Allowed.present("surface", surface);
            Allowed.between("celsius", celsius, -20, 200, "°C");
        }

        @Override
        public Station station() {
            return Station.HEAT;
        }
    }

    record StretchFreed(String stretchId) implements Fact {
        public StretchFreed {
            Allowed.text("stretchId", stretchId, 40);
        }

        @Override
        public Station station() {
            return Station.SEPARATE;
        }
    }

    record WedgeSet(double positionMm) implements Fact {
        public WedgeSet {
            Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
        }

        @Override
        public Station station() {
            return Station.SEPARATE;
        }
    }

    record WedgePulled(double positionMm) implements Fact {
        public WedgePulled {
            Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
        }

        @Override
        public Station station() {
            return Station.SEPARATE;
        }
    }

    /** One tap when something goes wrong; the place is optional. */
    record MishapSeen(Mishap mishap, Double positionMm) implements Fact {
        public MishapSeen {
            Allowed.present("mishap", mishap);
            if (positionMm != null) {
                Allowed.between("positionMm", positionMm, 0, 4000, "mm along the edge");
            }
        }

        @Override
        public Station station() {
            return Station.SEPARATE;
        }
    }

    record FrontOpened() implements Fact {
        @Override
        public Station station() {
            return Station.SEPARATE;
        }
    }

    record BatteryIsolated(Isolation how) implements Fact {
        public BatteryIsolated {
            Allowed.present("how", how);
        }

        @Override
        public Station station() {
            return Station.STRIP;
        }
    }

    /** The power key was held and nothing came on. */
    record IsolationProven() implements Fact {
        @Override
        public Station station() {
            return Station.STRIP;
        }
    }

    record PlugFreed(String plugId) implements Fact {
        public PlugFreed {
            Allowed.text("plugId", plugId, 40);
        }

        @Override
        public Station station() {
            return Station.STRIP;
        }
    }

    record ScrewsCounted(Count direction, int screws) implements Fact {
        public ScrewsCounted {
            Allowed.present("direction", direction);
            Allowed.between("screws", screws, 0, 200, "screws");
        }

        @Override
        public Station station() {
            return direction == Count.OUT ? Station.STRIP : Station.SEAL;
        }
    }

    record CarriedOver(String partId) implements Fact {
        public CarriedOver {
            Allowed.text("partId", partId, 40);
        }

        @Override
        public Station station() {
            return Station.CARRY;
        }
    }

    /** The feature that hangs on this part is given up, and why. */
    record CarryOverLost(String partId, String reason) implements Fact {
        public CarryOverLost {
            Allowed.text("partId", partId, 40);
            Allowed.text("reason", reason, 200);
        }

        @Override
        public Station station() {
            return Station.CARRY;
        }
    }

    record TimerStarted(TimerKind kind, int seconds) implements Fact {
        public TimerStarted {
            Allowed.present("kind", kind);
            Allowed.between("seconds", seconds, 5, LONGEST_S, "s");
        }

        @Override
        public Station station() {
            return kind.station;
        }
    }

    record TimerStopped(TimerKind kind) implements Fact {
        public TimerStopped {
            Allowed.present("kind", kind);
        }

        @Override
        public Station station() {
            return kind.station;
        }
    }

    record StripsChosen(TapeSchool school) implements Fact {
        public StripsChosen {
            Allowed.present("school", school);
        }

        @Override
        public Station station() {
            return Station.BOND;
        }
    }

    record StripLaid(String stripId) implements Fact {
        public StripLaid {
            Allowed.text("stripId", stripId, 40);
        }

        @Override
        public Station station() {
            return Station.BOND;
        }
    }

    /** A film or a liner is off. */
    record CoverRemoved(String coverId) implements Fact {
        public CoverRemoved {
            Allowed.text("coverId", coverId, 40);
        }

        @Override
        public Station station() {
            return Station.SEAL;
        }
    }

    record Sealed() implements Fact {
        @Override
        public Station station() {
            return Station.SEAL;
        }
    }

    record HandedOver(String to) implements Fact {
        public HandedOver {
            Allowed.text("to", to, 80);
        }

        @Override
        public Station station() {
            return Station.PROVE;
        }
    }

    /** A mis-tap: the fact with this number does not count. It stays in the journal. */
    record Undone(long seq) implements Fact {
        public Undone {
            Allowed.between("seq", (double) seq, 1, 1_000_000, "(a fact of this job)");
        }

        @Override
        public Station station() {
            return Station.INTAKE;
        }
    }

    /**
     * A lead answers for going on although a hold point stands: for one fact, once; where a bad answer is what holds, for
     * that answer until it is given anew.
     *
     * @param held the fact that was held back; null in journals from before it was asked for, and then nothing is let by
     */
    record HoldOverridden(String holdId, String reason, Fact held) implements Fact {
        public HoldOverridden {
            Allowed.text("holdId", holdId, 80);
            Allowed.text("reason", reason, 200);
        }

        @Override
        public Station station() {
            return Station.PROVE;
        }
    }

    private static void reasonFor(Answer answer, String reason) {
        Allowed.present("answer", answer);
        if (answer == Answer.CANNOT_TEST) {
            Allowed.text("reason", reason, 200);
        } else {
            Allowed.optionalText("reason", reason, 200);
        }
    }
}
