package org.ulnaris.app.work;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.board.BoardService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.pack.SheetService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.ReadingKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** One job, one verdict: list, cable page, match, bench overview, sheet, board and REST say the same. */
class OneTruthTest extends AppTest {
    private static final Pattern VERDICT = Pattern.compile("class=\"verdict v-(\\w+)\"");

    private static final Pattern PAPER = Pattern.compile("(?m)\\b(Pass|Open|Watch|Stop)(?=:|\\s*$)");

    @Autowired
    private LoadsService loads;

    @Autowired
    private BoardService board;

    @Autowired
    private SheetService sheets;

    @Autowired
    private PdfPrinter printer;

    @Autowired
    private MakeService make;

    private Job demo(String name) {
        return jobs.all().stream()
                .filter(job -> job.details().name().equals(name))
                .reduce((first, second) -> second)
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Lantern Cart", "Sandpiper", "Frostline"})
    void theDemoJobsSayOneThing(String name) throws Exception {
        saysOneThing(demo(name));
    }

    /** Made up at random: voltages, currents, lengths, sizes, families, fuses or none, bars or none, names that are no terminals. */
    @Test
    void madeUpJobsSayOneThing() throws Exception {
        Map<Verdict, Integer> seen = new TreeMap<>();
        for (int seed = 0; seed < 200; seed++) {
            Job job = madeUp(new Random(seed));
            WorkedJob worked = works.of(job.id());
            worked.cables().forEach(cable -> seen.merge(cable.verdict(), 1, Integer::sum));
            sameVerdicts(job, worked);
            if (seed % 20 == 0) {
                saysOneThing(job);
            }
        }
        assertThat(seen).containsOnlyKeys(Verdict.PASS, Verdict.OPEN, Verdict.WATCH, Verdict.STOP);
    }

    /** The same with random readings, right, wrong, not measured and accepted: no page, file or paper says better than the worst of plan and record. */
    @Test
    void madeUpRecordsSayOneThing() throws Exception {
        Map<Verdict, Integer> seen = new TreeMap<>();
        for (int seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            Job job = sound(random);
            Cable cable = cables.of(job.id()).get(0);
            makeSome(cable, random);
            WorkedCable own = worked(cable);
            seen.merge(own.verdict(), 1, Integer::sum);
            madeSaysOneThing(job, cable, own);
        }
        assertThat(seen).containsOnlyKeys(Verdict.PASS, Verdict.OPEN, Verdict.WATCH, Verdict.STOP);
    }

    /** A cable whose plan passes, so that the record decides; now and then one that does not. */
    private Job sound(Random random) {
        Job job = newJob(Units.METRIC);
        String size = random.nextInt(8) == 0 ? "1 mm²" : "50 mm²";
        newCable(
                job,
                Map.of("size", size, "current", "80 A", "length", "1.5 m", "slack", "150", "polarity", "NEGATIVE"));
        return job;
    }

    private void makeSome(Cable cable, Random random) {
        int upTo = random.nextInt(4) == 0 ? 99 : random.nextInt(31);
        int oneIn = random.nextInt(3) == 0 ? 1_000_000 : 8;
        for (BuildStep step : make.of(cable.id()).steps()) {
            Making making = make.of(cable.id());
            if (making.place(step) >= upTo || !making.current().equals(Optional.of(step))) {
                return;
            }
            String bench = "/cables/" + cable.id() + "/bench/" + step.key();
            List<ReadingKind> kinds = worked(cable).plan().readings(step);
            if (kinds.isEmpty()) {
                make.done(cable.id(), step);
            } else if (random.nextInt(oneIn) == 1) {
                post(bench + "/not-measured", Map.of("why", "in a hurry"));
            } else {
                post(bench, typed(cable, step, kinds, random.nextInt(oneIn) == 0));
                if (make.of(cable.id()).record().stopped(step) && random.nextInt(2) == 0) {
                    post(bench + "/deviation", Map.of("by", "R. Quill", "reason", "a trial"));
                }
            }
        }
    }

    private Map<String, String> typed(Cable cable, BuildStep step, List<ReadingKind> kinds, boolean wrong) {
        CablePlan plan = worked(cable).plan();
        Termination end = step.side() == null ? null : plan.end(step.side()).termination();
        Map<String, String> typed = new TreeMap<>(Map.of("TOTAL", "380"));
        for (ReadingKind kind : kinds) {
            double right = switch (kind) {
                case CUT_LENGTH -> plan.plannedCutMm();
                case STRIP_LENGTH -> end.stripMm();
                case ACROSS_FLATS_1, ACROSS_FLATS_2 -> end.crimp().die().acrossFlatsMm();
                case CRIMP_GAP -> end.gapMm();
                case PULL_FORCE -> 20_000;
                case HOLD_TIME -> 60;
                case TORQUE -> plan.end(step.side()).torque().nominalNm();
                default -> 0;
            };
            String figure = String.valueOf(wrong ? right / 4 + 200 : right);
            typed.put(kind.name(), kind.yesOrNo() ? wrong ? "NO" : "YES" : figure.replaceAll("\\.0$", ""));
        }
        if (typed.containsKey("STRANDS_LOST")) {
            typed.put("STRANDS_LOST", wrong ? "300" : "0");
        }
        return typed;
    }

    private void madeSaysOneThing(Job job, Cable cable, WorkedCable own) throws Exception {
        String verdict = own.verdict().name();
        JsonNode answer = JsonMapper.shared().readTree(body(get("/api/v1/jobs/" + job.id() + "/worked")));
        assertThat(answer.get("verdict").stringValue()).as("REST").isEqualTo(verdict);
        boolean begun = make.of(cable.id()).record().begun();
        for (String place : List.of("make", "pack", "prove", "plan")) {
            Document page = Jsoup.parse(body(get("/cables/" + cable.id() + "/" + place)));
            String shown = page.select(".headline > .verdict").attr("class");
            if (begun || own.verdict().asks() || !place.equals("prove")) {
                assertThat(shown).as(place).isEqualTo("verdict v-" + verdict);
            }
            accepted(own, page, place);
        }
        for (String place : List.of("make", "pack", "prove")) {
            Document page = Jsoup.parse(body(get("/jobs/" + job.id() + "/" + place)));
            assertThat(page.select("#job-verdict > .verdict").attr("class"))
                    .as("job " + place)
                    .isEqualTo("verdict v-" + verdict);
            accepted(own, page, "job " + place);
        }
        Document home = Jsoup.parse(body(get("/jobs/" + job.id() + "/card")));
        assertThat(home.select(".verdict").eachAttr("class")).as("home").contains("verdict v-" + verdict);
        Document sheet = Jsoup.parse(sheets.document(cable.id()));
        assertThat(sheet.select(".sheet table b").get(0).text()).as("sheet").isEqualToIgnoringCase(verdict);
        accepted(own, sheet, "sheet");
        assertThat(sheet.select("svg path[d^=M2.6]"))
                .as("ticks")
                .hasSize(make.of(cable.id()).doneCount());
    }

    /** Who answers for a stop stands in every head. */
    private static void accepted(WorkedCable own, Document page, String place) {
        if (own.findings().stream().anyMatch(said -> said.finding().deviation() != null)) {
            assertThat(page.text()).as(place).contains("Accepted by R. Quill: a trial");
        }
    }

    private Job madeUp(Random random) {
        Job job = newJob(random.nextBoolean() ? Units.METRIC : Units.US);
        boolean wired = random.nextInt(4) > 0;
        boolean fused = random.nextInt(3) > 0;
        if (wired) {
            loads.add(job.id(), EquipmentKind.BANK, Map.of("tag", "BANK", "stud", "M8"));
            long load = loads.add(
                    job.id(), EquipmentKind.INVERTER, Map.of("tag", "INV", "power", 200 + random.nextInt(3000) + " W"));
            loads.add(
                    job.id(),
                    EquipmentKind.FUSE,
                    Map.of(
                            "tag",
                            "F",
                            "family",
                            "CLASS_T",
                            "rating",
                            List.of("60 A", "110 A", "250 A").get(random.nextInt(3))));
            if (random.nextInt(5) > 0) {
                loads.changeCase(loads.addCase(job.id(), "on", 2), "on", 2, Map.of(load, State.ON));
            }
        }
        List<String[]> runs = new ArrayList<>();
        if (wired && fused) {
            runs.add(new String[] {"F+", "BANK.plus", "F.in"});
            runs.add(new String[] {"L+", "F.out", "INV.plus"});
        } else {
            runs.add(new String[] {"L+", "BANK.plus", "INV.plus"});
        }
        runs.add(new String[] {"L-", "INV.minus", "BANK.minus"});
        runs.add(new String[] {"X", "somewhere", "else"});
        for (String[] run : runs) {
            Map<String, String> typed = new TreeMap<>(Map.of(
                    "tag",
                    run[0],
                    "from",
                    run[1],
                    "to",
                    run[2],
                    "current",
                    "",
                    "length",
                    0.1 + 3 * random.nextDouble() + " m"));
            boolean loose = !wired || run[0].equals("X") || random.nextInt(4) == 0;
            typed.put("current", loose ? 1 + random.nextInt(200) + " A" : "");
            typed.put("polarity", run[0].endsWith("-") ? "NEGATIVE" : run[0].equals("X") ? "OTHER" : "POSITIVE");
            if (random.nextInt(4) == 0) {
                typed.put(
                        "size", List.of("1 mm²", "16 mm²", "2/0 AWG", "95 mm²").get(random.nextInt(4)));
            }
            assertThat(post("/jobs/" + job.id() + "/cables", typed)).hasStatus(302);
        }
        for (Cable cable : cables.of(job.id())) {
            if (random.nextInt(5) == 0) {
                String family =
                        List.of("TUBE_LUG", "TWO_POLE", "SMALL", "STACKABLE").get(random.nextInt(4));
                post("/cables/" + cable.id() + "/match/A", Map.of("family", family));
            }
        }
        return job;
    }

    /** Board and REST against the worked job: every finding and every verdict. */
    private void sameVerdicts(Job job, WorkedJob worked) throws Exception {
        BoardService.Board found = board.of(job);
        assertThat(found.verdict()).isEqualTo(worked.verdict());
        JsonNode answer = JsonMapper.shared().readTree(body(get("/api/v1/jobs/" + job.id() + "/worked")));
        assertThat(answer.get("verdict").stringValue())
                .isEqualTo(worked.verdict().name());
        for (JsonNode cable : answer.get("cables")) {
            WorkedCable own = worked.cable(cable.get("tag").stringValue());
            assertThat(cable.get("verdict").stringValue())
                    .isEqualTo(own.verdict().name());
            assertThat(cable.get("findings")).hasSize(own.findings().size());
            List<String> boardSays = found.open().stream()
                    .map(BoardService.Entry::said)
                    .filter(said -> said.subject().equals(own.tag()))
                    .map(OneTruthTest::text)
                    .sorted()
                    .toList();
            List<String> cableSays = own.findings().stream()
                    .filter(said -> said.subject().equals(own.tag()) && said.verdict() != Verdict.PASS)
                    .map(OneTruthTest::text)
                    .sorted()
                    .toList();
            assertThat(boardSays).isEqualTo(cableSays);
        }
    }

    private static String text(JobFinding said) {
        return said.finding().code() + " " + said.verdict() + " " + said.where();
    }

    private void saysOneThing(Job job) throws Exception {
        WorkedJob worked = works.of(job.id());
        sameVerdicts(job, worked);
        String list = body(get("/jobs/" + job.id() + "/plan"));
        String matches = body(get("/jobs/" + job.id() + "/match"));
        String work = body(get("/jobs/" + job.id() + "/make"));
        for (String place : List.of("plan", "loads", "budget", "what-if", "match", "make", "pack")) {
            String[] shown = body(get("/jobs/" + job.id() + "/" + place)).split("id=\"job-verdict\"");
            if (shown.length > 1 || !place.equals("loads")) {
                assertThat(first(shown[1])).as(place).isEqualTo(worked.verdict().name());
            }
        }
        for (Cable cable : cables.of(job.id())) {
            WorkedCable own = worked(cable);
            String verdict = own.verdict().name();
            String page = "/cables/" + cable.id();
            assertThat(last(list.split("<tr id=\"row-" + cable.id() + "\"")[1].split("</tr>")[0]))
                    .as("list " + own.tag())
                    .isEqualTo(verdict);
            assertThat(last(matches.split("href=\"" + page + "/match\"")[1].split("</tr>")[0]))
                    .as("match list " + own.tag())
                    .isEqualTo(verdict);
            if (own.verdict().asks() && own.sizeSaid().isPresent()) {
                assertThat(first(work.split("href=\"" + page + "/make\"")[1].split("</li>")[0]))
                        .as("list of work " + own.tag())
                        .isEqualTo(verdict);
            }
            assertThat(body(get(page + "/plan"))
                            .split("class=\"grid ladder\"")[1]
                            .split("</table>")[0])
                    .as("a size that does not pass says why " + own.tag())
                    .doesNotContainPattern("v-(STOP|WATCH|OPEN)\"[^<]*</span>\\s*</td>");
            for (String place : new String[] {"plan", "match", "make", "pack"}) {
                String shown = body(get(page + "/" + place)).split("class=\"headline\"")[1];
                assertThat(first(shown)).as(place + " " + own.tag()).isEqualTo(verdict);
            }
            String proof = body(get(page + "/prove"));
            if (own.verdict().asks()) {
                assertThat(first(proof.split("class=\"headline\"")[1]))
                        .as("prove " + own.tag())
                        .isEqualTo(verdict);
            } else {
                assertThat(proof).as("nothing is read of " + own.tag()).doesNotContain("v-PASS");
            }
            assertThat(onPaper(printer.print(sheets.document(cable.id()))))
                    .as("sheet " + own.tag())
                    .isEqualToIgnoringCase(verdict);
        }
        assertThat(first(body(get("/jobs/" + job.id() + "/findings")).split("class=\"headline\"")[1]))
                .isEqualTo(worked.verdict().name());
    }

    private static String onPaper(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            Matcher found = PAPER.matcher(new PDFTextStripper().getText(document));
            assertThat(found.find()).as(new PDFTextStripper().getText(document)).isTrue();
            return found.group(1);
        }
    }

    private static String first(String html) {
        Matcher found = VERDICT.matcher(html);
        assertThat(found.find()).isTrue();
        return found.group(1);
    }

    private static String last(String html) {
        return VERDICT.matcher(html).results().reduce((a, b) -> b).orElseThrow().group(1);
    }
}
