package ridgefall.core.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ridgefall.core.material.Hand.Try;

/** PET-carrier tape: 1 N/mm at 23 °C and 5 mm/s, 1/e of it at 61 °C, (1/5)^¼ of it at 1 mm/s, (1/10)^¼ at 0.5 mm/s, and a fiftieth less where it sticks. */
class HandTest {
    private static final Try IN_AT_ROOM = tried(23, true);
    private static final Try STUCK_WHEN_WARM = tried(61, false);

    private static Try tried(double bondC, boolean goesIn) {
        return new Try(Adhesive.PET_CARRIER_TAPE, bondC, goesIn);
    }

    @Test
    void whatGoesInGoesInFromThereOn() {
        assertThat(Hand.USUAL.believing(List.of(IN_AT_ROOM))).isCloseTo(0.6687, within(1e-4));
        double force = Hand.USUAL.believing(List.of(IN_AT_ROOM));
        assertThat(new Cutting(Adhesive.PET_CARRIER_TAPE, force).workableFromC())
                .isCloseTo(23, within(1e-6));
        assertThat(Hand.USUAL.believing(List.of(tried(61, true)))).isEqualTo(0.4);
    }

    @Test
    void whatStuckIsColdFromThereOn() {
        assertThat(Hand.USUAL.believing(List.of(STUCK_WHEN_WARM))).isCloseTo(0.2028, within(1e-4));
        assertThat(Hand.USUAL.believing(List.of(tried(23, false)))).isEqualTo(0.4);
    }

    @Test
    void theLatestFindIsBelievedMost() {
        assertThat(Hand.USUAL.believing(List.of(IN_AT_ROOM, STUCK_WHEN_WARM))).isCloseTo(0.2028, within(1e-4));
        assertThat(Hand.USUAL.believing(List.of(STUCK_WHEN_WARM, IN_AT_ROOM))).isCloseTo(0.6687, within(1e-4));
    }

    @Test
    void aFewAnswersAreCountedAndChangeNoPlan() {
        assertThat(Hand.learned(List.of())).isEqualTo(Hand.USUAL);
        assertThat(Hand.learned(List.of(IN_AT_ROOM, IN_AT_ROOM, IN_AT_ROOM, IN_AT_ROOM)))
                .isEqualTo(new Hand(0.4, 4));
        assertThat(new Hand(0.4, 3).words()).contains("usual hand: 0.4 N", "3 of the first 5");
        assertThat(new Hand(0.46, 12).words()).contains("0.46 N", "learned from 12 picks");
    }

    /** Whose force is known to the test alone tries at temperatures that are reckoned 5 K wrong now and then. */
    @Test
    void manyAnswersFindTheHandThatGaveThem() {
        for (double truth : new double[] {0.26, 0.4, 0.6}) {
            assertThat(Hand.learned(answers(truth)).nPerMm()).isBetween(truth * 0.85, truth * 1.18);
        }
    }

    @Test
    void aKeyPressedTooSoonMovesItLittle() {
        List<Try> withMistakes = Stream.concat(
                        answers(0.4).stream(), Stream.of(tried(22, true), tried(22, true), tried(80, false)))
                .toList();
        assertThat(Hand.learned(withMistakes).nPerMm())
                .isCloseTo(Hand.learned(answers(0.4)).nPerMm(), within(0.05));
    }

    private static List<Try> answers(double truthNPerMm) {
        Random random = new Random(7);
        Cutting cutting = new Cutting(Adhesive.PET_CARRIER_TAPE, truthNPerMm);
        return IntStream.range(0, 60)
                .mapToObj(i -> {
                    double bondC = 15 + 55 * random.nextDouble();
                    double reckonedC = bondC + 5 * random.nextGaussian();
                    return tried(reckonedC, cutting.mmPerS(bondC) > 0.7);
                })
                .toList();
    }
}
