package org.ulnaris.app.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Verdict;

/**
 * How the list of cables is shown; the address says it.
 *
 * @param sort by what
 * @param down whether the greatest comes first
 * @param find text that tag, route, size or circuit holds; empty for all
 * @param verdict only cables of this verdict; null for all
 * @param grouped whether circuits stand together
 * @param page which page of it, from 1
 */
record ListOrder(
        Sort sort, boolean down, String find, @Nullable Verdict verdict, boolean grouped, int page) {
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

    /**
     * A page of the list.
     *
     * @param number from 1; one that is not there is the last
     * @param pages how many there are
     */
    record Page(List<Group> groups, int number, int pages) {}

    Page arrange(List<PlanRow> all) {
        List<Group> groups = groups(all);
        int found = groups.stream().mapToInt(Group::size).sum();
        int pages = Math.max(1, (found + LONGEST_PAGE - 1) / LONGEST_PAGE);
        int number = Math.min(Math.max(1, page), pages);
        int skip = (number - 1) * LONGEST_PAGE;
        int room = LONGEST_PAGE;
        List<Group> shown = new ArrayList<>();
        for (Group group : groups) {
            List<PlanRow> rows = group.rows().stream().skip(skip).limit(room).toList();
            skip = Math.max(0, skip - group.size());
            room -= rows.size();
            if (!rows.isEmpty()) {
                shown.add(new Group(group.name(), rows, group.size()));
            }
        }
        return new Page(shown, number, pages);
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
