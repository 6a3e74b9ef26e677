package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.BondFact;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.damage.Damage;
import ridgefall.core.damage.DamageFact;
import ridgefall.core.detour.DetourFact;
import ridgefall.core.edge.EdgeInterval;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState;
import ridgefall.core.heat.Setup;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeState;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.job.Timer;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.material.TapeSchool;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.JobRecord;
import ridgefall.core.prove.ProveFact;
import ridgefall.core.prove.ProveState;
import ridgefall.core.seal.SealFact;
import ridgefall.core.seal.SealState;
import ridgefall.core.separate.CutPlan;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;
import ridgefall.core.separate.SeparateFact;
import ridgefall.core.separate.Stretch;
import ridgefall.core.strip.ScrewAt;
import ridgefall.core.strip.StripFact;
import ridgefall.core.units.NotAllowed;

/** The rules of a job, from intake to hand-over. */
class CourseTest {

    @Test
    void whatIsOfferedNextLeadsThroughAllTwelveStationsToTheHandOver() {
        Journey journey = new Journey();
        List<Station> visited = new ArrayList<>();
        while (journey.next().isPresent()) {
            Station station = journey.next().get().station();
            if (!visited.contains(station)) {
                visited.add(station);
            }
            journey.tapNext();
        }
        assertThat(visited).isEqualTo(Arrays.asList(Station.values()));
        assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
    }

    @Test
    void nothingIsWarmedOrCutBeforeTheBaselineTheAgreementAndThePart() {
        Journey journey = new Journey();
        List<Hold> holds = journey.holds(new HeatFact.SoakStarted("plate-1", 80, 120, null, null, HeatFact.Sweep.FACE));
        assertThat(holds).extracting(Hold::station).contains(Station.INTAKE, Station.DECIDE, Station.PARTS);
        assertThat(journey.holds(new SeparateFact.StretchFreed("top-1"))).isNotEmpty();
    }

    @Test
    void aSwollenBatteryStopsEveryBench() {
        Journey journey =
                new Journey().until(Station.HEAT).append(new IntakeFact.BatterySeen(IntakeFact.Battery.SWOLLEN));
        assertThat(journey.holds(new JobFact.CheckAnswered("heat.cleared", Answer.PASS, null)))
                .singleElement()
                .satisfies(hold -> {
                    assertThat(hold.because()).contains("stop, isolate");
                    assertThat(hold.overridable()).isFalse();
                });
    }

    @Test
    void aSoakBeyondWhatItsSpreadAllowsIsHeldUntilALeadAnswersForIt() {
        Journey journey = new Journey().until(Station.HEAT);
        while (!(journey.next().orElseThrow().choices().get(0).fact() instanceof HeatFact.SoakStarted)) {
            journey.tapNext();
        }
        Fact tooLong = new HeatFact.SoakStarted("plate-1", 85, 1800, null, null, HeatFact.Sweep.FACE);
        assertThat(journey.holds(tooLong)).extracting(Hold::id).containsExactly("heat.limit");
        journey.signOff("heat.limit", tooLong);
        assertThat(journey.holds(tooLong)).isEmpty();
        assertThatThrownBy(() ->
                        journey.holds(new HeatFact.SoakStarted("plate-1", 95, 60, null, null, HeatFact.Sweep.FACE)))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("50 to 90 °C on Plate 1");
        assertThatThrownBy(
                        () -> journey.holds(new HeatFact.SoakStarted("oven", 80, 60, null, null, HeatFact.Sweep.FACE)))
                .hasMessage("sourceId is oven; allowed: one of plate-1, plate-2, pad-1, bed-1, air-1, air-2, dryer-1");
    }

    @Test
    void aDeviceThatMayStillBeWarmIsHeldToWhatGoesForOneJustGoneCold() {
        Journey journey = new Journey().until(Station.SEPARATE);
        assertThat(journey.holds(new HeatFact.SoakStarted("plate-1", 85, 210, null, null, HeatFact.Sweep.FACE)))
                .extracting(Hold::id)
                .containsExactly("heat.limit");
        assertThat(journey.holds(new HeatFact.SoakStarted("plate-1", 85, 10, null, null, HeatFact.Sweep.FACE)))
                .isEmpty();
    }

