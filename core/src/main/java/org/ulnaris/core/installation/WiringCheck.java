package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jgrapht.alg.util.UnionFind;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.measure.Unit;

/** What connects to what: short circuits, swapped poles, voltages that do not go together. Only what is wrong is said. */
public final class WiringCheck {
    /** A load on so many times its lowest working voltage is asked about, and stopped (common practice: 10.5 V of 12 V, 14.4 V charging). */
    private static final double OTHER_SYSTEM = 1.5;

    private static final double TWICE_SYSTEM = 2;
    /** Units of a string are alike within this (common practice: one kind, one size, one age). */
    private static final double LIKE_CAPACITY = 1.1;

    /** A charger set this far above what its bank is charged with is watched, and this far stopped. */
    private static final double ABOVE_CHARGE = 1.03;

    private static final double FAR_ABOVE_CHARGE = 1.10;
    /** A bank of the job's voltage differs by its chemistry, not by more. */
    private static final double ONE_SYSTEM = 0.30;

    /** What an alternator gives for hours, of the most that it can (common practice: half of it when hot). */
    private static final double FOR_GOOD = 0.5;

    private static final double NO_LEVEL_V = 1e-6;
    private static final double EQUAL = 1 + 1e-9;
    /** Rest voltages that differ by less than this share of the nominal are alike. */
    private static final double SAME_REST = 0.005;

    private static final Source KIRCHHOFF = Source.own(note("WiringCheck.kirchhoffs-voltage-law"));

    private final Installation installation;
    private final Nets nets;
    private final List<Said> said = new ArrayList<>();

    private WiringCheck(Installation installation) {
        this.installation = installation;
        this.nets = new Nets(installation);
    }

    /**
     * What is said of a piece of equipment.
     *
     * @param tag the piece
     * @param finding the check
     */
    public record Said(String tag, Finding finding) {}

    /** All that is wrong with the wiring of {@code installation}. */
    public static List<Said> check(Installation installation) {
        return new WiringCheck(installation).check();
    }

    private List<Said> check() {
        nets.contradictions().forEach(this::contradiction);
        for (Device device : installation.devices()) {
            if (device instanceof Device.Consumer load) {
                poles(load);
                if (!load.balances()) {
                    seriesTap(load);
                }
                overvoltage(load);
            }
            if (device instanceof Device.Charger charger) {
                seriesTap(charger);
                window(charger);
                if (charger.alternator()) {
                    loadDump(charger);
                    lithium(charger);
                }
            }
            if (device instanceof Device.Link link && link.shunt()) {
                pastShunt(link);
            }
        }
        bankVoltage();
        unlikeBanks();
        unlikeInSeries();
        Loops.of(installation.runs()).forEach(this::loop);
        return List.copyOf(said);
    }

    private void contradiction(Nets.Contradiction found) {
        Device device = found.source().device();
        double ownV = found.source().nominalV();
        if (found.isShort()) {
            say(
                    device,
                    FindingCode.SHORT_CIRCUIT,
                    0,
                    ownV,
                    Explanation.read(note("WiringCheck.nothing-but-conductors"), term("U", ownV, "V")),
                    way(found.source()));
        } else {
            say(
                    device,
                    found.foundV() < 0 ? FindingCode.POLES_SWAPPED : FindingCode.SOURCES_DIFFER,
                    Math.abs(found.foundV()),
                    ownV,
                    Explanation.read(
                            note("WiringCheck.what-the-other"),
                            term("U", found.foundV(), "V"),
                            term("U_own", ownV, "V")),
                    "");
        }
    }

    private void say(Device device, FindingCode code, double figure, double limit, Explanation why, String about) {
        said.add(new Said(device.tag(), new Finding(code, Verdict.STOP, figure, limit, "V", why, KIRCHHOFF, about)));
    }

