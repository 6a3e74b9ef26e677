package ridgefall.core.job;

/**
 * Why a fact may not happen now.
 *
 * @param id stable name, for overriding
 * @param station where it can be cleared
 * @param overridable whether a lead may answer for going on all the same
 */
public record Hold(String id, Station station, String because, boolean overridable) {
    public static Hold firm(String id, Station station, String because) {
        return new Hold(id, station, because, false);
    }

    public static Hold overridable(String id, Station station, String because) {
        return new Hold(id, station, because, true);
    }
}
