package ridgefall.app.reach;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.nio.ByteBuffer;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import ridgefall.app.http.BodiesUnderWay;

/**
 * What was refused before its body was read is not waited for: the server would read the rest, however slowly it comes, to use the
 * connection again. What is there already, or comes within a moment, is thrown away, so that the answer is heard; else the connection ends.
 */
final class UnreadBodies extends ValveBase {
    private static final long MOMENT_MS = 500;
    private static final long LOOKS_EVERY_MS = 10;

    private final BodiesUnderWay underWay;

    UnreadBodies(BodiesUnderWay underWay) {
        super(true);
        this.underWay = underWay;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        getNext().invoke(request, response);
        if (request.isAsync() || request.isFinished()) {
            return;
        }
        response.flushBuffer();
        String address = request.getRemoteAddr();
        boolean all = false;
        if (underWay.begin(address)) {
            try {
                all = thrownAway(request);
            } finally {
                underWay.end(address);
            }
        }
        if (!all) {
            request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
        }
    }

    /** @return whether nothing of it is left */
    private static boolean thrownAway(Request request) throws IOException {
        Nowhere nowhere = new Nowhere();
        long until = System.nanoTime() + MOMENT_MS * 1_000_000;
        while (!request.isFinished()) {
            if (System.nanoTime() > until) {
                return false;
            }
            request.getCoyoteRequest().action(ActionCode.AVAILABLE, true);
            if (request.getCoyoteRequest().getAvailable() > 0) {
                // Past the stream that the app reads: it may be closed.
                if (request.getCoyoteRequest().doRead(nowhere) < 0) {
                    return true;
                }
            } else {
                try {
                    Thread.sleep(LOOKS_EVERY_MS);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return false;
                }
            }
        }
        return true;
    }

    private static final class Nowhere implements ApplicationBufferHandler {
        private ByteBuffer gone = ByteBuffer.allocate(0);

        @Override
        public void setByteBuffer(ByteBuffer buffer) {
            gone = buffer;
        }

        @Override
        public ByteBuffer getByteBuffer() {
            return gone;
        }

        @Override
        public void expand(int size) {
            // Nothing is kept.
        }
    }
}
