package ridgefall.app.book;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Clock;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.store.WordSearch;
import ridgefall.core.edge.EdgeLine;
import ridgefall.core.profile.DeviceBook;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.units.NotAllowed;
import tools.jackson.databind.json.JsonMapper;

/** Versions of devices in PostgreSQL: one draft at most a device, released ones never change. */
@Repository
public class Book implements DeviceBook {
    private static final int MOST_FOUND = 60;

    private record Key(String id, int version, String variantId) {}

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final ProfileFormat format;
    private final Clock clock;
    /** Released versions never change, and plans are kept by the profile they were made for. */
    private final LoadingCache<Key, DeviceProfile> profiles =
            Caffeine.newBuilder().maximumSize(2000).build(this::load);

    Book(JdbcClient jdbc, JsonMapper json, ProfileFormat format, Clock clock) {
        this.jdbc = jdbc;
        this.json = json;
        this.format = format;
        this.clock = clock;
    }

    /** A device as lists show it; {@code releasedVersion} is null while there is only a draft. */
    public record Listed(
            String id,
            String name,
            String words,
            ProfileDocument.Kind kind,
            boolean generic,
            @Schema(nullable = true) Integer releasedVersion,
            boolean drafted,
            boolean withdrawn,
            int corrections) {}

    public record Version(
            int version,
            String madeBy,
            Instant madeAt,
            @Schema(nullable = true) String releasedBy,
            @Schema(nullable = true) Instant releasedAt) {}

    @Override
    public DeviceProfile profile(String id, int version, String variantId) {
        return profiles.get(new Key(id, version, variantId));
    }

    private DeviceProfile load(Key key) {
        return released(key.id, key.version)
                .map(document -> DeviceProfile.of(document, key.version, key.variantId))
                .orElseThrow(() -> new NotAllowed(
                        "profileId", key.id + " version " + key.version, "a released version of the device book"));
    }

    private Optional<ProfileDocument> released(String id, int version) {
        return jdbc.sql("""
                        select document from device_version
                        where device_id = :id and version = :version and released_at is not null""")
                .param("id", id)
                .param("version", version)
                .query((row, n) -> format.stored(row.getString("document")))
                .optional();
    }

    /** What a job starts with today. */
    public DeviceProfile newest(String id, String variantId) {
        int version = jdbc.sql("select released_version from device where id = :id and not withdrawn")
                .param("id", id == null ? "" : id)
                .query(Integer.class)
                .optional()
                .orElseThrow(() -> new NotAllowed("profileId", id, "a released device of the device book"));
        return profile(id, version, variantId == null || variantId.isBlank() ? null : variantId);
    }

    public Optional<ProfileDocument> document(String id, int version) {
        return jdbc.sql("select document from device_version where device_id = :id and version = :version")
                .param("id", id)
                .param("version", version)
                .query((row, n) -> format.stored(row.getString("document")))
                .optional();
    }

    public List<Version> versions(String id) {
        return jdbc.sql("""
                        select version, made_by, made_at, released_by, released_at from device_version
                        where device_id = :id order by version desc""")
                .param("id", id)
                .query((row, n) -> {
                    OffsetDateTime released = row.getObject("released_at", OffsetDateTime.class);
                    return new Version(
                            row.getInt("version"),
                            row.getString("made_by"),
                            row.getObject("made_at", OffsetDateTime.class).toInstant(),
                            row.getString("released_by"),
                            released == null ? null : released.toInstant());
                })
                .list();
    }

    public Optional<Listed> listed(String id) {
        return list("d.id = :id", "").param("id", id).query(Listed.class).optional();
    }

    /**
     * Devices that have all the given words somewhere in name or description.
     *
     * @param onlyReleased leaves out drafts and what was withdrawn; class profiles are then always at the end
     */
    @Transactional
    public List<Listed> search(String query, boolean onlyReleased) {
        jdbc.sql(WordSearch.PLAN_FOR_THE_WORDS).update();
        WordSearch words = WordSearch.of(query);
        boolean generic = onlyReleased && !words.words().isEmpty();
        String where = "(" + words.matches("d.search") + (generic ? " or d.generic)" : ")")
                + (onlyReleased ? " and d.released_version is not null and not d.withdrawn" : "");
        return words.bind(list(where, " order by d.withdrawn, d.generic, d.name limit " + MOST_FOUND))
                .query(Listed.class)
                .list();
    }

    private JdbcClient.StatementSpec list(String where, String order) {
        return jdbc.sql("""
                select d.id, d.name, d.words, d.kind, d.generic, d.released_version, d.withdrawn,
                    exists (select 1 from device_version v where v.device_id = d.id and v.released_at is null) as drafted,
                    (select count(*) from correction c where c.device_id = d.id and c.settled_at is null) as corrections
                from device d where\s""" + where + order);
    }

