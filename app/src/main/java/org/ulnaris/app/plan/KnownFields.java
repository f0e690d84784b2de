package org.ulnaris.app.plan;

import java.util.LinkedHashMap;
import java.util.Map;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;

/**
 * The fields of a cable that seldom change the answer, in one line each.
 *
 * @param said what was said of this cable; empty where nothing was
 * @param taken what is taken because nothing was said
 */
public record KnownFields(String said, String taken) {
    /** {@code instead} is what is taken, by field, where nothing was said. */
    static KnownFields of(CableDetails cable, JobDetails job, Map<String, String> instead, Fmt fmt, Words words) {
        Map<String, String> now = CableReader.texts(cable, fmt);
        Map<String, String> fresh = CableReader.texts(CableDetails.fresh(job, cable.tag()), fmt);
        Map<String, String> said = new LinkedHashMap<>();
        Map<String, String> taken = new LinkedHashMap<>();
        for (CableField field : CableField.ALL) {
            String key = field.key();
            String value = now.getOrDefault(key, "");
            boolean asFresh = value.equals(fresh.get(key));
            if (!asFresh && field.traits().contains(CableField.Trait.FOLDED)) {
                said.put(key, told(field, value, words));
            } else if (asFresh && field.traits().contains(CableField.Trait.RESTED_ON)) {
                taken.put(key, told(field, instead.getOrDefault(key, value), words));
            }
        }
        return new KnownFields(String.join(" · ", said.values()), String.join(" · ", taken.values()));
    }

    private static String told(CableField field, String value, Words words) {
        return switch (value) {
            case "true" -> words.fieldInSentence(field.key());
            case "false" -> words.of("known.not", words.fieldInSentence(field.key()));
            case "" -> words.of("known.none", words.fieldInSentence(field.key()));
            default -> words.of("known.is", words.fieldInSentence(field.key()), named(field, value, words));
        };
    }

    /** Choices by their names, all else as it was typed. */
    private static String named(CableField field, String value, Words words) {
        return field.kind().options().stream()
                .filter(option -> option.name().equals(value))
                .findFirst()
                .map(words::name)
                .orElseGet(() -> value.replace(" ", Fmt.SPACE));
    }
}
