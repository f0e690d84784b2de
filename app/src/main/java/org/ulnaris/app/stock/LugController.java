package org.ulnaris.app.stock;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.drawing.CaliperDrawer;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.StepBar;
import org.ulnaris.core.termination.Lug;

/** Lugs in stock: the series that ship, and those entered from caliper readings. */
@Controller
class LugController {
    private final LugStock stock;
    private final Shelf shelf;
    private final Words words;
    private final LastSteps steps;

    LugController(LugStock stock, Shelf shelf, Words words, LastSteps steps) {
        this.stock = stock;
        this.shelf = shelf;
        this.words = words;
        this.steps = steps;
    }

    @ModelAttribute("stepBar")
    StepBar stepBar(@RequestParam Map<String, String> asked) {
        return StepBar.of(steps.of(LastSteps.LUGS).orElse(null), asked);
    }

    @GetMapping("/stock/lugs")
    String show(Model model) {
        return show(model, Map.of(), Map.of());
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        Map<String, Integer> counts = shelf.ends();
        model.addAttribute("caliper", CaliperDrawer.lug(words.of("caliper.label"), words::caliper));
        model.addAttribute("measured", stock.own());
        model.addAttribute("counts", counts);
        model.addAttribute("series", LugSeries.of(stock.all(), counts));
        Map<String, String> shown = new HashMap<>(LugStock.FRESH);
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

    @PostMapping("/stock/lugs/remove")
    String remove(Model model, @RequestParam String code) {
        model.addAttribute("removed", stock.remove(code).map(stock::texts).orElse(null));
        return show(model, Map.of(), Map.of());
    }
}
