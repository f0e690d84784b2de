package org.ulnaris.app.stock;

import java.io.IOException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.drawing.CaliperDrawer;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.termination.Lug;

/** Lugs in stock: the series that ship, and those entered from caliper readings. */
@Controller
class LugController {
    private final StockService stock;
    private final Shelf shelf;
    private final LugCsv csv;
    private final Words words;
    private final LastSteps steps;

    LugController(StockService stock, Shelf shelf, LugCsv csv, Words words, LastSteps steps) {
        this.stock = stock;
        this.shelf = shelf;
        this.csv = csv;
        this.words = words;
        this.steps = steps;
    }

    @GetMapping("/stock/lugs")
    String show(Model model) {
        return show(model, Map.of(), Map.of());
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        Map<String, Integer> counts = shelf.ends();
        model.addAttribute("caliper", CaliperDrawer.lug(words.of("caliper.label"), words::caliper));
        model.addAttribute("measured", stock.measured());
        model.addAttribute("counts", counts);
        model.addAttribute("series", LugSeries.of(stock.lugs(), counts));
        model.addAttribute("step", steps.of(LastSteps.LUGS).orElse(null));
        Map<String, String> shown = new HashMap<>(StockService.FRESH);
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        return "stock/lugs";
    }

    @PostMapping("/stock/lugs")
    ModelAndView add(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<Lug> lug = stock.read(entries);
        if (lug.isEmpty()) {
            return new ModelAndView(
                    show(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        stock.add(lug.get());
        String back = typed.getOrDefault("back", "");
        return new ModelAndView("redirect:" + (back.matches("/cables/\\d+/match") ? back : "/stock/lugs"));
    }

    /** All lugs as CSV. */
    @GetMapping("/stock/lugs.csv")
    ResponseEntity<String> export() {
        return StockController.csv("lugs.csv", csv.write());
    }

    @PostMapping("/stock/lugs/import")
    ModelAndView take(Model model, @RequestParam MultipartFile file) throws IOException {
        List<CsvTable.FileFault> faults = csv.read(file.getBytes());
        if (faults.isEmpty()) {
            return new ModelAndView("redirect:/stock/lugs#measured");
        }
        model.addAttribute(
                "fileFaults",
                faults.stream().limit(StockController.FAULTS_SHOWN).toList());
        return new ModelAndView(show(model, Map.of(), Map.of()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/stock/lugs/remove")
    String remove(Model model, @RequestParam String code) {
        model.addAttribute(
                "removed", stock.remove(code).map(StockService::texts).orElse(null));
        return show(model, Map.of(), Map.of());
    }
}
