package org.ulnaris.core.sizing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.ulnaris.core.checks.CheckedAgainst;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;

/** Terminals under the land code: table 310.16 at the circuit's rating. */
class TerminalColumnTest {
    /** A fuse of {@code ratingA} that suits every size. */
    private static Guard fuse(double ratingA) {
        return new Guard() {
            @Override
            public Finding limit(Rung rung) {
                return new Finding(
                        FindingCode.FUSE_AMPACITY,
                        Verdict.PASS,
                        ratingA,
                        rung.protectableA(),
                        "A",
                        Explanation.words(""),
                        Source.own(""));
            }

            @Override
            public double circuitA() {
                return ratingA;
            }

            @Override
            public Optional<Finding> shortCircuit(Rung rung) {
                return Optional.empty();
            }
        };
    }

    private static Rung thinnest(
            double loadA, @Nullable Double fuseA, RuleSet rules, double ambientC, @Nullable Double marked) {
        Run.Laying laying = new Run.Laying(
                new AmpacityConditions(90, ambientC, false, 1),
                marked == null ? OptionalDouble.empty() : OptionalDouble.of(marked),
                SizeSeries.AWG,
                false,
                50);
        return CableSizer.size(laying.demand(
                        new Installation.System(48, 58, rules), 0.5, loadA, fuseA == null ? null : fuse(fuseA), null))
                .rungs()
                .stream()
                .filter(rung -> rung.verdict(FindingCode.TERMINAL_COLUMN) != Verdict.STOP)
                .findFirst()
                .orElseThrow();
    }

    /** By hand: the first size whose column holds the load and the fuse; one between two ratings counts as the larger. */
    @ParameterizedTest
    @CheckedAgainst(
            value = "NEC 110.14(C)(1), table 310.16: 60 °C to 100 A, 75 °C above; 240.4(B): the next rating up",
            how = "recalled")
    @CsvSource({
        "16, 20, , 12 AWG", "24, 30, , 10 AWG", "25, 35, , 8 AWG", "32, 40, , 8 AWG", "33, 45, , 6 AWG",
        "44, 60, , 6 AWG", "56, 70, , 4 AWG", "60, 80, , 3 AWG", "71, 90, , 3 AWG", "80, 100, , 2 AWG",
        "81, 110, , 2 AWG", "100, 125, , 2 AWG", "105, 150, , 1 AWG", "140, 175, , 2/0 AWG", "160, 200, , 3/0 AWG",
        "180, 225, , 4/0 AWG", "80, 100, 75, 3 AWG", "80, 110, 90, 3 AWG", "24, 30, 60, 10 AWG"
    })
    void theFusesRatingDecides(double loadA, double fuseA, @Nullable Double marked, String size) {

        for (RuleSet rules : new RuleSet[] {RuleSet.NEC_FREE_AIR, RuleSet.NEC_RACEWAY}) {
            for (double ambientC : new double[] {5, 30, 55}) {
                Rung rung = thinnest(loadA, fuseA, rules, ambientC, marked);

                assertThat(rung.size().designation())
                        .as("%s at %s °C", rules, ambientC)
                        .isEqualTo(size);
            }
        }
    }

    /** 2 AWG holds 95 A at 60 °C, and so the next rating, 100 A: what passes never reads as more than what is allowed. */
    @Test
    void whatPassesIsWithinWhatIsSaid() {
        Finding said = thinnest(80, 100.0, RuleSet.NEC_FREE_AIR, 30, null)
                .check(FindingCode.TERMINAL_COLUMN)
                .finding();
        assertThat(said.verdict()).isEqualTo(Verdict.PASS);
        assertThat(said.figure()).isEqualTo(100);
        assertThat(said.limit()).isEqualTo(100);
    }

    /** No fuse is known: the load, with the house's margin; a typed limit that is no column is held by temperature. */
    @ParameterizedTest
    @CsvSource({"40, 8 AWG", "41, 6 AWG", "100, 1 AWG", "100.5, 1 AWG", "131, 1/0 AWG"})
    void withoutAFuseTheLoadDoes(double loadA, String size) {
        assertThat(thinnest(loadA, null, RuleSet.NEC_FREE_AIR, 30, null).size().designation())
                .isEqualTo(size);
    }
}
