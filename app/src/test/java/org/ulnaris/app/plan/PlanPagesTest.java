package org.ulnaris.app.plan;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.persistence.EntityManagerFactory;
import java.util.HashMap;
import java.util.Map;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.sizing.SizeChoice;

class PlanPagesTest extends AppTest {
    @Autowired
    private EntityManagerFactory factory;

    @Test
    void anEmptyJobTeaches() {
        assertThat(body(get("/jobs/" + newJob(Units.METRIC).id() + "/plan"))).contains("No cables yet", "value=\"C1\"");
    }

    @Test
    void aCableIsSizedFromCurrentAndLength() {
        Job job = newJob(Units.US);
        var result = post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", "INV+", "from", "fuse", "to", "inverter", "current", "180", "length", "7 ft 10 1/2 in"));
        assertThat(result).hasStatus(302);
        String page = body(get(result.getResponse().getRedirectedUrl()));
        assertThat(page)
                .contains(
                        "1 AWG: the terminal decides. The next smaller, 2 AWG: conductor at 185 °F; unmarked terminals are assumed good for 167 °F",
                        "value=\"7.875 ft\"");
    }

    @Test
    void theExampleOfTheInterfaceGivesTwoGaugeAsTheTablesAreRead() {
        Job job = newJob(Units.METRIC);
        post("/jobs/" + job.id() + "/rules", Map.of("margin", "0 %", "clean", "false", "terminal", "105 °C"));
        Cable cable = newCable(job, Map.of("series", "AWG", "strands", "TINNED"));
        SizeChoice sizing = worked(cable).size();
        assertThat(sizing.inUse().size().designation()).isEqualTo("2 AWG");
    }