    @Test
    void aDeviceThatLayOverNightIsSoakedLikeANewOne() {
        Journey journey = new Journey().until(Station.SEPARATE);
        Course nextMorning =
                journey.course().at(journey.state().latest().happenedAt().plus(Duration.ofHours(14)));
        Step warm = nextMorning.steps().stream()
                .filter(step -> step.id().equals("separate.warm"))
                .findFirst()
                .orElseThrow();
        HeatFact.SoakStarted again =
                (HeatFact.SoakStarted) warm.choices().get(0).fact();
        assertThat(again.seconds())
                .isEqualTo((int) Math.round(journey.course().heatPlans().get(0).soakSeconds()));
        assertThat(nextMorning.holds(again)).isEmpty();
        assertThat(journey.holds(again)).extracting(Hold::id).containsExactly("heat.limit");
    }

    /** What a plan follows to its end begins on a cold device; on a warm one it goes by the heat that it has. */
    @Test
    void theFirstStretchOfAirIsHeldBackOnceItIsWarmFromBefore() {
        Planning weighed = new Planning() {
            private List<Opening> openings;

            @Override
            public List<Opening> openings(HeatQuestion question) {
                if (openings == null) {
                    openings = OpeningPlanner.ranked(question, Journey.PLANNING.heat(question));
                }
                return openings;
            }
        };
        Journey journey = new Journey(Journey.QUIRE, weighed).until(Station.HEAT);
        while (!(journey.next().orElseThrow().choices().get(0).fact() instanceof HeatFact.SoakStarted)) {
            journey.tapNext();
        }
        Opening air = journey.course().openings().stream()
                .filter(Opening::stretches)
                .findFirst()
                .orElseThrow();
        Setup setup = air.heat().setup();
        HeatFact.SoakStarted first = new HeatFact.SoakStarted(
                air.heat().source().id(),
                setup.settingC(),
                (int) Math.round(air.heat().soakSeconds()),
                setup.dial(),
                setup.distanceMm(),
                setup.sweep(),
                setup.where());
        assertThat(journey.holds(first)).isEmpty();
        journey.append(new HeatFact.SoakStarted("pad-1", 80, 240, null, null, HeatFact.Sweep.FACE))
                .append(new HeatFact.SoakEnded(200));
        assertThat(journey.holds(first)).extracting(Hold::id).containsExactly("heat.limit");
    }

    /** A minute on the pad promises nothing, four do; what a screen thought when it was laid on is of no account. */
    @Test
    void howLongTheBondIsWorkableIsReckonedWhenItComesOff() {
        Journey journey = new Journey().until(Station.HEAT);
        while (!(journey.next().orElseThrow().choices().get(0).fact() instanceof HeatFact.SoakStarted)) {
            journey.tapNext();
        }
        journey.append(new HeatFact.SoakStarted("pad-1", 80, 240, null, null, HeatFact.Sweep.FACE));
        assertThat(workableSeconds(journey, 5)).isZero();
        assertThat(workableSeconds(journey, 240)).isBetween(180, 400);
    }

    private static int workableSeconds(Journey journey, int after) {
        return ((HeatFact.SoakEnded) later(journey, after).reckoned(new HeatFact.SoakEnded(3000))).workableSeconds();
    }

    /** Warmed as planned, its first stretch free. */
    private static Journey gonePartlyCold() {
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8")).until(Station.SEPARATE);
        journey.tapNext();
        return journey;
    }

    private static Course later(Journey journey, int seconds) {
        return journey.course().at(journey.state().latest().happenedAt().plusSeconds(seconds));
    }

    @Test
    void aPartThatTurnsOutWrongBehindASealedFrontLeadsToOpeningItAgain() {
        Journey journey = new Journey();
        while (SealState.of(journey.state()).sealedAt().isEmpty()) {
            journey.tapNext();
        }
        journey.append(new JobFact.CheckAnswered("parts.variant", Answer.FAIL, "three plugs, not two"));
        Step wrong = journey.next().orElseThrow();
        assertThat(wrong.id()).isEqualTo("parts.variant");
        Fact again = wrong.choices().get(0).fact();
        assertThat(again).isInstanceOf(DetourFact.Reopened.class);
        assertThat(journey.heldBy(again)).isEmpty();
    }

