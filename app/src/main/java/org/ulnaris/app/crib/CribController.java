package org.ulnaris.app.crib;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
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
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.tooling.Tool;

/** Crib: dies, where each pair is, and what it does. */
@Controller
class CribController {
    private final CribService crib;
    private final LugStock stock;
    private final ToolRows toolRows;
    private final Words words;

    CribController(CribService crib, LugStock stock, ToolRows toolRows, Words words) {
        this.toolRows = toolRows;
        this.crib = crib;
        this.stock = stock;
        this.words = words;
    }

    /** Dies as a line: where they are, and the tools that they could go into. */
    record DieRow(DieDetails die, String flats, @Nullable String inTool, List<String> tools) {}

    /**
     * The place of a pair of dies in a case.
     *
     * @param drawing the closed pair, all of a case to one scale
     * @param told what they would do to the lug in the hand; empty without one
     * @param verdict the same; null without one
     */
    record Nest(
            DieRow row,
            Drawing drawing,
            String told,
            @Nullable Verdict verdict) {
        /** Whether it does for the lug in the hand. */
        public boolean does() {
            return verdict != null && verdict != Verdict.STOP;
        }

        /** The tools that it can be put into from here. */
        public List<String> fits() {
            return row.inTool() == null ? row.tools() : List.of();
        }
    }

    /** Dies that go into the same jaw, with the tools that have it. */
    record Case(String family, String tools, List<Nest> nests) {}

    /**
     * What to do with the lug in the hand.
     *
     * @param row the best pair
     * @param told what it would do
     * @param tool the tool to put it into; empty where it is in one, or where none is strong enough
     */
    record Advice(String lug, String size, DieRow row, String told, Verdict verdict, String tool) {
        /** Whether it may be taken at all. */
        public boolean does() {
            return verdict != Verdict.STOP;
        }
    }

    /** A lug that dies do for. */
    record LugRow(String lugs, String size, String compaction, Verdict verdict) {}

