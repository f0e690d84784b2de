package org.ulnaris.app.stock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.termination.Lug;

/** Stock: the lugs, and those entered from caliper readings. */
@Controller
class StockController {
    /** More faults of a file than these are not listed at once. */
    static final int FAULTS_SHOWN = 20;

    private final StockService stock;
    private final Shelf shelf;
    private final PriceList prices;
    private final LugCsv csv;
    private final Words words;
    private final LastSteps steps;

    StockController(StockService stock, Shelf shelf, PriceList prices, LugCsv csv, Words words, LastSteps steps) {
        this.steps = steps;
        this.shelf = shelf;
        this.words = words;
        this.csv = csv;
        this.stock = stock;
        this.prices = prices;
    }

    @GetMapping("/stock")
    String show(Model model) {
        return show(model, StockService.FRESH, Map.of());
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("caliper", CaliperDrawer.lug(words.of("caliper.label")));
        model.addAttribute("measured", stock.measured());
        model.addAttribute("shelves", Shelves.of(stock.lugs(), shelf.all()));
        model.addAttribute("step", steps.of(LastSteps.LUGS).orElse(null));
        Map<String, String> shown = new HashMap<>(StockService.FRESH);
        shown.put(PriceList.FIELD, prices.text());
        shown.put(Shelf.FIELD, shelf.text());
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("beganShelf", Merge.began(shelf.texts()));
        model.addAttribute("beganPrices", Merge.began(prices.texts()));
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

    /** All lugs as CSV. */
    @GetMapping("/stock/lugs.csv")
    ResponseEntity<String> export() {
        return csv("lugs.csv", csv.write());
    }

    /** A catalogue as a file to be kept. */
    static ResponseEntity<String> csv(String name, String text) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text);
    }

    @PostMapping("/stock/lugs/import")
    ModelAndView take(Model model, @RequestParam MultipartFile file) throws IOException {
        List<CsvTable.FileFault> faults = csv.read(file.getBytes());
        if (faults.isEmpty()) {
            return new ModelAndView("redirect:/stock#measured");
        }
        model.addAttribute("fileFaults", faults.stream().limit(FAULTS_SHOWN).toList());
        return new ModelAndView(show(model, Map.of(), Map.of()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/stock/prices")
    ModelAndView price(Model model, @RequestParam Map<String, String> typed) {
        Merge merge = Merge.of(prices.texts(), typed);
        if (merge.conflict() != null) {
            return conflict(model, merge.conflict(), "prices");
        }
        Entries entries = new Entries(merge.over(prices.texts()), Units.METRIC);
        Map<String, Double> read = PriceList.read(entries);
        if (!entries.clean()) {
            return new ModelAndView(
                    show(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        prices.replace(read);
        return new ModelAndView("redirect:/stock#prices");
    }

    @PostMapping("/stock/shelf")
    ModelAndView count(Model model, @RequestParam Map<String, String> typed) {
        Merge merge = Merge.of(shelf.texts(), typed);
        if (merge.conflict() != null) {
            return conflict(model, merge.conflict(), "shelf");
        }
        Entries entries = new Entries(merge.over(shelf.texts()), Units.METRIC);
        Map<String, Integer> read = shelf.read(entries);
        if (!entries.clean()) {
            return new ModelAndView(
                    show(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        shelf.replace(read);
        return new ModelAndView("redirect:/stock#shelf");
    }

    private ModelAndView conflict(Model model, Merge.Conflict conflict, String list) {
        model.addAttribute("conflict", conflict);
        model.addAttribute("conflictList", list);
        return new ModelAndView(show(model, Map.of(), Map.of()), model.asMap(), HttpStatus.CONFLICT);
    }

    /** One piece more or fewer, where it is seen. */
    @PostMapping("/stock/shelf/step")
    String step(@RequestParam(defaultValue = "") String more, @RequestParam(defaultValue = "") String fewer) {
        shelf.step(more.isEmpty() ? fewer : more, more.isEmpty() ? -1 : 1);
        return "redirect:/stock#shelves";
    }

    @PostMapping("/stock/lugs/remove")
    String remove(Model model, @RequestParam String code) {
        model.addAttribute("removed", stock.remove(code).orElse(null));
        return show(model, StockService.FRESH, Map.of());
    }
}
