package ridgefall.app.prove;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.attach.Attachments;
import ridgefall.app.attach.Kind;
import ridgefall.app.http.Problem;
import ridgefall.app.instrument.Quantity;
import ridgefall.app.instrument.Readings;
import ridgefall.app.intake.Photos;
import ridgefall.app.job.Answers.Receipt;
import ridgefall.app.job.Jobs;
import ridgefall.app.job.Journal;
import ridgefall.app.job.OldForms;
import ridgefall.app.job.Plans;
import ridgefall.app.security.SignedIn;
import ridgefall.app.test.TouchProofs;
import ridgefall.app.test.TouchProofs.Kept;
import ridgefall.core.gate.Course;
import ridgefall.core.intake.IntakeFact.BroughtIn;
import ridgefall.core.intake.IntakeFact.JobOpened;
import ridgefall.core.job.Entry;
import ridgefall.core.job.FactWords;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.Station;
import ridgefall.core.job.Timer;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Whole jobs as files. What comes in is checked as if it were typed, place by place, and goes in whole or not at all: under a new
 * number, with new ids for its files, and with a last fact that says where it comes from.
 */
@Component
class JobFiles {
    /** Fields of facts that name a file of the job or a piece of a shelf: both are others where a job is brought in. */
    private static final Set<String> NAMING = Set.of("photoId", "drawing", "fileId", "stockId");

    private static final int MOST_READINGS = 100_000;
    private static final int MOST_PROOFS = 200;
    private static final int NAME = 80;
    private static final int HASH = 32;

    private final Attachments attachments;
    private final Readings readings;
    private final TouchProofs proofs;
    private final Jobs jobs;
    private final Journal journal;
    private final Plans plans;
    private final TransactionTemplate transactions;
    private final Clock clock;
    private final JsonMapper json;

    JobFiles(
            Attachments attachments,
            Readings readings,
            TouchProofs proofs,
            Jobs jobs,
            Journal journal,
            Plans plans,
            TransactionTemplate transactions,
            Clock clock,
            JsonMapper json) {
        this.attachments = attachments;
        this.readings = readings;
        this.proofs = proofs;
        this.jobs = jobs;
        this.journal = journal;
        this.plans = plans;
        this.transactions = transactions;
        this.clock = clock;
        this.json = json.rebuild()
                .changeDefaultNullHandling(usual -> JsonSetter.Value.forContentNulls(Nulls.FAIL))
                .build();
    }

    JobFile of(UUID jobId, Jobs.Job job) {
        return new JobFile(
                job.number(),
                job.course().journal().stream().map(JobFile.Line::of).toList(),
                attachments.of(jobId).stream()
                        .flatMap(file -> attachments.content(file.id()).stream()
                                .map(content -> new JobFile.Attached(
                                        file.id(),
                                        file.kind(),
                                        file.name(),
                                        Evidence.path(jobId, file),
                                        file.mediaType(),
                                        file.sha256() == null
                                                ? null
                                                : HexFormat.of().formatHex(file.sha256()),
                                        file.runSeq(),
                                        file.addedAt(),
                                        file.addedBy(),
                                        Base64.getEncoder().encodeToString(content))))
                        .toList(),
                job.course().state().timers().stream()
                        .map(run -> new JobFile.Run(run.seq(), run.kind(), readings(jobId, run)))
                        .filter(run -> !run.readings().isEmpty())
                        .toList(),
                proofs.kept(jobId));
    }

    private List<JobFile.Reading> readings(UUID jobId, Timer run) {
        return readings.of(jobId, run.seq()).stream()
                .map(r -> new JobFile.Reading(
                        r.instrument(),
                        r.quantity(),
                        r.quantity().unit(),
                        r.place(),
                        Duration.between(run.startedAt(), r.readAt()).toMillis() / 1000.0,
                        r.value()))
                .sorted(Comparator.comparingDouble(JobFile.Reading::seconds)
                        .thenComparing(JobFile.Reading::instrument)
                        .thenComparing(JobFile.Reading::quantity)
                        .thenComparing(JobFile.Reading::place)
                        .thenComparing(JobFile.Reading::value))
                .toList();
    }

