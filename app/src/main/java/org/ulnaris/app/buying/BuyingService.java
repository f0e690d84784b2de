package org.ulnaris.app.buying;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.stock.PriceList;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.parts.JobNeeds;
import org.ulnaris.core.parts.Part;

/** Gathers what the making of jobs still takes and what lies in the shop. */
@Service
public class BuyingService {
    private final JobService jobs;
    private final CableService cables;
    private final MakeService make;
    private final Works works;
    private final Shelf shelf;
    private final PriceList prices;

    BuyingService(JobService jobs, CableService cables, MakeService make, Works works, Shelf shelf, PriceList prices) {
        this.jobs = jobs;
        this.cables = cables;
        this.make = make;
        this.works = works;
        this.shelf = shelf;
        this.prices = prices;
    }

    /** The jobs that are not archived. */
    public List<Job> open() {
        return jobs.all().stream().filter(job -> !job.archived()).toList();
    }

    /** One job is asked for by its number, an archived one too; else all that are open. */
    public ShoppingList list(Optional<Long> asked) {
        List<ShoppingList.Wanting> wanting = new ArrayList<>();
        List<String> broken = new ArrayList<>();
        for (Job job : asked.map(jobs::get).map(List::of).orElseGet(this::open)) {
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
}
