package ridgefall.core.bond;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ridgefall.core.bond.FilmFact.FilmLaid;
import ridgefall.core.bond.FilmFact.NoBubbleLeft;
import ridgefall.core.bond.FilmFact.OutOfTheLaminator;
import ridgefall.core.bond.FilmFact.PressedInVacuum;
import ridgefall.core.bond.FilmFact.UnderPressure;
import ridgefall.core.bond.JoinFact.JoinedWith;
import ridgefall.core.decide.DecideFact.RepairAgreed;
import ridgefall.core.gate.Journey;
import ridgefall.core.job.Answer;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact.CheckAnswered;
import ridgefall.core.job.Step;
import ridgefall.core.profile.ProfileDocument.OpticalBond;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.prove.ProveState;

/** The other school: a sheet of film, a laminator, a pressure chamber. */
class FilmJoinTest {
    private static final LocalDate DAY = LocalDate.of(2026, 9, 1);
    private static final Supply.Film FILM = new Supply.Film("film", "film", 5, 60, 50, 0.2);
    private static final Supply.Laminator PRESS = new Supply.Laminator("press", "press", 1, 180, 120, 90, 500, 50);
    private static final Supply.Liquid LIQUID = new Supply.Liquid("liquid", "liquid", 10, 1, 3, DAY);
    private static final Fact ALIGNED = new CheckAnswered("bond.aligned", Answer.PASS, null);

    private static Journey atTheGlass(Supply... shelf) {
        List<Supply> all = Stream.concat(
                        Stream.of(new Supply.Rings("rings", "rings", 3, "pellow-dial-45", 0.3)), Stream.of(shelf))
                .toList();
        return new Journey(ShippedBook.profile("pellow-dial-45"), Journey.withShelf(all))
                .untilStep("decide.repair")
                .append(new RepairAgreed("rebond", null, new BigDecimal("120.00"), "EUR", "Hut at Nine Tarns"))
                .untilStep("bond.held")
                .untilStep(shelf.length > 1 ? "bond.joined-with" : "bond.lamp");
    }

    private static Journey pressed() {
        return atTheGlass(FILM, PRESS, LIQUID)
                .append(new JoinedWith(OpticalBond.FILM))
                .append(new FilmLaid("film"))
                .append(ALIGNED)
                .append(new PressedInVacuum(90))
                .append(new OutOfTheLaminator());
    }

    /**
     * By hand for half a millimetre under 500 kPa at 50 °C: R'² = 0.25² · 101.3/601.3 = 0.010529 mm²; times ln 10, over 2 · 1e-10 ·
     * 0.1 · 0.83153 m²/s: 1458 s, and ten minutes until all of it is warm.
     */
    @Test
    void theLargestBubbleSaysHowLongTheChamberTakes() {
        assertThat((double) OpticalFilm.chamberSeconds(0.5, 500, 50)).isCloseTo(600 + 1458, within(1.0));
        assertThat(OpticalFilm.largestMm(500, 50)).isEqualTo(1.0);
        // Cold film lets air through 0.287 times as fast: exp(−4811 · (1/298.15 − 1/323.15)).
        assertThat(OpticalFilm.chamberSeconds(0.5, 500, 25) - 600.0).isCloseTo(1458 / 0.287, within(10.0));
    }

    @Test
    void aLargerBubbleTakesLongerAndMorePressureLess() {
        assertThat(DoubleStream.of(0.1, 0.2, 0.4, 0.8).map(mm -> OpticalFilm.chamberSeconds(mm, 500, 50)))
                .isSorted();
        assertThat(DoubleStream.of(100, 300, 600, 1000).map(kPa -> -OpticalFilm.chamberSeconds(0.4, kPa, 50)))
                .isSorted();
    }

