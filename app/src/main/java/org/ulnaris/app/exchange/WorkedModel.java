package org.ulnaris.app.exchange;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Answer of {@code GET /api/v1/jobs/{id}/worked}: the verdicts of a job, as every page and paper shows them. */
final class WorkedModel {
    private WorkedModel() {}

    /**
     * A finding with what it is about.
     *
     * @param topic what it belongs to
     * @param subject tag of the cable, fuse or load; the terminal as it is written
     * @param where the end or the case; empty when it holds for all of it
     */
    record SaidPart(Topic topic, String subject, String where, ApiModel.FindingPart finding) {
        static SaidPart of(JobFinding said) {
            return new SaidPart(said.topic(), said.subject(), said.where(), ApiModel.FindingPart.of(said.finding()));
        }
    }

    /**
     * A cable.
     *
     * @param size designation; null while neither a current nor a hand says one
     * @param decidedBy the check that decided its size; null while its current is not known
     */
    record WorkedCablePart(
            String tag,
            @Nullable String size,
            Verdict verdict,
            @Nullable String decidedBy,
            List<SaidPart> findings) {
        static WorkedCablePart of(WorkedCable cable) {
            return new WorkedCablePart(
                    cable.tag(),
                    cable.sizeSaid().orElse(null),
                    cable.verdict(),
                    cable.carried().known() ? cable.decidedBy().name() : null,
                    cable.findings().stream().map(SaidPart::of).toList());
        }
    }

    /**
     * A job.
     *
     * @param verdict the one verdict of the job
     * @param further what is said of loads, fuses, terminals and the hull
     */
    record WorkedAnswer(Verdict verdict, List<WorkedCablePart> cables, List<SaidPart> further) {
        static WorkedAnswer of(WorkedJob job) {
            return new WorkedAnswer(
                    job.verdict(),
                    job.cables().stream().map(WorkedCablePart::of).toList(),
                    job.further().stream().map(SaidPart::of).toList());
        }
    }
}
