package ridgefall.core.fault;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import ridgefall.core.profile.ProfileDocument.Kind;
import ridgefall.core.profile.ShippedBook;
import ridgefall.core.test.ChargeTrace;
import ridgefall.core.test.Looked;
import ridgefall.core.test.TouchByHand;
import ridgefall.core.test.TouchFinding;
import ridgefall.core.test.TouchGrid.Cell;
import ridgefall.core.test.TouchLine.Wave;

/** What an instrument writes into the record is a sign wherever it says why: reworded there, it must not be lost here. */
class SignsTest {
    private static List<Sign> traced(String said) {
        return Signs.traced(said).toList();
    }

    private static String charged(DoubleUnaryOperator volts, DoubleUnaryOperator amps) {
        return ChargeTrace.of(
                        DoubleStream.iterate(0, s -> s <= ChargeTrace.SECONDS, s -> s + 0.5)
                                .mapToObj(s ->
                                        new ChargeTrace.Sample(s, volts.applyAsDouble(s), amps.applyAsDouble(s), null))
                                .toList(),
                        Kind.TABLET)
                .words();
    }

    @Test
    void whatTheTouchProofFindsIsASign() {
        Cell first = new Cell(0, 0);
        Cell beside = new Cell(1, 0);
        Cell below = new Cell(0, 1);
        assertThat(traced(new TouchFinding.DeadPatch(List.of(first, beside), true).words()))
                .containsExactly(Sign.LINE);
        assertThat(traced(new TouchFinding.DeadPatch(List.of(first, beside, below, new Cell(1, 1)), true).words()))
                .containsExactly(Sign.BAND);
        assertThat(traced(new TouchFinding.DeadPatch(List.of(first, beside), false).words()))
                .containsExactly(Sign.PATCH);
        assertThat(traced(new TouchFinding.Ghosts(List.of(), false).words())).containsExactly(Sign.GHOSTS);
        assertThat(traced(new TouchFinding.NoLine(true).words())).containsExactly(Sign.PEN_DEAD);
        assertThat(traced(new TouchFinding.Wavy(new Wave(6, 0.5), false).words()))
                .containsExactly(Sign.WAVES);
    }

    /** What has to be asked once more says nothing of a cause. */
    @Test
    void whatIsDoubtfulIsNone() {
        assertThat(traced(new TouchFinding.Wavy(new Wave(6, 0.2), true).words()))
                .isEmpty();
        assertThat(traced(new TouchFinding.NotProven(List.of(new Cell(0, 0))).words()))
                .isEmpty();
        assertThat(traced(new TouchFinding.Ghosts(List.of(), true).words())).isEmpty();
        assertThat(traced(new TouchFinding.NoLine(false).words())).isEmpty();
    }

    @Test
    void aGridThatNowhereAnswersIsDeadAltogether() {
        var device = ShippedBook.profile("pellow-dial-41");
        var all = TouchByHand.grid(device);
        List<Cell> cells = IntStream.range(0, all.rows())
                .boxed()
                .flatMap(row -> IntStream.range(0, all.columns()).mapToObj(at -> new Cell(at, row)))
                .toList();
        assertThat(traced(TouchByHand.judge(device, cells).words())).contains(Sign.ALL_DEAD);
    }

    @Test
    void aSilentLoudspeakerIsToldByEarAndByMicrophone() {
        var device = ShippedBook.profile("marrowby-quire-11");
        assertThat(traced(new Looked.Sound(null, null, false).words(device))).containsExactly(Sign.SILENT);
        assertThat(traced(new Looked.Sound(-60.0, -59.0, null).words(device))).containsExactly(Sign.SILENT);
        assertThat(traced(new Looked.Sound(-60.0, -20.0, null).words(device))).isEmpty();
    }

    @Test
    void whatTheMeterReadsIsASign() {
        assertThat(traced(charged(s -> 0.02, s -> 0))).containsExactly(Sign.NO_VOLTAGE);
        assertThat(traced(charged(s -> 5.1, s -> 0.004))).containsExactly(Sign.DRAWS_NOTHING);
        assertThat(traced(charged(s -> 4.2, s -> 0.8))).containsExactly(Sign.VOLTAGE_GIVES);
        assertThat(traced(charged(s -> 5.1, s -> s % 12 < 8 ? 0.7 : 0.03))).containsExactly(Sign.STARTS_OVER);
        assertThat(traced(charged(s -> 5.1, s -> 0.18))).isEmpty();
    }
}
