package org.ulnaris.core.hazards;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.conductor.SizeSeries;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.protection.FuseFamily;
import org.ulnaris.core.rating.AmpacityConditions;
import org.ulnaris.core.rating.RuleSet;
import org.ulnaris.core.sizing.DropLimit;

/**
 * An installation in a few lines of text.
 *
 * <pre>
 * = what a surveyor would write about it
 * 12V marine                          voltage and school: marine, iso, land
 * ambient 60                          air around the cables that follow, °C
 * bank B agm 1x1 200                  kind, units in series x strings, Ah; behind it "fused" or "unfused", and "equal", "opposite" or "end"
 * load INV 120A                       or 1500W; behind it "lowest 10.5", and behind that "stands 15"
 * starter ENG 200A
 * balancer BAL 5A
 * charger SHORE 14.4V 60A
 * alternator ALT 14.4V 60A
 * panels PV 3 22/18V 10/9A -10C 15A -0.3%   in series; open/working V, short/working A, coldest air, fuse, %/K; "?" for not given
 * controller MPPT 100V 30A            its panel side: what it stands
 * B+ -0.1m/70- F1:SF51/150 -1.5m/70- INV+     cables "B+~F1" and "F1~INV+", the fuse F1
 * INV- -1.5m/70- B-                   a name without a sign is a bar; S1:switch is a switch; without "/70" the proposal
 * K:switch/100 or N:bar/?             what it carries, A; "?" for not given; K:switch/100/4 with 4 mΩ; S:shunt/500
 * mounted F2:blade_c/15 P            a fuse on the bar P, or on the post "B+"
 * case day INV ALT                    what is on; without any case all is
 * ! B+~F1 FUSE_MISSING STOP           what has to be said
 * </pre>
 */
final class Sketch {
    private static final Pattern CABLE = Pattern.compile("-([0-9.]+)m(?:/([0-9./]+(?:AWG)?))?-");
    private static final Map<String, StringTap> TAPS = Map.of(
            "equal", StringTap.EQUAL_LEADS,
            "opposite", StringTap.OPPOSITE_ENDS,
            "end", StringTap.ONE_END);
    private static final Double AMPLE_A = 600.0;
    private static final Map<String, Chemistry> KINDS = Map.of(
            "agm", Chemistry.LEAD_AGM,
            "wet", Chemistry.LEAD_WET,
            "lfp", Chemistry.LITHIUM_IRON,
            "nmc", Chemistry.LITHIUM_NICKEL);
    private static final Map<String, RuleSet> SCHOOLS = Map.of(
            "marine", RuleSet.CFR_183_425,
            "iso", RuleSet.ISO_SMALL_CRAFT,
            "land", RuleSet.NEC_FREE_AIR);

    /** What has to be said of {@code tag}. */
    record Expected(String tag, String code, String verdict) {}

    /** An installation with its name and what has to be said of it. */
    record Drawn(String name, Installation installation, List<Expected> expected) {
        @Override
        public String toString() {
            return name;
        }
    }

    private final Map<String, Device> devices = new HashMap<>();
    private final List<String> order = new ArrayList<>();
    private final List<Run> runs = new ArrayList<>();
    private final Set<String> tags = new HashSet<>();
    private final List<OperatingCase> cases = new ArrayList<>();
    private final List<Expected> expected = new ArrayList<>();
    private double nominalV = 12;
    private double ambientC = 30;
    private RuleSet rules = RuleSet.CFR_183_425;
    private String name = "";

    private Sketch() {}

    /** All installations of {@code text}. */
    static List<Drawn> all(String text) {
        List<Drawn> drawn = new ArrayList<>();
        for (String block : text.split("(?m)^= ")) {
            if (!block.isBlank()) {
                drawn.add(new Sketch().draw(block));
            }
        }
        return drawn;
    }

