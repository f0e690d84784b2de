package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.Paged;
import org.ulnaris.core.finding.Verdict;

/**
 * How the list of cables is shown; the address says it.
 *
 * @param sort by what
 * @param down whether the greatest comes first
 * @param find text that tag, route, size or circuit holds; empty for all
 * @param verdict only cables of this verdict; null for all
 * @param grouped whether circuits stand together
 * @param page which page of it, as it was asked for
 */
record ListOrder(
        Sort sort, boolean down, String find, @Nullable Verdict verdict, boolean grouped, String page) {
    /** Lines on a page. */
    static final int LONGEST_PAGE = 100;

    /** Columns that can be sorted by. */
    enum Sort {
        PLACE,
        TAG,
        CURRENT,
        LENGTH,
        SIZE,
        DROP,
        LIMIT,
        VERDICT
    }

    /**
     * Rows that stand together under a name; without a name the whole list.
     *
     * @param size how many there are on all pages
     */
    record Group(String name, List<PlanRow> rows, int size) {}

    /** The page that is shown: its rows, in their groups. */
    Paged<Group> arrange(List<PlanRow> all) {
        List<Group> groups = groups(all);
        Paged<PlanRow> shown =
                Paged.of(groups.stream().flatMap(group -> group.rows().stream()).toList(), page, LONGEST_PAGE);
        Set<PlanRow> rows = Set.copyOf(shown.items());
        List<Group> parts = groups.stream()
                .map(group -> new Group(
                        group.name(),
                        group.rows().stream().filter(rows::contains).toList(),
                        group.size()))
                .filter(group -> !group.rows().isEmpty())
                .toList();
        return new Paged<>(parts, shown.number(), shown.pages());
    }

    private List<Group> groups(List<PlanRow> all) {
        List<PlanRow> shown = all.stream()
                .filter(row -> verdict == null || row.verdict().verdict() == verdict)
                .filter(row -> find.isBlank()
                        || row.words()
                                .toLowerCase(Locale.ROOT)
                                .contains(find.toLowerCase(Locale.ROOT).strip()))
                .sorted(comparator())
                .toList();
        if (!grouped) {
            return shown.isEmpty() ? List.of() : List.of(new Group("", shown, shown.size()));
        }
        Map<String, List<PlanRow>> byCircuit =
                new TreeMap<>(Comparator.comparing(String::isEmpty).thenComparing(Comparator.naturalOrder()));
        shown.forEach(row -> byCircuit
                .computeIfAbsent(row.circuit(), name -> new ArrayList<>())
                .add(row));
        return byCircuit.entrySet().stream()
                .map(entry -> new Group(
                        entry.getKey(), entry.getValue(), entry.getValue().size()))
                .toList();
    }

    private Comparator<PlanRow> comparator() {
        Comparator<PlanRow> order = switch (sort) {
            case PLACE -> Comparator.comparing(row -> 0);
            case TAG -> Comparator.comparing(row -> row.tag().toUpperCase(Locale.ROOT));
            case CURRENT -> Comparator.comparing(row -> row.figures().currentA());
            case LENGTH -> Comparator.comparing(row -> row.figures().lengthM());
            case SIZE -> Comparator.comparing(row -> row.figures().areaMm2());
            case DROP -> Comparator.comparing(row -> row.figures().dropPercent());
            case LIMIT -> Comparator.comparing(row -> row.figures().use());
            case VERDICT -> Comparator.comparing((PlanRow row) -> row.verdict().verdict());
        };
        return down ? order.reversed() : order;
    }
}
