package ridgefall.core.job;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.material.FrontCondition;
import ridgefall.core.seal.SealFact;
import ridgefall.core.strip.StripFact;

/** Who may record a fact may take their own back; someone else's only a lead. */
class TakingBackTest {
    private static final Fact OF_THE_DESK = new IntakeFact.FrontSeen(FrontCondition.CRACKED);
    private static final Fact OF_THE_BENCH = new StripFact.IsolationProven();
    private static final Fact OF_A_LEAD =
            new JobFact.HoldOverridden("open.stylus", "owner has none", new SealFact.Sealed());

    @ParameterizedTest
    @CsvSource({
        "DESK,       Tove, desk,  true",
        "DESK,       Ansa, desk,  false",
        "DESK,       Tove, bench, false",
        "DESK,       Ansa, lead,  false",
        "TECHNICIAN, Ansa, bench, true",
        "TECHNICIAN, Tove, bench, false",
        "TECHNICIAN, Tove, desk,  false",
        "TECHNICIAN, Ansa, lead,  false",
        "LEAD,       Ansa, bench, true",
        "LEAD,       Marn, lead,  true"
    })
    void takesBack(Role role, String recordedBy, String kind, boolean may) {
        String me = role == Role.DESK ? "Tove" : role == Role.TECHNICIAN ? "Ansa" : "Marn";
        Fact fact = kind.equals("desk") ? OF_THE_DESK : kind.equals("bench") ? OF_THE_BENCH : OF_A_LEAD;
        Entry entry = new Entry(4, Instant.EPOCH, recordedBy, Role.LEAD, fact);
        assertThat(role.mayTakeBack(entry, me)).isEqualTo(may);
    }
}
