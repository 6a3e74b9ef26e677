package ridgefall.core.profile;

import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.function.Function;

/**
 * What follows from a device alone and takes a while, worked out once for as long as the device is at hand. For any number of
 * threads; two that ask at once may both work it out.
 *
 * @param <T> never holds the device itself, or it would be kept for good
 */
public final class PerDevice<T> {
    private final Map<DeviceProfile, T> known = Collections.synchronizedMap(new WeakHashMap<>());
    private final Function<DeviceProfile, T> workedOut;

    public PerDevice(Function<DeviceProfile, T> workedOut) {
        this.workedOut = workedOut;
    }

    public T of(DeviceProfile device) {
        T at = known.get(device);
        if (at == null) {
            at = workedOut.apply(device);
            known.put(device, at);
        }
        return at;
    }
}
