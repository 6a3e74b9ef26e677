package ridgefall.app.disk;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.boot.health.contributor.Status;

/** A disk says that it is nearly full while there is room left to do something about it. */
class DiskTest {
    @TempDir
    Path folder;

    private static Disk.Room room(double usableGb, double totalGb) {
        return new Disk.Room() {
            @Override
            public long usable() {
                return (long) (usableGb * 1e9);
            }

            @Override
            public long total() {
                return (long) (totalGb * 1e9);
            }
        };
    }

    @ParameterizedTest
    @CsvSource({"30, 400, ", "1.2, 10, ", "1.0, 10, 1.0 GB", "0.4, 2, 0.4 GB", "19.9, 400, 19.9 GB", "0, 400, 0.0 GB"})
    void belowAGigabyteOrATwentiethItSaysWhatIsLeft(double usableGb, double totalGb, String said) {
        assertThat(new Disk(folder, room(usableGb, totalGb)).nearlyFull().orElse(null))
                .isEqualTo(said);
    }

    @Test
    void whereNothingCanBeWrittenItIsNotReady() {
        assertThat(new Disk(folder, room(9, 10)).health().getStatus()).isEqualTo(Status.UP);
        assertThat(folder).isEmptyDirectory();
        assertThat(new Disk(folder.resolve("not there"), room(9, 10)).health().getStatus())
                .isEqualTo(Status.DOWN);
    }
}