    @Test
    void goesFromTheSheetOverVacuumAndPressureToTheEnd() {
        Journey journey = pressed();
        assertThat(journey.next().orElseThrow().id()).isEqualTo("bond.chamber");
        journey.append(new UnderPressure(0.3, 500, 50));
        assertThat(journey.state().timer(FilmJoin.CHAMBER).orElseThrow().seconds())
                .isEqualTo(OpticalFilm.chamberSeconds(0.3, 500, 50));
        journey.append(new NoBubbleLeft());
        assertThat(journey.next().orElseThrow().id()).isEqualTo("bond.optical");
        journey.toTheEnd();
        assertThat(ProveState.of(journey.state()).handedOverAt()).isPresent();
        assertThat(BondState.of(journey.state()).used())
                .extracting(BondState.Used::supplyId)
                .contains("film");
    }

    @Test
    void itIsAskedForOnlyWhereBothAreAtHand() {
        assertThat(atTheGlass(LIQUID).step("bond.lamp").answer()).isNull();
        List<Step.Choice> both =
                atTheGlass(FILM, PRESS, LIQUID).step("bond.joined-with").choices();
        assertThat(both).extracting(Step.Choice::label).containsExactly("Liquid and lamp", "Film and laminator");
        Supply.Liquid past = new Supply.Liquid("liquid", "liquid", 10, 1, 3, LocalDate.of(2026, 1, 1));
        assertThat(atTheGlass(FILM, PRESS, past).step("bond.joined-with").choices())
                .as("no liquid is good any more")
                .extracting(Step.Choice::label)
                .containsExactly("Film and laminator", "Liquid and lamp");
    }

    @Test
    void whatDoesNotSuitIsNotOfferedAndSaysWhy() {
        OpticalFilm face = OpticalFilm.of(ShippedBook.profile("pellow-dial-45"));
        assertThat(face.against(FILM, PRESS)).isEmpty();
        assertThat(face.against(new Supply.Film("f", "offcuts", 0, 30, 20, 0.5), PRESS))
                .containsExactly(
                        "no sheet is left of offcuts",
                        "its sheets are smaller than this face",
                        "{mm:0.5} thick where there is room for {mm:" + face.roomMm() + "}");
        assertThat(face.against(FILM, new Supply.Laminator("p", "small press", 1, 30, 30, 90, 500, 50)))
                .containsExactly("it does not go into small press");
    }

    @Test
    void nothingIsPressedBeforeItIsAlignedNorUnderPressureBeforeItWasPressed() {
        Journey journey = atTheGlass(FILM, PRESS, LIQUID).append(new JoinedWith(OpticalBond.FILM));
        assertThat(journey.heldBy(new PressedInVacuum(90))).containsExactly("bond.film");
        journey.append(new FilmLaid("film"));
        assertThat(journey.heldBy(new PressedInVacuum(90))).containsExactly("bond.aligned");
        journey.append(ALIGNED);
        assertThat(journey.heldBy(new UnderPressure(0.3, 500, 50))).containsExactly("bond.vacuum");
        assertThat(journey.heldBy(new NoBubbleLeft())).containsExactly("bond.vacuum");
        assertThat(journey.heldBy(new CheckAnswered("bond.optical", Answer.PASS, null)))
                .contains("bond.vacuum", "bond.chamber");
    }

    @Test
    void aBubbleTooWideIsHeldAndOneThatStaysIsCalledDust() {
        Journey journey = pressed();
        assertThat(journey.holds(new UnderPressure(1.4, 500, 50)))
                .extracting(Hold::because)
                .containsExactly("A bubble of {mm:1.4} does not go in two hours of it: off again, film and all");
        journey.append(new UnderPressure(0.3, 500, 50));
        assertThat(journey.step("bond.chamber").hint()).startsWith("let the pressure out slowly");
        journey.append(new UnderPressure(0.3, 500, 50));
        assertThat(journey.step("bond.chamber").hint()).startsWith("it has not become smaller: dust");
    }

    @Test
    void offAgainAllOfItIsAskedAnew() {
        Journey journey = pressed().append(new UnderPressure(0.3, 500, 50)).append(new JoinFact.LiquidLifted("dust"));
        assertThat(journey.next().orElseThrow().id()).isEqualTo("bond.joined-with");
        assertThat(journey.state().timer(FilmJoin.CHAMBER)).isEmpty();
        assertThat(journey.step("bond.aligned").answer()).isNull();
    }
}
