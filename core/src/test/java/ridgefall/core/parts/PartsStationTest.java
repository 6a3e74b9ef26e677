package ridgefall.core.parts;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.decide.Piece;
import ridgefall.core.gate.Journey;
import ridgefall.core.gate.Planning;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Role;
import ridgefall.core.job.Station;
import ridgefall.core.job.Step;
import ridgefall.core.parts.PartsFact.PartArrived;
import ridgefall.core.parts.PartsFact.PartOrdered;
import ridgefall.core.parts.PartsFact.PartReserved;
import ridgefall.core.parts.PartsFact.PartReturned;
import ridgefall.core.parts.PartsFact.PartSwapped;
import ridgefall.core.profile.Brings;
import ridgefall.core.profile.DeviceProfile;
import ridgefall.core.profile.Grade;
import ridgefall.core.profile.PartKind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveState;
import ridgefall.core.separate.SeparateFact.FrontOpened;
import ridgefall.core.separate.SeparateFact.StretchFreed;
import ridgefall.core.units.NotAllowed;

/** The part against what the agreed repair needs: of a fused front tape, magnets, sensor insert and camera bracket. */
class PartsStationTest {
    private static final UUID PIECE = new UUID(0, 4);

    private static PartReserved front(Brings... brings) {
        return new PartReserved(PIECE, PartKind.FUSED_FRONT, Grade.PREMIUM_COPY, "fused front, lot 7", List.of(brings));
    }

    private static Journey agreed() {
        return new Journey().until(Station.PARTS);
    }

    @Test
    void everyNeedOfTheAgreedRepairIsAskedFor() {
        assertThat(agreed().stepIds(Station.PARTS))
                .containsExactly(
                        "parts.here",
                        "parts.variant",
                        "parts.laid-beside",
                        "parts.tape",
                        "parts.magnets",
                        "parts.sensor-insert",
                        "parts.camera-bracket",
                        "parts.arrival");
    }

    @Test
    void whatThePartBringsIsAnsweredAndWhatItComesWithoutIsAsked() {
        Journey journey = agreed().append(front(Brings.TAPE, Brings.MAGNETS));
        assertThat(journey.step("parts.here").answer()).isEqualTo("fused front, lot 7");
        assertThat(journey.step("parts.tape").answer()).isEqualTo("in the part");
        assertThat(journey.step("parts.sensor-insert").title()).startsWith("Comes without ");
        assertThat(journey.step("parts.sensor-insert").open()).isTrue();
    }

    @Test
    void whatMustBeOrderedHoldsTheHeatAndWaitsForItsComingWhoeverWouldSign() {
        Journey journey = agreed().append(new CheckAnswered("parts.here", Answer.FAIL, "Fellside, due Tuesday"));
        Step here = journey.step("parts.here");
        assertThat(here.lead()).isEqualTo(Step.Lead.HAS_COME);
        assertThat(here.answer()).isEqualTo("ordered: Fellside, due Tuesday");
        assertThat(journey.holds(new StretchFreed("top-1")))
                .filteredOn(hold -> hold.id().equals("parts.here"))
                .singleElement()
                .matches(hold -> !hold.overridable());
    }

    @Test
    void onlyWhatWasTakenGoesBackAndNothingOnceTheFrontIsOpen() {
        Journey journey = agreed().append(front());
        assertThat(journey.holds(new PartReturned(PIECE))).isEmpty();
        assertThatThrownBy(() -> journey.holds(new PartReturned(new UUID(0, 5))))
                .hasMessageContaining("a part taken off the shelf for this job");
        journey.append(new FrontOpened());
        assertThat(journey.holds(new PartReturned(PIECE))).extracting(Hold::id).containsExactly("parts.open");
    }

    @Test
    void aPieceThatChangedHandsIsNoMisTap() {
        assertThat(agreed().append(front()).course().undoable()).isEmpty();
    }

