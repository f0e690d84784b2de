package org.ulnaris.core.worked;

import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.ulnaris.core.budget.Ties;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.TerminalCheck;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.making.PairLength;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.termination.Place;

/** What is said of more than one cable: pairs, what meets on a stud, the hull, the paths of the loads. */
final class JobWideRules {
    private final JobModel model;
    private final Set<Terminal> terminals;

    JobWideRules(JobModel model, Set<Terminal> terminals) {
        this.model = model;
        this.terminals = terminals;
    }

    /** Plus and minus of a pair of stackable connectors, one length: said of the minus, by its tag. */
    Map<String, Finding> pairs(List<CablePlanner.Planned> cables) {
        Map<String, CablePlanner.Planned> plus = new HashMap<>();
        for (CablePlanner.Planned cable : cables) {
            if (pole(cable) == Pole.POSITIVE && stackable(cable)) {
                plus.put(stem(cable), cable);
            }
        }
        Map<String, Finding> pairs = new HashMap<>();
        for (CablePlanner.Planned cable : cables) {
            CablePlanner.Planned other = plus.get(stem(cable));
            if (pole(cable) == Pole.NEGATIVE && other != null && stackable(cable)) {
                pairs.put(
                        cable.cable().tag(),
                        PairLength.finding(
                                1000 * other.cable().way().lengthM(),
                                1000 * cable.cable().way().lengthM()));
            }
        }
        return pairs;
    }

    /** By the sign of its tag, where it has one: that is how a pair is told. */
    private static Pole pole(CablePlanner.Planned cable) {
        String tag = cable.tag();
        if (tag.endsWith("+")) {
            return Pole.POSITIVE;
        }
        return tag.endsWith("−") || tag.endsWith("-")
                ? Pole.NEGATIVE
                : cable.cable().pole();
    }

    private static String stem(CablePlanner.Planned cable) {
        return Ties.stem(cable.cable().tag());
    }

    private static boolean stackable(CablePlanner.Planned cable) {
        return Stream.of(cable.plan().a().contact(), cable.plan().b().contact())
                .anyMatch(contact -> contact != null && contact.contact().family() == Family.STACKABLE);
    }

    /** What is said of each terminal on which cables land. */
    Map<Terminal, List<Finding>> terminals(
            List<CablePlanner.Planned> cables, Map<Terminal, SharedStuds.Shared> shared) {
        Map<Terminal, List<OptionalDouble>> areas = new LinkedHashMap<>();
        for (CablePlanner.Planned cable : cables) {
            OptionalDouble area =
                    WorkedCable.sizeSaid(cable.carried(), cable.size()).isPresent()
                            ? OptionalDouble.of(cable.size().inUse().size().areaMm2())
                            : OptionalDouble.empty();
            for (Side side : Side.values()) {
                cable.cable()
                        .points()
                        .terminal(side)
                        .filter(terminals::contains)
                        .ifPresent(terminal -> areas.computeIfAbsent(terminal, missing -> new ArrayList<>())
                                .add(area));
            }
        }
        Map<Terminal, List<Finding>> findings = new LinkedHashMap<>();
        Map<Terminal, Integer> most = new HashMap<>();
        for (Piece piece : model.pieces()) {
            for (Terminal terminal : piece.device().terminals()) {
                piece.mostLugs().ifPresent(lugs -> most.put(terminal, lugs));
                if (areas.containsKey(terminal)) {
                    TerminalCheck.metal(piece.metal()).ifPresent(finding -> add(findings, terminal, finding));
                }
            }
        }
        TerminalCheck.check(areas, most, model.ground().system().house())
                .forEach((terminal, some) -> some.forEach(finding -> add(findings, terminal, finding)));
        shared.forEach((terminal, stud) -> {
            stud.stack().finding(stud.studLengthMm()).ifPresent(finding -> add(findings, terminal, finding));
            if (!stud.torqueGiven()) {
                stud.stack().torqueUnknown().ifPresent(finding -> add(findings, terminal, finding));
            }
        });
        return findings;
    }

    private static void add(Map<Terminal, List<Finding>> findings, Terminal terminal, Finding finding) {
        findings.computeIfAbsent(terminal, missing -> new ArrayList<>()).add(finding);
    }

    /** Cables that return through the hull of a boat, said of the hull. */
    List<JobFinding> hull() {
        if (model.ground().place() != Place.BOAT) {
            return List.of();
        }
        List<JobFinding> said = new ArrayList<>();
        for (Piece piece : model.pieces()) {
            List<Terminal> own = piece.device().terminals();
            int joined = (int) model.cables().stream()
                    .filter(cable -> Stream.of(Side.values())
                            .map(cable.points()::terminal)
                            .flatMap(Optional::stream)
                            .anyMatch(own::contains))
                    .count();
            if (piece.chassis() && joined > 0) {
                said.add(new JobFinding(Topic.TERMINAL, piece.device().tag(), "", TerminalCheck.hullReturn(joined)));
            }
        }
        return said;
    }

    /** Fuses on a terminal that is not there. */
    List<JobFinding> unmounted() {
        List<JobFinding> said = new ArrayList<>();
        for (Piece piece : model.pieces()) {
            if (piece.device() instanceof Device.Fuse fuse && fuse.on() != null && !terminals.contains(fuse.on())) {
                said.add(new JobFinding(
                        Topic.WIRING,
                        fuse.tag(),
                        "",
                        Finding.said(
                                FindingCode.POINT_UNKNOWN,
                                Verdict.OPEN,
                                fuse.on().toString(),
                                note("JobWideRules.nothing-leads-to"),
                                Source.own(note("JobWideRules.a-fuse-sits")))));
            }
        }
        return said;
    }

    /** What is said of the loads, of each check the worst of all cases. */
    static List<JobFinding> paths(InstallationResult result) {
        Map<String, JobFinding> worst = new LinkedHashMap<>();
        for (CaseResult one : result.cases()) {
            for (CaseResult.LoadFinding found : one.findings(result.installation())) {
                worst.merge(
                        found.load() + "\n" + found.finding().code(),
                        new JobFinding(Topic.PATH, found.load(), one.operating().name(), found.finding()),
                        (a, b) -> a.verdict().compareTo(b.verdict()) >= 0 ? a : b);
            }
        }
        return List.copyOf(worst.values());
    }
}
