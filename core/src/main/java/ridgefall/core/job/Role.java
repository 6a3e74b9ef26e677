package ridgefall.core.job;

import java.util.Arrays;

/** Who may record what: the desk takes in and hands over, technicians work, a lead also signs off what is held. */
public enum Role {
    DESK("front desk"),
    TECHNICIAN("technician"),
    LEAD("lead");

    private final String words;

    Role(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** The first who may record a fact: whose hands it waits for. */
    public static Role first(Fact fact) {
        return Arrays.stream(values())
                .filter(role -> role.mayRecord(fact))
                .findFirst()
                .orElseThrow();
    }

    /** Who may record a fact may take back their own; someone else's only a lead. */
    public boolean mayTakeBack(Entry entry, String who) {
        return this == LEAD || entry.who().equals(who) && mayRecord(entry.fact());
    }

    public boolean mayRecord(Fact fact) {
        return switch (this) {
            case LEAD -> true;
            case TECHNICIAN -> !(fact instanceof Fact.HoldOverridden);
            case DESK ->
                fact instanceof Fact.Undone
                        || fact.station() == Station.INTAKE
                        || fact.station() == Station.DECIDE
                        || fact instanceof Fact.HandedOver;
        };
    }
}
