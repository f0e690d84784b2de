package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

class CrimpForceTest {
    private static CrimpForce din50(double width, double flats) {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
        return new CrimpForce(new Crimp(50, barrel, new Die("H", DieShape.HEX, flats, width, LugMaterial.COPPER)));
    }

    /** Flow curve of annealed metal, σ = K·εⁿ: at a strain of one it is K. */
    @ParameterizedTest
    @CheckedAgainst(
            value = "handbook flow curves: annealed copper K 315 MPa n 0.54, aluminium 1100-O K 180 MPa n 0.20",
            how = "recalled")
    @CsvSource({"COPPER,315", "ALUMINIUM,180"})
    void theFlowStressIsTheHandbooks(LugMaterial material, double atOne) {
        double outer = 14.5;
        double area = Math.PI / 4 * outer * outer / Math.E;
        Die die = new Die("H", DieShape.HEX, Die.hexFlatsMm(area), 5, material);
        CrimpForce force = new CrimpForce(new Crimp(25, new Barrel(material, outer, 8, 28), die));
        assertThat(force.strain()).isCloseTo(1, within(1e-9));
        assertThat(force.flowStressMPa()).isCloseTo(atOne, within(1e-6));
    }

    @Test
    void twiceTheWidthAsksTwiceTheForce() {
        assertThat(din50(10, 11.9).requiredKn()).isCloseTo(2 * din50(5, 11.9).requiredKn(), within(1e-9));
        assertThat(din50(5, 11.5).requiredKn()).isGreaterThan(din50(5, 12.0).requiredKn());
    }

    /** Common practice: hand presses of 10–16 t with narrow dies do tube lugs up to 120 mm² and more. */
    @Test
    @CheckedAgainst(
            value = "hydraulic 10–16 t press with narrow dies does tube lugs to 120 mm²",
            how = "common practice")
    void aTenTonnePressDoesTheUsualLugs() {
        Barrel barrel = new Barrel(LugMaterial.COPPER, 21, 15.5, 35);
        CrimpForce force =
                new CrimpForce(new Crimp(120, barrel, new Die("K20", DieShape.HEX, 17, 5, LugMaterial.COPPER)));
        assertThat(force.finding(98).verdict()).isEqualTo(Verdict.PASS);
        assertThat(force.finding(15).verdict()).isEqualTo(Verdict.STOP);
        assertThat(force.finding(force.requiredKn() * 1.05).verdict()).isEqualTo(Verdict.WATCH);
    }

    @Test
    void anOpenDieStillAsksALittle() {
        assertThat(din50(5, 14.4).strain()).isEqualTo(CrimpForce.LEAST_STRAIN);
        assertThat(din50(5, 14.4).requiredKn()).isPositive();
        assertThat(din50(5, 11.9).finding(100).explanation().text()).contains("kN", "MPa");
        assertThat(din50(5, 11.9).requiredKn())
                .isCloseTo(2.5 * 315 * Math.pow(0.2977, 0.54) * 5 * 11.9 / 1000, withPercentage(0.2));
    }
}
