package ridgefall.app.job;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.separate.Opening;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * Plans that come with the app: what the planner says of the shipped devices on the usual bench, worked out when it was last
 * changed and not at every first look. One file a question, named by all that the question depends on, so that no other is ever
 * answered by it.
 */
final class KeptPlans {
    /** A device that was in the database has the entries of its maps in another order. */
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    private static final int NAME_BYTES = 12;

    private KeptPlans() {}

    /** @param heat how each source warms it, the best first; {@code openings} the best way to open it by each */
    record Kept(List<HeatPlan> heat, List<Opening> openings) {}

    static Optional<Kept> of(HeatQuestion question) {
        try (InputStream file = KeptPlans.class.getResourceAsStream("/plans/" + name(question))) {
            return file == null ? Optional.empty() : Optional.of(JSON.readValue(new GZIPInputStream(file), Kept.class));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static boolean has(HeatQuestion question) {
        return KeptPlans.class.getResource("/plans/" + name(question)) != null;
    }

    static void write(Kept kept, OutputStream file) throws IOException {
        try (OutputStream packed = new GZIPOutputStream(file)) {
            JSON.writeValue(packed, kept);
        }
    }

    /** By everything in the question; of its device by the whole document, variant and all. */
    static String name(HeatQuestion question) {
        List<Object> all = new ArrayList<>(Arrays.asList(
                question.profile().document(),
                question.condition(),
                question.cracks(),
                question.bends(),
                question.batteryOut(),
                question.sources(),
                question.handNPerMm(),
                question.roomC(),
                question.harms()));
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(JSON.writeValueAsBytes(all));
            return question.profile().id() + "-" + HexFormat.of().formatHex(digest, 0, NAME_BYTES) + ".json.gz";
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