    @Test
    void whatHasGoneColdIsWarmedBeforeItIsCut() {
        Course cold = later(gonePartlyCold(), 300);
        Step warm = cold.next().orElseThrow();
        assertThat(warm.id()).isEqualTo("separate.warm");
        Fact planned = warm.choices().get(0).fact();
        assertThat(planned).isInstanceOf(HeatFact.SoakStarted.class);
        assertThat(cold.holds(planned)).isEmpty();
        // What slips now slips at the stretch it is warmed for.
        assertThat(cold.whenItGoesWrong())
                .extracting(choice -> ((DamageFact.MishapSeen) choice.fact()).positionMm())
                .doesNotContainNull();
        // Told from a screen that still waited for the soak's end, and did not know what is in hand.
        DamageFact.MishapSeen told = new DamageFact.MishapSeen(DamageFact.Mishap.CUT, null, "heat.lift");
        assertThat(cold.reckoned(told))
                .isEqualTo(cold.whenItGoesWrong().stream()
                        .map(Step.Choice::fact)
                        .filter(fact -> ((DamageFact.MishapSeen) fact).mishap() == DamageFact.Mishap.CUT)
                        .findFirst()
                        .orElseThrow());
        DamageFact.MishapSeen pointed = new DamageFact.MishapSeen(DamageFact.Mishap.CUT, 12.5, "heat.lift");
        assertThat(cold.reckoned(pointed)).isEqualTo(pointed);
    }

    @Test
    void whereAToolWentWrongItIsCutShallowerAndWithItsNeighboursOpen() {
        Journey journey = gonePartlyCold();
        CutPlan before = journey.course().cutPlan();
        Stretch next = before.moves().stream()
                .map(move -> before.stretch(move.stretchId()))
                .filter(stretch -> stretch.depthMm() > 2)
                .findFirst()
                .orElseThrow();
        double there = Journey.QUIRE.edge().turn().middle(next.where());
        journey.append(new DamageFact.MishapSeen(DamageFact.Mishap.TOO_DEEP, there));
        CutPlan after = journey.course().cutPlan();
        Stretch careful = after.stretch(next.id());
        assertThat(careful.depthMm()).isEqualTo(Math.max(1, next.depthMm() - 1));
        assertThat(careful.depthBecause()).isEqualTo("went too deep here already");
        assertThat(careful.dangerous()).isTrue();
        assertThat(turnOf(after, next.id())).isGreaterThanOrEqualTo(turnOf(before, next.id()));
        journey.append(new DamageFact.MishapSeen(DamageFact.Mishap.CUT, there));
        assertThat(journey.course().cutPlan().stretch(next.id()).depthMm()).isEqualTo(1);
        assertThat(journey.course().heatQuestion().harms())
                .as("the heat is not reckoned anew for it")
                .isEmpty();
    }

    private static int turnOf(CutPlan way, String stretchId) {
        return way.moves().stream().map(CutPlan.Move::stretchId).toList().indexOf(stretchId);
    }

    /** Foam tape on metal, and nothing on the bench but a dryer. */
    @Test
    void aPlanThatItsOwnWordsRefuseLeadsToTheReasonsAndAWayOut() {
        Planning dryerOnly = new Planning() {
            private final Map<HeatQuestion, List<Opening>> openings = new HashMap<>();

            @Override
            public List<HeatSource> sources() {
                return List.of(HeatSource.byId(HeatSource.bench(), "dryer-1"));
            }

            @Override
            public List<Opening> openings(HeatQuestion question) {
                return openings.computeIfAbsent(question, Planning.super::openings);
            }
        };
        Journey journey = new Journey(ShippedBook.profile("marrowby-quire-8"), dryerOnly).until(Station.HEAT);
        while (!journey.next().orElseThrow().id().equals("heat.soak")) {
            journey.tapNext();
        }
        Step soak = journey.next().orElseThrow();
        assertThat(soak.lead()).isEqualTo(Step.Lead.REASONS);
        assertThat(journey.course().heatPlans().get(0).because())
                .anyMatch(reason -> reason.startsWith("on one bench in ten it takes"))
                .anyMatch(reason -> reason.startsWith("instead: "));
    }

