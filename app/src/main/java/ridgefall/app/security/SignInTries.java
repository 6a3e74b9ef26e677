package ridgefall.app.security;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * What sign-ins may take of this machine, and how often one may guess: so much for each address, so often for each name from each
 * address. No other address can use that up, so nobody is locked out by a stranger, and whoever guesses from many is as slow at each. Of
 * this node alone.
 */
@Component
class SignInTries {
    static final int TRIES = 5;
    static final Duration LOCK = Duration.ofMinutes(5);

    /** Whoever waits longer would take it for broken. */
    private static final long WAITS_MS = 3000;

    /** So many of an address wait for their turn, and of all: each holds a thread that others need. */
    private static final int WAIT_OF_AN_ADDRESS = 12;

    private static final int WAIT_OF_ALL = 60;

    private static final int KEPT = 100_000;

    /** @param lockedUntil null while it is not */
    private record Failed(int times, Instant lockedUntil) {}

    private record From(String name, String address) {}

    private final Cache<From, Failed> failed =
            Caffeine.newBuilder().expireAfterWrite(LOCK).maximumSize(KEPT).build();
    private final Cache<String, Semaphore> doors =
            Caffeine.newBuilder().expireAfterAccess(LOCK).maximumSize(KEPT).build();
    private final Semaphore hashing =
            new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);
    private final AtomicInteger waiting = new AtomicInteger();
    private final Clock clock;

    SignInTries(Clock clock) {
        this.clock = clock;
    }

    /** Since when a name rests from this address; empty while it does not. */
    Optional<Instant> lockedUntil(String name, String address) {
        return Optional.ofNullable(failed.getIfPresent(new From(name, address)))
                .map(Failed::lockedUntil)
                .filter(clock.instant()::isBefore);
    }

    /** One more wrong try; until when that name rests from there, where that was one too many. */
    Optional<Instant> wrong(String name, String address) {
        Instant now = clock.instant();
        Failed is = failed.asMap().compute(new From(name, address), (from, was) -> {
            int times =
                    was == null || was.lockedUntil() != null && !now.isBefore(was.lockedUntil()) ? 1 : was.times() + 1;
            return new Failed(times, times >= TRIES ? now.plus(LOCK) : null);
        });
        return Optional.ofNullable(is.lockedUntil());
    }

    void right(String name, String address) {
        failed.invalidate(new From(name, address));
    }

    /** A lead has given them another password. */
    void forgive(String name) {
        failed.asMap().keySet().removeIf(from -> from.name().equals(name));
    }

    /** Slow work, one at a time for each address and few at a time in all; empty where that would take too long. */
    <T> Optional<T> inTurn(String address, Supplier<T> work) {
        Semaphore door = doors.get(address, any -> new Semaphore(1, true));
        try {
            return waiting.incrementAndGet() > WAIT_OF_ALL || door.getQueueLength() >= WAIT_OF_AN_ADDRESS
                    ? Optional.empty()
                    : within(door, () -> within(hashing, work)).flatMap(done -> done);
        } finally {
            waiting.decrementAndGet();
        }
    }

    private static <T> Optional<T> within(Semaphore turn, Supplier<T> work) {
        try {
            if (!turn.tryAcquire(WAITS_MS, TimeUnit.MILLISECONDS)) {
                return Optional.empty();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        }
        try {
            return Optional.of(work.get());
        } finally {
            turn.release();
        }
    }
}
