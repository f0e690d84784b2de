package org.ulnaris.app.answer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.WaysOut;
import org.ulnaris.app.ribbon.EndWords;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.sizing.ParallelPair;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;

/**
 * An answer as the first page shows it.
 *
 * @param size the figure of the size
 * @param unit its unit
 * @param verdict with its reason
 * @param decided what decided the size; empty where a person named it
 * @param ways what would mend it; empty where nothing has to be mended, or nothing is known to
 * @param facts fuse, drop and heat; none for a cable without a circuit
 * @param ends what goes on which stud
 * @param ribbon the cable drawn
 */
record AnswerView(
        String size,
        String unit,
        VerdictView verdict,
        String decided,
        String ways,
        List<Fact> facts,
        List<End> ends,
        Drawing ribbon) {
    /** Of reasons that weigh alike, that of the cable comes first, then that of its load. */
    /** Up to here a blade fuse does, which sits in a block behind a main fuse and not on a battery's post (common practice), A. */
    private static final double BLADE_UP_TO_A = 30;

    private static final List<String> NEAREST = List.of(CircuitMaker.LOAD, CircuitMaker.OUT);

    /** A figure that follows, and what it is held against. */
    record Fact(String name, String value, String note) {}

    /**
     * One end, or both where they are alike.
     *
     * @param reason why it is no pass; empty where it is one
     * @param rest what is to be said of facts that stand elsewhere; empty where all stand here
     */
    record End(String where, Verdict verdict, String reason, List<Fact> facts, String rest) {
        /** What differs from {@code other} alone. */
        End beside(End other, String andTheRest) {
            List<Fact> own =
                    facts.stream().filter(fact -> !other.facts().contains(fact)).toList();
            return new End(where, verdict, reason, own, own.size() < facts.size() ? andTheRest : "");
        }
    }

    /** Units and words. */
    record Shown(Fmt fmt, Words words) {}

    /**
     * The answer in words.
     *
     * @param doubtful words of the line that were not taken: with one of them nothing passes
     */
    static AnswerView of(AnswerService.Answer answer, List<String> doubtful, Drawing ribbon, Shown shown) {
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        WorkedCable cable = answer.cable();
        ConductorSize size = cable.rung().size();
        boolean circuit = !answer.parts().equipment().isEmpty();
        Writer writer = new Writer(fmt, words);
        return new AnswerView(
                size.name(),
                size.series() == SizeSeries.METRIC ? "mm²" : "AWG",
                verdict(answer, doubtful, fmt, words),
                circuit && !cable.size().byHand() ? writer.decided(answer) : "",
                circuit ? writer.ways(answer) : "",
                circuit ? writer.facts(answer) : List.of(),
                writer.ends(answer),
                ribbon);
    }

    /** The verdict of the whole job that the line becomes; of a cable without a circuit only its ends are judged. */
    private static VerdictView verdict(AnswerService.Answer answer, List<String> doubtful, Fmt fmt, Words words) {
        List<JobFinding> said = answer.parts().equipment().isEmpty()
                ? answer.cable().of(Topic.END, Topic.TOOL)
                : answer.worked().findings();
        List<JobFinding> asking = said.stream()
                .filter(one -> one.verdict().asks())
                .sorted(Comparator.comparing(JobFinding::verdict)
                        .thenComparing(one -> NEAREST.indexOf(one.subject()))
                        .reversed()
                        .thenComparing(JobFinding.WORST_FIRST))
                .toList();
        Verdict worst = said.stream().map(JobFinding::verdict).reduce(Verdict.PASS, Verdict::and);
        List<String> open = new ArrayList<>();
        if (!doubtful.isEmpty()) {
            open.add(words.of("answer.doubtful", String.join(", ", doubtful)));
        }
        if (answer.dropRaised()) {
            open.add(words.of("answer.drop-raised"));
        }
        if (!asking.isEmpty()) {
            open.add(place(asking.get(0)) + CablePage.reason(asking.get(0), fmt, words));
        }
        Verdict verdict = open.isEmpty() ? worst : worst.and(Verdict.OPEN);
        return new VerdictView(verdict, String.join(" ", open), Math.max(0, asking.size() - 1L));
    }

    private static String place(JobFinding said) {
        return said.subject().equals(CircuitMaker.OUT) ? "" : said.subject() + ", ";
    }

    /** Puts figures into words. */
    private record Writer(Fmt fmt, Words words) {
        String decided(AnswerService.Answer answer) {
            WorkedCable cable = answer.cable();
            FindingCode by = cable.decidedBy();
            if (cable.size().result().chosen().isEmpty()) {
                return words.of(
                        "answer.no-size", words.sentence(cable.rung().check(by).finding(), fmt));
            }
            String what = words.find("answer.decided." + by.name())
                    .orElseGet(() -> words.of("answer.decided", words.of("finding." + by.name())));
            return cable.size()
                    .result()
                    .nextSmaller()
                    .map(smaller -> what + " "
                            + words.of(
                                    "answer.next",
                                    smaller.size().designation(),
                                    words.sentence(smaller.check(by).finding(), fmt)))
                    .orElse(what);
        }

        /** What would mend it; of a motor that is taken to work for good, to say how long it does. */
        String ways(AnswerService.Answer answer) {
            String known = WaysOut.protection(answer.worked(), answer.cable(), fmt, words);
            boolean mayRest = answer.said().mayRest() && answer.cable().isTooHotForGood();
            String rest = mayRest ? words.of("answer.for-good") : "";
            return Stream.of(rest, known, sideBySide(answer.cable()))
                    .filter(way -> !way.isEmpty())
                    .collect(Collectors.joining(" "));
        }

        /** Two cables where one does not reach. */
        private String sideBySide(WorkedCable cable) {
            return cable.size().result().chosen().isPresent() || cable.size().byHand()
                    ? ""
                    : ParallelPair.of(cable.size().result().demand())
                            .map(pair -> words.of(
                                    "answer.two-cables", pair.each().size().designation()))
                            .orElse("");
        }

        List<Fact> facts(AnswerService.Answer answer) {
            Rung rung = answer.cable().rung();
            List<Fact> facts = new ArrayList<>();
            facts.add(fuse(answer));
            facts.add(answer.drop()
                    .map(drop -> drop(drop, "answer.drop.note", answer))
                    .orElseGet(() -> drop(rung.check(FindingCode.DROP).finding(), "answer.drop.cables", answer)));
            facts.add(new Fact(
                    words.of("answer.heat"),
                    fmt.figure(rung.lossW(), "W") + ", " + fmt.cellTemperature(rung.conductorTempC()),
                    words.of("answer.heat.note")));
            facts.add(new Fact(
                    words.of("answer.carries"),
                    fmt.figure(answer.cable().carried().currentA(), "A"),
                    words.of("answer.carries.note", fmt.figure(rung.ampacityA(), "A"))));
            return facts;
        }

        private Fact drop(Finding drop, String note, AnswerService.Answer answer) {
            double volt = drop.figure() / 100 * answer.parts().job().nominalVoltageV();
            return new Fact(
                    words.of("answer.drop"),
                    fmt.volt(Figures.rounded(volt, 2)) + ", " + fmt.percent(drop.figure()),
                    words.of(note, Figures.significant(drop.limit(), 3) + Fmt.SPACE + "%"));
        }

        private Fact fuse(AnswerService.Answer answer) {
            FuseCheck fuse = answer.fuse();
            if (fuse == null) {
                boolean asked =
                        answer.parts().equipment().stream().noneMatch(piece -> piece.kind() == EquipmentKind.STARTER);
                return new Fact(
                        words.of("answer.fuse"),
                        words.of(asked ? "answer.fuse.none" : "answer.fuse.unasked"),
                        words.of(asked ? "answer.fuse.none.note" : "answer.fuse.unasked.note"));
            }
            Placement.School school = answer.parts()
                    .job()
                    .rules()
                    .house()
                    .placement(answer.parts().job().ruleSet());
            double mm = Placement.limitMm(school, Placement.Run.OPEN);
            boolean small = fuse.ratingA() <= BLADE_UP_TO_A;
            return new Fact(
                    words.of("answer.fuse"),
                    fmt.figure(fuse.ratingA(), "A") + " " + words.name(fuse.family()),
                    words.of(
                            small ? "answer.fuse.small.note" : "answer.fuse.note",
                            fmt.units() == Units.METRIC ? fmt.bench(Math.floor(mm)) : fmt.small(mm)));
        }

        List<End> ends(AnswerService.Answer answer) {
            EndPlan a = answer.cable().plan().a();
            EndPlan b = answer.cable().plan().b();
            String studA = a.landing().stud().name();
            String studB = b.landing().stud().name();
            WorkedCable other = answer.other();
            if (other != null) {
                EndPlan elsewhere = other.plan().a();
                End first = end(words.of("answer.on", studA), a);
                End second =
                        end(words.of("answer.on", elsewhere.landing().stud().name()), elsewhere);
                return List.of(first, second.beside(first, words.of("answer.rest", studA)));
            }
            if (studA.equals(studB)) {
                return List.of(end(words.of("answer.both", studA), a));
            }
            return List.of(end(words.of("answer.end", "A", studA), a), end(words.of("answer.end", "B", studB), b));
        }

        private End end(String where, EndPlan plan) {
            Termination end = plan.termination();
            if (end == null) {
                return new End(where, plan.verdict(), words.of("answer.lug.none"), List.of(), "");
            }
            List<Fact> facts = new ArrayList<>();
            facts.add(new Fact(words.of("answer.lug"), end.code(), ""));
            facts.add(crimp(end.crimp(), plan.match()));
            facts.add(new Fact(words.of("answer.strip"), fmt.bench(end.stripMm()), ""));
            ShrinkChoice sleeve = end.sleeve();
            if (sleeve != null) {
                ShrinkTube tube = sleeve.tube();
                facts.add(new Fact(
                        words.of("answer.sleeve"),
                        tube == null ? words.of("answer.sleeve.none") : tube.name(),
                        tube == null ? "" : fmt.bench(sleeve.cover().cutLengthMm())));
            }
            facts.add(torque(plan.torque()));
            return new End(where, plan.verdict(), reason(end), facts, "");
        }

        private String reason(Termination end) {
            return end.findings().stream()
                    .filter(finding -> finding.verdict().asks())
                    .max(Comparator.comparing(Finding::verdict))
                    .map(finding -> words.of("finding." + finding.code().name()) + ": " + words.sentence(finding, fmt))
                    .orElse("");
        }

        private Fact crimp(@Nullable Crimp crimp, @Nullable MatchedLug lug) {
            if (crimp == null) {
                return new Fact(words.of("answer.die"), words.of("answer.die.none"), words.of("answer.die.none.note"));
            }
            MatchedLug.Tooling tooling = lug == null ? null : lug.tooling();
            return new Fact(
                    words.of("answer.die"),
                    words.of("answer.die.times", crimp.crimps(), crimp.die().tag()),
                    tooling == null ? "" : EndWords.fetch(tooling, words));
        }

        private Fact torque(@Nullable TorqueSpec torque) {
            return torque == null
                    ? new Fact(words.of("answer.torque"), words.of("torque.ask"), "")
                    : new Fact(
                            words.of("answer.torque"),
                            fmt.torque(torque.nominalNm()),
                            torque.isFromTable() ? words.of("answer.torque.table") : "");
        }
    }
}
