package org.ulnaris.app.buying;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.core.measure.Figures;

/** Stock: what to buy for the open jobs, or for one of them. */
@Controller
class BuyingController {
    private final BuyingService buying;

    BuyingController(BuyingService buying) {
        this.buying = buying;
    }

    @GetMapping("/stock/buy")
    String show(Model model, @RequestParam Optional<Long> job) {
        ShoppingList list = buying.list(job);
        model.addAttribute("list", list);
        model.addAttribute("wanted", ShoppingList.byKind(list.wanted()));
        model.addAttribute("enough", ShoppingList.byKind(list.enough()));
        model.addAttribute(
                "jobs",
                buying.open().stream()
                        .map(one -> Map.entry(one.id(), one.details().name()))
                        .toList());
        model.addAttribute("jobId", job.orElse(null));
        return "buying/buy";
    }

    /** The list as a table: what to buy first, then what is there. */
    @GetMapping("/stock/buy.csv")
    ResponseEntity<String> csv(@RequestParam Optional<Long> job) {
        ShoppingList list = buying.list(job);
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("part", "buy", "unit", "needed", "longest_piece_m", "there", "at_least", "for")
                .get();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (List<ShoppingList.Line> lines : List.of(list.wanted(), list.enough())) {
                for (ShoppingList.Line line : lines) {
                    printer.printRecord(
                            CsvText.neutral(line.part().code()),
                            line.buy(),
                            line.unit(),
                            Figures.fixed(line.pieces(), line.part().kind().byLength() ? 2 : 0),
                            line.longestM() > 0 ? Figures.fixed(line.longestM(), 2) : "",
                            line.there(),
                            line.least(),
                            CsvText.neutral(users(line)));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("to-buy.csv")
                                .build()
                                .toString())
                .body(text.toString());
    }

    private static String users(ShoppingList.Line line) {
        return line.users().entrySet().stream()
                .map(job -> job.getKey() + ": " + String.join(", ", job.getValue()))
                .collect(Collectors.joining("; "));
    }
}
