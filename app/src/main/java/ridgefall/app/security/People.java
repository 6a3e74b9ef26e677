package ridgefall.app.security;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.job.Role;
import ridgefall.core.units.Allowed;
import ridgefall.core.units.NotAllowed;

/** The people of the shop: names, slow hashes, roles, how they like their units, and guessing held back. */
@Repository
public class People {
    static final int TRIES = 5;
    static final Duration LOCK = Duration.ofMinutes(5);

    private final JdbcClient jdbc;
    private final Clock clock;
    private final PasswordEncoder encoder = new BCryptPasswordEncoder(12);
    private final String hashOfNobody = encoder.encode(UUID.randomUUID().toString());

    People(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Units a person reads in: temperature C or F, length mm or in. */
    public record Units(String temperature, String length) {
        public Units {
            if (!List.of("C", "F").contains(temperature)) {
                throw new NotAllowed("temperature", temperature, "C or F");
            }
            if (!List.of("mm", "in").contains(length)) {
                throw new NotAllowed("length", length, "mm or in");
            }
        }
    }

    sealed interface Outcome {
        record Welcome(SignedIn who) implements Outcome {}

        record Wrong() implements Outcome {}

        record Locked(Instant until) implements Outcome {}
    }

    private record Row(
            UUID id, String name, String passwordHash, Role role, int failures, OffsetDateTime lockedUntil) {}

    /** Takes as long for a name that does not exist, and counts what fails. */
    @Transactional
    public Outcome signIn(String name, String password) {
        Optional<Row> found = jdbc.sql("""
                        select id, name, password_hash, role, failures, locked_until from person
                        where name = :name and active for update""").param("name", name).query(Row.class).optional();
        Instant now = clock.instant();
        if (found.isEmpty()) {
            encoder.matches(password, hashOfNobody);
            return new Outcome.Wrong();
        }
        Row row = found.get();
        if (row.lockedUntil() != null && row.lockedUntil().toInstant().isAfter(now)) {
            return new Outcome.Locked(row.lockedUntil().toInstant());
        }
        if (encoder.matches(password, row.passwordHash())) {
            failures(row.id(), 0, null);
            return new Outcome.Welcome(new SignedIn(row.id(), row.name(), row.role()));
        }
        int failures = row.failures() + 1;
        if (failures >= TRIES) {
            failures(row.id(), 0, now.plus(LOCK));
            return new Outcome.Locked(now.plus(LOCK));
        }
        failures(row.id(), failures, null);
        return new Outcome.Wrong();
    }

    private void failures(UUID id, int failures, Instant lockedUntil) {
        jdbc.sql("update person set failures = :failures, locked_until = :until where id = :id")
                .param("failures", failures)
                .param("until", lockedUntil == null ? null : lockedUntil.atOffset(ZoneOffset.UTC))
                .param("id", id)
                .update();
    }

    public Units units(UUID personId) {
        return jdbc.sql("select temperature, length from person where id = :id")
                .param("id", personId)
                .query(Units.class)
                .single();
    }

    public void setUnits(UUID personId, Units units) {
        jdbc.sql("update person set temperature = :temperature, length = :length where id = :id")
                .param("temperature", units.temperature())
                .param("length", units.length())
                .param("id", personId)
                .update();
    }

    public boolean nobody() {
        return jdbc.sql("select not exists (select 1 from person)")
                .query(Boolean.class)
                .single();
    }

    /** A person of the shop as others may see them; who left can't sign in but stays in the journal. */
    public record Person(UUID id, String name, Role role, boolean active) {}

    public List<Person> all() {
        return jdbc.sql("select id, name, role, active from person order by active desc, name")
                .query(Person.class)
                .list();
    }

    /**
     * Gives a person another role, or takes or gives back the right to sign in. Their open sessions end.
     *
     * @throws NotAllowed when there is no such person, or no lead would be left
     */
    @Transactional
    public void change(UUID id, Role role, boolean active) {
        Allowed.present("role", role);
        String name = name(id);
        // All leads locked in one order: two leads who dismiss each other must not both succeed.
        boolean leadLeft = jdbc
                .sql("select id from person where role = 'LEAD' and active order by id for update")
                .query(UUID.class)
                .list()
                .stream()
                .anyMatch(lead -> !lead.equals(id));
        if (!leadLeft && !(role == Role.LEAD && active)) {
            throw new NotAllowed("role", role.words(), "lead: the shop needs one who can sign in");
        }
        jdbc.sql("update person set role = :role, active = :active where id = :id")
                .param("role", role.name())
                .param("active", active)
                .param("id", id)
                .update();
        endSessions(name);
    }

    /**
     * Sets someone's password and ends their sessions.
     *
     * @throws NotAllowed when there is no such person or the password does not do
     */
    @Transactional
    public void setPassword(UUID id, String password) {
        String name = name(id);
        storePassword(id, password);
        endSessions(name);
    }

    /**
     * @return false when the old password is wrong; nothing changes then
     * @throws NotAllowed when the new password does not do
     */
    @Transactional
    public boolean changePassword(UUID id, String old, String password) {
        String hash = jdbc.sql("select password_hash from person where id = :id for update")
                .param("id", id)
                .query(String.class)
                .single();
        if (old == null || !encoder.matches(old, hash)) {
            return false;
        }
        storePassword(id, password);
        return true;
    }

    private void storePassword(UUID id, String password) {
        jdbc.sql("update person set password_hash = :hash, failures = 0, locked_until = null where id = :id")
                .param("hash", hash(password))
                .param("id", id)
                .update();
    }

    private String name(UUID id) {
        return jdbc.sql("select name from person where id = :id")
                .param("id", id)
                .query(String.class)
                .optional()
                .orElseThrow(() -> new NotAllowed("personId", id, "a person of this shop"));
    }

    private void endSessions(String name) {
        jdbc.sql("delete from spring_session where principal_name = :name")
                .param("name", name)
                .update();
    }

    private String hash(String password) {
        // BCrypt reads 72 bytes; longer would be cut without a word.
        if (password == null || password.length() < 8 || password.getBytes(StandardCharsets.UTF_8).length > 72) {
            throw new NotAllowed("password", "(not shown)", "8 to 72 characters");
        }
        return encoder.encode(password);
    }

    /** @throws NotAllowed when the name is taken or the password too short */
    public void add(String name, String password, Role role) {
        Allowed.text("name", name, 60);
        Allowed.present("role", role);
        int added = jdbc.sql("""
                        insert into person (id, name, password_hash, role) values (:id, :name, :hash, :role)
                        on conflict (name) do nothing""")
                .param("id", UUID.randomUUID())
                .param("name", name)
                .param("hash", hash(password))
                .param("role", role.name())
                .update();
        if (added == 0) {
            throw new NotAllowed("name", name, "a name nobody here has yet");
        }
    }
}
