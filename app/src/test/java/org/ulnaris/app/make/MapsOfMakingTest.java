package org.ulnaris.app.make;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.making.BuildStep;

/** The cable as its own navigation while it is made and when it is proven. */
class MapsOfMakingTest extends AppTest {
    private static final Pattern PRESS = Pattern.compile("<a href=\"([^\"]*)\" aria-label=\"([^\"]*)\"([^>]*)>");

    @Autowired
    private MakeService make;

    private Cable cable;

    @BeforeEach
    void cable() {
        cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2", "slack", "300"));
    }

    /** What can be pressed of the drawing across the sheet: "address | what it says | current". */
    private List<String> presses(String place) {
        String page = body(get("/cables/" + cable.id() + "/" + place));
        String across = page.substring(page.indexOf("map-across"), page.indexOf("map-upright"));
        return PRESS.matcher(across)
                .results()
                .map(one -> one.group(1).replace("/cables/" + cable.id(), "") + " | "
                        + one.group(2).replaceAll("\\h", " ")
                        + (one.group(3).contains("aria-current") ? " | current" : ""))
                .distinct()
                .toList();
    }

    private void done(String... keys) {
        Arrays.stream(keys)
                .forEach(key -> make.done(cable.id(), BuildStep.keyed(key).orElseThrow()));
    }

    private void read(String step, Map<String, String> readings) {
        post("/cables/" + cable.id() + "/bench/" + step, readings);
    }

    @Test
    void whatIsNextIsMarkedAtItsPlace() {
        assertThat(presses("make"))
                .anyMatch(press -> press.startsWith("/bench/check | 50 mm², 2.40 m next: Check cable and tools")
                        && press.endsWith(", the run | current"))
                .anyMatch(press -> press.equals("/bench/strip-a | A end, 0 of 13 done"));
        done("check", "cut", "thread", "strip-a", "strands-a");
        assertThat(presses("make"))
                .anyMatch(press -> press.startsWith("/bench/label | ")
                        && press.contains("3 of 4 done")
                        && press.endsWith(", the run"))
                .anyMatch(press -> press.startsWith("/bench/gap-a | ") && press.endsWith("2 of 3 done, A end, strip"))
                .anyMatch(press -> press.startsWith("/bench/trial-fit-a | ")
                        && press.endsWith("next: Trial fit, A end, lug | current"))
                .anyMatch(press -> press.startsWith("/bench/crimp-b | ")
                        && press.endsWith(", B end, crimp")
                        && !press.contains("done"))
                .filteredOn(press -> press.endsWith("current"))
                .hasSize(1);
    }

    @Test
    void aReadingStandsWhereItWasTaken() {
        assertThat(body(get("/cables/" + cable.id() + "/prove")))
                .contains("nothing is proven")
                .doesNotContain("v-PASS");
        assertThat(presses("prove"))
                .anyMatch(
                        press -> press.startsWith("/bench/torque-a | ") && press.endsWith("not read yet, A end, stud"))
                .noneMatch(press -> press.contains("A end, sleeve") && press.contains("not read"));
        done("check");
        read("cut", Map.of("CUT_LENGTH", "2674"));
        done("thread");
        read("strip-a", Map.of("STRIP_LENGTH", "29"));
        read("strands-a", Map.of("STRANDS_LOST", "0", "TOTAL", "380"));
        done("trial-fit-a", "clock-a", "crimp-a");
        read("measure-a", Map.of("ACROSS_FLATS_1", "13", "ACROSS_FLATS_2", "11.9"));
        List<Reading> readings = make.of(cable.id()).inForce();
        String thick = "#reading-"
                + readings.stream()
                        .filter(reading -> reading.figure() == 13)
                        .findFirst()
                        .orElseThrow()
                        .id();
        assertThat(presses("prove"))
                .anyMatch(press -> press.startsWith(thick + " | ")
                        && press.endsWith("Across flats, first 13.0 mm, A end, crimp, Stop"))
                .anyMatch(press -> press.endsWith("29.0 mm, Strands lost 0 of 380, A end, strip"))
                .anyMatch(press -> press.startsWith("/bench/strip-b | ") && press.endsWith(", B end, strip"));
        assertThat(presses("make"))
                .anyMatch(press ->
                        press.startsWith("/bench/measure-a | ") && press.endsWith("A end, crimp, Stop | current"));
        String page = body(get("/cables/" + cable.id() + "/prove"));
        assertThat(readings).allSatisfy(reading -> assertThat(page).contains("id=\"reading-" + reading.id() + "\""));
        read("measure-a/redo", Map.of());
        assertThat(body(get("/cables/" + cable.id() + "/prove")))
                .contains("4 replaced readings", "of 30 steps done")
                .doesNotContain("href=\"" + thick + "\"");
    }

    @Test
    void theSheetShowsWhatIsPlanned() {
        assertThat(presses("pack"))
                .anyMatch(press -> press.startsWith("/match?at=A.crimp | ") && press.endsWith("A end, crimp"))
                .anyMatch(press -> press.startsWith("/plan | 50 mm², 2.40 m") && press.endsWith(", the run, Open"))
                .noneMatch(press -> press.endsWith("current"));
    }
}
