package org.ulnaris.core.proving;

import org.ulnaris.core.reference.ReferenceTable;

/** How many strands of a conductor may be nicked or severed: IPC/WHMA-A-620. */
public final class StrandDamage {
    private static final ReferenceTable LIMITS = ReferenceTable.load("ipc-whma-a-620-strand-damage.csv");

    private StrandDamage() {}

    /** Strands of {@code total} that may be damaged. */
    public static int allowed(int total) {
        for (ReferenceTable.Row row : LIMITS.rows()) {
            if (total >= row.number("from") && total <= row.optionalNumber("to").orElse(Double.MAX_VALUE)) {
                String max = row.text("max");
                return max.endsWith("%")
                        ? (int) Math.floor(total * Double.parseDouble(max.replace("%", "")) / 100)
                        : Integer.parseInt(max);
            }
        }
        throw new IllegalArgumentException("strand count must be at least 1; have " + total);
    }

    static org.ulnaris.core.finding.Source source() {
        return LIMITS.source();
    }
}
