package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;

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
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.feed.ConductorLimit;
import org.ulnaris.core.feed.FaultNetwork;
import org.ulnaris.core.feed.Feeds;
import org.ulnaris.core.feed.Feeds.Fed;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.feed.FuseSide;
import org.ulnaris.core.feed.Wires.Part;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
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
import org.ulnaris.core.protection.ShortCircuitHeat;
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
    private final FaultNetwork fresh;
    private final FaultNetwork tired;
    private final Placement.School school;
    private final List<Fed> fed;
    private final Map<String, Boolean> within = new HashMap<>();
    private final Map<Device.Fuse, FuseSide> fuses = new LinkedHashMap<>();
    private final Map<Device.Fuse, Map<String, FusePlace>> places = new HashMap<>();

    private ProtectionCheck(InstallationResult result) {
        this.result = result;
        this.installation = result.installation();
        result.runs().forEach(run -> runs.put(run.run().tag(), run));
        this.nets = new Nets(installation);
        this.feeds = new Feeds(installation, nets);
        this.fresh =
                FaultNetwork.fresh(installation, nets, run -> run(run.tag()).ohmAt20());
        this.tired =
                FaultNetwork.tired(installation, nets, run -> run(run.tag()).ohmAt20());
        this.fed = installation.runs().stream()
                .filter(run -> nets.live(run.from().node()))
                .map(feeds::of)
                .filter(Fed::reached)
                .toList();
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse fuse) {
                feeds.side(fuse).ifPresent(side -> fuses.put(fuse, side));
            }
        }
        Map<String, Fed> byRun =
                fed.stream().collect(Collectors.toMap(one -> one.run().tag(), one -> one));
        this.school =
                installation.system().house().placement(installation.system().ruleSet());
        FusePlaces places = new FusePlaces(
                feeds,
                nets,
                (run, node) -> {
                    Fed one = byRun.get(run.tag());
                    return one != null && one.at(node).limitA() > 0 && within(one, one.at(node));
                },
                school);
        fuses.keySet().forEach(fuse -> this.places.put(fuse, places.of(fuse)));
    }

    /**
     * What is said of a cable or a fuse.
     *
     * @param tag the cable or the fuse
     * @param finding the check
     */
    public record Subject(String tag, Finding finding) {}

    /**
     * A cable whose protection is stopped.
     *
     * @param tag the cable
     * @param guarded what a fuse would have to protect
     * @param limitA what can flow into it for good as it is, A; infinity where a bank feeds it and nothing opens
     * @param from the piece from which it comes in
     * @param withinMm how far from there a fuse may sit, bare, mm
     */
    public record Proposal(String tag, ProtectedCable guarded, double limitA, String from, double withinMm) {
        /** Fuses that would do for it, best first; none of them need pass. */
        public List<FuseCheck> ranked() {
            return FuseChooser.rank(guarded);
        }

        /** The thinnest size of {@code ladder} that stands all that can flow in, and passes every other check; empty for none. */
        public Optional<Rung> allTheWay(SizingResult ladder) {
            return ladder.rungs().stream()
                    .filter(rung ->
                            rung.passes() && rung.passesHeatBalance() && rung.ampacityA() * Feeds.EQUAL >= limitA)
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
        for (Fed one : fed) {
            RunResult run = run(one);
            reached.add(run.run().tag());
            List<Finding> findings = judge(one, run);
            findings.forEach(finding -> subjects.add(new Subject(run.run().tag(), finding)));
            if (findings.stream().anyMatch(Finding::stops)) {
                proposals.add(new Proposal(
                        run.run().tag(),
                        guarded(one, run),
                        one.worst().limitA(),
                        FusePlaces.name(one.near()),
                        Placement.limitMm(school, Placement.Run.OPEN)));
            }
        }
        Set<String> unprotected = fed.stream()
                .filter(one -> !within(one))
                .flatMap(one -> Stream.of(one.near(), one.far()))
                .collect(Collectors.toSet());
        ReturnCheck returns = new ReturnCheck(feeds, nets, installation.devices(), unprotected);
        for (RunResult run : result.runs()) {
            if (nets.returns(run.run().from().node())) {
                reached.add(run.run().tag());
                returns.finding(
                                run.run(),
                                ampacityA(run),
                                installation.system().house().margins().overAmpacity())
                        .ifPresent(finding -> subjects.add(new Subject(run.run().tag(), finding)));
            }
        }
        subjects.sort(Comparator.comparing((Subject s) -> s.finding().verdict()).reversed());
        return new Report(List.copyOf(subjects), List.copyOf(proposals), Set.copyOf(reached));
    }

    private RunResult run(String tag) {
        return Objects.requireNonNull(runs.get(tag), tag);
    }

    private RunResult run(Fed one) {
        return run(one.run().tag());
    }

    /** The fuse that protects each conductor, by the conductor's tag; those without one are not named. */
    public static Map<String, Device.Fuse> protectors(InstallationResult result) {
        Map<String, Device.Fuse> protectors = new LinkedHashMap<>();
        Nets nets = new Nets(result.installation());
        Feeds feeds = new Feeds(result.installation(), nets);
        for (Run run : result.installation().runs()) {
            if (nets.live(run.from().node())) {
                feeds.of(run).worst().fuses().stream().findFirst().ifPresent(fuse -> protectors.put(run.tag(), fuse));
            }
        }
        return protectors;
    }

    /**
     * All that is drawn of a fuse on one sheet of time over current.
     *
     * @param fuse the fuse
     * @param main the fuse before it; null for the first
     * @param load what it carries
     * @param faultA current of a short circuit just behind it, A
     * @param cables the conductors that it protects
     */
    public record Scene(
            Device.Fuse fuse,
            Device.@Nullable Fuse main,
            ProtectedCable.Load load,
            double faultA,
            List<Guarded> cables) {}

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
                .filter(one -> one.worst().fuses().contains(side.fuse()))
                .map(one -> new Guarded(run(one), guarded(one, run(one))))
                .toList();
        return new Scene(side.fuse(), main(side).orElse(null), load(side.fuse()), faultA(side), cables);
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
                Math.max(LEAST_A, asked), Math.max(LEAST_A, Math.max(asked, through.surgeA())), through.surgeS());
    }

    /** The only run on a terminal. */
    private Optional<Run> soleRun(String node) {
        List<Run> on = feeds.wires().from(node).stream()
                .flatMap(edge -> edge.runs().stream())
                .toList();
        return on.size() == 1 ? Optional.of(on.get(0)) : Optional.empty();
    }

    /** What a fuse has to break, itself without resistance, A. */
    private double faultA(FuseSide side) {
        return nets.live(side.near())
                ? fresh.currentA(side.near(), FaultNetwork.DEAD_OHM).orElseGet(() -> chargersA(side.near()))
                : fresh.throughMinusA(side.near()).orElse(LEAST_A);
    }

    /** What the chargers of a net without a bank give into a short circuit: no more than they are rated for, A. */
    private double chargersA(String node) {
        return nets.lifting(node).stream()
                .map(Nets.Source::device)
                .filter(Device.Charger.class::isInstance)
                .mapToDouble(device -> ((Device.Charger) device).maxA())
                .reduce(LEAST_A, Double::sum);
    }

    private void judgeFuse(FuseSide side, List<Subject> subjects) {
        Device.Fuse fuse = side.fuse();
        double fault = faultA(side);
        ProtectedCable guarded = new ProtectedCable(
                new ProtectedCable.Cable(1e6, 1e6, 100),
                load(fuse),
                new ProtectedCable.Supply(Math.max(LEAST_A, nets.highestV(side.near())), fault, fault),
                installation.system().house().margins());
        for (Finding finding : new FuseCheck(fuse.family(), fuse.ratingA(), guarded).findings()) {
            if (!OF_THE_CABLE.contains(finding.code())) {
                subjects.add(new Subject(fuse.tag(), finding));
            }
        }
        if (!fuse.family().hasRating(fuse.ratingA())) {
            subjects.add(new Subject(fuse.tag(), unheardOf(fuse)));
        }
        worst(places.getOrDefault(fuse, Map.of()).values().stream())
                .filter(place -> nets.live(side.near()))
                .ifPresent(place -> subjects.add(new Subject(fuse.tag(), place.finding())));
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
                Explanation.read("the nearest standard rating of this family", term("I_n", nearest, "A")),
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
                                            faultA(side))
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

    private List<Finding> judge(Fed one, RunResult run) {
        List<Finding> said = one.worst().unlimited() ? List.of(unfused(one, run).finding()) : limited(one, run);
        if (said.stream().noneMatch(finding -> finding.verdict().asks())) {
            return said;
        }
        List<Feeds.Border> ahead = ahead(one);
        if (ahead.isEmpty()) {
            return said;
        }
        if (within(one)) {
            return 1000 * one.run().lengthM() <= Placement.limitMm(school, Placement.Run.OPEN)
                    ? List.of(carries(one, run, ahead))
                    : said;
        }
        return stub(one, run, ahead).orElse(said);
    }

    /** The fuses at the far end of a piece that leads to nothing else; none where it leads to anything else. */
    private List<Feeds.Border> ahead(Fed one) {
        Part beyond = feeds.part(one.run(), one.far());
        boolean toFuses = !beyond.contains(one.near()) && feeds.poles(beyond).isEmpty();
        return toFuses ? feeds.border(beyond) : List.of();
    }

    private UnfusedRun unfused(Fed one, RunResult run) {
        UnfusedKind kinds = new UnfusedKind(feeds, nets, installation);
        String feeders = nets.lifting(one.near()).stream()
                .filter(Nets.Source::isBank)
                .map(source -> source.device().tag())
                .sorted()
                .collect(Collectors.joining(", "));
        return new UnfusedRun(run, kinds.of(one), feeders);
    }

    /** A piece that leads to fuses only: it carries what they let through, and they sit near enough. */
    private Optional<List<Finding>> stub(Fed one, RunResult run, List<Feeds.Border> ahead) {
        return worst(ahead.stream().flatMap(border -> place(border).stream())).map(place -> {
            List<Finding> findings = new ArrayList<>();
            if (place.verdict() == Verdict.STOP && !one.worst().unlimited()) {
                findings.addAll(limited(one, run));
            } else {
                findings.add(carries(one, run, ahead));
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

    private Finding carries(Fed one, RunResult run, List<Feeds.Border> ahead) {
        List<Device.Fuse> opening = ahead.stream()
                .map(Feeds.Border::fuse)
                .sorted(Comparator.comparing(Device::tag))
                .toList();
        double aheadA = opening.stream().mapToDouble(Device.Fuse::ratingA).sum();
        Feed feed = new Feed(Math.min(aheadA, one.worst().limitA()), opening, List.of());
        return new ConductorLimit(feed, guarded(one, run), true).finding();
    }

    private List<Finding> limited(Fed one, RunResult run) {
        List<Finding> findings = new ArrayList<>();
        findings.add(new ConductorLimit(one.worst(), guarded(one, run), true).finding());
        withstand(one, run).ifPresent(findings::add);
        return findings;
    }

    /** The fuse that takes longest of those that open; each guards its share of the conductor. */
    private Optional<Finding> withstand(Fed one, RunResult run) {
        Feed feed = one.worst();
        return feed.fuses().stream()
                .map(fuse -> {
                    double share = fuse.ratingA() / feed.limitA();
                    return new FuseCheck(
                            fuse.family(), fuse.ratingA(), guarded(one, run).share(Math.min(1, share)));
                })
                .map(FuseCheck::withstandFinding)
                .max(Comparator.comparing(Finding::verdict)
                        .thenComparingDouble(finding -> finding.figure() / finding.limit()));
    }

    private boolean within(Fed one) {
        return within(one, one.worst());
    }

    /** Whether {@code feed}, at one of its ends, is within what it may carry. */
    private boolean within(Fed one, Feed feed) {
        return within.computeIfAbsent(
                one.run().tag() + (feed == one.atFrom() ? "\nfrom" : "\nto"),
                missing -> !feed.unlimited()
                        && !new ConductorLimit(feed, guarded(one, run(one)), true)
                                .finding()
                                .stops());
    }

    /** What a conductor may carry with all that lie beside it: of unequal ones as if all were the least, A. */
    private double ampacityA(RunResult run) {
        List<Run> bundle = feeds.bundle(run.run());
        double least = bundle.stream()
                .map(one -> run(one.tag()).inUse().ampacityA())
                .reduce(run.inUse().ampacityA(), Math::min);
        return Math.max(LEAST_A, least * Math.max(1, bundle.size()));
    }

    private ProtectedCable guarded(Fed one, RunResult run) {
        double near = fresh.currentA(one.near(), FaultNetwork.DEAD_OHM).orElseGet(() -> chargersA(one.near()));
        double far = tired.currentA(one.far(), run.ohmAt20()).orElseGet(() -> chargersA(one.near()));
        return new ProtectedCable(
                new ProtectedCable.Cable(run.inUse().size().areaMm2(), ampacityA(run), k(run.run())),
                new ProtectedCable.Load(
                        Math.max(LEAST_A, run.sizedForA()), Math.max(LEAST_A, run.surgeA()), run.surgeS()),
                new ProtectedCable.Supply(Math.max(LEAST_A, nets.highestV(one.near())), near, far),
                installation.system().house().margins());
    }

    /** What a short circuit may heat the run to, as the k of its copper, A·√s/mm². */
    private static double k(Run run) {
        double insulationC = run.laying().conditions().insulationTempC();
        double insulationEndC = ShortCircuitHeat.Insulation.rated(insulationC).finalC();
        double jointC =
                run.laying().soldered() ? ShortCircuitHeat.Insulation.SOLDERED_90.finalC() : ShortCircuitHeat.CRIMPED_C;
        double finalC = Math.min(jointC, insulationEndC);
        return ShortCircuitHeat.Metal.COPPER.k(Math.min(insulationC, finalC - 10), finalC);
    }
}
