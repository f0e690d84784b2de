package org.ulnaris.app.find;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.assembly.Assembler;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.Names;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.rules.RulesService;
import org.ulnaris.app.shell.BrokenJobException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.parts.Part;
import org.ulnaris.core.worked.JobFinding;

/** Finds jobs, cables, equipment, findings, lugs, contacts, other parts, dies, tools and house rules. */
@Controller
class FindController {
    /** So many of a kind are shown. */
    private static final int MOST = 12;

    /** Findings are looked for in so many open jobs, the newest. */
    private static final int MOST_JOBS = 20;

    private final JobService jobs;
    private final List<Names> named;
    private final Assembler assembler;
    private final Works works;
    private final CribService crib;
    private final Words words;

    FindController(
            JobService jobs, List<Names> named, Assembler assembler, Works works, CribService crib, Words words) {
        this.works = works;
        this.jobs = jobs;
        this.named = named;
        this.assembler = assembler;
        this.crib = crib;
        this.words = words;
    }

    /**
     * Something that was found.
     *
     * @param name its name
     * @param of what tells it from others of that name
     */
    record Found(String name, String of, String link) {}

    /** What was found of one kind. */
    record Group(String title, List<Found> some, int more) {}

    @GetMapping("/find")
    @Transactional(readOnly = true)
    String find(
            Model model,
            @RequestParam(defaultValue = "") String q,
            @RequestHeader(name = "HX-Request", required = false) @Nullable String htmx) {
        String wanted = q.strip();
        model.addAttribute("q", q);
        model.addAttribute("groups", wanted.isEmpty() ? List.of() : groups(Tags.fold(wanted)));
        return htmx == null ? "find/find" : "find/find :: found";
    }

    private List<Group> groups(String wanted) {
        List<Job> all = jobs.all();
        Map<Long, String> names = new LinkedHashMap<>();
        all.forEach(job -> names.put(job.id(), job.details().name()));
        List<Group> groups = new ArrayList<>();
        groups.add(group(
                "jobs",
                all.stream()
                        .filter(job -> holds(job.details().name(), wanted))
                        .map(job -> new Found(
                                job.details().name(), words.name(job.details().kind()), "/jobs/" + job.id()))));
        for (Names feature : named) {
            groups.add(group(
                    feature.namedKind(),
                    feature.named(wanted).stream()
                            .filter(one -> names.containsKey(one.jobId()))
                            .map(one -> new Found(
                                    one.tag(),
                                    names.getOrDefault(one.jobId(), ""),
                                    address("/jobs/" + one.jobId(), "at", one.tag())))));
        }
        groups.add(group(
                "findings",
                all.stream().filter(job -> !job.archived()).limit(MOST_JOBS).flatMap(job -> findings(job, wanted))));
        Shop shop = assembler.shop();
        groups.add(group(
                "lugs",
                shop.lugs().stream()
                        .filter(lug -> holds(lug.code(), wanted))
                        .map(lug -> new Found(lug.code(), lug.forSize(), "/stock/lugs"))));
        groups.add(group(
                "contacts",
                shop.contacts().stream()
                        .filter(contact -> holds(contact.code(), wanted))
                        .map(contact -> new Found(contact.code(), words.name(contact.family()), "/stock/contacts"))));
        groups.add(group(
                "parts",
                Part.standard().stream()
                        .filter(part -> holds(part.code(), wanted))
                        .map(part -> new Found(part.code(), words.of("shelf." + part.kind()), "/stock/parts"))));
        groups.add(group(
                "dies",
                crib.all().stream()
                        .map(CribService.Kept::details)
                        .filter(die -> holds(die.tag() + " " + die.family(), wanted))
                        .map(die -> new Found(die.tag(), die.family(), address("/crib/die", "tag", die.tag())))));
        groups.add(group(
                "tools",
                crib.tools().stream()
                        .filter(tool -> holds(tool.tag() + " " + tool.name(), wanted))
                        .map(tool -> new Found(tool.tag(), tool.name(), address("/crib/tool", "tag", tool.tag())))));
        groups.add(group(
                "rules",
                RulesService.names(words).entrySet().stream()
                        .filter(rule -> holds(rule.getValue(), wanted))
                        .map(rule -> new Found(rule.getValue(), "", "/rules#f-" + rule.getKey()))));
        return groups.stream().filter(group -> !group.some().isEmpty()).toList();
    }

    /** What asks for something in a job, by what was checked. */
    private Stream<Found> findings(Job job, String wanted) {
        try {
            return works.of(job.id()).findings().stream()
                    .filter(said -> said.verdict().asks()
                            && holds(words.of("finding." + said.finding().code()), wanted))
                    .sorted(JobFinding.WORST_FIRST)
                    .map(said -> new Found(
                            words.of("finding." + said.finding().code()) + ", " + said.subject(),
                            words.name(said.verdict()) + " · " + job.details().name(),
                            address("/jobs/" + job.id(), "at", said.subject())))
                    .distinct();
        } catch (BrokenJobException e) {
            return Stream.empty();
        }
    }

    private static boolean holds(String name, String wanted) {
        return Tags.fold(name).contains(wanted);
    }

    private Group group(String kind, Stream<Found> found) {
        List<Found> all = found.toList();
        return new Group(words.of("find." + kind), all.stream().limit(MOST).toList(), Math.max(0, all.size() - MOST));
    }

    private static String address(String path, String name, String value) {
        return UriComponentsBuilder.fromPath(path)
                .queryParam(name, "{value}")
                .encode()
                .buildAndExpand(value)
                .toUriString();
    }
}
