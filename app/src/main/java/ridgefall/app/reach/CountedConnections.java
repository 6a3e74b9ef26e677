package ridgefall.app.reach;

import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.channels.SocketChannel;
import org.apache.coyote.http11.Http11NioProtocol;
import org.apache.tomcat.util.net.NioEndpoint;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A door at which one address holds so many connections and no more: streams, pages and taps of a room full of screens behind one
 * router, but not all that the app has. Whoever asks for more is hung up on before a word is read.
 */
public final class CountedConnections extends Http11NioProtocol {
    static final int MOST_OF_AN_ADDRESS = 1000;

    public CountedConnections() {
        super(new Counting());
    }

    private static final class Counting extends NioEndpoint {
        private static final Logger LOG = LoggerFactory.getLogger(CountedConnections.class);

        @Override
        protected boolean setSocketOptions(SocketChannel socket) {
            try {
                InetAddress from = ((InetSocketAddress) socket.getRemoteAddress()).getAddress();
                String address = from.getHostAddress();
                long there = connections.values().stream()
                        .filter(open -> address.equals(open.getRemoteAddr()))
                        .limit(MOST_OF_AN_ADDRESS)
                        .count();
                if (there < MOST_OF_AN_ADDRESS) {
                    return super.setSocketOptions(socket);
                }
            } catch (IOException e) {
                LOG.debug("gone before it was let in: {}", e.getMessage());
            }
            // Nothing else knows of it yet: it is closed, and no longer counted, here.
            destroySocket(socket);
            return true;
        }
    }
}
