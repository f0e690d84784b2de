package org.ulnaris.core.termination;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;

class LugReadingsTest {
    private static LugReadings read(double outer, double bore, double hole) {
        return new LugReadings(given(outer), given(bore), given(hole));
    }

    private static OptionalDouble given(double mm) {
        return mm > 0 ? OptionalDouble.of(mm) : OptionalDouble.empty();
    }

    private static List<String> codes(LugReadings readings) {
        return readings.nearest(LugCatalogue.shipped(), 3).stream()
                .map(like -> like.lug().code())
                .toList();
    }

    /** As calipers would read them: 35 is 12.5 × 8.2, 50 is 14.5 × 10, 70 is 16.5 × 11.5, 95 is 19 × 13.5, 120 is 21 × 15.5 mm. */
    @CheckedAgainst("DIN 46235, tubes outside and inside")
    @ParameterizedTest
    @CsvSource({
        "12.5, 8.2, DIN 35",
        "14.4, 10.1, DIN 50",
        "16.6, 11.4, DIN 70",
        "19.0, 13.6, DIN 95",
        "20.9, 15.4, DIN 120"
    })
    void aTubeOfTheStandardIsNamed(double outer, double bore, String name) {
        assertThat(codes(read(outer, bore, 0))).isNotEmpty().anyMatch(code -> code.startsWith(name + " "));
        assertThat(read(outer, bore, 0).nearest(LugCatalogue.shipped(), 3)).allMatch(LugReadings.Like::fits);
    }

    /** Every lug is found again by its own dimensions, also 0.2 mm off. */
    @Test
    void everyLugIsFoundAgain() {
        for (Lug lug : LugCatalogue.shipped()) {
            for (double off : new double[] {0, 0.2, -0.2}) {
                LugReadings readings = read(
                        lug.barrel().outerMm() + off,
                        lug.barrel().boreMm() - off,
                        lug.pad().holeMm() + off);
                assertThat(codes(readings)).as(lug.code()).contains(lug.code());
            }
        }
    }

    @Test
    void whatNoneComesNearIsSaid() {
        List<LugReadings.Like> nearest = read(60, 40, 30).nearest(LugCatalogue.shipped(), 3);
        assertThat(nearest).hasSize(3).noneMatch(LugReadings.Like::fits);
        assertThat(nearest).extracting(LugReadings.Like::offMm).isSorted();
        assertThat(read(60, 40, 30).nearest(List.of(), 3)).isEmpty();
    }

    @Test
    void theHoleAloneNamesNoLug() {
        assertThat(read(0, 0, 8.4).ofTheTube()).isFalse();
        assertThat(read(0, 10, 0).ofTheTube()).isTrue();
    }
}