    /** Both poles at one level, or minus above plus. */
    private void poles(Device.Consumer load) {
        String plus = load.at(Port.PLUS).node();
        String minus = load.at(Port.MINUS).node();
        boolean joined = nets.same(plus, minus);
        if (!joined && (nets.levelV(plus).isEmpty() || nets.levelV(minus).isEmpty())) {
            return;
        }
        double volt = level(plus) - level(minus);
        if (joined || Math.abs(volt) < NO_LEVEL_V) {
            say(load, FindingCode.BOTH_POLES, 0, 0, Explanation.words(note("WiringCheck.its-plus-and")), "");
        } else if (volt < 0) {
            say(
                    load,
                    FindingCode.POLES_SWAPPED,
                    -volt,
                    0,
                    Explanation.read(note("WiringCheck.plus-over-minus"), term("U", volt, "V")),
                    "");
        }
    }

    private double level(String node) {
        return nets.levelV(node).orElse(0);
    }

    /** A load or charger on a part of a string: its units are then drawn and charged unequally. */
    private void seriesTap(Device device) {
        for (Port port : Device.POLES) {
            String node = device.at(port).node();
            Optional<Nets.Source> above = nets.sources().stream()
                    .filter(source -> source.isBank() && nets.same(source.minus(), node))
                    .filter(source -> nets.live(source.minus()))
                    .findFirst();
            if (above.isPresent() && nets.contradictions().isEmpty()) {
                say(
                        device,
                        FindingCode.SERIES_TAP,
                        level(device.at(Port.PLUS).node())
                                - level(device.at(Port.MINUS).node()),
                        level(above.get().plus()),
                        Explanation.read(
                                note("WiringCheck.the-units-of"),
                                term("U", level(above.get().plus()), "V")),
                        above.get().device().tag());
                return;
            }
        }
    }

    private void loop(List<String> tags) {
        Finding finding = Finding.said(
                FindingCode.CABLE_LOOP,
                Verdict.WATCH,
                String.join(", ", tags),
                note("WiringCheck.what-flows-follows"),
                Source.practice(note("WiringCheck.cables-side-by")));
        tags.forEach(tag -> said.add(new Said(tag, finding)));
    }

    /** The most that any source brings to a load, against what it stands; where nobody gave that, against what it works with. */
    private void overvoltage(Device.Consumer load) {
        Double standsV = load.highestV();
        double highestV = nets.highestV(load.at(Port.PLUS).node());
        if (standsV == null) {
            beyondItsBand(load);
        }
        if (standsV != null && highestV > standsV * EQUAL) {
            say(
                    load,
                    FindingCode.LOAD_OVERVOLTAGE,
                    highestV,
                    standsV,
                    Explanation.read(note("WiringCheck.highest-charging-voltage"), term("U", highestV, "V")),
                    "");
        }
    }

    /** A load whose lowest working voltage lies far below what it hangs on is one of another system: by half it asks, at twice it stops. */
    private void beyondItsBand(Device.Consumer load) {
        double acrossV =
                level(load.at(Port.PLUS).node()) - level(load.at(Port.MINUS).node());
        double lowestV = load.draw().lowestV();
        if (load.cranking() || load.balances() || !(acrossV > OTHER_SYSTEM * lowestV)) {
            return;
        }
        said.add(new Said(
                load.tag(),
                new Finding(
                        FindingCode.LOAD_SYSTEM,
                        acrossV >= TWICE_SYSTEM * lowestV ? Verdict.STOP : Verdict.OPEN,
                        acrossV,
                        lowestV,
                        "V",
                        Explanation.read(
                                note("WiringCheck.voltage-across-it"),
                                term("U", acrossV, "V"),
                                term("U_low", lowestV, "V")),
                        Source.practice(note("WiringCheck.a-load-works")))));
    }

    /** An alternator that loses its battery while it turns: what its field holds comes out as a peak of voltage. */
    private void loadDump(Device.Charger alternator) {
        String plus = alternator.at(Port.PLUS).node();
        boolean reaches = batteries(plus, device -> true);
        if (!reaches || batteries(plus, device -> false)) {
            return;
        }
        boolean bySwitch = !batteries(plus, device -> device instanceof Device.Fuse);
        said.add(new Said(
                alternator.tag(),
                Finding.said(
                        FindingCode.ALTERNATOR_OPENS,
                        bySwitch ? Verdict.WATCH : Verdict.NOTE,
                        "",
                        bySwitch ? note("WiringCheck.a-switch-lies") : note("WiringCheck.a-fuse-lies"),
                        Source.practice(note("WiringCheck.an-alternator-keeps")))));
    }

