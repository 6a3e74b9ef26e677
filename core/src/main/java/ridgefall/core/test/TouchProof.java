package ridgefall.core.test;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import ridgefall.core.test.TouchFinding.Before;
import ridgefall.core.test.TouchFinding.DeadPatch;
import ridgefall.core.test.TouchFinding.FewFingers;
import ridgefall.core.test.TouchFinding.Ghosts;
import ridgefall.core.test.TouchFinding.Leaps;
import ridgefall.core.test.TouchFinding.LostLines;
import ridgefall.core.test.TouchFinding.NoLine;
import ridgefall.core.test.TouchFinding.NotProven;
import ridgefall.core.test.TouchFinding.PulledAtEdge;
import ridgefall.core.test.TouchFinding.ShakyHand;
import ridgefall.core.test.TouchFinding.SlowAnswers;
import ridgefall.core.test.TouchFinding.Wavy;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.test.TouchLine.Break;
import ridgefall.core.test.TouchLine.End;
import ridgefall.core.test.TouchLine.Wave;
import ridgefall.core.test.TouchTrace.Stroke;

/** What the traces of a touch layer say of it: by task, since a trace alone does not know what was asked of the hand. */
public final class TouchProof {
    /** Below that a wave is the grain of any panel. */
    static final double HEALTHY_MM = 0.15;

    /** From there on it is seen in what is drawn; between the two, nobody can say. */
    static final double WAVY_MM = 0.25;

    /** A lone cell may have been passed by: it is swept once more. */
    private static final int DEAD_CELLS = 2;

    /** One touch of itself may be a sleeve. */
    private static final int GHOSTS = 2;

    /** Fewer answers than 40 a second, and no wave can be judged. */
    private static final double SLOW_MS = 25;

    /** What is shorter was a start or a slip. */
    private static final double LEAST_LINE_MM = 12;

    /** Lines at two speeds: by less they are one. */
    private static final double OTHER_SPEED = 1.4;

    /** Fingers of a hand lie side by side on no less. */
    private static final double HAND_MM = 60;

    /** An edge where a line is told so far aside is seen; the half of it may be the hand. */
    private static final double PULLED_MM = 2;

    static final double PERHAPS_PULLED_MM = 1.2;

    /** Two lines' ends that are no further apart end at the same place. */
    private static final double SAME_END_MM = 25;

    private TouchProof() {}

    /** Without which nobody says that it works. */
    public static final Set<Task> NEEDED = EnumSet.of(Task.SWEEP, Task.LINES_SLOW, Task.LINES_FAST, Task.WATCH);

    /** Without which nobody says that a stylus draws straight. */
    public static final Set<Task> PEN_NEEDED = EnumSet.of(Task.PEN_SLOW, Task.PEN_FAST);

    /** What the hand is asked for. */
    public enum Task {
        SWEEP("every cell once, slowly"),
        LINES_SLOW("along a ruler, both diagonals, slowly"),
        LINES_FAST("the same twice as fast"),
        WATCH("hands off for ten seconds"),
        FINGERS("all fingers at once"),
        PEN_SLOW("both diagonals with the stylus, slowly"),
        PEN_FAST("the same with it, twice as fast");

        private final String words;

