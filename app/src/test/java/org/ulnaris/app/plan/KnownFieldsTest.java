package org.ulnaris.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

class KnownFieldsTest extends AppTest {
    @Autowired
    private Words words;

    private KnownFields of(Job job, Map<String, String> typed) {
        Cable cable = newCable(job, typed);
        return KnownFields.of(
                cable.details(),
                job.details(),
                java.util.Map.of("terminal", "60\u00a0°C", "slack", "150\u00a0mm"),
                job.fmt(),
                words);
    }

    @Test
    void whatNobodySaidIsTaken() {
        KnownFields known = of(newJob(Units.METRIC), Map.of());
        assertThat(known.said()).isEmpty();
        assertThat(known.taken())
                .contains(
                        "insulation 105\u00a0°C",
                        "ambient 30\u00a0°C",
                        "terminal limit 60\u00a0°C",
                        "conductors bundled 2")
                .doesNotContain("outer", "polarity");
    }

    @Test
    void whatWasSaidStandsApart() {
        KnownFields known = of(
                newJob(Units.METRIC),
                Map.of("ambient", "45 °C", "engineSpace", "true", "outer", "13 mm", "polarity", "NEGATIVE"));
        assertThat(known.said()).contains("ambient 45\u00a0°C", "in an engine space", "outer diameter 13", "polarity");
        assertThat(known.taken()).doesNotContain("ambient").contains("insulation");
    }

    /** What is folded away and what stands open are all fields of a cable, none left out. */
    @Test
    void everyFieldStandsInTheForm() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of());
        String page = body(get("/cables/" + cable.id() + "/plan"));
        assertThat(CableReader.texts(cable.details(), job.fmt()).keySet())
                .containsAll(CableField.keys(CableField.Trait.FOLDED))
                .allSatisfy(field -> assertThat(page).contains("name=\"" + field + "\""));
    }
}