    @Test
    void anOrderSaysWhereAndWhenHoldsTheHeatAndIsAnsweredByItsComing() {
        Journey journey = agreed();
        PartOrdered order =
                new PartOrdered("parts.here", "Fellside", LocalDate.of(2026, 3, 6), new BigDecimal("84.5"), "EUR");
        assertThat(journey.holds(order)).isEmpty();
        Step here = journey.append(order).step("parts.here");
        assertThat(here.answer()).isEqualTo("ordered: Fellside, due {day:2026-03-06}, 84.50 EUR");
        assertThat(here.lead()).isEqualTo(Step.Lead.HAS_COME);
        assertThat(journey.heldBy(new StretchFreed("top-1"))).contains("parts.here");
        assertThat(here.choices().get(0).fact()).isEqualTo(new PartArrived("parts.here"));
        assertThat(journey.append(new PartArrived("parts.here"))
                        .step("parts.here")
                        .answer())
                .isEqualTo("has come");
        assertThat(Role.DESK.mayRecord(new PartArrived("parts.here"))).isTrue();
        assertThatThrownBy(() -> agreed().holds(new PartArrived("parts.here"))).hasMessageContaining("stepId");
        assertThatThrownBy(() -> agreed().holds(new PartOrdered("parts.tea", "Fellside", null, null, null)))
                .hasMessageContaining("parts.tape");
    }

    private static Shelf.Lying lying(int piece, Grade grade, int free) {
        return new Shelf.Lying(
                new Piece(new UUID(7, piece), PartKind.FUSED_FRONT, grade, "front " + piece, List.of(Brings.TAPE)),
                free);
    }

    /** Agreed with a grade, before anything is taken; the shelf is what is passed. */
    private static Journey with(Grade agreed, List<Piece> kept, Shelf.Lying... shelf) {
        Planning planning = new Planning() {
            @Override
            public Shelf shelf() {
                return profile -> List.of(shelf);
            }
        };
        Journey journey = new Journey(new Journey().course().profile(), planning).until(Station.DECIDE);
        String repair = journey.course().profile().document().repairs().get(0).id();
        return journey.append(new RepairAgreed(repair, agreed, new BigDecimal("90"), "EUR", "Owner", kept));
    }

    @Test
    void whatLiesThereIsWhatWasAgreedAndTheLastOneIsSaid() {
        Step here = with(
                        Grade.REFURBISHED_ORIGINAL,
                        List.of(),
                        lying(1, Grade.PREMIUM_COPY, 4),
                        lying(2, Grade.REFURBISHED_ORIGINAL, 1))
                .step("parts.here");
        assertThat(here.hint()).isEqualTo("front 2 (the last one)");
        assertThat(here.choices().get(0).fact())
                .isEqualTo(new PartReserved(
                        new UUID(7, 2),
                        PartKind.FUSED_FRONT,
                        Grade.REFURBISHED_ORIGINAL,
                        "front 2",
                        List.of(Brings.TAPE)));
        assertThat(here.choices().get(1).fact()).isEqualTo(new CheckAnswered("parts.here", Answer.PASS, null));
    }

    /** The shelf has none of what was agreed, or it was agreed by a price alone and there are two: nobody guesses. */
    @Test
    void aPieceOfAnotherGradeIsNotTakenUnasked() {
        assertThat(with(Grade.REFURBISHED_ORIGINAL, List.of(), lying(1, Grade.PREMIUM_COPY, 4))
                        .step("parts.here")
                        .choices()
                        .get(0)
                        .fact())
                .isEqualTo(new CheckAnswered("parts.here", Answer.PASS, null));
        assertThat(with(null, List.of(), lying(1, Grade.PREMIUM_COPY, 4), lying(2, Grade.REFURBISHED_ORIGINAL, 1))
                        .step("parts.here")
                        .choices()
                        .get(0)
                        .fact())
                .isEqualTo(new CheckAnswered("parts.here", Answer.PASS, null));
    }

    @Test
    void whatWasQuotedIsThisJobsOnceItIsAgreedAndGoesBackWhenAnotherIs() {
        Piece first = lying(2, Grade.REFURBISHED_ORIGINAL, 1).piece();
        Piece other = lying(1, Grade.PREMIUM_COPY, 1).piece();
        Journey journey = with(Grade.REFURBISHED_ORIGINAL, List.of(first));
        assertThat(journey.step("parts.here").answer()).isEqualTo("front 2");
        assertThat(PartsState.of(journey.course().state()).reserved()).containsOnlyKeys(first.stockId());
        String repair = journey.course().profile().document().repairs().get(0).id();
        journey.append(
                new RepairAgreed(repair, Grade.PREMIUM_COPY, new BigDecimal("70"), "EUR", "Owner", List.of(other)));
        assertThat(PartsState.of(journey.course().state()).reserved()).containsOnlyKeys(other.stockId());
    }

