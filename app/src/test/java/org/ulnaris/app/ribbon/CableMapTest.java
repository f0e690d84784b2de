package org.ulnaris.app.ribbon;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.Mark;
import org.ulnaris.app.drawing.RibbonMap;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.Ribbons;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;

/** The cable that is its own navigation. */
class CableMapTest extends AppTest {
    @Autowired
    private Ribbons ribbons;

    @Autowired
    private MatchService match;

    @Autowired
    private Words words;

    private RibbonMap.Told told(Cable cable, EndSpot spot) {
        Job job = jobs.get(cable.jobId());
        WorkedCable worked = worked(cable);
        PlanTelling telling = PlanTelling.pressed(cable.id(), worked, job.fmt(), words, spot);
        return new CableMap(
                        worked, job.fmt(), words, telling, job.details().rules().bendDiameters())
                .told();
    }

    private List<Drawing> drawings(Cable cable) {
        RibbonMap map = new RibbonMap(ribbons.drawer(jobs.get(cable.jobId()), worked(cable), false));
        RibbonMap.Told told = told(cable, new EndSpot(Side.A, null));
        return List.of(map.across(told), map.upright(told));
    }

    private List<Cable> demo() {
        List<Cable> all = new ArrayList<>();
        for (String name : List.of("Lantern Cart", "Sandpiper", "Frostline")) {
            jobs.all().stream()
                    .filter(job -> job.details().name().equals(name))
                    .forEach(job -> all.addAll(cables.of(job.id())));
        }
        assertThat(all).hasSizeGreaterThan(45);
        return all;
    }

    /** Half of a letter's width times the letters: no face is narrower on the whole. */
    private static double halfWidth(Mark mark) {
        return mark.text().length() * 14.5 * 0.40 / 2;
    }

    /** Words on one line stand apart, and all of them on the sheet. */
    private static void isReadable(Drawing drawing, String about) {
        Map<Long, List<Mark>> lines = new HashMap<>();
        for (Mark mark : drawing.marks()) {
            if (mark.isText()) {
                assertThat(mark.x() - halfWidth(mark))
                        .as(about + " " + mark.text())
                        .isGreaterThanOrEqualTo(0);
                assertThat(mark.x() + halfWidth(mark))
                        .as(about + " " + mark.text())
                        .isLessThanOrEqualTo(drawing.widthMm());
                assertThat(mark.y()).as(about + " " + mark.text()).isBetween(0.0, drawing.heightMm());
                lines.computeIfAbsent(Math.round(mark.y()), y -> new ArrayList<>())
                        .add(mark);
            }
        }
        for (List<Mark> line : lines.values()) {
            line.sort(java.util.Comparator.comparing(Mark::x));
            for (int i = 1; i < line.size(); i++) {
                Mark left = line.get(i - 1);
                Mark right = line.get(i);
                assertThat(left.x() + halfWidth(left))
                        .as(about + ": " + left.text() + " | " + right.text())
                        .isLessThan(right.x() - halfWidth(right));
            }
        }
    }

    @Test
    void everyCableOfTheDemoIsReadable() {
        for (Cable cable : demo()) {
            drawings(cable)
                    .forEach(drawing -> isReadable(drawing, cable.details().tag()));
        }
    }

    @ParameterizedTest
    @EnumSource(Family.class)
    void aCableWithEachFamilyIsReadable(Family family) {
        for (String size : List.of("1.5 mm²", "6 mm²", "16 mm²", "120 mm²")) {
            Cable cable = newCable(
                    newJob(Units.METRIC),
                    Map.of("series", "METRIC", "size", size, "from", "DISTRIBUTION-PANEL", "to", "PORT-SIDE-WINDLASS"));
            post("/cables/" + cable.id() + "/match/A", Map.of("family", family.name()));
            drawings(cable).forEach(drawing -> isReadable(drawing, size + " " + family));
        }
    }

