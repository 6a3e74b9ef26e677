package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.bond.HeldBy;
import ridgefall.core.clean.CleanFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.decide.DecideState;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.MarkRemoved;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ProfileDocument.BatteryReach;
import ridgefall.core.profile.ProfileDocument.PairingMethod;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealFact;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.strip.StripFact;
import ridgefall.core.strip.StripFact.PlugFreed;
import ridgefall.core.units.NotAllowed;

/** What a device is like changes its course; every shipped one reaches its owner. */
class EveryDeviceTest {
    private static final DeviceProfile CRATE = ShippedBook.profile("drumlin-crate-10");
    private static final DeviceProfile SATCHEL = ShippedBook.profile("sillery-satchel-7");

    static Stream<DeviceProfile> devices() {
        return ShippedBook.documents()
                .flatMap(document -> Stream.concat(
                        Stream.of(DeviceProfile.of(document, 1, null)),
                        document.variants().stream().map(v -> DeviceProfile.of(document, 1, v.id()))));
    }

    @ParameterizedTest
    @MethodSource("devices")
    void goesThroughAllStationsByTappingWhatIsOfferedNext(DeviceProfile device) {
        Journey journey = new Journey(device).toTheEnd();
        assertThat(ProveState.of(journey.state()).handedOverAt())
                .as(device.name())
                .isPresent();
    }

