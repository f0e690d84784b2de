package org.ulnaris.app.undo;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Takes the last step of a job or of a list of the shop back, or does it again. */
@Controller
class UndoController {
    private final LastSteps steps;

    UndoController(LastSteps steps) {
        this.steps = steps;
    }

    /** Back to the picture, where it was pressed there; else to the list of cables. */
    @PostMapping("/jobs/{id}/{turn:undo|redo}")
    String job(
            @PathVariable long id,
            @PathVariable String turn,
            @RequestParam(defaultValue = "") String step,
            @RequestParam(defaultValue = "false") boolean picture) {
        return turned(LastSteps.job(id), turn, step, "/jobs/" + id + (picture ? "" : "/plan"));
    }

    @PostMapping("/stock/{list:lugs|contacts}/{turn:undo|redo}")
    String list(@PathVariable String list, @PathVariable String turn, @RequestParam(defaultValue = "") String step) {
        return turned(list, turn, step, "/stock/" + list);
    }

    private String turned(String place, String turn, String step, String page) {
        boolean again = turn.equals("redo");
        LastSteps.Outcome outcome = again ? steps.redo(place, step) : steps.undo(place, step);
        String came = outcome.late()
                ? "late"
                : (again ? "redone=" : "undone=") + outcome.turned() + "&left=" + outcome.left();
        return "redirect:" + page + "?" + came;
    }
}
