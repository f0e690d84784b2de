package org.ulnaris.app.crib;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.MapDrawer;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.StockService;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.tooling.Tool;
import org.ulnaris.core.tooling.Toolbox;

/** Crib: which dies do for which lugs, and where the dies for the lug in the hand are. */
@Controller
class MapController {
    private static final int DIES_SHOWN = 6;

    private final CribService crib;
    private final StockService stock;
    private final Words words;

    MapController(CribService crib, StockService stock, Words words) {
        this.crib = crib;
        this.stock = stock;
        this.words = words;
    }

    /** A row of the map in words. */
    record RowWords(String lugs, String size, String sound, Verdict verdict) {}

    /** Dies for the lug in the hand. */
    record FoundRow(String die, String compaction, String band, Verdict verdict, String place, String tool) {}

    /** The lugs of a row by their common name. */
    static String names(CompactionMap.Row row) {
        return row.lugs().stream()
                .map(lug -> lug.code().replaceAll(" · .*", ""))
                .distinct()
                .collect(Collectors.joining(", "));
    }

    @GetMapping("/crib/map")
    ModelAndView map(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        ConductorSize size = LugInHand.size(entries);
        CompactionMap map = CompactionMap.of(stock.lugs(), crib.dies(), size);
        List<String> names = map.rows().stream().map(MapController::names).toList();
        model.addAttribute(
                "map",
                MapDrawer.map(
                        map,
                        names,
                        words.of("map.label", map.rows().size(), map.dies().size())));
        model.addAttribute("empty", map.dies().isEmpty() || map.rows().isEmpty());
        model.addAttribute(
                "rows", map.rows().stream().map(row -> words(map, row)).toList());
        return page(model, "crib/map", typed, entries);
    }

    private static RowWords words(CompactionMap map, CompactionMap.Row row) {
        List<String> sound = new ArrayList<>();
        for (int i = 0; i < row.cells().size(); i++) {
            if (row.cells().get(i).verdict() == Verdict.PASS) {
                sound.add(map.dies().get(i).tag());
            }
        }
        return new RowWords(names(row), row.size().designation(), String.join(", ", sound), row.best());
    }

    private static ModelAndView page(Model model, String view, Map<String, String> typed, Entries entries) {
        Map<String, String> shown = new HashMap<>(Map.of("size", "", "lug", ""));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", entries.faults());
        return new ModelAndView(
                view, model.asMap(), entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @GetMapping("/crib/find")
    ModelAndView find(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<LugInHand> held = LugInHand.read(entries, stock.lugs(), crib.dies());
        model.addAttribute("codes", stock.lugs().stream().map(Lug::code).toList());
        model.addAttribute("with", held.map(one -> one.size().designation()).orElse(""));
        model.addAttribute("asked", held.isPresent());
        List<Crimp> ranked = held.map(LugInHand::ranked).orElse(List.of());
        model.addAttribute("found", found(ranked));
        model.addAttribute(
                "coin",
                ranked.isEmpty()
                        ? null
                        : new CoinDrawer(ranked.get(0))
                                .coin(words.of(
                                        "coin.label",
                                        Figures.fixed(ranked.get(0).compaction(), 2))));
        return page(model, "crib/find", typed, entries);
    }

    private List<FoundRow> found(List<Crimp> ranked) {
        Toolbox box = crib.toolbox();
        return ranked.stream()
                .limit(DIES_SHOWN)
                .sorted(Comparator.comparing(DieChooser::dieVerdict))
                .map(crimp -> found(box, crimp))
                .toList();
    }

    private FoundRow found(Toolbox box, Crimp crimp) {
        String tag = crimp.die().tag();
        String inTool = box.held(tag).map(Toolbox.HeldDie::inTool).orElse(null);
        String tool = box.toolFor(crimp).map(Tool::tag).orElse("");
        return new FoundRow(
                tag,
                Figures.fixed(crimp.compaction(), 2),
                words.name(crimp.band()),
                DieChooser.dieVerdict(crimp),
                inTool == null ? words.of("die.in-box") : words.of("die.in-tool", inTool),
                tool.isEmpty()
                        ? words.of("die.no-tool")
                        : tool.equals(inTool) ? words.of("die.ready", tool) : words.of("die.set-up", tool));
    }
}
