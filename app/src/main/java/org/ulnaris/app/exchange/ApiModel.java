package org.ulnaris.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizingResult;
import org.ulnaris.core.termination.LugMaterial;

/** Requests and answers of the REST interface. Figures are rounded here, at output. */
final class ApiModel {
    private static final int DIGITS = 6;

    private ApiModel() {}

    /** Body of {@code POST /api/v1/sizing}, as OpenAPI shows it; engineSpace … terminalTempC may be absent. */
    record SizingRequest(
            double currentA,
            double oneWayLengthM,
            double systemVoltageV,
            double maxDropPercent,
            double insulationTempC,
            double ambientC,
            RuleSet ruleSet,
            SizeSeries sizeSeries,
            @Nullable Boolean engineSpace,
            @Nullable Boolean conduit,
            @Nullable Boolean walled,
            @Nullable Integer bundledConductors,
            @Nullable ConductorMetal strands,
            @Nullable Double terminalTempC) {}

    /** Body of {@code POST /api/v1/crimp}, as OpenAPI shows it. */
    record CrimpRequest(ConductorPart conductor, LugPart lug, DiePart die) {
        record ConductorPart(double areaMm2) {}

        record LugPart(LugMaterial material, double barrelOdMm, double boreIdMm, double barrelDepthMm) {}

        record DiePart(org.ulnaris.core.crimp.DieShape shape, double acrossFlatsMm, double widthMm) {}
    }

    record FindingPart(
            FindingCode code,
            Verdict verdict,
            @Nullable Double figure,
            @Nullable Double limit,
            String unit,
            String about,
            @Nullable DeviationPart deviation,
            String explanation,
            String source,
            String confidence) {
        static FindingPart of(Finding finding) {
            return new FindingPart(
                    finding.code(),
                    finding.verdict(),
                    rounded(finding.figure()),
                    rounded(finding.limit()),
                    finding.unit(),
                    finding.about(),
                    finding.deviation() == null ? null : DeviationPart.of(finding.deviation()),
                    finding.explanation().text(),
                    finding.source().text(),
                    finding.source().confidence().name());
        }
    }

    /** Who answers for a stop, and why. */
    record DeviationPart(String by, String reason) {
        static DeviationPart of(Deviation deviation) {
            return new DeviationPart(deviation.by(), deviation.reason());
        }
    }

    record SizePart(String designation, double areaMm2) {
        static SizePart of(Rung rung) {
            return new SizePart(
                    rung.size().designation(), Figures.rounded(rung.size().areaMm2(), 4));
        }
    }

    record RungPart(
            String designation,
            double areaMm2,
            double ampacityA,
            @Nullable Double conductorTempC,
            double dropV,
            double dropPercent,
            double lossW,
            List<FindingPart> findings) {
        static RungPart of(Rung rung) {
            return new RungPart(
                    rung.size().designation(),
                    Figures.rounded(rung.size().areaMm2(), 4),
                    Figures.rounded(rung.ampacityA(), DIGITS),
                    rounded(rung.conductorTempC()),
                    Figures.rounded(rung.dropV(), DIGITS),
                    Figures.rounded(rung.dropPercent(), DIGITS),
                    Figures.rounded(rung.lossW(), DIGITS),
                    rung.findings().stream().map(FindingPart::of).toList());
        }
    }

    /** Answer of {@code POST /api/v1/sizing}; {@code why} is there when nothing fits. */
    record SizingAnswer(
            @JsonInclude(JsonInclude.Include.ALWAYS) @Nullable
            SizePart chosen,

            FindingCode decidedBy,

            @JsonInclude(JsonInclude.Include.NON_NULL) @Nullable
            String why,

            List<RungPart> rungs) {
        static SizingAnswer of(SizingResult result) {
            return new SizingAnswer(
                    result.chosen().map(SizePart::of).orElse(null),
                    result.decidedBy(),
                    result.chosen().isPresent() ? null : why(result),
                    result.rungs().stream().map(RungPart::of).toList());
        }

        private static String why(SizingResult result) {
            Rung thickest = result.nextSmaller().orElseThrow();
            Finding finding = thickest.check(result.decidedBy()).finding();
            return "Even " + thickest.size().designation() + " fails " + finding.code() + ": "
                    + Figures.significant(finding.figure(), 4) + " against "
                    + Figures.significant(finding.limit(), 4) + " " + finding.unit() + " ("
                    + finding.explanation().text() + ")";
        }
    }

    /** Answer of {@code POST /api/v1/crimp}; positions are centres from the mouth of the barrel, pad end first. */
    record CrimpAnswer(
            double boreFill,
            double compaction,
            Verdict verdict,
            String band,
            int crimps,
            List<Double> positionsMm,
            double growthMm,
            List<FindingPart> findings) {
        static CrimpAnswer of(Crimp crimp) {
            return new CrimpAnswer(
                    Figures.rounded(crimp.boreFill(), DIGITS),
                    Figures.rounded(crimp.compaction(), DIGITS),
                    crimp.verdict(),
                    crimp.band().name(),
                    crimp.crimps(),
                    crimp.positionsMm().stream()
                            .map(at -> Figures.rounded(at, DIGITS))
                            .toList(),
                    Figures.rounded(crimp.growthMm(), DIGITS),
                    crimp.findings().stream().map(FindingPart::of).toList());
        }
    }

    private static @Nullable Double rounded(double value) {
        return Math.abs(value) <= Double.MAX_VALUE ? Figures.rounded(value, DIGITS) : null;
    }
}
