package ridgefall.app.live;

import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The screens that are open right now. One that has gone is forgotten and never keeps a word from the others. */
final class Screens {
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();

    void open(SseEmitter screen) {
        screen.onCompletion(() -> open.remove(screen));
        screen.onError(e -> open.remove(screen));
        open.add(screen);
        send(screen, "hello", "{}");
    }

    void broadcast(String name, String data) {
        for (SseEmitter screen : open) {
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

    void close() {
        open.forEach(SseEmitter::complete);
    }
}
