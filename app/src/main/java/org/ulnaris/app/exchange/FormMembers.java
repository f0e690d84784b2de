package org.ulnaris.app.exchange;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

/** Members of a JSON object that are read as the fields of a form are, so that a program meets the same rules as a person. */
final class FormMembers {
    /** A member's field in the form, and the unit of a bare number. */
    private record Member(String field, String unit) {}

    private final Map<String, Member> members = new LinkedHashMap<>();

    /** A member without a unit of the same name as its field. */
    FormMembers plain(String... names) {
        for (String name : names) {
            members.put(name, new Member(name, ""));
        }
        return this;
    }

    /** The member {@code name} for the field {@code field}; a bare number means {@code unit}. */
    FormMembers in(String unit, String name, String field) {
        members.put(name, new Member(field, unit));
        return this;
    }

    /** What {@code in} holds, over {@code fresh}. */
    Entries entries(JsonEntries in, Map<String, String> fresh) {
        in.allow(members.keySet().toArray(String[]::new));
        Map<String, String> typed = new HashMap<>(fresh);
        members.forEach((name, member) -> {
            String text = in.formText(name, member.unit());
            if (text != null) {
                typed.put(member.field(), text);
            }
        });
        return new Entries(typed, Units.METRIC);
    }

    /** The faults of {@code entries} with pointers to their members. */
    List<JsonEntries.Problem> problems(JsonEntries in, Entries entries, Words words) {
        entries.faults()
                .forEach((field, fault) -> in.fault(name(field), fault.code().name(), words.fault(fault)));
        return in.problems();
    }

    private String name(String field) {
        return members.entrySet().stream()
                .filter(entry -> entry.getValue().field().equals(field))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(field);
    }
}
