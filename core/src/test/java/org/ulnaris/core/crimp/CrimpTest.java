package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.DieMark;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;

class CrimpTest {
    private static final Barrel FIFTY = barrel(14.5, 10, 28);

    @ParameterizedTest
    @CheckedAgainst("DIN 46235 lugs with across flats 0.85 × die code")
    @CsvSource({
        "16,8.5,5.5,8,0.817",
        "25,10,7,10,0.962",
        "35,12.5,8.2,12,0.859",
        "50,14.5,10,14,0.898",
        "70,16.5,11.5,16,0.89",
        "95,19,13.5,18,0.861",
        "120,21,15.5,20,0.901",
        "150,23.5,17,22,0.849",
        "185,25.5,19,25,0.949",
        "240,29,21.5,28,0.913"
    })
    void compactionOfTheStandardsPairs(double area, double od, double id, double code, double compaction) {
        Crimp crimp = new Crimp(area, barrel(od, id, 30), die(0.85 * code, 5));
        assertThat(crimp.compaction()).isCloseTo(compaction, within(0.0006));
        assertThat(crimp.band().verdict()).isNotEqualTo(Verdict.STOP);
    }

    @ParameterizedTest
    @CheckedAgainst("DIN 46235: 10 mm² does not compress at 0.85 × code")
    @CsvSource({"10,6,4.5,6,1.007"})
    void theTenNeedsASmallerDie(double area, double od, double id, double code, double compaction) {
        Crimp crimp = new Crimp(area, barrel(od, id, 10), die(0.85 * code, 5));
        assertThat(crimp.compaction()).isCloseTo(compaction, within(0.0006));
        assertThat(crimp.band()).isEqualTo(CrimpBand.LOOSE);
    }

    @ParameterizedTest
    @CsvSource({
        "1.0001,LOOSE",
        "1.00,LIGHT",
        "0.961,LIGHT",
        "0.96,SOUND",
        "0.82,SOUND",
        "0.8199,HARD",
        "0.75,HARD",
        "0.7499,OVER_CRIMPED",
        "0,OVER_CRIMPED",
        "NaN,LOOSE"
    })
    void bands(double compaction, CrimpBand band) {
        assertThat(CrimpBand.of(compaction)).isEqualTo(band);
    }

    @Test
    void theExampleOfTheInterface() {
        Crimp crimp = new Crimp(50, FIFTY, die(11.9, 5));
        assertThat(crimp.boreFill()).isCloseTo(0.6366, within(0.0001));
        assertThat(crimp.compaction()).isCloseTo(0.8979, within(0.0001));
        assertThat(crimp.verdict()).isEqualTo(Verdict.PASS);
        assertThat(crimp.crimps()).isEqualTo(3);
        assertThat(crimp.positionsMm()).containsExactly(23.5, 14.0, 4.5);
        assertThat(crimp.growthMm()).isCloseTo((1 / crimp.compaction() - 1) * 15, within(1e-9));
    }

    @ParameterizedTest
    @CheckedAgainst(value = "common practice: wide die one crimp, narrow die two or more", how = "common practice")
    @CsvSource({"28,5,3", "28,14,1", "20,7,2", "20,16,1", "20,17,0", "10,5,1", "4,1,0", "35,5,4"})
    void crimpsThatFit(double depth, double width, int crimps) {
        Crimp crimp = new Crimp(50, barrel(14.5, 10, depth), die(11.9, width));
        assertThat(crimp.crimps()).isEqualTo(crimps);
        assertThat(crimp.positionsMm()).hasSize(crimps).isSortedAccordingTo((a, b) -> Double.compare(b, a));
        assertThat(crimp.positionsMm())
                .allSatisfy(at -> assertThat(at)
                        .isBetween(Crimp.CLEAR_MM + width / 2 - 1e-9, depth - Crimp.CLEAR_MM - width / 2 + 1e-9));
    }

    @Test
    @CheckedAgainst(
            value = "common practice: a thick-walled lug on tinned cable wants the next die up",
            how = "common practice")
    void heavierWallWantsALargerDie() {
        List<Die> crib = List.of(die(11.9, 5), die(12.8, 5), die(13.6, 5));
        Barrel heavy = barrel(15.8, 10.2, 28);
        assertThat(DieChooser.rank(crib, 50, FIFTY).get(0).die().acrossFlatsMm())
                .isEqualTo(11.9);
        assertThat(DieChooser.rank(crib, 50, heavy).get(0).die().acrossFlatsMm())
                .isEqualTo(12.8);
    }

    @Test
    void metalIsKept() {
        for (double flats = 9; flats <= 13; flats += 0.1) {
            Crimp crimp = new Crimp(50, FIFTY, die(flats, 5));
            double displaced = Math.max(0, (crimp.metalMm2() - crimp.die().areaMm2()) * 5 * crimp.crimps());
            double pressed = Math.max(crimp.compaction(), CrimpBand.HARD_BELOW) * crimp.metalMm2();
            double grown = crimp.growthMm() * pressed;
            double wings = 2 * crimp.wingAreaMm2() * 5 * crimp.crimps();
            assertThat(grown + wings).isCloseTo(displaced, within(1e-6));
        }
    }