    /** An alternator on lithium batteries that take more for good than it can give for good. */
    private void lithium(Device.Charger alternator) {
        List<Device.BankBuild> lithium = nets.lifting(alternator.at(Port.PLUS).node()).stream()
                .filter(Nets.Source::isBank)
                .map(source -> ((Device.Bank) source.device()).build())
                .filter(build -> build.chemistry().rates().managed())
                .toList();
        double takesA = lithium.stream()
                .mapToDouble(build -> build.chemistry().rates().charge() * build.ampereHours())
                .sum();
        double forGoodA = FOR_GOOD * alternator.maxA();
        if (takesA > forGoodA) {
            said.add(new Said(
                    alternator.tag(),
                    new Finding(
                            FindingCode.ALTERNATOR_LITHIUM,
                            Verdict.WATCH,
                            takesA,
                            forGoodA,
                            "A",
                            Explanation.read(
                                    note("WiringCheck.lithium-takes"),
                                    term("I_takes", takesA, "A"),
                                    term("I_max", alternator.maxA(), "A")),
                            Source.practice(note("WiringCheck.an-alternator-cools")))));
        }
    }

    /** What is joined to the battery's side of a shunt: the monitor never sees it. That side has fewer poles on it than the other. */
    private void pastShunt(Device.Link shunt) {
        UnionFind<String> joined = joined(device -> !device.equals(shunt));
        String in = joined.find(shunt.at(Port.IN).node());
        String out = joined.find(shunt.at(Port.OUT).node());
        if (in.equals(out)) {
            said.add(new Said(shunt.tag(), past(shunt.tag())));
            return;
        }
        List<Device> atIn = poles(joined, in);
        List<Device> atOut = poles(joined, out);
        boolean inCounts = banks(joined, in) && (!banks(joined, out) || atIn.size() < atOut.size());
        boolean outCounts = banks(joined, out) && (!banks(joined, in) || atOut.size() < atIn.size());
        if (inCounts != outCounts) {
            (inCounts ? atIn : atOut).forEach(device -> said.add(new Said(device.tag(), past(shunt.tag()))));
        }
    }

    private static Finding past(String shunt) {
        return Finding.said(
                FindingCode.SHUNT_PASSED,
                Verdict.WATCH,
                shunt,
                note("WiringCheck.all-cables-behind"),
                Source.practice(note("WiringCheck.a-shunt-counts")));
    }

    /** Loads and chargers with a pole in one part. */
    private List<Device> poles(UnionFind<String> joined, String part) {
        return installation.devices().stream()
                .filter(device -> device.isAppliance())
                .filter(device -> device.terminals().stream()
                        .anyMatch(terminal -> joined.find(terminal.node()).equals(part)))
                .toList();
    }

    private boolean banks(UnionFind<String> joined, String part) {
        return nets.sources().stream()
                .filter(Nets.Source::isBank)
                .anyMatch(bank -> joined.find(bank.plus()).equals(part)
                        || joined.find(bank.minus()).equals(part));
    }

    /** Whether a bank is reached from {@code node} over conductors and what may be {@code passed}. */
    private boolean batteries(String node, Predicate<Device> passed) {
        UnionFind<String> joined = joined(passed);
        return nets.sources().stream()
                .filter(Nets.Source::isBank)
                .anyMatch(bank -> joined.find(bank.plus()).equals(joined.find(node)));
    }

    private UnionFind<String> joined(Predicate<Device> passed) {
        UnionFind<String> joined = new UnionFind<>(Set.of());
        for (Device device : installation.devices()) {
            device.terminals().forEach(terminal -> joined.addElement(terminal.node()));
        }
        installation
                .runs()
                .forEach(run -> joined.union(run.from().node(), run.to().node()));
        installation.devices().stream()
                .filter(device -> device instanceof Device.Fuse || device instanceof Device.Link)
                .filter(passed)
                .forEach(device -> joined.union(
                        device.at(Port.IN).node(), device.at(Port.OUT).node()));
        return joined;
    }