    /** 24 V, 180 A over 40 m: no metric size keeps within 3 %. Nobody said 3 %, so it is asked; typed, it stops. */
    @Test
    void aDropThatNobodyTypedAsksAndATypedOneStops() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("length", "40 m"));
        String plan = "/cables/" + cable.id() + "/plan";
        assertThat(body(get(plan)))
                .contains("3.00\u00a0% is usual: say what is allowed", "placeholder=\"3 %\"", "240\u00a0mm²")
                .doesNotContain("No size passes");
        assertThat(body(postHtmx(plan, Map.of("drop", "3 %"))))
                .contains("No size of this series passes", "only 3.00\u00a0% allowed");
        assertThat(body(postHtmx(plan, Map.of("drop", "")))).contains("3.00\u00a0% is usual: say what is allowed");
        assertThat(body(postHtmx(plan, Map.of("drop", "9 %")))).doesNotContain("say what is allowed");
    }

    /** Without a current every size would pass at 0 %: a person could believe it. */
    @Test
    void noSizePassesWhileNoCurrentIsKnown() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        cables.change(cable.id(), cable.details().byLoads());
        String page = body(get("/cables/" + cable.id() + "/plan"));
        String ladder = page.substring(page.indexOf("<tbody>"), page.indexOf("</tbody>"));
        assertThat(ladder)
                .contains("v-OPEN", "—")
                .doesNotContain("v-PASS", "0%", "proposed", "by hand", "in-use", "aria-pressed=\"true\"");
        assertThat(page).contains("no current yet: no size and no verdict");
    }

    @Test
    void recalculatesAsAFragmentAndKeepsTheChange() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        var result = postHtmx("/cables/" + cable.id() + "/plan", Map.of("current", "90 A"));
        assertThat(result).hasStatusOk();
        assertThat(body(result))
                .startsWith("<div id=\"result\"")
                .contains("data-for=\"f-began\"")
                .doesNotContain("<html");
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(90);
        assertThat(result).headers().hasValue("Vary", "HX-Request");
        assertThat(get("/cables/" + cable.id() + "/plan")).headers().hasValue("Vary", "HX-Request");
    }

    @Test
    void aBadEntryLosesNothingElse() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        var result = postHtmx("/cables/" + cable.id() + "/plan", Map.of("current", "lots", "length", "3,5"));
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("data-field=\"current\"", "Write it like 180 A");
        assertThat(cables.get(cable.id()).details().lengthM()).isEqualTo(3.5);
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(180);
    }

    @Test
    void withoutScriptsTheFormKeepsWhatWasTyped() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        Map<String, String> typed =
                new HashMap<>(CableReader.texts(cable.details(), new org.ulnaris.app.shell.Fmt(Units.METRIC)));
        typed.put("began", began("/cables/" + cable.id() + "/plan"));
        typed.put("ambient", "hot");
        var result = post("/cables/" + cable.id() + "/plan", typed);
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("value=\"hot\"", "Write it like 30 °C or 86 °F", "<html");
        typed.put("ambient", "40");
        assertThat(post("/cables/" + cable.id() + "/plan", typed)).hasStatus(302);
        assertThat(cables.get(cable.id()).details().ambientC()).isEqualTo(40);
    }

    @Test
    void theSecondOfTwoPeopleIsToldAndChooses() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        String plan = "/cables/" + cable.id() + "/plan";
        String began = began(plan);
        assertThat(postHtmx(plan, Map.of("began", began, "current", "200 A"))).hasStatusOk();
        var second = postHtmx(plan, Map.of("began", began, "current", "150 A", "length", "3 m"));
        assertThat(second).hasStatus(409);
        assertThat(body(second))
                .contains("Someone else changed this", "value=\"200 A\"", "value=\"150 A\"")
                .contains("name=\"length\" value=\"3 m\"", "what else you changed", ">3 m</b>")
                .doesNotContain("data-for=\"f-began\"");
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(200);
        assertThat(post(plan, Map.of("began", began(plan), "current", "150 A", "length", "3 m")))
                .hasStatus(302);
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(150);
    }

    /** Who changes what the other left wins, and sees what the other changed. */
    @Test
    void twoPeopleOnTwoFieldsBothWin() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        String plan = "/cables/" + cable.id() + "/plan";
        Map<String, String> first =
                new HashMap<>(CableReader.texts(cable.details(), new org.ulnaris.app.shell.Fmt(Units.METRIC)));
        first.put("began", began(plan));
        Map<String, String> second = new HashMap<>(first);
        first.put("current", "200 A");
        second.put("length", "3 m");
        second.put("conduit", "true");
        assertThat(postHtmx(plan, first)).hasStatusOk();
        var late = postHtmx(plan, second);
        assertThat(late).hasStatusOk();
        assertThat(body(late))
                .contains("class=\"their-value\" hidden data-field=\"current\" data-was=\"180 A\">200 A<");
        CableDetails both = cables.get(cable.id()).details();
        assertThat(both.currentA()).isEqualTo(200);
        assertThat(both.lengthM()).isEqualTo(3);
        assertThat(both.conduit()).isTrue();
    }

    @Test
    void anotherSizeIsTakenWithHonestVerdicts() {
        Cable cable = newCable(newJob(Units.US), Map.of());
        var result = postHtmx("/cables/" + cable.id() + "/plan", Map.of("size", "8"));
        assertThat(body(result)).contains("by hand", "is more than the");
        assertThat(cables.get(cable.id()).details().chosenSize()).isEqualTo("8 AWG");
        var unknown = postHtmx("/cables/" + cable.id() + "/plan", Map.of("size", "7/0"));
        assertThat(body(unknown)).contains("No such size");
    }

    @Test
    void theTrapIsNamed() {
        Job job = newJob(Units.US);
        Cable cable = newCable(job, Map.of("current", "200", "length", "1 ft", "drop", "1"));
        assertThat(body(get("/cables/" + cable.id() + "/plan"))).contains("A drop chart alone would say");
    }

    @Test
    void nothingFitsSaysWhy() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("current", "3000"));
        assertThat(body(get("/cables/" + cable.id() + "/plan"))).contains("No size of this series passes");
    }

    @Test
    void markupInATagShowsAsText() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("tag", "<script>", "from", "<b>x</b>"));
        assertThat(body(get("/cables/" + cable.id() + "/plan")))
                .contains("&lt;script&gt;", "&lt;b&gt;x&lt;/b&gt;")
                .doesNotContain("<script>", "<b>x</b>");
    }

    @Test
    void tagsAreUniqueInAJob() {
        Job job = newJob(Units.METRIC);
        newCable(job, Map.of("tag", "A1"));
        var result = post("/jobs/" + job.id() + "/cables", Map.of("tag", "a1", "current", "5", "length", "1"));
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("Already in use");
    }

    @Test
    void deletesAndRestoresUnderAFreeTag() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("tag", "A1"));
        String place = post("/cables/" + cable.id() + "/delete", Map.of())
                .getResponse()
                .getRedirectedUrl();
        assertThat(body(get(place))).contains("The cable is deleted");
        newCable(job, Map.of("tag", "A1"));
        assertThat(post("/cables/" + cable.id() + "/restore", Map.of())).hasStatus(302);
        assertThat(cables.get(cable.id()).details().tag()).isEqualTo("A1-2");
    }

    @Test
    void aListOfSixtyCablesTakesAFewStatements() {
        Job job = newJob(Units.METRIC);
        for (int i = 0; i < 60; i++) {
            newCable(job, Map.of());
        }
        Statistics statistics = factory.unwrap(SessionFactory.class).getStatistics();
        for (String place : new String[] {"plan", "match", "make", "prove"}) {
            statistics.clear();
            assertThat(get("/jobs/" + job.id() + "/" + place)).hasStatusOk();
            assertThat(statistics.getPrepareStatementCount()).as(place).isLessThanOrEqualTo(14);
        }
    }

    /** Thin sizes are offered by name below the ladder; chosen, one stands in it and says that the tables have no figure. */
    @Test
    void thinSizesAreChosenByName() {
        Cable cable = newCable(newJob(Units.US), Map.of("current", "0.5 A", "length", "2 m"));
        String path = "/cables/" + cable.id() + "/plan";
        assertThat(body(get(path))).contains("For signals", "value=\"22 AWG\"").doesNotContain("id=\"rung-22AWG\"");
        postHtmx(path, Map.of("size", "22 AWG"));
        assertThat(cables.get(cable.id()).details().chosenSize()).isEqualTo("22 AWG");
        assertThat(body(get(path))).contains("id=\"rung-22AWG\"");
        assertThat(get("/cables/" + cable.id() + "/match")).hasStatusOk();
        assertThat(get("/cables/" + cable.id() + "/make")).hasStatusOk();
        assertThat(get("/cables/" + cable.id() + "/pack")).hasStatusOk();
        assertThat(get("/cables/" + cable.id() + "/bench/pull-a")).hasStatusOk();
    }
}
