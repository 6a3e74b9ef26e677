package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.bond.BondFact.HeldByChosen;
import ridgefall.core.bond.BondState;
import ridgefall.core.bond.Supply;
import ridgefall.core.bond.WhatHolds.Way;
import ridgefall.core.edge.Landmark;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.job.Timer;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealState;

/** Every demo device is closed, proven and handed over by each way that its own numbers allow, straight or bent. */
class EveryWayToHoldTest {
    private static final List<String> BENT = List.of("brackenholt-tarn-10", "sillery-satchel-7");

    private static List<Supply> shelf(DeviceProfile device) {
        LocalDate day = LocalDate.of(2026, 9, 1);
        return List.of(
                new Supply.Roll("roll-2", "tape of 2", 30_000, 2, 0.2),
                new Supply.Roll("roll-1", "tape of 1", 30_000, 1, 0.2),
                new Supply.Rings("rings", "rings", 3, device.id(), 0.3),
                new Supply.Glue("glue", "glue", 10, 0.3, 8, 24, 500, day),
                new Supply.Liquid("liquid", "liquid", 10, 1, 3, day),
                new Supply.Clamps("clamps", "clamps", 40, 15));
    }

    private static Journey atTheChoice(DeviceProfile device, boolean bent) {
        Journey journey = new Journey(device, Journey.withShelf(shelf(device)));
        if (bent) {
            journey.append(new BendMarked(Landmark.BOTTOM_RIGHT, 0.5, 60.0));
        }
        return journey.untilStep("bond.held");
    }

    static Stream<Arguments> ways() {
        return ShippedBook.IDS.stream()
                .map(ShippedBook::profile)
                .filter(DeviceProfile::bonded)
                .flatMap(device -> Stream.of(false, BENT.contains(device.id()))
                        .distinct()
                        .flatMap(bent -> {
                            Journey journey = atTheChoice(device, bent);
                            return journey.course().waysToHold().stream()
                                    .filter(Way::allowed)
                                    .map(way -> Arguments.of(device.key() + (bent ? ", bent" : ""), journey, way));
                        }));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("ways")
    void closesByIt(String device, Journey atTheChoice, Way way) {
        Journey journey = atTheChoice.again();
        journey.append(new HeldByChosen(
                way.by(),
                way.from() == null ? null : way.from().id(),
                way.from() == null ? null : way.from().name(),
                way.rollsMm()));
        journey.toTheEnd();
        assertThat(SealState.of(journey.state()).sealedAt()).isPresent();
        assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
        assertThat(journey.state().running())
                .as("no clock runs on")
                .extracting(Timer::id)
                .isEmpty();
        assertThat(BondState.of(journey.state()).used())
                .as("what was taken of the shelf is counted")
                .extracting(BondState.Used::supplyId)
                .contains(way.from().id());
    }
}
