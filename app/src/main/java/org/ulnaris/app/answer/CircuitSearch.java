package org.ulnaris.app.answer;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.answer.CircuitMaker.Wish;
import org.ulnaris.app.assembly.JobParts;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.ask.CableShare;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.ask.Meaning;
import org.ulnaris.core.ask.Said;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.JobWorker;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedJob;

/** Chooses the size and the fuse of a line's circuit together: the least metal for which all passes, else the least bad. */
final class CircuitSearch {
    /** What is tried where the line names no drop and nothing stands by the usual one, %. */
    private static final List<Double> FURTHER_DROPS = List.of(5.0, 10.0, 20.0);
    /** So many thicker sizes are looked at for a fuse that passes. */
    private static final int MOST_THICKER = 4;

    private final Line line;
    private final JobRules rules;
    private final Shop shop;
    private final Words words;
    private final Said said;

    CircuitSearch(Line line, JobRules rules, Shop shop, Words words) {
        this.line = line;
        this.rules = rules;
        this.shop = shop;
        this.words = words;
        this.said = line.said();
    }

    /**
     * A circuit worked out.
     *
     * @param maker what makes it
     * @param fuse its fuse; null where none is asked for, or none does
     * @param share what each of its cables may lose, %; empty for all that the load allows
     * @param dropRaised whether more drop was taken than is usual
     */
    record Found(
            CircuitMaker maker, @Nullable FuseCheck fuse, OptionalDouble share, WorkedJob worked, boolean dropRaised) {
        private boolean stands() {
            return worked.cable(CircuitMaker.OUT).size().byHand()
                    || worked.cable(CircuitMaker.OUT).size().result().chosen().isPresent();
        }

        /** Of what the circuit itself is, whatever the crib holds for its ends. */
        private Verdict verdict() {
            return worked.findings().stream()
                    .filter(found -> found.topic() != Topic.END && found.topic() != Topic.TOOL)
                    .map(JobFinding::verdict)
                    .reduce(Verdict.PASS, Verdict::and);
        }

        private double areaMm2() {
            return worked.cable(CircuitMaker.OUT).rung().size().areaMm2();
        }
    }

    /** The best circuit; one of which no size stands only where no assumption mends that. */
    Found best() {
        Found usual = best(0);
        boolean dropSaid = said.figure(Meaning.DROP).isPresent() || said.says(Meaning.DROP_V);
        if (usual.stands() || dropSaid) {
            return usual;
        }
        return FURTHER_DROPS.stream()
                .filter(drop -> drop > usual.maker().allowedPercent())
                .map(this::best)
                .filter(Found::stands)
                .findFirst()
                .orElse(usual);
    }

    private Found best(double dropPercent) {
        Found first = first(dropPercent);
        if (first.verdict().compareTo(Verdict.WATCH) < 0 || said.size().isPresent()) {
            return first;
        }
        List<Found> all = new ArrayList<>(List.of(first));
        List<FuseCheck> tried = new ArrayList<>();
        for (Rung thicker : thicker(first)) {
            fuseFor(dropPercent, first, thicker.size())
                    .filter(fuse -> tried.stream().noneMatch(one -> same(one, fuse)))
                    .ifPresent(fuse -> {
                        tried.add(fuse);
                        all.add(found(maker(dropPercent), fuse, dropPercent));
                    });
        }
        return all.stream()
                .min(Comparator.comparing((Found found) -> !found.stands())
                        .thenComparing(Found::verdict)
                        .thenComparingDouble(Found::areaMm2))
                .orElseThrow();
    }

    /** A fuse lets its load work for good: it is chosen for the size that does, and again for the size that it led to. */
    private Found first(double dropPercent) {
        CircuitMaker forGood = new CircuitMaker(line.forGood(), rules, shop, words, new Wish(dropPercent, null));
        WorkedJob bare = work(forGood.circuit(null, OptionalDouble.empty(), AnswerService.USUAL_STUD));
        FuseCheck fuse = proposed(bare);
        Found found = found(maker(dropPercent), fuse, dropPercent);
        FuseCheck settled = fuse == null ? null : settled(found.worked(), fuse);
        return settled == fuse ? found : found(found.maker(), settled, dropPercent);
    }

