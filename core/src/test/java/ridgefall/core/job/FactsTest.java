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
import ridgefall.core.edge.Landmark;
import ridgefall.core.edge.Point;
import ridgefall.core.job.IntakeFact.BendMarked;
import ridgefall.core.job.IntakeFact.CrackDrawn;
import ridgefall.core.job.IntakeFact.DentMarked;
import ridgefall.core.job.IntakeFact.MarkRemoved;
import ridgefall.core.job.IntakeFact.PhotoTaken;
import ridgefall.core.job.IntakeFact.SymptomSeen;
import ridgefall.core.job.PartsFact.PartReserved;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.profile.Symptom;
import ridgefall.core.units.NotAllowed;

/** Facts refuse what cannot be, and say themselves in one line. */
class FactsTest {
    private static final FactWords WORDS = FactWords.of(
            ShippedBook.quire11(),
            List.of(),
            Map.of("heat.limit", "longer than the limits allow"),
            List.of(new Entry(7, Instant.EPOCH, "Ansa Orrick", Role.TECHNICIAN, new DentMarked(new Point(3, 4)))));
    private static final UUID ID = new UUID(0, 1);

    static Stream<Arguments> lines() {
        return Stream.of(
                Arguments.of(new SymptomSeen(Symptom.FLICKER, true), "Flicker or lines"),
                Arguments.of(new SymptomSeen(Symptom.FLICKER, false), "Flicker or lines: not so after all"),
                Arguments.of(new CrackDrawn(List.of(new Point(0, 0), new Point(30, 40))), "Crack drawn, {mm:50} long"),
                Arguments.of(new DentMarked(new Point(3, 4)), "Dent marked"),
                Arguments.of(
                        new BendMarked(Landmark.BOTTOM_RIGHT, 0.8),
                        "Bent: gap of {mm:0.8} under the corner of port edge and cable edge"),
                Arguments.of(new IntakeFact.CameBack(12), "Came back: it was job 12"),
                Arguments.of(new MarkRemoved(7), "Not so after all: Dent marked"),
                Arguments.of(new Fact.Undone(7), "Taken back: Dent marked"),
                Arguments.of(
                        new Fact.HoldOverridden("heat.limit", "probe on the cell", new Fact.PickTried(false)),
                        "Signed off by a lead: longer than the limits allow, to go on with “Pick does not go in yet”,"
                                + " because probe on the cell"),
                Arguments.of(new Fact.CrackMarked(10.689655172413794, 0), "Crack over the camera edge"),
                Arguments.of(new PhotoTaken(ID, "back"), "Photo: back"),
                Arguments.of(new PhotoTaken(ID, null), "Photo"),
                Arguments.of(
                        new PartReserved(ID, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of()),
                        "Taken off the shelf: fused front, lot 7"),
                Arguments.of(new PartsFact.PartReturned(ID), "A part went back to the shelf"),
                Arguments.of(
                        new Fact.RepairAgreed(
                                "fused-front", Grade.PREMIUM_COPY, new BigDecimal("203.4"), "EUR", "Hut warden"),
                        "Agreed: New fused front, premium copy, 203.40 EUR, by Hut warden"),
                Arguments.of(
                        new Fact.RepairAgreed("fused-front", null, new BigDecimal("189"), "EUR", "Hut warden"),
                        "Agreed: New fused front, 189.00 EUR, by Hut warden"),
                Arguments.of(new Fact.ReplacementPriced(new BigDecimal("90"), "EUR"), "Another one costs 90.00 EUR"),
                Arguments.of(
                        new Fact.NotWorthIt("too dear", "Hut warden"), "Not worth it: too dear, agreed by Hut warden"),
                Arguments.of(new Fact.CarriedOver("stylus-data"), "Stylus data carried over"),
                Arguments.of(new Fact.PlugFreed("touch-plug"), "Touch press plug unplugged"));
    }

    @ParameterizedTest
    @MethodSource("lines")
    void areSaidInOneLine(Fact fact, String words) {
        assertThat(WORDS.say(fact)).isEqualTo(words);
    }

    @Test
    void marksLieOnAFaceAndCracksHaveTwoEnds() {
        assertThatThrownBy(() -> new CrackDrawn(List.of(new Point(1, 1))))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("line is 1; allowed: 2 to 200 points");
        assertThatThrownBy(() -> new CrackDrawn(Collections.nCopies(201, new Point(1, 1))))
                .hasMessageContaining("line is 201");
        assertThatThrownBy(() -> new DentMarked(new Point(Double.NaN, 1))).hasMessageContaining("xMm is NaN");
        assertThatThrownBy(() -> new DentMarked(null)).hasMessageContaining("at is missing");
    }

    @Test
    void onlyCornersRockAndOnlyByAGapThatCanBe() {
        assertThatThrownBy(() -> new BendMarked(Landmark.LEFT, 1)).hasMessageContaining("corner is LEFT");
        assertThatThrownBy(() -> new BendMarked(Landmark.TOP_LEFT, 40))
                .hasMessage("gapMm is 40; allowed: 0.1 to 10 mm");
    }

    @Test
    void pricesAreExactAndOfOneCurrency() {
        assertThatThrownBy(() -> new Fact.ReplacementPriced(new BigDecimal("1.999"), "EUR"))
                .hasMessageContaining("at most two decimals");
        assertThatThrownBy(() -> new Fact.RepairAgreed("x", null, BigDecimal.ONE, "euro", "Hut"))
                .hasMessageContaining("currency is euro");
    }

    @Test
    void aReservedPartSaysWhatItIsAndBrings() {
        assertThatThrownBy(() -> new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, " ", List.of()))
                .hasMessageContaining("words");
        assertThatThrownBy(() -> new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, "panel", null))
                .hasMessageContaining("brings is missing");
        List<Brings> brings = new java.util.ArrayList<>(List.of(Brings.TAPE));
        PartReserved part = new PartReserved(ID, PartKind.PANEL, Grade.GENERIC, "panel", brings);
        brings.clear();
        assertThat(part.brings()).containsExactly(Brings.TAPE);
    }

    @Test
    void everyStationsFactsAreForTheRolesThatWorkThere() {
        assertThat(Role.DESK.mayRecord(new SymptomSeen(Symptom.FLICKER, true))).isTrue();
        assertThat(Role.DESK.mayRecord(new Fact.NotWorthIt("x", "y"))).isTrue();
        assertThat(Role.DESK.mayRecord(new PartsFact.PartReturned(ID))).isFalse();
        assertThat(Role.TECHNICIAN.mayRecord(new PartsFact.PartReturned(ID))).isTrue();
    }
}
