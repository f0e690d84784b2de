package org.ulnaris.app.crib;

import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.VoidScale;
import org.ulnaris.app.job.ShopDefaults;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Reason;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.conductor.ConductorSizes;
import org.ulnaris.core.crimp.SpikeCrimp;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.tooling.Sample;
import org.ulnaris.core.tooling.ToolKind;
import org.ulnaris.core.tooling.ToolTrust;

/** Crib: tools, their calibration, and the samples made with them. */
@Controller
class ToolController {
    /** So many samples as show this share are named beside what those that there are show. */
    private static final double ASKED_SHARE = 0.9;

    private static final Fmt FMT = new Fmt(Units.METRIC);
    private static final int SPIKE_ROWS = 40;

    private final CribService crib;
    private final LugStock stock;
    private final ShopDefaults shop;
    private final ToolRows rows;
    private final Words words;

    private final Clock clock;

    ToolController(CribService crib, LugStock stock, ShopDefaults shop, ToolRows rows, Words words, Clock clock) {
        this.rows = rows;
        this.clock = clock;
        this.shop = shop;
        this.crib = crib;
        this.stock = stock;
        this.words = words;
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }

    /** A sample as a line. */
    record SampleRow(long id, SampleDetails sample, String voids, String pull, Verdict verdict) {}

    /** What the spike leaves of a lug. */
    record SpikePicture(Drawing drawing, String lug) {}

    /** The setting of an indent tool for a lug. */
    record SpikeRow(String lugs, String size, String depth, String setting, String thickness, Verdict verdict) {}

    @GetMapping("/crib/tools")
    String tools(Model model) {
        return tools(model, Map.of(), Map.of(), null);
    }

    private String tools(
            Model model, Map<String, String> typed, Map<String, Fault> faults, @Nullable ToolDetails removed) {
        model.addAttribute("tools", rows.all());
        Map<String, String> shown = new HashMap<>(CribReader.texts(CribReader.FRESH_TOOL));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("removed", removed == null ? null : CribReader.texts(removed));
        model.addAttribute("kinds", ToolKind.values());
        return "crib/tools";
    }

