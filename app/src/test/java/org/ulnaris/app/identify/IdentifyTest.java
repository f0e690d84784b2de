package org.ulnaris.app.identify;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.ulnaris.app.AppTest;

class IdentifyTest extends AppTest {
    @Test
    void anEmptyPageAsksForReadings() {
        assertThat(body(get("/identify")))
                .contains("Press what you hold", "hold=cable", "hold=lug", "hold=bar")
                .doesNotContain("v-STOP");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "strands=1100&strand=0.2 mm&claimed=35 mm²;of copper",
                "strands=700&strand=0.2 mm&claimed=35 mm²;thin: only",
                "reading=0.53 mΩ&length=1 m&claimed=35 mm²;the standard allows 0.554",
                "reading=0.58 mΩ&length=1 m&claimed=35 mm²;a little more than the 0.554",
                "reading=0.84 mΩ&length=1 m&claimed=35 mm²;copper-clad aluminium",
                "bundle=8.2 mm;would show whether it is thin",
                "series=AWG&bundle=11.5 mm&claimed=2/0;2/0 AWG",
                "barWidth=20&barThickness=2&barLength=76&barReading=0.17 mΩ;brass",
                "barWidth=20&barThickness=2&barLength=76&barReading=0.04 mΩ;copper,",
                "barWidth=20&barThickness=2&barLength=76&barReading=9 mΩ;none of copper",
                "moves=true;flexible link",
                "hold=cable;Fill in what you can measure",
                "hold=nothing&outer=14.5;DIN 50 · M8",
                "hold=lug&outer=14.4 mm&bore=10.1 mm&hole=8.4 mm;up to 0.1",
                "hold=lug&outer=14.5&bore=10;DIN 50 · M10",
                "hold=lug&outer=60&bore=40;No known lug has such a tube"
            })
    void whatIsMeasuredIsNamed(String query, String said) {
        assertThat(body(get("/identify?" + query))).contains(said);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "strand=thick",
                "strands=many",
                "reading=1 V",
                "reading=1 mΩ",
                "claimed=35 bananas",
                "barWidth=0",
                "barReading=1 mΩ",
                "barWidth=20&barThickness=2&barLength=76&barReading=0.1 mΩ&barContact=0.2 mΩ",
                "series=FOO",
                "hold=lug&hole=8.4",
                "hold=lug&outer=wide",
                "hold=lug&outer=-3",
                "barMaterial=GOLD"
            })
    void aBadEntryIsKeptAndSaid(String query) {
        var page = get("/identify?" + query);
        assertThat(page).hasStatus(422);
        assertThat(body(page)).contains("field-error");
    }
}
