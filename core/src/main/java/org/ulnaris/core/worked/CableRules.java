package org.ulnaris.core.worked;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.solving.Joints;
import org.ulnaris.core.solving.RunResult;
import org.ulnaris.core.termination.Lug;

/** What is said of one cable by itself: its current, its size, its way, its ends. */
final class CableRules {
    private static final double SAME = 1 + 1e-6;
    /** Direct voltage that may be touched in a dry place (IEC 61140, recalled), V. */
    private static final double TOUCH_V = 60;

    private static final LevenshteinDistance DISTANCE = LevenshteinDistance.getDefaultInstance();

    private final JobModel model;
    private final Set<String> names;

    CableRules(JobModel model) {
        this.model = model;
        this.names = model.terminals().stream().map(Terminal::toString).collect(Collectors.toSet());
    }

    /**
     * What is said of a cable by itself.
     *
     * @param run what flows in it; null where no load tells
     * @param liveV the highest voltage that its sources bring, V; 0 where none is known
     */
    List<JobFinding> of(CablePlanner.Planned planned, @Nullable RunResult run, double liveV) {
        List<JobFinding> said = new ArrayList<>();
        String tag = planned.cable().tag();
        current(planned, run).ifPresent(finding -> said.add(new JobFinding(Topic.SIZE, tag, "", finding)));
        touch(liveV).ifPresent(finding -> said.add(new JobFinding(Topic.SIZE, tag, "", finding)));
        gone(planned).ifPresent(finding -> said.add(new JobFinding(Topic.SIZE, tag, "", finding)));
        for (Side side : Side.values()) {
            unknownPoint(planned.cable(), side)
                    .ifPresent(finding -> said.add(new JobFinding(Topic.WIRING, tag, side.name(), finding)));
        }
        if (planned.carried().known()) {
            size(planned, run).forEach(finding -> said.add(new JobFinding(Topic.SIZE, tag, "", finding)));
        }
        planned.plan().roomFinding().ifPresent(finding -> said.add(new JobFinding(Topic.END, tag, "", finding)));
        planned.plan().clockFinding().ifPresent(finding -> said.add(new JobFinding(Topic.END, tag, "", finding)));
        for (Side side : Side.values()) {
            end(planned, side, said);
        }
        return said;
    }

    /** A current that nobody knows, or one that was typed below what flows. */
    private static Optional<Finding> current(CablePlanner.Planned planned, @Nullable RunResult run) {
        if (!planned.carried().known()) {
            return Optional.of(Finding.said(
                    FindingCode.NO_CURRENT,
                    Verdict.OPEN,
                    "",
                    note("CableRules.no-case-makes"),
                    Source.own(note("CableRules.a-size-follows"))));
        }
        OptionalDouble typed = planned.cable().typedA();
        if (run == null || typed.isEmpty() || run.continuousA() <= typed.getAsDouble() * SAME) {
            return Optional.empty();
        }
        return Optional.of(new Finding(
                FindingCode.TYPED_CURRENT,
                Verdict.STOP,
                typed.getAsDouble(),
                run.continuousA(),
                "A",
                Explanation.read(
                        note("CableRules.what-the-loads"),
                        term("I", run.continuousA(), "A"),
                        term("I_typed", typed.getAsDouble(), "A")),
                Source.own(note("CableRules.kirchhoffs-laws-over")),
                run.worstCase()));
    }

    /** An end that is no terminal of a job with equipment: what flows through the cable, and what protects it, is then not known. */
    private Optional<Finding> unknownPoint(CableModel cable, Side side) {
        String point = cable.points().at(side);
        if (names.isEmpty() || point.isBlank() || names.contains(point)) {
            return Optional.empty();
        }
        String nearest = names.stream()
                .sorted()
                .min(Comparator.comparingInt(name -> DISTANCE.apply(folded(name), folded(point))))
                .orElse("");
        return Optional.of(Finding.said(
                FindingCode.POINT_UNKNOWN,
                Verdict.OPEN,
                point,
                note("CableRules.point-unknown", nearest),
                Source.own(note("CableRules.currents-and-protection"))));
    }

    private static String folded(String name) {
        return name.toUpperCase(Locale.ROOT);
    }

    /** A voltage that hurts whoever touches it. */
    private Optional<Finding> touch(double liveV) {
        Installation.System system = model.ground().system();
        double volt = Math.max(liveV, Math.max(system.nominalV(), system.chargingV()));
        return volt <= TOUCH_V
                ? Optional.empty()
                : Optional.of(new Finding(
                        FindingCode.TOUCH_VOLTAGE,
                        Verdict.WATCH,
                        volt,
                        TOUCH_V,
                        "V",
                        Explanation.read(
                                note("CableRules.touch-voltage"), term("U", volt, "V"), term("U_touch", TOUCH_V, "V")),
                        new Source("IEC 61140, IEC 60364-4-41", note("CableRules.touch"), Confidence.RECALLED_MEDIUM)));
    }

