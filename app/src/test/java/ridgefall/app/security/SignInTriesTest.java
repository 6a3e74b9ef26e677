package ridgefall.app.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** Whoever guesses is held back where they are, and nobody else is. */
class SignInTriesTest {
    private static final Instant NOON = Instant.parse("2026-03-02T12:00:00Z");

    private final Clock clock = mock();
    private final SignInTries tries = new SignInTries(clock);

    SignInTriesTest() {
        when(clock.instant()).thenReturn(NOON);
    }

    private void wrong(int times, String name, String address) {
        for (int i = 0; i < times; i++) {
            tries.wrong(name, address);
        }
    }

    @Test
    void fiveWrongTriesRestAndThenThereAreFiveMore() {
        wrong(4, "Ansa", "192.0.2.1");
        assertThat(tries.lockedUntil("Ansa", "192.0.2.1")).isEmpty();
        assertThat(tries.wrong("Ansa", "192.0.2.1")).contains(NOON.plusSeconds(300));
        assertThat(tries.lockedUntil("Ansa", "192.0.2.1")).contains(NOON.plusSeconds(300));
        when(clock.instant()).thenReturn(NOON.plusSeconds(300));
        assertThat(tries.lockedUntil("Ansa", "192.0.2.1")).isEmpty();
        assertThat(tries.wrong("Ansa", "192.0.2.1")).isEmpty();
    }

    @Test
    void noStrangerLocksAnyoneOutElsewhereAndNoNameStandsForAnother() {
        wrong(50, "Ansa", "192.0.2.1");
        assertThat(tries.lockedUntil("Ansa", "192.0.2.2")).isEmpty();
        assertThat(tries.lockedUntil("Tove", "192.0.2.1")).isEmpty();
    }

    @Test
    void whoGetsInBeginsAnewAndSoDoesWhoIsGivenAnotherPassword() {
        wrong(4, "Ansa", "192.0.2.1");
        tries.right("Ansa", "192.0.2.1");
        assertThat(tries.wrong("Ansa", "192.0.2.1")).isEmpty();
        wrong(4, "Ansa", "192.0.2.1");
        tries.forgive("Ansa");
        assertThat(tries.lockedUntil("Ansa", "192.0.2.1")).isEmpty();
    }

    /** One at a time from each address, a few in line: the rest are told at once, and the next turn is another one's. */
    @Test
    void aHundredFromOneAddressKeepNobodyElseWaitingAndAreToldToComeBack() throws Exception {
        ExecutorService pool = Executors.newCachedThreadPool();
        CountDownLatch busy = new CountDownLatch(1);
        CountDownLatch first = new CountDownLatch(1);
        try {
            List<Future<Optional<Boolean>>> many = new ArrayList<>();
            for (int i = 0; i < 100; i++) {
                many.add(pool.submit(() -> tries.inTurn("192.0.2.1", () -> {
                    first.countDown();
                    return quietly(busy);
                })));
            }
            first.await();
            long toldAtOnce = 0;
            while (toldAtOnce < 100 - 13) {
                toldAtOnce = many.stream().filter(Future::isDone).count();
            }
            busy.countDown();
            assertThat(tries.inTurn("192.0.2.2", () -> true)).contains(true);
            int served = 0;
            for (Future<Optional<Boolean>> one : many) {
                served += one.get().isPresent() ? 1 : 0;
            }
            assertThat(served).isBetween(1, 13);
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void whatTakesTooLongIsToldSo() throws Exception {
        CountDownLatch busy = new CountDownLatch(1);
        CountDownLatch begun = new CountDownLatch(1);
        ExecutorService pool = Executors.newSingleThreadExecutor();
        try {
            Future<Optional<Boolean>> slow = pool.submit(() -> tries.inTurn("192.0.2.1", () -> {
                begun.countDown();
                return quietly(busy);
            }));
            begun.await();
            assertThat(tries.inTurn("192.0.2.1", () -> true)).isEmpty();
            busy.countDown();
            assertThat(slow.get()).contains(true);
        } finally {
            pool.shutdownNow();
        }
    }

    private static boolean quietly(CountDownLatch until) {
        try {
            until.await();
            return true;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }
}
