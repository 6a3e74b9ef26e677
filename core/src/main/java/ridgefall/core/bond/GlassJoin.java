package ridgefall.core.bond;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import ridgefall.core.bond.OpticalLiquid.Lit;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.OpticalBond;

/** New glass on the panel that was kept: liquid, spread, aligned while wet, hard through the face, then under the ink. */
public final class GlassJoin {
    public static final TimerKind SPREADING = new TimerKind("SPREADING", "Optical liquid spreads");
    public static final TimerKind LAMP = new TimerKind("LAMP", "Lamp on");

    private static final String WITH = "bond.joined-with";
    private static final String LAMP_READ = "bond.lamp";
    private static final String LIQUID = "bond.liquid";
    static final String ALIGNED = "bond.aligned";
    private static final String SQUEEZED = "bond.squeeze-out";

    /** What is answered anew once the glass came off again. */
    static final Set<String> AGAIN = Set.of(ALIGNED, SQUEEZED, BondStation.OPTICAL);

    static final Set<String> CHECKS = Set.of(ALIGNED, SQUEEZED);

    private static final int DOTS = 9;
    private static final int EDGES = 4;

    /** In a hundred: below that a lamp is old, dirty or not what it was taken for. */
    private static final int FADED = 70;

    private static final double USUAL_MW_PER_CM2 = 50;

    private GlassJoin() {}

    /**
     * What there is to join glass with.
     *
     * @param syringe of clear liquid, not past its date, that there is most in
     * @param film empty where the shelf has none, or nothing to press it with
     */
    public record Means(Optional<Supply.Liquid> syringe, Optional<Supply.Lamp> lamp, Optional<FilmJoin.Means> film) {
        static final Means UNKNOWN = new Means(Optional.empty(), Optional.empty(), Optional.empty());

        static Means of(DeviceProfile profile, List<Supply> shelf, LocalDate today) {
            return new Means(
                    Supply.of(shelf, Supply.Liquid.class).stream()
                            .filter(liquid -> !liquid.expires().isBefore(today))
                            .max(Comparator.comparing(Supply.Liquid::left)),
                    Supply.of(shelf, Supply.Lamp.class).stream()
                            .filter(lamp -> lamp.left() > 0)
                            .findFirst(),
                    profile.document().opticalBonds().contains(OpticalBond.FILM)
                            ? FilmJoin.means(profile, shelf)
                            : Optional.empty());
        }

        boolean filmSuits() {
            return film.filter(it -> it.against().isEmpty()).isPresent();
        }
    }

    /** What comes before the last look; nothing where somebody said before this was told step by step that it is joined. */
    static List<Step> steps(DeviceProfile profile, JobState state, Means means) {
        Joining joining = Joining.of(state);
        if (joining.equals(Joining.NOTHING) && state.passed(BondStation.OPTICAL)) {
            return List.of();
        }
        List<Step> steps = new ArrayList<>();
        boolean nothingYet = joining.liquid().isEmpty() && joining.film().isEmpty();
        if (joining.with().isPresent() || nothingYet && means.filmSuits()) {
            steps.add(with(joining, means));
        }
        if (film(joining)) {
            Step aligned =
                    Checks.check(state, ALIGNED, "Glass over the panel in its jig", "even border all round", "Aligned");
            steps.addAll(FilmJoin.steps(means.film(), joining, state, aligned));
        } else {
            steps.addAll(liquid(profile, joining, state, means));
        }
        return steps;
    }

    private static boolean film(Joining joining) {
        return joining.with().filter(it -> it == OpticalBond.FILM).isPresent();
    }

    /** Without a syringe that is in date, film first. */
    private static Step with(Joining joining, Means means) {
        Choice liquid = Step.go("Liquid and lamp", new JoinFact.JoinedWith(OpticalBond.LIQUID));
        Choice film = Step.go("Film and laminator", new JoinFact.JoinedWith(OpticalBond.FILM));
        boolean filmFirst = means.syringe().isEmpty();
        Step step = Step.open(
                WITH,
                Station.BOND,
                "What joins glass and panel",
                "liquid fills what is uneven and is wiped; film keeps clean, and shows every speck of dust",
                filmFirst ? film : liquid,
                Step.other(filmFirst ? liquid.label() : film.label(), filmFirst ? liquid.fact() : film.fact()));
        return joining.with().map(it -> step.answered(it.words())).orElse(step);
    }

    private static List<Step> liquid(DeviceProfile profile, Joining joining, JobState state, Means means) {
        OpticalLiquid liquid = OpticalLiquid.of(profile, means.syringe());
        List<Step> steps = new ArrayList<>();
        steps.add(lamp(joining, means.lamp()));
        steps.add(laid(liquid, joining, means.syringe()));
        steps.add(spread(joining, state));
        steps.add(Checks.check(
                state,
                ALIGNED,
                "Glass aligned while it is wet",
                "even border all round; taped where it lies",
                "Aligned"));
        steps.add(lit(Lit.FACE, liquid, joining, state));
        steps.add(Checks.check(
                state,
                SQUEEZED,
                "Squeeze-out wiped off",
                "before the sides harden: alcohol on a cloth, nothing runs to the plugs",
                "Wiped"));
        steps.add(lit(Lit.SIDES, liquid, joining, state));
        return steps;
    }

