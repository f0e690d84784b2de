package org.ulnaris.core.crimp;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.reference.ReferenceTable;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugMaterial;

class CompactionMapTest {
    private static List<Lug> din() {
        return LugCatalogue.shipped().stream()
                .filter(lug -> lug.code().startsWith("DIN"))
                .toList();
    }

    private static List<Die> dinDies() {
        List<Die> dies = new ArrayList<>();
        for (ReferenceTable.Row row : ReferenceTable.load("din-46235.csv").rows()) {
            dies.add(new Die("K" + row.text("code"), DieShape.HEX, 0.85 * row.number("code"), 5, LugMaterial.COPPER));
        }
        return dies;
    }

    /** Over the whole range the diagonal is sound, but for 10 mm²: its die as derived does not compress. */
    @Test
    @CheckedAgainst("DIN 46235: die code of each lug over the whole range, across flats 0.85 × code")
    void theStandardsDiesCoverTheStandardsLugs() {
        CompactionMap map = CompactionMap.of(din(), dinDies(), null);
        assertThat(map.rows()).hasSize(12);
        assertThat(map.dies())
                .hasSize(12)
                .isSortedAccordingTo((a, b) -> Double.compare(a.acrossFlatsMm(), b.acrossFlatsMm()));
        for (int i = 0; i < map.rows().size(); i++) {
            CompactionMap.Row row = map.rows().get(i);
            boolean known = row.size().areaMm2() == 10;
            assertThat(row.best())
                    .as(row.size().designation())
                    .isIn(known ? List.of(Verdict.STOP) : List.of(Verdict.PASS, Verdict.WATCH));
            if (!known) {
                assertThat(row.cells().get(i).compaction()).isBetween(0.81, 0.963);
            }
        }
    }

    @Test
    void aCellIsWhatACrimpSays() {
        CompactionMap map = CompactionMap.of(din(), dinDies(), null);
        CompactionMap.Row row = map.rows().get(5);
        for (int i = 0; i < map.dies().size(); i++) {
            Crimp crimp =
                    new Crimp(row.size().areaMm2(), row.barrel(), map.dies().get(i));
            assertThat(row.cells().get(i).compaction()).isCloseTo(crimp.compaction(), within(1e-12));
            assertThat(row.cells().get(i).verdict()).isEqualTo(DieChooser.dieVerdict(crimp));
        }
    }

    /** The map names first what the case is told to take. */
    @Test
    void whatDoesComesInTheOrderOfTheChoice() {
        CompactionMap map = CompactionMap.of(din(), dinDies(), null);
        for (CompactionMap.Row row : map.rows()) {
            List<Crimp> ranked = DieChooser.rank(dinDies(), row.size().areaMm2(), row.barrel());
            assertThat(row.doing().isEmpty()).isEqualTo(row.best() == Verdict.STOP);
            assertThat(row.doing()).isEqualTo(ranked.subList(0, row.doing().size()));
            assertThat(row.doing()).allMatch(crimp -> DieChooser.dieVerdict(crimp) == row.best());
            assertThat(row.cells().stream()
                            .filter(cell -> cell.verdict() != Verdict.STOP && cell.verdict() == row.best()))
                    .hasSameSizeAs(row.doing());
        }
        assertThat(map.rows()).extracting(CompactionMap.Row::best).contains(Verdict.PASS);
        assertThat(CompactionMap.of(din(), List.of(), null).rows())
                .allMatch(row -> row.doing().isEmpty());
    }

    /** A lug for two cables holds two of the conductor that is asked for, as the case says of it. */
    @Test
    void aLugForTwoCablesHoldsTwo() {
        ConductorSize size = ConductorSizes.parse("16 mm²", SizeSeries.METRIC);
        List<Lug> twins = LugCatalogue.shipped().stream()
                .filter(lug -> lug.form().conductors() == 2)
                .toList();
        assertThat(twins).isNotEmpty();
        for (CompactionMap.Row row : CompactionMap.of(twins, dinDies(), size).rows()) {
            Crimp crimp = new Crimp(2 * 16, row.barrel(), dinDies().get(0));
            assertThat(row.cells().get(0).compaction()).isCloseTo(crimp.compaction(), within(1e-12));
        }
    }

    /** A wider die never compacts more. */
    @Test
    void compactionRisesAcross() {
        CompactionMap.of(din(), dinDies(), ConductorSizes.parse("50 mm²", SizeSeries.METRIC))
                .rows()
                .forEach(row -> assertThat(row.cells())
                        .extracting(CompactionMap.Cell::compaction)
                        .isSorted());
    }

    @Test
    void squareDiesPressNoLugs() {
        Die square = new Die("S", DieShape.SQUARE, 4, 10, LugMaterial.COPPER);
        assertThat(CompactionMap.of(din(), List.of(square), null).dies()).isEmpty();
        assertThat(CompactionMap.of(din(), List.of(square), null).rows().get(0).best())
                .isEqualTo(Verdict.STOP);
        assertThat(DieChooser.rank(List.of(square), 50, din().get(0).barrel())).isEmpty();
        assertThat(square.areaMm2()).isEqualTo(16);
    }
}
