package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.feed.FedCable;
import org.ulnaris.core.feed.Feeds;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.feed.FuseSide;
import org.ulnaris.core.feed.ReturnDrive;
import org.ulnaris.core.feed.ShortCircuits;
import org.ulnaris.core.feed.SideBySide;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.protection.FuseCheck;
import org.ulnaris.core.protection.FuseChooser;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.protection.Placement;
import org.ulnaris.core.protection.ProtectedCable;
import org.ulnaris.core.protection.Selectivity;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.sizing.SizingResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.RunResult;

/**
 * Protection of every conductor against every source that can feed it: a conductor is protected when what can flow into each of its ends
 * for good is within what it may carry. A piece without such a limit that leads to fuses only is held against the school of placement.
 */
public final class ProtectionCheck {
    private static final double LEAST_A = 0.001;
    /** What a fuse means for its cable; the rest of its checks is its own. */
    private static final Set<FindingCode> OF_THE_CABLE =
            Set.of(FindingCode.FUSE_AMPACITY, FindingCode.FUSE_WITHSTAND, FindingCode.FUSE_BLIND);

    private final InstallationResult result;
    private final Installation installation;
    private final Map<String, RunResult> runs = new HashMap<>();
    private final Nets nets;
    private final Feeds feeds;
    private final ShortCircuits shorts;
    private final Placement.School school;
    private final List<FedCable> fed;
    private final Map<String, Boolean> within = new ConcurrentHashMap<>();
    private final Map<Device.Fuse, FuseSide> fuses = new LinkedHashMap<>();
    private final Map<Device.Fuse, Map<String, FusePlace>> places = new ConcurrentHashMap<>();

