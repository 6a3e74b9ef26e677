package ridgefall.core.profile;

import ridgefall.core.units.NotAllowed;

/** Where a job finds the version of its device that it started with. */
public interface DeviceBook {
    /**
     * The same instance for the same question, so that plans for it can be kept.
     *
     * @param variantId null where none was named
     * @throws NotAllowed when the book has no such device, version or variant
     */
    DeviceProfile profile(String id, int version, String variantId);
}
