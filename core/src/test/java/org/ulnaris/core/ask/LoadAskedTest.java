package org.ulnaris.core.ask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LoadAskedTest {
    /** I = P ÷ U; an inverter gives nine tenths of what it takes and works down to nine tenths of the nominal voltage (common practice). */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "180 A; ELECTRONICS; 180",
                "inverter 180 A; ELECTRONICS; 180",
                "winch 5000 W; MOTOR; 208.333",
                "5000 W 2 min; MOTOR; 208.333",
                "180 A 30 s; MOTOR; 180",
                "charger 30 A; CHARGER; 30",
                "solar 480 W; CHARGER; 20",
                "alternator 95 A; ALTERNATOR; 95",
                "starter 600 A; STARTER; 600",
                "heater 480 W; HEATER; 20",
                "heater 20 A; HEATER; 20",
                "3 kW; INVERTER; 138.889",
                "inverter 3 kW; INVERTER; 154.321"
            })
    void whatItsCablesAreSizedFor(String line, LoadWord kind, double ampere) {
        LoadAsked asked = LoadAsked.of(Line.read(line).said(), 24);
        assertThat(asked.kind()).isEqualTo(kind);
        assertThat(asked.sizingA(24)).isCloseTo(ampere, within(0.001));
    }

    @Test
    void theBatteryFeedsItForAnHour() {
        assertThat(LoadAsked.of(Line.read("20 A").said(), 12).bankAh(12)).isEqualTo(100);
        assertThat(LoadAsked.of(Line.read("180 A").said(), 12).bankAh(12)).isEqualTo(200);
        assertThat(LoadAsked.of(Line.read("charger 60 A").said(), 12).bankAh(12))
                .as("charged in two")
                .isEqualTo(200);
    }

    /** A fifth of the time (common practice), within a day. */
    @Test
    void whatWorksInSpellsRestsFourTimesAsLong() {
        assertThat(LoadAsked.restS(120)).isEqualTo(480);
        assertThat(LoadAsked.restS(40_000)).isEqualTo(86_400);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "winch 999 kW; 12; true",
                "solar 100 kW; 12; true",
                "inverter 999 kW; 12; true",
                "heater 5000 A; 1500; true",
                "heater 600 A; 1500; false",
                "5000 A; 12; false",
                "900 kW; 1500; false"
            })
    void whatNothingTakesIsBeyondAll(String line, double volt, boolean beyond) {
        assertThat(LoadAsked.of(Line.read(line).said(), volt).isBeyondAll(volt)).isEqualTo(beyond);
    }

    @Test
    void nothingIsTakenWhereNothingFlows() {
        assertThatThrownBy(() -> LoadAsked.of(Line.read("2.4 m").said(), 12)).hasMessageContaining("neither");
    }
}
