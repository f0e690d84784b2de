package org.ulnaris.core.tooling;

import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpForce;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * Tools and dies of a crib together.
 *
 * @param tools the tools
 * @param dies the dies with their families and places
 * @param trust how far each tool is trusted, by its tag; a tool without an entry has no samples
 */
public record Toolbox(List<Tool> tools, List<HeldDie> dies, Map<String, ToolTrust> trust) {
    /** A shop that keeps no register of tools: nothing is said of them. */
    public static final Toolbox NONE = new Toolbox(List.of(), List.of(), Map.of());

    public Toolbox {
        tools = List.copyOf(tools);
        dies = List.copyOf(dies);
        trust = Map.copyOf(trust);
    }

    /**
     * A pair of dies with where it belongs.
     *
     * @param die the dies
     * @param family jaw that they fit
     * @param inTool tag of the tool that they are in; null in their place in the box
     */
    public record HeldDie(Die die, String family, @Nullable String inTool) {
        public HeldDie {
            Objects.requireNonNull(die, "die");
            Objects.requireNonNull(family, "family");
        }
    }

    /** The dies tagged {@code tag}. */
    public Optional<HeldDie> held(String tag) {
        return dies.stream().filter(held -> held.die().tag().equals(tag)).findFirst();
    }

    /** Tools whose jaw takes the dies. */
    public List<Tool> toolsFor(HeldDie held) {
        return tools.stream().filter(tool -> tool.takes(held.family())).toList();
    }

    /**
     * The tool for a crimp: the one that its dies are in, else the most trusted, else the strongest that takes them; one that is strong
     * enough before any other.
     */
    public Optional<Tool> toolFor(Crimp crimp) {
        return held(crimp.die().tag())
                .flatMap(held -> toolsFor(held).stream()
                        .min(Comparator.comparing((Tool tool) -> force(tool, crimp) == Verdict.STOP)
                                .thenComparing(tool -> !tool.tag().equals(held.inTool()))
                                .thenComparing(tool -> trust(tool).level())
                                .thenComparing(tool -> -tool.forceKn().orElse(0))));
    }

    /** Whether a tool takes the dies of a crimp and is strong enough; any does while no tool that crimps is entered. */
    public boolean closes(Crimp crimp) {
        return isUnknown()
                || toolFor(crimp)
                        .filter(tool -> force(tool, crimp) != Verdict.STOP)
                        .isPresent();
    }

    /** Whether no tool that crimps is entered: nothing is known of what closes dies. */
    private boolean isUnknown() {
        return tools.stream().noneMatch(tool -> tool.kind().use() == ToolKind.Use.CRIMP);
    }

    private static Verdict force(Tool tool, Crimp crimp) {
        return tool.forceKn().isPresent()
                ? new CrimpForce(crimp).finding(tool.forceKn().getAsDouble()).verdict()
                : Verdict.PASS;
    }

    /** How far a tool is trusted. */
    public ToolTrust trust(Tool tool) {
        ToolTrust known = trust.get(tool.tag());
        return known == null ? new ToolTrust(ToolTrust.Level.WATCH, 0, 0, 0) : known;
    }

    /**
     * What the crib's tools mean for a crimp; nothing where no register is kept.
     *
     * @param fullStrokeOnly whether the house refuses tools that open before the dies have met
     */
    public List<Finding> findings(Crimp crimp, boolean fullStrokeOnly) {
        if (isUnknown()) {
            return List.of();
        }
        Optional<Tool> tool = toolFor(crimp);
        if (tool.isEmpty()) {
            return List.of(missing());
        }
        List<Finding> findings = new ArrayList<>();
        tool.get().forceKn().ifPresent(kn -> findings.add(new CrimpForce(crimp).finding(kn)));
        ToolTrust level = trust(tool.get());
        if (level.counted() > 0) {
            findings.add(level.finding());
        }
        if (!tool.get().fullCycle()) {
            findings.add(halfCycle(fullStrokeOnly ? Verdict.STOP : Verdict.NOTE));
        }
        return List.copyOf(findings);
    }

    private static Finding missing() {
        return new Finding(
                FindingCode.TOOL_MISSING,
                Verdict.STOP,
                0,
                1,
                "",
                Explanation.words(note("Toolbox.no-tool-has")),
                Source.practice(note("Toolbox.dies-fit-the")));
    }

    private static Finding halfCycle(Verdict verdict) {
        return new Finding(
                FindingCode.TOOL_CYCLE,
                verdict,
                0,
                1,
                "",
                Explanation.words(note("Toolbox.a-full-cycle")),
                Source.practice(note("Toolbox.ratchet-or-hydraulic")));
    }
}