    /**
     * @param commandId becomes the job's id; sent again, it is answered as the first time
     * @throws Problem that names the first place where something can't be taken; nothing is changed then
     */
    Receipt bringIn(UUID commandId, String text, SignedIn who) {
        Map<String, String> others = new HashMap<>();
        JobFile file = read(text, others);
        Instant now = clock.instant().truncatedTo(ChronoUnit.MILLIS);
        Course course = course(file, now);
        tellable(course);
        List<Attachments.New> files = files(file, others, course, now);
        runs(file, course);
        touch(file, now);
        BroughtIn from = new BroughtIn(file.number(), file.journal().size());
        Entry last = new Entry(file.journal().size() + 1L, now, who.name(), who.role(), from);
        Course whole = course.with(last);
        boolean first = Boolean.TRUE.equals(transactions.execute(status -> {
            if (!journal.bringIn(commandId, whole)) {
                return false;
            }
            for (int i = 0; i < files.size(); i++) {
                attachments.add(commandId, files.get(i), file.files().get(i).addedAt());
            }
            for (JobFile.Run run : file.runs()) {
                readings.addAll(commandId, run.seq(), readings(run, whole));
            }
            file.touch().forEach(kept -> proofs.bringIn(commandId, kept));
            return true;
        }));
        return first ? new Receipt(commandId, last.seq(), now) : before(commandId, from);
    }

    private Receipt before(UUID commandId, BroughtIn from) {
        return jobs.course(commandId).journal().stream()
                .filter(entry -> entry.fact().equals(from))
                .findFirst()
                .map(entry -> new Receipt(commandId, entry.seq(), entry.happenedAt()))
                .orElseThrow(() -> Problem.commandUsedBefore(commandId));
    }