    /** A size chosen by hand that no series has. */
    private static Optional<Finding> gone(CablePlanner.Planned planned) {
        String chosen = planned.cable().chosenSize();
        return chosen == null || planned.size().byHand()
                ? Optional.empty()
                : Optional.of(Finding.said(
                        FindingCode.SIZE_GONE,
                        Verdict.STOP,
                        chosen,
                        note("CableRules.no-size-is"),
                        Source.given(note("CableRules.size-chosen-by"))));
    }

    private List<Finding> size(CablePlanner.Planned planned, @Nullable RunResult run) {
        CableModel cable = planned.cable();
        List<Finding> findings = new ArrayList<>(planned.size().inUse().findings());
        planned.plan().sleeves().heat(planned.size().inUse().conductorTempC()).ifPresent(findings::add);
        findings.add(
                Joints.finding(Run.ENDS + cable.extraJoints(), planned.size().conductor()));
        cable.way()
                .route()
                .ifPresent(route -> findings.addAll(route.findings(
                        planned.plan().cable().outerMm(),
                        model.ground().system().house().bendDiameters())));
        if (run != null) {
            findings.addAll(run.findings());
        }
        return findings;
    }

    private void end(CablePlanner.Planned planned, Side side, List<JobFinding> said) {
        String tag = planned.cable().tag();
        goneParts(planned.cable().end(side), model.shop())
                .forEach(finding -> said.add(new JobFinding(Topic.END, tag, side.name(), finding)));
        Termination termination = planned.plan().end(side).termination();
        Optional<String> size = WorkedCable.sizeSaid(planned.carried(), planned.size());
        if (termination == null) {
            Verdict missing = planned.cable().end(side).said() ? Verdict.STOP : Verdict.OPEN;
            size.ifPresent(designation -> said.add(new JobFinding(
                    Topic.END,
                    tag,
                    side.name(),
                    Finding.said(
                            FindingCode.END_MISSING,
                            missing,
                            designation,
                            note("CableRules.the-stock-holds"),
                            Source.own(note("CableRules.what-the-stock"))))));
            return;
        }
        boolean asked = !planned.cable().end(side).said();
        termination
                .findings()
                .forEach(finding -> said.add(new JobFinding(
                        topic(finding.code()),
                        tag,
                        side.name(),
                        asked && finding.stops() && topic(finding.code()) == Topic.END ? finding.asked() : finding)));
    }

    private static Topic topic(FindingCode code) {
        return switch (code) {
            case DIE_MISSING, TOOL_MISSING, TOOL_TRUST, TOOL_CYCLE, CRIMP_FORCE, SPIKE_DEPTH -> Topic.TOOL;
            default -> Topic.END;
        };
    }

    /** Parts picked by hand that are no longer there. */
    private static List<Finding> goneParts(EndModel end, Shop shop) {
        List<Finding> findings = new ArrayList<>();
        EndModel.Pick pick = end.contact();
        if (pick == null
                && end.lugCode() != null
                && CablePlanner.named(shop.lugs(), Lug::code, end.lugCode()) == null) {
            findings.add(part(end.lugCode(), note("CableRules.the-lug-is")));
        }
        if (pick != null
                && pick.code() != null
                && CablePlanner.named(shop.contacts(), Contact::code, pick.code()) == null) {
            findings.add(part(pick.code(), note("CableRules.the-contact-is")));
        }
        if (end.dieTag() != null && CablePlanner.named(shop.dies(), Die::tag, end.dieTag()) == null) {
            findings.add(part(end.dieTag(), note("CableRules.the-dies-are")));
        }
        return findings;
    }

    private static Finding part(String name, String reason) {
        return Finding.said(
                FindingCode.PART_GONE, Verdict.STOP, name, reason, Source.given(note("CableRules.part-chosen-by")));
    }

    /** A cable that carries plus needs protection; one that no network reaches is not known to have it. */
    static Optional<Finding> unknownProtection(CableModel cable, Optional<ProtectionCheck.Report> report) {
        return report.filter(one -> one.reached().contains(cable.tag())).isPresent() || cable.pole() != Pole.POSITIVE
                ? Optional.empty()
                : Optional.of(Finding.said(
                        FindingCode.FUSE_UNKNOWN,
                        Verdict.OPEN,
                        report.isPresent() ? note("CableRules.no-source") : note("CableRules.no-case"),
                        note("CableRules.no-source-of"),
                        Source.practice(note("CableRules.every-conductor-is"))));
    }
}