    /** What is asked of a device is what it has: by its own profile, station by station. */
    @ParameterizedTest
    @MethodSource("devices")
    void isAskedNothingThatItCannotHave(DeviceProfile device) {
        Journey journey = new Journey(device).toTheEnd();
        List<String> ids = journey.course().steps().stream().map(Step::id).toList();
        List<String> functions = device.functions().stream().map(f -> f.id()).toList();
        assertThat(ids.stream().filter(id -> id.startsWith("before.") || id.startsWith("after.")))
                .allMatch(id -> functions.contains(id.substring(id.indexOf('.') + 1)));
        assertThat(ids.stream().anyMatch(id -> id.startsWith("seal.clips-"))).isEqualTo(!device.bonded());
        assertThat(ids.stream()
                        .filter(id -> id.startsWith("seal.") && !id.startsWith("seal.clips-"))
                        .map(id -> id.substring(5)))
                .isSubsetOf(Stream.concat(
                                device.covers().stream().map(cover -> cover.id()),
                                Stream.of("screws", "dust", "seal", "press", "flush", "straight"))
                        .toList());
        List<String> split = DecideState.of(journey.state()).joinsGlass(device)
                ? List.of("warmed", "panel", "panel-shows")
                : List.of("new-ready", "new-shows");
        Stream<String> boards = device.pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.MOVE_BOARD)
                .map(part -> part.id());
        Stream<String> insulated = device.pairedParts().stream()
                .filter(part -> !part.joints().isEmpty())
                .map(part -> part.id());
        Stream<String> looked = Stream.concat(
                device.carryOvers().stream()
                        .filter(part -> part.irreplaceable())
                        .map(part -> part.id()),
                boards);
        Stream<String> copied = device.pairedParts().stream()
                .filter(part -> part.method() == PairingMethod.COPY_DATA)
                .map(part -> part.id());
        assertThat(ids.stream()
                        .filter(id -> id.startsWith("carry.") && !id.startsWith("carry.joint-"))
                        .map(id -> id.substring(6)))
                .hasSameElementsAs(Stream.of(
                                device.carryOvers().stream().map(part -> part.id()),
                                device.pairedParts().stream().map(part -> part.id()),
                                looked.map(id -> "look-" + id),
                                insulated.map(id -> "insulated-" + id),
                                copied.flatMap(id -> Stream.of("old-on-", "read-", "new-on-", "write-")
                                        .map(of -> of + id)),
                                split.stream())
                        .flatMap(some -> some)
                        .toList());
        boolean clips = !device.bonded();
        assertThat(ids.contains("heat.soak") || ids.contains("clean.wiped") || ids.contains("clean.drying"))
                .as("warmed, wiped or dried")
                .isEqualTo(!clips);
        assertThat(ids.contains("bond.gasket")).isEqualTo(clips);
        assertThat(ids.contains("seal.press")).isEqualTo(!clips);
        boolean before = device.document().body().batteryReach() == BatteryReach.BEFORE_HEAT;
        assertThat(ids.contains("heat.battery-out")).isEqualTo(before && !clips);
        if (before && !clips) {
            assertThat(journey.step("strip.isolate").answer()).isEqualTo("out since before the heat");
        }
    }

    /** Whatever was answered, what the large action would record next is no other answer to the same question. */
    @ParameterizedTest
    @MethodSource("devices")
    void noAnswerIsUnsaidByTheNextTap(DeviceProfile device) {
        Journey journey = new Journey(device);
        while (journey.next().isPresent()) {
            Step asked = journey.next().orElseThrow();
            for (Step.Choice choice : asked.choices()) {
                Fact answer = Journey.filled(choice.fact());
                if (journey.holds(answer).isEmpty()) {
                    Course there = journey.course()
                            .with(new Entry(
                                    journey.state().seq() + 1,
                                    journey.state().latest().happenedAt(),
                                    "Ansa Orrick",
                                    Role.LEAD,
                                    answer));
                    there.next().ifPresent(next -> isAnother(next, asked, answer));
                }
            }
            journey.tapNext();
        }
    }

    private static void isAnother(Step next, Step asked, Fact answer) {
        boolean records = next.lead() == Step.Lead.RECORD || next.lead() == Step.Lead.PROPOSE;
        if (records && !next.choices().isEmpty()) {
            Fact first = next.choices().get(0).fact();
            boolean otherScrews = first instanceof StripFact.ScrewsMoved more
                    && answer instanceof StripFact.ScrewsMoved moved
                    && Collections.disjoint(more.holeIds(), moved.holeIds());
            assertThat(next.id().equals(asked.id())
                            && first.getClass() == answer.getClass()
                            && !otherScrews
                            && !otherStretches(first, answer))
                    .as("after %s: %s", answer, first)
                    .isFalse();
            assertThat(first.answers().stream().anyMatch(answer.answers()::contains))
                    .as("after %s: %s", answer, first)
                    .isFalse();
        }
    }

    /** The ledge is bared edge by edge, wiped solvent by solvent, swept corner by corner. */
    private static boolean otherStretches(Fact first, Fact answer) {
        return !stretches(answer).isEmpty() && Collections.disjoint(stretches(first), stretches(answer));
    }

    private static List<String> stretches(Fact fact) {
        if (fact instanceof CleanFact.GlueOff off) {
            return off.stretchIds();
        } else if (fact instanceof CleanFact.Wiped wiped) {
            return wiped.stretchIds();
        }
        return fact instanceof CleanFact.CornerSwept swept
                ? List.of(swept.corner().name())
                : List.of();
    }

    private static List<String> stepIds(Journey journey, Station station) {
        return journey.course().steps().stream()
                .filter(step -> step.station() == station)
                .map(Step::id)
                .toList();
    }

    @Test
    void aFrontHeldByClipsIsNeitherWarmedNorCut() {
        Journey journey = new Journey(CRATE).until(Station.SEPARATE);
        assertThat(journey.holds(new HeatFact.SoakStarted("plate-1", 70, 60, null, null, HeatFact.Sweep.FACE)))
                .extracting(Hold::id)
                .contains("heat.clips");
        assertThat(stepIds(journey, Station.SEPARATE))
                .contains("separate.clip-top-1", "separate.open")
                .noneMatch(id -> id.equals("separate.top"));
        assertThat(journey.holds(new SeparateFact.FrontOpened()))
                .extracting(Hold::id)
                .containsExactly(journey.next().orElseThrow().id());
        assertThat(stepIds(journey, Station.BOND)).containsExactly("bond.gasket");
    }

    @Test
    void aWedgeUnderAClippedFrontIsAStepUntilItIsOut() {
        Journey journey = new Journey(CRATE).until(Station.STRIP).append(new SeparateFact.WedgeSet(40));
        assertThat(stepIds(journey, Station.SEPARATE)).contains("separate.wedge.40.0");
        assertThat(journey.holds(new SealFact.Sealed())).extracting(Hold::id).contains("separate.wedge.40.0");
        assertThatThrownBy(() -> journey.holds(new SeparateFact.WedgePulled(40.02)))
                .hasMessage("positionMm is 40.02; allowed: a place where a wedge is: [40.0]");
        journey.append(new SeparateFact.WedgePulled(40));
        assertThat(stepIds(journey, Station.SEPARATE)).noneMatch(id -> id.startsWith("separate.wedge"));
    }

    @Test
    void nothingIsComputedForABondThatIsNotThere() {
        Course course = new Journey(CRATE).course();
        assertThatThrownBy(course::heatPlans).hasMessageContaining("clips hold this one");
        assertThatThrownBy(course::cutPlan).isInstanceOf(NotAllowed.class);
        assertThat(course.strips()).isEmpty();
        assertThat(new Journey().untilStep("bond.school").course().strips()).hasSize(4);
        assertThat(new Journey(ShippedBook.profile("pellow-dial-41")).course().strips())
                .isEmpty();
    }

    @Test
    void clipsOnTheHingeEdgeComeLast() {
        List<String> steps = stepIds(new Journey(CRATE), Station.SEPARATE);
        // The hatch edge is the hinge; its three clips stand right before the opening.
        assertThat(steps.subList(steps.size() - 4, steps.size() - 1))
                .allMatch(id -> id.startsWith("separate.clip-left"));
    }

    @Test
    void aBatteryBehindAClipOffBackComesOutBeforeAnyHeat() {
        Journey journey = new Journey(SATCHEL).until(Station.HEAT);
        assertThat(stepIds(journey, Station.HEAT)).contains("heat.battery-out");
        assertThat(stepIds(new Journey(), Station.HEAT)).doesNotContain("heat.battery-out");
    }

    @Test
    void loosePlasticComesOffABezelThatSoftensAndNowhereElse() {
        assertThat(stepIds(new Journey(SATCHEL).until(Station.HEAT), Station.HEAT))
                .contains("heat.plastics");
        assertThat(stepIds(new Journey().until(Station.HEAT), Station.HEAT))
                .doesNotContain("heat.plastics")
                .contains("heat.taped", "heat.cleared", "heat.powered", "heat.guarded");
    }

    @Test
    void whatCannotBeSwitchedOffIsLiveUntilIsolationIsProven() {
        Journey journey = new Journey().append(new IntakeFact.PowerSeen(false)).until(Station.STRIP);
        assertThat(journey.course().cautions(Station.HEAT))
                .singleElement()
                .asString()
                .startsWith("Live:");
        assertThat(stepIds(journey, Station.STRIP))
                .startsWith("strip.screws-over", "strip.isolate", "strip.proven", "strip.screws");
        journey.append(new StripFact.BatteryIsolated(StripFact.Isolation.UNPLUGGED))
                .append(new StripFact.IsolationProven());
        assertThat(journey.course().cautions(Station.STRIP))
                .as("no longer live; against static until a plug is off")
                .containsExactly("Strap on, mat under it, before the first plug; both stay until it is closed.");
        journey.append(new PlugFreed("display-plug"));
        assertThat(journey.course().cautions(Station.STRIP)).isEmpty();
    }

    @Test
    void aCrackDrawnToTheEdgeMakesCuttingShallowThereAndIsSaidAtLaterStations() {
        // The top edge's position 124 lies at x = 16 + 124 = 140 of the demo tablet.
        Journey journey = new Journey()
                .append(new CrackDrawn(List.of(new Point(140, 0), new Point(130, 40))))
                .until(Station.SEPARATE);
        assertThat(journey.course().cutPlan().stretches())
                .filteredOn(s -> Journey.QUIRE.edge().turn().contains(s.where(), 124))
                .singleElement()
                .satisfies(stretch -> assertThat(stretch.depthMm()).isEqualTo(2.0));
        assertThat(journey.course().cautions(Station.SEPARATE))
                .singleElement()
                .asString()
                .contains("lift there");
        journey.append(new MarkRemoved(2));
        assertThat(journey.course().cautions(Station.SEPARATE)).isEmpty();
    }

    @Test
    void aCrackThatStaysInTheMiddleIsNoneOfTheEdges() {
        Journey journey = new Journey().append(new CrackDrawn(List.of(new Point(100, 60), new Point(150, 90))));
        assertThat(journey.course().cautions(Station.SEPARATE)).isEmpty();
    }

    @Test
    void aBentFrameAsksForClampsBeforeTheSeal() {
        Journey journey = new Journey()
                .append(new BendMarked(Landmark.BOTTOM_RIGHT, 0.8, null))
                .until(Station.SEAL);
        assertThat(journey.holds(new SealFact.Sealed())).extracting(Hold::id).contains("seal.straight");
        assertThat(journey.course().cautions(Station.HEAT))
                .singleElement()
                .asString()
                .contains("{mm:0.8}", "port edge and cable edge");
    }

    @Test
    void whatIsNotWorthItGoesBackUnrepairedAndNothingIsHeated() {
        Journey journey = new Journey().until(Station.DECIDE);
        journey.append(new DecideFact.NotWorthIt("another one costs less", "Hut at Nine Tarns"));
        assertThat(journey.next().orElseThrow().title()).isEqualTo("Hand back unrepaired");
        assertThat(journey.holds(new HeatFact.SoakStarted("plate-1", 80, 60, null, null, HeatFact.Sweep.FACE)))
                .extracting(Hold::because)
                .contains("The owner takes it back as it is");
        journey.toTheEnd();
        assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
        assertThat(journey.course().record().done())
                .extracting(line -> line.words())
                .contains("Goes back unrepaired: another one costs less, agreed by Hut at Nine Tarns");
    }

    @Test
    void whatTheReservedPartBringsIsNeitherAskedForNorCarriedOver() {
        Journey journey = new Journey().until(Station.PARTS);
        assertThat(stepIds(journey, Station.PARTS)).contains("parts.here", "parts.tape", "parts.magnets");
        journey.append(new PartsFact.PartReserved(
                new UUID(0, 7),
                PartKind.FUSED_FRONT,
                Grade.REFURBISHED_ORIGINAL,
                "fused front, original",
                List.of(Brings.TAPE, Brings.MAGNETS)));
        List<Step> steps = journey.course().steps();
        assertThat(steps)
                .filteredOn(step -> List.of("parts.here", "parts.tape", "parts.magnets", "carry.magnets")
                        .contains(step.id()))
                .hasSize(4)
                .allSatisfy(step -> assertThat(step.open()).isFalse());
        assertThat(steps)
                .filteredOn(step -> step.id().equals("parts.sensor-insert"))
                .singleElement()
                .satisfies(step -> assertThat(step.hint()).contains("carry it over from the old frame edge"));
        assertThat(journey.course().waysToHold().get(0).by()).isEqualTo(HeldBy.CAME_ON_IT);
        assertThat(journey.course().undoable())
                .as("the piece is put back, not tapped away")
                .isEmpty();
    }

    @Test
    void aPartThatMustBeOrderedKeepsTheDeviceClosed() {
        Journey journey = new Journey().until(Station.PARTS);
        journey.append(new CheckAnswered("parts.tape", Answer.FAIL, "Fellside, Friday"));
        assertThat(journey.holds(new HeatFact.SoakStarted("plate-1", 80, 60, null, null, HeatFact.Sweep.FACE)))
                .extracting(Hold::because)
                .anyMatch(because -> because.contains("ordered: Fellside, Friday"));
    }
}
