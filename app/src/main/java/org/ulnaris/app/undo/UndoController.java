package org.ulnaris.app.undo;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes the last step of a job or of a list of the shop back. */
@Controller
class UndoController {
    private final LastSteps steps;

    UndoController(LastSteps steps) {
        this.steps = steps;
    }

    /** Back to the picture, where it was taken there; else to the list of cables. */
    @PostMapping("/jobs/{id}/undo")
    String undo(@PathVariable long id, @RequestParam(defaultValue = "false") boolean picture) {
        LastSteps.Outcome outcome = steps.undo(LastSteps.job(id));
        return "redirect:/jobs/" + id + (picture ? "" : "/plan") + "?undone=" + outcome.undone() + "&left="
                + outcome.left();
    }

    @PostMapping("/stock/lugs/undo")
    String lugs() {
        steps.undo(LastSteps.LUGS);
        return "redirect:/stock/lugs";
    }

    @PostMapping("/stock/contacts/undo")
    String contacts() {
        steps.undo(LastSteps.CONTACTS);
        return "redirect:/stock/contacts";
    }
}
