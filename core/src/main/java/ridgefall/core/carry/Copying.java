package ridgefall.core.carry;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ridgefall.core.carry.CopyFact.CopiedElsewhere;
import ridgefall.core.carry.CopyFact.CopyBegun;
import ridgefall.core.carry.CopyFact.CopyFailed;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.DataWritten;
import ridgefall.core.carry.CopyFact.Doing;
import ridgefall.core.carry.CopyFact.Trouble;
import ridgefall.core.carry.DataCopy.On;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Ask;
import ridgefall.core.profile.ProfileDocument.PairedPart;
import ridgefall.core.units.NotAllowed;

/**
 * Data from the old front to the new one: each front onto the adapter with the battery out, read, kept, written, read back.
 * What the old front can't show does not matter; that it starts does.
 */
final class Copying {
    private static final String OLD_ON = "carry.old-on-";
    private static final String READ = "carry.read-";
    private static final String NEW_ON = "carry.new-on-";
    private static final String WRITE = "carry.write-";

    private Copying() {}

    /** A front whose plug at the adapter a check is about. */
    record Plugged(String partId, On front) {}

    static Optional<Plugged> plugged(String checkId) {
        if (checkId.startsWith(OLD_ON)) {
            return Optional.of(new Plugged(checkId.substring(OLD_ON.length()), On.OLD));
        }
        return checkId.startsWith(NEW_ON)
                ? Optional.of(new Plugged(checkId.substring(NEW_ON.length()), On.NEW))
                : Optional.empty();
    }

    static Stream<String> checks(PairedPart part) {
        return Stream.of(OLD_ON + part.id(), NEW_ON + part.id());
    }

    /** Whether a step is about this part's data. */
    static boolean isAbout(String stepId, String partId) {
        return Stream.of(OLD_ON, READ, NEW_ON, WRITE).anyMatch(of -> (of + partId).equals(stepId));
    }

    /** What a step asks for at the adapter. */
    static AtTheAdapter.Due due(String partId, String stepId) {
        if ((OLD_ON + partId).equals(stepId)) {
            return AtTheAdapter.Due.OLD;
        } else if ((NEW_ON + partId).equals(stepId)) {
            return AtTheAdapter.Due.NEW;
        }
        return CarryStation.moves(partId).equals(stepId) ? AtTheAdapter.Due.ALL_OFF : AtTheAdapter.Due.NOTHING;
    }

    /** What leads to data that are over; not asked of what got there before anybody asked. */
    static List<Step> steps(PairedPart part, JobState state) {
        CarryState carried = CarryState.of(state);
        DataCopy copy = carried.copy(part.id());
        boolean settled = carried.carriedOver(part.id()) || carried.lost().containsKey(part.id());
        if (settled && copy.equals(DataCopy.NONE)) {
            return List.of();
        }
        List<Step> steps =
                List.of(oldOn(part, copy, state), read(part, copy), newOn(part, copy, state), write(part, copy));
        return settled ? steps.stream().filter(step -> !step.open()).toList() : steps;
    }

    private static Step oldOn(PairedPart part, DataCopy copy, JobState state) {
        Step step = on(
                part,
                OLD_ON + part.id(),
                "Old front on the adapter",
                "battery out first; " + adapter(part)
                        + "; plug home until it clicks; battery in: a buzz, a steady current."
                        + " It need not show a picture",
                state);
        return copy.read() != null || copy.elsewhere() != null ? done(step) : again(step, copy, On.OLD, Doing.READ);
    }

    private static Step newOn(PairedPart part, DataCopy copy, JobState state) {
        Step step = on(
                part,
                NEW_ON + part.id(),
                "New front on the adapter",
                "battery out first; old front off and laid by, not binned; new one's plug home until it clicks; battery in",
                state);
        return copy.proven() || copy.elsewhere() != null ? done(step) : again(step, copy, On.NEW, Doing.WRITE);
    }

    private static String adapter(PairedPart part) {
        return part.adapter() == null ? "the adapter that fits its plug" : part.adapter();
    }

    /** Plugged in and it starts, or what it does instead. */
    private static Step on(PairedPart part, String id, String title, String hint, JobState state) {
        return Checks.check(state, id, title, hint, "Starts, stays on")
                .choosing(
                        Step.go("Starts, stays on", new CheckAnswered(id, Answer.PASS, null)),
                        Step.fail("Over and over", new CheckAnswered(id, Answer.FAIL, Trouble.RESTARTS.words())),
                        Step.fail("No sign of life", new CheckAnswered(id, Answer.FAIL, "no sign of life")),
                        elsewhere(part.id()),
                        CarryStation.lost(part.id()),
                        CarryStation.declined(part.id(), state));
    }

    private static Step.Choice elsewhere(String partId) {
        return Step.other(
                "By another programmer",
                new CopiedElsewhere(partId, "?", "?"),
                new Ask("readSum", "Its checksum after reading the old front", Ask.Kind.TEXT, null, null),
                new Ask("backSum", "Its checksum after reading back the new one", Ask.Kind.TEXT, null, null));
    }

    private static Step done(Step step) {
        return step.answered("starts, stays on");
    }

    /** Answered only as long as that front is on the adapter. */
    private static Step again(Step step, DataCopy copy, On front, Doing doing) {
        CopyFailed failed = copy.failed();
        if (copy.on() == front) {
            return step;
        } else if (failed != null && failed.doing() == doing && failed.trouble().replugs()) {
            return step.hinted(failed.trouble().remedy()).problem(failed.told());
        } else if (step.problem()) {
            return step.hinted(Trouble.RESTARTS.remedy());
        }
        return step.open() ? step : reopened(step);
    }

