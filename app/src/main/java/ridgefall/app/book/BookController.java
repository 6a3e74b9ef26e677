package ridgefall.app.book;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import ridgefall.app.book.Book.Listed;
import ridgefall.app.book.Book.Version;
import ridgefall.app.book.Corrections.Correction;
import ridgefall.app.csv.CsvFile;
import ridgefall.app.edge.EdgeView;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Jobs;
import ridgefall.app.security.SignedIn;
import ridgefall.app.strip.ScrewFile;
import ridgefall.core.edge.Outline;
import ridgefall.core.profile.DeviceClass;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileCheck.Flaw;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.ProfileGaps;
import ridgefall.core.profile.Resizing;
import ridgefall.core.profile.UsualFeature;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The device book over HTTP. Technicians draw and propose, a lead releases and withdraws; the filter chain says so. */
@RestController
class BookController {
    private static final int NEAREST = 4;

    private final Book book;
    private final ProfileFormat format;
    private final Corrections corrections;
    private final Jobs jobs;
    private final JsonMapper json;

    BookController(Book book, ProfileFormat format, Corrections corrections, Jobs jobs, JsonMapper json) {
        this.book = book;
        this.format = format;
        this.corrections = corrections;
        this.jobs = jobs;
        this.json = json;
    }

    record VariantView(String id, String words) {}

    /** A device a job can start with. */
    record DeviceView(String id, String name, String words, boolean generic, List<VariantView> variants) {}

    record DeviceDetail(
            Listed device,
            ProfileDocument document,
            int version,
            boolean draft,
            List<Version> versions,
            List<Correction> corrections) {}

    /**
     * @param gaps what nobody has looked at yet; empty as long as there are flaws
     * @param orders in which order each repair takes the device apart; empty as long as there are flaws
     * @param edge the picture of a document that has an outline; null while it has none
     */
    record Checked(
            List<Flaw> flaws,
            List<Flaw> gaps,
            List<OrderView> orders,
            @Schema(nullable = true) EdgeView edge) {}

    record Drafted(String id, int version, List<Flaw> flaws) {}

    /** A new device drawn from one the book has; its id is made of its name. */
    record Start(String fromId, String name, double widthMm, double heightMm) {}

    record Settlement(boolean taken) {}

    record Proposal(String what, String found) {}

    /** Devices by any words of their name; class profiles come last, for what nobody knows. */
    @GetMapping("/api/devices")
    List<DeviceView> devices(@RequestParam(defaultValue = "") String query) {
        return book.search(query, true).stream()
                .limit(12)
                .map(d -> new DeviceView(
                        d.id(),
                        d.name(),
                        d.words(),
                        d.generic(),
                        book.newest(d.id(), null).document().variants().stream()
                                .map(v -> new VariantView(v.id(), v.words()))
                                .toList()))
                .toList();
    }

    @GetMapping("/api/book")
    List<Listed> search(@RequestParam(defaultValue = "") String query) {
        return book.search(query, false);
    }

    @GetMapping("/api/book-nearest")
    List<Listed> nearest(
            @RequestParam ProfileDocument.Kind kind, @RequestParam double widthMm, @RequestParam double heightMm) {
        return book.nearest(kind, widthMm, heightMm, NEAREST);
    }

    /** What is assumed of the layers of a class of devices: where own layers start from. */
    @GetMapping("/api/book-layers")
    ProfileDocument.Layers layers(@RequestParam DeviceClass deviceClass, @RequestParam ProfileDocument.Build build) {
        return deviceClass.layers(build);
    }

    /** What lies on edges, as it mostly is: where a feature that is drawn in starts from. */
    @GetMapping("/api/book-usual")
    List<UsualFeature> usual() {
        return UsualFeature.all();
    }

    @GetMapping(path = "/api/formats/device-profile.schema.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @io.swagger.v3.oas.annotations.Hidden
    String schema() {
        return format.schemaText();
    }

    /** The draft if there is one, else what is released. */
    @GetMapping("/api/book/{deviceId}")
    DeviceDetail device(@PathVariable String deviceId) {
        Listed listed = listed(deviceId);
        Optional<Integer> draft = book.draftVersion(deviceId);
        int version = draft.orElseGet(listed::releasedVersion);
        return new DeviceDetail(
                listed,
                document(deviceId, version),
                version,
                draft.isPresent(),
                book.versions(deviceId),
                corrections.open(deviceId));
    }

    @GetMapping("/api/book/{deviceId}/export")
    ResponseEntity<String> export(@PathVariable String deviceId, @RequestParam(required = false) Integer version) {
        Listed listed = listed(deviceId);
        int which = version != null
                ? version
                : listed.releasedVersion() != null
                        ? listed.releasedVersion()
                        : book.draftVersion(deviceId).orElseThrow();
        String file = deviceId + "-v" + which + ".json";
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(file).build().toString())
                .body(json.writerWithDefaultPrettyPrinter().writeValueAsString(document(deviceId, which)));
    }

    /** What is wrong with a document, and its picture: nothing is stored. */
    @PostMapping("/api/book-check")
    Checked check(@RequestBody Map<String, Object> document) {
        ProfileFormat.Read read = format.read(tree(document));
        boolean right = read.flaws().isEmpty();
        return new Checked(
                read.flaws(),
                right ? ProfileGaps.gaps(read.document()) : List.of(),
                right ? OrderView.of(read.document()) : List.of(),
                picture(read.document()));
    }

