package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Percentage.withPercentage;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;

class SpikeCrimpTest {
    private static final Barrel FIFTY = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);

    private static SpikeCrimp crimp(SpikeCrimp.Form form, double width) {
        return new SpikeCrimp(50, FIFTY, new SpikeCrimp.Spike(form, width, new SpikeCrimp.Dial(-2, 0.5)));
    }

    @ParameterizedTest
    @EnumSource(SpikeCrimp.Form.class)
    void theDepthReachesTheCompaction(SpikeCrimp.Form form) {
        SpikeCrimp crimp = crimp(form, 7);
        for (double c : new double[] {0.82, 0.89, 0.96}) {
            assertThat(crimp.compaction(crimp.depthMm(c))).isCloseTo(c, within(1e-9));
        }
        assertThat(crimp.depthMm(0.85)).isGreaterThan(crimp.depthMm(0.95));
    }

    /** What the formula takes is what a spike at that depth cuts from the tube, by polygons. */
    @ParameterizedTest
    @CsvSource({"BAR,5,0.4", "BAR,5,3", "BAR,9,6", "BAR,20,8", "WEDGE,1,1", "WEDGE,1,5", "WEDGE,1,9"})
    void theTopOfTheTubeIsRound(SpikeCrimp.Form form, double widthMm, double depthMm) {
        SpikeCrimp crimp = crimp(form, widthMm);
        double cut = SpikeSection.of(crimp, depthMm).outline().areaMm2();
        assertThat(Math.PI / 4 * 14.5 * 14.5 - crimp.takenMm2(depthMm)).isCloseTo(cut, withPercentage(0.3));
        assertThat(crimp.takenMm2(depthMm))
                .isLessThan(
                        form == SpikeCrimp.Form.BAR ? widthMm * depthMm : depthMm * depthMm * Math.tan(Math.PI / 6));
    }

    @Test
    void whatIsLeftAcrossTheSpikeIsMeasured() {
        SpikeCrimp crimp = crimp(SpikeCrimp.Form.BAR, 7);
        assertThat(crimp.thicknessMm() + crimp.bestDepthMm()).isCloseTo(14.5, within(1e-9));
        assertThat(-2 + 0.5 * crimp.setting()).isCloseTo(crimp.bestDepthMm(), within(1e-9));
        assertThat(crimp.finding().verdict()).isEqualTo(Verdict.PASS);
    }

    @Test
    void aNarrowSpikeCutsTheWall() {
        assertThat(crimp(SpikeCrimp.Form.BAR, 2).finding().verdict()).isEqualTo(Verdict.STOP);
    }

    /** A tube that is full before the spike touches it needs none. */
    @Test
    void aFullTubeNeedsNoDepth() {
        Barrel tight = new Barrel(LugMaterial.COPPER, 10, 9.9, 28);
        SpikeCrimp full =
                new SpikeCrimp(100, tight, new SpikeCrimp.Spike(SpikeCrimp.Form.BAR, 5, SpikeCrimp.Dial.NONE));
        assertThat(full.bestDepthMm()).isZero();
        assertThatThrownBy(() -> new SpikeCrimp.Spike(SpikeCrimp.Form.BAR, 0, SpikeCrimp.Dial.NONE))
                .hasMessageContaining("widthMm");
        assertThatThrownBy(() -> new SpikeCrimp.Dial(0, 0)).hasMessageContaining("perMarkMm");
    }

    /** Drawn areas are the computed ones: outline, wall and conductor within 2 %. */
    @ParameterizedTest
    @CsvSource({"BAR, 5, 50", "BAR, 7, 50", "BAR, 9, 35", "WEDGE, 7, 50", "WEDGE, 7, 40", "BAR, 7, 45"})
    void theSectionIsWhatIsComputed(SpikeCrimp.Form form, double widthMm, double areaMm2) {
        SpikeCrimp crimp = new SpikeCrimp(
                areaMm2,
                new Barrel(LugMaterial.COPPER, 14.5, 10, 28),
                new SpikeCrimp.Spike(form, widthMm, SpikeCrimp.Dial.NONE));
        CrimpSection section = crimp.section();
        double outline = Math.PI / 4 * 14.5 * 14.5 - crimp.takenMm2(crimp.bestDepthMm());
        double metal = Math.min(crimp.metalMm2(), outline);
        double share = areaMm2 / crimp.metalMm2();
        assertThat(section.outline().areaMm2()).isCloseTo(outline, withPercentage(2));
        assertThat(section.conductorMm2()).isCloseTo(metal * share, withPercentage(2));
        assertThat(section.wallMm2()).isCloseTo(metal * (1 - share), withPercentage(2));
        assertThat(section.strands()).hasSizeGreaterThan(10);
    }
}
