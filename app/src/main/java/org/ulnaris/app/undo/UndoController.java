package org.ulnaris.app.undo;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** Takes the last step of a job back. */
@Controller
class UndoController {
    private final LastSteps steps;

    UndoController(LastSteps steps) {
        this.steps = steps;
    }

    @PostMapping("/jobs/{id}/undo")
    String undo(@PathVariable long id) {
        LastSteps.Outcome outcome = steps.undo(id);
        return "redirect:/jobs/" + id + "/plan?undone=" + outcome.undone() + "&left=" + outcome.left();
    }
}
