package org.ulnaris.core.installation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.protection.FuseFamily;

/** The same job at another voltage; units in series are common practice: 4, 8, 16 iron phosphate cells, 1, 2, 4 lead batteries. */
class VoltageChangeTest {
    @Test
    void powerStays() {
        VoltageChange change = new VoltageChange(12, 48);
        assertThat(change.voltage(11) * change.current(200)).isCloseTo(11 * 200, within(1e-9));
        assertThat(change.current(200)).isEqualTo(50);
        assertThat(new VoltageChange(24, 24).none()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "12, LITHIUM_IRON, 4",
        "24, LITHIUM_IRON, 8",
        "48, LITHIUM_IRON, 15",
        "51.2, LITHIUM_IRON, 16",
        "12, LEAD_AGM, 1",
        "24, LEAD_WET, 2",
        "48, LEAD_AGM, 4"
    })
    void unitsInSeries(double toV, Chemistry chemistry, int units) {
        assertThat(new VoltageChange(12, toV).inSeries(chemistry)).isEqualTo(units);
    }

    @Test
    void unitsAreKept() {
        assertThat(VoltageChange.inParallel(24, 8)).isEqualTo(3);
        assertThat(VoltageChange.inParallel(4, 8)).isEqualTo(1);
    }

    @Test
    void aFuseFollowsItsCurrent() {
        assertThat(new VoltageChange(12, 24).fuseRating(FuseFamily.CLASS_T, 250))
                .isBetween(125.0, 150.0);
        assertThat(new VoltageChange(48, 12).fuseRating(FuseFamily.SF30, 200)).isEqualTo(200);
    }

    @Test
    void noVoltageIsRefused() {
        assertThatThrownBy(() -> new VoltageChange(12, 0)).hasMessageContaining("toV");
    }
}