        Task(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** @param traces what was done so far */
    public static List<TouchFinding> judge(Map<Task, TouchTrace> traces) {
        List<TouchFinding> found = new ArrayList<>();
        Optional.ofNullable(traces.get(Task.SWEEP)).ifPresent(sweep -> coverage(TouchGrid.of(sweep), found));
        Optional.ofNullable(traces.get(Task.WATCH)).ifPresent(watch -> ghosts(watch, found));
        Optional.ofNullable(traces.get(Task.FINGERS))
                .flatMap(TouchProof::fingers)
                .ifPresent(found::add);
        boolean dead = found.stream().anyMatch(DeadPatch.class::isInstance);
        if (!dead && noLine(traces, Task.LINES_SLOW, Task.LINES_FAST)) {
            found.add(new NoLine(false));
        }
        drawn(
                lines(traces.get(Task.LINES_SLOW), true),
                lines(traces.get(Task.LINES_FAST), true),
                lines(traces.get(Task.SWEEP), false),
                dead,
                found);
        return found;
    }

    /** Of what a stylus drew: the layer may be well, and what it was told by the old front not. */
    public static List<TouchFinding> judgePen(Map<Task, TouchTrace> traces) {
        List<TouchFinding> found = new ArrayList<>();
        if (noLine(traces, Task.PEN_SLOW, Task.PEN_FAST)) {
            found.add(new NoLine(true));
        }
        drawn(lines(traces.get(Task.PEN_SLOW), true), lines(traces.get(Task.PEN_FAST), true), List.of(), false, found);
        return found;
    }

    /** Whether any of these was done, and no line came of it. */
    private static boolean noLine(Map<Task, TouchTrace> traces, Task... tasks) {
        return Stream.of(tasks)
                .anyMatch(task -> traces.containsKey(task)
                        && lines(traces.get(task), false).isEmpty());
    }

    /** @param dead whether there is a patch that never answers: over it every line is lost, which is said already */
    private static void drawn(
            List<TouchLine> slow, List<TouchLine> fast, List<TouchLine> swept, boolean dead, List<TouchFinding> found) {
        List<TouchLine> all = Stream.of(slow, fast, swept).flatMap(List::stream).toList();
        double medianMs =
                TouchLine.median(all.stream().mapToDouble(TouchLine::medianMs).toArray());
        if (medianMs > SLOW_MS) {
            found.add(new SlowAnswers(1000 / medianMs));
        } else {
            wave(slow, fast).ifPresent(found::add);
        }
        pulled(Stream.concat(slow.stream(), fast.stream()).toList()).ifPresent(found::add);
        List<Break> breaks =
                all.stream().flatMap(line -> line.breaks().stream()).toList();
        List<Break> leaps = breaks.stream().filter(Break::leapt).toList();
        if (!leaps.isEmpty()) {
            found.add(new Leaps(leaps));
        }
        List<Break> lost = breaks.stream().filter(one -> !one.leapt()).toList();
        if (!lost.isEmpty() && !dead) {
            found.add(new LostLines(lost));
        }
    }

    /** Bad where two lines are pulled at the same place: a hand that slips there does so once. */
    private static Optional<TouchFinding> pulled(List<TouchLine> lines) {
        List<End> ends = lines.stream()
                .flatMap(line -> line.ends().stream())
                .filter(end -> end.asideMm() > PERHAPS_PULLED_MM)
                .sorted(Comparator.comparing(End::asideMm).reversed())
                .toList();
        Optional<End> twice = ends.stream()
                .filter(end -> end.asideMm() > PULLED_MM)
                .filter(end -> ends.stream()
                        .anyMatch(other ->
                                other != end && other.asideMm() > PULLED_MM && other.apartMm(end) < SAME_END_MM))
                .findFirst();
        return twice.or(() -> ends.stream().findFirst())
                .map(end -> new PulledAtEdge(end.at(), end.asideMm(), twice.isEmpty()));
    }

    /** Against what the device told as it came in: whether it was so before. */
    public static List<TouchFinding> compared(Map<Task, TouchTrace> before, Map<Task, TouchTrace> now) {
        List<TouchFinding> found = new ArrayList<>();
        if (before.containsKey(Task.SWEEP) && now.containsKey(Task.SWEEP)) {
            List<Cell> was = TouchGrid.of(before.get(Task.SWEEP)).silent();
            List<Cell> is = TouchGrid.of(now.get(Task.SWEEP)).silent();
            long still = is.stream().filter(was::contains).count();
            if (!is.isEmpty()) {
                found.add(new Before("before: "
                        + (still == 0 ? "all of these" : is.size() - still + " of these " + is.size()) + " answered"));
            } else if (!was.isEmpty()) {
                found.add(new Before("before: " + was.size() + " cells did not answer that do now"));
            }
        }
        Wave was = drawn(before);
        Wave is = drawn(now);
        if (was != null && is != null && Math.max(was.amplitudeMm(), is.amplitudeMm()) > HEALTHY_MM) {
            found.add(new Before(String.format(
                    Locale.ROOT, "before: lines swung {mm:%.2f}, now {mm:%.2f}", was.amplitudeMm(), is.amplitudeMm())));
        }
        return found;
    }

    /** The strongest wave of what was drawn along a ruler; null where nothing was. */
    private static Wave drawn(Map<Task, TouchTrace> traces) {
        List<TouchLine> all = Stream.of(Task.LINES_SLOW, Task.LINES_FAST)
                .flatMap(task -> lines(traces.get(task), true).stream())
                .toList();
        return all.isEmpty() ? null : TouchLine.strongest(all);
    }

    private static List<TouchLine> lines(TouchTrace trace, boolean waves) {
        return trace == null
                ? List.of()
                : trace.strokes().stream()
                        .filter(stroke -> stroke.samples().size() >= TouchLine.LEAST_SAMPLES)
                        .filter(stroke -> trace.screen().mm(stroke.lengthPx()) >= LEAST_LINE_MM)
                        .map(stroke -> TouchLine.of(stroke, trace.screen(), waves))
                        .toList();
    }

    static void coverage(TouchGrid grid, List<TouchFinding> found) {
        List<Cell> lone = new ArrayList<>();
        for (List<Cell> patch : grid.patches()) {
            if (patch.size() >= DEAD_CELLS) {
                found.add(new DeadPatch(patch, band(patch, grid)));
            } else {
                lone.addAll(patch);
            }
        }
        if (!lone.isEmpty()) {
            found.add(new NotProven(lone));
        }
    }

    /** As many as fit: a hand on a tablet, two on a watch. */
    private static Optional<TouchFinding> fingers(TouchTrace trace) {
        double narrowMm = trace.screen()
                .mm(Math.min(trace.screen().widthPx(), trace.screen().heightPx()));
        int asked = narrowMm < HAND_MM ? 2 : 5;
        int most = trace.most();
        return most < asked ? Optional.of(new FewFingers(most, asked)) : Optional.empty();
    }

    /** Whether it goes right across or right down. */
    private static boolean band(List<Cell> patch, TouchGrid grid) {
        return patch.stream().map(Cell::column).distinct().count() == grid.columns()
                || patch.stream().map(Cell::row).distinct().count() == grid.rows();
    }

    private static void ghosts(TouchTrace watch, List<TouchFinding> found) {
        List<Stroke> strokes = watch.strokes();
        if (!strokes.isEmpty()) {
            found.add(new Ghosts(
                    strokes.stream().map(stroke -> stroke.samples().get(0)).toList(), strokes.size() < GHOSTS));
        }
    }

    /**
     * A panel's wave stands on the glass: as long however fast the line is drawn. A hand's stands in time: twice as long at twice
     * the speed. So each wave that stands out at either speed is looked for at the other, whatever else the hand does there; with one
     * speed only nobody can tell them apart.
     */
    private static Optional<TouchFinding> wave(List<TouchLine> slow, List<TouchLine> fast) {
        List<TouchLine> all = Stream.concat(slow.stream(), fast.stream()).toList();
        Wave most = TouchLine.strongest(all);
        if (most.amplitudeMm() < HEALTHY_MM) {
            return Optional.empty();
        }
        double slowest = all.stream().mapToDouble(TouchLine::mmPerS).min().orElse(0);
        double fastest = all.stream().mapToDouble(TouchLine::mmPerS).max().orElse(0);
        if (fastest < OTHER_SPEED * slowest) {
            return Optional.of(new Wavy(most, true));
        }
        double between = Math.sqrt(slowest * fastest);
        Map<Boolean, List<TouchLine>> atSpeed =
                all.stream().collect(Collectors.partitioningBy(line -> line.mmPerS() > between));
        List<Wave> onGlass = all.stream()
                .flatMap(line -> line.swings().waves().stream())
                .map(wave -> new Wave(wave.periodMm(), atBoth(atSpeed, wave, DoubleStream::max)))
                .filter(wave -> wave.amplitudeMm() > HEALTHY_MM)
                .toList();
        Optional<Wave> sure = onGlass.stream()
                .map(wave -> new Wave(wave.periodMm(), atBoth(atSpeed, wave, DoubleStream::average)))
                .filter(wave -> wave.amplitudeMm() > WAVY_MM)
                .max(Comparator.comparing(Wave::amplitudeMm));
        if (sure.isPresent()) {
            return Optional.of(new Wavy(sure.get(), false));
        }
        Optional<Wave> perhaps = onGlass.stream().max(Comparator.comparing(Wave::amplitudeMm));
        return perhaps.<TouchFinding>map(wave -> new Wavy(wave, true))
                .or(() -> all.stream()
                        .filter(line -> line.wave().amplitudeMm() > WAVY_MM)
                        // A fast line's answers lie too far apart to count a hand's shaking by.
                        .min(Comparator.comparing(TouchLine::mmPerS))
                        .map(line -> new ShakyHand(most, line.wave().hertz(line.mmPerS()))));
    }

    /** How far lines swing at a wave's length at that speed at which they do so less. */
    private static double atBoth(
            Map<Boolean, List<TouchLine>> atSpeed, Wave wave, Function<DoubleStream, OptionalDouble> of) {
        return atSpeed.values().stream()
                .mapToDouble(lines -> of.apply(
                                lines.stream().mapToDouble(line -> line.swings().atMm(wave.periodMm())))
                        .orElse(0))
                .min()
                .orElse(0);
    }
}
