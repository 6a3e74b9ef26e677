package ridgefall.core.strip;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.bond.BondStation;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.StationRoom;
import ridgefall.core.job.Step;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.OnTheBench;
import ridgefall.core.profile.OrderGraph.Act;
import ridgefall.core.profile.OrderGraph.Move;
import ridgefall.core.profile.ProfileDocument;
import ridgefall.core.profile.ProfileDocument.Connector;
import ridgefall.core.profile.ProfileDocument.PlugRole;
import ridgefall.core.profile.ProfileDocument.Screw;
import ridgefall.core.profile.RandomDevice;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.seal.SealFact.Sealed;
import ridgefall.core.seal.SealStation;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.strip.ScrewAt.Where;
import ridgefall.core.strip.StripFact.BatteryIsolated;
import ridgefall.core.strip.StripFact.PlugFreed;
import ridgefall.core.strip.StripFact.ScrewDriven;
import ridgefall.core.strip.StripFact.ScrewsMoved;
import ridgefall.core.test.TestStation;

/**
 * Devices that chance made, taken apart and put together by hands that do what is asked for next. What they can do is judged on a bench
 * that knows covers, screws and cables, and nothing of orders.
 */
class AnyDeviceTest {
    private static final StationRoom STRIP = new StripStation();
    private static final StationRoom TEST = new TestStation();

    /** The same few at every build; {@code ./ridgefall bench} makes more, by a seed of its own. */
    private static final long SEED = Long.getLong("ridgefall.seed", 23);

    private static final int MADE = Integer.getInteger("ridgefall.made", 120);

    static Stream<DeviceProfile> devices() {
        Stream<ProfileDocument> shipped =
                ShippedBook.documents().flatMap(d -> d.variants().isEmpty() ? Stream.of(d) : Stream.of(d, merged(d)));
        return Stream.concat(shipped, RandomDevice.thatComeApart(SEED, MADE)).map(d -> DeviceProfile.of(d, 1, null));
    }

    private static ProfileDocument merged(ProfileDocument d) {
        return DeviceProfile.of(d, 1, d.variants().get(d.variants().size() - 1).id())
                .document();
    }

    /** One device on its way: its journal, and what is really off it. */
    private static final class Apart {
        final DeviceProfile profile;
        final ProfileDocument device;
        final OnTheBench bench;
        final Journey journey;
        final List<Connector> freedLive = new ArrayList<>();

        Apart(DeviceProfile profile) {
            this.profile = profile;
            device = profile.document();
            bench = new OnTheBench(device);
            journey = new Journey(profile).append(new FrontOpened());
        }

        Optional<Step> next(StationRoom room, Predicate<Step> of) {
            return room.steps(profile, journey.state()).stream()
                    .filter(step -> step.open() && of.test(step))
                    .findFirst();
        }

        Fact tap(StationRoom room, Step step) {
            Fact fact = step.choices().get(0).fact();
            assertThat(room.holds(fact, profile, journey.state()))
                    .as("%s", fact)
                    .isEmpty();
            journey.append(fact);
            return fact;
        }

        Apart takenApart() {
            Optional<Step> asked = next(STRIP, step -> true);
            while (asked.isPresent()) {
                boolean isolated = StripState.isolated(journey.state());
                Fact fact = tap(STRIP, asked.get());
                for (Move move : out(fact)) {
                    assertThat(bench.doneFromAbove(move))
                            .as("%s of %s", move, device.id())
                            .isTrue();
                }
                if (fact instanceof PlugFreed freed && plug(freed).needsIsolation() && !isolated) {
                    assertThat(asked.get().hint()).startsWith("still live");
                    freedLive.add(plug(freed));
                }
                asked = next(STRIP, step -> true);
            }
            return this;
        }

        Connector plug(PlugFreed freed) {
            return device.connectors().stream()
                    .filter(plug -> plug.id().equals(freed.plugId()))
                    .findFirst()
                    .orElseThrow();
        }

