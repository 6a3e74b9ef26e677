package ridgefall.app.job;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.stream.Stream;
import ridgefall.app.demo.DemoData;
import ridgefall.app.http.Json;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Entry;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Role;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.Hand;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.separate.OpeningPlanner;
import tools.jackson.databind.json.JsonMapper;

/** Works the plans out that come with the app, and what they were made from; run by {@code ./ridgefall plans}. */
final class KeepPlans {
    static final Path FOLDER = Path.of("src/main/resources/plans");

    private static final Path BOOK = Path.of("src/main/resources/book");

    /** What planning is written in, and the devices it plans for. */
    private static final List<String> MADE_FROM = List.of(
            "../core/src/main/java/ridgefall/core/heat",
            "../core/src/main/java/ridgefall/core/separate",
            "../core/src/main/java/ridgefall/core/material",
            "../core/src/main/java/ridgefall/core/edge",
            BOOK.toString());

    private KeepPlans() {}

    public static void main(String[] args) throws IOException {
        if (Files.exists(FOLDER)) {
            try (Stream<Path> old = Files.list(FOLDER)) {
                old.forEach(file -> file.toFile().delete());
            }
        }
        Files.createDirectories(FOLDER);
        questions().forEach(KeepPlans::keep);
        Files.writeString(FOLDER.resolve("made-from"), madeFrom() + "\n");
    }

    private static void keep(HeatQuestion question) {
        List<HeatPlan> heat = question.ranked();
        try (OutputStream file = Files.newOutputStream(FOLDER.resolve(KeptPlans.name(question)))) {
            KeptPlans.write(new KeptPlans.Kept(heat, OpeningPlanner.ranked(question, heat)), file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every shipped device with a bond, in each variant, cracked and shattered, its battery in and, where it comes out first, out. */
    static Stream<HeatQuestion> questions() {
        return Stream.concat(
                documents()
                        .flatMap(KeepPlans::variants)
                        .filter(DeviceProfile::bonded)
                        .flatMap(KeepPlans::questions),
                Stream.of(ofTheDemo()));
    }

    /** The tablet of the demo that came in bent, its crack drawn. */
    private static HeatQuestion ofTheDemo() {
        DeviceProfile device = documents()
                .filter(document -> document.id().equals("marrowby-quire-11"))
                .map(document -> DeviceProfile.of(document, 1, "cellular"))
                .findFirst()
                .orElseThrow();
        List<Entry> journal = new ArrayList<>();
        Stream.concat(
                        Stream.of(new IntakeFact.JobOpened(device.id(), 1, "cellular", "demo", "bent and cracked")),
                        DemoData.BENT_AND_CRACKED.stream())
                .forEach(fact ->
                        journal.add(new Entry(journal.size() + 1L, Instant.EPOCH, "demo", Role.TECHNICIAN, fact)));
        return HeatQuestion.of(device, JobState.of(journal), HeatSource.bench(), Hand.USUAL);
    }

    private static Stream<ProfileDocument> documents() {
        JsonMapper.Builder json = JsonMapper.builder();
        new Json().strictFacts().customize(json);
        JsonMapper reader = json.build();
        try (Stream<Path> files = Files.list(BOOK)) {
            return files.sorted().map(file -> reader.readValue(file.toFile(), ProfileDocument.class)).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Stream<DeviceProfile> variants(ProfileDocument document) {
        return Stream.concat(
                        Stream.of((String) null), document.variants().stream().map(ProfileDocument.Variant::id))
                .map(variant -> DeviceProfile.of(document, 1, variant));
    }

    private static Stream<HeatQuestion> questions(DeviceProfile device) {
        boolean before = device.document().body().batteryReach() == BatteryReach.BEFORE_HEAT;
        return Stream.of(FrontCondition.CRACKED, FrontCondition.SHATTERED)
                .flatMap(front -> Stream.of(false, true)
                        .filter(out -> before || !out)
                        .map(out -> new HeatQuestion(
                                device,
                                front,
                                List.of(),
                                List.of(),
                                out,
                                HeatSource.bench(),
                                Hand.USUAL.nPerMm(),
                                HeatQuestion.USUAL_ROOM_C,
                                List.of())));
    }

    /** Of every file that a plan depends on. */
    static String madeFrom() throws IOException {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (String folder : MADE_FROM) {
                try (Stream<Path> files = Files.walk(Path.of(folder))) {
                    for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                        digest.update(file.getFileName().toString().getBytes(StandardCharsets.UTF_8));
                        digest.update(Files.readAllBytes(file));
                    }
                }
            }
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