    @Test
    void airThatRunsIsNotBegunAnewBeforeItsTimeIsUp() {
        Journey journey = gonePartlyCold();
        journey.append(new HeatFact.SoakStarted(
                "air-1", 100, 30, 3.0, 60.0, HeatFact.Sweep.STRETCH_BY_STRETCH, new EdgeInterval(600, 40)));
        assertThat(later(journey, 10).next().orElseThrow().choices().get(0).fact())
                .isInstanceOf(SeparateFact.StretchFreed.class);
        assertThat(later(journey, 400).next().orElseThrow().id()).isEqualTo("separate.warm");
    }

    @Test
    void aWedgeGoesIntoWhatIsFreeAndIsOfferedOnce() {
        Journey journey = gonePartlyCold();
        while (journey.course().cutPlan().wedgeNowMm() == null) {
            CutPlan way = journey.course().cutPlan();
            journey.append(new SeparateFact.StretchFreed(way.moves().get(0).stretchId()));
        }
        CutPlan way = journey.course().cutPlan();
        Stretch holding = way.stretch(way.moves().get(0).stretchId());
        assertThat(journey.heldBy(
                        new SeparateFact.WedgeSet(Journey.QUIRE.edge().turn().middle(holding.where()))))
                .containsExactly("separate." + holding.id());
        SeparateFact.WedgeSet wedge = wedgeOffered(journey).orElseThrow();
        assertThat(wedge.positionMm()).isEqualTo(Math.round(way.wedgeNowMm() * 10) / 10.0);
        assertThat(journey.heldBy(wedge)).isEmpty();
        journey.append(wedge);
        assertThat(wedgeOffered(journey)).isEmpty();
    }

    private static Optional<SeparateFact.WedgeSet> wedgeOffered(Journey journey) {
        return journey.course().steps().stream()
                .flatMap(step -> step.choices().stream())
                .map(Step.Choice::fact)
                .filter(SeparateFact.WedgeSet.class::isInstance)
                .map(SeparateFact.WedgeSet.class::cast)
                .findFirst();
    }

    @Test
    void theRoomIsAReadingFromThenOn() {
        Journey journey = new Journey().until(Station.HEAT);
        assertThat(journey.course().heatQuestion().roomC()).isEqualTo(22);
        journey.append(new HeatFact.RoomRead(14.5));
        assertThat(journey.course().heatQuestion().roomC()).isEqualTo(14.5);
        assertThatThrownBy(() -> journey.holds(new HeatFact.RoomRead(57)))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("5 to 40 °C");
    }

    @Test
    void afterASpillNoSourceComesNearUntilItIsDryAndOneThatIsOnGoesOffFirst() {
        Journey journey = gonePartlyCold();
        journey.append(new HeatFact.SoakStarted(
                "air-2", 160, 20, 3.0, 60.0, HeatFact.Sweep.STRETCH_BY_STRETCH, new EdgeInterval(300, 80)));
        journey.append(new DamageFact.MishapSeen(DamageFact.Mishap.SOLVENT_SPILLED, 300.0));
        String id = "heat.after-" + journey.state().latest().seq();
        Step off = journey.next().orElseThrow();
        assertThat(off.id()).isEqualTo(id);
        assertThat(off.choices()).extracting(Step.Choice::fact).allMatch(HeatFact.SoakEnded.class::isInstance);
        journey.append(off.choices().get(0).fact());
        HeatFact.SoakStarted again = new HeatFact.SoakStarted("plate-1", 80, 10, null, null, HeatFact.Sweep.FACE);
        assertThat(journey.heldBy(again)).contains(id);
        assertThat(journey.next().orElseThrow().id()).isEqualTo(id);
        journey.append(new JobFact.CheckAnswered(id, Answer.PASS, null));
        assertThat(journey.heldBy(again)).doesNotContain(id);
    }

