package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.LongStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Step.Choice;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.prove.ProveState;
import ridgefall.core.separate.SeparateState;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.StripFact;
import ridgefall.core.units.NotAllowed;

/**
 * Devices with all sorts of damage, walked by hands that answer well, badly, twice, out of turn, and take back; somebody who knows no steps
 * stands by. As many walks as {@code -Dridgefall.walks} says, from {@code -Dridgefall.seed} on.
 */
class BystanderTest {
    private static final int WALKS = Integer.getInteger("ridgefall.walks", 24);
    private static final long SEED = Long.getLong("ridgefall.seed", 36_000L);
    private static final int TAPS = 500;
    private static final List<DeviceProfile> DEVICES = EveryDeviceTest.devices().toList();

    static LongStream seeds() {
        return LongStream.range(SEED, SEED + WALKS);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothingIsAskedThatCannotBeOrDoesHarmAndEveryWayHasAnEnd(long seed) {
        Random random = new Random(seed * 7919);
        DeviceProfile device = DEVICES.get(random.nextInt(DEVICES.size()));
        Journey journey = damaged(device, random);
        List<String> way = new ArrayList<>();
        for (int tap = 0; tap < TAPS && journey.next().isPresent(); tap++) {
            Fact fact = tap < TAPS / 2 ? any(journey, random) : sensible(journey);
            if (allowed(journey, fact)) {
                journey.append(fact);
                way.add(fact.toString());
                if (fact instanceof ridgefall.core.carry.CopyFact.CopyBegun begun) {
                    journey.append(Journey.through(begun));
                }
                assertThat(Bystander.of(device, JobState.effective(journey.journal())))
                        .as("%s, seed %d, after %s", device.key(), seed, last(way))
                        .isEmpty();
            }
            assertThat(journey.course().order().circle())
                    .as("%s, seed %d: steps that wait for each other, after %s", device.key(), seed, last(way))
                    .isEmpty();
            isNotStuck(journey, seed, way);
        }
        assertThat(ProveState.of(journey.state()).handedOverAt())
                .as(
                        "%s, seed %d gets to its end; it stands at %s, held by %s, after %s",
                        device.key(),
                        seed,
                        journey.next().map(Step::id),
                        journey.next()
                                .map(step -> step.choices().stream()
                                        .map(choice -> choice.label() + holds(journey, Journey.filled(choice.fact())))
                                        .toList()),
                        last(way))
                .isPresent();
    }

    private static List<String> last(List<String> way) {
        return way.subList(Math.max(0, way.size() - Integer.getInteger("ridgefall.last", 6)), way.size());
    }

    private static Journey damaged(DeviceProfile device, Random random) {
        Journey journey = new Journey(device);
        journey.append(
                new IntakeFact.FrontSeen(FrontCondition.values()[random.nextInt(FrontCondition.values().length)]));
        if (random.nextInt(4) == 0) {
            journey.append(new IntakeFact.BendMarked(Landmark.BOTTOM_LEFT, random.nextBoolean() ? 0.7 : 3, null));
        }
        if (random.nextInt(5) == 0) {
            journey.append(new IntakeFact.PowerSeen(false));
        }
        return journey;
    }

    private static Fact any(Journey journey, Random random) {
        double dice = random.nextDouble();
        Step next = journey.next().orElseThrow();
        boolean open = SeparateState.of(journey.state()).frontOpened();
        if (dice < 0.02 && open) {
            DamageFact.Mishap[] all = DamageFact.Mishap.values();
            return new DamageFact.MishapSeen(all[random.nextInt(all.length)], 10.0);
        } else if (dice < 0.05) {
            return new JobFact.Undone(journey.state().latest().seq());
        } else if (dice < 0.07) {
            return journey.state().latest().fact();
        } else if (dice < 0.09 && open) {
            List<String> out = journey.course().profile().stripOrder().screws().stream()
                    .map(screw -> screw.id())
                    .toList();
            if (!out.isEmpty()) {
                return new StripFact.ScrewTold(out.get(random.nextInt(out.size())), ScrewAt.Where.LOST, null);
            }
        } else if (dice < 0.15) {
            List<Step> all = journey.course().steps().stream()
                    .filter(step -> !step.choices().isEmpty())
                    // What is done at the desk before its turn, a hand undoes again.
                    .filter(step -> step.station().compareTo(Station.DECIDE) > 0 || step.answer() != null)
                    .toList();
            return all.isEmpty() ? choice(next, random) : choice(all.get(random.nextInt(all.size())), random);
        }
        return next.choices().isEmpty() ? sensible(journey) : choice(next, random);
    }

    private static Fact choice(Step step, Random random) {
        List<Choice> likely = step.choices().stream()
                .filter(choice -> !(choice.fact() instanceof DecideFact.NotWorthIt))
                .toList();
        List<Choice> some = likely.isEmpty() ? step.choices() : likely;
        return Journey.filled(some.get(random.nextInt(8) > 0 ? 0 : random.nextInt(some.size()))
                .fact());
    }

    /** What comes next, or what first holds it back, answered as well as can be. */
    private static Fact sensible(Journey journey) {
        Step next = journey.next().orElseThrow();
        Fact fact = first(next);
        return holds(journey, fact).stream()
                .findFirst()
                .flatMap(hold -> journey.course().steps().stream()
                        .filter(step ->
                                step.id().equals(hold.id()) && !step.choices().isEmpty())
                        .findFirst())
                .map(BystanderTest::first)
                .orElse(fact);
    }

    private static Fact first(Step step) {
        return step.choices().stream()
                .map(Choice::fact)
                .filter(fact -> !(fact instanceof DecideFact.NotWorthIt))
                .map(Journey::filled)
                .findFirst()
                .orElseThrow();
    }

    private static List<Hold> holds(Journey journey, Fact fact) {
        try {
            return journey.holds(fact);
        } catch (NotAllowed refused) {
            return List.of(Hold.firm("not-allowed", Station.INTAKE, refused.getMessage()));
        }
    }

    private static boolean allowed(Journey journey, Fact fact) {
        return holds(journey, fact).isEmpty();
    }

    private static void isNotStuck(Journey journey, long seed, List<String> way) {
        Optional<Step> next = journey.next();
        if (next.isPresent()
                && next.get().choices().stream()
                        .map(choice -> Journey.filled(choice.fact()))
                        .noneMatch(fact -> allowed(journey, fact))) {
            List<String> held = next.get().choices().stream()
                    .flatMap(choice -> holds(journey, Journey.filled(choice.fact())).stream())
                    .map(Hold::id)
                    .toList();
            assertThat(journey.course().steps())
                    .as(
                            "%s, seed %d: %s can't be answered, and nothing that holds it: %s, after %s",
                            journey.course().profile().key(), seed, next.get().id(), held, last(way))
                    .anyMatch(step -> held.contains(step.id())
                            && step.choices().stream()
                                    .map(choice -> Journey.filled(choice.fact()))
                                    .anyMatch(fact -> allowed(journey, fact)));
        }
    }
}
