package ridgefall.core.job;

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

    /** Who may record a fact may take back their own; someone else's only a lead. */
    public boolean mayTakeBack(Entry entry, String who) {
        return this == LEAD || entry.who().equals(who) && mayRecord(entry.fact());
    }

    public boolean mayRecord(Fact fact) {
        return compareTo(fact.by()) >= 0;
    }
}
