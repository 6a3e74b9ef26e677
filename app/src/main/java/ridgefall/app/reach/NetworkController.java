package ridgefall.app.reach;

import io.swagger.v3.oas.annotations.media.Schema;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.reach.BenchNetwork.Door;

/** Says how others get here: to the start command by a file, to a screen by a call. */
@RestController
class NetworkController {
    private final BenchNetwork network;
    private final NetworkSettings asked;

    NetworkController(BenchNetwork network, NetworkSettings asked) {
        this.network = network;
        this.asked = asked;
    }

    /** @param url null where no other device may call; then the rest is null too */
    record NetworkView(
            @Schema(nullable = true) String url,
            @Schema(nullable = true) String fingerprint,
            @Schema(nullable = true) Instant until) {}

    @GetMapping("/api/network")
    NetworkView network() {
        return network.door()
                .map(door -> new NetworkView(door.url(), door.fingerprint(), door.until()))
                .orElse(new NetworkView(null, null, null));
    }

    @EventListener(ApplicationReadyEvent.class)
    void tellTheStartCommand() throws IOException {
        if (NetworkSettings.blank(asked.folder())) {
            return;
        }
        Path file = Path.of(asked.folder(), "network.txt");
        if (network.door().isEmpty()) {
            Files.deleteIfExists(file);
            return;
        }
        Door door = network.door().get();
        Files.writeString(
                file,
                "Other devices reach it at " + door.url() + ", certificate SHA-256\n  " + door.fingerprint() + "\n");
    }
}
