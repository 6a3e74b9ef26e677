package ridgefall.app.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import ridgefall.core.units.NotAllowed;

/** The app calls nobody outside the shop. */
public final class OwnNetwork {
    private OwnNetwork() {}

    /** @throws NotAllowed when a host is not found, or not on the shop's own network */
    public static void check(String host) {
        try {
            InetAddress address = InetAddress.getByName(host);
            if (address.isLoopbackAddress() || address.isSiteLocalAddress() || address.isLinkLocalAddress()) {
                return;
            }
        } catch (UnknownHostException e) {
            throw new NotAllowed("host", host, "a name or number that this machine can find");
        }
        throw new NotAllowed("host", host, "an address on the shop's own network");
    }
}