    private ProtectionCheck(InstallationResult result) {
        this.result = result;
        this.installation = result.installation();
        result.runs().forEach(run -> runs.put(run.run().tag(), run));
        this.nets = result.feeding().nets();
        this.feeds = result.feeding().feeds();
        this.shorts = result.shorts();
        this.fed = List.copyOf(result.feeding().cables().values());
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse fuse) {
                feeds.side(fuse).ifPresent(side -> fuses.put(fuse, side));
            }
        }
        this.school =
                installation.system().house().placement(installation.system().ruleSet());
        FusePlaces places = new FusePlaces(
                feeds,
                nets,
                (run, node) -> {
                    FedCable one = result.feeding().cables().get(run.tag());
                    return one != null
                            && one.fed().at(node).limitA() > 0
                            && within(one, one.fed().at(node));
                },
                school);
        fuses.keySet().parallelStream().forEach(fuse -> this.places.put(fuse, places.of(fuse)));
    }

    /**
     * What is said of a cable or a fuse.
     *
     * @param tag the cable or the fuse
     * @param finding the check
     */
    public record Subject(String tag, Finding finding) {}

    /**
     * A cable whose protection is stopped, or that is thicker than its load asks for because of what feeds it.
     *
     * @param tag the cable
     * @param thinnest the size that a fuse of its own would have to protect
     * @param guarded that size
     * @param limitA what can flow into it for good as it is, A; infinity where a bank feeds it and nothing opens
     * @param from the piece from which it comes in
     * @param withinMm how far from there a fuse may sit, bare, mm
     * @param stopped whether something stops its protection; else only its size is thicker than its load asks for
     * @param families the families to choose its fuse from
     */
    public record Proposal(
            String tag,
            Rung thinnest,
            ProtectedCable guarded,
            double limitA,
            String from,
            double withinMm,
            boolean stopped,
            List<FuseFamily> families) {
        /** Fuses that would do for it, best first; none of them need pass. */
        public List<FuseCheck> ranked() {
            return FuseChooser.rank(guarded, families);
        }

        /**
         * The fuse to put in: the best that does for the thinnest size; else the smallest that suits load, voltage and short circuit, and
         * the cable follows it. Empty where none does.
         */
        public Optional<FuseCheck> best() {
            List<FuseCheck> ranked = ranked();
            return ranked.stream()
                    .limit(1)
                    .filter(check -> check.verdict() != Verdict.STOP)
                    .findFirst()
                    .or(() -> ranked.stream()
                            .filter(check -> check.findings().stream()
                                    .noneMatch(finding -> finding.stops() && !OF_THE_CABLE.contains(finding.code())))
                            .min(Comparator.comparingDouble(FuseCheck::ratingA)
                                    .thenComparingDouble(check -> check.family().interruptingA())));
        }

        /** The thinnest size of {@code ladder} that stands all that can flow in, and passes every other check; empty for none. */
        public Optional<Rung> allTheWay(SizingResult ladder) {
            return ladder.rungs().stream()
                    .filter(rung -> rung.standsAlone() && rung.protectableA() * Feeds.EQUAL >= limitA)
                    .findFirst();
        }
    }

    /**
     * All findings, worst first, and proposals for cables whose protection is stopped.
     *
     * @param reached tags of the conductors that a source reaches, returns among them: the protection of all others is not known
     */
    public record Report(List<Subject> subjects, List<Proposal> proposals, Set<String> reached) {
        /** Worst of all findings. */
        public Verdict verdict() {
            return Verdict.worstOf(subjects.stream().map(Subject::finding).toList());
        }
    }

    /** Checks {@code result}. */
    public static Report check(InstallationResult result) {
        return new ProtectionCheck(result).check();
    }

    private Report check() {
        List<Subject> subjects = new ArrayList<>();
        List<Proposal> proposals = new ArrayList<>();
        Set<String> reached = new HashSet<>();
        fuses.values().forEach(side -> judgeFuse(side, subjects));
        gateless(subjects);
        selectivity().ifPresent(subjects::add);
        for (Judged judged : fed.parallelStream().map(this::judged).toList()) {
            reached.add(judged.tag());
            judged.findings().forEach(finding -> subjects.add(new Subject(judged.tag(), finding)));
            judged.proposal().ifPresent(proposals::add);
        }
        Set<String> unprotected = fed.stream()
                .filter(one -> !within(one))
                .flatMap(one -> Stream.of(one.fed().near(), one.fed().far()))
                .collect(Collectors.toSet());
        Map<String, ReturnDrive.Drive> drives = result.feeding().drives(unprotected);
        double overAmpacity = installation.system().house().margins().overAmpacity();
        for (RunResult run : result.runs()) {
            if (result.feeding().isReturn(run.run())) {
                reached.add(run.run().tag());
                ReturnDrive.Drive drive = drives.get(run.run().tag());
                if (drive != null) {
                    subjects.add(new Subject(
                            run.run().tag(),
                            drive.finding(ampacityA(run), run.inUse().overAmpacity(overAmpacity))));
                }
                ProtectedCable.Cable back = new ProtectedCable.Cable(
                        run.inUse().size().areaMm2(),
                        ampacityA(run),
                        run.run().laying().shortCircuitK());
                result.feeding()
                        .withstand(run.run(), back, shorts, unprotected)
                        .ifPresent(finding -> subjects.add(new Subject(run.run().tag(), finding)));
            }
        }
        subjects.sort(Comparator.comparing((Subject s) -> s.finding().verdict()).reversed());
        return new Report(List.copyOf(subjects), List.copyOf(proposals), Set.copyOf(reached));
    }

    /** What is said of one conductor; it depends on no other's. */
    private record Judged(String tag, List<Finding> findings, Optional<Proposal> proposal) {}

    private Judged judged(FedCable one) {
        RunResult run = run(one);
        List<Finding> findings = judge(one, run);
        return new Judged(
                run.run().tag(), findings, proposal(one, run, findings.stream().anyMatch(Finding::stops)));
    }

    private RunResult run(String tag) {
        return Objects.requireNonNull(runs.get(tag), tag);
    }

    private RunResult run(FedCable one) {
        return run(one.fed().run().tag());
    }

    /** The ways out of a cable that is stopped, or whose proposal would be thinner behind a fuse of its own. */
    private Optional<Proposal> proposal(FedCable one, RunResult run, boolean stopped) {
        SizingResult ladder = run.sizing();
        boolean thicker = !run.choice().byHand()
                && !one.isStub()
                && ladder.alone().map(alone -> alone != run.inUse()).orElse(false);
        if (!stopped && !thicker) {
            return Optional.empty();
        }
        Rung thinnest = run.choice().byHand() ? run.inUse() : ladder.alone().orElseGet(run::inUse);
        return Optional.of(new Proposal(
                run.run().tag(),
                thinnest,
                guarded(one, run, thinnest),
                one.fed().worst().limitA(),
                FusePlaces.name(one.fed().near()),
                Placement.limitMm(school, Placement.Run.OPEN),
                stopped,
                families(one.fed().near())));
    }

    /** The families of fuses for what feeds {@code node}. */
    private List<FuseFamily> families(String node) {
        return nets.panelsOnly(node) ? FuseFamily.PANEL.kin() : FuseFamily.COMMON;
    }

    /**
     * All that is drawn of a fuse on one sheet of time over current.
     *
     * @param fuse the fuse
     * @param main the fuse before it; null for the first
     * @param load what it carries
     * @param faultA current of a short circuit just behind it, A
     * @param asked the banks that feed it, and whose resistance nobody gave
     * @param cables the conductors that it protects
     * @param families the families to choose another from
     */
    public record Scene(
            Device.Fuse fuse,
            Device.@Nullable Fuse main,
            ProtectedCable.Load load,
            double faultA,
            List<Device.Bank> asked,
            List<Guarded> cables,
            List<FuseFamily> families) {}

    /** A conductor that a fuse protects, with the current of a short circuit at its far end. */
    public record Guarded(RunResult run, ProtectedCable cable) {}

    /** The scene of the fuse {@code tag}; empty where no source feeds it. */
    public static Optional<Scene> scene(InstallationResult result, String tag) {
        ProtectionCheck check = new ProtectionCheck(result);
        return check.fuses.values().stream()
                .filter(side -> side.fuse().tag().equals(tag))
                .findFirst()
                .map(check::scene);
    }

    private Scene scene(FuseSide side) {
        List<Guarded> cables = fed.stream()
                .filter(one -> one.fed().worst().fuses().contains(side.fuse()))
                .map(one -> new Guarded(run(one), guarded(one, run(one), run(one).inUse())))
                .toList();
        return new Scene(
                side.fuse(),
                main(side).orElse(null),
                load(side.fuse()),
                shorts.faultA(side),
                shorts.typicalBanks(side),
                cables,
                families(side.near()));
    }

    private static Optional<Device.Fuse> main(FuseSide side) {
        return side.feed().fuses().stream()
                .filter(fuse -> !fuse.equals(side.fuse()))
                .findFirst();
    }

    private ProtectedCable.Load load(Device.Fuse fuse) {
        InstallationResult.Through through = result.through(fuse.tag());
        double asked = Stream.of(Port.IN, Port.OUT)
                .flatMap(port -> soleRun(fuse.at(port).node()).stream())
                .mapToDouble(Run::typedA)
                .reduce(through.continuousA(), Math::max);
        return new ProtectedCable.Load(
                Math.max(LEAST_A, asked),
                Math.max(LEAST_A, Math.max(asked, through.surgeA())),
                through.surgeS(),
                aroundC(fuse));
    }

    /** The air around a fuse: the warmest of the conductors that end there, °C. */
    private double aroundC(Device.Fuse fuse) {
        return Stream.of(Port.IN, Port.OUT)
                .flatMap(port -> feeds.wires().from(fuse.at(port).node()).stream())
                .flatMap(edge -> edge.runs().stream())
                .mapToDouble(run -> run(run.tag()).inUse().derating().localAmbientC())
                .reduce(FuseFamily.RATED_C, Math::max);
    }

    /** The only run on a terminal. */
    private Optional<Run> soleRun(String node) {
        List<Run> on = feeds.wires().from(node).stream()
                .flatMap(edge -> edge.runs().stream())
                .toList();
        return on.size() == 1 ? Optional.of(on.get(0)) : Optional.empty();
    }

    private void judgeFuse(FuseSide side, List<Subject> subjects) {
        Device.Fuse fuse = side.fuse();
        ProtectedCable guarded = new ProtectedCable(
                new ProtectedCable.Cable(1e6, 1e6, 100),
                load(fuse),
                shorts.supply(side),
                installation.system().house().margins());
        for (Finding finding : new FuseCheck(fuse.family(), fuse.ratingA(), guarded).findings()) {
            if (!OF_THE_CABLE.contains(finding.code())) {
                subjects.add(new Subject(fuse.tag(), backedUp(side, finding).orElse(finding)));
            }
        }
        if (!fuse.family().hasRating(fuse.ratingA())) {
            subjects.add(new Subject(fuse.tag(), unheardOf(fuse)));
        }
        if (fuse.family() == FuseFamily.BREAKER_ONE_WAY
                && result.through(fuse.tag()).bothWays()) {
            subjects.add(new Subject(fuse.tag(), oneWay(fuse)));
        }
        worst(places.getOrDefault(fuse, Map.of()).values().stream())
                .filter(place -> nets.live(side.near()))
                .ifPresent(place -> subjects.add(new Subject(fuse.tag(), place.finding())));
    }

    /** A fuse that does not break the fault by itself, behind one that does: the makers say whether the two hold together. */
    private Optional<Finding> backedUp(FuseSide side, Finding finding) {
        if (finding.code() != FindingCode.FUSE_INTERRUPTING || !finding.stops()) {
            return Optional.empty();
        }
        double volt = nets.highestV(side.near());
        return main(side)
                .filter(main -> main.family().interruptingA(volt) >= finding.figure())
                .map(main -> new Finding(
                        FindingCode.FUSE_BACKED_UP,
                        Verdict.WATCH,
                        finding.figure(),
                        finding.limit(),
                        finding.unit(),
                        Explanation.read(
                                note("ProtectionCheck.the-fuse-before"),
                                term("I_k", finding.figure(), finding.unit()),
                                term("I_main", main.family().interruptingA(volt), finding.unit())),
                        Source.practice(note("ProtectionCheck.back-up-by")),
                        main.tag()));
    }

    /** A breaker for one way in a cable that carries current both ways: its arc is driven into the mechanism. */
    private Finding oneWay(Device.Fuse fuse) {
        return Finding.said(
                FindingCode.BREAKER_POLARITY,
                Verdict.STOP,
                "",
                note("ProtectionCheck.its-cable-carries"),
                Source.practice(note("ProtectionCheck.a-polarised-breaker")));
    }

    /** A rating that its family does not have: no gate of the standard holds for it. */
    private static Finding unheardOf(Device.Fuse fuse) {
        double nearest = fuse.family().nearestRatingA(fuse.ratingA());
        return new Finding(
                FindingCode.FUSE_RATING,
                Verdict.WATCH,
                fuse.ratingA(),
                nearest,
                "A",
                Explanation.read(note("ProtectionCheck.the-nearest-standard"), term("I_n", nearest, "A")),
                FuseFamily.source());
    }

    /** One word for the whole job on which branches open before their mains. */
    private Optional<Subject> selectivity() {
        List<Subject> all = new ArrayList<>();
        for (FuseSide side : fuses.values()) {
            Device.Fuse fuse = side.fuse();
            main(side)
                    .ifPresent(main -> all.add(new Subject(
                            fuse.tag(),
                            new Selectivity(
                                            main.family().curve(main.ratingA()),
                                            fuse.family().curve(fuse.ratingA()),
                                            shorts.faultA(side))
                                    .finding())));
        }
        return all.stream()
                .min(Comparator.comparingDouble((Subject one) ->
                                one.finding().figure() / one.finding().limit())
                        .thenComparing(Subject::tag))
                .map(worst -> new Subject(worst.tag(), about(worst.finding(), notSelective(all))));
    }

    /** One word for the whole job on surges that no gate of a family speaks of. */
    private static void gateless(List<Subject> subjects) {
        List<Subject> notes = subjects.stream()
                .filter(one -> one.finding().code() == FindingCode.FUSE_SURGE
                        && one.finding().verdict() == Verdict.NOTE)
                .sorted(Comparator.comparingDouble(
                                (Subject one) -> -one.finding().figure())
                        .thenComparing(Subject::tag))
                .toList();
        if (!notes.isEmpty()) {
            subjects.removeAll(notes);
            Subject longest = notes.get(0);
            String tags = notes.stream().map(Subject::tag).sorted().collect(Collectors.joining(", "));
            subjects.add(new Subject(longest.tag(), about(longest.finding(), tags)));
        }
    }

    private static String notSelective(List<Subject> all) {
        return all.stream()
                .filter(one -> one.finding().verdict() != Verdict.PASS)
                .map(Subject::tag)
                .sorted()
                .collect(Collectors.joining(", "));
    }

    private static Finding about(Finding finding, String about) {
        return new Finding(
                finding.code(),
                finding.verdict(),
                finding.figure(),
                finding.limit(),
                finding.unit(),
                finding.explanation(),
                finding.source(),
                about);
    }

    private List<Finding> judge(FedCable one, RunResult run) {
        List<Finding> said = one.fed().worst().unlimited() ? unlimited(one, run) : limited(one, run);
        if (one.ahead().isEmpty()
                || said.stream().noneMatch(finding -> finding.verdict().asks())) {
            return said;
        }
        if (within(one)) {
            return one.near() ? List.of(carries(one, run)) : said;
        }
        return stub(one, run).orElse(said);
    }

    /** Without a fuse; a link within a string carries what the string's fuses let through, whatever its loads draw today. */
    private List<Finding> unlimited(FedCable one, RunResult run) {
        UnfusedRun unfused = unfused(one, run);
        Optional<Finding> string = unfused.isLink()
                ? feeds.outOfString(one.fed().run().from().node())
                        .filter(out -> !out.fuses().isEmpty())
                        .map(out -> one.in(run.inUse())
                                .limit(out, ampacityA(run), run.load().continuousA()))
                        .filter(finding -> finding.verdict().asks())
                : Optional.empty();
        return Stream.concat(Stream.of(unfused.finding()), string.stream()).toList();
    }

    private UnfusedRun unfused(FedCable one, RunResult run) {
        UnfusedKind kinds = new UnfusedKind(feeds, nets, installation);
        String feeders = nets.lifting(one.fed().near()).stream()
                .filter(Nets.Source::isBank)
                .map(source -> source.device().tag())
                .sorted()
                .collect(Collectors.joining(", "));
        return new UnfusedRun(run, kinds.of(one.fed()), feeders);
    }

    /** A piece that leads to fuses only: it carries what they let through, and they sit near enough. */
    private Optional<List<Finding>> stub(FedCable one, RunResult run) {
        return worst(one.ahead().stream().flatMap(border -> place(border).stream()))
                .map(place -> {
                    List<Finding> findings = new ArrayList<>();
                    if (place.verdict() == Verdict.STOP && !one.fed().worst().unlimited()) {
                        findings.addAll(limited(one, run));
                    } else {
                        findings.add(carries(one, run));
                    }
                    if (place.verdict() != Verdict.PASS) {
                        findings.add(place.finding());
                    }
                    return findings;
                });
    }

    private Optional<FusePlace> place(Feeds.Border border) {
        return Optional.ofNullable(places.getOrDefault(border.fuse(), Map.of()).get(border.node()));
    }

    private static Optional<FusePlace> worst(Stream<FusePlace> places) {
        return places.max(FusePlace.BEST_FIRST);
    }

    private Finding carries(FedCable one, RunResult run) {
        return one.in(run.inUse()).carries(ampacityA(run), run.load().continuousA());
    }

    private List<Finding> limited(FedCable one, RunResult run) {
        List<Finding> findings = new ArrayList<>();
        findings.add(one.in(run.inUse()).limit(ampacityA(run), run.load().continuousA()));
        one.withstand(guarded(one, run, run.inUse())).ifPresent(findings::add);
        return findings;
    }

    private boolean within(FedCable one) {
        return within(one, one.fed().worst());
    }

    /** Whether {@code feed}, at one of its ends, is within what it may carry. */
    private boolean within(FedCable one, Feed feed) {
        return within.computeIfAbsent(
                one.fed().run().tag() + (feed == one.fed().atFrom() ? "\nfrom" : "\nto"),
                missing -> !feed.unlimited()
                        && !one.in(run(one).inUse())
                                .limit(
                                        feed,
                                        ampacityA(run(one)),
                                        run(one).load().continuousA())
                                .stops());
    }

    /** What a conductor may carry with all that lie beside it, A. */
    private double ampacityA(RunResult run) {
        return ampacityA(run, run.inUse());
    }

    private double ampacityA(RunResult run, Rung rung) {
        List<SideBySide.Carrier> carriers = feeds.bundle(run.run()).stream()
                .map(one -> {
                    Rung size = one.tag().equals(run.run().tag())
                            ? rung
                            : run(one.tag()).inUse();
                    return new SideBySide.Carrier(size.protectableA(), size.ohm(one.lengthM()));
                })
                .toList();
        return Math.max(LEAST_A, carriers.size() < 2 ? rung.protectableA() : SideBySide.ampacityA(carriers));
    }

    private ProtectedCable guarded(FedCable one, RunResult run, Rung rung) {
        return new ProtectedCable(
                new ProtectedCable.Cable(
                        rung.size().areaMm2(),
                        ampacityA(run, rung),
                        run.run().laying().shortCircuitK()),
                run.load(),
                shorts.supply(one.fed(), rung.ohm(run.run().lengthM())),
                one.in(rung).margins());
    }
}
