package org.ulnaris.core.rating;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.ConductorSizes;

class SmallConductorsTest {
    /** A metric size is held to the largest gauge that is not above it; 4 mm² is thinner than 11 AWG and no gauge of the list but 12. */
    @ParameterizedTest
    @CheckedAgainst(value = "NEC 240.4(D)", how = "recalled")
    @CsvSource({
        "18 AWG, COPPER, 7",
        "16 AWG, COPPER, 10",
        "14 AWG, COPPER, 15",
        "12 AWG, TINNED, 20",
        "10 AWG, COPPER, 30",
        "12 AWG, ALUMINIUM, 15",
        "10 AWG, COPPER_CLAD, 25",
        "2.5 mm², COPPER, 15",
        "4 mm², COPPER, 20",
        "6 mm², COPPER, 30"
    })
    void theLandCodeHoldsTheFuseOfASmallConductor(String size, ConductorMetal metal, double fuseA) {
        assertThat(SmallConductors.fuseA(
                        RuleSet.NEC_RACEWAY, ConductorSizes.designated(size).orElseThrow(), metal))
                .hasValue(fuseA);
        assertThat(SmallConductors.fuseA(
                        RuleSet.CFR_183_425, ConductorSizes.designated(size).orElseThrow(), metal))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"8 AWG", "2/0 AWG", "10 mm²"})
    void itDoesNotSpeakOfLargerOnes(String size) {
        assertThat(SmallConductors.fuseA(
                        RuleSet.NEC_RACEWAY, ConductorSizes.designated(size).orElseThrow(), ConductorMetal.COPPER))
                .isEmpty();
    }
}
