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
import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;
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
    private final PasswordEncoder encoder;
    private final String hashOfNobody;
    private final TransactionTemplate transactions;
    private final Semaphore hashing =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);

    /** @param hashRounds of a password, as a power of two, 4 to 31; tests that sign in all the time take the least */
    People(
            JdbcClient jdbc,
            Clock clock,
            TransactionTemplate transactions,
            @Value("${ridgefall.hash-rounds}") int hashRounds) {
        this.jdbc = jdbc;
        this.clock = clock;
        this.transactions = transactions;
        encoder = new BCryptPasswordEncoder(hashRounds);
        hashOfNobody = encoder.encode(UUID.randomUUID().toString());
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

    private record Row(UUID id, String name, String passwordHash, Role role, int failures, OffsetDateTime lockedUntil) {
        Optional<Outcome> locked(Instant now) {
            return Optional.ofNullable(lockedUntil)
                    .map(OffsetDateTime::toInstant)
                    .filter(now::isBefore)
                    .map(Outcome.Locked::new);
        }
    }

    /**
     * Takes as long for a name that does not exist, and counts what fails. The slow hash is computed before the row is
     * locked and a connection taken; who is locked out meanwhile learns nothing, right or wrong.
     */
    public Outcome signIn(String name, String password) {
        Optional<Row> found = row(name, "");
        if (found.isEmpty()) {
            matches(password, hashOfNobody);
            return new Outcome.Wrong();
        }
        Row seen = found.get();
        Optional<Outcome> locked = seen.locked(clock.instant());
        if (locked.isPresent()) {
            return locked.get();
        }
        boolean right = matches(password, seen.passwordHash());
        return transactions.execute(status -> counted(seen, right));
    }

    private Outcome counted(Row seen, boolean right) {
        Instant now = clock.instant();
        Optional<Row> found = row(seen.name(), " for update");
        if (found.isEmpty() || !found.get().passwordHash().equals(seen.passwordHash())) {
            return new Outcome.Wrong();
        }
        Row row = found.get();
        Optional<Outcome> locked = row.locked(now);
        if (locked.isPresent()) {
            return locked.get();
        }
        if (right) {
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

    private Optional<Row> row(String name, String lock) {
        return jdbc.sql("select id, name, password_hash, role, failures, locked_until from person"
                        + " where name = :name and active" + lock)
                .param("name", name)
                .query(Row.class)
                .optional();
    }

    private boolean matches(String password, String hash) {
        return hashing(() -> encoder.matches(password, hash));
    }

    /** Few at a time: sign-ins must leave the machine to the benches that work. */
    private <T> T hashing(Supplier<T> work) {
        hashing.acquireUninterruptibly();
        try {
            return work.get();
        } finally {
            hashing.release();
        }
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
    public void setPassword(UUID id, String password) {
        String name = name(id);
        String hash = hash(password);
        transactions.executeWithoutResult(status -> {
            storePassword(id, hash);
            endSessions(name);
        });
    }

    /**
     * @return false when the old password is wrong; nothing changes then
     * @throws NotAllowed when the new password does not do
     */
    public boolean changePassword(UUID id, String old, String password) {
        String known = jdbc.sql("select password_hash from person where id = :id")
                .param("id", id)
                .query(String.class)
                .single();
        if (old == null || !matches(old, known)) {
            return false;
        }
        storePassword(id, hash(password));
        return true;
    }

    private void storePassword(UUID id, String hash) {
        jdbc.sql("update person set password_hash = :hash, failures = 0, locked_until = null where id = :id")
                .param("hash", hash)
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
        return hashing(() -> encoder.encode(password));
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
