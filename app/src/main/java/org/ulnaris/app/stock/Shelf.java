package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.parts.Part;

/** What lies on the shelf, and how much of it shall: "12 DIN 70 · M8 ≥ 5", one part a line. */
@Service
@Transactional
public class Shelf {
    public static final String FIELD = "shelf";

    private static final int LONGEST = 40_000;
    private static final int MOST_PIECES = 100_000;
    private static final Expected EXAMPLE = Expected.of("shelf-line");
    private static final Set<String> STANDARD =
            Part.standard().stream().map(Part::code).collect(Collectors.toUnmodifiableSet());

    private final ShelfCountRepository counts;
    private final LugStock lugs;
    private final ContactStock contacts;

    Shelf(ShelfCountRepository counts, LugStock lugs, ContactStock contacts) {
        this.counts = counts;
        this.lugs = lugs;
        this.contacts = contacts;
    }

    /**
     * What is counted of a part.
     *
     * @param pieces how many there are; whole metres of what is counted by length
     * @param least how many shall be there; 0 for no matter
     */
    public record Count(int pieces, int least) {
        /** How many are missing to the least. */
        public int shortBy() {
            return Math.max(0, least - pieces);
        }
    }

    /** All that is counted, by code; empty when nothing is. */
    @Transactional(readOnly = true)
    public Map<String, Count> all() {
        return counts.findAll().stream().collect(Collectors.toMap(ShelfCount::code, ShelfCount::count));
    }

    /** Pieces of lugs and contacts by code; empty when none is counted. */
    @Transactional(readOnly = true)
    public Map<String, Integer> ends() {
        return all().entrySet().stream()
                .filter(counted -> !STANDARD.contains(counted.getKey()))
                .collect(Collectors.toMap(
                        Map.Entry::getKey, counted -> counted.getValue().pieces()));
    }

    /** The list as it is typed, without lugs and contacts that are gone. */
    @Transactional(readOnly = true)
    public String text() {
        List<String> lines = new ArrayList<>();
        Map<String, Count> counted = new TreeMap<>(all());
        counted.keySet().retainAll(parts().map(Part::code).collect(Collectors.toSet()));
        counted.forEach((code, count) -> lines.add(PartNames.line(code, count.pieces(), count.least())));
        return String.join("\n", lines);
    }

    /** The same as the form that it is typed into. */
    @Transactional(readOnly = true)
    public Map<String, String> texts() {
        return Map.of(FIELD, text());
    }

    /** Reads a list; faults stay in {@code entries}. */
    @Transactional(readOnly = true)
    public Map<String, Count> read(Entries entries) {
        PartNames names = new PartNames(parts().map(Part::code));
        Map<String, Count> read = new LinkedHashMap<>();
        for (String line : entries.lines(FIELD, LONGEST)) {
            PartNames.Read said =
                    names.read(line).or(() -> names.read(Typed.plain(line))).orElse(null);
            if (said == null || said.pieces() > MOST_PIECES || said.least() > MOST_PIECES) {
                entries.fault(FIELD, Fault.Code.NOT_A_NUMBER, EXAMPLE);
            } else if (said.codes().size() > 1) {
                entries.fault(FIELD, Fault.Code.CONTRADICTS, Expected.of("one-part", String.join("; ", said.codes())));
            } else {
                read.merge(
                        said.codes().get(0),
                        new Count(said.pieces(), said.least()),
                        (one, other) -> new Count(
                                Math.min(MOST_PIECES, one.pieces() + other.pieces()),
                                Math.max(one.least(), other.least())));
            }
        }
        return read;
    }

    /** All that can be counted: the lugs and contacts of the shop, and what the tables hold. */
    @Transactional(readOnly = true)
    public Stream<Part> parts() {
        return Stream.of(
                        lugs.all().stream().map(Part::lug),
                        contacts.all().stream().map(Part::contact),
                        Part.standard().stream())
                .flatMap(some -> some);
    }

    /**
     * Puts {@code by} pieces more on the shelf, fewer where it is negative. Where none is left, one fewer takes the part off the list: it is
     * not counted any more.
     *
     * @throws NotFoundException when there is no such part
     */
    public void step(String code, int by) {
        Count now = count(code);
        if (now.pieces() + by < 0) {
            if (counts.existsById(code)) {
                counts.deleteById(code);
                counts.flush();
            }
        } else {
            keep(code, new Count(Math.min(MOST_PIECES, now.pieces() + by), now.least()));
        }
    }

    /**
     * Asks for {@code by} more at least, fewer where it is negative; never fewer than none.
     *
     * @throws NotFoundException when there is no such part
     */
    public void stepLeast(String code, int by) {
        Count now = count(code);
        keep(code, new Count(now.pieces(), Math.min(MOST_PIECES, Math.max(0, now.least() + by))));
    }

    private Count count(String code) {
        if (parts().noneMatch(part -> part.code().equals(code))) {
            throw new NotFoundException("part " + code);
        }
        return counts.findById(code).map(ShelfCount::count).orElse(new Count(0, 0));
    }

    private void keep(String code, Count count) {
        counts.saveAndFlush(new ShelfCount(code, count));
    }

    /** The whole list anew. A part that the shop does not have at the moment keeps its count: it may come back. */
    public void replace(Map<String, Count> all) {
        Set<String> listed = parts().map(Part::code).collect(Collectors.toSet());
        counts.deleteAll(counts.findAll().stream()
                .filter(count -> listed.contains(count.code()) && !all.containsKey(count.code()))
                .toList());
        all.forEach((code, count) -> counts.save(new ShelfCount(code, count)));
        counts.flush();
    }
}
