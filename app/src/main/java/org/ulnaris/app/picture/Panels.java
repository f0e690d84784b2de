package org.ulnaris.app.picture;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.ulnaris.app.board.BoardService;
import org.ulnaris.app.fix.FixService;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.EquipmentReader;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.loads.PieceEditor;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableEditor;
import org.ulnaris.app.plan.CableReader;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.plan.LadderView;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.OperatingCase.State;
import org.ulnaris.core.installation.Parts;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** What stands on the picture of a job and beside it. */
@Component
class Panels {
    /** Fields of a cable that are changed beside the picture; the rest stands on its own page. */
    static final List<String> CABLE_FIELDS = List.of("tag", "current", "length", "size", "drop");

    /** Fields of a piece that are changed beside the picture. */
    static final List<String> PIECE_FIELDS = List.of(
            "tag",
            "name",
            "chemistry",
            "capacity",
            "power",
            "current",
            "holds",
            "family",
            "rating",
            "surgePower",
            "surgeCurrent",
            "surgeTime",
            "drop");

    private static final int FIRST_THINGS = 5;

    /** So many places of a line are named. */
    private static final int MOST_NAMED = 3;

    private final CableService cables;
    private final LoadsService loads;
    private final JobWiring wiring;
    private final BoardService board;
    private final FixService fixes;
    private final Works works;
    private final Joiner joiner;
    private final Tags tags;
    private final Words words;

    Panels(
            CableService cables,
            LoadsService loads,
            JobWiring wiring,
            BoardService board,
            FixService fixes,
            Works works,
            Joiner joiner,
            Tags tags,
            Words words) {
        this.cables = cables;
        this.loads = loads;
        this.wiring = wiring;
        this.board = board;
        this.fixes = fixes;
        this.works = works;
        this.joiner = joiner;
        this.tags = tags;
        this.words = words;
    }

    /** What a person typed, and what of it can't be used. */
    record Typed(Map<String, String> typed, Map<String, Fault> faults) {
        static final Typed NONE = new Typed(Map.of(), Map.of());
    }

    /**
     * The panel beside the picture.
     *
     * @param kind which one: job, cable, piece, add, from, join
     * @param tag what it is about; empty for all of the job
     * @param id its id; 0 for none
     * @param verdict its one verdict; null where there is nothing to judge
     * @param sentences what is to be known of it first
     * @param said its findings that ask for something, worst first
     * @param more how many more of them there are
     * @param notes its other findings that are no pass
     * @param fields what can be changed of it here
     * @param began what its form begins from
     */
    record Panel(
            String kind,
            String tag,
            long id,
            @Nullable Verdict verdict,
            List<String> sentences,
            List<Said> said,
            int more,
            List<Said> notes,
            List<Field> fields,
            String began) {
        static Panel empty(String kind, List<String> sentences, List<Field> fields) {
            return new Panel(kind, "", 0, null, sentences, List.of(), 0, List.of(), fields, "");
        }
    }

    /**
     * A finding with where it stands and where it is mended.
     *
     * @param offer what mends it by one press; null where nothing is known to
     * @param with whether one before it is offered the same
     * @param also where else the same is said; empty for nowhere
     */
    record Said(
            FindingView finding,
            String subject,
            String where,
            String link,
            FixService.@Nullable Offer offer,
            boolean with,
            String also) {}

    /**
     * A field of a panel.
     *
     * @param from where its value comes from, where that is worth a word
     */
    record Field(String name, String label, String hint, List<? extends Enum<?>> options, String from) {}

    /** A tab of a case, a kind on the shelf, a cable that is not drawn. */
    record Tab(String label, String address, boolean current) {}

    /** How many findings have a verdict. */
    record Count(Verdict verdict, long count, String words) {}

