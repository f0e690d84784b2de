package org.ulnaris.core.protection;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** Families of fuses and breakers with their standard ratings. What is printed on the part always rules. */
public enum FuseFamily {
    /** Bolt-down strip fuse, small, ISO 8820-5. */
    SF30,
    /** Bolt-down strip fuse, large, ISO 8820-5. */
    SF51,
    /** Fast high-interrupting fuse, UL 248-15. */
    CLASS_T,
    /** Thermal breaker, generic. */
    BREAKER;

    private static final ReferenceTable FAMILIES = ReferenceTable.load("fuse-families.csv");
    private static final ReferenceTable GATES = ReferenceTable.load("fuse-gates.csv");

    private ReferenceTable.Row row() {
        return FAMILIES.rows().stream()
                .filter(row -> row.text("family").equals(name()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no family " + name()));
    }

    /** Highest direct voltage that it breaks, V. */
    public double voltV() {
        return row().number("volt");
    }

    /** Highest current that it breaks, A. */
    public double interruptingA() {
        return row().number("interrupting");
    }

    /** Standard ratings, small to large, A. */
    public List<Double> ratingsA() {
        return Stream.of(row().text("ratings").split(" ")).map(Double::valueOf).toList();
    }

    /** The time-current curve of a rating. */
    public FuseCurve curve(double ratingA) {
        List<FuseCurve.Gate> gates = new ArrayList<>();
        double upTo = 0;
        for (ReferenceTable.Row gate : GATES.rows()) {
            if (!gate.text("family").equals(name())) {
                continue;
            }
            double limit = gate.optionalNumber("upToA").orElse(Double.POSITIVE_INFINITY);
            boolean first = upTo == 0 && ratingA <= limit;
            if (first) {
                upTo = limit;
            }
            if (limit == upTo) {
                gates.add(new FuseCurve.Gate(
                        gate.number("percent") / 100,
                        gate.optionalNumber("min").orElse(0),
                        gate.optionalNumber("max").orElse(Double.POSITIVE_INFINITY)));
            }
        }
        return new FuseCurve(ratingA, gates);
    }

    public static Source source() {
        return FAMILIES.source();
    }

    public static Source gateSource() {
        return GATES.source();
    }
}
