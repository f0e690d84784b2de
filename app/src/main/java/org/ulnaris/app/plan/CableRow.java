package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.measure.Range;

/**
 * Like cables entered once: the last number of the tag counts up, and with it that of each end at a numbered piece. {@code B1.minus} to
 * {@code B2.plus} is followed by {@code B2.minus} to {@code B3.plus}; ends without a number stay: cables side by side.
 *
 * @param cables the cables, the first as it was entered
 * @param missing the first end that is no terminal of the job; empty where all are there
 */
record CableRow(List<CableDetails> cables, Optional<String> missing) {
    /** How many are entered at once. */
    static final Range COUNT = Range.from(1, 50);

    private static final Pattern NUMBERED = Pattern.compile("(.*?)(\\d{1,6})(\\D*)");

    /** {@code count} cables like {@code first}; {@code terminals} are those of the job. */
    static CableRow of(CableDetails first, int count, Set<String> terminals) {
        List<CableDetails> cables = new ArrayList<>(List.of(first));
        Optional<String> missing = Optional.empty();
        for (int n = 1; n < count; n++) {
            String from = end(first.fromPoint(), n, terminals);
            String to = end(first.toPoint(), n, terminals);
            for (String point : List.of(from, to)) {
                boolean known = point.equals(first.fromPoint()) || point.equals(first.toPoint());
                if (missing.isEmpty() && !known && !terminals.contains(point)) {
                    missing = Optional.of(point);
                }
            }
            cables.add(first.tagged(tag(first.tag(), n)).between(from, to));
        }
        return new CableRow(List.copyOf(cables), missing);
    }

    private static String tag(String tag, int n) {
        String counted = counted(tag, n);
        return counted.equals(tag) ? tag + " " + (n + 1) : counted;
    }

    /** What is no terminal is somebody's word and stays. */
    private static String end(String point, int n, Set<String> terminals) {
        return terminals.contains(point)
                ? Terminal.read(point)
                        .map(at -> new Terminal(counted(at.device(), n), at.port()).toString())
                        .orElse(point)
                : point;
    }

    private static String counted(String text, int n) {
        Matcher numbered = NUMBERED.matcher(text);
        if (!numbered.matches()) {
            return text;
        }
        String digits = numbered.group(2);
        String next = String.format("%0" + digits.length() + "d", Integer.parseInt(digits) + n);
        return numbered.group(1) + next + numbered.group(3);
    }
}
