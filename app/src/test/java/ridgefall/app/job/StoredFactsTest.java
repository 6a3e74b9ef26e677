package ridgefall.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.app.http.Json;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.job.Fact;
import ridgefall.core.job.JobFact;
import ridgefall.core.prove.ProveFact;
import tools.jackson.databind.json.JsonMapper;

/** What was once written can be read, whatever is allowed today, and what is not known yet is kept. */
class StoredFactsTest {
    private static final JsonMapper JSON = json();
    private final StoredFacts facts = new StoredFacts(JSON);

    private static JsonMapper json() {
        JsonMapper.Builder builder = JsonMapper.builder();
        new Json().strictFacts().customize(builder);
        return builder.build();
    }

    /** One line for each form that facts had before the one of today. */
    static Stream<Arguments> oldForms() {
        return Stream.of(
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':80.0,'seconds':200}",
                        new HeatFact.SoakStarted("plate-1", 80, 200, null, null, HeatFact.Sweep.FACE)),
                Arguments.of(
                        "{'type':'SoakStarted','sourceId':'plate-1','settingC':80.0,'seconds':200,'dial':null,"
                                + "'distanceMm':null,'sweep':null}",
                        new HeatFact.SoakStarted("plate-1", 80, 200, null, null, HeatFact.Sweep.FACE)),
                Arguments.of(
                        "{'type':'JobOpened','profileId':'marrowby-quire-11','profileVersion':1,'owner':'Hut','fault':'x'}",
                        new IntakeFact.JobOpened("marrowby-quire-11", 1, null, "Hut", "x")),
                Arguments.of(
                        "{'type':'RepairAgreed','repairId':'fused-front','price':189,'currency':'EUR','agreedBy':'Hut'}",
                        new DecideFact.RepairAgreed("fused-front", null, new BigDecimal("189.00"), "EUR", "Hut")),
                Arguments.of(
                        "{'type':'HoldOverridden','holdId':'heat.limit','reason':'probe on the cell'}",
                        new JobFact.HoldOverridden("heat.limit", "probe on the cell", null)),
                Arguments.of(
                        "{'type':'HoldOverridden','holdId':'heat.limit','reason':'probe','held':{'type':'SoakStarted',"
                                + "'sourceId':'plate-1','settingC':80.0,'seconds':200}}",
                        new JobFact.HoldOverridden(
                                "heat.limit",
                                "probe",
                                new HeatFact.SoakStarted("plate-1", 80, 200, null, null, HeatFact.Sweep.FACE))),
                Arguments.of(
                        "{'type':'TimerStarted','kind':'DRYING','seconds':90}",
                        new JobFact.TimerStarted("DRYING", 90, null)),
                Arguments.of("{'type':'TimerStopped','kind':'DRYING'}", new JobFact.TimerStopped("DRYING", null)));
    }

    @ParameterizedTest
    @MethodSource("oldForms")
    void everyFormOfTheirPastIsRead(String text, Fact fact) {
        assertThat(facts.read(text.replace('\'', '"'), null)).isEqualTo(fact);
    }

    @Test
    void aRangeThatWasTightenedSinceRefusesNoStoredFact() {
        Fact hotter = new HeatFact.SettingChanged(900);
        assertThat(facts.read(facts.write(hotter).text(), null)).isEqualTo(hotter);
    }

    @Test
    void aFieldThatSaysNothingIsNotWrittenSoThatAnEarlierVersionCanReadIt() {
        assertThat(facts.write(new JobFact.TimerStarted("DRYING", 90, null)).text())
                .isEqualTo("{\"type\":\"TimerStarted\",\"kind\":\"DRYING\",\"seconds\":90}");
    }

    @Test
    void whatIsNotKnownIsKeptWordForWord() {
        String text = "{\"type\":\"PanelGlowed\",\"lumen\":[1,2.50]}";
        Fact fact = facts.read(text, null);
        assertThat(fact).isEqualTo(new JobFact.FromNewer("PanelGlowed", text));
        assertThat(facts.write(fact).text()).isEqualTo(text);
    }

    @Test
    void aFieldOrAValueThatIsNotKnownMakesTheFactUnknownRatherThanWrong() {
        assertThat(facts.read("{\"type\":\"PowerSeen\",\"canSwitchOff\":true,\"volts\":3}", null))
                .isInstanceOf(JobFact.FromNewer.class);
        assertThat(facts.read("{\"type\":\"BatterySeen\",\"battery\":\"DENTED\"}", null))
                .isInstanceOf(JobFact.FromNewer.class);
    }

    @Test
    void anOwnersWordsLieApartAndComeBackUntilTheyAreErased() {
        Fact over = new ProveFact.HandedOver("Warden of the hut");
        StoredFacts.Stored stored = facts.write(over);
        assertThat(stored.ownersWords()).contains("Warden of the hut");
        assertThat(stored.text()).doesNotContain("Warden");
        assertThat(facts.read(stored.text(), "Warden of the hut")).isEqualTo(over);
        assertThat(facts.read(stored.text(), null)).isEqualTo(new ProveFact.HandedOver("(erased)"));
    }

    @Test
    void theOwnerInsideASignOffLiesApartToo() {
        Fact signOff = new JobFact.HoldOverridden(
                "decide.opened", "agreed by phone", new DecideFact.NotWorthIt("too dear", "Warden of the hut"));
        StoredFacts.Stored stored = facts.write(signOff);
        assertThat(stored.text()).doesNotContain("Warden");
        assertThat(facts.read(stored.text(), stored.ownersWords().orElseThrow()))
                .isEqualTo(signOff);
    }
}
