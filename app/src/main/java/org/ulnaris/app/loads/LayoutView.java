package org.ulnaris.app.loads;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.LayoutDrawer;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.RunResult;

/** A job's network in one case as a drawing, from its sources on the left to its loads on the right. */
final class LayoutView {
    private static final int LONGEST_NAME = 22;
    /** Less is drawn as no current, A. */
    private static final double LEAST_A = 0.005;

    private final InstallationResult result;
    private final CaseResult shown;
    private final Fmt fmt;
    private final Words words;
    private final Set<String> stopped;
    private final Map<String, Integer> level = new HashMap<>();

    private LayoutView(InstallationResult result, CaseResult shown, Fmt fmt, Words words) {
        this.result = result;
        this.shown = shown;
        this.fmt = fmt;
        this.words = words;
        this.stopped = shown.findings(result.installation()).stream()
                .filter(found -> found.finding().verdict() == Verdict.STOP)
                .map(CaseResult.LoadFinding::load)
                .collect(Collectors.toSet());
    }

    /**
     * What the drawing is made of.
     *
     * @param names names of the equipment by tag
     * @param cableIds ids of the cables by tag
     */
    record Subject(InstallationResult result, Map<String, String> names, Map<String, Long> cableIds) {}

    static Drawing draw(Subject subject, int caseIndex, Fmt fmt, Words words) {
        CaseResult shown = subject.result().cases().get(caseIndex);
        LayoutView view = new LayoutView(subject.result(), shown, fmt, words);
        view.measureLevels();
        List<LayoutDrawer.Piece> pieces = subject.result().installation().devices().stream()
                .map(device -> view.piece(device, subject.names().getOrDefault(device.tag(), "")))
                .toList();
        List<LayoutDrawer.Lead> leads = subject.result().runs().stream()
                .filter(run -> !run.run().from().device().equals(run.run().to().device()))
                .map(run -> view.lead(
                        run,
                        Objects.requireNonNullElse(
                                subject.cableIds().get(run.run().tag()), 0L)))
                .toList();
        return LayoutDrawer.draw(
                pieces, leads, words.of("layout.label", shown.operating().name()));
    }

    /**
     * How many cables each piece is away from its source: the fuses of a charger from the charger, all else from a bank. Loads come last.
     */
    private void measureLevels() {
        Map<String, List<String>> neighbours = new HashMap<>();
        for (RunResult run : result.runs()) {
            String a = run.run().from().device();
            String b = run.run().to().device();
            neighbours.computeIfAbsent(a, key -> new ArrayList<>()).add(b);
            neighbours.computeIfAbsent(b, key -> new ArrayList<>()).add(a);
        }
        Map<String, Device> devices = new HashMap<>();
        Deque<String> banks = new ArrayDeque<>();
        Deque<String> chargers = new ArrayDeque<>();
        for (Device device : result.installation().devices()) {
            devices.put(device.tag(), device);
            if (device instanceof Device.Consumer) {
                level.put(device.tag(), Integer.MAX_VALUE);
            } else if (device instanceof Device.Bank || device instanceof Device.Charger) {
                level.put(device.tag(), 0);
                (device instanceof Device.Bank ? banks : chargers).add(device.tag());
            }
        }
        spread(chargers, neighbours, tag -> devices.get(tag) instanceof Device.Fuse);
        spread(banks, neighbours, tag -> true);
    }

    private void spread(Deque<String> from, Map<String, List<String>> neighbours, Predicate<String> through) {
        while (!from.isEmpty()) {
            String here = from.remove();
            int next = level.getOrDefault(here, 0) + 1;
            for (String there : neighbours.getOrDefault(here, List.of())) {
                if (through.test(there) && level.putIfAbsent(there, next) == null) {
                    from.add(there);
                }
            }
        }
    }

    private LayoutDrawer.Piece piece(Device device, String name) {
        List<String> lines = new ArrayList<>(List.of(device.tag()));
        if (!name.isEmpty()) {
            lines.add(name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME - 1) + "…");
        }
        String css = "";
        boolean switched = device instanceof Device.Consumer || device instanceof Device.Charger;
        if (switched && shown.operating().state(device.tag()) == State.OFF) {
            css = "off";
            lines.add(words.of("layout.off"));
        } else {
            lines.addAll(reading(device));
        }
        boolean stops = stopped.contains(device.tag());
        String kind = device.getClass().getSimpleName().toLowerCase(Locale.ROOT);
        return new LayoutDrawer.Piece(device.tag(), (kind + " " + css + (stops ? " stop" : "")).strip(), lines);
    }

    private List<String> reading(Device device) {
        ElementState state = shown.solution().states().get(device.tag());
        if (device instanceof Device.Fuse fuse) {
            return List.of(fmt.current(fuse.ratingA()) + Fmt.SPACE + words.name(fuse.family()));
        }
        if (state == null || device instanceof Device.Link) {
            return List.of();
        }
        return List.of(fmt.volt(Math.abs(state.voltageV())) + ", " + ampere(state.currentA()));
    }

    private String ampere(double currentA) {
        return fmt.current(Math.abs(currentA) < LEAST_A ? 0 : Math.abs(Figures.rounded(currentA, 3)));
    }

    private LayoutDrawer.Lead lead(RunResult run, long cableId) {
        String a = run.run().from().device();
        String b = run.run().to().device();
        boolean forward = level.getOrDefault(a, 0) <= level.getOrDefault(b, 0);
        ElementState state = shown.solution().states().get(run.run().tag());
        double current = state == null ? 0 : Math.abs(state.currentA());
        double drop = state == null ? 0 : Math.abs(state.voltageV());
        List<Terminal.Port> ports =
                List.of(run.run().from().port(), run.run().to().port());
        boolean positive = run.run().tag().endsWith("+") || ports.contains(Terminal.Port.PLUS);
        boolean negative = ports.contains(Terminal.Port.MINUS);
        String pole = negative ? "minus" : positive ? "plus" : "plain";
        return new LayoutDrawer.Lead(
                run.run().tag(),
                forward ? a : b,
                forward ? b : a,
                pole + (current >= LEAST_A ? "" : " idle"),
                run.inUse().size().areaMm2(),
                List.of(
                        run.run().tag() + " " + run.inUse().size().designation(),
                        ampere(current) + ", " + Figures.fixed(1000 * drop, 0) + Fmt.SPACE + "mV"),
                "/cables/" + cableId + "/plan");
    }
}
