package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * A solved network as a SPICE netlist: wires with the resistance at their temperature, limited sources as they came to rest, constant
 * power as a behavioural source. Only that gets a guess to begin from: a simulator may hold a linear part at a guess. Names of nodes and
 * elements are numbers; comments tell which is which.
 */
public final class SpiceNetlist {
    /** With its usual tolerances of a thousandth a simulator takes the first guess of a constant power for the answer. */
    private static final String OPTIONS = ".options reltol=1e-9 abstol=1e-12 vntol=1e-12 gmin=1e-18";

    private final NetworkSolution solution;
    private final Map<String, String> nodes = new LinkedHashMap<>();
    private final List<String> lines = new ArrayList<>();

    private SpiceNetlist(NetworkSolution solution) {
        this.solution = solution;
    }

    /** The netlist; parts that can't be fed are left out. */
    public static String of(NetworkSolution solution) {
        return new SpiceNetlist(solution).write();
    }

    /** The netlist's name of each node. */
    public static Map<String, String> nodeNames(NetworkSolution solution) {
        SpiceNetlist netlist = new SpiceNetlist(solution);
        netlist.write();
        return netlist.nodes;
    }

    private String write() {
        lines.add("* Ulnaris network");
        int number = 0;
        Set<String> guessed = new HashSet<>();
        for (Element element : solution.network().elements()) {
            ElementState state = solution.states().get(element.branch().id());
            if (state != null) {
                lines.add("* " + (++number) + ": " + plain(element.branch().id()));
                lines.addAll(cards(element, state, number));
                if (element instanceof Element.PowerLoad load) {
                    guessed.addAll(List.of(load.branch().from(), load.branch().to()));
                }
            }
        }
        List<String> guesses = new ArrayList<>();
        nodes.forEach((node, name) -> {
            lines.add("* node " + name + ": " + plain(node));
            if (guessed.contains(node) && !name.equals("0")) {
                guesses.add("v(" + name + ")=" + figure(solution.nodeV().getOrDefault(node, 0.0)));
            }
        });
        if (!guesses.isEmpty()) {
            lines.add(".nodeset " + String.join(" ", guesses));
        }
        lines.add(OPTIONS);
        lines.add(".op");
        lines.add(".end");
        return String.join("\n", lines) + "\n";
    }

    private List<String> cards(Element element, ElementState state, int number) {
        String from = node(element.branch().from());
        String to = node(element.branch().to());
        String ends = number + " " + from + " " + to + " ";
        if (element instanceof Element.PowerLoad load) {
            return List.of("B" + ends + "I=" + figure(load.powerW()) + "/(" + voltage(from) + "-" + voltage(to) + ")");
        }
        boolean fixedCurrent = element instanceof Element.CurrentLoad || Double.isNaN(state.ohm());
        if (fixedCurrent) {
            return List.of("I" + ends + "DC " + figure(state.currentA()));
        }
        if (element instanceof Element.Source || element instanceof Element.LimitedSource) {
            double openV = element instanceof Element.Source source
                    ? source.openV()
                    : ((Element.LimitedSource) element).setV();
            String inner = "s" + number;
            return List.of(
                    "V" + number + " " + inner + " " + from + " DC " + figure(openV),
                    "R" + number + " " + inner + " " + to + " " + figure(state.ohm()));
        }
        return List.of("R" + ends + figure(state.ohm()));
    }

    private static String voltage(String node) {
        return node.equals("0") ? "0" : "v(" + node + ")";
    }

    /** Parts are joined at their references: nothing flows there. */
    private String node(String name) {
        return nodes.computeIfAbsent(name, n -> solution.references().contains(n) ? "0" : "n" + (nodes.size() + 1));
    }

    private static String plain(String text) {
        return text.replaceAll("\\p{Cntrl}", " ");
    }

    private static String figure(double value) {
        return String.format(Locale.ROOT, "%.15e", value);
    }
}
