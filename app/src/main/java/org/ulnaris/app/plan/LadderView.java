package org.ulnaris.app.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.app.drawing.Svg;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Records;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizeChoice;
import org.ulnaris.core.sizing.SizingResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;

/**
 * The size ladder as it is drawn.
 *
 * @param headline which check decided, and by how much the next smaller fails
 * @param verdict verdict of the size in use
 * @param trap what a drop-only chart would answer; empty where it is near
 * @param checks names of the checks, in the order of the bars
 * @param rows one a size, thick at the top
 */
public record LadderView(String headline, Verdict verdict, String trap, List<String> checks, List<Row> rows) {
    private static final int TRAP_RUNGS = 2;
    private static final int NEAR = 2;
    private static final String UNKNOWN = "—";

    /**
     * One size.
     *
     * @param reason name of the check that gives it its verdict; empty when it passes
     * @param findings there for the size in use
     */
    public record Row(
            String designation,
            String area,
            boolean inUse,
            boolean proposed,
            String note,
            Verdict verdict,
            String verdictName,
            String reason,
            String ampacity,
            String temperature,
            String drop,
            String loss,
            List<Bar> bars,
            List<FindingView> findings) {
        /** The same while no current is known: what would be stopped at any current is, nothing passes, and no figure rests on it. */
        Row ofNoCurrent(boolean byHand, Words words) {
            Verdict open = verdict.and(Verdict.OPEN);
            return Records.with(
                    this,
                    Map.of(
                            "note",
                            byHand ? note : "",
                            "verdict",
                            open,
                            "verdictName",
                            words.name(open),
                            "reason",
                            open == verdict ? reason : words.of("finding." + FindingCode.NO_CURRENT),
                            "temperature",
                            UNKNOWN,
                            "drop",
                            UNKNOWN,
                            "loss",
                            UNKNOWN,
                            "bars",
                            bars.stream().map(bar -> bar.unknown(words)).toList()));
        }

        /** Whether it is in use because somebody or something says so, not for want of another. */
        public boolean chosen() {
            return inUse && (proposed || !note.isEmpty());
        }

        /** Its id in the page, by which the focus is kept when the ladder is drawn anew. */
        public String id() {
            return "rung-" + designation.replace(" ", "");
        }

        /** What is said of it that asks for something. */
        public List<FindingView> asking() {
            return findings.stream().filter(said -> said.verdict().asks()).toList();
        }

        /** What is said of it beside that: passes and notes. */
        public List<FindingView> passing() {
            return findings.stream().filter(said -> !said.verdict().asks()).toList();
        }

        /** What a press on it chooses: the proposal is chosen by naming none. */
        public String choice() {
            return proposed ? "" : designation;
        }
    }

    /**
     * One check: a bar filled by used ÷ allowed; 80 of 100 units are the limit.
     *
     * @param svg the bar
     * @param percent used ÷ allowed in words
     */
    public record Bar(String title, String svg, String percent) {
        static final double LIMIT_AT = 80;
        static final double LONGEST = 98;

        Bar unknown(Words words) {
            String label = words.of("ladder.bar", title, UNKNOWN, words.name(Verdict.OPEN));
            return new Bar(title, Svg.bar("v-" + Verdict.OPEN, 0, label), UNKNOWN);
        }

        static Bar of(FindingCode code, Verdict verdict, double use, Words words) {
            String title = words.of("finding." + code.name());
            double width = use <= LONGEST / LIMIT_AT ? use * LIMIT_AT : LONGEST;
            String percent = use <= 9.99 ? Figures.fixed(100 * use, 0) + "%" : ">999%";
            String label = words.of("ladder.bar", title, percent, words.name(verdict));
            return new Bar(title, Svg.bar("v-" + verdict, Math.max(0.5, width), label), percent);
        }
    }

    /** Whether the row at {@code index} stands next to the size in use, or is the proposed one. */
    public boolean near(int index) {
        for (int at = Math.max(0, index - NEAR); at <= Math.min(rows.size() - 1, index + NEAR); at++) {
            if (rows.get(at).inUse()) {
                return true;
            }
        }
        return rows.get(index).proposed();
    }

