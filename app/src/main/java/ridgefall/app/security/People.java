package ridgefall.app.security;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
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
    private final JdbcClient jdbc;
    private final PasswordEncoder encoder;
    private final String hashOfNobody;
    private final TransactionTemplate transactions;
    private final SignInTries tries;

    /** @param hashRounds of a password, as a power of two, 4 to 31; tests that sign in all the time take the least */
    People(
            JdbcClient jdbc,
            SignInTries tries,
            TransactionTemplate transactions,
            @Value("${ridgefall.hash-rounds}") int hashRounds) {
        this.jdbc = jdbc;
        this.tries = tries;
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

    /** What became of a sign-in. */
    public sealed interface Outcome {
        record Welcome(SignedIn who) implements Outcome {}

        record Wrong() implements Outcome {}

        record Locked(Instant until) implements Outcome {}

        /** Too many sign in from there at once. */
        record Busy() implements Outcome {}
    }

    private record Row(UUID id, String name, String passwordHash, Role role) {}

    /**
     * Takes as long for a name that does not exist, and counts what fails. The slow hash is computed before a connection is taken; who is
     * locked out meanwhile learns nothing, right or wrong.
     *
     * @param address that it comes from
     */
    public Outcome signIn(String name, String password, String address) {
        Optional<Outcome> locked = tries.lockedUntil(name, address).map(Outcome.Locked::new);
        if (locked.isPresent()) {
            return locked.get();
        }
        Optional<Row> found = row(name);
        String hash = found.map(Row::passwordHash).orElse(hashOfNobody);
        return tries.inTurn(address, () -> encoder.matches(password, hash))
                .map(matches -> counted(name, address, matches ? unchanged(found) : Optional.empty()))
                .orElseGet(Outcome.Busy::new);
    }

    private Optional<Row> row(String name) {
        return jdbc.sql("select id, name, password_hash, role from person where name = :name and active")
                .param("name", name)
                .query(Row.class)
                .optional();
    }

    /** As they are now: dismissed, or given another password, while the slow hash was computed, they are not let in by the old one. */
    private Optional<Row> unchanged(Optional<Row> seen) {
        return seen.flatMap(row -> row(row.name()))
                .filter(now -> now.passwordHash().equals(seen.get().passwordHash()));
    }

    private Outcome counted(String name, String address, Optional<Row> right) {
        Optional<Outcome> locked = tries.lockedUntil(name, address).map(Outcome.Locked::new);
        if (locked.isPresent()) {
            return locked.get();
        } else if (right.isEmpty()) {
            return tries.wrong(name, address).<Outcome>map(Outcome.Locked::new).orElseGet(Outcome.Wrong::new);
        }
        tries.right(name, address);
        return new Outcome.Welcome(
                new SignedIn(right.get().id(), right.get().name(), right.get().role()));
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
        endSessions(name, null);
    }

    /**
     * Sets someone's password and ends their sessions.
     *
     * @throws NotAllowed when there is no such person or the password does not do
     */
    public void setPassword(UUID id, String password, String address) {
        String name = name(id);
        String hash = hash(password, name, address);
        transactions.executeWithoutResult(status -> {
            storePassword(id, hash);
            endSessions(name, null);
        });
        tries.forgive(name);
    }

    /**
     * Changes one's own password, which ends all one's other sessions.
     *
     * @param session that goes on
     * @return false when the old password is wrong; nothing changes then
     * @throws NotAllowed when the new password does not do
     */
    public boolean changePassword(UUID id, String old, String password, String session, String address) {
        String known = jdbc.sql("select password_hash from person where id = :id")
                .param("id", id)
                .query(String.class)
                .single();
        if (old == null || !inTurn(address, () -> encoder.matches(old, known))) {
            return false;
        }
        String name = name(id);
        String hash = hash(password, name, address);
        transactions.executeWithoutResult(status -> {
            storePassword(id, hash);
            endSessions(name, session);
        });
        return true;
    }

    private void storePassword(UUID id, String hash) {
        jdbc.sql("update person set password_hash = :hash where id = :id")
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

    /** @param but the session that goes on; null where none does */
    private void endSessions(String name, String but) {
        jdbc.sql("delete from spring_session where principal_name = :name"
                        + " and session_id is distinct from cast(:but as char(36))")
                .param("name", name)
                .param("but", but)
                .update();
    }

    private String hash(String password, String name, String address) {
        Passwords.check(password, name);
        return inTurn(address, () -> encoder.encode(password));
    }

    private <T> T inTurn(String address, Supplier<T> work) {
        return tries.inTurn(address, work).orElseThrow(SessionController::busy);
    }

    /** The same by the app itself. */
    public void add(String name, String password, Role role) {
        add(name, password, role, "here");
    }

    /** @throws NotAllowed when the name is taken or the password does not do */
    public void add(String name, String password, Role role, String address) {
        Allowed.text("name", name, 60);
        Allowed.present("role", role);
        int added = jdbc.sql("""
                        insert into person (id, name, password_hash, role) values (:id, :name, :hash, :role)
                        on conflict (name) do nothing""")
                .param("id", UUID.randomUUID())
                .param("name", name)
                .param("hash", hash(password, name, address))
                .param("role", role.name())
                .update();
        if (added == 0) {
            throw new NotAllowed("name", name, "a name nobody here has yet");
        }
    }
}
