package org.ulnaris.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;

class QuantityTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "3 ft 4 in | M | 1.016",
                "3' 4\" | M | 1.016",
                "3ft4in | M | 1.016",
                "3 ft 4 1/2 in | M | 1.0287",
                "1 1/2 in | MM | 0.0381",
                "1/2 in | MM | 0.0127",
                "1,5 | M | 1.5",
                "1.02 | M | 1.02",
                ",5 m | M | 0.5",
                "340mm | M | 0.34",
                "12 | MM | 0.012",
                "2.4e1 cm | M | 0.24",
                "14 Nm | NEWTON_METRE | 14",
                "14 N·m | NEWTON_METRE | 14",
                "14 n.m | NEWTON_METRE | 14",
                "180 amps | AMPERE | 180",
                "3 % | PERCENT | 0.03",
                "3 | PERCENT | 0.03",
                "30 | CELSIUS | 303.15",
                "-10 °C | CELSIUS | 263.15",
                "86 °F | CELSIUS | 303.15",
                "1 min | SECOND | 60",
                "90° | DEGREE | 90",
            })
    void readsWhatPeopleWrite(String text, Unit assumed, double si) {
        assertThat(Quantity.parse(text, assumed).si()).isCloseTo(si, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | EMPTY",
                "'   ' | EMPTY",
                "abc | NOT_A_NUMBER",
                "NaN | NOT_A_NUMBER",
                "Infinity | NOT_A_NUMBER",
                "1,234.5 | NOT_A_NUMBER",
                "1.234,5 | NOT_A_NUMBER",
                "1/0 in | NOT_A_NUMBER",
                "3 ft 4 | NOT_A_NUMBER",
                "1 m 2 m 3 m | NOT_A_NUMBER",
                "12 parsec | UNKNOWN_UNIT",
                "12 A | OTHER_DIMENSION",
                "1..5 | NOT_A_NUMBER",
                "5 m; drop table | UNKNOWN_UNIT",
            })
    void refusesWhatWouldBeAGuess(String text, MeasureException.Reason reason) {
        assertThatThrownBy(() -> Quantity.parse(text, Unit.M)).isInstanceOfSatisfying(MeasureException.class, e -> {
            assertThat(e.reason()).isEqualTo(reason);
            assertThat(e.typed()).isEqualTo(text);
            assertThat(Quantity.parse(e.example().split(",")[0], Unit.M)).isNotNull();
        });
    }

    @ParameterizedTest
    @CheckedAgainst("NIST SP 811 / trade conversions of torque")
    @CsvSource({
        "14,NEWTON_METRE,POUND_FORCE_INCH,123.9,0.05",
        "20,POUND_FORCE_FOOT,NEWTON_METRE,27.12,0.005",
        "1,POUND_FORCE_FOOT,POUND_FORCE_INCH,12,1e-9",
        "1,KILOGRAM_FORCE,NEWTON,9.80665,1e-9",
        "100,POUND_FORCE,NEWTON,444.82,0.005",
        "212,FAHRENHEIT,CELSIUS,100,1e-9",
        "1,FOOT,MM,304.8,1e-9"
    })
    void conversions(double value, Unit from, Unit to, double expected, double tolerance) {
        assertThat(Quantity.of(value, from).in(to)).isCloseTo(expected, within(tolerance));
    }

    @Test
    void everyUnitIsReadBackFromItsSymbol() {
        for (Unit unit : Unit.values()) {
            Quantity quantity = Quantity.parse("7.25 " + unit.symbol(), unit);
            assertThat(quantity.in(unit)).as(unit.name()).isCloseTo(7.25, within(1e-9));
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
    void isNeverAnythingButFinite(double value) {
        assertThatThrownBy(() -> new Quantity(value, Dimension.LENGTH)).isInstanceOf(IllegalArgumentException.class);
        assertThat(new Range(0, 10).contains(value)).isFalse();
    }

    @Test
    void refusesAnotherDimension() {
        assertThatThrownBy(() -> Quantity.of(1, Unit.M).in(Unit.AMPERE)).isInstanceOf(IllegalArgumentException.class);
    }

    /** The sign is of the figure as it is written, whichever unit the job is in; −40 is the same in both, by definition. */
    @ParameterizedTest
    @CsvSource({
        "-20 °C, FAHRENHEIT, -20",
        "−20 °C, CELSIUS, -20",
        "-4 °F, CELSIUS, -20",
        "-40 °F, CELSIUS, -40",
        "-40, FAHRENHEIT, -40",
        "-53.3334 °C, FAHRENHEIT, -53.3334",
        "+5 °C, FAHRENHEIT, 5"
    })
    void coldIsReadInTheUnitThatItIsWrittenIn(String text, Unit assumed, double celsius) {
        assertThat(Quantity.parse(text, assumed).in(Unit.CELSIUS)).isCloseTo(celsius, within(1e-9));
    }

    @Test
    void aSignHoldsForAllParts() {
        assertThat(Quantity.parse("-3 ft 4 in", Unit.M).in(Unit.INCH)).isCloseTo(-40, within(1e-9));
    }
}
