package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Collections;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;

class RecordsTest {
    public record Jar(String label, double litres, @Nullable Integer year) {
        public Jar {
            if (litres <= 0) {
                throw new IllegalArgumentException("an empty jar");
            }
        }
    }

    private static final Jar PLUMS = new Jar("plums", 0.7, 2025);

    @Test
    void someComponentsAreOthersAndTheRestStays() {
        assertThat(Records.with(PLUMS, Map.of("litres", 0.5))).isEqualTo(new Jar("plums", 0.5, 2025));
        assertThat(Records.with(PLUMS, Collections.singletonMap("year", null))).isEqualTo(new Jar("plums", 0.7, null));
        assertThat(Records.with(PLUMS, Map.of())).isEqualTo(PLUMS);
        assertThat(Records.part(PLUMS, "label")).isEqualTo("plums");
    }

    @Test
    void whatIsNoComponentOrNoValueIsRefusedAsTheRecordItselfWould() {
        assertThatThrownBy(() -> Records.with(PLUMS, Map.of("colour", "blue")))
                .hasMessage("Jar has not all of [colour]");
        assertThatThrownBy(() -> Records.part(PLUMS, "colour")).hasMessage("Jar has no colour");
        assertThatThrownBy(() -> Records.with(PLUMS, Map.of("litres", 0.0))).hasMessage("an empty jar");
    }
}
