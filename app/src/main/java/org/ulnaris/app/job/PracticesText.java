package org.ulnaris.app.job;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.EnumMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;

/** Chosen schools as one column: {@code LAY=LEAVE;CLICKS=TWO}. */
@Converter
class PracticesText implements AttributeConverter<Practices, String> {
    @Override
    public String convertToDatabaseColumn(Practices practices) {
        return practices.chosen().entrySet().stream()
                .sorted(Map.Entry.comparingByKey())
                .map(entry -> entry.getKey() + "=" + entry.getValue())
                .collect(Collectors.joining(";"));
    }

    @Override
    public Practices convertToEntityAttribute(String text) {
        Map<Practice, String> chosen = new EnumMap<>(Practice.class);
        for (String part : text.split(";")) {
            int equals = part.indexOf('=');
            if (equals > 0) {
                chosen.put(Practice.valueOf(part.substring(0, equals)), part.substring(equals + 1));
            }
        }
        return new Practices(chosen);
    }
}
