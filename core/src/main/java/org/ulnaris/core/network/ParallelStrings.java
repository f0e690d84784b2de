package org.ulnaris.core.network;

import java.util.ArrayList;
import java.util.List;

/**
 * Equal battery strings in parallel behind links between neighbours, tapped in one of the ways that installers use.
 *
 * @param count strings
 * @param openV open voltage of each, V
 * @param stringOhm internal resistance of each, Ω
 * @param linkOhm resistance of a link between two neighbours, or of each lead where all are equal, Ω
 */
public record ParallelStrings(int count, double openV, double stringOhm, double linkOhm) {
    /** Node of the load's plus. */
    public static final String PLUS = "bank plus";
    /** Node of the load's minus. */
    public static final String MINUS = "bank minus";

    /** More than these are not worked out: they would not share better. */
    public static final int MOST_STRINGS = 64;

    public ParallelStrings {
        if (!(count >= 1 && count <= MOST_STRINGS)) {
            throw new IllegalArgumentException("count must be 1 to " + MOST_STRINGS + "; have " + count);
        }
        Element.VOLT.check("openV", openV);
        Element.OHM.check("stringOhm", stringOhm);
        Element.OHM.check("linkOhm", linkOhm);
    }

    /** Name of string {@code n}, counted from 1. */
    public static String string(int n) {
        return "string " + n;
    }

    /** The elements of the bank, tapped at {@link #PLUS} and {@link #MINUS}. */
    public List<Element> elements(StringTap tap) {
        List<Element> elements = new ArrayList<>();
        for (int n = 1; n <= count; n++) {
            elements.add(new Element.Source(
                    new Branch(string(n), node(tap, "minus", n), node(tap, "plus", n)), openV, stringOhm));
            if (tap == StringTap.EQUAL_LEADS) {
                elements.add(link("plus lead " + n, node(tap, "plus", n), PLUS));
                elements.add(link("minus lead " + n, node(tap, "minus", n), MINUS));
            } else if (n > 1) {
                elements.add(link("plus link " + n, node(tap, "plus", n), node(tap, "plus", n - 1)));
                elements.add(link("minus link " + n, node(tap, "minus", n - 1), node(tap, "minus", n)));
            }
        }
        return elements;
    }

    private Element link(String id, String from, String to) {
        return new Element.Resistor(new Branch(id, from, to), linkOhm);
    }

    private String node(StringTap tap, String pole, int n) {
        if (tap != StringTap.EQUAL_LEADS) {
            boolean plus = pole.equals("plus");
            if (plus && n == 1) {
                return PLUS;
            }
            if (!plus && n == (tap == StringTap.ONE_END ? 1 : count)) {
                return MINUS;
            }
        }
        return pole + " of " + n;
    }

    /** Current of each string when {@code currentA} is drawn, A; more than they can give is shared in the same way. */
    public List<Double> sharesA(StringTap tap, double currentA) {
        List<Element> elements = new ArrayList<>(elements(tap));
        elements.add(new Element.CurrentLoad(new Branch("load", PLUS, MINUS), currentA));
        NetworkSolution solution = NetworkSolver.forced(new Network(elements));
        List<Double> shares = new ArrayList<>();
        for (int n = 1; n <= count; n++) {
            shares.add(solution.state(string(n)).currentA());
        }
        return List.copyOf(shares);
    }

    /** (largest − smallest) ÷ mean of the shares, %. */
    public static double imbalancePercent(List<Double> sharesA) {
        double max = sharesA.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
        double min = sharesA.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
        double mean =
                sharesA.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
        return 100 * (max - min) / Math.abs(mean);
    }
}
