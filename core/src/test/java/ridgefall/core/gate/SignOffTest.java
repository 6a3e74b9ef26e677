package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatFact.SoakStarted;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.JobFact.FunctionTested;
import ridgefall.core.job.JobFact.HoldOverridden;
import ridgefall.core.job.Phase;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.seal.SealFact;
import ridgefall.core.seal.SealFact.CoverRemoved;
import ridgefall.core.separate.SeparateFact.StretchFreed;
import ridgefall.core.strip.StripFact;
import ridgefall.core.strip.StripFact.ScrewsCounted;
import ridgefall.core.units.NotAllowed;

/** What a lead answers for: one fact once, or one bad answer as long as it is the answer. */
class SignOffTest {
    private static final Fact TOO_LONG = new SoakStarted("plate-1", 85, 1800, null, null, HeatFact.Sweep.FACE);
    private static final Fact LONGER_STILL = new SoakStarted("plate-1", 85, 2400, null, null, HeatFact.Sweep.FACE);
    private static final Fact FILM = new CoverRemoved("inner-film");

    private static Journey warming() {
        Journey journey = new Journey().until(Station.HEAT);
        while (!(journey.next().orElseThrow().choices().get(0).fact() instanceof SoakStarted)) {
            journey.tapNext();
        }
        return journey;
    }

    private static Step step(Journey journey, String id) {
        return journey.course().steps().stream()
                .filter(step -> step.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void letsItsFactByOnce() {
        Journey journey = warming().signOff("heat.limit", TOO_LONG).append(TOO_LONG);
        journey.append(new HeatFact.SoakEnded(60));
        assertThat(journey.holds(TOO_LONG)).extracting(Hold::id).containsExactly("heat.limit");
    }

    @Test
    void letsNothingElseBy() {
        Journey journey = warming().signOff("heat.limit", TOO_LONG);
        assertThat(journey.holds(LONGER_STILL)).extracting(Hold::id).containsExactly("heat.limit");
        assertThat(journey.holds(TOO_LONG)).isEmpty();
    }

    @Test
    void standsOnlyWhereItsHoldStandsNow() {
        Journey journey = warming();
        Fact fine = journey.next().orElseThrow().choices().get(0).fact();
        assertThat(journey.holds(new HoldOverridden("heat.limit", "to be sure", fine)))
                .extracting(Hold::because)
                .containsExactly("Nothing is held that this would sign off");
        assertThat(journey.holds(new HoldOverridden("separate.cold", "whatever", TOO_LONG)))
                .isNotEmpty();
        journey.signOff("heat.limit", TOO_LONG);
        assertThat(journey.holds(new HoldOverridden("heat.limit", "again", TOO_LONG)))
                .as("signed off already")
                .isNotEmpty();
    }

    @Test
    void namesTheFactThatIsHeld() {
        assertThatThrownBy(() -> warming().holds(new HoldOverridden("heat.limit", "for everything", null)))
                .isInstanceOf(NotAllowed.class)
                .hasMessage("held is missing; allowed: a value");
    }

    @Test
    void ofAJournalFromBeforeItNamedAFactLetsNothingByAnyMore() {
        Journey journey = warming().append(new HoldOverridden("heat.limit", "an older one", null));
        assertThat(journey.holds(TOO_LONG)).extracting(Hold::id).containsExactly("heat.limit");
    }

    @Test
    void cannotAnswerForACheckThatNobodyAsked() {
        Journey journey = new Journey().until(Station.TEST);
        assertThat(journey.holds(new HoldOverridden("test.plugged", "never mind", FILM)))
                .isNotEmpty();
        journey.append(new HoldOverridden("test.plugged", "slipped in by an older app", null));
        assertThat(step(journey, "test.plugged").open()).isTrue();
        assertThat(journey.holds(FILM)).extracting(Hold::id).contains("test.plugged");
    }

    @Test
    void ofABadAnswerStandsUntilItIsGivenAnew() {
        Journey journey = new Journey().until(Station.TEST);
        journey.append(new CheckAnswered("test.plugged", Answer.PASS, null));
        Fact fails = new FunctionTested("stylus", Phase.OPEN, Answer.FAIL, null);
        journey.append(fails).signOff("open.stylus", FILM);
        assertThat(step(journey, "open.stylus").answer()).isEqualTo("Fails, signed off by a lead");
        assertThat(journey.holds(new SealFact.Sealed())).extracting(Hold::id).doesNotContain("open.stylus");
        journey.append(fails);
        assertThat(journey.holds(FILM)).extracting(Hold::id).contains("open.stylus");
    }

    @Test
    void ofMissingScrewsStandsForThatCountOnly() {
        Journey journey = new Journey()
                .until(Station.STRIP)
                .append(new ScrewsCounted(StripFact.Count.OUT, 14))
                .until(Station.SEAL);
        journey.append(new ScrewsCounted(StripFact.Count.IN, 13)).signOff("seal.screws", new SealFact.Sealed());
        assertThat(step(journey, "seal.screws").open()).isFalse();
        journey.append(new ScrewsCounted(StripFact.Count.IN, 12));
        assertThat(step(journey, "seal.screws").answer()).isEqualTo("12 in, 14 out");
        assertThat(step(journey, "seal.screws").open()).isTrue();
    }

    @Test
    void isNotForWhatCanHurtSomeoneNorForWhatIsNotThere() {
        Journey journey = warming().append(new IntakeFact.BatterySeen(IntakeFact.Battery.SWOLLEN));
        assertThat(journey.holds(new HoldOverridden("intake.battery", "only a little", TOO_LONG)))
                .isNotEmpty();
        Journey ordered = warming().append(new CheckAnswered("parts.here", Answer.FAIL, "Fellside, Thursday"));
        assertThat(ordered.holds(new HoldOverridden("parts.here", "go on", TOO_LONG)))
                .isNotEmpty();
    }

    @Test
    void isForLeadsAlone() {
        Fact signOff = new HoldOverridden("separate.cold", "warm room", new StretchFreed("top-1"));
        assertThat(Role.TECHNICIAN.mayRecord(signOff)).isFalse();
        assertThat(Role.LEAD.mayRecord(signOff)).isTrue();
    }

    @Test
    void isOnTheRecordWithItsReason() {
        Journey journey = warming().signOff("heat.limit", TOO_LONG).append(TOO_LONG);
        assertThat(journey.course().record().signedOff())
                .extracting(line -> line.words())
                .containsExactly("Signed off by a lead: longer or hotter than the limits allow, to go on with"
                        + " “Laid on Plate 1 at {C:85.0} for {s:1800}”, because the lead stands by");
    }
}
