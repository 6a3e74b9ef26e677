package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.carry.CopyFact;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ProfileDocument.Cover;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealFact;
import ridgefall.core.seal.SealState;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.stop.StopFact;
import ridgefall.core.stop.StopState;
import ridgefall.core.strip.StripFact;
import ridgefall.core.units.NotAllowed;

/**
 * Benches that tap what comes to hand: mostly what is next, now and then anything on the screen, a slip, a wedge, or one
 * taken back. What must never happen is written down here once more, from the bare facts.
 */
class WanderingTest {
    private static final int TAPS = 120;

    /** The same at every build; new ones are walked by {@code ./ridgefall bench}, and any by {@code -Dridgefall.seed}. */
    private static final long SEED = Long.getLong("ridgefall.seed", 20_261_201L);

    /** One of each kind at every build: taped with a key, clipped, of plastic, a watch. With a seed of its own it is all of them. */
    private static final Set<String> ONE_OF_EACH_KIND =
            Set.of("marrowby-quire-11", "drumlin-crate-10", "class-tablet-plastic", "pellow-dial-45");

    /** Walks that once came to harm, by device and seed: they are walked again every time. */
    private static final List<Map.Entry<String, Long>> PAST_FAILURES =
            List.of(Map.entry("class-tablet-plastic", 877799L));

    static Stream<Arguments> walks() {
        System.out.println("walks of seed " + SEED);
        List<DeviceProfile> devices = EveryDeviceTest.devices().toList();
        return Stream.concat(
                devices.stream().filter(WanderingTest::isWalked).map(device -> Arguments.of(device, SEED)),
                PAST_FAILURES.stream()
                        .flatMap(past -> devices.stream()
                                .filter(device -> device.key().startsWith(past.getKey()))
                                .map(device -> Arguments.of(device, past.getValue()))));
    }

    private static boolean isWalked(DeviceProfile device) {
        return System.getProperty("ridgefall.seed") != null || ONE_OF_EACH_KIND.contains(device.id());
    }

    /** What one may have looked like when it came in. */
    private static Journey takenIn(DeviceProfile device, Random random) {
        Journey journey = new Journey(device, Journey.real());
        double edge = device.edge().lengthMm();
        journey.append(
                new IntakeFact.FrontSeen(FrontCondition.values()[random.nextInt(FrontCondition.values().length)]));
        if (random.nextBoolean()) {
            journey.append(new IntakeFact.CrackMarked(Math.floor(random.nextDouble() * edge), random.nextInt(2) * 30));
        }
        if (random.nextInt(3) == 0) {
            journey.append(new IntakeFact.BendMarked(Landmark.BOTTOM_LEFT, 0.7, null));
        }
        return journey;
    }

    @ParameterizedTest
    @MethodSource("walks")
    void neverComesToHarm(DeviceProfile device, long seed) {
        Random random = new Random(seed);
        Journey journey = takenIn(device, random);
        for (int tap = 0; tap < TAPS && journey.next().isPresent(); tap++) {
            tap(journey, any(journey, random));
            isNotStuck(journey);
            if (tap % 10 == 0) {
                everyFirmHoldNamesAStep(journey);
            }
        }
        boolean condemned = condemned(journey);
        boolean goneBack = journey.next().isEmpty();
        if (!condemned
                && !goneBack
                && DecideState.of(journey.state()).notWorthIt().isPresent()) {
            journey.append(agreedAfterAll(journey));
        }
        for (int tap = 0; tap < 3 * TAPS && journey.next().isPresent(); tap++) {
            tap(journey, sensible(journey));
        }
        assertThat(ProveState.of(journey.state()).handedOverAt())
                .as("someone who reads what holds a step gets there from anywhere")
                .isPresent();
        boolean repaired = SealState.of(journey.state()).sealedAt().isPresent();
        assertThat(repaired || condemned || goneBack)
                .as("repaired without any sign-off, unless its cell condemned it")
                .isTrue();
        System.out.println(device.key() + ": handed over " + (repaired ? "repaired" : "as it was")
                + (condemned ? ", condemned on the way" : ""));
    }

    /** A lead alone can let it go on. */
    private static boolean condemned(Journey journey) {
        return StopState.of(journey.state()).stopped().isPresent()
                || IntakeState.of(journey.state())
                        .battery()
                        .filter(battery -> battery == IntakeFact.Battery.SWOLLEN)
                        .isPresent();
    }

    private static Fact agreedAfterAll(Journey journey) {
        String repair = journey.course().profile().repairs().get(0).id();
        return new DecideFact.RepairAgreed(repair, null, new BigDecimal("189"), "EUR", "Hut at Nine Tarns");
    }

    private static void tap(Journey journey, Fact fact) {
        if (allowed(journey, fact)) {
            List<Fact> before = facts(journey);
            journey.append(fact);
            isSafe(journey.course().profile(), before, fact);
            if (fact instanceof CopyFact.CopyBegun begun) {
                journey.append(Journey.through(begun));
            }
        }
    }

