package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;

/**
 * The parts of one kind: those that ship, and those that the person entered, which come and go by form and by table.
 *
 * @param <T> a part
 * @param <R> a part as it is entered
 * @param <E> an entered part as it is kept
 */
@Transactional
public abstract class PartList<T, R extends Record & EnteredPart<T>, E extends PartRow<T>> implements Undoes {
    private static final Fmt FMT = new Fmt(Units.METRIC);

    private final Kind<T, R, E> kind;
    private final PartRows<E> rows;
    private final ObjectProvider<LastSteps> steps;

    /**
     * What tells one kind of part from another.
     *
     * @param name among the things that are undone
     * @param type of a part
     * @param place of its list: what its addresses and its last step are called
     * @param step what taking a file is called
     * @param shipped the parts that ship
     * @param table its fields as a form and a table hold them
     * @param entered a part as it is entered
     * @param row a part as it is kept
     */
    record Kind<T, R extends Record & EnteredPart<T>, E extends PartRow<T>>(
            String name,
            Class<T> type,
            String place,
            LastSteps.What step,
            List<T> shipped,
            CsvTable<R> table,
            Function<T, R> entered,
            Function<T, E> row) {
        FormFields<R> fields() {
            return table.fields();
        }
    }

    /** What taking a file does to a part. */
    public enum What {
        NEW,
        CHANGED,
        SAME
    }

    /** A field of a part as it stands, and as a file has it. */
    public record Cell(String was, String becomes) {}

    /**
     * A row of a file.
     *
     * @param changes the cells that stand otherwise, by their columns; empty of a new one
     */
    public record Row<T>(String code, T part, What what, Map<String, Cell> changes) {}

    /**
     * What a file would do.
     *
     * @param rows none where there are faults
     * @param missing codes of entered parts that the file does not have
     */
    public record Preview<T>(List<Row<T>> rows, List<String> missing, List<CsvTable.FileFault> faults) {
        public long count(What what) {
            return rows.stream().filter(row -> row.what() == what).count();
        }
    }

    PartList(Kind<T, R, E> kind, PartRows<E> rows, ObjectProvider<LastSteps> steps) {
        this.kind = kind;
        this.rows = rows;
        this.steps = steps;
    }

    /** What an empty form shows. */
    static <R extends Record> Map<String, String> fresh(FormFields<R> fields) {
        return fields.texts(fields.fresh(), FMT);
    }

    /** What its addresses are called. */
    public String place() {
        return kind.place();
    }

    /** The entered ones first, then what ships. */
    @Transactional(readOnly = true)
    public List<T> all() {
        return Stream.concat(own().stream(), kind.shipped().stream()).toList();
    }

    /** Those that the person entered. */
    @Transactional(readOnly = true)
    public List<T> own() {
        return rows.findAllByOrderByCode().stream().map(PartRow::part).toList();
    }

    /** The one called {@code code}. */
    @Transactional(readOnly = true)
    public Optional<T> coded(String code) {
        return rows.findByCode(code).map(PartRow::part).or(() -> shipped(code));
    }

    private Optional<T> shipped(String code) {
        return kind.shipped().stream().filter(part -> code(part).equals(code)).findFirst();
    }

    private String code(T part) {
        return kind.entered().apply(part).code();
    }

    /** Codes of all of them, folded: letters' case makes no difference. */
    private Set<String> codes() {
        return all().stream().map(part -> CsvTable.fold(code(part))).collect(Collectors.toSet());
    }

    public void add(T part) {
        rows.saveAndFlush(kind.row().apply(part));
    }

    public Optional<T> remove(String code) {
        Optional<E> row = rows.findByCode(code);
        row.ifPresent(rows::delete);
        return row.map(PartRow::part);
    }

    /** Reads a new one; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<T> read(Entries entries) {
        R read = kind.fields().read(entries, kind.fields().fresh());
        read.check(entries, codes());
        return entries.clean() ? Optional.of(read.part()) : Optional.empty();
    }

    /** The text of each field, as a form shows it. */
    public Map<String, String> texts(T part) {
        return kind.fields().texts(kind.entered().apply(part), FMT);
    }

