package ridgefall.core.job;

/** When a function was tried: as it came in, with the front loose, with the front seated. */
public enum Phase {
    BEFORE(Station.INTAKE),
    OPEN(Station.TEST),
    AFTER(Station.PROVE);

    private final Station station;

    Phase(Station station) {
        this.station = station;
    }

    public Station station() {
        return station;
    }
}
