package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.termination.Lug;

/** What lies on the shelf: "12 DIN 70 · M8", one part a line. */
@Service
@Transactional
public class Shelf {
    public static final String FIELD = "shelf";

    private static final int LONGEST = 40_000;
    private static final int MOST_PIECES = 100_000;
    private static final String EXAMPLE = "12 DIN 70 · M8, one part a line, named as in the catalogue";

    private final ShelfCountRepository counts;
    private final StockService lugs;
    private final ContactStock contacts;

    Shelf(ShelfCountRepository counts, StockService lugs, ContactStock contacts) {
        this.counts = counts;
        this.lugs = lugs;
        this.contacts = contacts;
    }

    /** Pieces by code; empty when nothing is counted. */
    @Transactional(readOnly = true)
    public Map<String, Integer> all() {
        return counts.findAll().stream().collect(Collectors.toMap(ShelfCount::code, ShelfCount::pieces));
    }

    /** The list as it is typed. */
    @Transactional(readOnly = true)
    public String text() {
        List<String> lines = new ArrayList<>();
        new TreeMap<>(all()).forEach((code, pieces) -> lines.add(pieces + " " + code));
        return String.join("\n", lines);
    }

    /** The same as the form that it is typed into. */
    @Transactional(readOnly = true)
    public Map<String, String> texts() {
        return Map.of(FIELD, text());
    }

    /** Reads a list; a part is found whatever dots and spaces stand in its name. Faults stay in {@code entries}. */
    @Transactional(readOnly = true)
    public Map<String, Integer> read(Entries entries) {
        Map<String, String> codes = lugs.lugs().stream()
                .map(Lug::code)
                .collect(Collectors.toMap(Shelf::bare, code -> code, (one, other) -> one));
        contacts.all().stream().map(Contact::code).forEach(code -> codes.putIfAbsent(bare(code), code));
        Map<String, Integer> read = new LinkedHashMap<>();
        for (String line : entries.lines(FIELD, LONGEST)) {
            String[] words = Typed.plain(line).split("\\s+", 2);
            String code = words.length < 2 ? null : codes.get(bare(words[1]));
            if (code == null || !words[0].matches("[0-9]{1,6}") || Integer.parseInt(words[0]) > MOST_PIECES) {
                entries.fault(FIELD, Fault.Code.NOT_A_NUMBER, EXAMPLE);
            } else {
                read.merge(code, Integer.parseInt(words[0]), Integer::sum);
            }
        }
        return read;
    }

    private static String bare(String code) {
        return code.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}/#,×–]", "");
    }

    /**
     * Puts {@code by} pieces more on the shelf, fewer where it is negative. Where none is left, one fewer takes the part off the list: it is
     * not counted any more.
     *
     * @throws NotFoundException when there is no such part
     */
    public void step(String code, int by) {
        boolean known = lugs.lugs().stream().anyMatch(lug -> lug.code().equals(code))
                || contacts.all().stream().anyMatch(contact -> contact.code().equals(code));
        if (!known) {
            throw new NotFoundException("part " + code);
        }
        int pieces = counts.findById(code).map(ShelfCount::pieces).orElse(0) + by;
        if (pieces < 0) {
            counts.deleteById(code);
            counts.flush();
        } else {
            counts.saveAndFlush(new ShelfCount(code, Math.min(MOST_PIECES, pieces)));
        }
    }

    /** The whole list anew. */
    public void replace(Map<String, Integer> all) {
        counts.deleteAllInBatch();
        all.forEach((code, pieces) -> counts.save(new ShelfCount(code, pieces)));
        counts.flush();
    }
}