        List<Move> out(Fact fact) {
            if (fact instanceof ScrewsMoved moved) {
                return moved.holeIds().stream().map(AnyDeviceTest::screw).toList();
            } else if (fact instanceof PlugFreed freed) {
                return List.of(unplug(freed.plugId()));
            }
            return fact instanceof BatteryIsolated ? batteries() : List.of();
        }

        List<Move> batteries() {
            return device.connectors().stream()
                    .filter(plug -> plug.role() == PlugRole.BATTERY)
                    .map(plug -> unplug(plug.id()))
                    .toList();
        }

        /** What a step of the way back puts where it was. */
        List<Move> back(Fact fact) {
            if (fact instanceof ScrewsMoved moved) {
                return moved.holeIds().stream().map(AnyDeviceTest::screw).toList();
            } else if (fact instanceof CheckAnswered check && check.checkId().startsWith("test.home-")) {
                return List.of(unplug(check.checkId().substring("test.home-".length())));
            }
            return fact instanceof CheckAnswered ? batteries() : List.of();
        }
    }

    private static Move screw(String id) {
        return new Move(Act.SCREW_OUT, id);
    }

    private static Move unplug(String id) {
        return new Move(Act.UNPLUG, id);
    }

    /** With the battery out of circuit before every plug that asks for it, but for those over which alone it can be reached. */
    @ParameterizedTest
    @MethodSource("devices")
    void comesApartInAnOrderThatHandsCanFollow(DeviceProfile profile) {
        Apart apart = new Apart(profile).takenApart();
        for (Connector live : apart.freedLive) {
            assertThat(apart.batteries())
                    .as("%s", live.id())
                    .anyMatch(battery -> !OnTheBench.reaches(apart.device, battery, unplug(live.id())));
        }
        assertThat(StripState.stillIn(profile, apart.journey.state())).isEmpty();
        assertThat(StripState.of(apart.journey.state()).holes().keySet())
                .containsExactlyInAnyOrderElementsOf(
                        profile.stripOrder().screws().stream().map(Screw::id).toList());
    }

    @ParameterizedTest
    @MethodSource("devices")
    void goesTogetherAsAValidReverse(DeviceProfile profile) {
        Apart apart = new Apart(profile).takenApart();
        Set<Move> home = new HashSet<>();
        Optional<Step> asked = apart.next(TEST, AnyDeviceTest::isOfTheWayBack);
        while (asked.isPresent()) {
            goesBack(apart, apart.tap(TEST, asked.get()), home);
            asked = apart.next(TEST, AnyDeviceTest::isOfTheWayBack);
        }
        for (Connector plug : profile.connectors()) {
            assertThat(home).contains(unplug(plug.id()));
        }
        while (apart.next(SEAL, AnyDeviceTest::isOfScrews).isPresent()) {
            goesBack(
                    apart,
                    apart.tap(SEAL, apart.next(SEAL, AnyDeviceTest::isOfScrews).get()),
                    home);
        }
        assertThat(home)
                .hasSize(profile.connectors().size()
                        + profile.stripOrder().screws().size());
    }

    private static final BondStation NOTHING_HELD =
            new BondStation((profile, rollsMm, patched) -> List.of(), List::of, TEST, Instant.EPOCH);

    private static final StationRoom SEAL = new SealStation(List.of(STRIP, TEST), TEST, NOTHING_HELD, Instant.EPOCH);

    private static boolean isOfTheWayBack(Step step) {
        return step.id().startsWith("test.home-")
                || step.id().startsWith("test.screws-")
                || step.id().equals("test.plugged");
    }

    private static boolean isOfScrews(Step step) {
        return step.id().equals("seal.screws");
    }

