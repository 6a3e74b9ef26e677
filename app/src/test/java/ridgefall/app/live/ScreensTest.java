package ridgefall.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class ScreensTest {
    private final Screens screens = new Screens();

    /** A screen that notes what it hears until its browser is closed without a word. */
    private static final class Screen extends SseEmitter {
        private final List<String> heard = new ArrayList<>();
        private Exception gone;
        private int attempts;

        @Override
        public void send(SseEventBuilder event) throws IOException {
            attempts++;
            if (gone instanceof IOException e) {
                throw e;
            }
            if (gone instanceof IllegalStateException e) {
                throw e;
            }
            StringBuilder text = new StringBuilder();
            for (ResponseBodyEmitter.DataWithMediaType part : event.build()) {
                text.append(part.getData());
            }
            heard.add(text.toString().strip());
        }

        @Override
        public void completeWithError(Throwable e) {
            throw new IllegalStateException("the request has already gone");
        }
    }

    private Screen opened() {
        return opened("session");
    }

    private Screen opened(String session) {
        Screen screen = new Screen();
        screens.open(screen, session);
        return screen;
    }

    @Test
    void aScreenWhoseSessionHasEndedHearsNoMore() {
        Screen stays = opened("one");
        Screen ended = opened("other");
        assertThat(screens.sessions()).containsExactlyInAnyOrder("one", "other");
        screens.end(Set.of("other"));
        screens.broadcast("changed", "{1}");
        assertThat(stays.heard).hasSize(2);
        assertThat(ended.heard).hasSize(1);
        assertThat(screens.sessions()).containsExactly("one");
    }

    @Test
    void aScreenIsGreetedAndThenHearsEveryChange() {
        Screen screen = opened();
        screens.broadcast("changed", "{1}");
        assertThat(screen.heard).containsExactly("event:hello\ndata:{}", "event:changed\ndata:{1}");
    }

    @Test
    void screensThatVanishAreForgottenAndTheOthersGoOnHearing() {
        Screen pulled = opened();
        Screen closed = opened();
        Screen stays = opened();
        pulled.gone = new IOException("connection reset");
        closed.gone = new IllegalStateException("already complete");
        screens.broadcast("changed", "{1}");
        screens.broadcast("changed", "{2}");
        assertThat(stays.heard).hasSize(3);
        assertThat(pulled.attempts).isEqualTo(2);
        assertThat(closed.attempts).isEqualTo(2);
    }
}
