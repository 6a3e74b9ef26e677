package ridgefall.core.stop;

import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import ridgefall.core.job.Hold;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.stop.StopFact.Sign;

/** What is done about a cell that may burn, and who lets the job go on. */
public final class Stop {
    public static final String HOLD = "stop.cell";
    public static final String WHAT_NOW = "stop, isolate, follow the local rules for damaged batteries";

    public static final String STEPS = """
            No heat, no charger, no pressing, no prying: leave it closed.
            Carry it away from people and from anything that burns, onto stone or metal, and stay beside it only to watch.
            Hot, hissing or smoking: everybody out, and call the fire service.
            Tell the lead. Store and send it by the local rules for damaged batteries; they come first.""";

    private Stop() {}

    /** One tap each, wherever it is seen. */
    public static List<Choice> signs() {
        return Stream.of(Sign.values())
                .map(sign -> Step.fail(sign.words(), new StopFact.CellBad(sign)))
                .toList();
    }

    /** A lead's alone. */
    public static Choice letGoOn() {
        return Step.other(
                "A lead lets it go on",
                new StopFact.LetGoOn("?"),
                Ask.reason("What was found and done about the cell"));
    }

    /** What stands before everything else, at the station where the work was. */
    public static Step step(Sign sign, Station at) {
        return Step.open(HOLD, at, "Battery", STEPS)
                .problem((sign == Sign.DANGER ? "" : sign.words().toLowerCase(Locale.ROOT) + ": ") + WHAT_NOW)
                .leading(Step.Lead.STOP);
    }

    /** @param id of the step that says what to do */
    public static Hold hold(String id, Station at) {
        return Hold.firm(id, at, "Battery: stop, isolate; a lead looks at it and lets the job go on");
    }
}
