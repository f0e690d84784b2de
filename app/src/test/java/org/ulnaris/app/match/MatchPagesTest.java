package org.ulnaris.app.match;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.making.Side;

class MatchPagesTest extends AppTest {
    @Autowired
    private MatchService match;

    @Autowired
    private LugStock stock;

    @Test
    void proposesLugDieSleeveAndHardware() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        String page = body(get("/cables/" + cable.id() + "/match"));
        assertThat(page)
                .contains("DIN 50 · M8", "K14", "before and after, compaction", "flat washer", "lbf·in", "Heat-shrink");
    }

    @Test
    void makersTorqueIsKeptAndShownInAllUnits() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        var result = postHtmx(
                "/cables/" + cable.id() + "/match/A",
                Map.of("stud", "M8", "torque", "124 in-lb", "torqueMin", "12 Nm", "torqueMax", "15 Nm"));
        assertThat(result).hasStatusOk();
        assertThat(body(result)).contains("14.0\u00a0N·m", "124\u00a0lbf·in · 10.3\u00a0lbf·ft");
        assertThat(match.end(cable, Side.A).details().torqueNm()).isBetween(14.0, 14.02);
        assertThat(match.end(cable, Side.B).details()).isEqualTo(EndDetails.FRESH);
    }

    @Test
    void aRangeThatContradictsIsRefusedAndTheRestKept() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        var result = postHtmx(
                "/cables/" + cable.id() + "/match/B", Map.of("stud", "M10", "torque", "10", "torqueMin", "12"));
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("Must be at most the nominal torque", "value=\"12\"");
        assertThat(match.end(cable, Side.B).details().stud()).isEqualTo("M10");
        assertThat(match.end(cable, Side.B).details().torqueMinNm()).isNull();
    }

    /** While no maker has spoken the table of the other series is shown too. */
    @Test
    void bothTablesOfNearTwinsAreShown() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        String page = body(postHtmx("/cables/" + cable.id() + "/match/A", Map.of("stud", "M8")));
        assertThat(page).contains("UL 486A-486B connecting hardware", "14.9\u00a0N·m for the near twin 5/16");
        String spoken = body(postHtmx("/cables/" + cable.id() + "/match/A", Map.of("stud", "M8", "torque", "8 Nm")));
        assertThat(spoken.split("near twin")).hasSizeLessThan(page.split("near twin").length);
    }

    @Test
    void studsAreKnownByName() {
        Cable cable = newCable(newJob(Units.US), Map.of());
        assertThat(postHtmx("/cables/" + cable.id() + "/match/A", Map.of("stud", "3/8 in")))
                .hasStatusOk();
        var unknown = postHtmx("/cables/" + cable.id() + "/match/A", Map.of("stud", "M7"));
        assertThat(body(unknown)).contains("verdict");
        assertThat(match.end(cable, Side.A).details().stud()).isEqualTo("3/8");
    }

    @Test
    void aLugFromCaliperReadingsCanBeChosen() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm2"));
        String back = "/cables/" + cable.id() + "/match";
        var added = post(
                "/stock/lugs",
                Map.of(
                        "code",
                        "grey tray " + cable.id(),
                        "outer",
                        "14,5",
                        "bore",
                        "10 mm",
                        "depth",
                        "1.1 in",
                        "padWidth",
                        "22",
                        "hole",
                        "8.4",
                        "back",
                        back));
        assertThat(added.getResponse().getRedirectedUrl()).isEqualTo(back);
        assertThat(postHtmx(
                        "/cables/" + cable.id() + "/match/A", Map.of("stud", "M8", "lug", "grey tray " + cable.id())))
                .hasStatusOk();
        assertThat(body(get(back))).contains("grey tray " + cable.id());
        assertThat(stock.coded("grey tray " + cable.id()).orElseThrow().pad().stud())
                .isEqualTo("M8");
    }

    @Test
    void impossibleLugsAreRefusedWithAllFaults() {
        var result = post(
                "/stock/lugs",
                Map.of("code", "", "outer", "10", "bore", "ten", "depth", "-4", "padWidth", "20", "hole", "8"));
        assertThat(result).hasStatus(422);
        assertThat(body(result)).contains("Needs an entry", "Can’t be read", "Must be more than 0 mm", "value=\"ten\"");
        assertThat(body(post(
                        "/stock/lugs",
                        Map.of("code", "x", "outer", "10", "bore", "12", "depth", "4", "padWidth", "20", "hole", "8"))))
                .contains("smaller than the outside of the barrel");
    }

    @Test
    void theSecondOfTwoPeopleIsTold() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        String began = began("/cables/" + cable.id() + "/match");
        postHtmx("/cables/" + cable.id() + "/match/A", Map.of("began", began, "stud", "M10"));
        var second = postHtmx("/cables/" + cable.id() + "/match/A", Map.of("began", began, "stud", "M6"));
        assertThat(second).hasStatus(409);
        assertThat(body(second)).contains("Someone else changed this", "value=\"M10\"", "value=\"M6\"");
    }

    /** The tick that picks for both ends is as it was when two values are chosen from. */
    @Test
    void theTickOfBothEndsIsNotLostOverAConflict() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("size", "50 mm²"));
        String path = "/cables/" + cable.id() + "/match/A";
        String began = began("/cables/" + cable.id() + "/match");
        postHtmx(path, Map.of("began", began, "stud", "M10"));
        String ticked = "name=\"both\" value=\"on\"";
        String with = body(postHtmx(path, Map.of("began", began, "stud", "M6", "_both", "on", "both", "on")));
        assertThat(with).contains("<input type=\"hidden\" " + ticked);
        String without = body(postHtmx(path, Map.of("began", began, "stud", "M6", "_both", "on")));
        assertThat(without).contains("name=\"_both\" value=\"on\"").doesNotContain("hidden\" " + ticked);
    }
}