    /** What is in the device does not lie on the shelf again because another quote was agreed. */
    @Test
    void withTheFrontOpenNoQuotePutsThePartBackOnTheShelf() {
        Piece kept = lying(2, Grade.REFURBISHED_ORIGINAL, 1).piece();
        Journey journey = with(Grade.REFURBISHED_ORIGINAL, List.of(kept)).append(new FrontOpened());
        String repair = journey.course().profile().document().repairs().get(0).id();
        Piece other = lying(1, Grade.PREMIUM_COPY, 1).piece();
        assertThat(journey.holds(new RepairAgreed(
                        repair, Grade.PREMIUM_COPY, new BigDecimal("70"), "EUR", "Owner", List.of(other))))
                .extracting(Hold::id)
                .contains("parts.open");
        for (List<Piece> same : List.of(List.of(kept), List.<Piece>of())) {
            assertThat(journey.holds(new RepairAgreed(
                            repair, Grade.REFURBISHED_ORIGINAL, new BigDecimal("70"), "EUR", "Owner", same)))
                    .extracting(Hold::id)
                    .doesNotContain("parts.open");
        }
    }

    @Test
    void whoeverOrdersWhatLiesOnTheShelfIsAskedWhy() {
        Journey journey = with(Grade.REFURBISHED_ORIGINAL, List.of(), lying(2, Grade.REFURBISHED_ORIGINAL, 3));
        assertThat(journey.step("parts.here").choices().get(2).asks())
                .extracting(Step.Ask::field)
                .startsWith("why", "supplier");
        assertThatThrownBy(() -> journey.holds(new PartOrdered("parts.here", "Fellside", null, null, null)))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("why")
                .hasMessageContaining("front 2");
        PartOrdered order = new PartOrdered("parts.here", "Fellside", null, null, null, "scratched");
        assertThat(journey.holds(order)).isEmpty();
        assertThat(order.words(journey.course().words())).endsWith("not the one on the shelf: scratched");
    }

    @Test
    void aPartThatIsNoGoodLeadsToTheReturnsAndIsAskedForAnew() {
        Journey journey =
                agreed().append(front(Brings.TAPE)).append(new CheckAnswered("parts.variant", Answer.PASS, null));
        journey.append(new CheckAnswered("parts.arrival", Answer.FAIL, "stripes"));
        PartSwapped swap = new PartSwapped(PartKind.FUSED_FRONT, PIECE, PartsFact.Bad.DEAD_ON_ARRIVAL, null, false);
        assertThat(journey.step("parts.arrival").lead()).isEqualTo(Step.Lead.LEAD_ON);
        assertThat(journey.step("parts.arrival").choices().get(0).fact()).isEqualTo(swap);
        journey.append(swap);
        assertThat(List.of("parts.here", "parts.variant", "parts.tape", "parts.arrival"))
                .allMatch(id -> journey.step(id).open());
        assertThat(PartsState.of(journey.state()).bad())
                .singleElement()
                .satisfies(bad -> assertThat(bad.part().stockId()).isEqualTo(PIECE));
        assertThatThrownBy(() -> journey.holds(swap)).hasMessageContaining("a part taken off the shelf for this job");
    }

    @Test
    void aPartSwappedAtTheTestIsUnpluggedCarriedOntoAndBondedOnceMore() {
        Journey journey = new Journey().untilStep("open.picture");
        assertThatThrownBy(() -> journey.holds(dead(false))).hasMessageContaining("pluggedIn");
        journey.append(dead(true));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("parts.here");
        assertThat(List.of("strip.isolate", "strip.proven", "strip.display-plug", "carry.magnets", "test.plugged"))
                .allMatch(id -> journey.step(id).open());
        assertThat(List.of("strip.screws", "clean.bare", "separate.open"))
                .noneMatch(id -> journey.step(id).open());
        assertThat(ProveState.of(journey.toTheEnd().state()).handedOverAt()).isPresent();
    }

    @Test
    void aSealedFrontIsOpenedBeforeItsPartIsSwapped() {
        Journey journey = new Journey().until(Station.PROVE);
        assertThat(journey.heldBy(dead(true))).containsExactly("seal.reopen");
    }

