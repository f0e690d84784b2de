package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * The torque of a connection.
 *
 * @param nominalNm figure to set the wrench to, N·m
 * @param minNm lowest accepted, N·m
 * @param maxNm highest accepted, N·m
 * @param source the device maker, or the table used in its place
 */
public record TorqueSpec(double nominalNm, double minNm, double maxNm, Source source) {
    /** Accepted on both sides of a nominal figure without a range (common practice). */
    public static final double TOLERANCE = 0.10;

    public static final Range TORQUE_NM = new Range(0, 500);

    private static final ReferenceTable BY_STUD = ReferenceTable.load("torque-by-stud.csv");

    public TorqueSpec {
        TORQUE_NM.check("nominalNm", nominalNm);
        if (!(minNm > 0 && minNm <= nominalNm && nominalNm <= maxNm)) {
            throw new IllegalArgumentException(
                    "nominal must lie in its range; have " + minNm + " ≤ " + nominalNm + " ≤ " + maxNm);
        }
    }

    /** A bound of the figures that a maker gives. */
    public enum Bound {
        LOWEST,
        HIGHEST
    }

    /** The bound that its nominal figure, or the other bound, contradicts; figures in N·m, null where not given. */
    public static Optional<Bound> contradicted(
            @Nullable Double nominalNm, @Nullable Double minNm, @Nullable Double maxNm) {
        Double nominal = nominalNm == null ? maxNm : nominalNm;
        if (nominal != null && minNm != null && minNm > nominal) {
            return Optional.of(Bound.LOWEST);
        }
        return nominal != null && maxNm != null && maxNm < nominal ? Optional.of(Bound.HIGHEST) : Optional.empty();
    }

    /** A nominal figure with ± 10 %. */
    public static TorqueSpec around(double nominalNm, Source source) {
        return new TorqueSpec(nominalNm, nominalNm * (1 - TOLERANCE), nominalNm * (1 + TOLERANCE), source);
    }

    /** Where the device's maker gives no figure: IEC 60947-1 for metric studs, UL 486A-486B for inch ones. */
    public static TorqueSpec byStud(Stud stud) {
        ReferenceTable.Row row = row(stud);
        return around(
                row.number("nm"),
                new Source(
                        row.text("source"),
                        note("TorqueSpec.by-stud"),
                        BY_STUD.source().confidence()));
    }

    /** The stud of the other series that is nearly as thick: its table says something else. */
    public static Stud twin(Stud stud) {
        return Studs.named(row(stud).text("twin")).orElseThrow();
    }

    private static ReferenceTable.Row row(Stud stud) {
        return BY_STUD.rows().stream()
                .filter(r -> r.text("stud").equals(stud.name()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no torque for stud " + stud.name()));
    }

    /** Whether a table stands in for the figure of the device's maker. */
    public boolean isFromTable() {
        return BY_STUD.rows().stream().anyMatch(row -> row.text("source").equals(source.document()));
    }
}
