package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
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
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactCatalogue;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.contact.Style;

/** Contacts in stock: those that ship, and those that the person entered. */
@Controller
class ContactController {
    private static final List<Style> SMALL_STYLES = List.of(
            Style.SEALED_RING,
            Style.RING,
            Style.FORK,
            Style.PUSH_ON,
            Style.PIGGYBACK,
            Style.BULLET,
            Style.SEALED_BUTT,
            Style.BUTT);

    private final ContactStock contacts;
    private final Shelf shelf;
    private final Words words;
    private final LastSteps steps;

    ContactController(ContactStock contacts, Shelf shelf, Words words, LastSteps steps) {
        this.shelf = shelf;
        this.steps = steps;
        this.contacts = contacts;
        this.words = words;
    }

    @ModelAttribute("stepBar")
    StepBar stepBar(@RequestParam Map<String, String> asked) {
        return StepBar.of(steps.of(LastSteps.CONTACTS).orElse(null), asked);
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
        model.addAttribute("counts", shelf.ends());
        Map<String, List<Contact>> shelved = new LinkedHashMap<>();
        ContactCatalogue.shipped()
                .forEach(contact -> shelved.computeIfAbsent(words.name(contact.family()), family -> new ArrayList<>())
                        .add(contact));
        model.addAttribute("shelved", shelved);
        model.addAttribute(
                "families",
                Stream.of(Family.values())
                        .filter(family -> family != Family.TUBE_LUG)
                        .toList());
        model.addAttribute("styles", SMALL_STYLES);
        model.addAttribute("caliper", CaliperDrawer.contact(words.of("caliper.contact.label"), words::caliper));
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
        model.addAttribute("removed", contacts.remove(code).map(contacts::texts).orElse(null));
        return contacts(model, ContactStock.FRESH, Map.of());
    }
}
