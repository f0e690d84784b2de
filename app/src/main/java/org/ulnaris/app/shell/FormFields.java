package org.ulnaris.app.shell;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The fields of a form, each declared once: form, column of a table and member of a JSON object are read and told alike. A new one is a row
 * here, a component of the record with its unit in its name, its words and a migration.
 *
 * @param fresh what a new one starts from
 * @param fields in the order in which they are asked for
 */
public record FormFields<R extends Record>(R fresh, List<Field> fields) {
    /**
     * A field.
     *
     * @param key its name in forms
     * @param part the component that keeps it, and its member in JSON
     * @param column of a table
     * @param kind how it is entered
     */
    public record Field(String key, String part, String column, FieldKind kind) {
        /** A field whose column is called as it is. */
        public static Field of(String key, String part, FieldKind kind) {
            return new Field(key, part, key, kind);
        }

        /** A field that is called alike everywhere. */
        public static Field of(String key, FieldKind kind) {
            return of(key, key, kind);
        }

        /** The same under another name in tables. */
        public Field inColumn(String name) {
            return new Field(key, part, name, kind);
        }
    }

    /** What was typed, over {@code standing}; faults stay in {@code entries}. */
    public R read(Entries entries, R standing) {
        Map<String, @Nullable Object> parts = new HashMap<>();
        for (Field field : fields) {
            Object stands = Records.part(standing, field.part());
            parts.put(field.part(), field.kind().reading().of(entries, field.key(), stands));
        }
        return Records.with(standing, parts);
    }

    /** The text of each field, as a form shows it and a table holds it. */
    public Map<String, String> texts(R record, Fmt fmt) {
        Map<String, String> texts = new LinkedHashMap<>();
        for (Field field : fields) {
            texts.put(field.key(), field.kind().telling().of(Records.part(record, field.part()), fmt));
        }
        return texts;
    }

    /** Names of the fields. */
    public List<String> keys() {
        return fields.stream().map(Field::key).toList();
    }

    /** Fields by their columns of a table. */
    public Map<String, String> byColumn() {
        return keysBy(Field::column);
    }

    /** Fields by their members of a JSON object. */
    public Map<String, String> byMember() {
        return keysBy(Field::part);
    }

    private Map<String, String> keysBy(Function<Field, String> name) {
        return fields.stream().collect(Collectors.toMap(name, Field::key, (one, other) -> one, LinkedHashMap::new));
    }
}
