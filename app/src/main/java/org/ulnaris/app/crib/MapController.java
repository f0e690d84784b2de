package org.ulnaris.app.crib;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.MapDrawer;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.crimp.CompactionMap;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.CrimpBand;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;

/** Crib: which dies do for which lugs, and where the dies for the lug in the hand are. */
@Controller
class MapController {
    private static final double SHEET_MM = 2;

    private final CribService crib;
    private final LugStock stock;
    private final Words words;

    MapController(CribService crib, LugStock stock, Words words) {
        this.crib = crib;
        this.stock = stock;
        this.words = words;
    }

    /**
     * A barrel with its conductor.
     *
     * @param code a lug that has it
     * @param name the first of those that have it
     * @param others the rest of them; empty where there is none
     * @param sound the dies that do, the best first; where none does, those that need a look
     * @param face the barrel with the outline of the best of them; all of the page to one scale
     */
    record LugCard(
            String code,
            String name,
            String others,
            String size,
            List<SoundDie> sound,
            Verdict verdict,
            Drawing face) {}

    /** A pair that does. */
    record SoundDie(String tag, String compaction) {}

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
        CompactionMap map = CompactionMap.of(stock.all(), crib.dies(), size);
        List<String> names = map.rows().stream().map(MapController::names).toList();
        model.addAttribute(
                "map",
                MapDrawer.map(
                        map,
                        names,
                        words.of("map.compaction", map.rows().size(), map.dies().size())));
        model.addAttribute("empty", map.dies().isEmpty() || map.rows().isEmpty());
        double sheetMm = SHEET_MM
                + map.rows().stream()
                        .mapToDouble(row -> row.barrel().outerMm())
                        .max()
                        .orElse(0);
        model.addAttribute(
                "rows", map.rows().stream().map(row -> card(row, sheetMm)).toList());
        model.addAttribute(
                "sound", List.of(Figures.fixed(CrimpBand.HARD_BELOW, 2), Figures.fixed(CrimpBand.LIGHT_ABOVE, 2)));
        return page(model, typed, entries);
    }

    private static LugCard card(CompactionMap.Row row, double sheetMm) {
        List<Crimp> doing = row.doing();
        String names = names(row);
        String name = names.split(", ", 2)[0];
        Die best = doing.isEmpty() ? null : doing.get(0).die();
        return new LugCard(
                row.lugs().get(0).code(),
                name,
                names.equals(name) ? "" : names.substring(name.length() + 2),
                row.size().designation(),
                doing.stream()
                        .map(crimp -> new SoundDie(crimp.die().tag(), Figures.fixed(crimp.compaction(), 2)))
                        .toList(),
                row.best(),
                DieDrawer.face(row.barrel(), best, sheetMm, name));
    }

    private static ModelAndView page(Model model, Map<String, String> typed, Entries entries) {
        Map<String, String> shown = new HashMap<>(Map.of("size", ""));
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", entries.faults());
        return new ModelAndView(
                "crib/map", model.asMap(), entries.clean() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** The lug in the hand is looked for in the case itself. */
    @GetMapping("/crib/find")
    String find(@RequestParam Map<String, String> typed) {
        return "redirect:"
                + UriComponentsBuilder.fromPath("/crib")
                        .queryParam("lug", "{lug}")
                        .queryParam("size", "{size}")
                        .encode()
                        .buildAndExpand(LugInHand.shown(typed))
                        .toUriString();
    }
}
