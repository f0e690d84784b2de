package org.ulnaris.app.crib;

import java.util.Map;
import org.jspecify.annotations.Nullable;
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
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.LugMaterial;

/** The crib: dies by the tool that they go into. */
@Controller
class CribController {
    private static final int LONGEST_TAG = 24;
    private static final int LONGEST_TOOL = 60;
    private static final Map<String, String> FRESH =
            Map.of("tag", "", "tool", "", "acrossFlats", "", "width", "5 mm", "material", "COPPER");

    private final CribService crib;

    CribController(CribService crib) {
        this.crib = crib;
    }

    @GetMapping("/crib")
    String show(Model model) {
        return show(model, FRESH, Map.of(), null);
    }

    private String show(
            Model model, Map<String, String> typed, Map<String, Fault> faults, CribService.@Nullable Kept removed) {
        model.addAttribute("dies", crib.all());
        model.addAttribute("typed", typed);
        model.addAttribute("faults", faults);
        model.addAttribute("removed", removed);
        return "crib/crib";
    }

    @PostMapping("/crib")
    ModelAndView add(Model model, @RequestParam Map<String, String> typed) {
        Entries entries = new Entries(typed, Units.METRIC);
        String tag = entries.text("tag", LONGEST_TAG, true, "");
        String tool = entries.text("tool", LONGEST_TOOL, false, "");
        double flats = entries.quantity("acrossFlats", Unit.MM, Die.ACROSS_FLATS_MM, 10);
        double width = entries.quantity("width", Unit.MM, Die.WIDTH_MM, 5);
        LugMaterial material = entries.choice("material", LugMaterial.class, LugMaterial.COPPER);
        if (entries.clean() && crib.has(tag)) {
            entries.fault("tag", Fault.Code.TAKEN);
        }
        if (!entries.clean()) {
            return new ModelAndView(
                    show(model, typed, entries.faults(), null), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        crib.add(new Die(tag, DieShape.HEX, flats, width, material), tool);
        return new ModelAndView("redirect:/crib");
    }

    @PostMapping("/crib/standard-set")
    String addStandardSet() {
        crib.addStandardSet("Hydraulic hand press");
        return "redirect:/crib";
    }

    @PostMapping("/crib/remove")
    String remove(Model model, @RequestParam String tag) {
        return show(model, FRESH, Map.of(), crib.remove(tag).orElse(null));
    }
}
