package ridgefall.core.job;

import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * A clock that runs at the bench.
 *
 * @param id tells two of a kind apart; the kind's own where there is only one
 * @param seq of the fact that started it
 * @param stoppedAt null while it runs
 */
public record Timer(String id, String kind, long seq, Instant startedAt, int seconds, Instant stoppedAt) {
    public boolean running() {
        return stoppedAt == null;
    }

    private Timer stopped(Instant at) {
        return new Timer(id, kind, seq, startedAt, seconds, at);
    }

    /**
     * A clock to start; one of the same id that runs is stopped.
     *
     * @param until when it runs out whenever it is started; null where that follows from its seconds
     */
    public record Start(String id, String kind, int seconds, Instant until) {
        public Start(String id, String kind, int seconds) {
            this(id, kind, seconds, null);
        }

        public Start(TimerKind kind, int seconds) {
            this(kind, seconds, null);
        }

        public Start(TimerKind kind, int seconds, Instant until) {
            this(kind.id(), kind.id(), seconds, until);
        }

        private Timer at(Entry entry) {
            Instant from = entry.happenedAt();
            int runs = until == null
                    ? seconds
                    : (int) Math.max(0, Duration.between(from, until).toSeconds());
            return new Timer(id, kind, entry.seq(), from, runs, null);
        }
    }

    /**
     * What a fact does to clocks.
     *
     * @param stops ids of those that stop
     * @param stopsAll whether none runs on
     */
    public record Change(List<Start> starts, List<String> stops, boolean stopsAll) {
        public static final Change NONE = new Change(List.of(), List.of(), false);
        public static final Change STOP_ALL = new Change(List.of(), List.of(), true);

        public static Change start(Start start, String... stops) {
            return new Change(List.of(start), List.of(stops), false);
        }

        public static Change stop(String... ids) {
            return new Change(List.of(), List.of(ids), false);
        }

        List<Timer> on(List<Timer> before, Entry entry) {
            if (equals(NONE)) {
                return before;
            }
            List<Timer> after = before.stream()
                    .map(timer -> timer.running() && ends(timer) ? timer.stopped(entry.happenedAt()) : timer)
                    .toList();
            for (Start start : starts) {
                after = Fold.plus(after, start.at(entry));
            }
            return after;
        }

        private boolean ends(Timer timer) {
            return stopsAll || stops.contains(timer.id) || starts.stream().anyMatch(start -> start.id.equals(timer.id));
        }
    }
}
