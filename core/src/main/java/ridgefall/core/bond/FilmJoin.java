package ridgefall.core.bond;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import ridgefall.core.bond.Joining.Film;
import ridgefall.core.bond.Joining.Pressed;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;

/** Glass and panel with a sheet of film between: rolled on, aligned in a jig, pressed in vacuum, its last air dissolved. */
public final class FilmJoin {
    public static final TimerKind PRESSING = new TimerKind("LAMINATING", "In the laminator");
    public static final TimerKind CHAMBER = new TimerKind("PRESSURE_CHAMBER", "Under pressure");

    private static final String LAID = "bond.film";
    private static final String PRESSED = "bond.vacuum";
    private static final String CLEAR = "bond.chamber";

    private FilmJoin() {}

    /**
     * A sheet and a laminator that suit a device.
     *
     * @param against why not; empty where nothing speaks against it
     */
    public record Means(Supply.Film film, Supply.Laminator laminator, List<String> against) {}

    /** The best of what the shelf has; empty where it has no film, or nothing to press it with. */
    static Optional<Means> means(DeviceProfile profile, List<Supply> shelf) {
        OpticalFilm face = OpticalFilm.of(profile);
        List<Means> all = new ArrayList<>();
        for (Supply.Laminator laminator : Supply.of(shelf, Supply.Laminator.class)) {
            for (Supply.Film film : Supply.of(shelf, Supply.Film.class)) {
                all.add(new Means(film, laminator, face.against(film, laminator)));
            }
        }
        return all.stream()
                .reduce((one, other) -> other.against().size() < one.against().size() ? other : one);
    }

    /** In the order of the work; aligning comes between, as with liquid. */
    static List<Step> steps(Optional<Means> means, Joining joining, JobState state, Step aligned) {
        Film film = joining.film().orElse(new Film(Pressed.NOT, List.of(), false));
        return List.of(laid(means, joining), aligned, pressed(means, film, state), clear(means, film, state));
    }

    private static Step laid(Optional<Means> means, Joining joining) {
        Step step = Step.open(
                LAID,
                Station.BOND,
                "Film rolled onto the glass",
                "from one edge, liner peeled back flat ahead of the roller; low light: dust stays for good",
                Step.go(
                        "Film on",
                        new FilmFact.FilmLaid(means.map(it -> it.film().id()).orElse("?"))));
        return joining.film().isPresent() ? step.answered("on") : step;
    }

    private static Step pressed(Optional<Means> means, Film film, JobState state) {
        int seconds = means.map(it -> it.laminator().cycleSeconds()).orElse(60);
        Step step = Step.open(
                PRESSED,
                Station.BOND,
                "Pressed in vacuum",
                "last liner off only now; hands out of the press before it closes",
                Step.go("Into the laminator, {s:" + seconds + "}", new FilmFact.PressedInVacuum(seconds)));
        return switch (film.pressed()) {
            case NOT -> step;
            case RUNNING -> {
                Step out = Step.open(
                        PRESSED,
                        Station.BOND,
                        step.title(),
                        step.hint(),
                        Step.go("Out of the laminator", new FilmFact.OutOfTheLaminator()));
                yield state.timer(PRESSING)
                        .map(timer -> out.waiting(timer.seq()))
                        .orElse(out);
            }
            case DONE -> step.answered("pressed");
        };
    }

    private static Step clear(Optional<Means> means, Film film, JobState state) {
        double kPa = means.map(it -> it.laminator().chamberKPa()).orElse(500.0);
        double celsius = means.map(it -> it.laminator().chamberC()).orElse(50.0);
        FilmFact.UnderPressure on = new FilmFact.UnderPressure(0.3, kPa, celsius);
        Ask across = new Ask("acrossMm", "Largest bubble, across", Ask.Kind.NUMBER, "mm", null);
        String title = "Bubbles pressed into solution";
        String most = "{mm:" + OpticalFilm.largestMm(kPa, celsius) + "}";
        if (film.clear()) {
            return Step.open(CLEAR, Station.BOND, title, null).answered("no bubble left");
        } else if (film.bubblesMm().isEmpty()) {
            return Step.open(
                    CLEAR,
                    Station.BOND,
                    title,
                    Math.round(kPa) + " kPa at {C:" + celsius
                            + "}: its time follows from the largest bubble; wider than " + most + " does not go",
                    Step.go("Chamber on", on, across),
                    Step.other("No bubble at all", new FilmFact.NoBubbleLeft()),
                    GlassJoin.offAgain("Off again"));
        }
        Step looked = Step.open(
                CLEAR,
                Station.BOND,
                title,
                stays(film)
                        ? "it has not become smaller: dust holds it open, off again"
                        : "let the pressure out slowly; low light, corners first",
                Step.go("No bubble left", new FilmFact.NoBubbleLeft()),
                Step.other("One is left: on again", on, across),
                GlassJoin.offAgain("Off again"));
        return state.timer(CHAMBER).map(timer -> looked.waiting(timer.seq())).orElse(looked);
    }

    private static boolean stays(Film film) {
        List<Double> seen = film.bubblesMm();
        return seen.size() > 1 && seen.get(seen.size() - 1) >= seen.get(seen.size() - 2);
    }

    static List<Hold> holds(FilmFact fact, Joining joining, boolean aligned) {
        List<Hold> holds = new ArrayList<>();
        boolean out =
                joining.film().filter(film -> film.pressed() == Pressed.DONE).isPresent();
        if (!(fact instanceof FilmFact.FilmLaid) && joining.film().isEmpty()) {
            holds.add(Hold.firm(LAID, Station.BOND, "No film is on the glass"));
        } else if (fact instanceof FilmFact.PressedInVacuum && !aligned) {
            holds.add(Hold.firm(GlassJoin.ALIGNED, Station.BOND, "The glass is not aligned, and pressed it stays so"));
        } else if ((fact instanceof FilmFact.UnderPressure || fact instanceof FilmFact.NoBubbleLeft) && !out) {
            holds.add(Hold.firm(PRESSED, Station.BOND, "It has not been pressed in vacuum"));
        } else if (fact instanceof FilmFact.UnderPressure on
                && on.acrossMm() > OpticalFilm.largestMm(on.kPa(), on.celsius())) {
            holds.add(Hold.overridable(
                    CLEAR,
                    Station.BOND,
                    "A bubble of {mm:" + on.acrossMm() + "} does not go in two hours of it: off again, film and all"));
        }
        return holds;
    }
}
