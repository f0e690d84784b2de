package org.ulnaris.app.stock;

import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Units;
import org.ulnaris.core.termination.Lug;

/** Stock: the lugs, and those entered from caliper readings. */
@Controller
class StockController {
    private final StockService stock;

    StockController(StockService stock) {
        this.stock = stock;
    }

    @GetMapping("/stock")
    String show(Model model) {
        return show(model, StockService.FRESH, Map.of());
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("measured", stock.measured());
        model.addAttribute("shipped", org.ulnaris.core.termination.LugCatalogue.shipped());
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        return "stock/stock";
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
        return new ModelAndView("redirect:" + (back.matches("/cables/\\d+/match") ? back : "/stock"));
    }

    @PostMapping("/stock/lugs/remove")
    String remove(Model model, @RequestParam String code) {
        model.addAttribute("removed", stock.remove(code).orElse(null));
        return show(model, StockService.FRESH, Map.of());
    }
}