    /** The ladder of {@code cable}; the rung in use shows all that is said of size, protection and terminals. */
    static LadderView of(WorkedCable cable, Fmt fmt, Words words) {
        SizeChoice sizing = cable.size();
        List<Finding> said = cable.of(Topic.WIRING, Topic.SIZE, Topic.PROTECTION, Topic.TERMINAL).stream()
                .map(JobFinding::finding)
                .toList();
        SizingResult result = sizing.result();
        List<FindingCode> checks = result.rungs().get(0).checks();
        boolean known = cable.carried().known();
        List<Row> rows = new java.util.ArrayList<>();
        for (int i = result.rungs().size() - 1; i >= 0; i--) {
            Rung rung = result.rungs().get(i);
            rows.add(row(rung, sizing, known && i == result.chosenIndex(), said, fmt, words));
        }
        if (result.rung(sizing.inUse().size()).isEmpty()) {
            rows.add(row(sizing.inUse(), sizing, false, said, fmt, words));
        }
        return new LadderView(
                known ? headline(sizing, fmt, words) : words.of("ladder.unknown"),
                cable.verdict(),
                known ? trap(result, words) : "",
                checks.stream().map(code -> words.of("finding." + code.name())).toList(),
                known
                        ? List.copyOf(rows)
                        : rows.stream()
                                .map(row -> row.ofNoCurrent(sizing.byHand(), words))
                                .toList());
    }

    private static Row row(Rung rung, SizeChoice sizing, boolean proposed, List<Finding> said, Fmt fmt, Words words) {
        boolean inUse = rung == sizing.inUse();
        String why = words.of(sizing.byHand() ? "ladder.by-hand" : "ladder.thickest");
        Verdict verdict = inUse ? Verdict.worstOf(said) : rung.verdict();
        return new Row(
                rung.size().designation(),
                fmt.area(rung.size().areaMm2()),
                inUse,
                proposed,
                proposed ? words.of("ladder.proposed") : inUse ? why : "",
                verdict,
                words.name(verdict),
                reason(rung, verdict, inUse ? said : List.of(), words),
                rung.ampacityA() > 0 ? fmt.figure(rung.ampacityA(), "A") : "—",
                fmt.cellTemperature(rung.conductorTempC()),
                fmt.percent(rung.dropPercent()),
                fmt.figure(rung.lossW(), "W"),
                rung.checks().stream()
                        .map(code -> Bar.of(code, rung.verdict(code), rung.use(code), words))
                        .toList(),
                inUse ? said.stream().map(finding -> words.view(finding, fmt)).toList() : List.of());
    }

    private static String reason(Rung rung, Verdict verdict, List<Finding> said, Words words) {
        if (!verdict.asks()) {
            return "";
        }
        Stream<FindingCode> further =
                said.stream().filter(finding -> finding.verdict() == verdict).map(Finding::code);
        return Stream.concat(
                        Stream.of(rung.worstCheck(), FindingCode.HEAT_BALANCE)
                                .filter(code -> rung.verdict(code) == verdict),
                        further)
                .findFirst()
                .map(code -> words.of("finding." + code.name()))
                .orElse("");
    }

    /** The size in words: what decided it, and by how much the next thinner one fails. */
    public static String headline(SizeChoice sizing, Fmt fmt, Words words) {
        SizingResult result = sizing.result();
        FindingCode code = result.decidedBy();
        String check = words.inSentence(code);
        if (result.chosen().isEmpty()) {
            Rung thickest = result.nextSmaller().orElseThrow();
            return words.of("ladder.none", thickest.size().designation(), sentence(thickest, result, fmt, words));
        }
        String proposed = result.chosen().get().size().designation();
        String chosen = sizing.byHand() ? words.of("ladder.proposal", proposed) : proposed;
        return result.nextSmaller()
                .map(next -> words.of(
                        "ladder.decided",
                        chosen,
                        words.find("decides." + code.name()).orElseGet(() -> words.of("decides.other", check)),
                        next.size().designation(),
                        sentence(next, result, fmt, words)))
                .orElseGet(() -> words.of("ladder.thinnest", chosen, check));
    }

    private static String sentence(Rung rung, SizingResult result, Fmt fmt, Words words) {
        return words.sentence(rung.check(result.decidedBy()).finding(), fmt);
    }

    private static String trap(SizingResult result, Words words) {
        Optional<Rung> byDrop = result.byDropAlone();
        if (byDrop.isEmpty() || result.chosen().isEmpty()) {
            return "";
        }
        int apart = result.chosenIndex() - result.rungs().indexOf(byDrop.get());
        return apart >= TRAP_RUNGS
                ? words.of(
                        "ladder.trap",
                        byDrop.get().size().designation(),
                        Integer.toString(apart),
                        words.inSentence(result.decidedBy()))
                : "";
    }
}