    /** Banks of other chemistry side by side: what flows between them at rest. Said of the one that is charged; joined by a switch, a note. */
    private void unlikeBanks() {
        UnionFind<String> always = joined(device -> device instanceof Device.Fuse);
        List<Nets.Source> banks =
                nets.sources().stream().filter(Nets.Source::isBank).toList();
        for (int i = 0; i < banks.size(); i++) {
            for (int j = i + 1; j < banks.size(); j++) {
                Nets.Source one = banks.get(i);
                Nets.Source other = banks.get(j);
                if (nets.same(one.plus(), other.plus()) && nets.same(one.minus(), other.minus())) {
                    boolean switched = !always.find(one.plus()).equals(always.find(other.plus()));
                    boolean lower = ((Device.Bank) one.device()).build().restV()
                            < ((Device.Bank) other.device()).build().restV();
                    unlike(lower ? other : one, lower ? one : other, switched);
                }
            }
        }
    }

    private void unlike(Nets.Source one, Nets.Source other, boolean switched) {
        Device.BankBuild a = ((Device.Bank) one.device()).build();
        Device.BankBuild b = ((Device.Bank) other.device()).build();
        double apartV = Math.abs(a.restV() - b.restV());
        if (a.chemistry() == b.chemistry() && apartV < SAME_REST * one.nominalV()) {
            boolean smaller = a.ampereHours() < b.ampereHours();
            unlikeUnits(smaller ? one : other, smaller ? other : one, FindingCode.BANKS_CAPACITY, Verdict.NOTE);
            return;
        }
        double restA = apartV / (a.ohm() + b.ohm());
        said.add(new Said(
                other.device().tag(),
                new Finding(
                        FindingCode.BANKS_UNLIKE,
                        switched ? Verdict.NOTE : Verdict.WATCH,
                        restA,
                        0,
                        "A",
                        Explanation.of(
                                term("I_rest", restA, "A"),
                                term("ΔU", apartV, "V")
                                        .over(term("R_1", a.ohm(), "Ω").plus(term("R_2", b.ohm(), "Ω")))),
                        Source.practice(note("WiringCheck.banks-side-by")),
                        one.device().tag())));
    }

    /** A charger against each string of banks between its nets; one bank is a string of one. */
    private void window(Device.Charger charger) {
        String plus = charger.at(Port.PLUS).node();
        for (List<Nets.Source> string : strings(charger.at(Port.MINUS).node(), plus, List.of())) {
            double chargeV = string.stream().mapToDouble(Nets.Source::highestV).sum();
            double restV = string.stream()
                    .mapToDouble(
                            source -> ((Device.Bank) source.device()).build().restV())
                    .sum();
            Verdict verdict = null;
            if (charger.setV() > FAR_ABOVE_CHARGE * chargeV) {
                verdict = Verdict.STOP;
            } else if (charger.setV() > ABOVE_CHARGE * chargeV || charger.setV() < restV) {
                verdict = Verdict.WATCH;
            }
            if (verdict != null) {
                said.add(new Said(
                        charger.tag(),
                        new Finding(
                                FindingCode.CHARGER_WINDOW,
                                verdict,
                                charger.setV(),
                                chargeV,
                                "V",
                                Explanation.read(
                                        note("WiringCheck.between-the-bank"),
                                        term("U_set", charger.setV(), "V"),
                                        term("U_rest", restV, "V"),
                                        term("U_charge", chargeV, "V")),
                                Chemistry.source(),
                                string.stream()
                                        .map(source -> source.device().tag())
                                        .collect(Collectors.joining(" + ")))));
            }
        }
    }

    /** Every chain of banks, minus to plus, from a net up to another. */
    private List<List<Nets.Source>> strings(String from, String to, List<Nets.Source> below) {
        if (nets.same(from, to)) {
            return below.isEmpty() ? List.of() : List.of(below);
        }
        List<List<Nets.Source>> found = new ArrayList<>();
        for (Nets.Source bank : nets.sources()) {
            if (bank.isBank() && nets.same(bank.minus(), from) && !below.contains(bank)) {
                List<Nets.Source> chain = new ArrayList<>(below);
                chain.add(bank);
                found.addAll(strings(bank.plus(), to, chain));
            }
        }
        return found;
    }

