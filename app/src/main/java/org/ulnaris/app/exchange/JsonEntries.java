package org.ulnaris.app.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.shell.CleanText;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.Range;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Members of a JSON object, read one by one; every fault is kept with its pointer. */
final class JsonEntries {
    /**
     * A fault of a request.
     *
     * @param pointer JSON pointer to the member
     * @param code kind of fault
     * @param detail what is expected, with an example
     */
    record Problem(String pointer, String code, String detail) {}

    private static final int LONGEST_TEXT = 200;

    private final @Nullable JsonNode node;
    private final String path;
    private final List<Problem> problems;

    JsonEntries(@Nullable JsonNode node) {
        this(node, "", new ArrayList<>());
        if (node == null || !node.isObject()) {
            problems.add(new Problem("", "NOT_AN_OBJECT", "expected a JSON object"));
        }
    }

    private JsonEntries(@Nullable JsonNode node, String path, List<Problem> problems) {
        this.node = node;
        this.path = path;
        this.problems = problems;
    }

    List<Problem> problems() {
        return problems;
    }

    boolean clean() {
        return problems.isEmpty();
    }

    void fault(String name, String code, String detail) {
        problems.add(new Problem(path + "/" + name, code, detail));
    }

    private @Nullable JsonNode member(String name) {
        JsonNode member = node == null ? null : node.get(name);
        return member == null || member.isNull() ? null : member;
    }

    boolean has(String name) {
        return member(name) != null;
    }

    /** A text that may be absent. */
    String optionalText(String name, int longest) {
        return has(name) ? text(name, longest) : "";
    }

    /** The object {@code name}, or an empty one when it is absent. */
    JsonEntries optionalObject(String name) {
        return has(name) ? object(name) : new JsonEntries(null, path + "/" + name, problems);
    }

    /** A text, number or truth value as a form would hold it; null when absent. */
    @Nullable
    String formText(String name) {
        JsonNode member = member(name);
        if (member == null) {
            return null;
        }
        if (member.isNumber()
                || member.isBoolean()
                || (member.isString() && member.stringValue().length() <= LONGEST_TEXT)) {
            return member.asString();
        }
        fault(name, "NOT_A_VALUE", "expected a number, a text or a truth value");
        return null;
    }

    /** One of the constants of {@code type}, or {@code absent}. */
    <E extends Enum<E>> E optionalChoice(String name, Class<E> type, E absent) {
        return has(name) ? choice(name, type) : absent;
    }

    /** The object {@code name}; its faults are kept here. */
    JsonEntries object(String name) {
        JsonNode member = member(name);
        if (member == null || !member.isObject()) {
            fault(name, member == null ? "MISSING" : "NOT_AN_OBJECT", "expected an object");
            return new JsonEntries(null, path + "/" + name, new ArrayList<>());
        }
        return new JsonEntries(member, path + "/" + name, problems);
    }

    /** The objects of the array {@code name}, at most {@code most}; their faults are kept here. */
    List<JsonEntries> objects(String name, int most) {
        JsonNode member = member(name);
        if (member == null || !member.isArray() || member.isEmpty() || member.size() > most) {
            fault(name, member == null ? "MISSING" : "NOT_AN_ARRAY", "expected an array of 1 to " + most + " objects");
            return List.of();
        }
        List<JsonEntries> all = new ArrayList<>();
        for (int i = 0; i < member.size(); i++) {
            if (member.get(i).isObject()) {
                all.add(new JsonEntries(member.get(i), path + "/" + name + "/" + i, problems));
            } else {
                fault(name + "/" + i, "NOT_AN_OBJECT", "expected an object");
            }
        }
        return all;
    }

    /** A text that must be there and not be blank. */
    String text(String name, int longest) {
        JsonNode member = member(name);
        String text = member != null && member.isString() ? CleanText.line(member.stringValue()) : "";
        if (text.isEmpty() || text.length() > longest) {
            fault(
                    name,
                    member == null ? "MISSING" : "NOT_A_TEXT",
                    "expected a text of 1 to " + longest + " characters");
            return name;
        }
        return text;
    }

    /** Refuses members that are not known: a misspelt one would be ignored in silence. */
    void allow(String... names) {
        Set<String> known = Set.of(names);
        if (node != null && node.isObject()) {
            node.propertyNames().stream()
                    .filter(name -> !known.contains(name))
                    .forEach(name -> fault(
                            name.replace("~", "~0").replace("/", "~1"),
                            "UNKNOWN",
                            "known members: " + Arrays.stream(names).sorted().collect(Collectors.joining(", "))));
        }
    }

    /** A number that must be there. */
    double number(String name, Range range, double inPlace) {
        JsonNode member = member(name);
        if (member == null) {
            fault(name, "MISSING", "expected a number, " + words(range));
            return inPlace;
        }
        return optionalNumber(name, range, inPlace);
    }

    /** A number that may be absent. */
    double optionalNumber(String name, Range range, double absent) {
        JsonNode member = member(name);
        if (member == null) {
            return absent;
        }
        if (!member.isNumber()) {
            fault(name, "NOT_A_NUMBER", "expected a number, " + words(range));
            return absent;
        }
        double value = finite(member);
        if (!range.contains(value)) {
            fault(name, "OUT_OF_RANGE", "must be " + words(range));
            return absent;
        }
        return value;
    }

    /** The number; not a number where it is too large for any. */
    static double finite(JsonNode member) {
        try {
            return member.doubleValue();
        } catch (JacksonException e) {
            return Double.NaN;
        }
    }

    private static String words(Range range) {
        return (range.closed() ? "from " : "above ")
                + Figures.significant(range.above(), 6)
                + (range.closed() ? " to " : " and at most ")
                + Figures.significant(range.upTo(), 6);
    }

    /** A whole number that may be absent. */
    int optionalCount(String name, Range range, int absent) {
        double value = optionalNumber(name, range, absent);
        if (value != Math.rint(value)) {
            fault(name, "NOT_A_WHOLE_NUMBER", "expected a whole number, " + words(range));
            return absent;
        }
        return (int) value;
    }

    /** A truth value that may be absent. */
    boolean optionalFlag(String name) {
        JsonNode member = member(name);
        if (member != null && !member.isBoolean()) {
            fault(name, "NOT_A_BOOLEAN", "expected true or false");
            return false;
        }
        return member != null && member.booleanValue();
    }

    /** One of the constants of {@code type}; it must be there. */
    <E extends Enum<E>> E choice(String name, Class<E> type) {
        E[] constants = type.getEnumConstants();
        JsonNode member = member(name);
        for (E constant : constants) {
            if (member != null && member.isString() && member.stringValue().equals(constant.name())) {
                return constant;
            }
        }
        fault(
                name,
                member == null ? "MISSING" : "UNKNOWN_CHOICE",
                "expected one of " + Arrays.stream(constants).map(Enum::name).collect(Collectors.joining(", ")));
        return constants[0];
    }
}
