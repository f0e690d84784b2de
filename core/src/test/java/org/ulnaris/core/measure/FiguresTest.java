package org.ulnaris.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FiguresTest {
    @ParameterizedTest
    @CsvSource({"1.005,2,1.01", "-0.001,2,0.00", "12.5,0,13", "1e7,0,10000000", "NaN,2,—", "Infinity,1,—"})
    void fixed(double value, int decimals, String expected) {
        assertThat(Figures.fixed(value, decimals)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"1600,1,1600", "177.84,1,177.8", "1600.04,1,1600", "0.02,1,0", "-72.5,2,-72.5", "NaN,1,—"})
    void atMost(double value, int decimals, String expected) {
        assertThat(Figures.atMost(value, decimals)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"0.00053861,4,0.0005386", "123456,3,123000", "0,4,0", "210,4,210", "1.5,3,1.5", "NaN,3,—"})
    void significant(double value, int digits, String expected) {
        assertThat(Figures.significant(value, digits)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({"33.6308,4,33.63", "0.0054321,3,0.00543", "-2.345,3,-2.35"})
    void rounded(double value, int digits, double expected) {
        assertThat(Figures.rounded(value, digits)).isEqualTo(expected);
    }
}