    private Drawn draw(String block) {
        List<String> lines =
                block.lines().map(String::strip).filter(line -> !line.isEmpty()).toList();
        name = lines.get(0);
        for (String line : lines.subList(1, lines.size())) {
            try {
                read(line.split("\\s+"));
            } catch (RuntimeException fault) {
                throw new IllegalArgumentException(name + ": " + line, fault);
            }
        }
        List<Device> all = order.stream().map(devices::get).toList();
        if (cases.isEmpty()) {
            Map<String, OperatingCase.State> on = new HashMap<>();
            all.forEach(device -> on.put(device.tag(), OperatingCase.State.ON));
            cases.add(new OperatingCase("all", on, 1));
        }
        return new Drawn(
                name,
                new Installation(new Installation.System(nominalV, 1.2 * nominalV, rules), all, runs, cases),
                expected);
    }

    private static Device.Strings strings(Set<String> words) {
        Optional<StringFuses> fused = words.contains("fused") || words.contains("unfused")
                ? Optional.of(words.contains("fused") ? StringFuses.EACH : StringFuses.NONE)
                : Optional.empty();
        Optional<StringTap> tap =
                TAPS.keySet().stream().filter(words::contains).map(TAPS::get).findFirst();
        return new Device.Strings(tap, fused);
    }

    private void read(String[] words) {
        switch (words[0]) {
            case "bank" -> {
                String[] units = words[3].split("x");
                add(new Device.Bank(
                        words[1],
                        Device.BankBuild.typical(
                                        KINDS.get(words[2]),
                                        Integer.parseInt(units[0]),
                                        Integer.parseInt(units[1]),
                                        Double.parseDouble(words[4]))
                                .joined(strings(Set.of(words)))));
            }
            case "load" -> add(load(words, false));
            case "starter" -> add(load(words, true));
            case "balancer" ->
                add(new Device.Consumer(
                        words[1],
                        Device.Draw.steady(Device.DrawKind.CURRENT, number(words[2]), 1, 1),
                        DropLimit.given(10),
                        false,
                        null,
                        0,
                        null,
                        true));
            case "alternator" -> add(Device.Charger.alternator(words[1], number(words[2]), 0.01, number(words[3])));
            case "panels" -> add(panels(words));
            case "controller" ->
                add(new Device.PanelInput(
                        words[1], known(words[2]), words.length > 3 ? known(words[3]) : null, DropLimit.given(3)));
            case "charger" -> add(new Device.Charger(words[1], number(words[2]), 0.01, number(words[3])));
            case "mounted" -> {
                Device.Fuse fuse = (Device.Fuse) through(bare(words[1]), words[1]);
                add(new Device.Fuse(fuse.tag(), fuse.ohm(), fuse.family(), fuse.ratingA(), leaving(words[2])));
            }
            case "case" -> {
                Map<String, OperatingCase.State> on = new HashMap<>();
                for (int i = 2; i < words.length; i++) {
                    on.put(words[i], OperatingCase.State.ON);
                }
                cases.add(new OperatingCase(words[1], on, 1));
            }
            case "ambient" -> ambientC = number(words[1]);
            case "!" -> expected.add(new Expected(words[1], words[2], words[3]));
            default -> {
                if (words[0].matches("[0-9]+V")) {
                    nominalV = number(words[0]);
                    rules = words.length > 1 ? SCHOOLS.get(words[1]) : rules;
                } else {
                    way(words);
                }
            }
        }
    }

    private static Device panels(String[] words) {
        String[] volts = words[3].split("/");
        String[] amps = words[4].split("/");
        return Device.Charger.panels(
                words[1],
                new PanelString(
                        Integer.parseInt(words[2]),
                        number(volts[0]),
                        number(volts[1]),
                        number(amps[0]),
                        number(amps[1]),
                        words.length > 7 ? known(words[7]) : null,
                        words.length > 5 ? known(words[5]) : null,
                        words.length > 6 ? known(words[6]) : null));
    }

    private static @Nullable Double known(String word) {
        return word.equals("?") ? null : Double.valueOf(number(word));
    }