    /** Batteries in a string that differ in kind or size: the smaller is empty, and full, before the other. Said of the upper one. */
    private void unlikeInSeries() {
        List<Nets.Source> banks =
                nets.sources().stream().filter(Nets.Source::isBank).toList();
        for (Nets.Source lower : banks) {
            for (Nets.Source upper : banks) {
                if (!upper.equals(lower) && nets.same(lower.plus(), upper.minus())) {
                    unlikeUnits(upper, lower, FindingCode.STRING_UNLIKE, Verdict.WATCH);
                }
            }
        }
    }

    private void unlikeUnits(Nets.Source one, Nets.Source other, FindingCode code, Verdict verdict) {
        Device.BankBuild a = ((Device.Bank) one.device()).build();
        Device.BankBuild b = ((Device.Bank) other.device()).build();
        double smaller = Math.min(a.ampereHours(), b.ampereHours());
        double larger = Math.max(a.ampereHours(), b.ampereHours());
        if (a.chemistry() == b.chemistry() && larger <= LIKE_CAPACITY * smaller) {
            return;
        }
        said.add(new Said(
                one.device().tag(),
                new Finding(
                        code,
                        verdict,
                        a.ampereHours(),
                        b.ampereHours(),
                        Unit.AMPERE_HOUR.symbol(),
                        Explanation.read(
                                note("WiringCheck.units-of-a-string"),
                                term("C_1", a.ampereHours(), Unit.AMPERE_HOUR.symbol()),
                                term("C_2", b.ampereHours(), Unit.AMPERE_HOUR.symbol())),
                        Source.practice(note("WiringCheck.units-of-a-string")),
                        other.device().tag())));
    }

    /** A job whose banks all hold another voltage than it says: said of the lowest of each string. */
    private void bankVoltage() {
        double nominalV = installation.system().nominalV();
        List<Nets.Source> banks =
                nets.sources().stream().filter(Nets.Source::isBank).toList();
        boolean fits =
                banks.stream().anyMatch(bank -> near(level(bank.plus()), nominalV) || near(bank.nominalV(), nominalV));
        for (Nets.Source bank : banks) {
            if (!fits && !nets.live(bank.minus())) {
                say(
                        bank.device(),
                        FindingCode.BANK_VOLTAGE,
                        bank.nominalV(),
                        nominalV,
                        Explanation.read(
                                note("WiringCheck.every-drop-in"),
                                term("U_bank", bank.nominalV(), "V"),
                                term("U_job", nominalV, "V")),
                        "");
            }
        }
    }

    private static boolean near(double volt, double nominalV) {
        return Math.abs(volt - nominalV) <= ONE_SYSTEM * nominalV;
    }

    /** The conductors between the poles of a source, by their tags, the shortest way. */
    private String way(Nets.Source source) {
        record Step(String tag, @Nullable String before) {}
        Map<String, Step> steps = new HashMap<>(Map.of(source.plus(), new Step("", null)));
        Deque<String> queue = new ArrayDeque<>(steps.keySet());
        while (!queue.isEmpty()) {
            String at = queue.remove();
            for (Map.Entry<String, String> way : onward(at).entrySet()) {
                if (steps.putIfAbsent(way.getValue(), new Step(way.getKey(), at)) == null) {
                    queue.add(way.getValue());
                }
            }
        }
        Deque<String> tags = new ArrayDeque<>();
        Step step = steps.get(source.minus());
        while (step != null && step.before() != null) {
            tags.addFirst(step.tag());
            step = steps.get(step.before());
        }
        return String.join(" – ", tags);
    }

    /** Where conductors lead from a node, by their tags. */
    private Map<String, String> onward(String node) {
        Map<String, String> onward = new TreeMap<>();
        for (Run run : installation.runs()) {
            across(run.from().node(), run.to().node(), node).ifPresent(to -> onward.put(run.tag(), to));
        }
        for (Device device : installation.devices()) {
            if (device instanceof Device.Fuse || device instanceof Device.Link) {
                across(device.at(Port.IN).node(), device.at(Port.OUT).node(), node)
                        .ifPresent(to -> onward.put(device.tag(), to));
            }
        }
        return onward;
    }

    private static Optional<String> across(String a, String b, String node) {
        return node.equals(a) ? Optional.of(b) : node.equals(b) ? Optional.of(a) : Optional.empty();
    }
}
