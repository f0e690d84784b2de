package org.ulnaris.app.buying;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.parts.JobNeeds;
import org.ulnaris.core.parts.Need;
import org.ulnaris.core.parts.Part;

/**
 * What to buy, so that the open jobs can be made and the least lies on the shelf afterwards.
 *
 * @param lines every part that is needed or of which a least number is asked, by kind and name
 * @param stopped cables, fuses and other pieces that are stopped: the parts may change
 * @param open cables of which not all parts are known
 * @param broken names of jobs that can't be worked out
 */
public record ShoppingList(List<Line> lines, List<Place> stopped, List<Place> open, List<String> broken) {
    /**
     * A cable or a piece of a job.
     *
     * @param reason what stops it; null where it is only not known
     */
    public record Place(
            long jobId, String job, String tag, @Nullable FindingCode reason) {}

    /**
     * A part.
     *
     * @param needed pieces or metres that the jobs take
     * @param longestM the longest piece that is cut in one, m
     * @param there what lies there; null where it is not counted
     * @param least what shall lie there
     * @param price of all that is to be bought; null where none is known
     * @param users who takes it, by job
     */
    public record Line(
            Part part,
            double needed,
            double longestM,
            @Nullable Integer there,
            int least,
            @Nullable Double price,
            Map<String, List<String>> users) {
        /** Whole pieces or metres. */
        public int buy() {
            return Need.toBuy(needed, there == null ? OptionalInt.empty() : OptionalInt.of(there), least);
        }

        /** What it is counted in. */
        public String unit() {
            return part.kind().byLength() ? "m" : "pieces";
        }

        /** What is to be bought, with its unit. */
        public String wants() {
            return buy() + (part.kind().byLength() ? " m" : "");
        }

        /** What the jobs take, with its unit; nothing where no job takes it. */
        public String takes() {
            if (needed == 0) {
                return "—";
            }
            if (part.kind().byLength()) {
                return Figures.fixed(needed, 1) + " m";
            }
            return Figures.fixed(pieces(), 0);
        }

        /** Whole pieces that the jobs take, or metres. */
        public double pieces() {
            return part.kind().byLength() ? needed : Math.ceil(needed - 1e-9);
        }

        /** The longest piece, with its unit. */
        public String longest() {
            return Figures.fixed(longestM, 1) + " m";
        }
    }

    /** What is to be bought. */
    public List<Line> wanted() {
        return lines.stream().filter(line -> line.buy() > 0).toList();
    }

    /** What is there already. */
    public List<Line> enough() {
        return lines.stream().filter(line -> line.buy() == 0).toList();
    }

    /** Lines by kind, in their order. */
    public static Map<Part.Kind, List<Line>> byKind(List<Line> lines) {
        Map<Part.Kind, List<Line>> kinds = new EnumMap<>(Part.Kind.class);
        lines.forEach(line -> kinds.computeIfAbsent(line.part().kind(), kind -> new ArrayList<>())
                .add(line));
        return kinds;
    }

    /** What cable costs of it; null where no price of what is to be bought is known. */
    public @Nullable Double price() {
        List<Double> known = wanted().stream()
                .map(Line::price)
                .filter(price -> price != null)
                .toList();
        return known.isEmpty()
                ? null
                : known.stream().mapToDouble(Double::doubleValue).sum();
    }

    /** A job with what its making still takes. */
    record Wanting(long id, String name, JobNeeds needs) {
        private Stream<Place> stopped() {
            return needs.stopped().stream().map(one -> new Place(id, name, one.tag(), one.reason()));
        }

        private Stream<Place> open() {
            return needs.open().stream().map(tag -> new Place(id, name, tag, null));
        }
    }

    /**
     * What lies in the shop.
     *
     * @param counts of the shelf, by code
     * @param prices of a metre of cable, by designation
     * @param order place of each part in the catalogues
     */
    record Shop(Map<Part, Count> counts, Map<String, Double> prices, Map<Part, Integer> order) {
        /** What is counted of a part. */
        record Count(int pieces, int least) {}
    }

    static ShoppingList of(List<Wanting> jobs, Shop shop, List<String> broken) {
        Map<Part, List<Taken>> taken = jobs.stream()
                .flatMap(job -> job.needs().parts().stream().map(need -> new Taken(job, need)))
                .collect(Collectors.groupingBy(one -> one.need().part(), HashMap::new, Collectors.toList()));
        shop.counts().forEach((part, count) -> {
            if (count.least() > 0) {
                taken.computeIfAbsent(part, key -> new ArrayList<>());
            }
        });
        List<Line> lines = taken.entrySet().stream()
                .map(entry -> line(entry.getKey(), entry.getValue(), shop))
                .sorted(Comparator.comparing((Line line) -> line.part().kind())
                        .thenComparing(line -> shop.order().getOrDefault(line.part(), Integer.MAX_VALUE))
                        .thenComparing(line -> line.part().code()))
                .toList();
        return new ShoppingList(
                lines,
                jobs.stream().flatMap(Wanting::stopped).toList(),
                jobs.stream().flatMap(Wanting::open).toList(),
                broken);
    }

    private record Taken(Wanting job, Need need) {}

    private static Line line(Part part, List<Taken> taken, Shop shop) {
        Shop.Count count = shop.counts().get(part);
        Map<String, List<String>> users = new LinkedHashMap<>();
        taken.forEach(one -> users.computeIfAbsent(one.job().name(), name -> new ArrayList<>())
                .addAll(one.need().users()));
        Line line = new Line(
                part,
                taken.stream().mapToDouble(one -> one.need().amount()).sum(),
                taken.stream().mapToDouble(one -> one.need().longestM()).max().orElse(0),
                count == null ? null : count.pieces(),
                count == null ? 0 : count.least(),
                null,
                users);
        Double perMetre = part.kind() == Part.Kind.CABLE ? shop.prices().get(part.name()) : null;
        return perMetre == null
                ? line
                : new Line(
                        part,
                        line.needed(),
                        line.longestM(),
                        line.there(),
                        line.least(),
                        perMetre * line.buy(),
                        line.users());
    }
}