    @PostMapping("/api/book-start")
    @ResponseStatus(HttpStatus.CREATED)
    Drafted start(@RequestBody Start start, @AuthenticationPrincipal SignedIn who) {
        Listed near = listed(Allowed.text("fromId", start.fromId(), 60));
        int version = Optional.ofNullable(near.releasedVersion())
                .orElseThrow(() -> new NotAllowed("fromId", start.fromId(), "a released device of the book"));
        String id = Allowed.text("name", start.name(), 60)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-+|-+$", "");
        if (id.isEmpty() || book.listed(id).isPresent()) {
            throw new NotAllowed("name", start.name(), "a name with letters or digits that the book does not have yet");
        }
        ProfileDocument made =
                Resizing.of(document(near.id(), version), id, start.name(), start.widthMm(), start.heightMm());
        return new Drafted(
                id, book.draft(made, who.name()), format.read(format.tree(made)).flaws());
    }

    /** Flaws do not keep a draft from being stored, as long as its shape can be read. */
    @PutMapping("/api/book/{deviceId}/draft")
    Drafted draft(
            @PathVariable String deviceId,
            @RequestBody Map<String, Object> document,
            @AuthenticationPrincipal SignedIn who) {
        ProfileFormat.Read read = format.read(tree(document));
        if (read.document() == null
                || read.flaws().stream().anyMatch(f -> f.path().startsWith("outline"))) {
            throw ProfileFormat.refused(read.flaws());
        }
        if (!read.document().id().equals(deviceId)) {
            throw new NotAllowed("id", read.document().id(), deviceId + ", as in the address");
        }
        return new Drafted(deviceId, book.draft(read.document(), who.name()), read.flaws());
    }

    /** All or nothing: a file with any flaw changes nothing. What is right becomes the draft. */
    @PostMapping(path = "/api/book-import", consumes = MediaType.TEXT_PLAIN_VALUE)
    Drafted importFile(@RequestBody String text, @AuthenticationPrincipal SignedIn who) {
        ProfileDocument document = format.right(format.parse(text));
        return new Drafted(document.id(), book.draft(document, who.name()), List.of());
    }

    @PostMapping(path = "/api/book-outline", consumes = MediaType.TEXT_PLAIN_VALUE)
    Outline outline(@RequestBody String text) {
        return OutlineFiles.read(text);
    }

    @GetMapping(path = "/api/book/{deviceId}/screws", produces = "text/csv")
    ResponseEntity<String> screws(@PathVariable String deviceId) {
        return ScrewFile.write(deviceId, device(deviceId).document().screws());
    }

    /** @param screws none where a line has a mistake */
    record GivenScrews(List<Screw> screws, List<CsvFile.Mistake> mistakes) {}

    /** Nothing is stored: whoever draws the device takes them into their draft, or not. */
    @PostMapping(path = "/api/book-screws", consumes = MediaType.TEXT_PLAIN_VALUE)
    GivenScrews screwsOf(@RequestBody String text) {
        CsvFile<Screw> file = ScrewFile.read(text);
        return new GivenScrews(file.mistakes().isEmpty() ? file.lines() : List.of(), file.mistakes());
    }

    @PostMapping("/api/book/{deviceId}/release")
    Drafted release(@PathVariable String deviceId, @AuthenticationPrincipal SignedIn who) {
        int version = book.draftVersion(deviceId)
                .orElseThrow(() -> new NotAllowed("deviceId", deviceId, "a device with a draft"));
        ProfileDocument document = format.right(format.tree(document(deviceId, version)));
        return new Drafted(deviceId, book.release(document, version, who.name()), List.of());
    }

    @DeleteMapping("/api/book/{deviceId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdraw(@PathVariable String deviceId) {
        if (!book.withdraw(deviceId, true)) {
            throw unknown(deviceId);
        }
    }

    @PostMapping("/api/book/{deviceId}/put-back")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putBack(@PathVariable String deviceId) {
        if (!book.withdraw(deviceId, false)) {
            throw unknown(deviceId);
        }
    }

    /** What would go on without it in the book. */
    @GetMapping("/api/book/{deviceId}/hanging")
    Book.Hanging hanging(@PathVariable String deviceId) {
        return book.hanging(deviceId).orElseThrow(() -> unknown(deviceId));
    }

    @PostMapping("/api/book/{deviceId}/corrections/{correctionId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void settle(
            @PathVariable String deviceId,
            @PathVariable long correctionId,
            @RequestBody Settlement settlement,
            @AuthenticationPrincipal SignedIn who) {
        corrections.settle(deviceId, correctionId, settlement.taken(), who.name());
    }

    /** One tap at the bench: the book is not what lies here. */
    @PostMapping("/api/jobs/{jobId}/corrections")
    @ResponseStatus(HttpStatus.CREATED)
    void propose(@PathVariable UUID jobId, @RequestBody Proposal proposal, @AuthenticationPrincipal SignedIn who) {
        DeviceProfile profile = jobs.profile(jobId);
        corrections.propose(profile.id(), profile.version(), jobId, proposal.what(), proposal.found(), who.name());
    }

    private JsonNode tree(Map<String, Object> document) {
        return json.valueToTree(document);
    }

    private static EdgeView picture(ProfileDocument document) {
        if (document == null) {
            return null;
        }
        try {
            return EdgeView.of(DeviceProfile.of(document, 1, null));
        } catch (IllegalArgumentException e) {
            // What is wrong stands among the flaws; there is no picture of it.
            return null;
        }
    }

    private ProfileDocument document(String deviceId, int version) {
        return book.document(deviceId, version)
                .orElseThrow(() -> new NotAllowed("version", version, "a version of " + deviceId));
    }

    private Listed listed(String deviceId) {
        return book.listed(deviceId).orElseThrow(() -> unknown(deviceId));
    }

    private static Problem unknown(String deviceId) {
        return Problem.of(
                HttpStatus.NOT_FOUND,
                "No such device",
                "The book has no device of this id",
                Map.of("field", "deviceId", "value", deviceId, "allowed", "the id of a device of this book"));
    }
}