    /** Released devices of a kind, the ones nearest in size first. */
    public List<Listed> nearest(ProfileDocument.Kind kind, double widthMm, double heightMm, int most) {
        return list(
                        "d.kind = :kind and d.released_version is not null and not d.withdrawn",
                        " order by abs(d.width_mm - :width) + abs(d.height_mm - :height), d.generic limit " + most)
                .param("kind", kind.name())
                .param("width", widthMm)
                .param("height", heightMm)
                .query(Listed.class)
                .list();
    }

    /** Stores a draft, replacing the one there is; answers its version. */
    @Transactional
    public int draft(ProfileDocument document, String by) {
        EdgeLine edge = document.outline().edge();
        jdbc.sql("""
                        insert into device (id, name, words, kind, generic, width_mm, height_mm, search)
                        values (:id, :name, :words, :kind, :generic, :width, :height, :search)
                        on conflict (id) do nothing""")
                .param("id", document.id())
                .param("name", document.name())
                .param("words", document.words())
                .param("kind", document.kind().name())
                .param("generic", document.generic())
                .param("width", edge.widthMm())
                .param("height", edge.heightMm())
                .param("search", searchText(document))
                .update();
        jdbc.sql("select id from device where id = :id for update")
                .param("id", document.id())
                .query(String.class)
                .single();
        int changed = jdbc.sql("""
                        update device_version set document = cast(:document as jsonb), made_by = :by, made_at = :at
                        where device_id = :id and released_at is null""")
                .param("document", json.writeValueAsString(document))
                .param("by", by)
                .param("at", now())
                .param("id", document.id())
                .update();
        if (changed == 0) {
            jdbc.sql("""
                            insert into device_version (device_id, version, document, made_by, made_at)
                            select :id, coalesce(max(version), 0) + 1, cast(:document as jsonb), :by, :at
                            from device_version where device_id = :id""")
                    .param("id", document.id())
                    .param("document", json.writeValueAsString(document))
                    .param("by", by)
                    .param("at", now())
                    .update();
        }
        return draftVersion(document.id()).orElseThrow();
    }

    public Optional<Integer> draftVersion(String id) {
        return jdbc.sql("select version from device_version where device_id = :id and released_at is null")
                .param("id", id)
                .query(Integer.class)
                .optional();
    }

    /** From now on jobs start with the draft; those that run keep theirs. */
    @Transactional
    public int release(ProfileDocument document, int version, String by) {
        jdbc.sql("""
                        update device_version set released_by = :by, released_at = :at
                        where device_id = :id and version = :version and released_at is null""")
                .param("by", by)
                .param("at", now())
                .param("id", document.id())
                .param("version", version)
                .update();
        EdgeLine edge = document.outline().edge();
        jdbc.sql("""
                        update device set released_version = :version, withdrawn = false, name = :name, words = :words,
                            kind = :kind, generic = :generic, width_mm = :width, height_mm = :height, search = :search
                        where id = :id""")
                .param("version", version)
                .param("name", document.name())
                .param("words", document.words())
                .param("kind", document.kind().name())
                .param("generic", document.generic())
                .param("width", edge.widthMm())
                .param("height", edge.heightMm())
                .param("search", searchText(document))
                .param("id", document.id())
                .update();
        return version;
    }

    /**
     * What has to do with a device.
     *
     * @param versions released ones
     * @param openJobs jobs at work on it, {@code doneJobs} handed over
     * @param parts rows of the shelf and of price lists for it, {@code pieces} of them counted
     * @param cutForIt what holds fronts and is cut for it
     */
    public record Hanging(
            int versions, boolean draft, int openJobs, int doneJobs, int parts, int pieces, int cutForIt) {}

    Optional<Hanging> hanging(String id) {
        return jdbc.sql("""
                        select
                            (select count(*) from device_version v where v.device_id = d.id and v.released_at is not null)
                                as versions,
                            exists (select 1 from device_version v where v.device_id = d.id and v.released_at is null)
                                as draft,
                            (select count(*) from job j where j.profile_id = d.id and j.handed_over_at is null) as open_jobs,
                            (select count(*) from job j where j.profile_id = d.id and j.handed_over_at is not null)
                                as done_jobs,
                            (select count(*) from stock s where s.device_id = d.id) as parts,
                            (select coalesce(sum(s.pieces), 0) from stock s where s.device_id = d.id) as pieces,
                            (select count(*) from supply s where s.profile_id = d.id) as cut_for_it
                        from device d where d.id = :id""").param("id", id).query(Hanging.class).optional();
    }

    /** Out of the book, or back in it: nothing of it is lost, and jobs keep the versions they started with. */
    public boolean withdraw(String id, boolean out) {
        return jdbc.sql("update device set withdrawn = :out where id = :id")
                        .param("out", out)
                        .param("id", id)
                        .update()
                > 0;
    }

    private OffsetDateTime now() {
        return clock.instant().atOffset(ZoneOffset.UTC);
    }

    private static String searchText(ProfileDocument document) {
        String variants =
                document.variants().stream().map(ProfileDocument.Variant::words).collect(Collectors.joining(" "));
        return String.join(
                        " ", document.name(), document.words(), document.kind().words(), variants)
                .toLowerCase(Locale.ROOT);
    }
}