    private CircuitMaker maker(double dropPercent) {
        return new CircuitMaker(line, rules, shop, words, new Wish(dropPercent, null));
    }

    /** The circuit behind {@code fuse}, its cables as thick as the whole path asks. */
    private Found found(CircuitMaker maker, @Nullable FuseCheck fuse, double dropPercent) {
        boolean raised = dropPercent > maker.usualPercent();
        WorkedJob fused = work(maker.circuit(fuse, OptionalDouble.empty(), AnswerService.USUAL_STUD));
        OptionalDouble share = said.size().isPresent() ? OptionalDouble.empty() : share(fused);
        return share.isEmpty()
                ? new Found(maker, fuse, share, fused, raised)
                : new Found(maker, fuse, share, work(maker.circuit(fuse, share, AnswerService.USUAL_STUD)), raised);
    }

    private static WorkedJob work(JobParts parts) {
        return JobWorker.work(parts.model());
    }

    /** What the cables may lose where the whole path loses too much. */
    private static OptionalDouble share(WorkedJob fused) {
        return AnswerService.pathDrop(fused)
                .map(path -> CableShare.percent(
                        path,
                        fused.cable(CircuitMaker.OUT).rung(),
                        fused.model().ground().system().house().sizes()))
                .orElse(OptionalDouble.empty());
    }

    /** The fuse that the bare circuit asks for; of the rating that the line names. */
    private @Nullable FuseCheck proposed(WorkedJob bare) {
        OptionalDouble named = said.figure(Meaning.FUSE);
        return bare.protection().stream()
                .flatMap(report -> report.proposals().stream())
                .filter(proposal -> proposal.tag().equals(CircuitMaker.OUT))
                .findFirst()
                .flatMap(proposal -> named.isEmpty()
                        ? proposal.best()
                        : proposal.ranked().stream()
                                .filter(fuse -> fuse.ratingA() == named.getAsDouble())
                                .findFirst())
                .orElse(null);
    }

    /** The fuse for the size that it led to itself: one that does better there. */
    private FuseCheck settled(WorkedJob fused, FuseCheck first) {
        return ranked(fused)
                .findFirst()
                .filter(best ->
                        best.verdict().compareTo(first.on(best.guarded()).verdict()) < 0)
                .orElse(first);
    }

    /** Fuses for the cable out as it is in {@code fused}, the best first; of the rating that the line names. */
    private Stream<FuseCheck> ranked(WorkedJob fused) {
        OptionalDouble named = said.figure(Meaning.FUSE);
        return fused.network().stream()
                .flatMap(result -> ProtectionCheck.scene(result, CircuitMaker.FUSE).stream())
                .flatMap(scene -> scene.cables().stream())
                .filter(guarded -> guarded.run().run().tag().equals(CircuitMaker.OUT))
                .limit(1)
                .flatMap(guarded -> FuseChooser.rank(guarded.cable()).stream())
                .filter(fuse -> named.isEmpty() || fuse.ratingA() == named.getAsDouble());
    }

    private static List<Rung> thicker(Found first) {
        double now = first.areaMm2();
        return first.worked().cable(CircuitMaker.OUT).size().result().rungs().stream()
                .filter(rung -> rung.size().areaMm2() > now)
                .limit(MOST_THICKER)
                .toList();
    }

    /** The best fuse for the circuit in {@code size}; empty where it has none. */
    private Optional<FuseCheck> fuseFor(double dropPercent, Found first, ConductorSize size) {
        if (first.fuse() == null) {
            return Optional.empty();
        }
        CircuitMaker sized = new CircuitMaker(line, rules, shop, words, new Wish(dropPercent, size));
        WorkedJob worked = work(
                sized.circuit(Objects.requireNonNull(first.fuse()), OptionalDouble.empty(), AnswerService.USUAL_STUD));
        return ranked(worked).findFirst().filter(fuse -> Verdict.worstOf(fuse.findings()) != Verdict.STOP);
    }

    private static boolean same(FuseCheck one, FuseCheck other) {
        return one.family() == other.family() && one.ratingA() == other.ratingA();
    }
}