    private static Step lamp(Joining joining, Optional<Supply.Lamp> owned) {
        Ask reads = new Ask("mwPerCm2", "Radiometer", Ask.Kind.NUMBER, "mW/cm²", null);
        Step step = Step.open(
                LAMP_READ,
                Station.BOND,
                "Lamp measured where the glass lies",
                "UV: shield eyes and skin; as far away as it stands later, lamps fade with age",
                owned.map(lamp -> Step.go(
                                "It reads",
                                new JoinFact.LampRead(50, lamp.id(), lamp.atMm()),
                                reads,
                                new Ask("awayMm", "Lamp to glass", Ask.Kind.NUMBER, "mm", plain(lamp.atMm()))))
                        .orElseGet(() -> Step.go("It reads", new JoinFact.LampRead(50), reads)));
        return joining.lampRead()
                .map(read -> step.answered(read.mwPerCm2() + " mW/cm²" + faded(read, owned)))
                .orElse(step);
    }

    private static String plain(double mm) {
        return mm == Math.rint(mm) ? String.valueOf((long) mm) : String.valueOf(mm);
    }

    /** What a lamp has left of what it gave as new, from there; nothing to say of one that is as good as new. */
    private static String faded(JoinFact.LampRead read, Optional<Supply.Lamp> owned) {
        return owned.filter(lamp -> lamp.id().equals(read.lampId()) && read.awayMm() != null)
                .map(lamp -> (int) Math.round(100 * read.mwPerCm2() / lamp.newAt(read.awayMm())))
                .filter(share -> share < FADED)
                .map(share -> ", " + share + " in 100 of what it gave as new")
                .orElse("");
    }

    private static Step laid(OpticalLiquid liquid, Joining joining, Optional<Supply.Liquid> syringe) {
        Step step = Step.open(
                LIQUID,
                Station.BOND,
                "Optical liquid, " + milliliters(liquid) + " ml: " + liquid.drops() + " drops",
                "no bubble in the needle; dots in the middle, one corner of the glass first, then let it sink by itself",
                dots(liquid, 1, "One dot laid", syringe),
                dots(liquid, DOTS, "Nine dots laid", syringe));
        return joining.liquid()
                .map(it -> step.answered(it.dots() == 1 ? "one dot" : it.dots() + " dots"))
                .orElse(step);
    }

    static String milliliters(OpticalLiquid liquid) {
        return String.format(Locale.ROOT, "%.2f", liquid.ml());
    }

    private static Choice dots(OpticalLiquid liquid, int dots, String label, Optional<Supply.Liquid> syringe) {
        int seconds = (int) Math.max(5, Math.ceil(liquid.spreadSeconds(dots)));
        JoinFact.LiquidLaid fact = syringe.map(it -> new JoinFact.LiquidLaid(
                        dots, seconds, it.expires(), it.id(), Math.round(100 * liquid.ml()) / 100.0, it.doseJPerCm2()))
                .orElseGet(() -> new JoinFact.LiquidLaid(dots, seconds, LocalDate.EPOCH));
        Ask expires = new Ask(
                "expires",
                "Printed on the syringe: use by",
                Ask.Kind.DATE,
                null,
                syringe.map(it -> it.expires().toString()).orElse(null));
        return dots == 1 ? Step.go(label, fact, expires) : Step.other(label, fact, expires);
    }

    private static Step spread(Joining joining, JobState state) {
        Step step = Step.open(
                "bond.spread",
                Station.BOND,
                "It spreads to the corners",
                "low light, tap each corner as it gets there; a bubble goes out while it is wet or never",
                Step.go("At every corner", new JoinFact.LiquidSpread()),
                offAgain("Bubble or dust"));
        return joining.liquid().filter(Joining.Liquid::spread).isPresent()
                ? step.answered("at every corner")
                : state.timer(SPREADING).map(timer -> step.waiting(timer.seq())).orElse(step);
    }

    /** Where dots are laid: one in the middle of the face, or three by three of equal share. */
    public static List<Coordinate> middles(DeviceProfile profile, int dots) {
        double borderMm = profile.document().border().everywhereMm();
        double width = profile.edge().widthMm() - 2 * borderMm;
        double height = profile.edge().heightMm() - 2 * borderMm;
        int side = (int) Math.round(Math.sqrt(dots));
        List<Coordinate> middles = new ArrayList<>();
        for (int row = 0; row < side; row++) {
            for (int column = 0; column < side; column++) {
                middles.add(new Coordinate(
                        borderMm + width * (column + 0.5) / side, borderMm + height * (row + 0.5) / side));
            }
        }
        return middles;
    }

