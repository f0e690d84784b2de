package org.ulnaris.core.tooling;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpBand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.CribGap.Need;
import org.ulnaris.core.tooling.Toolbox.HeldDie;

class ToolboxTest {
    private static final Barrel FIFTY = new Barrel(LugMaterial.COPPER, 14.5, 10, 28);
    private static final Barrel NINETY_FIVE = new Barrel(LugMaterial.COPPER, 19, 13.5, 35);
    private static final Tool HAND = tool("H", "hex 12 t", 118, true);
    private static final Tool LEVER = tool("L", "HEX  12 T ", 40, false);
    private static final Tool WRENCH = new Tool("W", ToolKind.TORQUE_WRENCH, "", OptionalDouble.empty(), false);

    private static Tool tool(String tag, String family, double kn, boolean fullCycle) {
        return new Tool(tag, ToolKind.HYDRAULIC_HAND, family, OptionalDouble.of(kn), fullCycle);
    }

    private static HeldDie die(String tag, double flats, @Nullable String inTool) {
        return new HeldDie(new Die(tag, DieShape.HEX, flats, 5, LugMaterial.COPPER), "hex 12 t", inTool);
    }

    private static Crimp crimp(HeldDie held) {
        return new Crimp(50, FIFTY, held.die());
    }

    @Test
    void theToolThatHoldsTheDiesComesFirst() {
        HeldDie free = die("K14", 11.9, null);
        HeldDie inLever = die("K14", 11.9, "L");
        assertThat(new Toolbox(List.of(LEVER, HAND), List.of(free), Map.of()).toolFor(crimp(free)))
                .contains(HAND);
        assertThat(new Toolbox(List.of(HAND, LEVER), List.of(inLever), Map.of()).toolFor(crimp(inLever)))
                .contains(LEVER);
        ToolTrust bad = new ToolTrust(ToolTrust.Level.NOT_TRUSTED, 0, 3, 3);
        assertThat(new Toolbox(List.of(HAND, LEVER), List.of(free), Map.of("H", bad)).toolFor(crimp(free)))
                .contains(LEVER);
    }

    @Test
    void findingsOfTheTool() {
        HeldDie held = die("K14", 11.9, null);
        ToolTrust bad = new ToolTrust(ToolTrust.Level.NOT_TRUSTED, 1, 3, 4);
        List<Finding> findings =
                new Toolbox(List.of(LEVER, WRENCH), List.of(held), Map.of("L", bad)).findings(crimp(held), false);
        assertThat(findings)
                .extracting(Finding::code)
                .containsExactly(FindingCode.CRIMP_FORCE, FindingCode.TOOL_TRUST, FindingCode.TOOL_CYCLE);
        assertThat(findings.get(1).verdict()).isEqualTo(Verdict.STOP);
        assertThat(new Toolbox(List.of(HAND), List.of(held), Map.of()).findings(crimp(held), false))
                .extracting(Finding::code)
                .containsExactly(FindingCode.CRIMP_FORCE);
    }

    /** Standards for some work demand a full-cycle tool. */
    @Test
    void aHouseMayRefuseHalfStrokes() {
        HeldDie held = die("K14", 11.9, null);
        Toolbox box = new Toolbox(List.of(LEVER), List.of(held), Map.of());
        assertThat(box.findings(crimp(held), false))
                .filteredOn(finding -> finding.code() == FindingCode.TOOL_CYCLE)
                .allSatisfy(finding -> assertThat(finding.verdict()).isEqualTo(Verdict.NOTE));
        assertThat(box.findings(crimp(held), true))
                .filteredOn(finding -> finding.code() == FindingCode.TOOL_CYCLE)
                .hasSize(1)
                .allSatisfy(finding -> assertThat(finding.verdict()).isEqualTo(Verdict.STOP));
    }

    @Test
    void diesWithoutATool() {
        HeldDie other = new HeldDie(die("K14", 11.9, null).die(), "bench jaw", null);
        assertThat(new Toolbox(List.of(HAND), List.of(other), Map.of()).findings(crimp(other), false))
                .extracting(Finding::code)
                .containsExactly(FindingCode.TOOL_MISSING);
        assertThat(new Toolbox(List.of(WRENCH), List.of(other), Map.of()).findings(crimp(other), false))
                .isEmpty();
        assertThat(Toolbox.NONE.findings(crimp(other), false)).isEmpty();
    }

    @Test
    @CheckedAgainst("DIN 46235: 95 mm² lug, die code 18, across flats 0.85 × code")
    void aGapNamesWhatToBuy() {
        Toolbox box = new Toolbox(List.of(HAND), List.of(die("K14", 11.9, null)), Map.of());
        List<CribGap> gaps = CribGap.of(
                List.of(
                        new Need("INV+ A", FIFTY, 50, MarkRule.MARKS),
                        new Need("MAIN A", NINETY_FIVE, 95, MarkRule.MARKS),
                        new Need("MAIN B", NINETY_FIVE, 95, MarkRule.MARKS)),
                box);
        assertThat(gaps).singleElement().satisfies(gap -> {
            assertThat(gap.kind()).isEqualTo(CribGap.Kind.NO_DIE);
            assertThat(gap.places()).containsExactly("MAIN A", "MAIN B");
            assertThat(0.85 * 18)
                    .isBetween(gap.wanted().flatsFromMm(), gap.wanted().flatsToMm());
            assertThat(gap.consequence()).isEqualTo(CribGap.Consequence.FINS);
            assertThat(gap.wanted().widthUpToMm()).isCloseTo(31, within(1e-9));
            assertThat(gap.wanted().forceKn()).isBetween(15.0, 60.0);
        });
    }

    /** The ends of the window are the ends of the sound band. */
    @Test
    void theWindowIsTheSoundBand() {
        CribGap.Wanted wanted = CribGap.wanted(NINETY_FIVE, 95);
        for (double flats : new double[] {wanted.flatsFromMm() + 1e-6, wanted.flatsToMm() - 1e-6}) {
            assertThat(new Crimp(95, NINETY_FIVE, die("X", flats, null).die()).band())
                    .isEqualTo(CrimpBand.SOUND);
        }
        assertThat(new Crimp(
                                95,
                                NINETY_FIVE,
                                die("X", wanted.flatsToMm() + 1e-6, null).die())
                        .band())
                .isEqualTo(CrimpBand.LIGHT);
    }

    @Test
    void soundDiesWithoutAStrongTool() {
        Tool weak = tool("S", "hex 12 t", 5, true);
        Toolbox box = new Toolbox(List.of(weak), List.of(die("K14", 11.9, null)), Map.of());
        List<CribGap> gaps = CribGap.of(List.of(new Need("INV+ A", FIFTY, 50, MarkRule.MARKS)), box);
        assertThat(gaps).singleElement().satisfies(gap -> {
            assertThat(gap.kind()).isEqualTo(CribGap.Kind.NO_TOOL);
            assertThat(gap.consequence()).isEqualTo(CribGap.Consequence.NO_TOOL);
        });
        assertThat(CribGap.of(List.of(new Need("x", FIFTY, 50, MarkRule.MARKS)), Toolbox.NONE))
                .singleElement()
                .satisfies(gap -> assertThat(gap.consequence()).isNull());
    }
}
