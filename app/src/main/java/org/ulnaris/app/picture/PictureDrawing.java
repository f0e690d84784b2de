package org.ulnaris.app.picture;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.LayoutDrawer;
import org.ulnaris.app.drawing.Mark;
import org.ulnaris.app.drawing.NetworkLayout;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Parts;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.job.Pole;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** A job's network in one case as a drawing, from its sources on the left to its loads on the right. */
final class PictureDrawing {
    /** As thick as the bar of a fuse panel is drawn, mm². */
    private static final double BOLTED_MM2 = 35;

    /** A job of more cables is drawn by part. */
    private static final int MOST_AT_ONCE = 150;

    private static final int LONGEST_NAME = 16;

    private static final int LONGEST_OVER_BAR = 24;
    /** Less is drawn as no current, A. */
    private static final double LEAST_A = 0.005;

    private final Subject subject;
    private final Fmt fmt;
    private final Words words;
    private final Map<String, Device> devices = new HashMap<>();
    private final List<Join> joins;
    /** The fuses that sit on a terminal that is drawn. */
    private final List<Device.Fuse> mounted;

    private final Map<String, Integer> level = new HashMap<>();
    private final Map<Terminal, Integer> outward = new HashMap<>();

    /**
     * What the drawing is made of.
     *
     * @param job the job
     * @param names names of the equipment by tag
     * @param shown the case whose currents are shown; null while there is none
     * @param spot what is seen of it
     * @param part what of it is drawn; null for all of it
     */
    record Subject(
            WorkedJob job,
            Map<String, String> names,
            @Nullable CaseResult shown,
            Spot spot,
            Parts.@Nullable Part part) {}

    /** A cable between two terminals. */
    private record Join(WorkedCable cable, Terminal a, Terminal b) {}

    private PictureDrawing(Subject subject, Fmt fmt, Words words) {
        this.subject = subject;
        this.fmt = fmt;
        this.words = words;
        subject.job().model().pieces().stream().map(Piece::device).forEach(device -> devices.put(device.tag(), device));
        this.joins = subject.job().cables().stream()
                .map(cable -> join(cable, devices))
                .flatMap(Optional::stream)
                .toList();
        this.mounted = mounted(devices).toList();
    }

    private static Optional<Join> join(WorkedCable cable, Map<String, Device> devices) {
        Terminal a = cable.cable().points().terminal(Side.A).orElse(null);
        Terminal b = cable.cable().points().terminal(Side.B).orElse(null);
        boolean drawn = a != null
                && b != null
                && !a.device().equals(b.device())
                && has(devices.get(a.device()), a)
                && has(devices.get(b.device()), b);
        return drawn
                ? Optional.of(new Join(cable, Objects.requireNonNull(a), Objects.requireNonNull(b)))
                : Optional.empty();
    }

    private static boolean has(@Nullable Device device, Terminal terminal) {
        return device != null && device.terminals().contains(terminal);
    }

    /** Tags of the cables that can't be drawn: an end of theirs is at no terminal of the job. */
    static List<String> loose(WorkedJob job) {
        Map<String, Device> devices = new HashMap<>();
        job.model().pieces().forEach(piece -> devices.put(piece.device().tag(), piece.device()));
        return job.cables().stream()
                .filter(cable -> join(cable, devices).isEmpty())
                .map(WorkedCable::tag)
                .toList();
    }

    static boolean isLarge(WorkedJob job) {
        return job.cables().size() > MOST_AT_ONCE;
    }

    /** The parts in which a large job is drawn; empty where all of it is drawn at once. */
    static List<Parts.Part> parts(WorkedJob job) {
        if (!isLarge(job)) {
            return List.of();
        }
        List<Device> devices = job.model().pieces().stream().map(Piece::device).toList();
        Map<String, Device> byTag = new HashMap<>();
        devices.forEach(device -> byTag.put(device.tag(), device));
        Stream<Parts.Joint> cables = job.cables().stream()
                .flatMap(cable -> join(cable, byTag).stream())
                .map(join -> new Parts.Joint(
                        join.cable().tag(), join.a().device(), join.b().device()));
        Stream<Parts.Joint> bolted = mounted(byTag)
                .map(fuse -> new Parts.Joint(bolted(fuse), fuse.at(Port.IN).device(), fuse.tag()));
        return Parts.of(
                devices.stream().map(Device::tag).toList(),
                devices.stream()
                        .filter(Device.Bar.class::isInstance)
                        .map(Device::tag)
                        .collect(Collectors.toSet()),
                Stream.concat(cables, bolted).toList());
    }

