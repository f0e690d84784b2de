package org.ulnaris.app.stock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
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
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.Style;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;

/** Stock: the lugs, and those entered from caliper readings. */
@Controller
class StockController {
    private static final int FAULTS_SHOWN = 20;
    private static final List<Style> SMALL_STYLES = List.of(
            Style.SEALED_RING,
            Style.RING,
            Style.FORK,
            Style.PUSH_ON,
            Style.PIGGYBACK,
            Style.BULLET,
            Style.SEALED_BUTT,
            Style.BUTT);

    private final StockService stock;
    private final ContactStock contacts;
    private final ContactCsv contactCsv;
    private final Shelf shelf;
    private final PriceList prices;
    private final LugCsv csv;
    private final Words words;

    StockController(
            StockService stock,
            ContactStock contacts,
            ContactCsv contactCsv,
            Shelf shelf,
            PriceList prices,
            LugCsv csv,
            Words words) {
        this.contacts = contacts;
        this.contactCsv = contactCsv;
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
        model.addAttribute("shipped", LugCatalogue.shipped());
        Map<String, String> shown = new HashMap<>(StockService.FRESH);
        shown.put(PriceList.FIELD, prices.text());
        shown.put(Shelf.FIELD, shelf.text());
        shown.putAll(typed);
        model.addAttribute("typed", shown);
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

    /** All lugs as CSV. */
    @GetMapping("/stock/lugs.csv")
    ResponseEntity<String> export() {
        return csv("lugs.csv", csv.write());
    }

    private static ResponseEntity<String> csv(String name, String text) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(text);
    }

    @PostMapping("/stock/lugs/import")
    ModelAndView take(Model model, @RequestParam MultipartFile file) throws IOException {
        List<CsvTable.FileFault> faults = csv.read(new String(file.getBytes(), StandardCharsets.UTF_8));
        if (faults.isEmpty()) {
            return new ModelAndView("redirect:/stock#measured");
        }
        model.addAttribute("fileFaults", faults.stream().limit(FAULTS_SHOWN).toList());
        return new ModelAndView(show(model, Map.of(), Map.of()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/stock/prices")
    ModelAndView price(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
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
        Entries entries = new Entries(typed, Units.METRIC);
        Map<String, Integer> read = shelf.read(entries);
        if (!entries.clean()) {
            return new ModelAndView(
                    show(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        shelf.replace(read);
        return new ModelAndView("redirect:/stock#shelf");
    }

    @GetMapping("/stock/contacts")
    String contacts(Model model) {
        return contacts(model, ContactStock.FRESH, Map.of());
    }

    private String contacts(Model model, Map<String, String> typed, Map<String, Fault> faults) {
        Map<String, String> shown = new HashMap<>(ContactStock.FRESH);
        shown.putAll(typed);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", faults);
        model.addAttribute("own", contacts.own());
        model.addAttribute("shipped", ContactCatalogue.shipped());
        model.addAttribute(
                "families",
                Stream.of(Family.values())
                        .filter(family -> family != Family.TUBE_LUG)
                        .toList());
        model.addAttribute("styles", SMALL_STYLES);
        model.addAttribute("caliper", CaliperDrawer.contact(words.of("caliper.contact.label")));
        return "stock/contacts";
    }

    @PostMapping("/stock/contacts")
    ModelAndView addContact(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        Optional<Contact> contact = contacts.read(entries);
        if (contact.isEmpty()) {
            return new ModelAndView(
                    contacts(model, typed, entries.faults()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        contacts.add(contact.get());
        return new ModelAndView("redirect:/stock/contacts#own");
    }

    @PostMapping("/stock/contacts/remove")
    String removeContact(Model model, @RequestParam String code) {
        model.addAttribute(
                "removed", contacts.remove(code).map(ContactStock::texts).orElse(null));
        return contacts(model, ContactStock.FRESH, Map.of());
    }

    @GetMapping("/stock/contacts.csv")
    ResponseEntity<String> exportContacts() {
        return csv("contacts.csv", contactCsv.write());
    }

    @PostMapping("/stock/contacts/import")
    ModelAndView takeContacts(Model model, @RequestParam MultipartFile file) throws IOException {
        List<CsvTable.FileFault> faults = contactCsv.read(new String(file.getBytes(), StandardCharsets.UTF_8));
        if (faults.isEmpty()) {
            return new ModelAndView("redirect:/stock/contacts#own");
        }
        model.addAttribute("fileFaults", faults.stream().limit(FAULTS_SHOWN).toList());
        return new ModelAndView(contacts(model, Map.of(), Map.of()), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/stock/lugs/remove")
    String remove(Model model, @RequestParam String code) {
        model.addAttribute("removed", stock.remove(code).orElse(null));
        return show(model, StockService.FRESH, Map.of());
    }
}
