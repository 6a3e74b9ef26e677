package ridgefall.core.carry;

import ridgefall.core.carry.CopyFact.CopiedElsewhere;
import ridgefall.core.carry.CopyFact.CopyBegun;
import ridgefall.core.carry.CopyFact.CopyFailed;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.DataWritten;
import ridgefall.core.carry.CopyFact.Doing;

/**
 * How far data have come.
 *
 * @param on which front stands on the adapter and starts
 * @param running what was begun and has not ended; null where nothing is
 * @param read what is kept; null until then
 * @param written null until it was read back the same
 * @param failed what became of the latest try; null where it went well, or its plugs are home anew
 * @param half whether a write to the new front did not end: it may hold half of the data
 * @param elsewhere null where it was copied here, or not yet
 */
public record DataCopy(
        On on,
        Doing running,
        DataRead read,
        DataWritten written,
        CopyFailed failed,
        boolean half,
        CopiedElsewhere elsewhere) {
    public enum On {
        NONE,
        OLD,
        NEW
    }

    static final DataCopy NONE = new DataCopy(On.NONE, null, null, null, null, false, null);

    /** The front's plug is home, the battery in, and it starts. */
    DataCopy plugged(On front) {
        return new DataCopy(front, running, read, written, null, half, elsewhere);
    }

    /** It does not start, or is off the adapter again. */
    DataCopy unplugged() {
        return new DataCopy(On.NONE, running, read, written, failed, half, elsewhere);
    }

    DataCopy begun(CopyBegun fact) {
        return new DataCopy(on, fact.doing(), read, written, null, half || fact.doing() == Doing.WRITE, null);
    }

    DataCopy read(DataRead fact) {
        return new DataCopy(on, null, fact, null, null, half, null);
    }

    DataCopy written(DataWritten fact) {
        return new DataCopy(on, null, read, fact, null, false, null);
    }

    DataCopy failed(CopyFailed fact) {
        return new DataCopy(fact.trouble().replugs() ? On.NONE : on, null, read, written, fact, half, elsewhere);
    }

    DataCopy elsewhere(CopiedElsewhere fact) {
        return new DataCopy(on, null, read, written, null, false, fact);
    }

    /** The front that it goes to is another: what was read stays. */
    DataCopy swapped() {
        return new DataCopy(On.NONE, null, read, null, null, false, null);
    }

    /** Whether the new front holds the same as the old one, as far as anybody measured. */
    public boolean proven() {
        return written != null || elsewhere != null && elsewhere.same();
    }
}
