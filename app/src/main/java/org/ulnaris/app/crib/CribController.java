package org.ulnaris.app.crib;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.StockService;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.Tool;

/** Crib: dies, where each pair is, and what it does. */
@Controller
class CribController {
    private final CribService crib;
    private final StockService stock;
    private final Words words;

    CribController(CribService crib, StockService stock, Words words) {
        this.crib = crib;
        this.stock = stock;
        this.words = words;
    }

    /** Dies as a line: where they are, and the tools that they could go into. */
    record DieRow(DieDetails die, String flats, @Nullable String inTool, List<String> tools) {}

    /** A lug that dies do for. */
    record LugRow(String lugs, String size, String compaction, Verdict verdict) {}

    @GetMapping("/crib")
    String show(Model model) {
        return show(model, CribReader.texts(CribReader.FRESH_DIE), Map.of(), null);
    }

    private String show(
            Model model, Map<String, String> typed, Map<String, Fault> faults, @Nullable DieDetails removed) {
        List<Tool> tools = crib.tools().stream().map(ToolDetails::tool).toList();
        model.addAttribute(
                "dies", crib.all().stream().map(kept -> row(kept, tools)).toList());
        Map<String, String> shown = new HashMap<>(CribReader.texts(CribReader.FRESH_DIE));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("removed", removed == null ? null : CribReader.texts(removed));
        choices(model);
        return "crib/crib";
    }

    private void choices(Model model) {
        model.addAttribute("shapes", DieShape.values());
        model.addAttribute("materials", LugMaterial.values());
        model.addAttribute(
                "families",
                crib.tools().stream()
                        .map(ToolDetails::family)
                        .filter(family -> !family.isBlank())
                        .distinct()
                        .toList());
    }

    private static DieRow row(CribService.Kept kept, List<Tool> tools) {
        return new DieRow(
                kept.details(),
                Figures.fixed(kept.details().acrossFlatsMm(), 2),
                kept.inTool(),
                tools.stream()
                        .filter(tool -> tool.takes(kept.details().family()))
                        .map(Tool::tag)
                        .toList());
    }

    @PostMapping("/crib")
    ModelAndView add(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<DieDetails> details = crib.readDie(entries);
        if (details.isEmpty()) {
            return refused(model, show(model, typed, entries.faults(), null));
        }
        crib.add(details.get());
        return new ModelAndView("redirect:/crib");
    }

    private static ModelAndView refused(Model model, String view) {
        return new ModelAndView(view, model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/crib/standard-set")
    String addStandardSet() {
        crib.addStandardSet();
        return "redirect:/crib";
    }

    @PostMapping("/crib/remove")
    String remove(Model model, @RequestParam String tag) {
        return show(model, Map.of(), Map.of(), crib.remove(tag).orElse(null));
    }

    @PostMapping("/crib/fit")
    String fit(@RequestParam String tag, @RequestParam String tool, @RequestParam(defaultValue = "") String back) {
        crib.fit(tag, tool);
        return "redirect:" + (back.equals("die") ? address(tag) : "/crib");
    }

    @PostMapping("/crib/box")
    String box(@RequestParam String tag, @RequestParam(defaultValue = "") String back) {
        crib.box(tag);
        return "redirect:" + (back.equals("die") ? address(tag) : "/crib");
    }

    /** Where the page of a pair of dies is: what the code on its tag holds. */
    static String address(String tag) {
        return UriComponentsBuilder.fromPath("/crib/die")
                .queryParam("tag", "{tag}")
                .encode()
                .buildAndExpand(tag)
                .toUriString();
    }

    @GetMapping("/crib/die")
    String die(Model model, @RequestParam String tag) {
        CribService.Kept kept = crib.find(tag).orElseThrow(() -> new NotFoundException("dies " + tag));
        return die(model, kept, CribReader.texts(kept.details()), Map.of());
    }

    private String die(Model model, CribService.Kept kept, Map<String, String> typed, Map<String, Fault> faults) {
        DieDetails details = kept.details();
        model.addAttribute(
                "row", row(kept, crib.tools().stream().map(ToolDetails::tool).toList()));
        model.addAttribute("outline", DieDrawer.outline(details.die(), words.of("die.outline", details.tag())));
        model.addAttribute("lugs", lugs(details));
        model.addAttribute("began", Merge.began(CribReader.texts(details)));
        Map<String, String> shown = new LinkedHashMap<>(CribReader.texts(details));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        choices(model);
        return "crib/die";
    }

    /** Lugs of the stock that the dies press soundly or nearly. */
    private List<LugRow> lugs(DieDetails details) {
        return CompactionMap.of(stock.lugs(), List.of(details.die()), null).rows().stream()
                .filter(row -> row.best() != Verdict.STOP)
                .map(row -> new LugRow(
                        MapController.names(row),
                        row.size().designation(),
                        Figures.fixed(row.cells().get(0).compaction(), 2),
                        row.best()))
                .toList();
    }

    @PostMapping("/crib/die")
    ModelAndView change(Model model, @RequestParam String tag, @RequestParam Map<String, String> typed) {
        CribService.Kept kept = crib.find(tag).orElseThrow(() -> new NotFoundException("dies " + tag));
        Merge merge = Merge.of(CribReader.texts(kept.details()), typed);
        if (merge.conflict() != null) {
            model.addAttribute("conflict", merge.conflict());
            return new ModelAndView(die(model, kept, Map.of(), Map.of()), model.asMap(), HttpStatus.CONFLICT);
        }
        Entries entries = new Entries(merge.typed(), Units.METRIC);
        DieDetails details = CribReader.die(entries, kept.details());
        if (!entries.clean()) {
            return refused(model, die(model, kept, typed, entries.faults()));
        }
        crib.change(tag, details);
        return new ModelAndView("redirect:" + address(details.tag()));
    }
}