    private static Stream<Device.Fuse> mounted(Map<String, Device> devices) {
        return devices.values().stream()
                .filter(Device.Fuse.class::isInstance)
                .map(Device.Fuse.class::cast)
                .filter(fuse -> fuse.on() != null
                        && !fuse.on().device().equals(fuse.tag())
                        && has(devices.get(fuse.on().device()), fuse.on()))
                .sorted(Comparator.comparing(Device.Fuse::tag));
    }

    /** Name of the piece of bar on which a fuse sits. */
    private static String bolted(Device.Fuse fuse) {
        return fuse.tag() + ".in";
    }

    static Drawing draw(Subject subject, Fmt fmt, Words words) {
        PictureDrawing picture = new PictureDrawing(subject, fmt, words);
        picture.measure();
        return LayoutDrawer.draw(picture.pieces(), picture.leads(), picture.label());
    }

    /** The same by its strokes alone. */
    static Drawing sketch(Subject subject, Fmt fmt, Words words) {
        PictureDrawing picture = new PictureDrawing(subject, fmt, words);
        picture.measure();
        return LayoutDrawer.sketch(picture.pieces(), picture.leads(), picture.label());
    }

    /** The same with the place of every end in the order of landing; what is left out stands empty. */
    static Drawing numbered(Subject subject, LandingOrder order, Fmt fmt, Words words) {
        PictureDrawing picture = new PictureDrawing(subject, fmt, words);
        picture.measure();
        List<LayoutDrawer.Numbered> numbers = new ArrayList<>();
        Map<Terminal, List<LandingEnd>> studs = new LinkedHashMap<>();
        for (LandingEnd end : order.ends()) {
            for (Join join : picture.drawn().toList()) {
                if (join.cable().tag().equals(end.cable())) {
                    Terminal at = end.side() == Side.A ? join.a() : join.b();
                    if (at.isBar()) {
                        numbers.add(picture.number(join, List.of(end), order));
                    } else {
                        studs.computeIfAbsent(at, none -> new ArrayList<>()).add(end);
                    }
                }
            }
        }
        for (List<LandingEnd> stud : studs.values()) {
            picture.drawn()
                    .filter(join -> join.cable().tag().equals(stud.get(0).cable()))
                    .forEach(join -> numbers.add(picture.number(join, stud, order)));
        }
        return LayoutDrawer.numbered(
                picture.pieces(),
                picture.leads(),
                numbers,
                words.of("landing.picture", order.ends().size()));
    }

    private LayoutDrawer.Numbered number(Join join, List<LandingEnd> stud, LandingOrder order) {
        LandingEnd first = stud.get(0);
        boolean next = order.next().filter(stud::contains).isPresent();
        boolean landed = stud.stream().allMatch(LandingEnd::landed);
        String state = next ? "next" : landed ? "landed" : first.group().live() ? "live" : "to-come";
        String text = stud.stream().map(end -> String.valueOf(end.number())).collect(Collectors.joining(" "));
        return new LayoutDrawer.Numbered(
                join.cable().tag(),
                isForward(join) == (first.side() == Side.A),
                text,
                state,
                new Mark.Link(
                        "#lug-" + first.number(),
                        words.of("landing.at", text, first.point(), words.of("landing.state." + state)),
                        next));
    }

    private void measure() {
        measureLevels();
        measureOutward();
    }

    private List<LayoutDrawer.Piece> pieces() {
        return subject.job().model().pieces().stream()
                .filter(piece -> subject.part() == null
                        || subject.part().pieces().contains(piece.device().tag()))
                .map(this::piece)
                .toList();
    }

    private boolean isDrawn(String joint) {
        return subject.part() == null || subject.part().joints().contains(joint);
    }

    private Stream<Join> drawn() {
        return joins.stream().filter(join -> isDrawn(join.cable().tag()));
    }

    private List<LayoutDrawer.Lead> leads() {
        Stream<Device.Fuse> seats = mounted.stream().filter(fuse -> isDrawn(bolted(fuse)));
        return Stream.concat(drawn().map(this::lead), seats.map(this::seat)).toList();
    }