    @GetMapping("/crib")
    ModelAndView show(Model model, @RequestParam Map<String, String> asked) {
        Entries entries = new Entries(asked, Units.METRIC);
        Optional<LugInHand> held = LugInHand.read(entries, stock.all(), crib.dies());
        model.addAttribute("held", LugInHand.shown(asked));
        model.addAttribute("heldFaults", entries.faults());
        String view = show(model, Map.of(), Map.of(), new Shown(held.orElse(null), null));
        return new ModelAndView(
                view, model.asMap(), entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What the page is about beside the dies: a lug in the hand, dies that were just taken out. */
    private record Shown(@Nullable LugInHand held, @Nullable DieDetails removed) {
        static final Shown NOTHING = new Shown(null, null);
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults, Shown shown) {
        List<Tool> tools = crib.tools().stream().map(ToolDetails::tool).toList();
        List<DieRow> dies = crib.all().stream().map(kept -> row(kept, tools)).toList();
        model.addAttribute("dies", dies);
        model.addAttribute("cases", cases(dies, shown.held()));
        model.addAttribute(
                "tools",
                toolRows.all().stream()
                        .sorted(Comparator.comparing(tool -> tool.jaw() == null))
                        .toList());
        model.addAttribute("codes", stock.all().stream().map(Lug::code).toList());
        model.addAttribute("coin", shown.held() == null ? null : coin(shown.held()));
        model.addAttribute("advice", shown.held() == null ? null : advice(shown.held(), dies));
        if (!model.containsAttribute("held")) {
            model.addAttribute("held", LugInHand.shown(Map.of()));
            model.addAttribute("heldFaults", Map.of());
        }
        Map<String, String> fields = new HashMap<>(CribReader.texts(CribReader.FRESH_DIE));
        fields.putAll(typed);
        model.addAttribute("typed", fields);
        model.addAttribute("faults", faults);
        model.addAttribute("removed", shown.removed() == null ? null : CribReader.texts(shown.removed()));
        choices(model);
        return "crib/crib";
    }

    private List<Case> cases(List<DieRow> dies, @Nullable LugInHand held) {
        Map<String, List<DieRow>> families = new LinkedHashMap<>();
        dies.forEach(row -> families.computeIfAbsent(
                        row.die().family().strip().toLowerCase(Locale.ROOT), family -> new ArrayList<>())
                .add(row));
        return families.entrySet().stream()
                .map(family -> {
                    double widest = family.getValue().stream()
                            .mapToDouble(row -> row.die().acrossFlatsMm()
                                    * row.die().shape().widestFactor())
                            .max()
                            .orElse(0);
                    return new Case(
                            family.getKey().isEmpty()
                                    ? words.of("crib.noJaw")
                                    : family.getValue().get(0).die().family(),
                            String.join(", ", family.getValue().get(0).tools()),
                            family.getValue().stream()
                                    .map(row -> nest(row, DieDrawer.blockMm(widest), held))
                                    .toList());
                })
                .toList();
    }

    private Nest nest(DieRow row, double blockMm, @Nullable LugInHand held) {
        Optional<Crimp> crimp =
                held == null ? Optional.empty() : held.with(row.die().tag());
        return new Nest(
                row,
                DieDrawer.nest(
                        row.die().die(),
                        blockMm,
                        words.of("die.outline", row.die().tag())),
                crimp.map(this::told).orElse(""),
                crimp.map(DieChooser::dieVerdict).orElse(null));
    }

    private String told(Crimp crimp) {
        return Figures.fixed(crimp.compaction(), 2) + " " + words.name(crimp.band());
    }

    /** The best pair; null where the crib has none for such a lug. */
    /** What the best pair does to the lug in the hand; null without dies. */
    private @Nullable Drawing coin(LugInHand held) {
        return held.ranked().stream()
                .findFirst()
                .map(best -> new CoinDrawer(best).coin(words.of("coin.label", Figures.fixed(best.compaction(), 2))))
                .orElse(null);
    }

    private @Nullable Advice advice(LugInHand held, List<DieRow> dies) {
        return held.ranked().stream()
                .findFirst()
                .flatMap(best -> dies.stream()
                        .filter(row -> row.die().tag().equals(best.die().tag()))
                        .findFirst()
                        .map(row -> new Advice(
                                held.lug().code(),
                                held.size().designation(),
                                row,
                                told(best),
                                DieChooser.dieVerdict(best),
                                row.inTool() == null
                                        ? crib.toolbox()
                                                .toolFor(best)
                                                .map(Tool::tag)
                                                .orElse("")
                                        : "")))
                .orElse(null);
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
            return refused(model, show(model, typed, entries.faults(), Shown.NOTHING));
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
        return show(model, Map.of(), Map.of(), new Shown(null, crib.remove(tag).orElse(null)));
    }

    @PostMapping("/crib/fit")
    String fit(@RequestParam String tag, @RequestParam String tool, @RequestParam Map<String, String> typed) {
        crib.fit(tag, tool);
        return "redirect:" + back(tag, typed);
    }

    @PostMapping("/crib/box")
    String box(@RequestParam String tag, @RequestParam Map<String, String> typed) {
        crib.box(tag);
        return "redirect:" + back(tag, typed);
    }

    /** Where a press came from: the page of the dies, or the case with the lug in the hand. */
    private static String back(String tag, Map<String, String> typed) {
        if (typed.getOrDefault("back", "").equals("die")) {
            return address(tag);
        }
        String lug = typed.getOrDefault("lug", "");
        return lug.isEmpty()
                ? "/crib"
                : UriComponentsBuilder.fromPath("/crib")
                        .queryParam("lug", "{lug}")
                        .queryParam("size", "{size}")
                        .encode()
                        .buildAndExpand(lug, typed.getOrDefault("size", ""))
                        .toUriString();
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
        return CompactionMap.of(stock.all(), List.of(details.die()), null).rows().stream()
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
            model.addAttribute(
                    "labels", Map.of("material", words.of("die.material"), "series", words.of("die.series")));
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
