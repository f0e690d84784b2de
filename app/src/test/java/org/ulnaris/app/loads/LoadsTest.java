package org.ulnaris.app.loads;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.installation.OperatingCase.State;

class LoadsTest extends AppTest {
    @Autowired
    private LoadsService loads;

    private Job job;
    private long inverter;
    private long show;

    @BeforeEach
    void aBankAnInverterACase() {
        job = newJob(Units.METRIC);
        loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "inParallel", "2"));
        inverter = loads.add(
                job.id(),
                EquipmentKind.INVERTER,
                Map.of("tag", "INV", "power", "3 kW", "lowest", "22 V", "surgePower", "6000", "surgeTime", "2"));
        show = loads.addCase(job.id(), "Show", 2);
    }

    private long connect(String tag, String from, String to) {
        var made = post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", tag, "from", from, "to", to, "current", "", "length", "1.6 m"));
        assertThat(made).hasStatus(302);
        return Long.parseLong(made.getResponse().getRedirectedUrl().replaceAll("\\D", ""));
    }

    private Cable wired() {
        long plus = connect("INV+", "BANK.plus", "INV.plus");
        connect("INV-", "INV.minus", "BANK.minus");
        return cables.get(plus);
    }

    @Test
    void theCurrentFollowsTheLoads() {
        Cable idle = wired();
        assertThat(idle.details().currentFromLoads()).isTrue();
        assertThat(body(get("/cables/" + idle.id() + "/plan"))).contains("No current here in any case yet");

        loads.changeCase(show, "Show", 2, Map.of(inverter, State.SURGE));
        Cable busy = cables.get(idle.id());
        assertThat(worked(busy).carried().currentA()).isCloseTo(3000 / 22.0 / 0.9, within(1e-6));
        assertThat(worked(busy).carried().worstCase()).isEqualTo("Show");
        assertThat(body(get("/cables/" + idle.id() + "/plan"))).contains("151.5", "from the loads", "Show", "303");
        assertThat(body(get("/jobs/" + job.id() + "/plan"))).contains("Show");

        assertThat(post("/equipment/" + inverter, Map.of("power", "1500 W"))).hasStatus(302);
        assertThat(worked(idle).carried().currentA()).isCloseTo(1500 / 22.0 / 0.9, within(1e-6));
    }

    @Test
    void aTypedCurrentStaysUntilItIsEmptied() {
        Cable cable = wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        assertThat(postHtmx("/cables/" + cable.id() + "/plan", Map.of("current", "200 A")))
                .hasStatusOk();
        Cable typed = cables.get(cable.id());
        assertThat(typed.details().currentA()).isEqualTo(200);
        assertThat(worked(typed).carried().worstCase()).isEmpty();
        loads.changeCase(show, "Show", 3, Map.of(inverter, State.SURGE));
        assertThat(cables.get(cable.id()).details().currentA()).isEqualTo(200);
        assertThat(body(postHtmx("/cables/" + cable.id() + "/plan", Map.of("current", ""))))
                .contains("from the loads");
        assertThat(worked(cable).carried().currentA()).isCloseTo(151.515, within(0.01));
    }

    @Test
    void anEmptyCurrentNeedsTerminals() {
        var refused = post(
                "/jobs/" + job.id() + "/cables",
                Map.of("tag", "X", "from", "BANK.plus", "to", "somewhere", "current", "", "length", "1 m"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("Needs an entry, for example 180 A", "somewhere");
    }

    @Test
    void thePageTellsPathsAndWhatIsWrong() {
        wired();
        assertThat(post("/cases/" + show, Map.of("state-" + inverter, "ON", "hours", "3 h")))
                .hasStatus(302);
        String page = body(get("/jobs/" + job.id() + "/loads"));
        assertThat(page).contains("INV+", "lost on the way", "3 h a day", "Netlist");
        assertThat(page)
                .as("3 kW / 0.9 / 25.82 V = 129.1 A")
                .containsPattern("gives 129\\.1.A at 26\\.\\d+.V")
                .containsPattern("25\\.82.V, 1\\.\\d+.% lost");
        assertThat(page.split("class=\"grid case-grid")[1].split("</table>")[0])
                .as("only what works or feeds stands there")
                .contains("INV", "BANK")
                .doesNotContain("Capacity");
        assertThat(post("/equipment/" + inverter, Map.of("drop", "0.1 %"))).hasStatus(302);
        assertThat(body(get("/jobs/" + job.id() + "/loads"))).contains("only 0.10\u00a0% allowed");
        String netlist = body(get("/jobs/" + job.id() + "/export/network.cir?case=1"));
        assertThat(netlist).startsWith("* Ulnaris network").endsWith(".end\n");
        assertThat(get("/jobs/" + job.id() + "/export/network.cir?case=2")).hasStatus(404);
    }

    @Test
    void aCableWithoutAFuseIsStoppedAndOneIsProposed() {
        wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        String page = body(get("/jobs/" + job.id() + "/loads"));
        assertThat(page).contains("no fuse between BANK and a cable of", "Class T 200", "from BANK, would protect it");
        long fuse =
                loads.add(job.id(), EquipmentKind.FUSE, Map.of("tag", "MAIN", "family", "CLASS_T", "rating", "200 A"));
        connect("B+", "BANK.plus", "MAIN.in");
        long first = cables.of(job.id()).get(0).id();
        assertThat(postHtmx("/cables/" + first + "/plan", Map.of("from", "MAIN.out")))
                .hasStatusOk();
        assertThat(body(get("/jobs/" + job.id() + "/loads")))
                .doesNotContain("no fuse between")
                .contains("1750\u00a0mm from BANK");
        assertThat(post("/equipment/" + fuse, Map.of("rating", "2000 A", "family", "none")))
                .hasStatus(422);
    }

    @Test
    void whatIsDeletedComesBack() {
        wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        var gone = post("/equipment/" + inverter + "/delete", Map.of());
        assertThat(body(get(gone.getResponse().getRedirectedUrl()))).contains("Undo");
        assertThat(loads.of(job.id())).doesNotContain("INV.plus");
        assertThat(post("/equipment/" + inverter + "/restore", Map.of())).hasStatus(302);
        assertThat(loads.of(job.id())).contains("INV.plus", "INV.minus", "BANK.plus");
        assertThat(post("/cases/" + show + "/delete", Map.of())).hasStatus(302);
        assertThat(works.of(job.id()).network()).isEmpty();
        assertThat(post("/cases/" + show + "/restore", Map.of())).hasStatus(302);
        assertThat(works.of(job.id()).network()).isPresent();
    }

    @Test
    void aCopyOfAJobHasItsLoads() {
        Cable cable = wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        long copy = jobs.copy(job.id()).id();
        assertThat(loads.details(copy)).isEqualTo(loads.details(job.id()));
        assertThat(loads.caseFiles(copy)).isEqualTo(loads.caseFiles(job.id()));
        assertThat(worked(cables.of(copy).get(0)).carried())
                .isEqualTo(worked(cable).carried());
    }

    @Test
    void faultyEquipmentKeepsWhatWasTyped() {
        var refused = post(
                "/jobs/" + job.id() + "/equipment",
                Map.of("kind", "MOTOR", "tag", "INV", "current", "lots", "lowest", "21 V"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("lots", "Write it like 180 A", "Already in use");
        assertThat(post("/jobs/" + job.id() + "/equipment", Map.of("kind", "MOTOR", "tag", "a.b", "current", "2 A")))
                .hasStatus(422);
        assertThat(post("/jobs/" + job.id() + "/cases", Map.of("caseName", "", "hours", "25 h")))
                .hasStatus(422);
        assertThatThrownBy(() -> loads.add(job.id(), EquipmentKind.MOTOR, Map.of("tag", "M")))
                .isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void twoPeopleOnOnePieceAreTold() {
        String began = began("/equipment/" + inverter);
        assertThat(post("/equipment/" + inverter, Map.of("began", began, "power", "2500 W")))
                .hasStatus(302);
        assertThat(post("/equipment/" + inverter, Map.of("began", began, "drop", "4 %")))
                .hasStatus(302);
        var second = post("/equipment/" + inverter, Map.of("began", began, "power", "2000 W"));
        assertThat(second).hasStatus(409);
        assertThat(body(second)).contains("2500 W", "2000 W", "Someone else changed this meanwhile");
    }

    @ParameterizedTest
    @EnumSource(EquipmentKind.class)
    void everyKindHasAForm(EquipmentKind kind) {
        assertThat(body(get("/jobs/" + job.id() + "/loads?kind=" + kind))).contains("Add it", "name=\"tag\"");
    }

    @Test
    void unitsOfTheJobMakeNoDifference() {
        wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        var metric = works.of(job.id()).network().orElseThrow();
        var details = job.details();
        jobs.change(
                job.id(),
                new org.ulnaris.app.job.JobDetails(
                        details.name(),
                        details.kind(),
                        details.nominalVoltageV(),
                        details.chargingVoltageV(),
                        Units.US,
                        details.ruleSet(),
                        details.rules()));
        var us = works.of(job.id()).network().orElseThrow();
        assertThat(us.runs().get(0).continuousA())
                .isEqualTo(metric.runs().get(0).continuousA());
        assertThat(us.metalKg()).isEqualTo(metric.metalKg());
    }

    /** Every piece of the starter set can be added as it stands. */
    @Test
    void theStarterSetCanBeCopied() {
        for (int i = 0; i < StarterSet.all().size(); i++) {
            StarterSet.Preset preset = StarterSet.all().get(i);
            String form = body(get("/jobs/" + job.id() + "/loads?preset=" + i));
            assertThat(form).contains("value=\"" + preset.kind().name() + "\"", preset.name());
            Map<String, String> typed = new java.util.HashMap<>(preset.typed());
            typed.put("tag", "S" + i);
            loads.add(job.id(), preset.kind(), typed);
        }
        assertThat(loads.details(job.id())).hasSize(2 + StarterSet.all().size());
        assertThat(get("/jobs/" + job.id() + "/loads?preset=99")).hasStatusOk();
    }

    @Test
    void aBankWithStringsShowsHowTheyShare() {
        long bank = loads.idOf(job.id(), "BANK").orElseThrow();
        wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        assertThat(body(get("/equipment/" + bank)))
                .contains("How its strings share", "equal leads to a pair of bars", "0\u00a0% apart");
    }

    /** The least and the greatest figure that each field takes: kept or refused, and every page of the job still answers. */
    @ParameterizedTest
    @EnumSource(EquipmentKind.class)
    void extremeFiguresAreWorkedWith(EquipmentKind kind) {
        Map<String, String> standing = new java.util.HashMap<>(Map.of("kind", kind.name()));
        for (String field : kind.fields()) {
            standing.put(
                    field,
                    switch (field) {
                        case "family" -> "SF51";
                        case "chemistry" -> "LEAD_WET";
                        case "charge", "cutOff" -> "";
                        default -> "5";
                    });
        }
        int number = 0;
        for (String field : kind.fields()) {
            for (String extreme :
                    new String[] {"0.000001", "0.001", "1", "100", "300", "1000", "1000000", "99999999"}) {
                Map<String, String> typed = new java.util.HashMap<>(standing);
                typed.put(field, extreme);
                typed.put("tag", "X" + number++);
                assertThat(post("/jobs/" + job.id() + "/equipment", typed)
                                .getResponse()
                                .getStatus())
                        .as(field + "=" + extreme)
                        .isIn(302, 422);
            }
        }
        wired();
        Map<Long, State> on = loads.equipment(job.id()).stream()
                .collect(java.util.stream.Collectors.toMap(Equipment::id, item -> State.SURGE));
        loads.changeCase(show, "Show", 2, on);
        for (String place : new String[] {"loads", "layout", "findings", "budget", "what-if", "plan"}) {
            assertThat(get("/jobs/" + job.id() + "/" + place)).as(place).hasStatusOk();
        }
    }

    @Test
    void anInverterLeftOnTakesItsIdlePower() {
        Cable cable = wired();
        assertThat(post("/equipment/" + inverter, Map.of("idle", "24 W"))).hasStatus(302);
        assertThat(body(get("/jobs/" + job.id() + "/loads"))).contains("<option value=\"IDLE\"");
        assertThat(post("/cases/" + show, Map.of("state-" + inverter, "IDLE", "hours", "8 h")))
                .hasStatus(302);
        assertThat(worked(cable).carried().currentA()).isBetween(0.8, 1.1);
        assertThat(post("/equipment/" + inverter, Map.of("power", "3 kVA"))).hasStatus(302);
        assertThat(loads.details(job.id()))
                .anySatisfy(piece -> assertThat(piece.powerW()).isEqualTo(3000.0));
    }

    @Test
    void theVoltagesOfABankMustStandInOrder() {
        long bank = loads.idOf(job.id(), "BANK").orElseThrow();
        var refused = post("/equipment/" + bank, Map.of("charge", "20 V"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("above the cut-off of 22.4 V", "20 V");
        assertThat(body(post("/equipment/" + bank, Map.of("cutOff", "29 V"))))
                .contains("below the charging voltage of 28.8 V");
        assertThat(post("/equipment/" + bank, Map.of("charge", "28 V", "cutOff", "20 V")))
                .hasStatus(302);
        wired();
        loads.changeCase(show, "Show", 2, Map.of(inverter, State.ON));
        assertThat(body(get("/jobs/" + job.id() + "/loads"))).contains("stops before the bank is empty");
    }

    @Test
    void anAluminiumPadIsSaid() {
        wired();
        assertThat(post("/equipment/" + inverter, Map.of("stud", "M8", "metal", "ALUMINIUM")))
                .hasStatus(302);
        assertThat(body(get("/jobs/" + job.id() + "/findings"))).contains("a copper lug on aluminium");
        assertThat(post("/equipment/" + inverter, Map.of("stud", "M8", "metal", "GOLD")))
                .hasStatus(422);
    }

    /** Half of what says something only together is asked for, never left out in silence. */
    @ParameterizedTest
    @CsvSource({
        "MOTOR, current=20 A, dutyOn=2 min, dutyOff",
        "MOTOR, current=20 A, dutyOff=8 min, dutyOn",
        "MOTOR, current=20 A, surgeCurrent=90 A, surgeTime",
        "INVERTER, power=1000 W, surgePower=2000 W, surgeTime",
        "INVERTER, power=1000 W, surgeTime=2 s, surgePower"
    })
    void halfOfAPairIsAskedFor(EquipmentKind kind, String draw, String given, String missing) {
        Map<String, String> typed = new HashMap<>(Map.of("tag", "HALF"));
        for (String one : List.of(draw, given)) {
            typed.put(one.substring(0, one.indexOf('=')), one.substring(one.indexOf('=') + 1));
        }
        Entries entries = new Entries(typed, Units.METRIC);
        EquipmentReader.read(
                entries, EquipmentReader.fresh(kind, newJob(Units.METRIC).details()));
        assertThat(entries.faults()).containsOnlyKeys(missing);
    }
}
