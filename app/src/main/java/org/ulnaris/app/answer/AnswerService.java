package org.ulnaris.app.answer;

import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.ShopDefaults;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.ContactChoice;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.ask.LoadAsked;
import org.ulnaris.core.ask.Meaning;
import org.ulnaris.core.ask.Said;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Answers a line as the job would be answered that it stands for, and keeps it as one. */
@Service
class AnswerService {
    static final String USUAL_STUD = "M8";
    /** Studs that are tried where the line names none, the usual one first. */
    private static final List<String> STUDS = List.of(USUAL_STUD, "M10", "M12");

    /** A current that was solved for is kept as a person would write it. */
    private static final int KEPT_DIGITS = 6;

    private final Assembler assembler;
    private final ShopDefaults shop;
    private final JobService jobs;
    private final LoadsService loads;
    private final CableService cables;
    private final MatchService match;
    private final Tags tags;
    private final Words words;

    AnswerService(
            Assembler assembler,
            ShopDefaults shop,
            JobService jobs,
            LoadsService loads,
            CableService cables,
            MatchService match,
            Tags tags,
            Words words) {
        this.words = words;
        this.assembler = assembler;
        this.shop = shop;
        this.jobs = jobs;
        this.loads = loads;
        this.cables = cables;
        this.match = match;
        this.tags = tags;
    }

    /**
     * What a line comes to.
     *
     * @param said what the line says
     * @param parts the job that it stands for
     * @param worked that job worked out
     * @param fuse the fuse that was put in; null where none is asked for, or none does
     * @param other the same cable on another stud; null where the line names its studs
     * @param dropRaised whether more drop was taken than is usual, since nothing stands otherwise
     */
    record Answer(
            Said said,
            JobParts parts,
            WorkedJob worked,
            @Nullable FuseCheck fuse,
            @Nullable WorkedCable other,
            boolean dropRaised) {
        WorkedCable cable() {
            return worked.cable(CircuitMaker.OUT);
        }

        /** What is kept of that cable. */
        CableDetails out() {
            return parts.cables().stream()
                    .filter(cable -> cable.tag().equals(CircuitMaker.OUT))
                    .findFirst()
                    .orElseThrow();
        }

        /** What is lost from the battery to the load and back against what may be, %; empty for a cable alone. */
        Optional<Finding> drop() {
            return pathDrop(worked);
        }

        /** Capacity of the battery, Ah; empty for a cable alone. */
        Optional<Double> bankAh() {
            return parts.equipment().stream()
                    .filter(piece -> piece.kind() == EquipmentKind.BANK)
                    .map(EquipmentDetails::capacityAh)
                    .findFirst();
        }
    }

    /** The answer to {@code line}; empty while it says too little. */
    @Transactional(readOnly = true)
    public Optional<Answer> answer(Line line) {
        Said said = line.said();
        if (!said.sizable() && !said.endOnly() || line.refused() || isBeyondAll(said)) {
            return Optional.empty();
        }
        if (said.endOnly()) {
            CircuitMaker maker = new CircuitMaker(line, shop.rules(), assembler.shop(), words);
            WorkedJob usual = JobWorker.work(maker.cableAlone(USUAL_STUD).model());
            String stud = bestStud(maker::cableAlone, usual);
            JobParts parts = maker.cableAlone(stud);
            return Optional.of(new Answer(
                    said,
                    parts,
                    JobWorker.work(parts.model(), usual),
                    null,
                    elsewhere(said, maker.cableAlone(otherThan(stud)), usual),
                    false));
        }
        CircuitSearch.Found found = new CircuitSearch(line, shop.rules(), assembler.shop(), words).best();
        String stud = bestStud(one -> found.maker().circuit(found.fuse(), found.share(), one), found.worked());
        JobParts parts = found.maker().circuit(found.fuse(), found.share(), stud);
        WorkedJob worked = stud.equals(USUAL_STUD) ? found.worked() : JobWorker.work(parts.model(), found.worked());
        JobParts other = found.maker().circuit(found.fuse(), found.share(), otherThan(stud));
        return Optional.of(
                new Answer(said, parts, worked, found.fuse(), elsewhere(said, other, worked), found.dropRaised()));
    }

    /** The stud on which the cable ends best, the usual one of several alike: nobody has named one, so none of them stops it. */
    private static String bestStud(Function<String, JobParts> on, WorkedJob before) {
        return STUDS.stream()
                .min(Comparator.comparing(stud -> {
                    WorkedCable cable =
                            JobWorker.work(on.apply(stud).model(), before).cable(CircuitMaker.OUT);
                    EndPlan end = cable.plan().a();
                    return end.termination() == null ? Verdict.STOP : end.verdict();
                }))
                .orElse(USUAL_STUD);
    }

    private static String otherThan(String stud) {
        return STUDS.get(Math.min(STUDS.indexOf(stud) + 1, STUDS.size() - 1));
    }

    private static @Nullable WorkedCable elsewhere(Said said, JobParts other, WorkedJob before) {
        return said.studs().isEmpty() ? JobWorker.work(other.model(), before).cable(CircuitMaker.OUT) : null;
    }