    @Test
    void ranksEveryDieAndHidesNone() {
        List<Die> crib = List.of(die(15, 5), die(9, 5), die(11.9, 5), die(11.9, 40));
        List<Crimp> ranked = DieChooser.rank(crib, 50, FIFTY);
        assertThat(ranked).hasSize(4);
        assertThat(ranked.get(0).die().widthMm()).isEqualTo(5);
        assertThat(DieChooser.dieVerdict(ranked.get(3))).isEqualTo(Verdict.STOP);
    }

    @Test
    @CheckedAgainst(value = "common practice: the die follows the lug's material", how = "common practice")
    void aluminiumLugsWantAluminiumDies() {
        Barrel aluminium = new Barrel(LugMaterial.ALUMINIUM, 14.5, 10, 28);
        assertThat(materialVerdict(new Crimp(50, aluminium, die(11.9, 5)))).isEqualTo(Verdict.STOP);
        Die own = new Die("A", DieShape.HEX, 11.9, 5, LugMaterial.ALUMINIUM);
        assertThat(materialVerdict(new Crimp(50, aluminium, own))).isEqualTo(Verdict.NOTE);
        assertThat(new Crimp(50, FIFTY, die(11.9, 5)).findings())
                .extracting(Finding::code)
                .doesNotContain(FindingCode.DIE_MATERIAL);
    }

    private static Verdict materialVerdict(Crimp crimp) {
        return crimp.findings().stream()
                .filter(f -> f.code() == FindingCode.DIE_MATERIAL)
                .findFirst()
                .orElseThrow()
                .verdict();
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, 0, -3})
    void refusesWhatIsNoDie(double bad) {
        assertThatThrownBy(() -> die(bad, 5)).hasMessageContaining("acrossFlatsMm");
        assertThatThrownBy(() -> die(12, bad)).hasMessageContaining("widthMm");
        assertThatThrownBy(() -> new Crimp(bad, FIFTY, die(12, 5))).hasMessageContaining("conductorAreaMm2");
    }

    private static Barrel barrel(double od, double id, double depth) {
        return new Barrel(LugMaterial.COPPER, od, id, depth);
    }

    private static Die die(double flats, double width) {
        return new Die("H" + flats, DieShape.HEX, flats, width, LugMaterial.COPPER);
    }

    /** Every pair of the standard belongs together, whatever its areas say; the marks of another series mean nothing. */
    @ParameterizedTest
    @CheckedAgainst("DIN 46235: die code of each lug")
    @CsvSource({
        "10, 6, 10",
        "16, 8, 16",
        "25, 10, 25",
        "35, 12, 35",
        "50, 14, 50",
        "70, 16, 70",
        "95, 18, 95",
        "240, 28, 240"
    })
    void lugAndDiesOfOneMarkAreSound(String size, String code, double areaMm2) {
        Barrel tube = LugCatalogue.shipped().stream()
                .filter(lug -> lug.code().startsWith("DIN " + size + " ·"))
                .findFirst()
                .orElseThrow()
                .barrel();
        Die own = marked(code, "DIN 46235");
        Crimp pair = new Crimp(areaMm2, tube, own);
        assertThat(pair.marksBelong()).isTrue();
        assertThat(DieChooser.dieVerdict(pair)).isEqualTo(Verdict.PASS);
        boolean soundByAreas = pair.band() == CrimpBand.SOUND;
        assertThat(pair.compactionVerdict()).isEqualTo(soundByAreas ? Verdict.PASS : Verdict.NOTE);
        assertThat(new Crimp(areaMm2, tube, own, MarkRule.COMPUTED).compactionVerdict())
                .isEqualTo(pair.band().verdict());
        assertThat(new Crimp(areaMm2, tube, marked(code, "another")).marksBelong())
                .isFalse();
        assertThat(new Crimp(areaMm2 / 2, tube, own).marksBelong()).isFalse();
    }

    @Test
    void bothMustAgreeWhereTheHouseSaysSo() {
        Barrel seventy = new Barrel(LugMaterial.COPPER, 16.5, 11.5, 28, new DieMark("DIN 46235", "16"));
        Die other = new Die("X", DieShape.HEX, 13.6, 5, LugMaterial.COPPER, new DieMark("DIN 46235", "17"));
        assertThat(new Crimp(70, seventy, other, MarkRule.BOTH).compactionVerdict())
                .isEqualTo(Verdict.WATCH);
        assertThat(new Crimp(70, seventy, other, MarkRule.MARKS).compactionVerdict())
                .isEqualTo(Verdict.PASS);
        assertThat(new Crimp(70, seventy, marked("16", "DIN 46235"), MarkRule.BOTH).compactionVerdict())
                .isEqualTo(Verdict.PASS);
    }

    private static Die marked(String code, String series) {
        double flats = 0.85 * Double.parseDouble(code);
        return new Die("K" + code, DieShape.HEX, flats, 5, LugMaterial.COPPER, new DieMark(series, code));
    }
}
