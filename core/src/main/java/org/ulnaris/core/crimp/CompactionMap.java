package org.ulnaris.core.crimp;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;

/**
 * Which dies of a crib do for which lugs: barrels down, dies across.
 *
 * @param dies dies for lugs, narrow to wide across flats
 * @param rows one a barrel and conductor
 */
public record CompactionMap(List<Die> dies, List<Row> rows) {
    public CompactionMap {
        dies = List.copyOf(dies);
        rows = List.copyOf(rows);
    }

    /**
     * A barrel with its conductor.
     *
     * @param lugs the lugs that have it
     * @param size conductor
     * @param barrel the tube
     * @param cells one a die, in their order
     * @param doing what the dies do that come to the best verdict, the best first; none where the crib has none that does
     */
    public record Row(List<Lug> lugs, ConductorSize size, Barrel barrel, List<Cell> cells, List<Crimp> doing) {
        public Row {
            lugs = List.copyOf(lugs);
            cells = List.copyOf(cells);
            doing = List.copyOf(doing);
        }

        /** The best that the crib can do; STOP without a die. */
        public Verdict best() {
            return cells.stream().map(Cell::verdict).min(Verdict::compareTo).orElse(Verdict.STOP);
        }
    }

    /**
     * What a die would do.
     *
     * @param compaction die area ÷ metal
     * @param verdict of compaction, room and material
     */
    public record Cell(double compaction, Verdict verdict) {}

    /**
     * The map.
     *
     * @param lugs lugs of one barrel and size share a row; those that are made for no known size need {@code conductor}
     * @param crib dies of all shapes; those for lugs count
     * @param conductor a conductor for all, in a lug for two cables twice; null: each lug with the size that it is made for
     */
    public static CompactionMap of(Collection<Lug> lugs, Collection<Die> crib, @Nullable ConductorSize conductor) {
        List<Die> dies = crib.stream()
                .filter(die -> die.shape().forLugs())
                .sorted(Comparator.comparingDouble(Die::acrossFlatsMm).thenComparing(Die::tag))
                .toList();
        record Key(ConductorSize size, int conductors, Barrel barrel) {}
        Map<Key, List<Lug>> groups = new LinkedHashMap<>();
        for (Lug lug : lugs) {
            ConductorSize size =
                    conductor == null ? ConductorSizes.designated(lug.forSize()).orElse(null) : conductor;
            if (size != null) {
                groups.computeIfAbsent(new Key(size, lug.form().conductors(), lug.barrel()), key -> new ArrayList<>())
                        .add(lug);
            }
        }
        List<Row> rows = new ArrayList<>();
        groups.forEach((key, group) -> {
            double area = key.conductors() * key.size().areaMm2();
            rows.add(new Row(
                    group,
                    key.size(),
                    key.barrel(),
                    dies.stream()
                            .map(die -> cell(new Crimp(area, key.barrel(), die)))
                            .toList(),
                    doing(DieChooser.rank(dies, area, key.barrel()))));
        });
        return new CompactionMap(dies, rows);
    }

    /** Those that come to the same verdict as the first of them; none where that is refused. */
    private static List<Crimp> doing(List<Crimp> ranked) {
        return ranked.stream()
                .takeWhile(crimp -> DieChooser.dieVerdict(crimp) != Verdict.STOP
                        && DieChooser.dieVerdict(crimp) == DieChooser.dieVerdict(ranked.get(0)))
                .toList();
    }

    private static Cell cell(Crimp crimp) {
        boolean fits =
                crimp.crimps() >= 1 && crimp.die().material() == crimp.barrel().material();
        return new Cell(crimp.compaction(), fits ? crimp.compactionVerdict().and(Verdict.PASS) : Verdict.STOP);
    }
}
