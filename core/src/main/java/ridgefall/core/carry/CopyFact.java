package ridgefall.core.carry;

import java.util.Locale;
import java.util.UUID;
import ridgefall.core.job.Checks;
import ridgefall.core.job.Entry;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.Phase;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/**
 * Data that are paired with the main board, on their way from the old front to the new one. A person begins; what came of it
 * is told by whoever speaks with the programmer.
 */
public sealed interface CopyFact extends CarryFact {
    int LONGEST_WORDS = 200;

    /** It took a programmer and a minute, and stands in a chip. */
    @Override
    default boolean canBeTakenBack() {
        return false;
    }

    /** What a programmer is asked to do with the front on its adapter. */
    enum Doing {
        READ("Read"),
        WRITE("Write and read back");

        private final String words;

        Doing(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Why nothing came of it, and what is done about that. */
    enum Trouble {
        NO_PROGRAMMER("no programmer with this adapter answers", "switch it on, its adapter in; then again", false),
        SILENT("the programmer fell silent", "look at its cable and its switch; then again", false),
        ADAPTER_OPEN(
                "a plug at the adapter is not home", "battery out, plug off, look at it, home until it clicks", true),
        RESTARTS(
                "it starts over and over",
                "a plug far sooner than a part: battery out, every plug off and home again, the battery's too",
                true),
        READ_ERROR(
                "some of it can't be read",
                "again; at the same place twice: battery out and the plug home anew, then a slower cable or another adapter",
                false),
        CUT_SHORT("less came than was promised", "nothing of it is kept: again", false),
        CHECKSUM("what came is not what its checksum says", "nothing of it is kept: again", false),
        DIFFERS(
                "it does not read back as it was written",
                "write again; at the same place twice: another front",
                false),
        OTHER_GENERATION(
                "its data are of another generation", "the wrong front, or the wrong adapter: look at both", true),
        OTHER_FRONT("another front is on the adapter", "battery out; the right one on the adapter", true),
        REFUSED("the programmer refuses", "do what it says; then again", false),
        BROKEN_OFF("it was broken off before it was through", "nothing that was read before is lost: again", false),
        STOPPED("stopped by hand", "again, when you are ready", false);

        private final String words;
        private final String remedy;
        private final boolean replugs;

        Trouble(String words, String remedy, boolean replugs) {
            this.words = words;
            this.remedy = remedy;
            this.replugs = replugs;
        }

        public String words() {
            return words;
        }

        public String remedy() {
            return remedy;
        }

        /** Whether the front has to come off the adapter, battery out, before it is tried again. */
        public boolean replugs() {
            return replugs;
        }
    }

    record CopyBegun(String partId, Doing doing) implements CopyFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.present("doing", doing);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.copying(partId, copy -> copy.begun(this));
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + ": " + doing.words().toLowerCase(Locale.ROOT) + " begun";
        }
    }

    /**
     * @param front what the front on the adapter says it is
     * @param sha256 of the bytes, in hexadecimal
     * @param fileId of the job's file that keeps them
     * @param from the programmer, or a file
     */
    record DataRead(String partId, String front, String generation, int bytes, String sha256, UUID fileId, String from)
            implements CopyFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("front", front, 60);
            Allowed.text("generation", generation, 60);
            Allowed.between("bytes", bytes, 1, 64 << 10, "bytes");
            hash(sha256);
            Allowed.present("fileId", fileId);
            Allowed.text("from", from, 60);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.copying(partId, copy -> copy.read(this));
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + " read from front " + front + ": " + told();
        }

        /** How much, and which. */
        String told() {
            return String.format(Locale.ROOT, "%,d bytes, %s", bytes, sha256.substring(0, 8));
        }
    }

    /** Written, read back whole and compared: it is the same. */
    record DataWritten(String partId, String front, String sha256, String programmer) implements CopyFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("front", front, 60);
            hash(sha256);
            Allowed.text("programmer", programmer, 60);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.copying(partId, copy -> copy.written(this));
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + " written to front " + front + ", reads back the same: "
                    + sha256.substring(0, 8);
        }
    }

    /** @param said more of it, such as where; may be empty */
    record CopyFailed(String partId, Doing doing, Trouble trouble, String said) implements CopyFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.present("doing", doing);
            Allowed.present("trouble", trouble);
            Allowed.optionalText("said", said, LONGEST_WORDS);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.copying(partId, copy -> copy.failed(this));
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + ", " + doing.words().toLowerCase(Locale.ROOT) + ": " + told();
        }

        @Override
        public Page page() {
            return trouble == Trouble.STOPPED ? Page.DONE : Page.WENT_WRONG;
        }

        String told() {
            return trouble.words() + (said == null || said.isBlank() ? "" : ": " + said);
        }
    }

    /** Copied by a programmer that this bench's tool does not speak with: what it showed after reading, and after reading back. */
    record CopiedElsewhere(String partId, String readSum, String backSum) implements CopyFact {
        private static final int LONGEST_SUM = 64;

        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("readSum", readSum, LONGEST_SUM);
            Allowed.text("backSum", backSum, LONGEST_SUM);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.copying(partId, copy -> copy.elsewhere(this));
        }

        @Override
        public Page page() {
            return Page.MEASURED;
        }

        @Override
        public boolean canBeTakenBack() {
            return true;
        }

        boolean same() {
            return readSum.strip().equalsIgnoreCase(backSum.strip());
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + ", by another programmer: " + told();
        }

        String told() {
            return same()
                    ? readSum.strip() + " both times"
                    : readSum.strip() + " read, " + backSum.strip() + " read back";
        }
    }

    /** What hangs on the data fails at the test: what was read is written once more. */
    record CopyDueAgain(String partId, String functionId) implements CopyFact {
        @Override
        public void check() {
            Allowed.text("partId", partId, 40);
            Allowed.text("functionId", functionId, 40);
        }

        @Override
        public CarryState after(CarryState before, Entry entry) {
            return before.dueAgain(partId);
        }

        @Override
        public boolean voids(String id) {
            return id.equals(Checks.functionStepId(Phase.OPEN, functionId));
        }

        @Override
        public boolean canBeTakenBack() {
            return true;
        }

        @Override
        public String words(FactWords told) {
            return CarryFact.part(partId, told) + ": to be copied anew";
        }
    }

    private static void hash(String sha256) {
        Allowed.text("sha256", sha256, 64);
        if (!sha256.matches("[0-9a-f]{64}")) {
            throw new NotAllowed("sha256", sha256, "64 digits of 0 to 9 and a to f");
        }
    }
}
