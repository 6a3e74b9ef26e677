package ridgefall.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.regex.Pattern;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import org.springframework.web.filter.OncePerRequestFilter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Next in line: no body longer than the limit is read, whether it says its length or not, nor one slower than a bad line; and a database that went
 * away while the session was looked up is told as a problem detail like any other.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodyLimit extends OncePerRequestFilter {
    /** Files may be longer than taps: what each kind needs, and no more. */
    private static final Map<Pattern, Long> LONGER = Map.ofEntries(
            // Twenty thousand touches of a finger.
            Map.entry(Pattern.compile("/api/jobs/[^/]+/touch/[^/]+"), 1L << 20),
            Map.entry(Pattern.compile("/api/(book|book-.*)(/.*)?"), 1L << 20),
            Map.entry(Pattern.compile("/api/stock/(preview|import)"), 4L << 20),
            Map.entry(Pattern.compile("/api/jobs/[^/]+/photos"), 8L << 20),
            // Two hours of three channels at every other second.
            Map.entry(Pattern.compile("/api/jobs/[^/]+/(heat|runs/[^/]+)/log"), 512L << 10),
            // 64 kB in base 64, and what they are.
            Map.entry(Pattern.compile("/api/jobs/[^/]+/copies/[^/]+/file"), 128L << 10),
            // Each kind of file has a bound of its own below this one.
            Map.entry(Pattern.compile("/api/jobs/[^/]+/attachments"), 1L << 20),
            // A whole job with a dozen photos, its traces and what instruments said.
            Map.entry(Pattern.compile("/api/jobs-import"), 32L << 20));

    /** A body has begun to come within this time, and comes no slower than this on the whole: a bad line's pace. */
    private static final Duration PATIENCE = Duration.ofSeconds(10);

    private static final long LEAST_BYTES_PER_S = 4000;

    private final long usualBytes;
    private final BodiesUnderWay underWay;
    private final JsonMapper json;

    BodyLimit(@Value("${ridgefall.longest-body-bytes}") long usualBytes, BodiesUnderWay underWay, JsonMapper json) {
        this.usualBytes = usualBytes;
        this.underWay = underWay;
        this.json = json;
    }

    private long longest(HttpServletRequest request) {
        return LONGER.entrySet().stream()
                .filter(e -> e.getKey().matcher(request.getRequestURI()).matches())
                .map(Map.Entry::getValue)
                .findFirst()
                .orElse(usualBytes);
    }

    /** The body comes so slowly that it would hold a place for good. */
    static final class TooSlow extends IOException {
        private static final long serialVersionUID = 1;

        TooSlow() {
            super("body slower than " + LEAST_BYTES_PER_S + " bytes a second");
        }
    }

    /** The body went on beyond the limit. */
    static final class TooLong extends IOException {
        private static final long serialVersionUID = 1;
        private final long longestBytes;

        TooLong(long longestBytes) {
            super("body longer than " + longestBytes + " bytes");
            this.longestBytes = longestBytes;
        }

        long longestBytes() {
            return longestBytes;
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long longestBytes = longest(request);
        if (request.getContentLengthLong() > longestBytes) {
            Problems.write(response, json, Problems.tooLarge(longestBytes));
            return;
        }
        Limited limited = new Limited(request, longestBytes, underWay);
        try {
            chain.doFilter(limited, response);
        } catch (DataAccessException | TransactionException e) {
            if (response.isCommitted() || !Problems.away(e)) {
                throw e;
            }
            response.reset();
            response.setHeader("Retry-After", "2");
            Problems.write(response, json, Problems.databaseAway());
        } finally {
            limited.over();
        }
    }

    private static final class Limited extends HttpServletRequestWrapper {
        private final long longestBytes;
        private final BodiesUnderWay underWay;
        private final String address;
        private boolean reading;

        Limited(HttpServletRequest request, long longestBytes, BodiesUnderWay underWay) {
            super(request);
            this.longestBytes = longestBytes;
            this.underWay = underWay;
            address = request.getRemoteAddr();
        }

        private void begun() throws BodiesUnderWay.Refused {
            if (!reading && !underWay.begin(address)) {
                throw new BodiesUnderWay.Refused();
            }
            reading = true;
        }

        /** All of it is read, or nobody reads on. */
        void over() {
            if (reading) {
                underWay.end(address);
                reading = false;
            }
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream body = super.getInputStream();
            return new ServletInputStream() {
                private final long from = System.nanoTime();
                private long read;

                @Override
                public int read() throws IOException {
                    begun();
                    int next = body.read();
                    count(next < 0 ? 0 : 1);
                    return next;
                }

                @Override
                public int read(byte[] into, int from, int length) throws IOException {
                    begun();
                    int got = body.read(into, from, length);
                    count(Math.max(0, got));
                    return got;
                }

                private void count(int bytes) throws IOException {
                    read += bytes;
                    if (read > longestBytes) {
                        throw new TooLong(longestBytes);
                    }
                    if (body.isFinished()) {
                        over();
                    } else if (System.nanoTime() - from
                            > PATIENCE.toNanos() + read * 1_000_000_000L / LEAST_BYTES_PER_S) {
                        throw new TooSlow();
                    }
                }

                @Override
                public boolean isFinished() {
                    return body.isFinished();
                }

                @Override
                public boolean isReady() {
                    return body.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    body.setReadListener(listener);
                }
            };
        }
    }
}
