package org.ulnaris.core.worked;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.solving.InstallationResult;

/**
 * A whole job worked out once: whatever shows a part of it reads from here.
 *
 * @param model what it was worked out from
 * @param network its loads and cables solved; empty while there is no equipment or no case
 * @param protection what its fuses protect; empty without a network
 * @param cables its cables, in their order
 * @param further what is said of loads, fuses, terminals and the hull
 * @param studs where lugs of several cables meet
 */
public record WorkedJob(
        JobModel model,
        Optional<InstallationResult> network,
        Optional<ProtectionCheck.Report> protection,
        List<WorkedCable> cables,
        List<JobFinding> further,
        Map<Terminal, SharedStuds.Shared> studs) {
    public WorkedJob {
        cables = List.copyOf(cables);
        further = List.copyOf(further);
        studs = Map.copyOf(studs);
    }

    /**
     * The cable {@code tag}.
     *
     * @throws IllegalArgumentException when there is none
     */
    public WorkedCable cable(String tag) {
        return cables.stream()
                .filter(cable -> cable.tag().equals(tag))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("no cable '" + tag + "'"));
    }

    /** Everything that is said, each once: of the cables in their order, then of all else. */
    public List<JobFinding> findings() {
        List<JobFinding> all = new ArrayList<>();
        for (WorkedCable cable : cables) {
            cable.findings().stream()
                    .filter(said -> said.subject().equals(cable.tag()))
                    .forEach(all::add);
        }
        all.addAll(further);
        return List.copyOf(all);
    }

    /** The one verdict of the job. */
    public Verdict verdict() {
        return verdict(findings());
    }

    /** What is said of a fuse, a load or a terminal. */
    public List<JobFinding> about(String subject) {
        return further.stream().filter(said -> said.subject().equals(subject)).toList();
    }

    /** What is said of a piece of equipment and of its terminals. */
    public List<JobFinding> ofPiece(String tag) {
        return further.stream()
                .filter(said -> said.subject().equals(tag)
                        || Terminal.read(said.subject())
                                .filter(terminal -> terminal.device().equals(tag))
                                .isPresent())
                .toList();
    }

    /**
     * The one verdict of a cable or of a piece of equipment with its terminals, whichever bears the tag. A piece of which nothing was judged
     * is open: no cable ends at it, or no case says what works.
     */
    public Verdict verdictOf(String tag) {
        return cables.stream()
                .filter(cable -> cable.tag().equals(tag))
                .findFirst()
                .map(WorkedCable::verdict)
                .orElseGet(() -> verdict(ofPiece(tag)).and(isJudged(tag) ? Verdict.PASS : Verdict.OPEN));
    }

    private boolean isJudged(String piece) {
        return network.isPresent()
                && cables.stream()
                        .flatMap(cable -> Stream.of(Side.values())
                                .flatMap(side -> cable.cable().points().terminal(side).stream()))
                        .anyMatch(terminal -> terminal.device().equals(piece));
    }

    /** Verdict of each circuit, by its name: of its cables. */
    public Map<String, Verdict> circuits() {
        Map<String, Verdict> circuits = new LinkedHashMap<>();
        for (WorkedCable cable : cables) {
            if (!cable.circuit().isEmpty()) {
                circuits.merge(cable.circuit(), cable.verdict(), Verdict::and);
            }
        }
        return circuits;
    }

    private static Verdict verdict(List<JobFinding> findings) {
        return findings.stream().map(JobFinding::verdict).reduce(Verdict.PASS, Verdict::and);
    }
}
