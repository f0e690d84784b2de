package org.ulnaris.app.stock;

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
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;

/** Stock: what lies on the shelf, and what cable costs. */
@Controller
class StockController {
    /** More faults of a file than these are not listed at once. */
    static final int FAULTS_SHOWN = 20;

    /** Pages on which a part can be counted, by the name that their forms give. */
    private static final Map<String, String> BACK =
            Map.of("lugs", "/stock/lugs", "contacts", "/stock/contacts", "parts", "/stock/parts");

    private final LugStock stock;
    private final ContactStock contacts;
    private final Shelf shelf;
    private final PriceList prices;
    private final Words words;

    StockController(LugStock stock, ContactStock contacts, Shelf shelf, PriceList prices, Words words) {
        this.contacts = contacts;
        this.words = words;
        this.shelf = shelf;
        this.stock = stock;
        this.prices = prices;
    }

    @GetMapping("/stock")
    String show(Model model, @RequestParam(defaultValue = "") String least) {
        model.addAttribute("least", least);
        return show(model, Map.of(), Map.of());
    }

    private String show(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        model.addAttribute("shelves", Shelves.of(shelf.parts(), stock.all(), contacts.all(), shelf.all()));
        Map<String, String> shown = new HashMap<>(prices.texts());
        shown.putAll(shelf.texts());
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("beganShelf", Merge.began(shelf.texts()));
        model.addAttribute("beganPrices", Merge.began(prices.texts()));
        return "stock/stock";
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
        Map<String, Shelf.Count> read = shelf.read(entries);
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

    /** One piece more or fewer, of what is there or of what shall be there at least; back to the page where it was pressed. */
    @PostMapping("/stock/shelf/step")
    String step(@RequestParam Map<String, String> pressed) {
        for (String press : List.of("more", "fewer", "leastMore", "leastFewer")) {
            String code = pressed.get(press);
            if (code != null) {
                int by = press.endsWith("ore") ? 1 : -1;
                if (press.startsWith("least")) {
                    shelf.stepLeast(code, by);
                } else {
                    shelf.step(code, by);
                }
                return "redirect:" + back(pressed);
            }
        }
        throw new NotFoundException("part");
    }

    private static String back(Map<String, String> pressed) {
        String page = BACK.getOrDefault(pressed.getOrDefault("back", ""), "/stock");
        String least = pressed.getOrDefault("least", "");
        return UriComponentsBuilder.fromPath(page)
                .queryParamIfPresent("least", least.isEmpty() ? Optional.empty() : Optional.of("{least}"))
                .fragment("shelves")
                .encode()
                .buildAndExpand(least)
                .toUriString();
    }

    /** What is cut from a reel or taken from a bag: cable, sleeves, looms, fuses, nuts. */
    @GetMapping("/stock/parts")
    String parts(Model model) {
        model.addAttribute("kinds", OtherParts.of(words));
        model.addAttribute("counts", shelf.all());
        return "stock/parts";
    }
}
