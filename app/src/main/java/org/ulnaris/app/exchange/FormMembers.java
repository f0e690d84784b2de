package org.ulnaris.app.exchange;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.FormFields;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

/** Members of a JSON object that are read as the fields of a form are, so that a program meets the same rules as a person. */
record FormMembers<R extends Record>(FormFields<R> fields) {
    private static final Fmt FMT = new Fmt(Units.METRIC);

    /** What {@code in} holds, over a fresh one; a bare number is in the unit of its member's name. */
    Entries entries(JsonEntries in) {
        in.allow(fields.byMember().keySet().toArray(String[]::new));
        Map<String, String> typed = new HashMap<>(fields.texts(fields.fresh(), FMT));
        fields.byMember().forEach((member, field) -> {
            String text = in.formText(member);
            if (text != null) {
                typed.put(field, text);
            }
        });
        return new Entries(typed, Units.METRIC);
    }

    /** The faults of {@code entries} with pointers to their members. */
    List<JsonEntries.Problem> problems(JsonEntries in, Entries entries, Words words) {
        entries.faults()
                .forEach((field, fault) -> in.fault(member(field), fault.code().name(), words.fault(fault)));
        return in.problems();
    }

    private String member(String key) {
        return fields.fields().stream()
                .filter(field -> field.key().equals(key))
                .map(FormFields.Field::part)
                .findFirst()
                .orElse(key);
    }
}