    static Choice offAgain(String label) {
        return Step.fail(
                label,
                new JoinFact.LiquidLifted("?"),
                Ask.reason("What is in it?", "a bubble at a corner", "dust", "it ran behind the panel"));
    }

    private static Step lit(Lit lit, OpticalLiquid liquid, Joining joining, JobState state) {
        double given = joining.givenJ(liquid, lit);
        double missing = joining.doseJPerCm2() - given;
        String id = "bond.lit-" + lit.name().toLowerCase(Locale.ROOT);
        String title = "Hardened " + lit.words();
        String hint = String.format(Locale.ROOT, "%.1f of %.0f J/cm² given; ", given, joining.doseJPerCm2())
                + (lit == Lit.FACE
                        ? "eyes and skin shielded; nothing moves meanwhile"
                        : "every side alike, flat in under the glass; ink lets little by");
        Optional<Joining.Lamp> on = joining.lamp().filter(it -> it.lit() == lit);
        if (on.isPresent()) {
            Step off = Step.open(id, Station.BOND, title, hint, Step.go("Lamp off", new JoinFact.LampOff()));
            return state.timer(LAMP).map(timer -> off.waiting(timer.seq())).orElse(off);
        }
        if (missing < 0.01) {
            return Step.open(id, Station.BOND, title, hint).answered(String.format(Locale.ROOT, "%.1f J/cm²", given));
        }
        double lamp = joining.lampMwPerCm2().orElse(USUAL_MW_PER_CM2);
        List<Choice> choices = new ArrayList<>();
        JoinFact.LampOn all = lampOn(liquid, lit, lamp, missing, joining);
        choices.add(Step.go((lit == Lit.FACE ? "Lamp on, " : "Lamp all round, ") + seconds(all), all));
        if (lit == Lit.SIDES && lamp >= EDGES) {
            // Turned evenly, each side has its share of the time: on average a quarter of the lamp.
            JoinFact.LampOn turned = lampOn(liquid, lit, lamp / EDGES, missing, joining);
            choices.add(Step.other("Side by side, " + seconds(turned), turned));
        }
        choices.add(offAgain("Off again"));
        return Step.open(id, Station.BOND, title, hint, choices.toArray(Choice[]::new));
    }

    /** What a weak lamp takes longer for than a clock runs is asked for again. */
    private static JoinFact.LampOn lampOn(
            OpticalLiquid liquid, Lit lit, double lamp, double missingJ, Joining joining) {
        double seconds = Math.ceil(liquid.lampSeconds(lit, lamp, missingJ));
        return new JoinFact.LampOn(
                lit,
                lamp,
                (int) Math.max(5, Math.min(JoinFact.LONGEST_S, seconds)),
                joining.lampRead().map(JoinFact.LampRead::lampId).orElse(null));
    }

    private static String seconds(JoinFact.LampOn on) {
        return "{s:" + on.seconds() + "}";
    }

    static List<Hold> holds(JoinFact fact, DeviceProfile profile, JobState state, Instant now) {
        Joining joining = Joining.of(state);
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof FilmFact f) {
            holds.addAll(FilmJoin.holds(f, joining, state.passed(ALIGNED)));
        } else if (fact instanceof JoinFact.LiquidLaid laid
                && laid.expires() != null
                && laid.expires().isBefore(now.atZone(ZoneOffset.UTC).toLocalDate())) {
            holds.add(Hold.overridable(
                    LIQUID,
                    Station.BOND,
                    "This liquid was to be used by {day:" + laid.expires() + "}: another syringe"));
        } else if (fact instanceof JoinFact.LampOn
                && joining.liquid().filter(Joining.Liquid::spread).isEmpty()) {
            holds.add(Hold.firm("bond.spread", Station.BOND, "The liquid is not at every corner"));
        } else if (fact instanceof JoinFact.LampOn && !state.passed(ALIGNED)) {
            holds.add(Hold.firm(ALIGNED, Station.BOND, "The glass is not aligned, and hard it stays so"));
        } else if (fact instanceof JoinFact.LampOn && joining.lampMwPerCm2().isEmpty()) {
            holds.add(Hold.firm(LAMP_READ, Station.BOND, "Nobody has measured the lamp"));
        } else if (fact instanceof JoinFact.LampOn && joining.lamp().isPresent()) {
            holds.add(Hold.firm("bond.lit-face", Station.BOND, "The lamp is on already"));
        } else if (fact instanceof JoinFact.LampOff && joining.lamp().isEmpty()) {
            holds.add(Hold.firm("bond.lit-face", Station.BOND, "No lamp is on"));
        } else if ((fact instanceof JoinFact.LiquidSpread || fact instanceof JoinFact.CornerReached)
                && joining.liquid().isEmpty()) {
            holds.add(Hold.firm(LIQUID, Station.BOND, "No liquid is laid"));
        }
        return holds;
    }

    /** What is missing before anybody says that it is clear and cured. */
    static List<Hold> unjoined(DeviceProfile profile, JobState state) {
        return Checks.openSteps(steps(profile, state, Means.UNKNOWN));
    }
}
