package ridgefall.core.job;

import java.util.Optional;
import java.util.Set;

/**
 * Something that happened at the bench: what the journal is made of. Every fact belongs to one sealed family, a room's or
 * {@link JobFact}, and says for itself what it changes, how it is told and what goes with it. Its constructor takes
 * whatever a journal holds; {@link #check} is for what is proposed. Positions are edge positions in mm, temperatures °C,
 * durations s.
 */
public interface Fact {
    /** A fact that its family remembers: {@code S} is all that is known from facts of this family. */
    interface Of<S> extends Fact {
        Family<S> family();

        /** What is known once this entry, which holds this fact, was added. */
        S after(S before, Entry entry);
    }

    /** Where it stands on the page that goes with the device. */
    enum Page {
        FOUND,
        DONE,
        /** Apart from what was found when it came in. */
        WENT_WRONG,
        MEASURED,
        SIGNED_OFF,
        /** Not in a list of its own: the page says it elsewhere. */
        ELSEWHERE
    }

    /** In one line, for the journal, the undo button and the record. Numbers stay in {@code {unit:value}}. */
    String words(FactWords told);

    /**
     * Whether its values can be, whatever job it is for.
     *
     * @throws ridgefall.core.units.NotAllowed naming field, value and allowed range
     */
    default void check() {}

    /** The station it belongs to; empty for what belongs to none. */
    Optional<Station> station();

    /** The first role that may record it; whoever comes after may too. The desk takes in and agrees. */
    default Role by() {
        return station().filter(at -> at.compareTo(Station.DECIDE) <= 0).isPresent() ? Role.DESK : Role.TECHNICIAN;
    }

    default Page page() {
        return Page.DONE;
    }

    /** Steps that it answers anew, so that what a lead let pass of an earlier answer counts no more. */
    default Set<String> answers() {
        return Set.of();
    }

    /** Whether the answer to this step, or a clock of this kind that has run out, counts no more: it must be asked again. */
    default boolean voids(String id) {
        return false;
    }

    /** The clocks that it starts and stops. */
    default Timer.Change timers() {
        return Timer.Change.NONE;
    }

    /**
     * Whether it is told as it comes, whatever else is due first: what ends something, a reading, a choice, a loss,
     * an owner's word, and what a hand found free whatever was reckoned.
     */
    default boolean atAnyTime() {
        return false;
    }

    /** Whether nothing brings back what it ends: before it all is settled that comes before the bench. */
    default boolean irreversible() {
        return false;
    }

    /** Whether its fact is all there is to it, so that it can be taken back. */
    default boolean canBeTakenBack() {
        return true;
    }

    /** The field that holds an owner's words, which can be erased while the fact stays. */
    default Optional<String> ownersField() {
        return Optional.empty();
    }
}
