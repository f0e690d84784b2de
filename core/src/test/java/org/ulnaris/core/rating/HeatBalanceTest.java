package org.ulnaris.core.rating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;

class HeatBalanceTest {
    @Test
    @CheckedAgainst(
            "Incropera, Fundamentals of Heat and Mass Transfer: horizontal steam pipe, Ra 5.073e6, Pr 0.697: Nu 23.3")
    void churchillAndChu() {
        assertThat(HeatBalance.nusselt(5.073e6, 0.697)).isCloseTo(23.3, withPercentage(1));
    }

    @Test
    @CheckedAgainst("Incropera: steam pipe of 0.1 m, 165 °C in 23 °C, ε 0.85: 441 W/m radiated")
    void radiation() {
        assertThat(0.85 * HeatBalance.blackRadiationWPerM(0.1, 165, 23)).isCloseTo(441, withPercentage(0.5));
    }

    @Test
    @CheckedAgainst("Incropera: the same pipe, h 7.78 W/(m²·K), Ra 5.073e6")
    void convectionOfTheSteamPipe() {
        Air film = new Air((165 + 23) / 2.0 + 273.15);
        assertThat(film.rayleigh(0.1, 142)).isCloseTo(5.073e6, withPercentage(5));
        assertThat(HeatBalance.convectionWPerM(0.1, 165, 23) / (Math.PI * 0.1 * 142))
                .isCloseTo(7.78, withPercentage(7));
    }

    @ParameterizedTest
    @CheckedAgainst("Incropera table A.4, air: k and Pr at 300, 350 and 400 K")
    @CsvSource({"300,0.0263,0.707", "350,0.0300,0.700", "400,0.0338,0.690"})
    void airProperties(double kelvin, double conductivity, double prandtl) {
        assertThat(new Air(kelvin).conductivity()).isCloseTo(conductivity, withPercentage(1.5));
        assertThat(new Air(kelvin).prandtl()).isCloseTo(prandtl, withPercentage(2.5));
    }

    /** Current of the balance at the column's temperature ÷ the table's. */
    private static List<Double> ratios(RuleSet rules, double columnC, HeatBalance.Mounting mounting) {
        List<Double> ratios = new ArrayList<>();
        for (ConductorSize size : ConductorSizes.of(SizeSeries.AWG)) {
            TableRating rating = rules.method().rating(size, columnC);
            if (rating != null && rating.exact() && size.areaMm2() > 5) {
                CableGeometry cable = CableGeometry.of(new Conductor(size, false), OptionalDouble.empty());
                HeatBalance balance = new HeatBalance(cable, mounting);
                ratios.add(balance.currentA(columnC) / rating.ampacityA());
            }
        }
        return ratios;
    }

    @ParameterizedTest
    @CheckedAgainst(
            "33 CFR 183.425 table 5 and NEC 310.17 columns against the heat balance: it runs 8 to 13 % above on average")
    @CsvSource({"CFR_183_425,105,1.05,1.18", "NEC_FREE_AIR,90,1.03,1.16"})
    void runsALittleAboveTheTables(RuleSet rules, double columnC, double from, double to) {
        List<Double> ratios = ratios(rules, columnC, new HeatBalance.Mounting(30, 1, false));
        double mean = ratios.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        assertThat(mean).as(ratios.toString()).isBetween(from, to);
        assertThat(ratios).allSatisfy(ratio -> assertThat(ratio).isBetween(0.95, 1.3));
    }

    @ParameterizedTest
    @CheckedAgainst("NEC 310.16, three conductors in a raceway: the heat balance in a conduit is not above it")
    @CsvSource({"75", "90"})
    void inAConduitItIsHeldToTheTable(double columnC) {
        List<Double> ratios = ratios(RuleSet.NEC_RACEWAY, columnC, new HeatBalance.Mounting(30, 3, true));
        double mean = ratios.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        assertThat(mean).as(ratios.toString()).isBetween(0.85, 1.0);
        assertThat(ratios).allSatisfy(ratio -> assertThat(ratio).isBetween(0.77, 1.025));
    }

    @Test
    void temperatureAndCurrentAreInverse() {
        HeatBalance balance = balance("50 mm2", 1, false);
        double current = balance.currentA(90);
        assertThat(balance.conductorC(current)).isCloseTo(90, within(1e-6));
        assertThat(balance.conductorC(0)).isCloseTo(30, within(1e-6));
        assertThat(balance.conductorC(1e6)).isInfinite();
    }

    @Test
    void companyAndAConduitCarryLess() {
        double free = balance("50 mm2", 1, false).currentA(90);
        assertThat(balance("50 mm2", 3, false).currentA(90)).isLessThan(free);
        assertThat(balance("50 mm2", 1, true).currentA(90)).isLessThan(free);
        assertThat(balance("70 mm2", 1, false).currentA(90)).isGreaterThan(free);
    }

    private static HeatBalance balance(String size, int bundled, boolean conduit) {
        Conductor conductor = new Conductor(ConductorSizes.parse(size, SizeSeries.METRIC), false);
        CableGeometry cable = CableGeometry.of(conductor, OptionalDouble.empty());
        return new HeatBalance(cable, new HeatBalance.Mounting(30, bundled, conduit));
    }

    @Test
    void aCableWarmsTowardsItsFinalTemperature() {
        WarmingUp warming = warming();
        assertThat(warming.finalC(warming.ampacityA())).isCloseTo(105, within(1e-9));
        assertThat(warming.afterC(30, warming.ampacityA(), 1e6)).isCloseTo(105, within(1e-6));
        assertThat(warming.allowedS(30, warming.ampacityA())).isInfinite();
        double seconds = warming.allowedS(30, 3 * warming.ampacityA());
        assertThat(warming.afterC(30, 3 * warming.ampacityA(), seconds)).isCloseTo(105, within(1e-6));
        assertThat(warming.allowedS(105, 3 * warming.ampacityA())).isZero();
        assertThat(warming.dutyPeakC(200, 60, 0)).isCloseTo(warming.finalC(200), within(1e-9));
        assertThat(warming.dutyPeakC(200, 60, 540)).isBetween(30.0, warming.finalC(200));
        assertThat(warming.timeConstantS()).isBetween(120.0, 1800.0);
    }

    /** In the first instant no heat leaves: dT/dt = I²·R/C. */
    @Test
    @CheckedAgainst(value = "adiabatic limit of the first-order model: energy balance", how = "exact")
    void theFirstInstantIsAdiabatic() {
        WarmingUp warming = warming();
        double current = 50 * warming.ampacityA();
        double rate = (warming.afterC(30, current, 0.01) - 30) / 0.01;
        Conductor two = new Conductor(ConductorSizes.parse("2", SizeSeries.AWG), true);
        double ohm = org.ulnaris.core.conductor.ConductorResistance.ohmPerMetre(two, 105);
        assertThat(rate).isCloseTo(current * current * ohm / warming.heatPerMetre(), withPercentage(0.1));
    }

    private static WarmingUp warming() {
        Conductor two = new Conductor(ConductorSizes.parse("2", SizeSeries.AWG), true);
        Derating derating = RuleSet.CFR_183_425.method().derate(new AmpacityConditions(105, 30, false, 1));
        return WarmingUp.of(CableGeometry.of(two, OptionalDouble.empty()), derating, 210);
    }
}
