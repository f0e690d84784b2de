package org.ulnaris.app.buying;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.CsvText;
import org.ulnaris.app.stock.PriceList;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.parts.JobNeeds;
import org.ulnaris.core.parts.Part;

/** Stock: what to buy for the open jobs, or for one of them. */
@Controller
class BuyingController {
    private final JobService jobs;
    private final CableService cables;
    private final MakeService make;
    private final Works works;
    private final Shelf shelf;
    private final PriceList prices;

    BuyingController(
            JobService jobs, CableService cables, MakeService make, Works works, Shelf shelf, PriceList prices) {
        this.jobs = jobs;
        this.cables = cables;
        this.make = make;
        this.works = works;
        this.shelf = shelf;
        this.prices = prices;
    }

    @GetMapping("/stock/buy")
    String show(Model model, @RequestParam Optional<Long> job) {
        List<Job> open = open();
        ShoppingList list = list(open, job);
        model.addAttribute("list", list);
        model.addAttribute("wanted", ShoppingList.byKind(list.wanted()));
        model.addAttribute("enough", ShoppingList.byKind(list.enough()));
        model.addAttribute(
                "jobs",
                open.stream()
                        .map(one -> Map.entry(one.id(), one.details().name()))
                        .toList());
        model.addAttribute("job", job.orElse(null));
        return "buying/buy";
    }

    private List<Job> open() {
        return jobs.all().stream().filter(job -> !job.archived()).toList();
    }

    /** One job is asked for by its number, an archived one too; else all that are open. */
    private ShoppingList list(List<Job> open, Optional<Long> asked) {
        List<ShoppingList.Wanting> wanting = new ArrayList<>();
        List<String> broken = new ArrayList<>();
        for (Job job : asked.map(jobs::get).map(List::of).orElse(open)) {
            try {
                wanting.add(wanting(job));
            } catch (BrokenJobException e) {
                broken.add(job.details().name());
            }
        }
        Map<String, Shelf.Count> counts = shelf.all();
        List<Part> parts = shelf.parts().distinct().toList();
        Map<Part, Integer> order =
                IntStream.range(0, parts.size()).boxed().collect(Collectors.toMap(parts::get, place -> place));
        Map<Part, ShoppingList.Shop.Count> counted = parts.stream()
                .filter(part -> counts.containsKey(part.code()))
                .collect(Collectors.toMap(part -> part, part -> {
                    Shelf.Count count = counts.getOrDefault(part.code(), new Shelf.Count(0, 0));
                    return new ShoppingList.Shop.Count(count.pieces(), count.least());
                }));
        return ShoppingList.of(wanting, new ShoppingList.Shop(counted, prices.all(), order), broken);
    }

    private ShoppingList.Wanting wanting(Job job) {
        List<Cable> all = cables.of(job.id());
        Map<Long, Making> makings = make.ofAll(all);
        Map<String, Set<String>> done = new HashMap<>();
        for (Cable cable : all) {
            Making making = makings.get(cable.id());
            if (making != null) {
                done.put(cable.details().tag(), making.done());
            }
        }
        JobNeeds needs = JobNeeds.of(
                works.of(job.id()),
                (tag, step) -> done.getOrDefault(tag, Set.of()).contains(step.key()));
        return new ShoppingList.Wanting(job.id(), job.details().name(), needs);
    }

    /** The list as a table: what to buy first, then what is there. */
    @GetMapping("/stock/buy.csv")
    ResponseEntity<String> csv(@RequestParam Optional<Long> job) {
        ShoppingList list = list(open(), job);
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
                            line.part().kind().byLength() ? "m" : "pieces",
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