    @PostMapping("/crib/tools")
    ModelAndView add(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<ToolDetails> details = crib.readTool(entries);
        if (details.isEmpty()) {
            return refused(model, tools(model, typed, entries.faults(), null));
        }
        crib.addTool(details.get());
        return new ModelAndView("redirect:/crib/tools");
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/crib/tools/remove")
    String remove(Model model, @RequestParam String tag) {
        return tools(model, Map.of(), Map.of(), crib.removeTool(tag).orElse(null));
    }

    @GetMapping("/crib/tool")
    String tool(Model model, @RequestParam String tag, @RequestParam(required = false) @Nullable Long deleted) {
        ToolDetails tool = crib.toolDetails(tag);
        model.addAttribute("deletedId", deleted);
        return tool(model, tool, Map.of(), Map.of());
    }

    private String tool(Model model, ToolDetails tool, Map<String, String> typed, Map<String, Fault> faults) {
        List<CribService.KeptSample> samples = crib.samples(tool.tag());
        ToolTrust trust = ToolTrust.of(
                samples.stream().map(kept -> kept.details().sample()).toList(), today());
        model.addAttribute("tool", tool);
        model.addAttribute("trust", rows.trust(tool, trust));
        model.addAttribute("why", new Reason(trust.finding().explanation()));
        model.addAttribute(
                "assured",
                trust.assuredShare().stream()
                        .mapToObj(share -> words.of(
                                "crib.tool.assured",
                                trust.counted(),
                                Figures.fixed(100 * share, 0),
                                ToolTrust.samplesFor(ASKED_SHARE)))
                        .findFirst()
                        .orElse(""));
        model.addAttribute(
                "samples", samples.stream().map(ToolController::sampleRow).toList());
        List<Spiked> pressed = tool.kind().use() == ToolKind.Use.SPIKE ? spiked(tool) : List.of();
        model.addAttribute(
                "spikes", pressed.stream().map(one -> spike(tool, one)).toList());
        model.addAttribute("pressed", pressed.isEmpty() ? null : section(pressed.get(pressed.size() / 2)));
        model.addAttribute(
                "spikesNote",
                words.of("practice.SPIKES." + shop.rules().practices().of(Practice.SPIKES) + ".do"));
        model.addAttribute("scale", VoidScale.scale(words.of("voids.scale")));
        model.addAttribute("kinds", ToolKind.values());
        model.addAttribute("parted", Sample.Parted.values());
        model.addAttribute(
                "dieTags",
                crib.all().stream()
                        .filter(kept -> tool.tool().takes(kept.details().family()))
                        .map(kept -> kept.details().tag())
                        .toList());
        model.addAttribute("began", Merge.began(CribReader.texts(tool)));
        Map<String, String> shown = new LinkedHashMap<>(CribReader.texts(tool));
        shown.putAll(Map.of("die", "", "lug", "", "size", "", "voids", "", "pull", "", "note", ""));
        shown.put("parted", Sample.Parted.NOT_PULLED.name());
        shown.put("made", today().toString());
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        return "crib/tool";
    }

    private static SampleRow sampleRow(CribService.KeptSample kept) {
        SampleDetails sample = kept.details();
        return new SampleRow(
                kept.id(),
                sample,
                sample.voidsPercent() == null ? "—" : Figures.significant(sample.voidsPercent(), 2) + Fmt.SPACE + "%",
                sample.pullN() == null ? "—" : FMT.force(sample.pullN()),
                sample.sample().verdict());
    }

    /** A lug pressed with its own conductor. */
    private record Spiked(Lug lug, SpikeCrimp crimp) {}

    private SpikePicture section(Spiked one) {
        double outer = one.crimp().barrel().outerMm();
        String lug = one.lug().code().replaceAll(" · .*", "");
        return new SpikePicture(CoinDrawer.section(one.crimp().section(), outer, words.of("spike.section", lug)), lug);
    }

    private List<Spiked> spiked(ToolDetails tool) {
        record Key(String size, double outer, double bore) {}
        Map<Key, Lug> lugs = new LinkedHashMap<>();
        double upTo = tool.upToMm2() == null ? Double.MAX_VALUE : tool.upToMm2();
        for (Lug lug : stock.all()) {
            boolean small = ConductorSizes.designated(lug.forSize())
                    .map(size -> size.areaMm2() <= upTo)
                    .orElse(false);
            if (small) {
                lugs.putIfAbsent(
                        new Key(
                                lug.forSize(),
                                lug.barrel().outerMm(),
                                lug.barrel().boreMm()),
                        lug);
            }
        }
        return lugs.values().stream()
                .flatMap(lug -> ConductorSizes.designated(lug.forSize())
                        .map(size -> new Spiked(lug, new SpikeCrimp(size.areaMm2(), lug.barrel(), tool.spike())))
                        .stream())
                .limit(SPIKE_ROWS)
                .toList();
    }

    private static SpikeRow spike(ToolDetails tool, Spiked one) {
        Lug lug = one.lug();
        SpikeCrimp crimp = one.crimp();
        return new SpikeRow(
                lug.code().replaceAll(" · .*", ""),
                lug.forSize(),
                FMT.small(crimp.bestDepthMm()),
                tool.dialMarkMm() == null ? "—" : Figures.fixed(crimp.setting(), 1),
                FMT.small(crimp.thicknessMm()),
                crimp.finding().verdict());
    }

    private static String address(String tag) {
        return UriComponentsBuilder.fromPath("/crib/tool")
                .queryParam("tag", "{tag}")
                .encode()
                .buildAndExpand(tag)
                .toUriString();
    }

    @PostMapping("/crib/tool")
    ModelAndView change(Model model, @RequestParam String tag, @RequestParam Map<String, String> typed) {
        ToolDetails standing = crib.toolDetails(tag);
        Merge merge = Merge.of(CribReader.texts(standing), typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return new ModelAndView(tool(model, standing, Map.of(), Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), Units.METRIC);
        ToolDetails details = CribReader.tool(entries, standing);
        if (!entries.clean()) {
            return refused(model, tool(model, standing, typed, entries.faults()));
        }
        crib.changeTool(tag, details);
        return new ModelAndView("redirect:" + address(details.tag()));
    }

    @PostMapping("/crib/tool/samples")
    ModelAndView addSample(Model model, @RequestParam String tag, @RequestParam Map<String, String> typed) {
        ToolDetails tool = crib.toolDetails(tag);
        Entries entries = new Entries(typed, Units.METRIC);
        SampleDetails sample = CribReader.sample(entries, tool.tag(), today());
        if (!entries.clean()) {
            return refused(model, tool(model, tool, typed, entries.faults()));
        }
        crib.addSample(sample);
        return new ModelAndView("redirect:" + address(tool.tag()) + "#samples");
    }

    /** Scores the photo of a section; the figure stands in the form of the sample, to be kept or bettered by eye. */
    @PostMapping("/crib/tool/photo")
    ModelAndView photo(Model model, @RequestParam String tag, @RequestParam MultipartFile photo) throws IOException {
        ToolDetails tool = crib.toolDetails(tag);
        OptionalDouble voids = SamplePhoto.voidsPercent(photo.getBytes());
        if (voids.isEmpty()) {
            Fault fault = Fault.of(Fault.Code.NOT_A_NUMBER, "", Expected.of("photo"));
            return refused(model, tool(model, tool, Map.of(), Map.of("photo", fault)));
        }
        String figure = Figures.fixed(voids.getAsDouble(), 1) + " %";
        model.addAttribute("scored", figure);
        return new ModelAndView(tool(model, tool, Map.of("voids", figure), Map.of()), model.asMap());
    }

    @PostMapping("/crib/samples/{id}/delete")
    String deleteSample(@PathVariable long id) {
        return "redirect:" + address(crib.deleteSample(id, true)) + "&deleted=" + id + "#samples";
    }

    @PostMapping("/crib/samples/{id}/restore")
    String restoreSample(@PathVariable long id) {
        return "redirect:" + address(crib.deleteSample(id, false)) + "#samples";
    }
}
