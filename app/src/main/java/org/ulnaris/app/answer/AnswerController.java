package org.ulnaris.app.answer;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.util.UriComponentsBuilder;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobBoard;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.Ribbons;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.store.Backups;
import org.ulnaris.core.ask.Line;
import org.ulnaris.core.ask.LoadAsked;
import org.ulnaris.core.ask.Meaning;
import org.ulnaris.core.ask.Offers;
import org.ulnaris.core.ask.Said;
import org.ulnaris.core.ask.Word;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.measure.Figures;

/** The first page: one line to an answer, and the shop's jobs. */
@Controller
class AnswerController {
    private static final int MOST_CARDS = 6;
    private static final double MINUTE_S = 60;

    private final AnswerService answers;
    private final JobService jobs;
    private final JobBoard board;
    private final Ribbons ribbons;
    private final Words words;
    private final Backups backups;

    AnswerController(
            AnswerService answers, JobService jobs, JobBoard board, Ribbons ribbons, Words words, Backups backups) {
        this.backups = backups;
        this.answers = answers;
        this.jobs = jobs;
        this.board = board;
        this.ribbons = ribbons;
        this.words = words;
    }

    /**
     * A word of the line with what it was understood as.
     *
     * @param from where it begins in the line
     * @param to where it ends
     */
    record Gloss(String text, int from, int to, String understood, boolean taken) {}

    /** Something that nobody said and that is taken as known, with what a person adds to the line to say otherwise. */
    record Known(String text, String line) {}

    @GetMapping("/")
    String first(Model model, @RequestParam(defaultValue = "") String ask) {
        answer(model, Line.read(ask));
        List<Job> open = open();
        model.addAttribute("cards", board.cards(open.stream().limit(MOST_CARDS).toList()));
        model.addAttribute("more", Math.max(0, open.size() - MOST_CARDS));
        model.addAttribute("worry", backups.worry());
        return "answer/first";
    }

    private List<Job> open() {
        return jobs.all().stream().filter(job -> !job.archived()).toList();
    }

    @GetMapping("/answer")
    String answer(Model model, HttpServletResponse response, @RequestParam(defaultValue = "") String ask) {
        Line line = Line.read(ask);
        answer(model, line);
        response.setHeader("HX-Replace-Url", address(line));
        return "answer/first :: answer";
    }

    private static String address(Line line) {
        return line.text().isEmpty()
                ? "/"
                : UriComponentsBuilder.fromPath("/")
                        .queryParam("ask", "{ask}")
                        .encode()
                        .buildAndExpand(line.text())
                        .toUriString();
    }

    private void answer(Model model, Line line) {
        Said said = line.said();
        Fmt fmt = new Fmt(said.inches() ? Units.US : Units.METRIC);
        model.addAttribute("line", line.text());
        model.addAttribute("address", address(line));
        model.addAttribute(
                "gloss",
                line.words().stream()
                        .filter(word -> word.meaning() != Meaning.JOINING)
                        .map(word -> gloss(word, said, fmt))
                        .toList());
        model.addAttribute("offers", Offers.of(line));
        Optional<AnswerService.Answer> answer = answers.answer(line);
        model.addAttribute("known", answer.map(one -> known(line, one, fmt)).orElse(List.of()));
        List<String> doubtful = line.words().stream()
                .filter(word -> word.doubt() != Word.Doubt.NONE)
                .map(Word::text)
                .toList();
        model.addAttribute("answer", answer.map(one -> view(one, doubtful, fmt)).orElse(null));
        model.addAttribute("missing", line.words().isEmpty() ? "" : missing(line));
        model.addAttribute("jobs", said.inSpells() ? List.of() : open());
    }

    private AnswerView view(AnswerService.Answer answer, List<String> doubtful, Fmt fmt) {
        return AnswerView.of(answer, doubtful, ribbons.of(fmt, answer.cable(), true), new AnswerView.Shown(fmt, words));
    }

    private Gloss gloss(Word word, Said said, Fmt fmt) {
        return new Gloss(
                word.text(),
                word.from(),
                word.from() + word.text().length(),
                understood(word, said, fmt),
                word.taken());
    }

