package org.ulnaris.app.hunt;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.rating.RuleSet;

/** Lines of loads kept in jobs of any voltage: the cable carries what the load draws there, P = U·I, or the line is not kept. */
class KeepHuntTest extends Hunt {
    /** An inverter draws more than its watts over the volts, at the lowest voltage that it works on (common practice: not twice as much). */
    private static final double MOST = 2;

    @Autowired
    private Works works;

    @Test
    void aLineKeptDrawsWhatItDrawsThere() {
        Set<String> met = new HashSet<>();
        for (long sequence = 0; sequence < 6 * sequences(3); sequence++) {
            trail.clear();
            double volt = any(List.of(12.0, 24.0, 48.0));
            Job job = jobs.create(new JobDetails(
                    "Kept " + sequence,
                    JobKind.MOBILE,
                    volt,
                    1.2 * volt,
                    any(List.of(Units.METRIC, Units.US)),
                    RuleSet.CFR_183_425,
                    JobRules.USUAL));
            int watt = 50 + random.nextInt(1500);
            String said = any(List.of("", "12", "24", "48"));
            String load = any(List.of("heater", "inverter"));
            String ask = load + " " + watt + " W " + (said.isEmpty() ? "" : said + " V ")
                    + any(List.of("2 m", "4 m", "6 ft"));
            trail.add(ask + " into " + volt + " V");
            MvcTestResult result =
                    post("/answer/keep", Map.of("ask", ask, "job", job.id().toString()));
            answered(ask, result);
            List<Cable> kept = cables.of(job.id());
            boolean other = !said.isEmpty() && Double.parseDouble(said) != volt;
            assertThat(kept.isEmpty())
                    .as(trail + " " + result.getResponse().getStatus())
                    .isEqualTo(other);
            met.add(load + other);
            for (Cable cable : kept) {
                double ampere = works.of(job.id())
                        .cable(cable.details().tag())
                        .carried()
                        .currentA();
                assertThat(ampere)
                        .as(cable.details().tag() + " after " + trail)
                        .isBetween(0.99 * watt / volt, (load.equals("heater") ? 1.3 : MOST) * watt / volt);
            }
            everyPageAnswers(job);
            theFileComesBack(job);
        }
        assertThat(met).hasSize(4);
    }
}