    /** A lug of the shop may have a name of sixty letters, a terminal of forty. */
    @Test
    void longNamesAreCut() {
        String code = "CALIPER FIND FROM THE GREY TRAY BELOW THE WINDOW SECOND ROW";
        post(
                "/stock/lugs",
                Map.of("code", code, "outer", "14.5", "bore", "10", "depth", "28", "padWidth", "22", "hole", "8.4"));
        Cable cable = newCable(
                newJob(Units.METRIC),
                Map.of(
                        "series",
                        "METRIC",
                        "size",
                        "50 mm²",
                        "from",
                        "WWWWWWWW-WWWWWWWW-WWWWWWWW",
                        "to",
                        "M".repeat(24)));
        post("/cables/" + cable.id() + "/match/A", Map.of("lug", code));
        assertThat(match.end(cable, Side.A).details().lugCode()).isEqualTo(code);
        drawings(cable).forEach(drawing -> isReadable(drawing, "long names"));
        post("/cables/" + cable.id() + "/match/B", Map.of("lug", code));
        drawings(cable).forEach(drawing -> isReadable(drawing, "long names at both ends"));
        post("/stock/lugs/remove", Map.of("code", code));
    }

    /** What a place shows is what the one truth says of it: nothing that asks is left out, nothing is added. */
    @Test
    void everyFindingStandsAtItsPlace() {
        for (Cable cable : demo()) {
            WorkedCable worked = worked(cable);
            RibbonMap.Told told = told(cable, new EndSpot(Side.A, null));
            for (Side side : Side.values()) {
                RibbonMap.End end = side == Side.A ? told.a() : told.b();
                assertThat(end.name().verdict()).isEqualTo(worked.verdict(side));
                for (EndPart part : EndPart.values()) {
                    Verdict said = worked.at(side, part).stream()
                            .map(JobFinding::verdict)
                            .reduce(Verdict.PASS, Verdict::and);
                    RibbonMap.Label label = end.places().get(part);
                    assertThat(label == null ? Verdict.PASS : label.verdict())
                            .as(cable.details().tag() + " " + side + " " + part)
                            .isEqualTo(said.asks() ? said : Verdict.PASS);
                }
            }
        }
    }

    @Test
    void whatIsAlikeIsSaidOnce() {
        Cable alike = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        assertThat(told(alike, new EndSpot(Side.A, null)).b().places()).containsOnlyKeys(EndPart.STUD);
        post("/cables/" + alike.id() + "/match/B", Map.of("stud", "M10"));
        RibbonMap.End b = told(alike, new EndSpot(Side.A, null)).b();
        assertThat(b.places()).containsOnlyKeys(EndPart.STUD, EndPart.LUG);
        assertThat(b.same()).isEqualTo("die, strip and sleeve as at A");
        post("/cables/" + alike.id() + "/match/B", Map.of("family", "SMALL"));
        assertThat(told(alike, new EndSpot(Side.A, null)).b().same()).isEmpty();
    }