    /** All of them as a table. */
    @Transactional(readOnly = true)
    public String csv() {
        return kind.table().write(all().stream().map(kind.entered()).toList());
    }

    /** What a table would do: a row belongs to the part of its code. What ships can be in it, but stays as it is. */
    @Transactional(readOnly = true)
    public Preview<T> preview(String text) {
        Map<String, Map<String, String>> own = new LinkedHashMap<>();
        own().forEach(part -> own.put(code(part), written(part)));
        Map<String, Map<String, String>> known = new LinkedHashMap<>(own);
        kind.shipped().forEach(part -> known.put(code(part), written(part)));
        Set<String> codes = known.keySet().stream().map(CsvTable::fold).collect(Collectors.toSet());
        CsvTable.Read<T> read =
                kind.table().read(text, known::get, entries -> row(entries, known, own, codes), this::code);
        List<Row<T>> found = read.parts().stream().map(part -> row(part, known)).toList();
        Set<String> missing = new HashSet<>(own.keySet());
        found.forEach(row -> missing.remove(row.code()));
        return new Preview<>(
                found, read.faults().isEmpty() ? missing.stream().sorted().toList() : List.of(), read.faults());
    }

    /** The texts of a part that was written and read: as it comes back where nobody has changed it. */
    private Map<String, String> written(T part) {
        Entries entries = new Entries(texts(part), Units.METRIC);
        R read = kind.fields().read(entries, kind.fields().fresh());
        return entries.clean() ? texts(read.part()) : texts(part);
    }

    private Optional<T> row(
            Entries entries,
            Map<String, Map<String, String>> known,
            Map<String, Map<String, String>> own,
            Set<String> codes) {
        R read = kind.fields().read(entries, kind.fields().fresh());
        Map<String, String> standing = known.get(read.code());
        read.check(entries, standing == null ? codes : Set.of());
        if (!entries.clean()) {
            return Optional.empty();
        }
        T part = read.part();
        if (standing != null && !own.containsKey(read.code()) && !texts(part).equals(standing)) {
            entries.fault("code", Fault.Code.TAKEN);
        }
        return Optional.of(part);
    }

    private Row<T> row(T part, Map<String, Map<String, String>> known) {
        Map<String, String> now = texts(part);
        Map<String, String> standing = known.get(code(part));
        Map<String, Cell> changes = new LinkedHashMap<>();
        if (standing != null) {
            for (FormFields.Field field : kind.fields().fields()) {
                Cell cell = new Cell(standing.getOrDefault(field.key(), ""), now.getOrDefault(field.key(), ""));
                if (!cell.was().equals(cell.becomes())) {
                    changes.put(field.column(), cell);
                }
            }
        }
        What what = standing == null ? What.NEW : changes.isEmpty() ? What.SAME : What.CHANGED;
        return new Row<>(code(part), part, what, changes);
    }

    /** Takes all rows of a table, or none, as one step that can be taken back; {@code drop} removes what is missing in it too. */
    public Preview<T> take(String text, boolean drop) {
        Preview<T> preview = preview(text);
        List<Change> changes = new ArrayList<>();
        for (Row<T> row : preview.rows()) {
            if (row.what() != What.SAME) {
                changes.add(turn(row.code(), row.part()));
            }
        }
        for (String code : drop ? preview.missing() : List.<String>of()) {
            changes.add(turn(code, null));
        }
        steps.getObject().keep(kind.place(), kind.step(), changes);
        return preview;
    }

    private Change turn(String code, @Nullable T part) {
        T before = rows.findByCode(code).map(PartRow::part).orElse(null);
        put(code, part);
        return Change.of(kind.name(), code, before, part);
    }

    private void put(String code, @Nullable T part) {
        remove(code);
        rows.flush();
        if (part != null) {
            add(part);
        }
    }

    @Override
    public String kind() {
        return kind.name();
    }

    @Override
    public @Nullable String now(String key) {
        return rows.findByCode(key).map(row -> LastSteps.json(row.part())).orElse(null);
    }

    @Override
    public boolean set(String key, @Nullable String thing) {
        put(key, thing == null ? null : LastSteps.read(thing, kind.type()));
        return true;
    }
}
