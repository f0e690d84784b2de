package org.ulnaris.core.worked;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.PlanInput;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizeChoice;

/**
 * A cable worked out.
 *
 * @param cable what was said of it
 * @param carried what it carries
 * @param circuit name of its circuit; empty where it belongs to none
 * @param size its ladder with the size in use
 * @param input what its ends were planned from
 * @param plan both ends
 * @param alone what is said of it by itself
 * @param findings everything that is said of it, of its protection and of the studs that it lands on too
 */
public record WorkedCable(
        CableModel cable,
        Carried carried,
        String circuit,
        SizeChoice size,
        PlanInput input,
        CablePlan plan,
        List<JobFinding> alone,
        List<JobFinding> findings) {
    private static final Set<FindingCode> HEAT =
            EnumSet.of(FindingCode.TERMINAL_TEMPERATURE, FindingCode.TERMINAL_COLUMN, FindingCode.HEAT_BALANCE);

    public WorkedCable {
        alone = List.copyOf(alone);
        findings = List.copyOf(findings);
    }

    public String tag() {
        return cable.tag();
    }

    public Rung rung() {
        return size.inUse();
    }

    /** Designation of its size; empty while neither a current nor a hand says one: the rung in use then means nothing. */
    public Optional<String> sizeSaid() {
        return sizeSaid(carried, size);
    }

    static Optional<String> sizeSaid(Carried carried, SizeChoice size) {
        return carried.known() || size.byHand()
                ? Optional.of(size.inUse().size().designation())
                : Optional.empty();
    }

    /** The one verdict of the cable. */
    public Verdict verdict() {
        return verdict(findings);
    }

    /** The verdict of what is planned, whatever was made of it. */
    public Verdict planVerdict() {
        return verdict(
                findings.stream().filter(said -> said.topic() != Topic.MADE).toList());
    }

    /** The verdict of some of its topics. */
    public Verdict verdict(Topic... topics) {
        return verdict(of(topics));
    }

    /** Its findings of some topics. */
    public List<JobFinding> of(Topic... topics) {
        List<Topic> wanted = List.of(topics);
        return findings.stream().filter(said -> wanted.contains(said.topic())).toList();
    }

    /** Its findings about one end, with those of the stud that the end lands on, and with why nothing can be said while it has no size. */
    public List<JobFinding> at(Side side) {
        boolean bare = sizeSaid().isEmpty();
        return findings.stream()
                .filter(said -> said.where().equals(side.name())
                        || said.subject().equals(cable.points().at(side))
                        || (bare && said.finding().code() == FindingCode.NO_CURRENT))
                .toList();
    }

    /** The verdict of one end. */
    public Verdict verdict(Side side) {
        return verdict(at(side));
    }

    /** What {@link #at} says of one place of an end. */
    public List<JobFinding> at(Side side, EndPart part) {
        return at(side).stream().filter(said -> EndPart.of(said) == part).toList();
    }

    private static Verdict verdict(List<JobFinding> findings) {
        return findings.stream().map(JobFinding::verdict).reduce(Verdict.PASS, Verdict::and);
    }

    /** Why it is no pass: the first of its worst findings; empty when it is one. */
    public Optional<JobFinding> reason() {
        return findings.stream().filter(said -> said.verdict().asks()).min(JobFinding.WORST_FIRST);
    }

    /** Whether every size is too hot, for itself or for its terminals, from a current that loads are taken to draw for good. */
    public boolean isTooHotForGood() {
        Optional<Rung> chosen = size.result().chosen();
        boolean waits = chosen.isPresent() && !chosen.get().stands();
        return (waits || chosen.isEmpty() && HEAT.contains(decidedBy()))
                && size.result().demand().spells() == null
                && !carried.worstCase().isEmpty();
    }

    /** The check that decided its size. */
    public FindingCode decidedBy() {
        return size.result().decidedBy();
    }
}