    @Test
    void thePressedPlaceStandsOpen() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        String page = body(get("/cables/" + cable.id() + "/match?at=B.stud"));
        assertThat(page).contains("id=\"end-B\"", "only-STUD", "aria-current=\"true\"");
        assertThat(page).doesNotContain("id=\"end-A\"");
        Matcher links =
                Pattern.compile("href=\"(/cables/\\d+/match\\?at=[^\"]+)\"").matcher(page);
        int count = 0;
        while (links.find()) {
            assertThat(get(links.group(1))).hasStatusOk();
            count++;
        }
        assertThat(count).isGreaterThan(10);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "C", "a", "A.", "A.nothing", "B.STRIP.more", "<b>", "\u0130.stud", "null"})
    void anOddPlaceIsNoFault(String at) {
        Cable cable = newCable(newJob(Units.METRIC), Map.of());
        assertThat(mvc.get().uri("/cables/{id}/match?at={at}", cable.id(), at)).hasStatusOk();
    }

    /** Nobody has pressed anything: the end that asks for most stands open. */
    @Test
    void theWorseEndStandsOpenByItself() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("id=\"end-A\"");
        post("/cables/" + cable.id() + "/match/B", Map.of("studLength", "5 mm"));
        assertThat(body(get("/cables/" + cable.id() + "/match"))).contains("id=\"end-B\"", "unpressed");
    }

    @Test
    void aLugIsPickedForBothEndsThatAreAlike() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        post("/cables/" + cable.id() + "/match/A", Map.of("lug", "KU 50 narrow · M8", "both", "on"));
        assertThat(match.end(cable, Side.B).details().lugCode()).isEqualTo("KU 50 narrow · M8");
        post("/cables/" + cable.id() + "/match/A", Map.of("torque", "9 N·m", "both", "on"));
        assertThat(match.end(cable, Side.A).details().torqueNm()).isEqualTo(9);
        assertThat(match.end(cable, Side.B).details().torqueNm()).isNull();
        post("/cables/" + cable.id() + "/match/A", Map.of("family", "SMALL", "both", "on"));
        assertThat(match.end(cable, Side.B).details().contact())
                .as("another kind of end is this end's alone")
                .isNull();
        post("/cables/" + cable.id() + "/match/A", Map.of("family", "TUBE_LUG"));
        post("/cables/" + cable.id() + "/match/A", Map.of("lug", ""));
        assertThat(match.end(cable, Side.A).details().lugCode()).isNull();
        assertThat(match.end(cable, Side.B).details().lugCode()).isEqualTo("KU 50 narrow · M8");
        post("/cables/" + cable.id() + "/match/B", Map.of("lug", "DIN 50 · M10", "both", "on"));
        assertThat(match.end(cable, Side.A).details().lugCode())
                .as("ends that are not alike are not changed together")
                .isNull();
    }

    /** A key is what stands at one place: the counterpart of the other end is another plug, and not known. */
    @Test
    void aKeyStaysAtItsEnd() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "6 mm²", "current", "20 A"));
        for (String side : List.of("A", "B")) {
            post("/cables/" + cable.id() + "/match/" + side, Map.of("family", "PV"));
        }
        assertThat(worked(cable).plan().sameEnds()).isTrue();
        post("/cables/" + cable.id() + "/match/A", Map.of("ownKey", "north", "mateKey", "north", "both", "on"));
        assertThat(match.end(cable, Side.A).details().contact().mateKey()).isEqualTo("north");
        assertThat(match.end(cable, Side.B).details().contact().mateKey()).isNull();
        assertThat(match.end(cable, Side.B).details().contact().ownKey()).isNull();
        post("/cables/" + cable.id() + "/match/A/spread", Map.of());
        assertThat(match.end(cable, Side.B).details().contact().mateKey()).isNull();
    }

    /** A splice has no mating face. */
    @Test
    void aSpliceEndsAtTheOtherCable() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        post("/cables/" + cable.id() + "/match/A", Map.of("family", "HEAVY_SPLICE"));
        RibbonMap.End a = told(cable, new EndSpot(Side.A, null)).a();
        assertThat(a.places().get(EndPart.STUD).first()).isEqualTo("the other cable");
    }

    /** Who can't see a mark is told the verdict by its name, at the run and the ends too. */
    @Test
    void theVerdictIsSaid() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "6 mm²"));
        RibbonMap.Told told = told(cable, new EndSpot(Side.A, null));
        assertThat(told.run().label().verdict().asks()).isTrue();
        assertThat(told.run().label().link().says())
                .contains(words.name(told.run().label().verdict()));
        assertThat(told.a().name().link().says()).startsWith("A end");
    }

    @Test
    void anotherLugSaysInWhatItDiffers() {
        Cable cable = newCable(newJob(Units.METRIC), Map.of("series", "METRIC", "size", "50 mm²"));
        assertThat(body(get("/cables/" + cable.id() + "/match")))
                .contains("narrower, narrow tongue", "bore filled 0.60, not 0.64");
    }
}