    /** Whatever is reckoned, the hand at the edge knows: what goes in is cut, what sticks is warmed. */
    @Test
    void whatThePickFindsIsBelievedAtOnce() {
        Journey journey = gonePartlyCold();
        Step warm = later(journey, 300).next().orElseThrow();
        Fact goesIn = warm.choices().get(1).fact();
        Course told = told(journey, 300, goesIn);
        assertThat(told.next().orElseThrow().choices().get(0).fact()).isInstanceOf(SeparateFact.StretchFreed.class);

        Step cut = journey.next().orElseThrow();
        Fact sticks = cut.choices().get(cut.choices().size() - 1).fact();
        assertThat(sticks).isEqualTo(new HeatFact.PickTried(false));
        Step asWarmAsMayBe = told(journey, 0, sticks).next().orElseThrow();
        assertThat(asWarmAsMayBe.hint()).startsWith("as warm as its limits allow");
        Journey thinner = new Journey().until(Station.SEPARATE);
        assertThat(told(thinner, 120, sticks).next().orElseThrow().id()).isEqualTo("separate.warm");
        assertThat(new Journey(ShippedBook.profile("marrowby-quire-8"))
                        .until(Station.HEAT)
                        .heldBy(goesIn))
                .containsExactly("heat.none");
    }

    /** Where warming goes on and on, the screen does not only say "again". */
    @Test
    void longerAtItThanAnyPlanMayTakeTheNextWarmingSaysWhatElseWouldDo() {
        Journey journey = gonePartlyCold();
        Fact sticks = new HeatFact.PickTried(false);
        assertThat(told(journey, 300, sticks).next().orElseThrow().hint()).doesNotContain("longer at it");
        Step late = told(journey, 80 * 60, sticks).next().orElseThrow();
        assertThat(late.id()).isEqualTo("separate.warm");
        assertThat(late.hint()).startsWith("longer at it than any way should take: solvent, another day");
    }

    private static Course told(Journey journey, int seconds, Fact fact) {
        Course here = later(journey, seconds);
        assertThat(here.holds(fact)).isEmpty();
        return here.with(new Entry(
                journey.state().seq() + 1,
                journey.state().latest().happenedAt().plusSeconds(seconds),
                "Ansa Orrick",
                Role.TECHNICIAN,
                here.reckoned(fact)));
    }

    @Test
    void airStaysOnWhileItIsCutAndGoesOnToTheNextStretchWithoutATapBetween() {
        Journey journey = gonePartlyCold();
        HeatFact.SoakStarted air = new HeatFact.SoakStarted(
                "air-2", 160, 20, 3.0, 60.0, HeatFact.Sweep.STRETCH_BY_STRETCH, new EdgeInterval(300, 80));
        journey.append(air);
        Step next = journey.next().orElseThrow();
        assertThat(next.choices().get(0).fact()).isInstanceOf(SeparateFact.StretchFreed.class);
        assertThat(next.waitsFor()).isEqualTo(journey.state().latest().seq());
        assertThat(journey.course().steps()).extracting(Step::id).contains("separate.air-off");
        HeatFact.SoakStarted further = new HeatFact.SoakStarted(
                "air-2", 160, 10, 3.0, 60.0, HeatFact.Sweep.STRETCH_BY_STRETCH, new EdgeInterval(380, 80));
        assertThat(journey.holds(further)).extracting(Hold::id).doesNotContain("heat.running");
        HeatFact.SoakStarted onThePlate = new HeatFact.SoakStarted("plate-1", 80, 10, null, null, HeatFact.Sweep.FACE);
        assertThat(journey.holds(onThePlate)).extracting(Hold::id).contains("heat.running");
        journey.append(further);
        assertThat(HeatState.of(journey.state()).soaks().stream().filter(HeatState.Soak::running))
                .hasSize(1);
        assertThat(journey.holds(new SeparateFact.FrontOpened()))
                .extracting(Hold::id)
                .contains("separate.air-off");
    }

