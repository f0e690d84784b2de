package org.ulnaris.core.conductor;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.tan;
import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.measure.MeasureException;
import org.ulnaris.core.measure.Quantity;
import org.ulnaris.core.measure.Typed;
import org.ulnaris.core.measure.Unit;

/**
 * The way of a cable as straight legs, measured corner to corner, with a bend between each two. Along the cable a bend of angle θ and
 * radius R saves (2·tan(θ/2) − θ)·R against the corner (plane geometry).
 *
 * @param legsM legs, m
 * @param bendsDeg by how much it turns between two legs, °; one fewer than the legs
 * @param radiusMm radius of every bend at the centre line, mm; 0 when not known: corners are then counted in full
 * @param headings the way of each leg; none when they are not said
 */
public record CableRoute(List<Double> legsM, List<Double> bendsDeg, double radiusMm, List<Heading> headings) {
    private static final double RIGHT_ANGLE_DEG = 90;
    private static final double SHARPEST_DEG = 170;
    private static final String EXAMPLE = note("CableRoute.0-4-m");
    /** No bend is tighter than this share of the good radius: 4 of 5 outside diameters. */
    private static final double TIGHTEST_SHARE = 0.8;

    public CableRoute {
        legsM = List.copyOf(legsM);
        bendsDeg = List.copyOf(bendsDeg);
        headings = List.copyOf(headings);
        if (legsM.isEmpty() || bendsDeg.size() != legsM.size() - 1) {
            throw new IllegalArgumentException("one bend between each two legs; have " + legsM + " and " + bendsDeg);
        }
        for (double leg : legsM) {
            if (!(leg > 0 && leg <= 500)) {
                throw new IllegalArgumentException("a leg is above 0 up to 500 m; have " + leg);
            }
        }
        for (double bend : bendsDeg) {
            if (!(bend > 0 && bend <= SHARPEST_DEG)) {
                throw new IllegalArgumentException("a bend is above 0 up to 170°; have " + bend);
            }
        }
        if (!headings.isEmpty() && headings.size() != legsM.size()) {
            throw new IllegalArgumentException("every leg has a way, or none; have " + headings);
        }
        for (int leg = 1; leg < headings.size(); leg++) {
            boolean across = headings.get(leg).along(headings.get(leg - 1)) == 0;
            if (!across || bendsDeg.get(leg - 1) != RIGHT_ANGLE_DEG) {
                throw new IllegalArgumentException("legs with ways lie across one another; have " + headings);
            }
        }
    }

    /** Legs without their ways. */
    public CableRoute(List<Double> legsM, List<Double> bendsDeg, double radiusMm) {
        this(legsM, bendsDeg, radiusMm, List.of());
    }

    /** Whether {@code text} means legs, not one figure. */
    public static boolean hasLegs(String text) {
        if (Typed.tooLong(text, Typed.LONGEST_ROUTE)) {
            return false;
        }
        String[] words = Typed.plain(text).split("\\s+");
        return text.contains("+") || Heading.named(words[words.length - 1]).isPresent();
    }

