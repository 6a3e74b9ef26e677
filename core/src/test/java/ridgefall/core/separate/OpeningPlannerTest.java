package ridgefall.core.separate;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatPlanner;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.heat.HeatSource;
import ridgefall.core.heat.HeatState.Soak;
import ridgefall.core.heat.Setup;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.separate.CutPlan.Move;

/** Heat and cut as one plan, as somebody who opens such devices every day would look at it. */
class OpeningPlannerTest {
    private static final Instant AT = Instant.parse("2026-03-02T09:00:00Z");
    private static final Map<String, List<Opening>> RANKED = new HashMap<>();

    private static HeatQuestion whole(String device, List<HeatSource> bench) {
        return new HeatQuestion(ShippedBook.profile(device), FrontCondition.INTACT, List.of(), List.of(), bench);
    }

    private static List<Opening> ranked(String device) {
        return RANKED.computeIfAbsent(device, id -> ranked(whole(id, HeatSource.bench())));
    }

    private static List<Opening> ranked(HeatQuestion question) {
        return OpeningPlanner.ranked(
                question, question.planner(HeatPlanner.QUICK).ranked(question.sources()));
    }

    private static Opening by(String source, List<Opening> openings) {
        return openings.stream()
                .filter(opening -> opening.heat().source().id().equals(source))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theHomeKeyTabletOpensWithAPlateWithinTwentyMinutes() {
        Opening plate = by("plate-1", ranked("marrowby-quire-8"));
        assertThat(plate.feasible()).isTrue();
        assertThat(plate.seconds()).isLessThan(20 * 60);
        assertThat(plate.heat().batteryAtPullC().p50()).isLessThanOrEqualTo(60);
        assertThat(plate.cut().warmings()).isLessThanOrEqualTo(4);
    }

    @ParameterizedTest
    @ValueSource(strings = {"marrowby-quire-11", "marrowby-quire-8", "sillery-satchel-7", "pellow-dial-41"})
    void everySourceOpensItOrSaysWhyNotInMinutesThatAHandWouldBelieve(String device) {
        for (Opening opening : ranked(device)) {
            String told = opening.heat().source().name() + ": " + opening.heat().because();
            assertThat(opening.heat().because()).as(told).isNotEmpty();
            assertThat(opening.heat().feasible()).as(told).isEqualTo(opening.feasible());
            if (opening.feasible()) {
                assertThat(opening.seconds()).as(told).isBetween(1.5 * 60, 45 * 60.0);
                assertThat(opening.keptShare()).as(told).isGreaterThanOrEqualTo(0.9);
                assertThat(opening.cut().warmings()).as(told).isLessThanOrEqualTo(16);
            }
        }
        assertThat(ranked(device).get(0).feasible()).isTrue();
    }

    /** What half the trade does with nothing else in hand. */
    @Test
    void hotAirAloneOpensATabletAsItGoesAlong() {
        Opening gun = by("air-2", ranked("marrowby-quire-11"));
        assertThat(gun.feasible()).isTrue();
        assertThat(gun.stretches()).isTrue();
        assertThat(gun.cut().moves().get(0).warmFirst()).isNotNull();
        assertThat(gun.then()).contains("while you cut; glass below {C:");
    }

    @Test
    void oneSoakIsEnoughForTapeOnAPad() {
        Opening pad = by("pad-1", ranked("marrowby-quire-11"));
        assertThat(pad.cut().warmings()).isZero();
        assertThat(pad.airOnTheWay()).isFalse();
        assertThat(pad.then()).isEqualTo("then cut it all the way round");
    }

    @Test
    void aBenchWithNothingButAPlatePutsItBackOnThePlate() {
        List<HeatSource> plateOnly = List.of(HeatSource.byId(HeatSource.bench(), "plate-1"));
        Opening plate = ranked(whole("marrowby-quire-8", plateOnly)).get(0);
        assertThat(plate.means().air()).isFalse();
        assertThat(plate.cut().moves().stream().flatMap(Move::warmings))
                .isNotEmpty()
                .allSatisfy(warming -> assertThat(warming.source().id()).isEqualTo("plate-1"));
        // Or says what would do instead.
        assertThat(plate.feasible() || plate.heat().because().stream().anyMatch(why -> why.startsWith("instead")))
                .isTrue();
    }

    /** Of all settings that are weighed it has none. */
    @Test
    void aFeebleDryerIsWeighedAtWhatItCan() {
        HeatSource feeble = new HeatSource(
                "dryer-2", "Old dryer", HeatSource.Kind.HAIR_DRYER, 50, 75, 0, new HeatSource.Air(45, 1, 2, 40), null);
        Opening dryer = ranked(whole("marrowby-quire-11", List.of(feeble))).get(0);
        assertThat(dryer.means().setup().settingC()).isEqualTo(75);
        assertThat(dryer.heat().because()).isNotEmpty();
    }

    /** Air warms what is beside it: whoever goes to and fro leaves that behind, and warms the next from cold. */
    @Test
    void whereAirGoesAlongThePickStaysBesideWhatItHasWarmed() {
        Opening plate = by("plate-1", ranked("sillery-satchel-7"));
        assertThat(plate.airOnTheWay()).isTrue();
        assertThat(plate.cut().moves().stream().filter(Move::newEntry)).hasSize(1);
        assertThat(plate.cut().moves())
                .extracting(Move::clockwise)
                .containsOnly(plate.cut().moves().get(0).clockwise());
    }

    /** Bare it passes the display's stop over foam tape on most benches. */
    @Test
    void aFineNozzleThatIsRefusedSaysWhatAShieldDoes() {
        HeatSource bare = HeatSource.byId(HeatSource.bench(), "air-1").bare();
        Opening refused = ranked(whole("marrowby-quire-8", List.of(bare))).get(0);
        Opening shielded =
                ranked(whole("marrowby-quire-8", List.of(bare.behindShield()))).get(0);
        assertThat(refused.feasible()).isFalse();
        assertThat(refused.heat().because())
                .anyMatch(why -> why.startsWith("with a shield on the glass from {mm:8} in"));
        assertThat(shielded.feasible()).isTrue();
        assertThat(shielded.cut().air().words()).contains("shield on the glass");
    }

    @Test
    void sourcesThatDifferByNameAloneOpenItAlike() {
        List<Opening> openings = ranked("marrowby-quire-8");
        assertThat(by("plate-2", openings).seconds())
                .isEqualTo(by("plate-1", openings).seconds());
    }

    /** After a crack the way on is asked of the source it was begun with alone: it must not be another one for that. */
    @Test
    void theWayThatBeginsWithOneSourceIsTheOneThatTheRankingHasOfIt() {
        HeatQuestion question = whole("marrowby-quire-11", HeatSource.bench());
        Opening ranked = by("plate-1", OpeningPlanner.ranked(question, question.ranked()));
        Opening alone = OpeningPlanner.beginningWith(question, ranked.heat().source());
        assertThat(alone.heat().soakSeconds()).isEqualTo(ranked.heat().soakSeconds());
        assertThat(alone.means()).isEqualTo(ranked.means());
        assertThat(alone.cut()).isEqualTo(ranked.cut());
    }

    /** Cutting at the planned speed, warming whenever the next plan says so; the journal is all that the next plan knows. */
    @ParameterizedTest
    @ValueSource(strings = {"marrowby-quire-11", "marrowby-quire-8", "sillery-satchel-7", "pellow-dial-41"})
    void followedFromFactToFactItComesRoundWithFewWarmings(String device) {
        HeatQuestion question = whole(device, HeatSource.bench());
        List<Opening> openings = ranked(device);
        Opening best = openings.get(0);
        List<Soak> soaks = new ArrayList<>();
        List<String> freed = new ArrayList<>();
        Setup setup = best.heat().setup();
        Instant now = warmed(soaks, best.heat(), setup, AT);
        int warmings = 0;
        while (freed.size() < best.cut().stretches().size() && warmings < 12) {
            CutPlan way = OpeningPlanner.onward(question, best, freed, soaks, false, now);
            Move next = way.moves().get(0);
            if (next.warmFirst() != null) {
                Warming warming = next.warmFirst();
                warmings++;
                now = soaked(soaks, warming.source().id(), warming.setup(), warming.seconds(), now);
            } else {
                freed.add(next.stretchId());
                now = now.plusSeconds(Math.round(next.seconds()));
            }
        }
        assertThat(freed).doesNotHaveDuplicates().hasSize(best.cut().stretches().size());
        assertThat(Duration.between(AT, now).toSeconds()).isLessThan((long) (2 * best.seconds()));
    }

    private static Instant warmed(List<Soak> soaks, HeatPlan heat, Setup setup, Instant now) {
        return soaked(soaks, heat.source().id(), setup, heat.soakSeconds(), now);
    }

    /** Air stays on while it is cut, until it goes to the next stretch. */
    private static Instant soaked(List<Soak> soaks, String source, Setup setup, double seconds, Instant now) {
        if (!soaks.isEmpty() && soaks.get(soaks.size() - 1).running()) {
            Soak before = soaks.remove(soaks.size() - 1);
            soaks.add(new Soak(before.seq(), before.started(), before.startedAt(), now, List.of()));
        }
        Instant off = now.plusSeconds(Math.round(seconds));
        SoakStarted started = new SoakStarted(
                source,
                setup.settingC(),
                (int) Math.round(seconds),
                setup.dial(),
                setup.distanceMm(),
                setup.sweep(),
                setup.where());
        soaks.add(new Soak(soaks.size() + 1, started, now, setup.where() == null ? off : null, List.of()));
        return off.plusSeconds(5);
    }

    @Test
    void whatLayOverNightIsWarmedLikeANewOne() {
        HeatQuestion question = whole("marrowby-quire-11", HeatSource.bench());
        List<Opening> openings = ranked("marrowby-quire-11");
        List<Soak> soaks = new ArrayList<>();
        Instant off =
                warmed(soaks, openings.get(0).heat(), openings.get(0).heat().setup(), AT);
        CutPlan way = OpeningPlanner.onward(
                question, openings.get(0), List.of("top-1"), soaks, false, off.plusSeconds(50_000));
        assertThat(way.moves().get(0).warmFirst().seconds())
                .isEqualTo(openings.get(0).heat().soakSeconds());
        assertThat(way.again()).isEqualTo(way.moves().get(0).warmFirst());
    }
}
