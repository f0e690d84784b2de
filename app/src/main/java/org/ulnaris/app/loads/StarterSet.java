package org.ulnaris.app.loads;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Generic equipment with invented figures, to be copied and edited: starter-set.csv. */
final class StarterSet {
    /**
     * A piece to start from.
     *
     * @param typed its fields as a person would type them
     */
    record Preset(EquipmentKind kind, String name, Map<String, String> typed) {}

    private static final List<Preset> ALL = read();

    private StarterSet() {}

    static List<Preset> all() {
        return ALL;
    }

    private static List<Preset> read() {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get();
        try (Reader text = new InputStreamReader(
                        Objects.requireNonNull(StarterSet.class.getResourceAsStream("/starter-set.csv")),
                        StandardCharsets.UTF_8);
                var parser = format.parse(text)) {
            List<Preset> presets = new ArrayList<>();
            for (CSVRecord row : parser) {
                Map<String, String> typed = new LinkedHashMap<>();
                typed.put("tag", row.get("tag"));
                typed.put("name", row.get("name"));
                for (String field : row.get("fields").split(";")) {
                    int equals = field.indexOf('=');
                    typed.put(field.substring(0, equals), field.substring(equals + 1));
                }
                presets.add(new Preset(EquipmentKind.valueOf(row.get("kind")), row.get("name"), typed));
            }
            return List.copyOf(presets);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