    private static PartSwapped dead(boolean pluggedIn) {
        return new PartSwapped(PartKind.FUSED_FRONT, null, PartsFact.Bad.DEAD_AT_TEST, "no picture", pluggedIn);
    }

    @Test
    void anotherGradeThanAgreedIsSettledWithTheOwnerWhateverALeadSays() {
        Journey journey = agreed();
        journey.append(new RepairAgreed(
                "fused-front", Grade.REFURBISHED_ORIGINAL, new BigDecimal("189"), "EUR", "Hut at Nine Tarns"));
        assertThat(journey.stepIds(Station.PARTS)).doesNotContain("parts.agreed");
        journey.append(front());
        assertThat(journey.step("parts.agreed").answer())
                .isEqualTo("agreed: refurbished original; taken: premium copy");
        assertThat(journey.holds(new StretchFreed("top-1")))
                .filteredOn(hold -> hold.id().equals("parts.agreed"))
                .singleElement()
                .matches(hold -> !hold.overridable());
        Journey same = journey;
        assertThat(same.step("parts.agreed").choices())
                .extracting(choice -> choice.fact().getClass().getSimpleName())
                .containsExactly("DifferenceAgreed", "RepairAgreed", "PartReturned");
        same.append(new PartsFact.DifferenceAgreed(Grade.PREMIUM_COPY, "Hut at Nine Tarns"));
        assertThat(same.step("parts.agreed").answer()).isEqualTo("premium copy, agreed after all");
    }

    @Test
    void twoPartsAreEachAskedForAndOneAnswerOfOldCountsForBoth() {
        DeviceProfile tarn = ShippedBook.profile("brackenholt-tarn-10");
        Journey journey = new Journey(tarn).until(Station.DECIDE);
        journey.append(new RepairAgreed("glass-and-panel", null, new BigDecimal("149"), "EUR", "Ferry desk"));
        assertThat(journey.stepIds(Station.PARTS)).startsWith("parts.here-glass-with-touch", "parts.here-panel");
        journey.append(new CheckAnswered("parts.here-panel", Answer.PASS, null));
        assertThat(journey.step("parts.here-glass-with-touch").open()).isTrue();
        journey.append(new CheckAnswered("parts.here", Answer.PASS, null));
        assertThat(journey.stepIds(Station.PARTS)).startsWith("parts.here", "parts.variant");
    }

    @Test
    void bareGlassIsAskedForNoPicture() {
        DeviceProfile tarn = ShippedBook.profile("brackenholt-tarn-10");
        Journey journey = new Journey(tarn).until(Station.DECIDE);
        journey.append(new RepairAgreed("glass", null, new BigDecimal("99"), "EUR", "Ferry desk"));
        assertThat(journey.step("parts.arrival").hint()).isEqualTo("touch, before it is needed");
    }

    @Test
    void eachPartOfARepairIsTriedByItselfUnlessTheBenchHasBegun() {
        DeviceProfile tarn = ShippedBook.profile("brackenholt-tarn-10");
        RepairAgreed both = new RepairAgreed("glass-and-panel", null, new BigDecimal("149"), "EUR", "Ferry desk");
        Journey journey = new Journey(tarn).until(Station.DECIDE).append(both);
        assertThat(journey.stepIds(Station.PARTS)).endsWith("parts.arrival", "parts.arrival-panel");
        assertThat(journey.step("parts.arrival").hint()).startsWith("touch");
        assertThat(journey.step("parts.arrival-panel").hint()).startsWith("picture");
        journey.append(new CheckAnswered("parts.arrival-panel", Answer.FAIL, "dark"));
        assertThat(((PartSwapped) journey.step("parts.arrival-panel")
                                .choices()
                                .get(0)
                                .fact())
                        .kind())
                .isEqualTo(PartKind.PANEL);
        Journey older = new Journey(tarn).append(both).append(new StretchFreed("top-1"));
        assertThat(older.stepIds(Station.PARTS)).doesNotContain("parts.arrival-panel");
    }

    @Test
    void whatIsOrderedMayHaveItsPrice() {
        Step here = agreed().step("parts.here");
        assertThat(here.choices().get(1).asks())
                .extracting(ask -> ask.field())
                .containsExactly("supplier", "due", "price");
        assertThat(((PartOrdered) here.choices().get(1).fact()).currency()).isEqualTo("EUR");
    }
}