    /** @param others takes the new id of each old one */
    private JobFile read(String text, Map<String, String> others) {
        JsonNode tree;
        try {
            tree = json.readTree(text);
        } catch (JacksonException e) {
            throw Problem.at("file", e);
        }
        if (!JobFile.FORMAT.equals(tree.path("format").asString(""))) {
            throw Problem.at("format", tree.path("format").asString("missing"), JobFile.FORMAT);
        }
        long number =
                tree.path("number").isIntegralNumber() ? tree.get("number").asLong() : 0;
        JsonNode lines = tree.path("journal");
        int count = lines.size();
        if (!lines.isArray() || count < 1 || count > JobFile.MOST_FACTS) {
            throw Problem.at(
                    "journal", lines.isArray() ? count + " facts" : "no list", "1 to " + JobFile.MOST_FACTS + " facts");
        }
        List<JobFile.Line> journal = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            if (lines.get(i).get("fact") instanceof ObjectNode fact) {
                OldForms.upCast(fact);
                rename(fact, others);
            }
            journal.add(bound("journal/" + (i + 1), lines.get(i), JobFile.Line.class));
        }
        return new JobFile(
                number,
                journal,
                all("files", tree, JobFile.Attached.class),
                all("runs", tree, JobFile.Run.class),
                all("touch", tree, Kept.class));
    }

    private static void rename(ObjectNode fact, Map<String, String> others) {
        for (String field : NAMING) {
            if (fact.path(field).isString()) {
                fact.put(
                        field,
                        others.computeIfAbsent(
                                fact.get(field).asString(),
                                old -> UUID.randomUUID().toString()));
            }
        }
        if (fact.get("held") instanceof ObjectNode held) {
            rename(held, others);
        }
    }

    private <T> List<T> all(String field, JsonNode tree, Class<T> type) {
        if (!(tree.get(field) instanceof ArrayNode list)) {
            throw Problem.at(field, tree.has(field) ? "no list" : "missing", "a list");
        }
        List<T> all = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            all.add(bound(field + "/" + (i + 1), list.get(i), type));
        }
        return all;
    }

    private <T> T bound(String place, JsonNode node, Class<T> type) {
        if (!node.isObject()) {
            throw Problem.at(place, "no object", "an object");
        }
        try {
            return json.treeToValue(node, type);
        } catch (JacksonException e) {
            throw Problem.at(place, e);
        } catch (NotAllowed e) {
            throw Problem.at(place, e);
        }
    }

    /** The journal followed fact by fact: each has to be one that can be, for this device, after those before it. */
    private Course course(JobFile file, Instant now) {
        checked("file", any -> Allowed.between("number", file.number(), 1, Long.MAX_VALUE, ""));
        Course course = null;
        Instant before = Instant.EPOCH;
        for (int i = 0; i < file.journal().size(); i++) {
            String place = "journal/" + (i + 1);
            JobFile.Line line = file.journal().get(i);
            Entry entry = new Entry(i + 1L, line.happenedAt(), line.who(), line.role(), line.fact());
            Course here = course;
            Instant earliest = before;
            checked(place, any -> inOrder(line, entry.seq(), file.journal(), earliest, now));
            try {
                entry.fact().check();
                course = here == null ? plans.course(List.of(entry)) : here.with(entry);
            } catch (NotAllowed e) {
                throw Problem.at(place + "/fact", e);
            }
            before = line.happenedAt();
        }
        return course;
    }

    private static void inOrder(
            JobFile.Line line, long seq, List<JobFile.Line> journal, Instant earliest, Instant latest) {
        if (line.seq() != seq) {
            throw new NotAllowed("seq", line.seq(), seq + ": facts are numbered from 1 on, none left out");
        }
        Allowed.text("who", line.who(), NAME);
        Allowed.present("role", line.role());
        Allowed.present("fact", line.fact());
        Instant at = Allowed.present("happenedAt", line.happenedAt());
        if (at.isBefore(earliest) || at.isAfter(latest)) {
            throw new NotAllowed(
                    "happenedAt", at, earliest + " to " + latest + ": after the fact before it, and not to come");
        }
        if (line.fact() instanceof JobFact.Undone undo) {
            undoes(undo, seq, journal);
        }
        if (seq == 1 != line.fact() instanceof JobOpened) {
            throw new NotAllowed("type", line.fact().getClass().getSimpleName(), "JobOpened first, and only there");
        }
    }

    private static void undoes(JobFact.Undone undo, long seq, List<JobFile.Line> journal) {
        boolean there = undo.seq() >= 1
                && undo.seq() < seq
                && !(journal.get((int) undo.seq() - 1).fact() instanceof JobFact.Undone);
        if (!there) {
            throw new NotAllowed("seq", undo.seq(), "the number of a fact before it");
        }
    }

    /**
     * Whether all that is said of a job can be said of this one. What is held or known today is not asked, as its facts were
     * recorded by the rules of their day; but a file that nobody's bench has written may name what makes no sense.
     */
    private void tellable(Course whole) {
        if (tells(whole)) {
            return;
        }
        List<Entry> journal = whole.journal();
        int told = 0;
        int untold = journal.size();
        while (untold - told > 1) {
            int facts = (told + untold) / 2;
            boolean tells = tells(plans.course(journal.subList(0, facts)));
            told = tells ? facts : told;
            untold = tells ? untold : facts;
        }
        throw Problem.at(
                "journal/" + untold + "/fact",
                journal.get(untold - 1).fact().getClass().getSimpleName(),
                "a fact that this device can have, after those before it");
    }

    private static boolean tells(Course course) {
        try {
            course.steps();
            course.record();
            course.resume();
            course.whenItGoesWrong();
            course.holdsBeforeSealing();
            Arrays.stream(Station.values()).forEach(course::cautions);
            FactWords words = course.words();
            course.journal().forEach(entry -> words.say(entry.fact()));
            return true;
        } catch (RuntimeException broken) {
            return false;
        }
    }

    private static void past(String field, Instant at, Instant now) {
        if (Allowed.present(field, at).isBefore(Instant.EPOCH) || at.isAfter(now)) {
            throw new NotAllowed(field, at, Instant.EPOCH + " to " + now);
        }
    }

    private static void checked(String place, Consumer<String> check) {
        try {
            check.accept(place);
        } catch (NotAllowed e) {
            throw Problem.at(place, e);
        }
    }

    /** Ready to be kept, in the order of the file, each under the id that its facts now know it by. */
    private List<Attachments.New> files(JobFile file, Map<String, String> others, Course course, Instant now) {
        Map<Kind, Integer> counts = new HashMap<>();
        Set<UUID> ids = new HashSet<>();
        List<Attachments.New> all = new ArrayList<>();
        for (int i = 0; i < file.files().size(); i++) {
            JobFile.Attached one = file.files().get(i);
            checked("files/" + (i + 1), any -> {
                Kind kind = Allowed.present("kind", one.kind());
                if (counts.merge(kind, 1, Integer::sum) > kind.mostAJob()) {
                    throw new NotAllowed("kind", kind, "at most " + kind.mostAJob() + " of it");
                } else if (!ids.add(Allowed.present("id", one.id()))) {
                    throw new NotAllowed("id", one.id(), "one file for each id");
                }
                all.add(kept(one, others, course, now));
            });
        }
        return all;
    }

    private static Attachments.New kept(JobFile.Attached one, Map<String, String> others, Course course, Instant now) {
        byte[] content;
        MediaType type;
        byte[] hash;
        String what = "base64";
        try {
            content = Base64.getDecoder().decode(Allowed.present(what, one.base64()));
            what = "mediaType";
            type = MediaType.parseMediaType(Allowed.present(what, one.mediaType()));
            what = "sha256";
            hash = one.sha256() == null ? null : HexFormat.of().parseHex(one.sha256());
        } catch (IllegalArgumentException e) {
            throw new NotAllowed(what, "something else", "base 64, a media type, 64 hexadecimal digits");
        }
        one.kind().check(content, type);
        boolean photo = one.kind() == Kind.PHOTO;
        // A photo was drawn anew from what was brought; everything else is as it came.
        if (hash != null && (hash.length != HASH || !photo && !Arrays.equals(hash, Attachments.sha256(content)))) {
            throw new NotAllowed("sha256", one.sha256(), "what the content comes to");
        }
        if (photo && !one.mediaType().equals(MediaType.IMAGE_JPEG_VALUE)) {
            throw new NotAllowed("mediaType", one.mediaType(), "image/jpeg, as photos are kept");
        }
        if (one.runSeq() != null && course.state().timers().stream().noneMatch(run -> run.seq() == one.runSeq())) {
            throw new NotAllowed("runSeq", one.runSeq(), "the number of a fact that started a clock");
        }
        past("addedAt", one.addedAt(), now);
        return new Attachments.New(
                UUID.fromString(others.computeIfAbsent(
                        one.id().toString(), old -> UUID.randomUUID().toString())),
                one.kind(),
                photo ? "" : Allowed.text("name", one.name(), NAME),
                one.mediaType(),
                content,
                photo ? Photos.thumb(content) : null,
                hash,
                one.runSeq(),
                Allowed.text("addedBy", one.addedBy(), NAME));
    }

    private void runs(JobFile file, Course course) {
        Map<Long, String> clocks =
                course.state().timers().stream().collect(Collectors.toMap(Timer::seq, Timer::kind, (a, b) -> a));
        Set<Long> seen = new HashSet<>();
        int count = 0;
        for (int i = 0; i < file.runs().size(); i++) {
            JobFile.Run run = file.runs().get(i);
            count += run.readings() == null ? 0 : run.readings().size();
            int all = count;
            checked("runs/" + (i + 1), any -> {
                Allowed.present("readings", run.readings());
                Allowed.between("readings", all, 1, MOST_READINGS, "readings in all");
                if (!String.valueOf(run.kind()).equals(clocks.get(run.seq())) || !seen.add(run.seq())) {
                    throw new NotAllowed(
                            "seq", run.seq(), "the number of a fact that started a clock of that kind, once");
                }
            });
            for (int r = 0; r < run.readings().size(); r++) {
                JobFile.Reading reading = run.readings().get(r);
                checked("runs/" + (i + 1) + "/readings/" + (r + 1), any -> {
                    Allowed.present("quantity", reading.quantity());
                    Allowed.text("instrument", reading.instrument(), NAME);
                    Allowed.text("place", reading.place(), NAME);
                    Allowed.between("seconds", reading.seconds(), 0, 1e8, "s");
                    Quantity quantity = reading.quantity();
                    Allowed.between("value", reading.value(), quantity.least(), quantity.greatest(), quantity.unit());
                });
            }
        }
    }

    private static List<Readings.Reading> readings(JobFile.Run run, Course course) {
        Instant started = course.state().timers().stream()
                .filter(clock -> clock.seq() == run.seq())
                .findFirst()
                .orElseThrow()
                .startedAt();
        return run.readings().stream()
                .map(r -> new Readings.Reading(
                        r.instrument(),
                        r.quantity(),
                        r.place(),
                        started.plusMillis(Math.round(1000 * r.seconds())),
                        r.value()))
                .toList();
    }

    private void touch(JobFile file, Instant now) {
        checked("file", any -> Allowed.between("touch", file.touch().size(), 0, MOST_PROOFS, "links"));
        for (int i = 0; i < file.touch().size(); i++) {
            Kept kept = file.touch().get(i);
            checked("touch/" + (i + 1), any -> {
                past("madeAt", kept.madeAt(), now);
                proofs.check(kept, now);
            });
        }
    }
}
