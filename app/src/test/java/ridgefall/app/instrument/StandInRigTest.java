package ridgefall.app.instrument;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.test.TouchProof;
import ridgefall.core.test.TouchProof.Task;
import ridgefall.core.test.TouchTrace;
import ridgefall.core.test.TouchTrace.Sample;
import ridgefall.core.test.TouchTrace.Screen;

/** The rig that ships is a machine over whole touch: judged by the same core as a hand's traces, nothing is found. */
class StandInRigTest {
    private static TouchTrace trace(StandInRig rig, Task task) {
        String[] px = rig.screen().split(",");
        List<Sample> samples = new ArrayList<>();
        rig.trace(task.name()).lines().skip(1).forEach(line -> {
            String[] told = line.split(",");
            samples.add(new Sample(
                    Double.parseDouble(told[0]),
                    Double.parseDouble(told[1]),
                    Double.parseDouble(told[2]),
                    Integer.parseInt(told[3])));
        });
        return new TouchTrace(new Screen(Double.parseDouble(px[0]), Double.parseDouble(px[1]), 5), samples);
    }

    @ParameterizedTest
    @CsvSource({"240,167", "167,240", "29,33", "280,215"})
    void nothingIsFoundInWhatItTellsOnAnySize(double widthMm, double heightMm) {
        StandInRig rig = new StandInRig(widthMm, heightMm);
        Map<Task, TouchTrace> traces = new EnumMap<>(Task.class);
        TouchProof.NEEDED.forEach(task -> traces.put(task, trace(rig, task)));
        assertThat(TouchProof.judge(traces)).isEmpty();
        assertThat(traces.get(Task.SWEEP).samples().size()).isLessThan(TouchTrace.MOST_SAMPLES);
        assertThat(rig.trace("SWEEP").length()).as("fits a block").isLessThan(999_999);
    }
}
