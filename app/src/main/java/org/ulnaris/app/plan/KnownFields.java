package org.ulnaris.app.plan;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.ConductorMetal;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.protection.InsulationKind;

/**
 * The fields of a cable that seldom change the answer, in one line each.
 *
 * @param said what was said of this cable; empty where nothing was
 * @param taken what is taken because nothing was said
 */
public record KnownFields(String said, String taken) {
    /** Fields that stand folded away. */
    static final List<String> FIELDS = List.of(
            "polarity",
            "insulation",
            "material",
            "ambient",
            "terminal",
            "bundled",
            "series",
            "strands",
            "engineSpace",
            "conduit",
            "walled",
            "slack",
            "bend",
            "joints",
            "clock",
            "outer");

    /** Of those of which nothing was said, the ones that the answer rests on. */
    private static final Set<String> RESTS_ON =
            Set.of("insulation", "ambient", "terminal", "bundled", "strands", "slack");

    /** {@code terminalTaken} is the limit that is taken where none was said. */
    static KnownFields of(CableDetails cable, JobDetails job, String terminalTaken, Fmt fmt, Words words) {
        Map<String, String> now = CableReader.texts(cable, fmt);
        Map<String, String> fresh = CableReader.texts(CableDetails.fresh(job, cable.tag()), fmt);
        Map<String, String> said = new LinkedHashMap<>();
        Map<String, String> taken = new LinkedHashMap<>();
        for (String field : FIELDS) {
            String value = now.getOrDefault(field, "");
            if (!value.equals(fresh.get(field))) {
                said.put(field, value);
            } else if (RESTS_ON.contains(field)) {
                taken.put(field, field.equals("terminal") ? terminalTaken : value);
            }
        }
        return new KnownFields(line(said, words), line(taken, words));
    }

    private static String line(Map<String, String> fields, Words words) {
        return fields.entrySet().stream()
                .map(field -> told(field.getKey(), field.getValue(), words))
                .collect(Collectors.joining(" · "));
    }

    private static String told(String field, String value, Words words) {
        return switch (value) {
            case "true" -> words.fieldInSentence(field);
            case "false" -> words.of("known.not", words.fieldInSentence(field));
            case "" -> words.of("known.none", words.fieldInSentence(field));
            default -> words.of("known.is", words.fieldInSentence(field), named(field, value, words));
        };
    }

    /** Choices by their names, all else as it was typed. */
    private static String named(String field, String value, Words words) {
        return switch (field) {
            case "polarity" -> words.name(Polarity.valueOf(value));
            case "material" -> words.name(InsulationKind.valueOf(value));
            case "series" -> words.name(SizeSeries.valueOf(value));
            case "strands" -> words.name(ConductorMetal.valueOf(value));
            default -> value.replace(" ", Fmt.SPACE);
        };
    }
}
