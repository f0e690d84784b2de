package org.ulnaris.core.worked;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.job.Pole;

/** What the wiring of the whole job means to each of its cables. */
final class WiredCables {
    private final Nets nets;
    private final Map<String, Run> runs = new LinkedHashMap<>();

    WiredCables(Installation installation) {
        this.nets = new Nets(installation);
        installation.runs().forEach(run -> runs.put(run.tag(), run));
    }

    /**
     * What is said of the cables.
     *
     * @param wiring what is wrong with the wiring
     */
    Map<String, List<JobFinding>> of(List<CablePlanner.Planned> cables, List<JobFinding> wiring) {
        String wrong = wiring.stream()
                .filter(one -> one.verdict() == Verdict.STOP)
                .map(JobFinding::subject)
                .distinct()
                .sorted()
                .collect(Collectors.joining(", "));
        Map<String, List<JobFinding>> said = new LinkedHashMap<>();
        for (CablePlanner.Planned cable : cables) {
            Run run = runs.get(cable.tag());
            if (run != null) {
                List<JobFinding> own = new ArrayList<>();
                mark(cable.cable().pole(), run)
                        .ifPresent(finding -> own.add(new JobFinding(Topic.WIRING, cable.tag(), "", finding)));
                wiring.stream().filter(one -> one.subject().equals(cable.tag())).forEach(own::add);
                if (!wrong.isEmpty()) {
                    own.add(new JobFinding(Topic.WIRING, cable.tag(), "", first(wrong)));
                }
                said.put(cable.tag(), own);
            }
        }
        return said;
    }

    /** While sources and loads contradict one another no current is true, and no size a pass. */
    private static Finding first(String wrong) {
        return Finding.said(
                FindingCode.WIRING_FIRST,
                Verdict.OPEN,
                wrong,
                note("WiredCables.currents-follow-from"),
                Source.own(note("WiredCables.kirchhoffs-laws-over")));
    }

    /** A cable whose mark is not the side that it lies on gets the wrong colour, and is taken for what it is not. */
    private Optional<Finding> mark(Pole pole, Run run) {
        String node = run.from().node();
        double volt = nets.levelV(node).orElse(0);
        Verdict verdict = null;
        if (pole == Pole.NEGATIVE && nets.live(node)) {
            verdict = Verdict.STOP;
        } else if (pole == Pole.POSITIVE && nets.returns(node)) {
            verdict = Verdict.WATCH;
        }
        return Optional.ofNullable(verdict)
                .map(found -> new Finding(
                        FindingCode.POLE_MARK,
                        found,
                        volt,
                        0,
                        "V",
                        Explanation.read(note("WiredCables.over-the-lowest"), term("U", volt, "V")),
                        Source.practice(note("WiredCables.red-is-plus"))));
    }
}