    /** What comes next, or what first holds it back. */
    private static Fact sensible(Journey journey) {
        Step next = journey.next().orElseThrow();
        Fact fact = first(next);
        return journey.holds(fact).stream()
                .findFirst()
                .flatMap(hold -> journey.course().steps().stream()
                        .filter(step -> step.id().equals(hold.id()))
                        .findFirst())
                .map(WanderingTest::first)
                .orElse(fact);
    }

    /** The likeliest choice that does not end the repair. */
    private static Fact first(Step step) {
        return step.choices().stream()
                .map(Step.Choice::fact)
                .filter(fact -> !(fact instanceof DecideFact.NotWorthIt))
                .map(Journey::filled)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("walks")
    void takesATapBackAsIfItHadNeverBeen(DeviceProfile device, long seed) {
        Random random = new Random(100 + seed);
        Journey journey = takenIn(device, random);
        for (int tap = 0; tap < TAPS / 4 && journey.next().isPresent(); tap++) {
            Map<String, String> before = answers(journey);
            Fact fact = any(journey, random);
            if (!(fact instanceof JobFact.Undone) && allowed(journey, fact)) {
                journey.append(fact);
                Fact undo = new JobFact.Undone(journey.state().seq());
                if (journey.holds(undo).isEmpty()) {
                    journey.append(undo);
                    assertThat(answers(journey))
                            .as("after %s was taken back", fact)
                            .isEqualTo(before);
                    journey.append(fact);
                }
            }
        }
    }

    private static Fact any(Journey journey, Random random) {
        double edge = journey.course().profile().edge().lengthMm();
        double dice = random.nextDouble();
        if (random.nextInt(200) == 0) {
            return new StopFact.CellBad(StopFact.Sign.values()[random.nextInt(StopFact.Sign.values().length)]);
        } else if (random.nextInt(150) == 0) {
            return new DetourFact.Reopened("a look inside");
        } else if (random.nextInt(80) == 0) {
            return new DetourFact.NoteLeft("odd screw at the port", random.nextBoolean());
        } else if (dice < 0.04) {
            return new SeparateFact.WedgeSet(Math.floor(random.nextDouble() * edge));
        } else if (dice < 0.06) {
            // Two places only: every new crack is a new way round the edge to compute.
            return new DamageFact.MishapSeen(
                    DamageFact.Mishap.values()[random.nextInt(DamageFact.Mishap.values().length)],
                    Math.floor((random.nextBoolean() ? 0.2 : 0.7) * edge));
        } else if (dice < 0.11) {
            return new JobFact.Undone(journey.state().latest().seq());
        } else if (dice < 0.15) {
            return new SealFact.Sealed();
        } else if (dice < 0.17) {
            return new ProveFact.HandedOver("whoever stands there");
        }
        Step next = journey.next().orElseThrow();
        List<Step> all = journey.course().steps().stream()
                .filter(step -> !step.choices().isEmpty())
                .toList();
        Step step = dice < 0.35 || next.choices().isEmpty() ? all.get(random.nextInt(all.size())) : next;
        int likeliest = random.nextInt(3) > 0 ? 1 : step.choices().size();
        return Journey.filled(step.choices().get(random.nextInt(likeliest)).fact());
    }

    /** A fact that names what this job does not have is refused like one that is held back. */
    private static boolean allowed(Journey journey, Fact fact) {
        try {
            return journey.holds(fact).isEmpty();
        } catch (NotAllowed refused) {
            return false;
        }
    }

    /** The facts that count, told from the journal without the fold. */
    private static List<Fact> facts(Journey journey) {
        return JobState.effective(journey.journal()).stream().map(Entry::fact).toList();
    }

    private static void isSafe(DeviceProfile device, List<Fact> before, Fact fact) {
        List<Fact> sinceClosed = since(before, DetourFact.Reopened.class::isInstance);
        List<Fact> sincePart = since(sinceClosed, PartsFact.PartSwapped.class::isInstance);
        if (fact instanceof SealFact.Sealed) {
            Map<Double, Boolean> in = new HashMap<>();
            Map<String, Answer> open = new HashMap<>();
            Map<String, Answer> atIntake = new HashMap<>();
            for (Fact earlier : sinceClosed) {
                if (earlier instanceof SeparateFact.WedgeSet f) {
                    in.put(f.positionMm(), true);
                } else if (earlier instanceof SeparateFact.WedgePulled f) {
                    in.remove(f.positionMm());
                } else if (earlier instanceof FunctionTested f && f.phase() == Phase.OPEN) {
                    open.put(f.functionId(), f.answer());
                }
            }
            before.stream()
                    .filter(FunctionTested.class::isInstance)
                    .map(FunctionTested.class::cast)
                    .filter(f -> f.phase() == Phase.BEFORE)
                    .forEach(f -> atIntake.put(f.functionId(), f.answer()));
            assertThat(in).as("wedges left in").isEmpty();
            assertThat(open.keySet().stream().filter(id -> open.get(id) == Answer.FAIL))
                    .as("functions that fail open and did not at intake")
                    .allMatch(id -> atIntake.get(id) == Answer.FAIL
                            && device.function(id).orElseThrow().failsAs() == null);
            assertThat(device.functions().stream()
                            .filter(f -> f.testableWhen().stream()
                                    .anyMatch(when -> when.name().equals("OPEN")))
                            .map(f -> f.id()))
                    .as("every function that can be tested open was")
                    .allMatch(open::containsKey);
            assertThat(sincePart)
                    .as("films and liners off")
                    .containsAll(device.covers().stream()
                            .map(Cover::id)
                            .map(SealFact.CoverRemoved::new)
                            .toList());
            assertThat(sinceClosed).hasAtLeastOneElementOfType(SeparateFact.FrontOpened.class);
        } else if (fact instanceof ProveFact.HandedOver) {
            assertThat(before).anyMatch(f -> f instanceof SealFact.Sealed || f instanceof DecideFact.NotWorthIt);
        } else if (fact instanceof StripFact.PlugFreed freed
                && !device.stripOrder().plugsBeforeIsolation().contains(freed.plugId())) {
            assertThat(since(sinceClosed, f -> f instanceof PartsFact.PartSwapped swap && swap.pluggedIn()))
                    .hasAtLeastOneElementOfType(StripFact.IsolationProven.class);
        } else if (fact instanceof HeatFact.SoakStarted
                || fact instanceof SeparateFact.StretchFreed && device.bonded()) {
            assertThat(before)
                    .hasAtLeastOneElementOfType(IntakeFact.BatterySeen.class)
                    .hasAtLeastOneElementOfType(DecideFact.RepairAgreed.class);
        }
        boolean bad = false;
        for (Fact earlier : before) {
            bad = earlier instanceof StopFact.CellBad
                    || earlier instanceof IntakeFact.BatterySeen seen && seen.battery() == IntakeFact.Battery.SWOLLEN
                    || bad && !(earlier instanceof StopFact.LetGoOn);
        }
        boolean desk = fact instanceof JobFact.Undone
                || fact.station()
                        .filter(at -> at.compareTo(Station.DECIDE) <= 0)
                        .isPresent();
        boolean words = fact instanceof StopFact
                || fact instanceof DamageFact
                || fact instanceof DetourFact.NoteLeft
                || fact instanceof ProveFact.OwnerTold
                || fact instanceof JobFact.HoldOverridden;
        assertThat(bad && !desk && !words).as("%s with a bad cell", fact).isFalse();
    }

    private static List<Fact> since(List<Fact> facts, Predicate<Fact> mark) {
        int last = -1;
        for (int i = 0; i < facts.size(); i++) {
            last = mark.test(facts.get(i)) ? i : last;
        }
        return facts.subList(last + 1, facts.size());
    }

    /** What comes next can be tapped, or what holds it back can: each hold is a step that takes an answer. */
    private static void isNotStuck(Journey journey) {
        List<Step> steps = journey.course().steps();
        Step next = journey.next().orElse(null);
        if (next != null && !canBeAnswered(journey, next)) {
            List<String> answerable = steps.stream()
                    .filter(step -> canBeAnswered(journey, step))
                    .map(Step::id)
                    .toList();
            assertThat(holds(journey, next)).isNotEmpty().extracting(Hold::id).isSubsetOf(answerable);
        }
    }

    /** Of any step in sight, not just of what is due: what no lead can sign off is a step where it can be dealt with. */
    private static void everyFirmHoldNamesAStep(Journey journey) {
        List<Step> steps = journey.course().steps();
        Set<String> ids = steps.stream().map(Step::id).collect(Collectors.toSet());
        for (Step step : steps) {
            if (step.open() && !canBeAnswered(journey, step)) {
                assertThat(holds(journey, step).stream().filter(hold -> !hold.overridable()))
                        .as(step.id())
                        .extracting(Hold::id)
                        .isSubsetOf(ids);
            }
        }
    }

    private static List<Hold> holds(Journey journey, Step step) {
        return step.choices().stream()
                .flatMap(choice -> journey.holds(Journey.filled(choice.fact())).stream())
                .toList();
    }

    private static boolean canBeAnswered(Journey journey, Step step) {
        return step.choices().stream().anyMatch(choice -> allowed(journey, Journey.filled(choice.fact())));
    }

    private static Map<String, String> answers(Journey journey) {
        Map<String, String> answers = new HashMap<>();
        journey.course().steps().forEach(step -> answers.put(step.id(), step.answer() + " " + step.problem()));
        return answers;
    }
}
