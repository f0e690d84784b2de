package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.ulnaris.app.ribbon.EndWords;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.fastening.SharedStack;
import org.ulnaris.core.fastening.Stud;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.termination.StripLength;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.SharedStuds;

/** The figures that follow from a lug, with why. */
public final class LugFacts {
    private LugFacts() {}

    static List<Fact> of(MatchedLug match, EndPlan plan, EndView.Shown shown) {
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        Crimp crimp = match.crimp();
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact(
                EndPart.STRIP,
                words.of("fact.strip"),
                fmt.bench(match.stripMm()),
                words.of("fact.strip.note", fmt.small(match.gapMm())),
                StripLength.explanation(match.lug().barrel(), match.gapMm())));
        if (crimp != null) {
            facts.add(new Fact(
                    EndPart.CRIMP,
                    words.of("fact.crimps"),
                    Integer.toString(crimp.crimps()),
                    words.of("fact.crimps.note", positions(crimp, fmt)),
                    why(crimp.findings(), FindingCode.CRIMP_COUNT)));
        }
        tool(match, words).ifPresent(facts::add);
        facts.add(
                shrink(match.shrink(), match.shrink().beforeLug() ? "fact.shrink.before" : "fact.shrink.after", shown));
        facts.add(torque(plan, fmt, words));
        OptionalDouble next = match.fit().nextHoleLossPercent();
        facts.add(new Fact(
                EndPart.STUD,
                words.of("fact.contact"),
                fmt.area(Figures.rounded(match.fit().contactAreaMm2(), 3)),
                next.isPresent() ? words.of("fact.contact.note", Figures.fixed(next.getAsDouble(), 0)) : "",
                why(match.findings(), FindingCode.CONTACT_AREA)));
        facts.add(new Fact(
                EndPart.STUD,
                words.of("fact.stud"),
                fmt.small(match.stack().studNeededMm()),
                words.of("fact.stud.note", fmt.small(match.stack().heightMm()), HardwareStack.THREADS_PROUD),
                match.stack().explanation()));
        SharedStuds.Shared shared = shown.shared();
        if (shared != null) {
            facts.add(new Fact(
                    EndPart.STUD,
                    words.of("fact.shared"),
                    fmt.small(shared.stack().studNeededMm()),
                    words.of(
                            "fact.shared.note",
                            shared.stack().lugs().stream()
                                    .map(SharedStack.Pad::name)
                                    .collect(Collectors.joining(", "))),
                    shared.stack().explanation()));
        }
        return facts;
    }

    private static Optional<Fact> tool(MatchedLug match, Words words) {
        MatchedLug.Tooling tooling = match.tooling();
        return tooling == null
                ? Optional.empty()
                : Optional.of(new Fact(
                        EndPart.CRIMP,
                        words.of("fact.tool"),
                        tooling.tool().tag(),
                        EndWords.fetch(tooling, words),
                        words.of("fact.tool.why", tooling.dies().die().tag())));
    }

    private static Fact torque(EndPlan plan, Fmt fmt, Words words) {
        TorqueSpec torque = plan.torque();
        if (torque == null) {
            return new Fact(
                    EndPart.STUD, words.of("fact.torque"), words.of("torque.ask"), "", words.of("torque.ask.why"));
        }
        String twin = twin(torque, plan.landing().stud(), fmt, words);
        String all = fmt.torqueElse(torque.nominalNm());
        return new Fact(
                EndPart.STUD,
                words.of("fact.torque"),
                fmt.torque(torque.nominalNm()),
                twin.isEmpty() ? all : all + ". " + twin,
                words.of(
                        "fact.torque.why",
                        torque.source().text(),
                        fmt.torque(torque.minNm()),
                        fmt.torque(torque.maxNm())));
    }

    /** What the table of the other series says for a stud nearly as thick; empty where the maker has spoken. */
    public static String twin(TorqueSpec torque, Stud stud, Fmt fmt, Words words) {
        if (!torque.isFromTable()) {
            return "";
        }
        Stud twin = TorqueSpec.twin(stud);
        TorqueSpec other = TorqueSpec.byStud(twin);
        return words.of(
                "torque.twin",
                twin.name(),
                fmt.torque(other.nominalNm()),
                other.source().text());
    }

    static Fact shrink(ShrinkChoice sleeve, String note, EndView.Shown shown) {
        Words words = shown.words();
        Fmt fmt = shown.fmt();
        ShrinkTube tube = sleeve.tube();
        return new Fact(
                EndPart.SLEEVE,
                words.of("fact.shrink"),
                tube == null
                        ? "—"
                        : tube.name() + " · " + fmt.bench(sleeve.cover().cutLengthMm()),
                tube == null
                        ? words.of(note)
                        : words.of(
                                "fact.shrink.tube",
                                words.of(note),
                                tube.ratio(),
                                fmt.small(tube.expandedMm()),
                                fmt.small(tube.recoveredMm()),
                                fmt.small(tube.wallMm())),
                sleeve.finding().explanation());
    }

    private static Explanation why(List<Finding> findings, FindingCode code) {
        return findings.stream()
                .filter(finding -> finding.code() == code)
                .findFirst()
                .map(Finding::explanation)
                .orElse(Explanation.words(""));
    }

    /** Centres of the crimps from the mouth, pad end first. */
    public static String positions(Crimp crimp, Fmt fmt) {
        return crimp.positionsMm().stream().map(fmt::small).collect(Collectors.joining(", "));
    }
}
