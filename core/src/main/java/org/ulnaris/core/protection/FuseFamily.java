package org.ulnaris.core.protection;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.reference.ReferenceTable;

/** Families of fuses and breakers with their standard ratings. What is printed on the part always rules. */
public enum FuseFamily {
    /** Blade, miniature: type F of ISO 8820-3. */
    BLADE_F,
    /** Blade, medium: type C of ISO 8820-3. */
    BLADE_C,
    /** Blade, high current: type E of ISO 8820-3. */
    BLADE_E,
    /** Bolt-down strip fuse, small, ISO 8820-5. */
    SF30,
    /** Bolt-down strip fuse, large, ISO 8820-5. */
    SF51,
    /** Fast high-interrupting fuse, UL 248-15. */
    CLASS_T,
    /** Block on a battery's post: what it interrupts falls with the voltage. */
    POST_BLOCK,
    /** Long bolted strip for large currents at low voltage. */
    STRIP_LIMITER,
    /** Thermal breaker, generic, for current either way. */
    BREAKER,
    /** The same with plus and minus marked: it breaks current of one way only. */
    BREAKER_ONE_WAY,
    /** Miniature breaker of trip class B: its magnet opens it from four to seven times its rating, IEC 60898-2. */
    BREAKER_B,
    /** Miniature breaker of trip class C: from seven to fifteen times its rating, IEC 60898-2. */
    BREAKER_C,
    /** Cylindrical fuse of a solar string, gPV of IEC 60269-6. */
    PANEL;

    /** The families of circuits that batteries feed. */
    public static final List<FuseFamily> COMMON =
            Stream.of(values()).filter(family -> family != PANEL).toList();

    private static final ReferenceTable FAMILIES = ReferenceTable.load("fuse-families.csv");
    private static final ReferenceTable GATES = ReferenceTable.load("fuse-gates.csv");
    private static final Map<FuseFamily, Data> DATA = new EnumMap<>(FuseFamily.class);

    static {
        for (FuseFamily family : values()) {
            DATA.put(family, Data.of(family.name()));
        }
    }

    /** Air in which a rating is taken to hold, °C. */
    public static final double RATED_C = 30;

    private static final double LEAST_SHARE = 0.1;

    /** What a family interrupts up to a voltage. */
    private record Breaks(double upToV, double ampere) {
        static Breaks of(String step, double familyV) {
            String[] parts = step.split(":");
            return parts.length == 1
                    ? new Breaks(familyV, Double.parseDouble(parts[0]))
                    : new Breaks(Double.parseDouble(parts[0]), Double.parseDouble(parts[1]));
        }
    }

    /** Gates of the ratings up to a limit, A. */
    private record Steps(double upToA, List<FuseCurve.Gate> gates) {}

    /** What the tables say of a family. */
    private record Data(double voltV, List<Breaks> breaks, double perKelvin, List<Double> ratingsA, List<Steps> steps) {
        static Data of(String family) {
            ReferenceTable.Row row = FAMILIES.rows().stream()
                    .filter(one -> one.text("family").equals(family))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("no family " + family));
            Map<Double, List<FuseCurve.Gate>> gates = new LinkedHashMap<>();
            for (ReferenceTable.Row gate : GATES.rows()) {
                if (gate.text("family").equals(family)) {
                    gates.computeIfAbsent(
                                    gate.optionalNumber("upToA").orElse(Double.POSITIVE_INFINITY),
                                    limit -> new ArrayList<>())
                            .add(new FuseCurve.Gate(
                                    gate.number("percent") / 100,
                                    gate.optionalNumber("min").orElse(0),
                                    gate.optionalNumber("max").orElse(Double.POSITIVE_INFINITY)));
                }
            }
            double voltV = row.number("volt");
            return new Data(
                    voltV,
                    Stream.of(row.text("interrupting").split(" "))
                            .map(step -> Breaks.of(step, voltV))
                            .toList(),
                    row.number("perKelvin"),
                    Stream.of(row.text("ratings").split(" "))
                            .map(Double::valueOf)
                            .toList(),
                    gates.entrySet().stream()
                            .map(entry -> new Steps(entry.getKey(), List.copyOf(entry.getValue())))
                            .toList());
        }
    }

    private Data data() {
        return Objects.requireNonNull(DATA.get(this));
    }

    /** The families of its kind of circuit: of solar strings or of all else. */
    public List<FuseFamily> kin() {
        return this == PANEL ? List.of(PANEL) : COMMON;
    }

    /** Highest direct voltage that it breaks, V. */
    public double voltV() {
        return data().voltV();
    }

    /** Highest current that it interrupts, at the voltage that suits it best, A. */
    public double interruptingA() {
        return data().breaks().get(0).ampere();
    }

    /** Highest current that it interrupts at {@code volt}, A. */
    public double interruptingA(double volt) {
        List<Breaks> breaks = data().breaks();
        return breaks.stream()
                .filter(step -> volt <= step.upToV())
                .findFirst()
                .orElse(breaks.get(breaks.size() - 1))
                .ampere();
    }

    /** Whether its figures are so uncertain that another family of the same rating goes first. */
    public boolean isUncertain() {
        return this == POST_BLOCK || this == STRIP_LIMITER;
    }

    /**
     * What is left of a rating in warm air: less by a share for each kelvin above {@value #RATED_C} °C (common practice; the maker's curve
     * rules).
     */
    public double share(double aroundC) {
        return Math.max(LEAST_SHARE, 1 - data().perKelvin() * Math.max(0, aroundC - RATED_C));
    }

    /** Standard ratings, small to large, A. */
    public List<Double> ratingsA() {
        return data().ratingsA();
    }

    /** Whether {@code ratingA} is one of its standard ratings. */
    public boolean hasRating(double ratingA) {
        return ratingsA().contains(ratingA);
    }

    /** The standard rating next to {@code ratingA}, A. */
    public double nearestRatingA(double ratingA) {
        return ratingsA().stream()
                .min(Comparator.comparingDouble(rating -> Math.abs(rating - ratingA)))
                .orElse(ratingA);
    }

    /** The time-current curve of a rating. */
    public FuseCurve curve(double ratingA) {
        return new FuseCurve(
                ratingA,
                data().steps().stream()
                        .filter(steps -> ratingA <= steps.upToA())
                        .findFirst()
                        .map(Steps::gates)
                        .orElse(List.of()));
    }

    public static Source source() {
        return FAMILIES.source();
    }

    public static Source gateSource() {
        return GATES.source();
    }
}