    /** Whether no cable and no equipment known here takes what flows. */
    static boolean isBeyondAll(Said said) {
        double volt = said.figure(Meaning.VOLTAGE).orElse(CircuitMaker.USUAL_V);
        return said.flows() && LoadAsked.of(said, volt).isBeyondAll(volt);
    }

    static Optional<Finding> pathDrop(WorkedJob job) {
        return job.about(CircuitMaker.LOAD).stream()
                .map(JobFinding::finding)
                .filter(finding -> finding.code() == FindingCode.PATH_DROP)
                .findFirst();
    }

    /** Keeps the circuit of {@code line} as a job of its own; empty while the line says too little. */
    @Transactional
    public Optional<Cable> keep(Line line) {
        return answer(line).map(answer -> {
            JobParts parts = answer.parts();
            return standing(parts).orElseGet(() -> {
                Job job = jobs.create(parts.job());
                loads.restore(job.id(), parts.equipment(), parts.cases());
                return kept(line, answer, job, parts.cables());
            });
        });
    }

    /** The cable of a job that was kept from the same line and that nobody has changed since: whoever goes back and keeps again means that one. */
    private Optional<Cable> standing(JobParts parts) {
        return jobs.all().stream()
                .filter(job -> !job.archived() && job.details().equals(parts.job()))
                .filter(job -> isAs(assembler.parts(job.id()), parts))
                .flatMap(job -> cables.of(job.id()).stream())
                .filter(cable -> cable.details().tag().equals(CircuitMaker.OUT))
                .findFirst();
    }

    private static boolean isAs(JobParts there, JobParts parts) {
        return there.equipment().equals(parts.equipment())
                && Set.copyOf(there.cables()).equals(Set.copyOf(parts.cables()));
    }

    /**
     * Keeps the cable of {@code line}, out and back, in a job that is there, with the current that it was sized for; empty while the line
     * says too little. Spells of work belong to a load: a line that speaks of them becomes a job of its own. A line without a voltage takes
     * that of the job.
     *
     * @throws IllegalArgumentException when the line is of another voltage than the job
     */
    @Transactional
    public Optional<Cable> keep(Line line, long jobId) {
        Job job = jobs.get(jobId);
        if (isOfAnotherVoltage(line, job)) {
            throw new IllegalArgumentException("a line of another voltage than the job: " + line.text());
        }
        if (line.said().inSpells()) {
            return keep(line);
        }
        Line there = line.said().figure(Meaning.VOLTAGE).isPresent()
                ? line
                : Line.read(
                        line.text() + " " + Figures.significant(job.details().nominalVoltageV(), 6) + " V");
        return answer(there).map(answer -> {
            List<CableDetails> pair = answer.parts().cables().stream()
                    .filter(cable ->
                            List.of(CircuitMaker.OUT, CircuitMaker.BACK).contains(cable.tag()))
                    .map(cable -> alone(cable, answer.worked().cable(cable.tag())))
                    .toList();
            return kept(there, answer, job, pair);
        });
    }

    /** Whether the line names a voltage that {@code job} has not: its current would be another there. Spells become a job of their own. */
    static boolean isOfAnotherVoltage(Line line, Job job) {
        double jobV = job.details().nominalVoltageV();
        return !line.said().inSpells()
                && line.said().figure(Meaning.VOLTAGE).stream()
                        .anyMatch(volt -> Math.abs(volt - jobV) > Nets.ONE_VOLTAGE * jobV);
    }

    private static CableDetails alone(CableDetails cable, WorkedCable worked) {
        return worked.carried().known()
                ? cable.unplaced().typed(Figures.rounded(worked.carried().currentA(), KEPT_DIGITS))
                : cable.unplaced();
    }

    /** The cable out of those that are kept; an end is said where the line named its stud, or it went on another than the usual one. */
    private Cable kept(Line line, Answer answer, Job job, List<CableDetails> all) {
        Map<String, Cable> made = new LinkedHashMap<>();
        for (CableDetails cable : all) {
            made.put(cable.tag(), cables.create(job.id(), cable.tagged(tags.free(job.id(), cable.tag()))));
        }
        boolean usualStud = answer.cable().plan().a().landing().stud().name().equals(USUAL_STUD);
        if (!line.said().studs().isEmpty() || !usualStud) {
            made.forEach((tag, cable) -> {
                Map<Side, JobParts.End> ends =
                        Objects.requireNonNull(answer.parts().ends().get(tag));
                Map<Side, EndDetails> details = new EnumMap<>(Side.class);
                CablePlan plan = answer.worked().cable(tag).plan();
                ends.forEach((side, end) -> details.put(side, with(end.details(), plan.end(side))));
                match.restore(cable.id(), details);
            });
        }
        return Objects.requireNonNull(made.get(CircuitMaker.OUT));
    }

    /** An end that is kept is said: the small terminal that stands in for a lug is kept with it. */
    private static EndDetails with(EndDetails end, EndPlan plan) {
        MatchedContact contact = plan.contact();
        return contact == null
                ? end
                : end.with(new ContactChoice(
                        contact.contact().family(), null, contact.fit().demand().method(), null, null));
    }
}
