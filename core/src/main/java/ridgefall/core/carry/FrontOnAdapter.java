package ridgefall.core.carry;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import ridgefall.core.carry.CopyFact.DataRead;
import ridgefall.core.carry.CopyFact.Trouble;
import ridgefall.core.profile.ProfileDocument.PairedPart;

/**
 * A front as a programmer tells it.
 *
 * @param front what no other front is called
 * @param generation of its data
 * @param elsewhere what became of this front in another job; null where no other job knows it, or the device came back
 */
public record FrontOnAdapter(String front, String generation, Known elsewhere) {
    /** @param source whether it was read there; else it was written */
    public record Known(long jobNumber, boolean source) {
        String words() {
            return source
                    ? "its data were read for job " + jobNumber + ": the old front of that device"
                    : "it bears the data of job " + jobNumber;
        }
    }

    /** Why a programmer's work is not begun, or is of no use. */
    public record Refused(Trouble trouble, String said) {}

    /** @param before what was read for this job already; null where nothing was */
    public Optional<Refused> toRead(PairedPart part, DataRead before) {
        if (before != null && !before.front().equals(front)) {
            return other("this is " + front + ", read was " + before.front());
        }
        return elsewhere == null ? generation(part) : other(front + ": " + elsewhere.words());
    }

    /** @param read what is to be written */
    public Optional<Refused> toWrite(PairedPart part, DataRead read) {
        if (read.front().equals(front)) {
            return other("this is " + front + ", the old one: the new one belongs there");
        } else if (elsewhere != null) {
            return other(front + ": " + elsewhere.words());
        }
        return generation.equals(read.generation())
                ? generation(part)
                : Optional.of(new Refused(
                        Trouble.OTHER_GENERATION, "it says " + generation + ", the old one " + read.generation()));
    }

    private Optional<Refused> generation(PairedPart part) {
        return part.generation() == null || part.generation().equals(generation)
                ? Optional.empty()
                : Optional.of(new Refused(
                        Trouble.OTHER_GENERATION, "it says " + generation + ", the book " + part.generation()));
    }

    private static Optional<Refused> other(String said) {
        return Optional.of(new Refused(Trouble.OTHER_FRONT, said));
    }

    /** What differs first between what was written and what was read back. */
    public static Optional<Refused> differs(byte[] written, byte[] back) {
        int at = Arrays.mismatch(written, back);
        return at < 0 ? Optional.empty() : Optional.of(new Refused(Trouble.DIFFERS, where(written, back, at)));
    }

    private static String where(byte[] written, byte[] back, int at) {
        return String.format(Locale.ROOT, "byte %,d: written %s, reads %s", at, digits(written, at), digits(back, at));
    }

    private static String digits(byte[] data, int at) {
        return at < data.length ? String.format(Locale.ROOT, "%02X", data[at]) : "nothing";
    }
}