    /** Where a fuse sits, drawn as a short piece of bar. */
    private LayoutDrawer.Lead seat(Device.Fuse fuse) {
        return new LayoutDrawer.Lead(
                bolted(fuse),
                end(fuse.at(Port.IN)),
                new NetworkLayout.End(fuse.tag(), Port.IN.word()),
                "bolted",
                BOLTED_MM2,
                "",
                List.of(),
                marked(fuse.tag(), fuse.tag(), Verdict.PASS));
    }

    private String label() {
        CaseResult shown = subject.shown();
        return shown == null
                ? words.of("layout.label-still")
                : words.of("layout.label", shown.operating().name());
    }

    /**
     * How many cables each piece is away from its source: the fuses of a charger from the charger, all else from a bank. Loads come last.
     */
    private void measureLevels() {
        Map<String, List<String>> neighbours = new HashMap<>();
        for (Join join : joins) {
            neighbours
                    .computeIfAbsent(join.a().device(), key -> new ArrayList<>())
                    .add(join.b().device());
            neighbours
                    .computeIfAbsent(join.b().device(), key -> new ArrayList<>())
                    .add(join.a().device());
        }
        mounted.forEach(fuse -> {
            String on = fuse.at(Port.IN).device();
            neighbours.computeIfAbsent(on, key -> new ArrayList<>()).add(fuse.tag());
            neighbours.computeIfAbsent(fuse.tag(), key -> new ArrayList<>()).add(on);
        });
        Deque<String> banks = new ArrayDeque<>();
        Deque<String> chargers = new ArrayDeque<>();
        for (Piece piece : subject.job().model().pieces()) {
            Device device = piece.device();
            if (device instanceof Device.Consumer || device instanceof Device.PanelInput) {
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

    private LayoutDrawer.Piece piece(Piece piece) {
        Device device = piece.device();
        String tag = device.tag();
        boolean off = isOff(device);
        boolean chosen = subject.spot().at().equals(tag);
        LayoutDrawer.Shape shape = device instanceof Device.Bar
                ? LayoutDrawer.Shape.BAR
                : device instanceof Device.Fuse ? LayoutDrawer.Shape.FUSE : LayoutDrawer.Shape.BOX;
        Verdict verdict = subject.job().verdictOf(tag);
        String kind = device.getClass().getSimpleName().toLowerCase(Locale.ROOT);
        String css = kind + (off ? " off" : "") + (verdict == Verdict.STOP ? " stop" : "") + (chosen ? " chosen" : "");
        List<String> lines = lines(device, off);
        return new LayoutDrawer.Piece(
                tag, shape, css, lines, terminals(device), marked(tag, String.join(" ", lines), verdict));
    }

    private List<LayoutDrawer.Terminal> terminals(Device device) {
        List<LayoutDrawer.Terminal> all =
                new ArrayList<>(device.terminals().stream().map(this::terminal).toList());
        if (mounted.contains(device)) {
            all.add(new LayoutDrawer.Terminal(
                    Port.IN.word(),
                    !isRight(device.at(Port.OUT)),
                    "bolted",
                    marked(device.tag(), device.tag(), Verdict.PASS).link()));
        }
        return all;
    }

    private List<String> lines(Device device, boolean off) {
        List<String> lines = new ArrayList<>(List.of(device.tag()));
        String name = subject.names().getOrDefault(device.tag(), "");
        if (!name.isEmpty() && !(device instanceof Device.Fuse)) {
            lines.add(shortened(name, device instanceof Device.Bar ? LONGEST_OVER_BAR : LONGEST_NAME));
        }
        if (off) {
            lines.add(words.of("layout.off"));
        } else {
            lines.addAll(reading(device));
        }
        long others = joins.stream()
                .filter(join -> List.of(join.a().device(), join.b().device()).contains(device.tag()))
                .filter(join -> !isDrawn(join.cable().tag()))
                .count();
        if (others > 0) {
            lines.add(words.of("picture.others", others));
        }
        return lines;
    }

    private static String shortened(String name, int longest) {
        return name.length() <= longest ? name : name.substring(0, longest - 1).strip() + "…";
    }

    private boolean isOff(Device device) {
        CaseResult shown = subject.shown();
        boolean switched = device instanceof Device.Consumer
                || device instanceof Device.Charger charger && charger.panels() == null;
        return switched && shown != null && shown.operating().state(device.tag()) == State.OFF;
    }

    private List<String> reading(Device device) {
        if (device instanceof Device.Fuse fuse) {
            return List.of(fmt.current(fuse.ratingA()));
        }
        ElementState state = state(device.tag());
        if (state == null || device instanceof Device.Link) {
            return List.of();
        }
        return List.of(fmt.volt(Math.abs(state.voltageV())), ampere(state.currentA()));
    }

    private @Nullable ElementState state(String tag) {
        CaseResult shown = subject.shown();
        return shown == null ? null : shown.solution().states().get(tag);
    }

    private String ampere(double currentA) {
        return fmt.current(Math.abs(currentA) < LEAST_A ? 0 : Math.abs(Figures.rounded(currentA, 3)));
    }

    /** A terminal stands on the side where its cables go; a free one where those of its kind are. */
    private LayoutDrawer.Terminal terminal(Terminal terminal) {
        String name = terminal.toString();
        Spot spot = subject.spot();
        boolean begins = spot.from().equals(name);
        String says = begins
                ? words.of("picture.give-up", name)
                : words.of(spot.from().isEmpty() ? "picture.begin" : "picture.end", name, spot.from());
        return new LayoutDrawer.Terminal(
                terminal.port().word(),
                isRight(terminal),
                begins || spot.to().equals(name) ? "chosen" : outward.containsKey(terminal) ? "" : "free",
                new Mark.Link(spot.pressed(name).address(), says, begins));
    }

    /** For each terminal that a cable ends at: how many cables lead away from the sources there, less those that come from them. */
    private void measureOutward() {
        for (Join join : joins) {
            int away = isForward(join) ? 1 : -1;
            outward.merge(join.a(), away, Integer::sum);
            outward.merge(join.b(), -away, Integer::sum);
        }
    }

    private boolean isRight(Terminal terminal) {
        int away = outward.getOrDefault(terminal, 0);
        if (away != 0) {
            return away > 0;
        }
        if (terminal.port() == Port.IN || terminal.port() == Port.OUT) {
            int across = outward.getOrDefault(
                    new Terminal(terminal.device(), terminal.port().across()), 0);
            return across == 0 ? terminal.port() == Port.OUT : across < 0;
        }
        Device device = devices.get(terminal.device());
        return device instanceof Device.Bank || device instanceof Device.Charger;
    }

    private boolean isForward(Join join) {
        return level.getOrDefault(join.a().device(), 0)
                <= level.getOrDefault(join.b().device(), 0);
    }

    private LayoutDrawer.Lead lead(Join join) {
        WorkedCable cable = join.cable();
        boolean forward = isForward(join);
        ElementState state = state(cable.tag());
        double current = state == null ? 0 : Math.abs(state.currentA());
        List<Port> ports = List.of(join.a().port(), join.b().port());
        boolean negative = ports.contains(Port.MINUS) || cable.cable().pole() == Pole.NEGATIVE;
        boolean positive = ports.contains(Port.PLUS) || cable.cable().pole() == Pole.POSITIVE;
        String pole = negative ? "minus" : positive ? "plus" : "plain";
        boolean idle = state != null && current < LEAST_A;
        boolean chosen = subject.spot().at().equals(cable.tag());
        String size = cable.sizeSaid().orElseGet(() -> words.of("size.unsaid"));
        List<String> figures = state == null || idle ? List.of(size) : List.of(size, ampere(current));
        return new LayoutDrawer.Lead(
                cable.tag(),
                end(forward ? join.a() : join.b()),
                end(forward ? join.b() : join.a()),
                pole + (idle ? " idle" : "") + (chosen ? " chosen" : ""),
                cable.rung().size().areaMm2(),
                cable.tag(),
                figures,
                marked(cable.tag(), cable.tag() + " " + String.join(" ", figures), cable.verdict()));
    }

    private static NetworkLayout.End end(Terminal terminal) {
        return new NetworkLayout.End(
                terminal.device(), terminal.isBar() ? "" : terminal.port().word());
    }

    private LayoutDrawer.Marked marked(String tag, String shown, Verdict verdict) {
        Spot spot = subject.spot();
        boolean chosen = spot.at().equals(tag);
        String says = shown + ", " + words.name(verdict);
        return new LayoutDrawer.Marked(
                verdict, new Mark.Link((chosen ? spot.closed() : spot.open(tag)).address(), says, chosen));
    }
}
