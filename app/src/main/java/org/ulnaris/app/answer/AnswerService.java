package org.ulnaris.app.answer;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
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
import org.ulnaris.core.ask.CableShare;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.ask.LoadAsked;
import org.ulnaris.core.ask.Meaning;
import org.ulnaris.core.ask.Said;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Answers a line as the job would be answered that it stands for, and keeps it as one. */
@Service
class AnswerService {
    static final String USUAL_STUD = "M8";
    /** Shown beside the usual stud where the line names none. */
    static final String OTHER_STUD = "M10";

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
     */
    record Answer(
            Said said,
            JobParts parts,
            WorkedJob worked,
            @Nullable FuseCheck fuse,
            @Nullable WorkedCable other) {
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
        if (!said.sizable() && !said.endOnly() || isBeyondAll(said)) {
            return Optional.empty();
        }
        CircuitMaker maker = new CircuitMaker(line, shop.rules(), assembler.shop(), words);
        if (said.endOnly()) {
            return Optional.of(
                    answer(said, Circuit.of(maker.cableAlone(USUAL_STUD)), null, maker.cableAlone(OTHER_STUD)));
        }
        /* A fuse lets its load work for good: it is chosen for the size that does. */
        CircuitMaker forGood = new CircuitMaker(line.forGood(), shop.rules(), assembler.shop(), words);
        FuseCheck fuse = fuse(circuit(forGood, null, OptionalDouble.empty()).worked());
        Circuit whole = whole(said, maker, fuse);
        FuseCheck settled = fuse == null ? null : settled(whole.worked(), fuse);
        if (settled != fuse) {
            whole = whole(said, maker, settled);
        }
        return Optional.of(answer(said, whole, settled, maker.circuit(settled, whole.share(), OTHER_STUD)));
    }

    /** Whether no cable and no equipment known here takes what flows. */
    static boolean isBeyondAll(Said said) {
        double volt = said.figure(Meaning.VOLTAGE).orElse(CircuitMaker.USUAL_V);
        return said.flows() && LoadAsked.of(said, volt).isBeyondAll(volt);
    }

    /** A circuit worked out, and what each of its cables may lose, %; empty for all that the load allows. */
    private record Circuit(JobParts parts, WorkedJob worked, OptionalDouble share) {
        static Circuit of(JobParts parts) {
            return new Circuit(parts, JobWorker.work(parts.model()), OptionalDouble.empty());
        }
    }

    private static Circuit circuit(CircuitMaker maker, @Nullable FuseCheck fuse, OptionalDouble share) {
        Circuit made = Circuit.of(maker.circuit(fuse, share, USUAL_STUD));
        return new Circuit(made.parts(), made.worked(), share);
    }

    /** The circuit behind {@code fuse}, its cables as thick as the whole path asks. */
    private static Circuit whole(Said said, CircuitMaker maker, @Nullable FuseCheck fuse) {
        Circuit fused = circuit(maker, fuse, OptionalDouble.empty());
        OptionalDouble share = said.size().isPresent() ? OptionalDouble.empty() : share(fused.worked());
        return share.isEmpty() ? fused : circuit(maker, fuse, share);
    }

    private static Answer answer(Said said, Circuit circuit, @Nullable FuseCheck fuse, JobParts other) {
        WorkedJob worked = circuit.worked();
        WorkedCable elsewhere =
                said.studs().isEmpty() ? JobWorker.work(other.model(), worked).cable(CircuitMaker.OUT) : null;
        return new Answer(said, circuit.parts(), worked, fuse, elsewhere);
    }

    /** What the cables may lose where the whole path loses too much. */
    private static OptionalDouble share(WorkedJob fused) {
        return pathDrop(fused)
                .map(path -> CableShare.percent(
                        path,
                        fused.cable(CircuitMaker.OUT).rung(),
                        fused.model().ground().system().house().sizes()))
                .orElse(OptionalDouble.empty());
    }

    private static Optional<Finding> pathDrop(WorkedJob job) {
        return job.about(CircuitMaker.LOAD).stream()
                .map(JobFinding::finding)
                .filter(finding -> finding.code() == FindingCode.PATH_DROP)
                .findFirst();
    }

    /** The fuse that the bare circuit asks for. */
    private static @Nullable FuseCheck fuse(WorkedJob bare) {
        return bare.protection().stream()
                .flatMap(report -> report.proposals().stream())
                .filter(proposal -> proposal.tag().equals(CircuitMaker.OUT))
                .findFirst()
                .flatMap(ProtectionCheck.Proposal::best)
                .orElse(null);
    }

    /** The fuse for the size that it led to itself: one that does better there. */
    private static FuseCheck settled(WorkedJob fused, FuseCheck first) {
        return fused.network().stream()
                .flatMap(result -> ProtectionCheck.scene(result, CircuitMaker.FUSE).stream())
                .flatMap(scene -> scene.cables().stream())
                .filter(guarded -> guarded.run().run().tag().equals(CircuitMaker.OUT))
                .map(guarded -> FuseChooser.rank(guarded.cable()).get(0))
                .filter(best ->
                        best.verdict().compareTo(first.on(best.guarded()).verdict()) < 0)
                .findFirst()
                .orElse(first);
    }

    /** Keeps the circuit of {@code line} as a job of its own; empty while the line says too little. */
    @Transactional
    public Optional<Cable> keep(Line line) {
        return answer(line).map(answer -> {
            JobParts parts = answer.parts();
            Job job = jobs.create(parts.job());
            loads.restore(job.id(), parts.equipment(), parts.cases());
            return kept(line, answer, job, parts.cables());
        });
    }

    /**
     * Keeps the cable of {@code line}, out and back, in a job that is there, with the current that it was sized for; empty while the line
     * says too little. Spells of work belong to a load: a line that speaks of them becomes a job of its own.
     */
    @Transactional
    public Optional<Cable> keep(Line line, long jobId) {
        Job job = jobs.get(jobId);
        if (line.said().inSpells()) {
            return keep(line);
        }
        return answer(line).map(answer -> {
            List<CableDetails> pair = answer.parts().cables().stream()
                    .filter(cable ->
                            List.of(CircuitMaker.OUT, CircuitMaker.BACK).contains(cable.tag()))
                    .map(cable -> alone(cable, answer.worked().cable(cable.tag())))
                    .toList();
            return kept(line, answer, job, pair);
        });
    }

    private static CableDetails alone(CableDetails cable, WorkedCable worked) {
        return worked.carried().known()
                ? cable.unplaced().typed(Figures.rounded(worked.carried().currentA(), KEPT_DIGITS))
                : cable.unplaced();
    }

    /** The cable out of those that are kept; an end is said only where the line named its stud. */
    private Cable kept(Line line, Answer answer, Job job, List<CableDetails> all) {
        Map<String, Cable> made = new LinkedHashMap<>();
        for (CableDetails cable : all) {
            made.put(cable.tag(), cables.create(job.id(), cable.tagged(tags.free(job.id(), cable.tag()))));
        }
        if (!line.said().studs().isEmpty()) {
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
