package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Terminal.Port;

/** What connects to what: short circuits, swapped poles, voltages that do not go together. Only what is wrong is said. */
public final class WiringCheck {
    /** A charger set this far above what its bank is charged with is watched, and this far stopped. */
    private static final double ABOVE_CHARGE = 1.03;

    private static final double FAR_ABOVE_CHARGE = 1.10;
    /** A bank of the job's voltage differs by its chemistry, not by more. */
    private static final double ONE_SYSTEM = 0.30;

    private static final double NO_LEVEL_V = 1e-6;
    private static final Source KIRCHHOFF = Source.own("Kirchhoff's voltage law over the sources of the job");

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
                seriesTap(load);
            }
            if (device instanceof Device.Charger charger) {
                seriesTap(charger);
                window(charger);
            }
        }
        bankVoltage();
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
                    Explanation.read("nothing but conductors lies between its poles", term("U", ownV, "V")),
                    way(found.source()));
        } else {
            say(
                    device,
                    found.foundV() < 0 ? FindingCode.POLES_SWAPPED : FindingCode.SOURCES_DIFFER,
                    Math.abs(found.foundV()),
                    ownV,
                    Explanation.read(
                            "what the other sources hold between its poles",
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
            say(
                    load,
                    FindingCode.BOTH_POLES,
                    0,
                    0,
                    Explanation.words("its plus and its minus lie on one side of the sources"),
                    "");
        } else if (volt < 0) {
            say(
                    load,
                    FindingCode.POLES_SWAPPED,
                    -volt,
                    0,
                    Explanation.read("plus over minus", term("U", volt, "V")),
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
                                "the units of a string are no longer equally charged",
                                term("U", level(above.get().plus()), "V")),
                        above.get().device().tag());
                return;
            }
        }
    }

    /** A charger against each bank between the same nets. */
    private void window(Device.Charger charger) {
        for (Nets.Source source : nets.sources()) {
            boolean across = source.isBank()
                    && nets.same(source.plus(), charger.at(Port.PLUS).node())
                    && nets.same(source.minus(), charger.at(Port.MINUS).node());
            if (!across) {
                continue;
            }
            double chargeV = source.highestV();
            double restV = ((Device.Bank) source.device()).build().restV();
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
                                        "between the bank at rest and its charging voltage; the maker of the bank rules",
                                        term("U_set", charger.setV(), "V"),
                                        term("U_rest", restV, "V"),
                                        term("U_charge", chargeV, "V")),
                                Chemistry.source(),
                                source.device().tag())));
            }
        }
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
                                "every drop in percent and every working voltage is counted on the job's",
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