    /**
     * Reads "0.4 m + 1.2 m + 45° + 0.8 m": legs joined by +, bends of a right angle where none is said; a bare number means {@code unit}. With
     * ways, "0.4 m right + 1.2 m up", every leg has one and all bends are right angles.
     *
     * @throws MeasureException when it can't be read
     */
    public static CableRoute parse(String text, Unit unit, double radiusMm) {
        List<Double> legs = new ArrayList<>();
        List<Double> bends = new ArrayList<>();
        List<Heading> headings = new ArrayList<>();
        boolean turned = true;
        if (Typed.tooLong(text, Typed.LONGEST_ROUTE)) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, EXAMPLE);
        }
        for (String part : Typed.plain(text).split("\\+", -1)) {
            if (part.contains("°")) {
                if (turned) {
                    throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, EXAMPLE);
                }
                bends.add(Quantity.parse(part.strip(), Unit.DEGREE).in(Unit.DEGREE));
                turned = true;
            } else {
                if (!turned) {
                    bends.add(RIGHT_ANGLE_DEG);
                }
                String[] words = part.strip().split("\\s+(?=\\p{L}+$)", 2);
                Optional<Heading> heading = words.length < 2 ? Optional.empty() : Heading.named(words[1]);
                heading.ifPresent(headings::add);
                legs.add(Quantity.parse(heading.isPresent() ? words[0] : part.strip(), unit)
                        .in(Unit.M));
                turned = false;
            }
        }
        try {
            return new CableRoute(legs, bends, radiusMm, headings);
        } catch (IllegalArgumentException e) {
            throw new MeasureException(MeasureException.Reason.NOT_A_NUMBER, text, EXAMPLE);
        }
    }

    /** The way in the words that {@link #parse} reads, in metres. */
    public String text() {
        StringBuilder text = new StringBuilder();
        for (int leg = 0; leg < legsM.size(); leg++) {
            if (leg > 0) {
                double bend = bendsDeg.get(leg - 1);
                text.append(bend == RIGHT_ANGLE_DEG ? " + " : " + " + Figures.significant(bend, 4) + "° + ");
            }
            text.append(Figures.significant(legsM.get(leg), 6)).append(" m");
            if (!headings.isEmpty()) {
                text.append(' ').append(headings.get(leg).word());
            }
        }
        return text.toString();
    }

    /** Length along the centre line, m. */
    public double lengthM() {
        double length = legsM.stream().mapToDouble(Double::doubleValue).sum();
        for (double bend : bendsDeg) {
            double angle = Math.toRadians(bend);
            length -= (2 * Math.tan(angle / 2) - angle) * radiusMm / 1000;
        }
        return length;
    }

    /** What the bends at either end of a leg take of it, mm. */
    private double tangentsMm(int leg) {
        double before = leg > 0 ? Math.tan(Math.toRadians(bendsDeg.get(leg - 1)) / 2) : 0;
        double after = leg < bendsDeg.size() ? Math.tan(Math.toRadians(bendsDeg.get(leg)) / 2) : 0;
        return radiusMm * (before + after);
    }

    /** The same as a formula; a leg at an end of the way has one bend. */
    private Expression tangents(int leg) {
        return IntStream.of(leg - 1, leg)
                .filter(bend -> bend >= 0 && bend < bendsDeg.size())
                .mapToObj(bend ->
                        tan(term("a_" + (bend + 1), bendsDeg.get(bend), "°").over(number(2))))
                .reduce(Expression::plus)
                .orElseThrow();
    }

    /**
     * Radius against the cable, which bends well at {@code goodDiameters} of its outside (common practice: 4 to 6), and every leg against
     * its bends; empty without a bend of known radius.
     */
    public List<Finding> findings(double outerMm, double goodDiameters) {
        if (!(radiusMm > 0)) {
            return List.of();
        }
        List<Finding> findings = new ArrayList<>();
        double good = goodDiameters * outerMm;
        Verdict verdict = Verdict.STOP;
        if (radiusMm >= good) {
            verdict = Verdict.PASS;
        } else if (radiusMm >= TIGHTEST_SHARE * good) {
            verdict = Verdict.WATCH;
        }
        findings.add(new Finding(
                FindingCode.BEND_RADIUS,
                verdict,
                radiusMm,
                good,
                "mm",
                Explanation.of(
                                term("R_good", good, "mm"),
                                term("n", goodDiameters, "").times(term("D", outerMm, "mm")))
                        .noted(note("CableRoute.at-the-tightest")),
                Source.practice(note("CableRoute.bend-radius"))));
        for (int leg = 0; leg < legsM.size(); leg++) {
            double own = 1000 * legsM.get(leg);
            if (tangentsMm(leg) > own) {
                findings.add(new Finding(
                        FindingCode.LEG_LENGTH,
                        Verdict.STOP,
                        own,
                        tangentsMm(leg),
                        "mm",
                        Explanation.of(
                                        term("L_min", tangentsMm(leg), "mm"),
                                        term("R", radiusMm, "mm").times(tangents(leg)))
                                .noted(note("CableRoute.leg", String.valueOf(leg + 1))),
                        Source.own(note("CableRoute.plane-geometry-of"))));
            }
        }
        return List.copyOf(findings);
    }
}