    String tagOf(long jobId, long pieceId) {
        return loads.idsByTag(jobId).entrySet().stream()
                .filter(entry -> entry.getValue() == pieceId)
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new NotFoundException("equipment " + pieceId));
    }

    /** The case {@code asked} for, counted from 1; the first where there is none such any more: a change is kept whatever is shown beside it. */
    int caseOf(long jobId, int asked) {
        int cases =
                works.of(jobId).network().map(result -> result.cases().size()).orElse(0);
        return asked >= 1 && asked <= cases ? asked : 1;
    }

    void fill(Model model, Job job, Spot asked, Typed typed) {
        WorkedJob worked = works.of(job.id());
        PictureParts parts = PictureParts.of(worked);
        Parts.Part part = parts.shown(asked);
        Spot spot = asked.drawing(part == null ? 0 : parts.all().indexOf(part) + 1);
        List<CaseResult> cases = worked.network().map(result -> result.cases()).orElse(List.of());
        if (spot.loadCase() < 1 || spot.loadCase() > Math.max(1, cases.size())) {
            throw new NotFoundException("case " + spot.loadCase() + " of job " + job.id());
        }
        for (String terminal : List.of(spot.from(), spot.to())) {
            if (!terminal.isEmpty() && !wiring.of(job.id()).contains(terminal)) {
                throw new NotFoundException("terminal '" + terminal + "' of job " + job.id());
            }
        }
        CaseResult shown = cases.isEmpty() ? null : cases.get(spot.loadCase() - 1);
        Map<String, String> names = loads.details(job.id()).stream()
                .collect(Collectors.toMap(EquipmentDetails::tag, EquipmentDetails::name));
        BoardService.Board found = board.of(job);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("spot", spot);
        model.addAttribute("counts", counts(found));
        model.addAttribute(
                "cases",
                cases.stream()
                        .map(one -> new Tab(
                                one.operating().name(),
                                spot.inCase(cases.indexOf(one) + 1).address(),
                                one == shown))
                        .toList());
        model.addAttribute(
                "drawing",
                worked.model().pieces().isEmpty()
                        ? null
                        : PictureDrawing.draw(
                                new PictureDrawing.Subject(worked, names, shown, spot, part), job.fmt(), words));
        model.addAttribute(
                "parts",
                parts.all().stream()
                        .map(one -> new Tab(
                                named(one),
                                spot.at("")
                                        .drawing(parts.all().indexOf(one) + 1)
                                        .address(),
                                one == part))
                        .toList());
        model.addAttribute(
                "loose",
                PictureDrawing.loose(worked).stream()
                        .map(tag -> new Tab(tag, spot.open(tag).address(), tag.equals(spot.at())))
                        .toList());
        model.addAttribute(
                "shelf",
                Arrays.stream(EquipmentKind.values())
                        .map(kind -> new Tab(
                                words.name(kind),
                                spot.adding(kind.name()).address(),
                                kind.name().equals(spot.kind())))
                        .toList());
        model.addAttribute("terminals", wiring.of(job.id()));
        boolean large = PictureDrawing.isLarge(worked);
        model.addAttribute("offersLater", large ? String.valueOf(System.nanoTime()) : "");
        panel(model, new Subject(job, worked, found, shown, !large), spot, typed);
    }

    /** The lines of findings of a panel with what mends each: in a large job they come after the rest, each fix takes the job worked out anew. */
    void offers(Model model, Job job, Spot spot) {
        WorkedJob worked = works.of(job.id());
        CaseResult shown = worked.network()
                .flatMap(result -> result.cases().stream().findFirst())
                .orElse(null);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("offersLater", "");
        panel(model, new Subject(job, worked, board.of(job), shown, true), spot, Typed.NONE);
    }

    /** What a job's card shows of it: its sketch and its counts. */
    void card(Model model, Job job) {
        WorkedJob worked = works.of(job.id());
        CaseResult shown = worked.network()
                .flatMap(result -> result.cases().stream().findFirst())
                .orElse(null);
        model.addAttribute("job", JobView.of(job));
        model.addAttribute("counts", counts(board.of(job)));
        model.addAttribute(
                "sketch",
                worked.model().pieces().isEmpty()
                        ? null
                        : PictureDrawing.sketch(
                                new PictureDrawing.Subject(
                                        worked,
                                        Map.of(),
                                        shown,
                                        Spot.whole(job.id(), 1),
                                        PictureParts.of(worked).shown(Spot.whole(job.id(), 1))),
                                job.fmt(),
                                words));
    }

    private String named(Parts.Part part) {
        String hub = part.hub().isEmpty() ? words.of("picture.on-no-bar") : part.hub();
        return part.of() == 1 ? hub : hub + " " + part.number() + "/" + part.of();
    }

    private List<Count> counts(BoardService.Board found) {
        return List.of(Verdict.STOP, Verdict.WATCH, Verdict.OPEN, Verdict.PASS).stream()
                .map(verdict -> new Count(
                        verdict, verdict == Verdict.PASS ? found.passed() : found.count(verdict), words.name(verdict)))
                .filter(count -> count.count() > 0)
                .toList();
    }

    private record Subject(
            Job job,
            WorkedJob worked,
            BoardService.Board board,
            @Nullable CaseResult shown,
            boolean offering) {
        Fmt fmt() {
            return job.fmt();
        }
    }

    private void panel(Model model, Subject subject, Spot spot, Typed typed) {
        Map<String, String> shown = new LinkedHashMap<>();
        Panel panel = panel(model, subject, spot, shown);
        boolean faulty = !typed.faults().isEmpty();
        typed.typed().forEach((field, text) -> {
            if (panel.id() > 0 ? typed.faults().containsKey(field) : faulty) {
                shown.put(field, text);
            }
        });
        model.addAttribute("panel", panel);
        model.addAttribute("typed", shown);
        model.addAttribute("faults", typed.faults());
    }

    private Panel panel(Model model, Subject subject, Spot spot, Map<String, String> shown) {
        if (!spot.kind().isEmpty()) {
            return add(subject, spot, shown);
        }
        if (!spot.to().isEmpty()) {
            return join(subject, spot, shown);
        }
        if (!spot.from().isEmpty()) {
            return Panel.empty("from", List.of(), List.of());
        }
        if (spot.at().isEmpty()) {
            return whole(subject);
        }
        return cable(model, subject, spot.at(), shown)
                .or(() -> piece(model, subject, spot.at(), shown))
                .orElseThrow(() -> new NotFoundException("'" + spot.at() + "' in job " + spot.jobId()));
    }

    private Panel whole(Subject subject) {
        List<BoardService.Entry> asking = subject.board().open().stream()
                .filter(entry -> entry.verdict().asks())
                .toList();
        List<List<BoardService.Entry>> lines = lines(subject, asking);
        List<Said> first = said(subject, lines.stream().limit(FIRST_THINGS).toList());
        int told = lines.stream().limit(FIRST_THINGS).mapToInt(List::size).sum();
        boolean nothing = subject.worked().cables().isEmpty();
        String what = nothing ? "picture.nothing" : first.isEmpty() ? "picture.clean" : "picture.first";
        return new Panel(
                "job",
                "",
                0,
                nothing ? null : subject.board().verdict(),
                List.of(words.of(what)),
                first,
                asking.size() - told,
                List.of(),
                List.of(),
                "");
    }

    /** What is said alike of several places is one line, as on the board. */
    private List<List<BoardService.Entry>> lines(Subject subject, List<BoardService.Entry> entries) {
        Map<Object, List<BoardService.Entry>> lines = entries.stream()
                .collect(Collectors.groupingBy(
                        entry -> entry.line(words.sentence(entry.finding(), subject.fmt())),
                        LinkedHashMap::new,
                        Collectors.toList()));
        return List.copyOf(lines.values());
    }

    /** Where a finding stands beside its first place. */
    private String also(List<BoardService.Entry> line) {
        String named = line.stream()
                .skip(1)
                .limit(MOST_NAMED)
                .map(entry -> (entry.said().subject() + " " + entry.said().where()).strip())
                .collect(Collectors.joining(", "));
        int more = line.size() - 1 - MOST_NAMED;
        return named.isEmpty() ? "" : words.of("picture.also", more > 0 ? named + " …" : named);
    }

    /** Lines of findings, the first place of each told whole. */
    private List<Said> said(Subject subject, List<List<BoardService.Entry>> lines) {
        Set<String> offered = new HashSet<>();
        List<Said> said = new ArrayList<>();
        for (List<BoardService.Entry> line : lines) {
            BoardService.Entry entry = line.get(0);
            FixService.Offer offer = subject.offering() && entry.verdict().asks()
                    ? fixes.offer(subject.job(), entry.said()).orElse(null)
                    : null;
            said.add(new Said(
                    words.view(entry.finding(), subject.fmt()),
                    entry.said().subject(),
                    entry.said().where(),
                    entry.link(),
                    offer,
                    offer != null && !offered.add(offer.label()),
                    also(line)));
        }
        return said;
    }

    private List<Said> said(Subject subject, List<JobFinding> findings, boolean asks) {
        return said(
                subject,
                subject.board().open().stream()
                        .filter(entry -> findings.contains(entry.said()))
                        .filter(entry -> entry.verdict().asks() == asks)
                        .map(List::of)
                        .toList());
    }

    private Optional<Panel> cable(Model model, Subject subject, String tag, Map<String, String> shown) {
        Cable cable = cables.of(subject.job().id()).stream()
                .filter(one -> one.details().tag().equals(tag))
                .findFirst()
                .orElse(null);
        if (cable == null) {
            return Optional.empty();
        }
        WorkedCable worked = subject.worked().cable(tag);
        CableDetails details = cable.details();
        Fmt fmt = subject.fmt();
        boolean known = worked.carried().known();
        shown.putAll(CableReader.texts(details, fmt));
        boolean byLoads = details.currentFromLoads();
        model.addAttribute("size", worked.sizeSaid().orElse(""));
        String route = details.fromPoint() + (details.toPoint().isEmpty() ? "" : " → " + details.toPoint());
        String carries = !byLoads
                ? ""
                : known
                        ? words.of(
                                "picture.carries",
                                fmt.current(worked.carried().currentA()),
                                worked.carried().worstCase(),
                                fmt.percent(worked.rung().dropPercent()))
                        : words.of("cable.no-load");
        List<String> sentences = known
                ? List.of(route, carries, LadderView.headline(worked.size(), fmt, words))
                : List.of(route, carries);
        List<Field> fields = CABLE_FIELDS.stream()
                .filter(field -> !field.equals("current") || !byLoads)
                .map(field -> new Field(
                        field,
                        words.field(field),
                        field.equals("size") ? worked.sizeSaid().orElse("") : "",
                        List.of(),
                        field.equals("size") && worked.sizeSaid().isPresent() ? words.of(whose(worked)) : ""))
                .toList();
        return Optional.of(new Panel(
                "cable",
                tag,
                cable.id(),
                worked.verdict(),
                sentences.stream().filter(text -> !text.isEmpty()).toList(),
                said(subject, worked.findings(), true),
                0,
                said(subject, worked.findings(), false),
                fields,
                Merge.began(CableEditor.texts(cable, subject.job(), CABLE_FIELDS))));
    }

    private Optional<Panel> piece(Model model, Subject subject, String tag, Map<String, String> shown) {
        EquipmentDetails details = loads.details(subject.job().id()).stream()
                .filter(one -> one.tag().equals(tag))
                .findFirst()
                .orElse(null);
        if (details == null) {
            return Optional.empty();
        }
        long id = Objects.requireNonNull(loads.idsByTag(subject.job().id()).get(tag));
        shown.putAll(EquipmentReader.texts(details, subject.fmt()));
        CaseResult loadCase = subject.shown();
        model.addAttribute(
                "state",
                loadCase != null && details.kind().switched()
                        ? loadCase.operating().state(tag)
                        : null);
        model.addAttribute(
                "states",
                Arrays.stream(State.values())
                        .filter(one -> one != State.IDLE || details.kind().idles())
                        .filter(one -> one != State.SURGE || details.kind().surges())
                        .toList());
        List<JobFinding> findings = subject.worked().ofPiece(tag);
        List<Said> asking = said(subject, findings, true);
        Verdict verdict = subject.worked().verdictOf(tag);
        String first = words.name(details.kind()) + (details.name().isEmpty() ? "" : ", " + details.name());
        return Optional.of(new Panel(
                "piece",
                tag,
                id,
                verdict,
                asking.isEmpty() && verdict.asks() ? List.of(first, words.of("picture.unjudged")) : List.of(first),
                asking,
                0,
                said(subject, findings, false),
                fields(details.kind()),
                Merge.began(PieceEditor.texts(details, subject.job(), PIECE_FIELDS))));
    }

    private List<Field> fields(EquipmentKind kind) {
        return PIECE_FIELDS.stream()
                .filter(field -> field.equals("tag")
                        || field.equals("name")
                        || kind.fields().contains(field))
                .map(field -> new Field(
                        field,
                        field.equals("tag") || field.equals("name")
                                ? words.of("picture." + field)
                                : words.of("equipment." + field),
                        words.find("equipment." + field + ".hint").orElse(""),
                        kind.options(field),
                        ""))
                .toList();
    }

    private Panel add(Subject subject, Spot spot, Map<String, String> shown) {
        EquipmentKind kind = Arrays.stream(EquipmentKind.values())
                .filter(one -> one.name().equals(spot.kind()))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("kind of equipment '" + spot.kind() + "'"));
        EquipmentDetails fresh = EquipmentReader.fresh(kind, subject.job().details());
        shown.putAll(EquipmentReader.texts(fresh, subject.fmt()));
        shown.put("tag", tags.free(subject.job().id(), words.of("picture.tag." + kind.name())));
        return Panel.empty("add", List.of(words.name(kind)), fields(kind));
    }

    private Panel join(Subject subject, Spot spot, Map<String, String> shown) {
        CableDetails fresh = joiner.fresh(subject.job(), spot.from(), spot.to());
        String back = joiner.back(subject.job(), fresh)
                .map(pair -> words.of("picture.pair", pair.tag(), pair.fromPoint(), pair.toPoint()))
                .orElse("");
        shown.put("tag", fresh.tag());
        shown.put("length", "");
        shown.put("pair", back);
        return Panel.empty(
                "join",
                List.of(spot.from() + " → " + spot.to()),
                List.of(
                        new Field("length", words.field("length"), words.of("picture.length.hint"), List.of(), ""),
                        new Field("tag", words.of("picture.tag"), "", List.of(), "")));
    }

    /** Whose choice the size of a cable is. */
    private static String whose(WorkedCable worked) {
        if (worked.size().byHand()) {
            return "picture.by-hand";
        }
        return worked.size().result().chosen().isPresent() ? "picture.proposed" : "ladder.thickest";
    }
}
