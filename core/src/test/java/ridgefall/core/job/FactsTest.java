package ridgefall.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.carry.CarryFact;
import ridgefall.core.decide.DecideFact;
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.heat.HeatFact;
import ridgefall.core.heat.HeatStation;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.intake.IntakeFact.BendMarked;
import ridgefall.core.intake.IntakeFact.CrackDrawn;
import ridgefall.core.intake.IntakeFact.DentMarked;
import ridgefall.core.intake.IntakeFact.MarkRemoved;
import ridgefall.core.intake.IntakeFact.PhotoTaken;
import ridgefall.core.intake.IntakeFact.SymptomSeen;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartReturned;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.profile.Symptom;
import ridgefall.core.strip.StripFact;
import ridgefall.core.units.NotAllowed;

/** Facts refuse what cannot be, and say themselves in one line. */
class FactsTest {
    private static final FactWords WORDS = FactWords.of(
            ShippedBook.quire11(),
            List.of(),
            List.of(new HeatStation(null, null, null, null, null, null, null)),
            List.of(),
            Map.of("plate-1", "Plate 1"),
            List.of(new Entry(7, Instant.EPOCH, "Ansa Orrick", Role.TECHNICIAN, new DentMarked(new Point(3, 4)))));
    private static final UUID ID = new UUID(0, 1);

    static Stream<Arguments> lines() {
        return Stream.of(
                Arguments.of(new SymptomSeen(Symptom.FLICKER, true), "Flicker or lines"),
                Arguments.of(new SymptomSeen(Symptom.FLICKER, false), "Flicker or lines: not so after all"),
                Arguments.of(new CrackDrawn(List.of(new Point(0, 0), new Point(30, 40))), "Crack drawn, {mm:50} long"),
                Arguments.of(new DentMarked(new Point(3, 4)), "Dent marked"),
                Arguments.of(
                        new BendMarked(Landmark.BOTTOM_RIGHT, 0.8, null),
                        "Bent: gap of {mm:0.8} under the corner of port edge and cable edge"),
                Arguments.of(new IntakeFact.CameBack(12), "Came back: it was job 12"),
                Arguments.of(
                        new IntakeFact.BroughtIn(12, 101),
                        "Brought in from a file: job 12 of the book it comes from, 101 facts"),
                Arguments.of(new MarkRemoved(7), "Not so after all: Dent marked"),
                Arguments.of(new JobFact.Undone(7), "Taken back: Dent marked"),
                Arguments.of(
                        new JobFact.HoldOverridden("heat.limit", "probe on the cell", new HeatFact.PickTried(false)),
                        "Signed off by a lead: longer or hotter than the limits allow, to go on with “Pick does not go in yet”,"
                                + " because probe on the cell"),
                Arguments.of(new IntakeFact.CrackMarked(10.689655172413794, 0), "Crack over the camera edge"),
                Arguments.of(new PhotoTaken(ID, "back"), "Photo: back"),
                Arguments.of(new PhotoTaken(ID, null), "Photo"),
                Arguments.of(
                        new PartReserved(ID, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of()),
                        "Taken off the shelf: fused front, lot 7"),
                Arguments.of(new PartReturned(ID), "A part went back to the shelf"),
                Arguments.of(
                        new DecideFact.RepairAgreed(
                                "fused-front", Grade.PREMIUM_COPY, new BigDecimal("203.4"), "EUR", "Hut warden"),
                        "Agreed: New fused front, premium copy, 203.40 EUR, by Hut warden"),
                Arguments.of(
                        new DecideFact.RepairAgreed("fused-front", null, new BigDecimal("189"), "EUR", "Hut warden"),
                        "Agreed: New fused front, 189.00 EUR, by Hut warden"),
                Arguments.of(
                        new DecideFact.ReplacementPriced(new BigDecimal("90"), "EUR"), "Another one costs 90.00 EUR"),
                Arguments.of(
                        new DecideFact.NotWorthIt("too dear", "Hut warden"),
                        "Goes back unrepaired: too dear, agreed by Hut warden"),
                Arguments.of(new CarryFact.CarriedOver("stylus-data"), "Stylus data carried over"),
                Arguments.of(new StripFact.PlugFreed("touch-plug"), "Touch press plug unplugged"));
    }

    @ParameterizedTest
    @MethodSource("lines")
    void areSaidInOneLine(Fact fact, String words) {
        assertThat(WORDS.say(fact)).isEqualTo(words);
    }

    @Test
    void whatAJournalHoldsIsTakenWhateverIsAllowedToday() {
        assertThat(new BendMarked(Landmark.TOP_LEFT, 40, null).gapMm()).isEqualTo(40);
        assertThat(new HeatFact.SettingChanged(700).settingC()).isEqualTo(700);
    }

    @Test
    void marksLieOnAFaceAndCracksHaveTwoEnds() {
        assertThatThrownBy(() -> new CrackDrawn(List.of(new Point(1, 1))).check())
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("line is 1; allowed: 2 to 200 points");
        assertThatThrownBy(() -> new CrackDrawn(Collections.nCopies(201, new Point(1, 1))).check())
                .hasMessageContaining("line is 201");
        assertThatThrownBy(() -> new DentMarked(new Point(Double.NaN, 1)).check())
                .hasMessageContaining("xMm is NaN");
        assertThatThrownBy(() -> new DentMarked(null).check()).hasMessageContaining("at is missing");
    }

    @Test
    void onlyCornersRockAndOnlyByAGapThatCanBe() {
        assertThatThrownBy(() -> new BendMarked(Landmark.LEFT, 1, null).check()).hasMessageContaining("corner is LEFT");
        assertThatThrownBy(() -> new BendMarked(Landmark.TOP_LEFT, 40, null).check())
                .hasMessage("gapMm is 40; allowed: 0.1 to 10 mm");
        assertThatThrownBy(() -> new BendMarked(Landmark.TOP_LEFT, 0.8, 2.0).check())
                .hasMessage("bentMm is 2; allowed: 5 to 500 mm");
    }

    @Test
    void pricesAreExactAndOfOneCurrency() {
        assertThatThrownBy(() -> new DecideFact.ReplacementPriced(new BigDecimal("1.999"), "EUR").check())
                .hasMessageContaining("at most two decimals");
        assertThatThrownBy(() -> new DecideFact.RepairAgreed("x", null, BigDecimal.ONE, "euro", "Hut").check())
                .hasMessageContaining("currency is euro");
    }

    @Test
    void aReservedPartSaysWhatItIsAndBrings() {
        assertThatThrownBy(() -> new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, " ", List.of()).check())
                .hasMessageContaining("words");
        assertThatThrownBy(() -> new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, "panel", null).check())
                .hasMessageContaining("brings is missing");
        List<Brings> brings = new java.util.ArrayList<>(List.of(Brings.TAPE));
        PartReserved part = new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, "panel", brings);
        brings.clear();
        assertThat(part.brings()).containsExactly(Brings.TAPE);
    }

    @Test
    void everyStationsFactsAreForTheRolesThatWorkThere() {
        assertThat(Role.DESK.mayRecord(new SymptomSeen(Symptom.FLICKER, true))).isTrue();
        assertThat(Role.DESK.mayRecord(new DecideFact.NotWorthIt("x", "y"))).isTrue();
        assertThat(Role.DESK.mayRecord(new PartReturned(ID))).isTrue();
        assertThat(Role.TECHNICIAN.mayRecord(new PartReturned(ID))).isTrue();
    }
}
