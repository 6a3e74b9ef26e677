package ridgefall.core.profile;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** Held against every feature of the shipped devices. */
class UsualFeatureTest {
    @Test
    void noToolGoesDeeperThanAnyDeviceOfTheBookAllows() {
        ShippedBook.documents()
                .flatMap(document -> document.features().stream())
                .filter(feature -> feature.depthMm() != null)
                .forEach(feature -> assertThat(UsualFeature.of(feature.kind()).depthMm())
                        .as(feature.words())
                        .isNotNull()
                        .isLessThanOrEqualTo(feature.depthMm()));
    }

    @Test
    void aSlipCostsAsMuchAsOnTheWorstOfThem() {
        ShippedBook.documents()
                .flatMap(document -> document.features().stream())
                .forEach(feature -> assertThat(UsualFeature.of(feature.kind()).hazard())
                        .as(feature.words())
                        .isGreaterThanOrEqualTo(feature.hazard()));
    }
}
