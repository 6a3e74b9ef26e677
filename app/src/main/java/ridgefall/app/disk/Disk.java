package ridgefall.app.disk;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** The disk that the data folder is on: journal, photos and log all end there. */
@Component("disk")
public class Disk implements HealthIndicator {
    private static final long LEAST_BYTES = 1L << 30;
    private static final double LEAST_SHARE = 0.05;
    private static final double GB = 1e9;

    private final Path folder;
    private final Room room;

    /** What a disk says of itself, bytes. */
    interface Room {
        long usable();

        long total();
    }

    @Autowired
    Disk(@Value("${ridgefall.data-folder}") String folder) {
        this(Path.of(folder).toAbsolutePath(), new Room() {
            private final File at = Path.of(folder).toAbsolutePath().toFile();

            @Override
            public long usable() {
                return at.getUsableSpace();
            }

            @Override
            public long total() {
                return at.getTotalSpace();
            }
        });
    }

    Disk(Path folder, Room room) {
        this.folder = folder;
        this.room = room;
    }

    /** How much is left, as people say it, where that is less than 1 GB or 5 %; empty while there is enough. */
    public Optional<String> nearlyFull() {
        long left = room.usable();
        return left < LEAST_BYTES || left < LEAST_SHARE * room.total()
                ? Optional.of(String.format(Locale.ROOT, "%.1f GB", left / GB))
                : Optional.empty();
    }

    /** Down where nothing can be written. */
    @Override
    public Health health() {
        try {
            Path probe = Files.createTempFile(folder, ".room", null);
            try {
                Files.write(probe, new byte[4096]);
            } finally {
                Files.deleteIfExists(probe);
            }
            return Health.up().build();
        } catch (IOException e) {
            return Health.down().withDetail("folder", folder.toString()).build();
        }
    }
}