    private static Step reopened(Step step) {
        return Step.open(
                step.id(),
                step.station(),
                step.title(),
                step.hint(),
                step.choices().toArray(Step.Choice[]::new));
    }

    private static Step read(PairedPart part, DataCopy copy) {
        Step step = copying(
                READ + part.id(),
                "Read the old front's data",
                "hands off while it reads; what comes is checked and kept under this job's number",
                Doing.READ,
                part,
                copy);
        if (copy.read() != null) {
            return step.answered(copy.read().told() + ", kept");
        }
        return copy.elsewhere() == null ? step : step.answered("by another programmer");
    }

    private static Step write(PairedPart part, DataCopy copy) {
        Step step = copying(
                WRITE + part.id(),
                "Write it to the new front",
                "what it holds now is read and kept first; then written, read back whole and compared",
                Doing.WRITE,
                part,
                copy);
        if (copy.written() != null) {
            return step.answered(
                    "reads back the same, " + copy.written().sha256().substring(0, 8));
        } else if (copy.elsewhere() != null) {
            CopiedElsewhere elsewhere = copy.elsewhere();
            return elsewhere.same() ? step.answered(elsewhere.told()) : step.problem(elsewhere.told());
        }
        return step;
    }

    private static Step copying(String id, String title, String hint, Doing doing, PairedPart part, DataCopy copy) {
        if (copy.running() == doing) {
            return Step.open(
                            id,
                            Station.CARRY,
                            title + " …",
                            hint,
                            Step.fail("Stop", new CopyFailed(part.id(), doing, Trouble.STOPPED, null)))
                    .leading(Step.Lead.RUNS);
        }
        Step step = Step.open(
                        id,
                        Station.CARRY,
                        title,
                        hint,
                        Step.go(doing.words(), new CopyBegun(part.id(), doing)),
                        elsewhere(part.id()),
                        CarryStation.lost(part.id()))
                .leading(Step.Lead.BEGINS);
        CopyFailed failed = copy.failed();
        if (failed == null || failed.doing() != doing || failed.trouble().replugs()) {
            return step;
        }
        boolean half = copy.half() && doing == Doing.WRITE && failed.trouble() != Trouble.DIFFERS;
        // Trying again is the way on.
        return step.hinted(failed.trouble().remedy())
                .problem(failed.told() + (half ? "; the new front may hold half of it" : ""))
                .leading(Step.Lead.BEGINS);
    }

    /** @throws NotAllowed when what was read back is not what was read */
    static List<Hold> holds(CopyFact fact, JobState state) {
        DataCopy copy = CarryState.of(state).copy(fact.partId());
        List<Hold> holds = new ArrayList<>();
        if (fact instanceof CopyBegun f) {
            holds.addAll(atIt(f.partId(), state));
            if (copy.running() != null) {
                return holds;
            } else if (f.doing() == Doing.READ) {
                holds.addAll(unless(copy.on() == On.OLD, OLD_ON + f.partId(), "The old front is not on the adapter"));
            } else {
                holds.addAll(unless(copy.read() != null, READ + f.partId(), "Nothing was read that could be written"));
                holds.addAll(unless(copy.on() == On.NEW, NEW_ON + f.partId(), "The new front is not on the adapter"));
            }
        } else if (fact instanceof DataRead f) {
            boolean brought = copy.running() == null && copy.read() == null;
            holds.addAll(unless(copy.running() == Doing.READ || brought, READ + f.partId(), "Nothing is being read"));
        } else if (fact instanceof DataWritten f) {
            holds.addAll(unless(copy.running() == Doing.WRITE, WRITE + f.partId(), "Nothing is being written"));
            if (copy.read() != null && !f.sha256().equals(copy.read().sha256())) {
                throw new NotAllowed(
                        "sha256",
                        f.sha256(),
                        "that of what was read, " + copy.read().sha256());
            }
        } else if (fact instanceof CopyFailed f) {
            holds.addAll(unless(copy.running() == f.doing(), stepOf(f.doing(), f.partId()), "It is not going on"));
        }
        return holds;
    }

    /** A lead may answer for data that nobody compared; nobody may while a programmer writes. */
    static List<Hold> unproven(PairedPart part, JobState state) {
        boolean proven = CarryState.of(state).copy(part.id()).proven();
        List<Hold> busy = atIt(part.id(), state);
        return proven || !busy.isEmpty()
                ? busy
                : List.of(Hold.overridable(
                        WRITE + part.id(), Station.CARRY, part.words() + ": nothing was read back and compared"));
    }

    /** No plug moves while a programmer reads or writes. */
    static List<Hold> atIt(String partId, JobState state) {
        Doing running = CarryState.of(state).copy(partId).running();
        return unless(running == null, running == null ? null : stepOf(running, partId), "The programmer is at it");
    }

    private static String stepOf(Doing doing, String partId) {
        return (doing == Doing.READ ? READ : WRITE) + partId;
    }

    private static List<Hold> unless(boolean so, String id, String because) {
        return so ? List.of() : List.of(firm(id, because));
    }

    private static Hold firm(String id, String because) {
        return Hold.firm(id, Station.CARRY, because);
    }
}