    @Test
    void aSoakThatRunsIsLiftedWhateverPreparationANewerAppWouldAskFor() {
        Journey journey = new Journey()
                .until(Station.HEAT)
                .append(new JobFact.CheckAnswered("heat.taped", Answer.PASS, null))
                .append(new HeatFact.SoakStarted("plate-1", 80, 120, null, null, HeatFact.Sweep.FACE));
        assertThat(journey.next().orElseThrow().choices().get(0).fact()).isInstanceOf(HeatFact.SoakEnded.class);
    }

    @Test
    void theHingeWaitsForTheRestAndOnlyALeadMayChangeThat() {
        Journey journey = new Journey().until(Station.SEPARATE);
        assertThat(journey.holds(new SeparateFact.StretchFreed("bottom-1")))
                .extracting(Hold::id)
                .containsExactly("separate.hinge");
        assertThat(journey.holds(new SeparateFact.FrontOpened()))
                .extracting(Hold::because)
                .singleElement()
                .asString()
                .contains("still hold");
        assertThatThrownBy(() -> journey.holds(new SeparateFact.StretchFreed("left-9")))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("stretchId is left-9");
    }

    @Test
    void noDisplayPlugBeforeIsolationIsProven() {
        Journey journey = new Journey().until(Station.STRIP);
        Fact plug = new StripFact.PlugFreed("display-plug");
        assertThat(journey.holds(plug)).extracting(Hold::id).containsExactly("strip.proven");
        assertThat(journey.holds(new StripFact.IsolationProven()))
                .extracting(Hold::id)
                .containsExactly("strip.isolate");
        journey.append(new StripFact.BatteryIsolated(StripFact.Isolation.UNPLUGGED))
                .append(new StripFact.IsolationProven());
        assertThat(journey.heldBy(plug)).as("under its cover").containsExactly("strip.covered");
        assertThat(journey.untilStep("strip.display-plug").holds(plug)).isEmpty();
    }

    @Test
    void noStripOnADirtyLedge() {
        Journey journey = new Journey().until(Station.BOND);
        journey.append(new JobFact.CheckAnswered("clean.bare", Answer.FAIL, "glue in a corner"));
        journey.append(new BondFact.StripsChosen(TapeSchool.BUTT));
        assertThat(journey.holds(new BondFact.StripLaid("top-1")))
                .extracting(Hold::id)
                .as("nobody said where: all of it once more")
                .containsExactly("clean.bare", "clean.wiped", "clean.drying", "clean.flat");
    }

    @Test
    void noLinerComesOffBeforeTheTest() {
        Journey journey = new Journey().until(Station.TEST);
        assertThat(journey.holds(new SealFact.CoverRemoved("liner-long")))
                .extracting(Hold::id)
                .contains("test.plugged", "open.picture", "open.touch");
    }

    @Test
    void sealingNamesEverythingThatIsMissingOnOrIn() {
        Journey journey = new Journey().until(Station.CARRY);
        journey.append(new SeparateFact.WedgeSet(40.0));
        assertThat(journey.holds(new SealFact.Sealed()))
                .extracting(Hold::id)
                .contains(
                        "separate.wedge.40.0", // a wedge is in
                        "carry.stylus-data", // a carry-over is open
                        "open.touch", // a test is missing
                        "seal.inner-film", // a film is on
                        "seal.liner-hinge"); // a liner is on
    }

    @Test
    void sealingIsFreeOnceEverythingIsSoAndBlockedByASingleWedge() {
        Journey journey = new Journey().until(Station.SEAL);
        while (!(journey.next().orElseThrow().choices().get(0).fact() instanceof SealFact.Sealed)) {
            journey.tapNext();
        }
        assertThat(journey.holds(new SealFact.Sealed())).isEmpty();
        journey.append(new SeparateFact.WedgeSet(40.0));
        assertThat(journey.holds(new SealFact.Sealed()))
                .singleElement()
                .satisfies(hold -> assertThat(hold.because()).startsWith("A wedge is still in: camera edge, {mm:"));
        journey.append(new SeparateFact.WedgePulled(40.0));
        assertThat(journey.holds(new SealFact.Sealed())).isEmpty();
    }

