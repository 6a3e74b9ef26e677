package ridgefall.app.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import ridgefall.core.units.NotAllowed;

/** Days, numbers and measures on paper. */
class SaidTest {
    private static final String MEASURES =
            "{C:60} / {t:60.24} / {K:4} / {mm:3.25} / {mm:248.4} / {most:0.569} / {s:45} / {s:120} / {s:135}";

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            en-GB | C | mm | 60 °C / 60.2 °C / 4.0 K / 3.2 mm / 248 mm / 0.56 mm / 45 s / 2 min / 2 min 15 s
            de-DE | C | mm | 60 °C / 60,2 °C / 4,0 K / 3,2 mm / 248 mm / 0,56 mm / 45 s / 2 min / 2 min 15 s
            en-US | F | in | 140 °F / 140.4 °F / 7.2 °F / 0.13 in / 9.78 in / 0.022 in / 45 s / 2 min / 2 min 15 s
            """)
    void measuresAreInTheShopsUnits(String language, String temperature, String length, String said) {
        assertThat(Said.of(language, "UTC", temperature, length).say(MEASURES)).isEqualTo(said);
    }

    @Test
    void aMomentIsOnTheDayOfTheShopsOwnClock() {
        Instant lateEvening = Instant.parse("2026-12-31T23:30:00Z");
        assertThat(Said.of("en-GB", "UTC", "C", "mm").day(lateEvening)).isEqualTo("31 December 2026");
        assertThat(Said.of("de-DE", "Europe/Berlin", "C", "mm").day(lateEvening))
                .isEqualTo("1. Januar 2027");
        assertThat(Said.of("fr-FR", "UTC", "C", "mm").say("on {day:2026-02-01}"))
                .isEqualTo("on 1 février 2026");
    }

    @ParameterizedTest
    @ValueSource(strings = {"tlh", "", "en"})
    void aLanguageThatNobodyWritesInIsRefused(String language) {
        assertThatThrownBy(() -> Said.of(language, "UTC", "C", "mm"))
                .isInstanceOf(NotAllowed.class)
                .hasMessageContaining("language");
    }
}
