package org.ulnaris.app.crib;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.tooling.ToolTrust;

/** The tools of the crib as lines: what each gives, what is in it, how far it is trusted. */
@Component
class ToolRows {
    private final CribService crib;
    private final Words words;
    private final Clock clock;

    ToolRows(CribService crib, Words words, Clock clock) {
        this.crib = crib;
        this.words = words;
        this.clock = clock;
    }

    /**
     * A tool as a line.
     *
     * @param holds tag of the dies in it; empty where it is empty
     * @param jaw its jaw with what is in it; null for what takes no dies
     */
    record ToolRow(
            ToolDetails tool,
            String gives,
            String holds,
            @Nullable Drawing jaw,
            String calibration,
            boolean overdue,
            TrustView trust) {}

    /** How far a tool is trusted, in words; no verdict without samples. */
    record TrustView(String words, @Nullable Verdict verdict) {}

    /** All tools, in the order of the crib. */
    List<ToolRow> all() {
        Map<String, ToolTrust> trust = crib.trust();
        Map<String, DieDetails> inTool = new HashMap<>();
        crib.all().forEach(kept -> {
            String tool = kept.inTool();
            if (tool != null) {
                inTool.put(tool, kept.details());
            }
        });
        return crib.tools().stream()
                .map(tool -> row(tool, inTool.get(tool.tag()), trust.get(tool.tag())))
                .toList();
    }

    private ToolRow row(ToolDetails tool, @Nullable DieDetails holds, @Nullable ToolTrust trust) {
        LocalDate due = tool.calibrationDue();
        return new ToolRow(
                tool,
                gives(tool),
                holds == null ? "" : holds.tag(),
                jaw(tool, holds),
                due == null ? "" : due.toString(),
                tool.overdue(LocalDate.now(clock)),
                trust(tool, trust));
    }

    private @Nullable Drawing jaw(ToolDetails tool, @Nullable DieDetails holds) {
        return tool.family().isBlank()
                ? null
                : DieDrawer.jaw(
                        holds == null ? null : holds.die(),
                        holds == null
                                ? words.of("jaw.empty", tool.tag())
                                : words.of("jaw.holds", tool.tag(), holds.tag()));
    }

    private static String gives(ToolDetails tool) {
        Double from = tool.torqueFromNm();
        Double to = tool.torqueToNm();
        if (from != null && to != null) {
            return Figures.significant(from, 3) + "–" + Figures.significant(to, 3) + Fmt.SPACE + "N·m";
        }
        return tool.forceKn() == null ? "" : Figures.significant(tool.forceKn(), 3) + Fmt.SPACE + "kN";
    }

    /** How far {@code tool} is trusted. */
    TrustView trust(ToolDetails tool, @Nullable ToolTrust trust) {
        if (!tool.kind().crimps()) {
            return new TrustView("", null);
        }
        return trust == null || trust.counted() == 0
                ? new TrustView(words.of("tool.no-samples"), null)
                : new TrustView(
                        words.of("tool.samples", trust.sound(), trust.counted()),
                        trust.level().verdict());
    }
}
