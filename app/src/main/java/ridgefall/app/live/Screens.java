package ridgefall.app.live;

import java.io.IOException;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The screens that are open right now. One that has gone is forgotten and never keeps a word from the others. */
final class Screens {
    /** With the session that each was opened in. */
    private final Map<SseEmitter, String> open = new ConcurrentHashMap<>();

    void open(SseEmitter screen, String session) {
        screen.onCompletion(() -> open.remove(screen));
        screen.onError(e -> open.remove(screen));
        open.put(screen, session);
        send(screen, "hello", "{}");
    }

    void broadcast(String name, String data) {
        for (SseEmitter screen : open.keySet()) {
            send(screen, name, data);
        }
    }

    private void send(SseEmitter screen, String name, String data) {
        try {
            screen.send(SseEmitter.event().name(name).data(data));
        } catch (IOException | IllegalStateException e) {
            // Only forgotten: the web server ends its request by itself, and ending it here as well can throw.
            open.remove(screen);
        }
    }

    Set<String> sessions() {
        return Set.copyOf(open.values());
    }

    /** Ends those whose session has ended: what goes on at the bench is none of theirs any more. */
    void end(Set<String> ended) {
        open.forEach((screen, session) -> {
            if (ended.contains(session)) {
                open.remove(screen);
                screen.complete();
            }
        });
    }

    void close() {
        open.keySet().forEach(SseEmitter::complete);
    }
}
