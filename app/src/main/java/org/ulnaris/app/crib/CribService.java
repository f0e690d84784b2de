package org.ulnaris.app.crib;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.reference.ReferenceTable;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.Sample;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.ToolTrust;
import org.ulnaris.core.tooling.Toolbox;

/** The shop's tools and dies, where each is, and what samples say of them. */
@Service
@Transactional
public class CribService {
    /** Jaw of the dies of the standard set. */
    public static final String STANDARD_FAMILY = "hex, narrow";

    private static final String STANDARD_SERIES = "DIN 46235";

    private static final double FLATS_PER_CODE = 0.85;
    private static final double COMMON_WIDTH_MM = 5;

    private final CribDieRepository dies;
    private final CribToolRepository tools;
    private final CribSampleRepository samples;

    private final Clock clock;

    CribService(CribDieRepository dies, CribToolRepository tools, CribSampleRepository samples, Clock clock) {
        this.clock = clock;
        this.dies = dies;
        this.tools = tools;
        this.samples = samples;
    }

    /** Dies with the tag of the tool that they are in; null in the box. */
    public record Kept(DieDetails details, @Nullable String inTool) {}

    /** All dies, by shape, small to large. */
    @Transactional(readOnly = true)
    public List<Kept> all() {
        return dies.findAllByOrderByDetailsShapeAscDetailsAcrossFlatsMmAscDetailsTagAsc().stream()
                .map(row -> new Kept(row.details(), row.inTool()))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Die> dies() {
        return all().stream().map(kept -> kept.details().die()).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Kept> find(String tag) {
        return dies.findByDetailsTagIgnoreCase(tag).map(row -> new Kept(row.details(), row.inTool()));
    }

    private CribDie die(String tag) {
        return dies.findByDetailsTagIgnoreCase(tag).orElseThrow(() -> new NotFoundException("dies " + tag));
    }

    @Transactional(readOnly = true)
    public boolean has(String tag) {
        return dies.findByDetailsTagIgnoreCase(tag).isPresent();
    }

    /** Reads new dies; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<DieDetails> readDie(Entries entries) {
        DieDetails details = CribReader.die(entries, CribReader.FRESH_DIE);
        if (entries.clean() && details.acrossFlatsMm() <= 0) {
            entries.fault("acrossFlats", Fault.Code.EMPTY, "11.9 mm");
        }
        if (entries.clean() && has(details.tag())) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        return entries.clean() ? Optional.of(details) : Optional.empty();
    }

    /** Reads a new tool; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<ToolDetails> readTool(Entries entries) {
        ToolDetails details = CribReader.tool(entries, CribReader.FRESH_TOOL);
        if (entries.clean() && hasTool(details.tag())) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        return entries.clean() ? Optional.of(details) : Optional.empty();
    }

    public void add(DieDetails details) {
        dies.saveAndFlush(new CribDie(details));
    }

    /** Changes all but the tag. */
    public void change(String tag, DieDetails details) {
        CribDie row = die(tag);
        row.change(details);
        dies.saveAndFlush(row);
    }

    /** Takes a die out; what it was, so that it can be put back. */
    public Optional<DieDetails> remove(String tag) {
        Optional<CribDie> row = dies.findByDetailsTagIgnoreCase(tag);
        row.ifPresent(dies::delete);
        return row.map(CribDie::details);
    }

    /** Puts dies into a tool; those that were in it go back into the box: at most one loose tag a tool. */
    public void fit(String tag, String toolTag) {
        CribDie row = die(tag);
        CribTool into = tool(toolTag);
        if (!into.details().tool().takes(row.details().family())) {
            throw new NotFoundException("no jaw for " + tag + " in " + toolTag);
        }
        dies.findByInTool(into.details().tag()).forEach(other -> other.fit(null));
        row.fit(into.details().tag());
        dies.flush();
    }

    /** Puts dies back into their place in the box. */
    public void box(String tag) {
        die(tag).fit(null);
        dies.flush();
    }

    /** Adds the hexagonal dies of DIN 46235 (0.85 × code, 5 mm wide) that are not there yet; how many. */
    public int addStandardSet() {
        List<DieDetails> set = new ArrayList<>();
        for (ReferenceTable.Row row : ReferenceTable.load("din-46235.csv").rows()) {
            String code = row.text("code");
            double flats = Figures.rounded(FLATS_PER_CODE * row.number("code"), 6);
            set.add(new DieDetails(
                    "K" + code,
                    DieShape.HEX,
                    flats,
                    COMMON_WIDTH_MM,
                    LugMaterial.COPPER,
                    STANDARD_FAMILY,
                    code,
                    STANDARD_SERIES,
                    ""));
        }
        List<DieDetails> missing = set.stream().filter(die -> !has(die.tag())).toList();
        missing.forEach(this::add);
        return missing.size();
    }

    /** All tools by kind. */
    @Transactional(readOnly = true)
    public List<ToolDetails> tools() {
        return tools.findAllByOrderByDetailsKindAscDetailsTagAsc().stream()
                .map(CribTool::details)
                .toList();
    }

    private CribTool tool(String tag) {
        return tools.findByDetailsTagIgnoreCase(tag).orElseThrow(() -> new NotFoundException("tool " + tag));
    }

    /**
     * The tool tagged {@code tag}.
     *
     * @throws NotFoundException when there is none
     */
    @Transactional(readOnly = true)
    public ToolDetails toolDetails(String tag) {
        return tool(tag).details();
    }

    @Transactional(readOnly = true)
    public boolean hasTool(String tag) {
        return tools.findByDetailsTagIgnoreCase(tag).isPresent();
    }

    public void addTool(ToolDetails details) {
        tools.saveAndFlush(new CribTool(details));
    }

    /** Changes all but the tag. */
    public void changeTool(String tag, ToolDetails details) {
        CribTool row = tool(tag);
        row.change(details);
        tools.saveAndFlush(row);
        dies.findByInTool(details.tag()).stream()
                .filter(die -> !details.tool().takes(die.details().family()))
                .forEach(die -> die.fit(null));
        dies.flush();
    }

    /** Takes a tool out; its dies go back into the box, its samples stay under its tag. */
    public Optional<ToolDetails> removeTool(String tag) {
        Optional<CribTool> row = tools.findByDetailsTagIgnoreCase(tag);
        row.ifPresent(tool -> {
            dies.findByInTool(tool.details().tag()).forEach(die -> die.fit(null));
            tools.delete(tool);
        });
        return row.map(CribTool::details);
    }

    /** The torque wrench that covers {@code torqueNm}: the one in whose middle it lies best, those in calibration first. */
    @Transactional(readOnly = true)
    public Optional<ToolDetails> wrench(double torqueNm) {
        LocalDate today = LocalDate.now(clock);
        return tools().stream()
                .filter(tool -> tool.kind() == ToolKind.TORQUE_WRENCH && tool.covers(torqueNm))
                .min(Comparator.comparing((ToolDetails tool) -> tool.overdue(today))
                        .thenComparingDouble(tool -> tool.offMiddle(torqueNm)));
    }

    /** Whether the crib keeps torque wrenches at all. */
    @Transactional(readOnly = true)
    public boolean anyWrench() {
        return tools().stream().anyMatch(tool -> tool.kind() == ToolKind.TORQUE_WRENCH);
    }

    /** A sample with its id. */
    public record KeptSample(long id, SampleDetails details) {}

    /** Samples of a tool, newest first. */
    @Transactional(readOnly = true)
    public List<KeptSample> samples(String tool) {
        return samples.findByDetailsToolAndDeletedAtIsNullOrderByDetailsMadeDescIdDesc(tool).stream()
                .map(row -> new KeptSample(row.id(), row.details()))
                .toList();
    }

    public void addSample(SampleDetails details) {
        samples.saveAndFlush(new CribSample(details));
    }

    /** Deletes a sample, or takes that back; the tag of its tool. */
    public String deleteSample(long id, boolean delete) {
        CribSample row = samples.findById(id).orElseThrow(() -> new NotFoundException("sample " + id));
        row.delete(delete ? clock.instant() : null);
        samples.saveAndFlush(row);
        return row.details().tool();
    }

    /** Trust of each tool that has samples, by its tag. */
    @Transactional(readOnly = true)
    public Map<String, ToolTrust> trust() {
        Map<String, List<Sample>> byTool = new HashMap<>();
        for (CribSample row : samples.findByDeletedAtIsNullOrderByDetailsMadeDescIdDesc()) {
            byTool.computeIfAbsent(row.details().tool(), tool -> new ArrayList<>())
                    .add(row.details().sample());
        }
        Map<String, ToolTrust> trust = new HashMap<>();
        LocalDate today = LocalDate.now(clock);
        byTool.forEach((tool, made) -> trust.put(tool, ToolTrust.of(made, today)));
        return trust;
    }

    /** Tools and dies as the core knows them. */
    @Transactional(readOnly = true)
    public Toolbox toolbox() {
        return new Toolbox(
                tools().stream().map(ToolDetails::tool).toList(),
                all().stream()
                        .map(kept -> new Toolbox.HeldDie(
                                kept.details().die(), kept.details().family(), kept.inTool()))
                        .toList(),
                trust());
    }
}