    private static double number(String word) {
        return Double.parseDouble(word.replaceAll("[A-Za-z%]+$", ""));
    }

    private Device load(String[] words, boolean cranking) {
        Device.DrawKind kind = words[2].endsWith("W") ? Device.DrawKind.POWER : Device.DrawKind.CURRENT;
        double lowest = words.length > 4 ? number(words[4]) : (cranking ? 0.6 : 0.85) * nominalV;
        return new Device.Consumer(
                words[1],
                Device.Draw.steady(kind, number(words[2]), kind == Device.DrawKind.POWER ? 0.9 : 1, lowest),
                DropLimit.given(10),
                cranking,
                null,
                0,
                words.length > 6 ? Double.valueOf(number(words[6])) : null,
                false);
    }

    private void add(Device device) {
        devices.put(device.tag(), device);
        order.add(device.tag());
    }

    /** Points with cables between them. */
    private void way(String[] words) {
        String before = words[0];
        Terminal from = leaving(before);
        for (int i = 1; i + 1 < words.length; i += 2) {
            Matcher cable = CABLE.matcher(words[i]);
            if (!cable.matches()) {
                throw new IllegalArgumentException("a cable is written -1.5m/70-; have " + words[i]);
            }
            String next = words[i + 1];
            Terminal to = arriving(next);
            String tag = bare(before) + "~" + bare(next);
            while (!tags.add(tag)) {
                tag += "'";
            }
            runs.add(new Run(
                    tag, from, to, Double.parseDouble(cable.group(1)), laying(cable.group(2)), size(cable.group(2))));
            before = next;
            from = leaving(next);
        }
    }

    private static String bare(String point) {
        return point.replaceFirst(":.*", "");
    }

    private Run.Laying laying(@Nullable String size) {
        SizeSeries series = size != null && size.endsWith("AWG") ? SizeSeries.AWG : SizeSeries.METRIC;
        return new Run.Laying(
                new AmpacityConditions(105, ambientC, false, 1), OptionalDouble.empty(), series, false, 10);
    }

    private static @Nullable ConductorSize size(@Nullable String size) {
        if (size == null) {
            return null;
        }
        String designation = size.endsWith("AWG") ? size.replace("AWG", " AWG") : size + " mm²";
        return ConductorSizes.designated(designation).orElseThrow();
    }

    private Terminal arriving(String point) {
        return terminal(point, Terminal.Port.IN);
    }

    private Terminal leaving(String point) {
        return terminal(point, Terminal.Port.OUT);
    }

    private Terminal terminal(String point, Terminal.Port passing) {
        if (point.endsWith("+") || point.endsWith("-")) {
            String tag = point.substring(0, point.length() - 1);
            return new Terminal(tag, point.endsWith("+") ? Terminal.Port.PLUS : Terminal.Port.MINUS);
        }
        String tag = bare(point);
        if (!devices.containsKey(tag)) {
            add(through(tag, point));
        }
        return new Terminal(tag, devices.get(tag) instanceof Device.Bar ? Terminal.Port.BAR : passing);
    }

    private static Device through(String tag, String point) {
        if (!point.contains(":")) {
            return new Device.Bar(tag, AMPLE_A);
        }
        String kind = point.substring(point.indexOf(':') + 1);
        String[] fuse = kind.split("/");
        Double rating = fuse.length == 1 ? AMPLE_A : fuse[1].equals("?") ? null : Double.valueOf(fuse[1]);
        if (fuse[0].equals("switch") || fuse[0].equals("shunt")) {
            double ohm = fuse.length > 2 ? number(fuse[2]) / 1000 : 0.0002;
            return new Device.Link(tag, ohm, rating, fuse[0].equals("shunt"));
        }
        if (fuse[0].equals("bar")) {
            return new Device.Bar(tag, rating);
        }
        return new Device.Fuse(
                tag, 0.0003, FuseFamily.valueOf(fuse[0].toUpperCase(Locale.ROOT)), Double.parseDouble(fuse[1]));
    }
}
