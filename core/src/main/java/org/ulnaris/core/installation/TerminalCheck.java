package org.ulnaris.core.installation;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rules.HouseRules;

/** What meets on one stud: how many lugs, and whether a thin ring lies under a power nut. A bar with many is asked for its studs. */
public final class TerminalCheck {
    /** A conductor this thin is a sensing lead beside a power lug, mm². */
    static final double THIN_MM2 = 2.5;
    /** From here on a lug is a power lug, mm². */
    static final double POWER_MM2 = 10;

    /** Studs that any bar has at least. */
    private static final int STUDS = 2;

    private TerminalCheck() {}

    /**
     * Findings about the terminals of a job that are not a pass.
     *
     * @param areasMm2 conductor areas by terminal, one a cable that ends there; empty of one without a size
     * @param mostLugs most lugs by terminal, where it says so
     * @param house what holds where it does not
     */
    public static Map<Terminal, List<Finding>> check(
            Map<Terminal, List<OptionalDouble>> areasMm2, Map<Terminal, Integer> mostLugs, HouseRules house) {
        Map<Terminal, List<Finding>> findings = new LinkedHashMap<>();
        areasMm2.forEach((terminal, areas) -> {
            List<Finding> found = new ArrayList<>();
            boolean bar = terminal.isBar();
            int most = mostLugs.getOrDefault(terminal, bar ? Integer.MAX_VALUE : house.mostLugs());
            if (areas.size() > most) {
                found.add(lugs(areas.size(), most));
            } else if (bar && !mostLugs.containsKey(terminal) && areas.size() > STUDS * house.mostLugs()) {
                found.add(Finding.said(
                        FindingCode.BAR_LUGS,
                        Verdict.OPEN,
                        String.valueOf(areas.size()),
                        note("TerminalCheck.a-bar-has"),
                        Source.practice(note("TerminalCheck.lugs-on-a-stud"))));
            }
            DoubleSummaryStatistics sized =
                    areas.stream().flatMapToDouble(OptionalDouble::stream).summaryStatistics();
            if (!bar && sized.getMin() <= THIN_MM2 && sized.getMax() >= POWER_MM2) {
                found.add(ring(sized.getMin(), sized.getMax()));
            }
            if (!found.isEmpty()) {
                findings.put(terminal, List.copyOf(found));
            }
        });
        return findings;
    }

    /** What is said of a copper lug on a terminal of {@code metal}; empty where they get on. */
    public static Optional<Finding> metal(@Nullable TerminalMetal metal) {
        if (metal == TerminalMetal.ALUMINIUM) {
            return Optional.of(watch(
                    FindingCode.TERMINAL_METAL,
                    note("TerminalCheck.aluminium-oxidises-at"),
                    note("TerminalCheck.copper-to-aluminium")));
        }
        return metal == TerminalMetal.STAINLESS
                ? Optional.of(watch(
                        FindingCode.TERMINAL_STAINLESS,
                        note("TerminalCheck.stainless-conducts"),
                        note("TerminalCheck.stainless-clamps")))
                : Optional.empty();
    }

    private static Finding watch(FindingCode code, String why, String practice) {
        return Finding.said(code, Verdict.WATCH, "", why, Source.practice(practice));
    }

    /** What is said of {@code cables} that return through the hull of a boat. */
    public static Finding hullReturn(int cables) {
        return new Finding(
                FindingCode.HULL_RETURN,
                Verdict.STOP,
                cables,
                0,
                "",
                Explanation.words(note("TerminalCheck.marine-systems-are")),
                Source.practice(note("TerminalCheck.two-wire-systems")));
    }

    private static Finding lugs(int count, int most) {
        return new Finding(
                FindingCode.TERMINAL_LUGS,
                Verdict.STOP,
                count,
                most,
                "",
                Explanation.read(note("TerminalCheck.lugs-on-one"), term("n", count, ""), term("n_max", most, "")),
                Source.practice(note("TerminalCheck.lugs-on-a-stud")));
    }

    private static Finding ring(double thinMm2, double thickMm2) {
        return new Finding(
                FindingCode.THIN_RING,
                Verdict.WATCH,
                thinMm2,
                thickMm2,
                "mm²",
                Explanation.read(
                        note("TerminalCheck.a-thin-ring"),
                        term("A_thin", thinMm2, "mm²"),
                        term("A_power", thickMm2, "mm²")),
                Source.practice(note("TerminalCheck.give-a-sensing")));
    }
}
