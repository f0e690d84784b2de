package org.ulnaris.app.landing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.pack.SheetService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.StepKind;

class LandingTest extends AppTest {
    @Autowired
    private MakeService make;

    @Autowired
    private SheetService sheets;

    private Job job;

    @BeforeEach
    void aCircuit() {
        job = newJob(Units.METRIC);
        add("BANK", "BANK", "capacity", "200 Ah");
        add("FUSE", "MAIN", "rating", "200 A");
        add("INVERTER", "INV", "power", "2 kW");
        join("BANK.plus", "MAIN.in", "0.2 m");
        join("MAIN.out", "INV.plus", "1.5 m");
        join("BANK.minus", "INV.minus", "1.5 m");
    }

    private void add(String kind, String tag, String field, String value) {
        post("/jobs/" + job.id() + "/pieces", Map.of("kind", kind, "tag", tag, field, value));
    }

    private void join(String from, String to, String length) {
        post("/jobs/" + job.id() + "/joins", Map.of("from", from, "to", to, "length", length));
    }

    private Cable at(String point) {
        return cables.of(job.id()).stream()
                .filter(cable -> cable.details().fromPoint().equals(point)
                        || cable.details().toPoint().equals(point))
                .findFirst()
                .orElseThrow();
    }

    private Document page(String query) {
        return Jsoup.parse(body(get("/jobs/" + job.id() + "/landing" + query)));
    }

    private void made(Cable cable) {
        make.of(cable.id()).steps().stream()
                .filter(step -> step.kind().scope() != StepKind.Scope.LANDING)
                .forEach(step -> make.done(cable.id(), step));
    }

    private void landed(Cable cable, String side) {
        make.of(cable.id()).steps().stream()
                .filter(step -> step.kind().scope() == StepKind.Scope.LANDING
                        && step.key().endsWith(side))
                .forEach(step -> make.done(cable.id(), step));
    }

    @Test
    void fromTheInverterToTheMinusOfTheBattery() {
        Document page = page("");
        assertThat(page.select(".landing-part li").eachText())
                .extracting(text -> text.replaceAll(".* on ([A-Z]+\\.[a-z]+).*", "$1"))
                .containsExactly("INV.minus", "INV.plus", "MAIN.out", "MAIN.in", "BANK.plus", "BANK.minus");
        assertThat(page.select(".landing-dead").text()).contains("Out of its holder, or open: MAIN");
        assertThat(page.text()).contains("6 lugs, and no bare end is ever live", "0 of 6 landed");
        assertThat(page.select(".drawing.landing .number-text").eachText())
                .containsExactlyInAnyOrder("1", "2", "3", "4", "5", "6");
        assertThat(page("?off").select(".landing-part li").first().text()).contains("BANK.minus");
    }

    @Test
    void theBenchTellsThePlaceAndTheMinusCanGoFirst() {
        Cable minus = at("INV.minus");
        made(minus);
        assertThat(page("").select(".landing-order .btn").attr("href"))
                .isEqualTo("/cables/" + minus.id() + "/bench/land-b");
        String land = "/cables/" + minus.id() + "/bench/land-b";
        assertThat(body(get(land))).contains("Landing order: lug 1 of 6").doesNotContain("name=\"dead\"");
        assertThat(post(land, Map.of())).hasRedirectedUrl("/cables/" + minus.id() + "/bench/torque-b");
        landed(minus, "-b");
        assertThat(page("").text()).contains("1 of 6 landed");
        assertThat(page("").select(".landing-part li.landed")).hasSize(1);
    }

    @Test
    void aLiveLugAsksThatAllElseIsDead() {
        Cable minus = at("BANK.minus");
        made(minus);
        String land = "/cables/" + minus.id() + "/bench/land-a";
        assertThat(body(get(land)))
                .contains(
                        "lug 6 of 6",
                        "5 lugs come before it; next is 1",
                        "This lug is live",
                        "Out of its holder: MAIN");
        assertThat(post(land, Map.of())).hasStatus(422);
        assertThat(make.of(minus.id()).done()).doesNotContain("land-a");
        post(land, Map.of("dead", "yes"));
        assertThat(make.of(minus.id()).done()).contains("land-a");
    }

    @Test
    void theSheetHasThePlaces() {
        Cable minus = at("BANK.minus");
        assertThat(sheets.document(minus.id())).contains("lug 6 of 6", "lug 1 of 6");
    }

    @Test
    void aJobThatIsNotDrawnSaysSo() {
        Job bare = newJob(Units.METRIC);
        assertThat(body(get("/jobs/" + bare.id() + "/landing"))).contains("Nothing to land yet");
        Cable cable = newCable(bare, Map.of("size", "50 mm2"));
        assertThat(body(get("/jobs/" + bare.id() + "/landing"))).contains("its order is not known");
        List<BuildStep> steps = make.of(cable.id()).steps();
        assertThat(steps).isNotEmpty();
        assertThat(body(get("/cables/" + cable.id() + "/bench/land-a"))).doesNotContain("Landing order");
    }

    /** Panels are live in any light: whoever ticks that all else is dead reads their names. */
    @Test
    void theTickOfALiveLugNamesThePanels() {
        post(
                "/jobs/" + job.id() + "/equipment",
                Map.of(
                        "kind",
                        "PANELS",
                        "tag",
                        "SUNNY",
                        "openVolt",
                        "24 V",
                        "workVolt",
                        "20 V",
                        "shortCurrent",
                        "9 A",
                        "workCurrent",
                        "8 A"));
        post("/jobs/" + job.id() + "/equipment", Map.of("kind", "PANEL_INPUT", "tag", "MPPT", "highest", "60 V"));
        Cable minus = at("BANK.minus");
        made(minus);
        assertThat(body(get("/cables/" + minus.id() + "/bench/land-a")))
                .contains("This lug is live", "Out of its holder: MAIN", "Covered, or in the dark: SUNNY");
    }
}
