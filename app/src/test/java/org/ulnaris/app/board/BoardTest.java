package org.ulnaris.app.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.Side;

class BoardTest extends AppTest {
    @Autowired
    private BoardService board;

    @Autowired
    private LoadsService loads;

    @Autowired
    private MatchService match;

    private Job demo(String name) {
        return jobs.all().stream()
                .filter(job -> job.details().name().equals(name))
                .reduce((first, second) -> second)
                .orElseThrow();
    }

    /** Each made-up job has one deliberate fault, in one place. */
    @ParameterizedTest
    @CsvSource({
        "Lantern Cart,LAMP+,LAMP+,FUSE_AMPACITY",
        "Sandpiper,HMAIN,HOUSE+,FUSE_POSITION",
        "Frostline,HEATF,HEATF,FUSE_VOLTAGE"
    })
    void eachDemoJobShowsItsFault(String name, String subject, String cable, FindingCode code) {
        Job job = demo(name);
        BoardService.Board found = board.of(job);
        assertThat(found.open())
                .filteredOn(entry -> entry.finding().verdict() == Verdict.STOP)
                .isNotEmpty()
                .allSatisfy(entry -> assertThat(entry.said().subject()).isIn(subject, cable))
                .extracting(entry -> entry.finding().code())
                .contains(code);
        assertThat(found.verdict()).isEqualTo(Verdict.STOP);
        assertThat(found.passed()).isGreaterThan(100);
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("Stops", subject);
    }

    @Test
    void everyLinkLeadsSomewhere() {
        for (String name : new String[] {"Lantern Cart", "Sandpiper", "Frostline"}) {
            for (BoardService.Entry entry : board.of(demo(name)).open()) {
                assertThat(get(entry.link().replaceAll("#.*", "")))
                        .as(entry.link())
                        .hasStatusOk();
            }
        }
    }