    private static void goesBack(Apart apart, Fact fact, Set<Move> home) {
        for (Move move : apart.back(fact)) {
            if (home.add(move)) {
                assertThat(apart.bench.putBack(move))
                        .as("buried by %s of %s", move, apart.device.id())
                        .isEmpty();
            }
        }
        boolean batteryIn =
                home.containsAll(apart.batteries()) && !apart.batteries().isEmpty();
        apart.profile.connectors().stream()
                .filter(plug -> plug.needsIsolation() && batteryIn)
                .filter(plug -> !home.contains(unplug(plug.id())))
                .forEach(plug -> assertThat(apart.freedLive)
                        .as("live on the way down too")
                        .contains(plug));
    }

    /** By hand: another thread never; else what is over 0.1 short of the bottom, or holds less than 0.8 of its diameter, is not let pass. */
    @ParameterizedTest
    @MethodSource("devices")
    void noScrewIsInAnothersHoleUnlessThatIsOnRecordAndItFits(DeviceProfile profile) {
        Apart apart = new Apart(profile).takenApart();
        List<Screw> all = profile.stripOrder().screws();
        for (Screw hole : all) {
            for (Screw kind : all) {
                ScrewDriven driven = Screws.driven(hole, kind);
                List<Hold> holds = STRIP.holds(driven, profile, apart.journey.state());
                if (!sameThread(hole, kind) || tooLong(hole, kind)) {
                    assertThat(holds).singleElement().matches(hold -> !hold.overridable());
                } else if (tooShort(hole, kind)) {
                    assertThat(holds).singleElement().matches(Hold::overridable);
                } else {
                    assertThat(holds).isEmpty();
                }
            }
        }
        for (Screw hole : all) {
            apart.journey.append(Screws.driven(hole, all.get(0)));
            ScrewAt at = StripState.of(apart.journey.state()).holes().get(hole.id());
            assertThat(at.where()).isEqualTo(Where.ANOTHER);
        }
    }

    private static boolean sameThread(Screw hole, Screw kind) {
        return hole.threadMm() == kind.threadMm();
    }

    private static boolean measured(Screw hole) {
        return hole.stackMm() != null && hole.threadedMm() != null;
    }

    private static boolean tooLong(Screw hole, Screw kind) {
        return measured(hole)
                ? kind.underHeadMm() - hole.stackMm() > hole.threadedMm() - 0.1 + 1e-9
                : kind.underHeadMm() > hole.underHeadMm() + 0.3 + 1e-9;
    }

    private static boolean tooShort(Screw hole, Screw kind) {
        return measured(hole)
                ? Math.min(kind.underHeadMm() - hole.stackMm(), hole.threadedMm()) < 0.8 * hole.threadMm() - 1e-9
                : kind.underHeadMm() < hole.underHeadMm() - 0.3 - 1e-9;
    }

    /** Whatever is tapped about whichever hole: none is sealed over while it waits, is lost, or nobody knows. */
    @ParameterizedTest
    @MethodSource("devices")
    void whateverIsToldScrewsReconcileOrHoldTheSeal(DeviceProfile profile) {
        List<Screw> all = profile.stripOrder().screws();
        Random random = new Random(all.size());
        Apart apart = new Apart(profile).takenApart();
        for (int tap = 0; tap < 5 * all.size(); tap++) {
            List<Step.Choice> about = Screws.of(profile, apart.journey.state())
                    .orElseThrow()
                    .about(all.get(random.nextInt(all.size())).id());
            Fact fact = about.get(random.nextInt(about.size())).fact();
            if (STRIP.holds(fact, profile, apart.journey.state()).isEmpty()) {
                apart.journey.append(fact);
            }
            boolean settled = all.stream()
                    .map(screw -> StripState.of(apart.journey.state()).holes().get(screw.id()))
                    .allMatch(at -> at.driven() || at.none());
            boolean held = SEAL.holds(new Sealed(), profile, apart.journey.state()).stream()
                    .anyMatch(hold -> Stream.of("seal.screws", "seal.lost-", "strip.screws")
                            .anyMatch(hold.id()::startsWith));
            assertThat(held).as("after %s", fact).isEqualTo(!settled);
        }
    }
}
