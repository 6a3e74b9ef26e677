package ridgefall.app.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import ridgefall.app.RunningApp;
import ridgefall.app.book.Book;
import ridgefall.app.tools.HeatSources;
import ridgefall.core.heat.HeatPlan;
import ridgefall.core.heat.HeatQuestion;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.separate.Opening;
import ridgefall.core.separate.OpeningPlanner;

/** Plans that come with the app are the planner's own, of this version and of these devices. */
@ExtendWith(RunningApp.class)
class KeptPlansTest {
    private static final String ANEW = "plans that come with the app are stale: ./ridgefall plans works them out anew";

    @Test
    void theyWereMadeFromThePlannerAndTheBookAsTheyAre() throws IOException {
        assertThat(Files.readString(KeepPlans.FOLDER.resolve("made-from")).strip())
                .as(ANEW)
                .isEqualTo(KeepPlans.madeFrom());
    }

    @Test
    void everyShippedDeviceHasItsOwnAndNoOthersLieThere() throws IOException {
        List<String> asked =
                KeepPlans.questions().map(KeptPlans::name).distinct().sorted().toList();
        assertThat(asked).hasSizeGreaterThan(15);
        try (Stream<Path> files = Files.list(KeepPlans.FOLDER)) {
            assertThat(files.map(file -> file.getFileName().toString())
                            .filter(name -> name.endsWith(".gz"))
                            .sorted())
                    .as(ANEW)
                    .isEqualTo(asked);
        }
    }

    /** A watch takes the planner least time; what it says of one it says by the same rules of all. */
    @Test
    void theySayWhatThePlannerSaysToTheLastDigit() {
        HeatQuestion watch = KeepPlans.questions()
                .filter(question -> question.profile().id().equals("pellow-dial-41"))
                .findFirst()
                .orElseThrow();
        List<HeatPlan> heat = watch.ranked();
        List<Opening> openings = OpeningPlanner.ranked(watch, heat);
        KeptPlans.Kept kept = KeptPlans.of(watch).orElseThrow();
        assertThat(kept.heat()).as(ANEW).isEqualTo(heat);
        assertThat(kept.openings()).as(ANEW).isEqualTo(openings);
    }

    /** The database gives a document's entries back in an order of its own. */
    @Test
    void aDeviceOutOfTheBookIsAnsweredByThem(RunningApp.App app) {
        List<String> ids = KeepPlans.questions()
                .map(question -> question.profile().id())
                .distinct()
                .toList();
        assertThat(ids)
                .hasSizeGreaterThan(5)
                .allSatisfy(id -> assertThat(KeptPlans.of(new HeatQuestion(
                                app.bean(Book.class).newest(id, null),
                                FrontCondition.CRACKED,
                                List.of(),
                                List.of(),
                                app.bean(HeatSources.class).all())))
                        .isPresent());
    }

    @Test
    void anotherQuestionIsNotAnsweredByThem() {
        HeatQuestion kept = KeepPlans.questions().findFirst().orElseThrow();
        assertThat(KeptPlans.of(kept)).isPresent();
        assertThat(KeptPlans.of(kept.by(kept.handNPerMm() + 0.01))).isEmpty();
        assertThat(KeptPlans.of(new HeatQuestion(
                        kept.profile(),
                        kept.condition(),
                        List.of(),
                        List.of(),
                        kept.sources().subList(0, 2))))
                .isEmpty();
    }
}
