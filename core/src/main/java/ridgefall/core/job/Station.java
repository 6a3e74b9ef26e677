package ridgefall.core.job;

/** The twelve stations in working order. */
public enum Station {
    INTAKE("Intake"),
    DECIDE("Decide"),
    PARTS("Parts"),
    HEAT("Heat"),
    SEPARATE("Separate"),
    STRIP("Strip down"),
    CARRY("Carry over"),
    CLEAN("Clean"),
    BOND("Bond"),
    TEST("Test"),
    SEAL("Seal"),
    PROVE("Prove");

    private final String words;

    Station(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