    private String understood(Word word, Said said, Fmt fmt) {
        if (!word.taken()) {
            return words.of(
                    "ask.doubt." + word.doubt(),
                    !word.name().isEmpty()
                            ? word.name().replace("/", words.of("ask.or"))
                            : word.meaning()
                                    .range()
                                    .map(range -> fmt.figure(
                                            range.upTo(),
                                            word.meaning().unit().orElseThrow().symbol()))
                                    .orElse(""));
        }
        double volt = said.figure(Meaning.VOLTAGE).orElse(CircuitMaker.USUAL_V);
        return switch (word.meaning()) {
            case LENGTH -> {
                double oneWay = said.figure(Meaning.LENGTH).orElse(word.figure());
                yield words.of(
                        said.loop() ? "ask.LENGTH.loop" : "ask.LENGTH", fmt.route(oneWay), fmt.route(2 * oneWay));
            }
            case POWER ->
                words.of(
                        "ask.POWER",
                        fmt.current(Math.rint(LoadAsked.of(said, volt).sizingA(volt))));
            case STUD, SIZE -> words.of("ask." + word.meaning(), word.name());
            case LOAD -> words.of("ask.LOAD." + word.name());
            case CHEMISTRY -> words.of("Chemistry." + word.name());
            case MATERIAL -> words.of("InsulationKind." + word.name());
            case STRANDS -> words.of("ConductorMetal." + word.name());
            case SPELL -> words.of("ask.SPELL", time(LoadAsked.restS(word.figure())));
            default -> words.of("ask." + word.meaning());
        };
    }

    /** What was taken where the line says nothing, as it stands in the job that was worked out. */
    private List<Known> known(Line line, AnswerService.Answer answer, Fmt fmt) {
        CableDetails cable = answer.out();
        List<Known> known = new ArrayList<>();
        if (line.said().endOnly()) {
            add(known, line, Meaning.LENGTH, "known.LENGTH", fmt.route(cable.lengthM()));
        } else {
            add(
                    known,
                    line,
                    Meaning.VOLTAGE,
                    "known.VOLTAGE",
                    fmt.volt(answer.parts().job().nominalVoltageV()));
            double allowed = answer.drop()
                    .map(Finding::limit)
                    .orElseGet(() -> Objects.requireNonNullElseGet(
                            cable.dropPercent(),
                            () -> answer.parts().job().rules().newDropPercent()));
            if (!line.said().says(Meaning.DROP_V)) {
                add(known, line, Meaning.DROP, "known.DROP", plain(allowed, "%"));
            }
            add(known, line, Meaning.AMBIENT, "known.AMBIENT", fmt.temperature(cable.ambientC()));
            answer.bankAh().ifPresent(ah -> add(known, line, Meaning.CAPACITY, "known.CAPACITY", plain(ah, "Ah")));
            if (line.said().mayRest()) {
                known.add(new Known(
                        words.of("known.for-good"),
                        line.text() + " " + line.said().load().orElseThrow().exampleSpell()));
            }
            Double terminalC = answer.parts().job().rules().terminalC();
            if (terminalC != null) {
                known.add(new Known(words.of("known.terminals", fmt.temperature(terminalC)), ""));
            }
        }
        known.add(new Known(words.of("known.insulation", fmt.temperature(cable.insulationTempC())), ""));
        return known;
    }

    private static String time(double seconds) {
        return seconds >= MINUTE_S && seconds % MINUTE_S == 0 ? plain(seconds / MINUTE_S, "min") : plain(seconds, "s");
    }

    private static String plain(double figure, String unit) {
        return Figures.significant(figure, 4) + Fmt.SPACE + unit;
    }

    /** Pressed, the figure is put into the line to be changed there. */
    private void add(List<Known> known, Line line, Meaning meaning, String key, String figure) {
        if (line.said().figure(meaning).isEmpty()) {
            known.add(new Known(words.of(key, figure), line.text() + " " + figure));
        }
    }

    private String missing(Line line) {
        Said said = line.said();
        if (line.refused()) {
            return words.of("ask.refused-ac");
        }
        if (!said.flows() && line.words().stream().anyMatch(word -> word.doubt() == Word.Doubt.THOUSANDS)) {
            return words.of("ask.which-figure");
        }
        if (AnswerService.isBeyondAll(said)) {
            return words.of("ask.beyond-all");
        }
        if (said.sizable() || said.endOnly()) {
            return "";
        }
        return words.of(said.flows() ? "ask.missing.length" : "ask.missing.current");
    }

    @PostMapping("/answer/keep")
    ModelAndView keep(
            Model model,
            @RequestParam(defaultValue = "") String ask,
            @RequestParam(required = false) @Nullable Long job) {
        Line line = Line.read(ask);
        Job into = job == null ? null : jobs.get(job);
        if (into != null && AnswerService.isOfAnotherVoltage(line, into)) {
            model.addAttribute(
                    "keepFault",
                    words.of(
                            "answer.other-voltage",
                            into.details().name(),
                            JobView.of(into).voltage(),
                            into.fmt().volt(line.said().figure(Meaning.VOLTAGE).orElseThrow())));
            model.addAttribute("keepJob", job);
            return new ModelAndView(first(model, ask), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
        }
        Optional<Cable> kept = job == null ? answers.keep(line) : answers.keep(line, job);
        if (kept.isPresent()) {
            return new ModelAndView("redirect:/cables/" + kept.get().id() + "/plan");
        }
        return new ModelAndView(first(model, ask), model.asMap(), HttpStatus.UNPROCESSABLE_CONTENT);
    }
}
