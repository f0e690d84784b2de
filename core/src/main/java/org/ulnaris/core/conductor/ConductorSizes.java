package org.ulnaris.core.conductor;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.reference.ReferenceTable;

/**
 * The sizes of both series, thin to thick, and the names that people give them.
 *
 * <p>AWG diameter d = 0.127 mm · 92^((36 − n)/39), n = 0, −1, −2, −3 for 1/0 … 4/0 (ASTM B258). Metric areas: IEC 60228.
 */
public final class ConductorSizes {
    private static final String EXAMPLE = "2/0, 2 AWG or 70 mm²";
    private static final Pattern AUGHT = Pattern.compile("([1-4])/0");
    private static final Pattern ZEROS = Pattern.compile("0{1,4}");
    private static final Pattern METRIC = Pattern.compile("(\\d+(?:[.,]\\d+)?)\\s*(?:mm2|mm²|mmq|sqmm|qmm)");
    private static final Pattern GAUGE =
            Pattern.compile("(?:awg|b&s|bs|no\\.?|#)?\\s*([0-9/]+)\\s*(?:awg|b&s|gauge|ga|aught)?");

    private static final List<ConductorSize> AWG = IntStream.of(18, 16, 14, 12, 10, 8, 6, 4, 3, 2, 1, 0, -1, -2, -3)
            .mapToObj(ConductorSizes::awg)
            .toList();

    private static final List<ConductorSize> METRIC_SIZES = ReferenceTable.load("iec-60228-class5.csv").rows().stream()
            .map(row -> new ConductorSize(SizeSeries.METRIC, row.text("size"), row.number("size")))
            .toList();

    private static final List<ConductorSize> THIN_AWG =
            IntStream.of(26, 24, 22, 20).mapToObj(ConductorSizes::awg).toList();

    private static final List<ConductorSize> THIN_METRIC = ReferenceTable.load("thin-conductors.csv").rows().stream()
            .map(row -> new ConductorSize(SizeSeries.METRIC, row.text("size"), row.number("size")))
            .toList();

    private static final Map<SizeSeries, List<ConductorSize>> BY_SERIES =
            Map.of(SizeSeries.AWG, AWG, SizeSeries.METRIC, METRIC_SIZES);

    /** Area of a circle of √1000 mil. */
    private static final double MM2_PER_KCMIL = 1000 * Math.PI / 4 * 0.0254 * 0.0254;

    private ConductorSizes() {}

    /** All sizes of {@code series}, thin to thick. */
    public static List<ConductorSize> of(SizeSeries series) {
        return series == SizeSeries.AWG ? AWG : METRIC_SIZES;
    }

    /** Sizes of {@code series} for signals, thinner than any that ampacity tables hold: never proposed, only chosen by name. */
    public static List<ConductorSize> thin(SizeSeries series) {
        return series == SizeSeries.AWG ? THIN_AWG : THIN_METRIC;
    }

    /** Diameter in mm of a solid wire of gauge {@code n}; {@code -1} is 2/0. */
    public static double awgDiameterMm(int n) {
        return 0.127 * Math.pow(92, (36 - n) / 39.0);
    }

    private static ConductorSize awg(int n) {
        double d = awgDiameterMm(n);
        String name = n > 0 ? Integer.toString(n) : (1 - n) + "/0";
        return new ConductorSize(SizeSeries.AWG, name, Math.PI / 4 * d * d);
    }

    /** A size of thousands of circular mils, as tables go on beyond 4/0: an area that no series here has. */
    public static ConductorSize kcmil(double thousands) {
        return new ConductorSize(
                SizeSeries.AWG, Figures.significant(thousands, 6) + " kcmil", thousands * MM2_PER_KCMIL);
    }

    /** The size with exactly this {@link ConductorSize#designation()}. */
    public static Optional<ConductorSize> designated(String designation) {
        return Stream.concat(
                        BY_SERIES.values().stream().flatMap(List::stream),
                        Stream.of(THIN_AWG, THIN_METRIC).flatMap(List::stream))
                .filter(size -> size.designation().equals(designation))
                .findFirst();
    }

    /**
     * The size that a person means: {@code 2}, {@code 2 AWG}, {@code 2/0}, {@code 00}, {@code 70 mm2}, {@code 70}.
     *
     * @param assumed the series meant by a bare number
     * @throws MeasureException when no size of the series has that name
     */
    public static ConductorSize parse(String text, SizeSeries assumed) {
        String entry = Typed.plain(text).toLowerCase(Locale.ROOT);
        if (entry.length() > Typed.LONGEST) {
            throw new MeasureException(MeasureException.Reason.UNKNOWN_SIZE, text, EXAMPLE);
        }
        Matcher metric = METRIC.matcher(entry);
        if (metric.matches()) {
            return named(SizeSeries.METRIC, plainNumber(metric.group(1)), text);
        }
        boolean bareNumber = entry.matches("\\d+([.,]\\d+)?");
        if (bareNumber && assumed == SizeSeries.METRIC) {
            return named(SizeSeries.METRIC, plainNumber(entry), text);
        }
        Matcher gauge = GAUGE.matcher(entry);
        if (!gauge.matches()) {
            throw new MeasureException(MeasureException.Reason.UNKNOWN_SIZE, text, EXAMPLE);
        }
        return named(SizeSeries.AWG, gaugeName(gauge.group(1)), text);
    }

    private static String plainNumber(String number) {
        String point = number.replace(',', '.');
        return point.contains(".") ? point.replaceAll("\\.?0+$", "") : point;
    }

    private static String gaugeName(String number) {
        if (ZEROS.matcher(number).matches()) {
            return number.length() + "/0";
        }
        return AUGHT.matcher(number).matches() ? number : number.replaceFirst("^0+", "");
    }

    private static ConductorSize named(SizeSeries series, String name, String text) {
        return Stream.concat(of(series).stream(), thin(series).stream())
                .filter(size -> size.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new MeasureException(MeasureException.Reason.UNKNOWN_SIZE, text, EXAMPLE));
    }
}