    /** Of several batteries the one that feeds the fuse is asked about. */
    @Test
    void theBatteryThatFeedsTheFuseIsAskedAbout() {
        Job job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "START"));
        long house = loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "HOUSE", "capacity", "1000 Ah"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "MAIN", "family", "CLASS_T", "rating", "200 A"));
        long lamp = loads.add(job.id(), EquipmentKind.ELECTRONICS, Map.of("tag", "LAMP", "current", "100 A"));
        for (String ends : List.of("HOUSE.plus MAIN.in", "MAIN.out LAMP.plus", "LAMP.minus HOUSE.minus")) {
            newCable(job, Map.of("from", ends.split(" ")[0], "to", ends.split(" ")[1], "current", "", "length", "1 m"));
        }
        loads.changeCase(loads.addCase(job.id(), "night", 1), "night", 1, Map.of(lamp, State.ON));
        assertThat(board.of(job).open())
                .filteredOn(entry -> entry.finding().code() == FindingCode.FUSE_INTERRUPTING)
                .extracting(BoardService.Entry::link)
                .containsExactly("/equipment/" + house + "#f-ohm");
    }

    /** A bank, its fuse and a cable, and nothing that draws: what is missing is a load, and what it makes flow. */
    @Test
    void whatNoCaseWorksOutIsMendedAtTheLoads() {
        Job job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK"));
        loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "MAIN", "family", "CLASS_T", "rating", "100 A"));
        Cable cable = newCable(job, Map.of("from", "BANK.plus", "to", "MAIN.in"));
        cables.change(cable.id(), cable.details().byLoads());
        List<BoardService.Entry> open = board.of(job).open();
        assertThat(open)
                .extracting(entry -> entry.finding().code())
                .containsExactly(FindingCode.NO_CURRENT, FindingCode.FUSE_UNKNOWN);
        assertThat(open.get(1).link()).isEqualTo("/jobs/" + job.id() + "/loads");
        assertThat(body(get("/jobs/" + job.id() + "/findings")))
                .contains("say what runs")
                .doesNotContain("no source of the job");
    }

    @Test
    void aJobWithoutCablesHasNothingToSay() {
        Job job = newJob(Units.METRIC);
        assertThat(board.of(job).open()).isEmpty();
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("Nothing in the way");
    }

    @Test
    void jointsAndBendsAreOnTheBoardAndLeadToTheirField() {
        Job job = newJob(Units.METRIC);
        Cable cable = newCable(job, Map.of("joints", "2", "length", "0.5 m + 1.2 m", "bend", "20 mm"));
        assertThat(cable.details().lengthM()).isLessThan(1.7).isGreaterThan(1.69);
        assertThat(board.of(job).open())
                .filteredOn(entry -> entry.finding().verdict() == Verdict.STOP)
                .extracting(BoardService.Entry::link)
                .contains("/cables/" + cable.id() + "/plan#f-joints", "/cables/" + cable.id() + "/plan#f-bend");
        assertThat(body(get("/cables/" + cable.id() + "/plan")))
                .contains("a fault in itself", "radius is too tight", "value=\"0.5 m + 1.2 m\"");
    }

    /** Three lugs on a stud of a shunt: the order, the stud that they need together, and a finding when it is too short. */
    @Test
    void lugsThatMeetOnAStudAreStacked() {
        Job job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.SHUNT, Map.of("tag", "SHUNT", "stud", "M10", "studLength", "15 mm"));
        for (String tag : List.of("S1", "S2", "S3")) {
            newCable(
                    job,
                    Map.of(
                            "tag",
                            tag,
                            "from",
                            "SHUNT.in",
                            "series",
                            "METRIC",
                            "size",
                            tag.equals("S2") ? "95 mm²" : "25 mm²"));
        }
        assertThat(board.of(job).open())
                .filteredOn(entry -> entry.finding().code() == FindingCode.SHARED_STUD)
                .singleElement()
                .satisfies(entry -> {
                    assertThat(entry.finding().verdict()).isEqualTo(Verdict.STOP);
                    assertThat(entry.said().subject()).isEqualTo("SHUNT.in");
                });
        Cable first = cables.of(job.id()).get(0);
        assertThat(body(get("/cables/" + first.id() + "/match")))
                .contains("Stud for all lugs", "from the surface up: S2 A, S1 A, S3 A");
    }

    @Test
    void theTerminalGivesTheEndItsStud() {
        Job job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "stud", "M10", "torque", "20 Nm", "lugs", "1"));
        loads.add(job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", "2 kW"));
        loads.changeCase(loads.addCase(job.id(), "on", 1), "on", 1, Map.of());
        for (String tag : new String[] {"A+", "B+"}) {
            post(
                    "/jobs/" + job.id() + "/cables",
                    Map.of("tag", tag, "from", "BANK.plus", "to", "INV.plus", "current", "90 A", "length", "1 m"));
        }
        Cable first = cables.of(job.id()).get(0);
        assertThat(match.end(first, Side.A).details().stud()).isEqualTo("M10");
        assertThat(match.end(first, Side.A).details().torqueNm()).isEqualTo(20.0);
        assertThat(match.end(first, Side.B).details()).isEqualTo(EndDetails.FRESH);
        assertThat(board.of(job).open())
                .extracting(entry -> entry.finding().code())
                .contains(FindingCode.TERMINAL_LUGS);
    }

    @Test
    void statesOfOneJobDoNotReachAnother() {
        Job job = newJob(Units.METRIC);
        long foreign = loads.idOf(demo("Sandpiper").id(), "CAP").orElseThrow();
        loads.changeCase(loads.addCase(job.id(), "x", 1), "x", 1, Map.of(foreign, State.ON));
        assertThat(loads.caseFiles(job.id()))
                .allSatisfy(file -> assertThat(file.states()).isEmpty());
    }

    /** What mends several findings by one press is offered once, whatever their verdicts. */
    @Test
    void aPressIsOfferedOnce() {
        int offered = 0;
        for (Job job : jobs.all()) {
            String page = body(get("/jobs/" + job.id() + "/findings"));
            List<String> labels = Pattern.compile("name=\"finding\"[^>]*>([^<]*)<")
                    .matcher(page)
                    .results()
                    .map(found -> found.group(1))
                    .toList();
            assertThat(labels).as(job.details().name()).doesNotHaveDuplicates();
            offered += labels.size();
        }
        assertThat(offered).isPositive();
    }
}
