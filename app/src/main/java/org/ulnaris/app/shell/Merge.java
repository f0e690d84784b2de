package org.ulnaris.app.shell;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.zip.CRC32;
import org.jspecify.annotations.Nullable;

/**
 * What one person sent of a thing and what another has saved of it meanwhile, field by field. Each form says in {@link #FIELD} what it
 * began from; who changed a field that the other left wins, a field that both changed shows both values.
 *
 * @param typed what is to be kept: without the fields that the person left as they were
 * @param theirs the fields that another changed meanwhile and this person did not, with their text
 * @param conflict the fields that both changed; null where there are none
 */
public record Merge(
        Map<String, String> typed,
        Map<String, String> theirs,
        @Nullable Conflict conflict) {
    /** Field of a form that says what it began from. */
    public static final String FIELD = "began";

    /**
     * Fields that two people changed.
     *
     * @param began what a form with both values begins from
     * @param rows the fields
     * @param rest all else that the person changed: nothing of it is lost
     */
    public record Conflict(String began, List<Row> rows, Map<String, String> rest) {
        /** What another saved, told at each field: where there is no room to choose. */
        public Map<String, Fault> told() {
            Map<String, String> typed = rows.stream().collect(Collectors.toMap(Row::field, Row::typed));
            Entries entries = new Entries(typed, Units.METRIC);
            rows.forEach(both -> entries.fault(
                    both.field(), Fault.Code.MEANWHILE, both.saved().isEmpty() ? Expected.of("empty") : both.saved()));
            return entries.faults();
        }
    }

    /** A field with both values. */
    public record Row(String field, String saved, String typed) {}

    /**
     * A field as a form began.
     *
     * @param shown mark of what it showed
     * @param saved mark of what was saved then
     */
    private record Mark(String shown, String saved) {}

    /** All fields: those to be kept over what is {@code saved}. */
    public Map<String, String> over(Map<String, String> saved) {
        Map<String, String> all = new LinkedHashMap<>(saved);
        all.putAll(typed);
        return all;
    }

    /** What a form begins from that shows {@code saved}. */
    public static String began(Map<String, String> saved) {
        return began(saved, Map.of());
    }

    /** What a form begins from where what it shows of some fields is not what was saved of them. */
    public static String began(Map<String, String> saved, Map<String, String> shown) {
        return saved.entrySet().stream()
                .map(entry -> {
                    String mark = mark(entry.getValue());
                    String seen = mark(shown.getOrDefault(entry.getKey(), entry.getValue()));
                    return entry.getKey() + ":" + seen + (seen.equals(mark) ? "" : "/" + mark);
                })
                .collect(Collectors.joining(" "));
    }

    /** Whether what is taken whole was checked against something else than what is {@code saved} now. */
    public static boolean isStale(Map<String, String> saved, @Nullable String began) {
        return began != null && !began.equals(began(saved));
    }

    private static String mark(String text) {
        CRC32 sum = new CRC32();
        sum.update(plain(text).getBytes(StandardCharsets.UTF_8));
        return Long.toHexString(sum.getValue());
    }

    /** Blanks and letters' case make no difference. */
    private static String plain(String text) {
        return text.replaceAll("\\s", "").toLowerCase(Locale.ROOT);
    }

    private static Map<String, Mark> marks(String began) {
        Map<String, Mark> marks = new HashMap<>();
        for (String part : began.split(" ")) {
            int colon = part.indexOf(':');
            if (colon > 0) {
                String[] both = part.substring(colon + 1).split("/", 2);
                marks.put(part.substring(0, colon), new Mark(both[0], both[both.length - 1]));
            }
        }
        return marks;
    }

    /** The same of the fields of {@code saved} alone: a few that are changed where they are seen. */
    public static Merge few(Map<String, String> saved, Map<String, String> typed) {
        Map<String, String> only = new LinkedHashMap<>(typed);
        only.keySet().removeIf(field -> !saved.containsKey(field) && !field.equals(FIELD));
        return of(saved, only);
    }

    /** What is to be made of {@code typed}, now that {@code saved} stands; what does not say what it began from is taken as it is. */
    public static Merge of(Map<String, String> saved, Map<String, String> typed) {
        String began = typed.get(FIELD);
        if (began == null) {
            return new Merge(typed, Map.of(), null);
        }
        Map<String, Mark> marks = marks(began);
        Map<String, String> kept = new LinkedHashMap<>(typed);
        Map<String, String> theirs = new LinkedHashMap<>();
        List<Row> rows = new ArrayList<>();
        Map<String, String> rest = new LinkedHashMap<>();
        saved.forEach((field, text) -> {
            String mine = typed.containsKey("_" + field) ? typed.getOrDefault(field, "false") : typed.get(field);
            Mark mark = marks.get(field);
            if (mine == null || plain(mine).equals(plain(text))) {
                return;
            }
            boolean left = mark != null && mark.shown().equals(mark(mine));
            boolean standing = mark != null && mark.saved().equals(mark(text));
            if (left) {
                kept.remove(field);
                kept.remove("_" + field);
                theirs.put(field, text);
            } else if (standing) {
                rest.put(field, mine);
            } else {
                rows.add(new Row(field, text, mine));
            }
        });
        return new Merge(kept, theirs, rows.isEmpty() ? null : new Conflict(began(saved), rows, rest));
    }
}