    @Test
    void whatFailsInTheTestHoldsTheSealUntilALeadSignsItOff() {
        Journey journey = new Journey().until(Station.TEST);
        journey.tapNext();
        journey.append(new FunctionTested("stylus", Phase.OPEN, Answer.FAIL, null));
        assertThat(journey.holds(new SealFact.CoverRemoved("inner-film")))
                .extracting(Hold::id)
                .contains("open.stylus");
        journey.signOff("open.stylus", new SealFact.CoverRemoved("inner-film"));
        assertThat(journey.holds(new SealFact.CoverRemoved("inner-film")))
                .extracting(Hold::id)
                .doesNotContain("open.stylus");
        journey.toTheEnd();
    }

    @Test
    void missingScrewsHoldTheSeal() {
        Journey journey = new Journey().until(Station.SEAL);
        journey.append(new StripFact.ScrewsMoved(List.of("cover-1", "cover-2"), ScrewAt.Where.BACK));
        assertThat(journey.holds(new SealFact.Sealed()))
                .extracting(Hold::because)
                .contains("Screws back in, each to its own hole");
    }

    @Test
    void handingOverNeedsTheSealAndEveryProof() {
        Journey journey = new Journey().until(Station.PROVE);
        assertThat(journey.holds(new ProveFact.HandedOver("owner")))
                .extracting(Hold::id)
                .contains("after.camera", "after.light", "after.touch");
        assertThat(new Journey().holds(new FunctionTested("camera", Phase.AFTER, Answer.PASS, null)))
                .extracting(Hold::id)
                .contains("seal.seal");
    }

    @Test
    void aClosedJournalTakesNothingMore() {
        Journey journey = new Journey().toTheEnd();
        assertThat(journey.holds(new SeparateFact.WedgeSet(3)))
                .extracting(Hold::id)
                .containsExactly("prove.closed");
        assertThat(journey.course().undoable()).isEmpty();
    }

    @Test
    void aMisTapIsTakenBackAndStaysInTheJournal() {
        Journey journey = new Journey();
        journey.append(new IntakeFact.FrontSeen(FrontCondition.INTACT));
        assertThat(journey.holds(new JobFact.Undone(2))).isEmpty();
        journey.append(new JobFact.Undone(2));
        assertThat(IntakeState.of(journey.state()).front()).isEmpty();
        assertThat(journey.journal()).hasSize(3);
        assertThat(journey.state().seq()).isEqualTo(3);
        assertThat(journey.holds(new JobFact.Undone(1))).extracting(Hold::id).containsExactly("undo.late");
    }

    @Test
    void aNewCrackTappedWhileCuttingMakesThatStretchShallow() {
        Journey journey = new Journey().until(Station.SEPARATE);
        double before = depth(journey, "top-1");
        journey.append(new DamageFact.MishapSeen(DamageFact.Mishap.NEW_CRACK, 20.0));
        assertThat(before).isEqualTo(6.0);
        assertThat(depth(journey, "top-1")).isEqualTo(2.0);
    }

    private static double depth(Journey journey, String id) {
        return journey.course().cutPlan().stretches().stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow()
                .depthMm();
    }

    @Test
    void timersAreFactsOfTheJournal() {
        Journey journey = new Journey().until(Station.SEPARATE);
        Timer soak = journey.state().timers().get(0);
        assertThat(soak.running()).isFalse();
        assertThat(soak.stoppedAt()).isEqualTo(soak.startedAt().plusSeconds(soak.seconds()));
        assertThat(journey.state().timer(HeatFact.WORKABLE)).isPresent();
        journey.until(Station.STRIP);
        assertThat(journey.state().timer(HeatFact.WORKABLE)).isEmpty();
    }

    @Test
    void cannotBeTestedIsAThirdAnswerAndAsksWhy() {
        assertThatThrownBy(() -> new FunctionTested("touch", Phase.BEFORE, Answer.CANNOT_TEST, " ").check())
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("reason");
        Journey journey = new Journey();
        journey.append(new FunctionTested("touch", Phase.BEFORE, Answer.CANNOT_TEST, "picture is dead"));
        assertThat(journey.course().steps())
                .filteredOn(s -> s.id().equals("before.touch"))
                .singleElement()
                .extracting(Step::answer)
                .isEqualTo("Can't test: picture is dead");
    }

