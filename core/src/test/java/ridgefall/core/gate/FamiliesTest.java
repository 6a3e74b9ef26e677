package ridgefall.core.gate;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import ridgefall.core.intake.IntakeFact.PowerSeen;
import ridgefall.core.job.Entry;
import ridgefall.core.job.Fact;
import ridgefall.core.job.Family;
import ridgefall.core.job.Hold;
import ridgefall.core.job.JobFact;
import ridgefall.core.job.JobState;
import ridgefall.core.job.Timer;
import ridgefall.core.job.TimerKind;
import ridgefall.core.profile.DeviceProfile;

/** Every fact belongs to one room, which remembers it. */
class FamiliesTest {
    @Test
    void everyFactThereIsStandsInExactlyOneFamily() {
        List<String> there = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("ridgefall.core").stream()
                        .filter(type -> type.isAssignableTo(Fact.class) && !type.isInterface())
                        .map(JavaClass::getName)
                        .toList();
        assertThat(Course.FAMILIES.stream()
                        .flatMap(family -> family.members().stream())
                        .map(Class::getName))
                .as("registered in gate.Course")
                .doesNotHaveDuplicates()
                .containsExactlyInAnyOrderElementsOf(there);
        assertThat(there).hasSizeGreaterThan(40);
    }

    @Test
    void namesOnTheWireAreEachTakenOnce() {
        assertThat(Course.facts().map(Class::getSimpleName))
                .doesNotHaveDuplicates()
                .doesNotContain("FromNewer");
    }

    @Test
    void aRoomStandsInThePackageOfItsFamily() {
        for (Family<?> family : Course.FAMILIES) {
            String room = family.facts().getPackageName();
            assertThat(family.members()).allMatch(fact -> fact.getPackageName().equals(room));
        }
    }

    @Test
    void everyClockThatAJobStartsIsOneThatInstrumentsCanAttendTo() {
        assertThat(new Journey().toTheEnd().state().timers())
                .extracting(Timer::kind)
                .isNotEmpty()
                .isSubsetOf(Course.CLOCKS.stream().map(TimerKind::id).toList());
    }

    static Stream<DeviceProfile> devices() {
        return EveryDeviceTest.devices();
    }

    /** The short way a tap takes and the long way a reader takes end at the same state. */
    @ParameterizedTest
    @MethodSource("devices")
    void oneMoreFactIsAsGoodAsAllFromTheStart(DeviceProfile device) {
        Journey journey = new Journey(device).toTheEnd();
        Course grown = null;
        for (Entry entry : journey.journal()) {
            grown = grown == null ? new Course(device, List.of(entry), Journey.PLANNING) : grown.with(entry);
        }
        assertThat(grown.state()).isEqualTo(JobState.of(Course.FAMILIES, journey.journal()));
        assertThat(grown.journal()).isEqualTo(journey.journal());
    }

    @Test
    void oneTakenBackOnTheWayIsNotRemembered() {
        Journey journey = new Journey().append(new PowerSeen(false));
        Course before = journey.course();
        journey.append(new PowerSeen(true)).append(new JobFact.Undone(3));
        Course grown =
                before.with(journey.journal().get(2)).with(journey.journal().get(3));
        assertThat(grown.state()).isEqualTo(journey.state());
    }

    @Test
    void whatANewerVersionWroteHoldsEverythingElseOfThatJob() {
        Journey journey = new Journey().append(new JobFact.FromNewer("PanelGlowed", "{}"));
        assertThat(journey.holds(new PowerSeen(true))).extracting(Hold::id).containsExactly("journal.newer");
        assertThat(journey.holds(new JobFact.Undone(2))).extracting(Hold::id).containsExactly("journal.newer");
        assertThat(journey.course().words().say(2)).isEqualTo("Recorded by a newer version: PanelGlowed");
        assertThat(journey.course().undoable()).isEmpty();
    }
}
