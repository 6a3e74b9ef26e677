package ridgefall.app.http;

import java.io.IOException;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Bodies that are being read hold a thread each, however slowly they come: an address has a share of the threads for that, all
 * together leave some to those who only ask.
 */
@Component
public class BodiesUnderWay {
    private final int mostOfAnAddress;
    private final int mostOfAll;
    private final Map<String, Integer> ofAddress = new ConcurrentHashMap<>();
    private final AtomicInteger ofAll = new AtomicInteger();

    public BodiesUnderWay(@Value("${server.tomcat.threads.max:200}") int threads) {
        mostOfAnAddress = Math.max(1, threads / 6);
        mostOfAll = Math.max(2, threads * 3 / 5);
    }

    /** One more can't be read now. */
    static final class Refused extends IOException {
        private static final long serialVersionUID = 1;

        Refused() {
            super("too many bodies at once");
        }
    }

    /** @return whether one more of this address may be read; then {@link #end} follows */
    public boolean begin(String address) {
        int all = ofAll.incrementAndGet();
        int own = ofAddress.merge(address, 1, Integer::sum);
        if (all <= mostOfAll && own <= mostOfAnAddress) {
            return true;
        }
        end(address);
        return false;
    }

    public void end(String address) {
        ofAddress.computeIfPresent(address, (of, were) -> were > 1 ? were - 1 : null);
        ofAll.decrementAndGet();
    }
}
