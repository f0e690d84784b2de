package org.ulnaris.app.stock;

import static java.util.Objects.requireNonNull;

import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.ModelAndView;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.Merge;

/** Lists of parts as tables, out and back in: what a table would change is shown before it is taken. */
@Controller
class PartFileController {
    private static final int LONGEST = 1_000_000;
    private static final String LISTS = "{list:lugs|contacts}";

    private final Map<String, PartList<?, ?, ?>> lists;

    PartFileController(List<PartList<?, ?, ?>> lists) {
        this.lists = lists.stream().collect(Collectors.toMap(PartList::place, Function.identity()));
    }

    private PartList<?, ?, ?> list(String name) {
        return requireNonNull(lists.get(name));
    }

    /** All parts of a list as CSV. */
    @GetMapping("/stock/" + LISTS + ".csv")
    ResponseEntity<String> export(@PathVariable String list) {
        return StockController.csv(list + ".csv", list(list).csv());
    }

    @PostMapping("/stock/" + LISTS + "/import")
    ModelAndView preview(
            Model model, @PathVariable String list, @RequestParam(required = false) @Nullable MultipartFile file)
            throws IOException {
        Optional<String> text = file == null ? Optional.of("") : CsvText.decode(file.getBytes());
        if (text.isEmpty()) {
            return answer(model, list, "", refused(CsvTable.NOT_UTF_8));
        }
        if (text.get().length() > LONGEST) {
            return answer(
                    model,
                    list,
                    "",
                    refused(new CsvTable.FileFault(
                            0, "", Fault.of(Fault.Code.TOO_LONG, "", Integer.toString(LONGEST)))));
        }
        return answer(model, list, text.get(), list(list).preview(text.get()));
    }

    @PostMapping("/stock/" + LISTS + "/import/accept")
    ModelAndView accept(
            Model model,
            @PathVariable String list,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean drop,
            @RequestParam(name = Merge.FIELD, required = false) @Nullable String began) {
        if (Merge.isStale(standing(list), began)) {
            model.addAttribute("meanwhile", true);
            ModelAndView again = answer(model, list, text, list(list).preview(text));
            again.setStatus(HttpStatus.CONFLICT);
            return again;
        }
        PartList.Preview<?> taken = list(list).take(text, drop);
        return taken.faults().isEmpty()
                ? new ModelAndView("redirect:/stock/" + list)
                : answer(model, list, text, taken);
    }

    private Map<String, String> standing(String list) {
        return Map.of(list, list(list).csv());
    }

    private static PartList.Preview<?> refused(CsvTable.FileFault fault) {
        return new PartList.Preview<>(List.of(), List.of(), List.of(fault));
    }

    private ModelAndView answer(Model model, String list, String text, PartList.Preview<?> preview) {
        boolean sound = preview.faults().isEmpty();
        model.addAttribute("list", list);
        model.addAttribute("began", Merge.began(standing(list)));
        model.addAttribute("text", sound ? text : "");
        model.addAttribute("preview", preview);
        model.addAttribute(
                "changes",
                preview.rows().stream()
                        .filter(row -> row.what() != PartList.What.SAME)
                        .toList());
        for (PartList.What what : PartList.What.values()) {
            model.addAttribute("count" + what, preview.count(what));
        }
        model.addAttribute(
                "fileFaults",
                sound
                        ? null
                        : preview.faults().stream()
                                .limit(StockController.FAULTS_SHOWN)
                                .toList());
        return new ModelAndView(
                "stock/import", model.asMap(), sound ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
