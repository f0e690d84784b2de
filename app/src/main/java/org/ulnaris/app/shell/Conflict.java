package org.ulnaris.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Two people changed one thing: the fields in which what the second typed differs from what the first saved.
 *
 * @param version the version that stands now
 * @param rows the fields that differ
 */
public record Conflict(long version, List<Row> rows) {
    /** A field with both values. */
    public record Row(String field, String saved, String typed) {}

    /** The differences between {@code saved} texts and {@code typed} ones, of fields that both have. */
    public static Conflict between(long version, Map<String, String> saved, Map<String, String> typed) {
        List<Row> rows = new ArrayList<>();
        saved.forEach((field, text) -> {
            String mine = typed.get(field);
            if (mine == null && typed.containsKey("_" + field)) {
                mine = "false";
            }
            if (mine != null && !same(mine, text)) {
                rows.add(new Row(field, text, mine));
            }
        });
        return new Conflict(version, rows);
    }

    private static boolean same(String a, String b) {
        return a.replaceAll("\\s+", "").equalsIgnoreCase(b.replaceAll("\\s+", ""));
    }
}
