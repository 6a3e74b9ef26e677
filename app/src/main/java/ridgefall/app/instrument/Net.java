package ridgefall.app.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.regex.Pattern;
import org.springframework.security.web.util.matcher.IpAddressMatcher;
import ridgefall.core.units.NotAllowed;

/**
 * A net of the shop in which instruments may be called, such as {@code 192.168.7.0/24}.
 *
 * @param words address, slash, bits that are fixed: at least 16 of an IPv4 address, 48 of an IPv6 one
 */
record Net(String words) {
    private static final Pattern FORM =
            Pattern.compile("((?:\\d{1,3}\\.){3}\\d{1,3}|[0-9a-fA-F:]*:[0-9a-fA-F:]*)/(\\d{1,3})");
    private static final int LEAST_BITS = 16;
    private static final int LEAST_BITS_OF_V6 = 48;
    private static final String ALLOWED =
            "private nets of at most 65,536 addresses, such as 192.168.7.0/24, 10.0.4.0/24 or fd12:3456:789a::/48";

    /** @throws NotAllowed where it is no net, no private one, or too wide to be a shop's */
    Net {
        var form = FORM.matcher(words == null ? "" : words);
        try {
            if (!form.matches()) {
                throw refused(words);
            }
            InetAddress first = InetAddress.getByName(form.group(1));
            int bits = Integer.parseInt(form.group(2));
            int all = 8 * first.getAddress().length;
            boolean shops = first.isSiteLocalAddress() || first.isLoopbackAddress() || uniqueLocal(first);
            if (!shops || bits > all || bits < (all == 32 ? LEAST_BITS : LEAST_BITS_OF_V6)) {
                throw refused(words);
            }
        } catch (UnknownHostException e) {
            throw refused(words);
        }
    }

    boolean holds(InetAddress address) {
        return new IpAddressMatcher(words).matches(address.getHostAddress());
    }

    /** RFC 4193: fc00::/7. */
    private static boolean uniqueLocal(InetAddress address) {
        byte[] bytes = address.getAddress();
        return bytes.length > 4 && (bytes[0] & 0xfe) == 0xfc;
    }

    private static NotAllowed refused(String words) {
        return new NotAllowed("nets", words, ALLOWED);
    }
}
