package ridgefall.app.live;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

class NoticeTest {
    private static final UUID JOB = new UUID(7, 9);

    @Test
    void saysWhichJobsHaveChangedToWhatNumber() {
        assertThat(Notice.text(Map.of(JOB, 12L)))
                .isEqualTo("[{\"jobId\":\"00000000-0000-0007-0000-000000000009\",\"seq\":12}]");
        assertThat(Notice.text(Map.of())).isEqualTo("[]");
    }

    @Test
    void isReadAsItWasSaidAndANumberNeverGoesBack() {
        Map<UUID, Long> said = Map.of(JOB, 12L, new UUID(1, 2), 3L);
        assertThat(Notice.read(Notice.text(said))).isEqualTo(said);
        String twice = "[{\"jobId\":\"" + JOB + "\",\"seq\":5},{\"jobId\":\"" + JOB + "\",\"seq\":4}]";
        assertThat(Notice.read(twice)).containsExactly(Map.entry(JOB, 5L));
        assertThat(Notice.read("something else altogether")).isEmpty();
    }

    @Test
    void isNeverLongerThanTheDatabaseTakes() {
        Map<UUID, Long> many = new HashMap<>();
        for (long i = 0; i < 205; i++) {
            many.put(new UUID(i, i), Long.MAX_VALUE - i);
        }
        List<Map<UUID, Long>> parcels = Notice.parcels(many);
        assertThat(parcels).hasSize(3);
        Map<UUID, Long> together = new HashMap<>();
        parcels.forEach(together::putAll);
        assertThat(together).isEqualTo(many);
        assertThat(parcels)
                .allSatisfy(parcel -> assertThat(Notice.text(parcel).getBytes(StandardCharsets.UTF_8))
                        .hasSizeLessThan(8000));
    }
}