    @Test
    void theDeskTakesInAgreesAndHandsOverButDoesNotWorkTheBench() {
        assertThat(Role.DESK.mayRecord(new IntakeFact.FrontSeen(FrontCondition.CRACKED)))
                .isTrue();
        assertThat(Role.DESK.mayRecord(new ProveFact.HandedOver("owner"))).isTrue();
        assertThat(Role.DESK.mayRecord(new HeatFact.SoakStarted("plate-1", 80, 120, null, null, HeatFact.Sweep.FACE)))
                .isFalse();
        assertThat(Role.DESK.mayRecord(new SealFact.Sealed())).isFalse();
        assertThat(Role.TECHNICIAN.mayRecord(new SealFact.Sealed())).isTrue();
    }

    @Test
    void theRecordSaysWhatWasKeptAndLostAndHowItWorkedBeforeAndAfter() {
        Journey journey = new Journey().until(Station.CARRY);
        journey.append(new CarryFact.CarryOverLost("magnets", "snapped while sliding out"));
        journey.toTheEnd();
        JobRecord record = journey.course().record();
        assertThat(record.kept()).contains("Stylus data", "Camera ring").doesNotContain("Stylus magnet strips");
        assertThat(record.lost()).containsExactly("Stylus magnet strips: snapped while sliding out");
        assertThat(record.functions())
                .filteredOn(f -> f.function().equals("Front camera"))
                .singleElement()
                .satisfies(line -> {
                    assertThat(line.before().words()).isEqualTo("works");
                    assertThat(line.open()).isEqualTo(new JobRecord.Tried("–", null));
                    assertThat(line.after().words()).isEqualTo("works");
                    assertThat(line.before().at()).isBefore(record.frontOpenedAt());
                    assertThat(line.after().at()).isAfterOrEqualTo(record.sealedAt());
                });
        assertThat(record.handedOverAt()).isNotNull();
        assertThat(record.people()).containsExactly("Ansa Orrick, technician");
    }

    @Test
    void aSlipCanHappenFromTheFirstHeatToTheLastPressAndNotAtTheDesk() {
        Journey journey = new Journey();
        assertThat(journey.until(Station.PARTS).course().atRisk()).isFalse();
        for (Station station : List.of(Station.HEAT, Station.SEPARATE, Station.BOND, Station.SEAL)) {
            assertThat(journey.until(station).course().atRisk())
                    .as(station.words())
                    .isTrue();
        }
        assertThat(journey.until(Station.PROVE).course().atRisk()).isFalse();
        assertThat(journey.toTheEnd().course().atRisk()).isFalse();
    }

    @Test
    void aHoldThatALeadMayAnswerForOffersTheFactThatDoesSo() {
        Fact cut = new SeparateFact.StretchFreed("top-1");
        assertThat(Hold.firm("seal.liner-hinge", Station.SEAL, "a liner is on").signOff(cut))
                .isEmpty();
        Step.Choice choice = Hold.overridable("separate.cold", Station.HEAT, "never warmed")
                .signOff(cut)
                .orElseThrow();
        assertThat(choice.fact()).isEqualTo(new JobFact.HoldOverridden("separate.cold", "?", cut));
        assertThat(choice.asks()).extracting(Step.Ask::field).containsExactly("reason");
        assertThat(choice.fact().by()).isEqualTo(Role.LEAD);
    }

    @Test
    void aStepWaitsForTheHandsOfTheFirstWhoMayTakeIt() {
        assertThat(new IntakeFact.FrontSeen(FrontCondition.CRACKED).by()).isEqualTo(Role.DESK);
        assertThat(new SealFact.Sealed().by()).isEqualTo(Role.TECHNICIAN);
    }

    @Test
    void aCrackTappedAtOnePlaceReachesFourMillimetresToBothSides() {
        Journey journey =
                new Journey().append(new IntakeFact.CrackMarked(20, 0)).append(new IntakeFact.CrackMarked(60, 35));
        assertThat(Damage.edgeCracks(journey.course().profile(), journey.state()))
                .containsExactly(new EdgeInterval(16, 8), new EdgeInterval(60, 35));
    }
}
