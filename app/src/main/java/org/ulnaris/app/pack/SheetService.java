package org.ulnaris.app.pack;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.JobView;
import org.ulnaris.app.make.BenchGuide;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.make.ReadingView;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CablePage;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.Ribbons;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.VerdictView;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.Caution;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** The build sheet: a cable, or all cables of a job, on paper. */
@Service
@Transactional(readOnly = true)
public class SheetService {
    private static final String UNKNOWN = "—";

    private final JobService jobs;
    private final CableService cables;
    private final Works works;
    private final Ribbons ribbons;
    private final MakeService make;
    private final Words words;
    private final ITemplateEngine templates;

    private final Clock clock;

    SheetService(
            JobService jobs,
            CableService cables,
            Works works,
            Ribbons ribbons,
            MakeService make,
            Words words,
            ITemplateEngine templates,
            Clock clock) {
        this.clock = clock;
        this.jobs = jobs;
        this.cables = cables;
        this.works = works;
        this.ribbons = ribbons;
        this.make = make;
        this.words = words;
        this.templates = templates;
    }

    /** One cable on the sheet. */
    record Sheet(
            String tag,
            String route,
            String size,
            VerdictView verdict,
            Drawing ribbon,
            List<Pair> figures,
            List<EndColumn> ends,
            List<StepLine> steps,
            List<ReadingView> readings,
            List<FindingView> findings,
            List<String> cautions) {}

    /** A figure with its name. */
    record Pair(String name, String figure) {}

    /** The figures of one end, with the section of its crimp. */
    record EndColumn(
            String title, List<Pair> figures, @Nullable Drawing coin) {}

    /** A step to tick. */
    record StepLine(String name, String action, String figure, boolean done) {}

    /** The document of one cable as XHTML. It is printed outside of a transaction: who waits for the press holds no connection. */
    public String document(long cableId) {
        Cable cable = cables.get(cableId);
        Job job = jobs.get(cable.jobId());
        return page(job, List.of(sheets(job, List.of(cable)).next()));
    }

    /** Documents of one cable each, in the order of the job as it stands now, or an empty one; each is made when it is asked for. */
    public Documents documents(long jobId) {
        Job job = jobs.get(jobId);
        List<Cable> all = cables.of(jobId);
        if (all.isEmpty()) {
            return new Documents(0, List.of(page(job, List.of())).iterator());
        }
        Iterator<Sheet> sheets = sheets(job, all);
        return new Documents(all.size(), new Iterator<>() {
            @Override
            public boolean hasNext() {
                return sheets.hasNext();
            }

            @Override
            public String next() {
                return page(job, List.of(sheets.next()));
            }
        });
    }

    /**
     * A job to print.
     *
     * @param count how many cables
     * @param each their documents as XHTML
     */
    public record Documents(int count, Iterator<String> each) {}

    private Iterator<Sheet> sheets(Job job, List<Cable> list) {
        WorkedJob worked = works.of(job.id());
        Map<Long, Making> makings = make.ofAll(list);
        LandingOrder landing = LandingOrder.of(worked);
        return list.stream()
                .map(cable -> sheet(
                        job,
                        cable,
                        worked.cable(cable.details().tag()),
                        landing,
                        Objects.requireNonNull(makings.get(cable.id()))))
                .iterator();
    }

    private String page(Job job, List<Sheet> sheets) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("job", JobView.of(job));
        context.setVariable("sheets", sheets);
        context.setVariable("words", words);
        context.setVariable("printed", LocalDate.now(clock).toString());
        return templates.process("pack/sheet", context);
    }

    private Sheet sheet(Job job, Cable cable, WorkedCable worked, LandingOrder landing, Making making) {
        Fmt fmt = job.fmt();
        CablePlan plan = worked.plan();
        BenchGuide guide = new BenchGuide(job, cable.details(), worked, landing, words);
        return new Sheet(
                worked.tag(),
                cable.details().fromPoint() + " → " + cable.details().toPoint(),
                worked.sizeSaid().orElse(UNKNOWN),
                CablePage.verdict(worked, fmt, words),
                ribbons.of(job, worked, true),
                figures(cable, worked, fmt),
                Arrays.stream(Side.values())
                        .map(side -> column(plan, side, fmt))
                        .toList(),
                making.steps().stream()
                        .map(step -> line(guide.guide(step), making.done().contains(step.key())))
                        .toList(),
                making.inForce().stream()
                        .map(reading -> ReadingView.of(reading, fmt, words))
                        .toList(),
                findings(worked, fmt),
                cautions());
    }

    private static StepLine line(BenchGuide.Guide guide, boolean done) {
        return new StepLine(
                guide.title(), guide.action(), guide.figure().isEmpty() ? guide.aside() : guide.figure(), done);
    }

    /** Everything that is said of the cable, worst first; what both ends say alike once. Readings that pass stand in their own table. */
    private List<FindingView> findings(WorkedCable worked, Fmt fmt) {
        Set<FindingView> views = new LinkedHashSet<>();
        worked.findings().stream()
                .filter(said -> said.topic() != Topic.MADE || said.verdict().asks())
                .sorted(JobFinding.WORST_FIRST)
                .forEach(said -> views.add(words.view(said.finding(), fmt)));
        return List.copyOf(views);
    }

    private List<Pair> figures(Cable cable, WorkedCable worked, Fmt fmt) {
        CutLength cut = worked.plan().cutLength();
        Rung rung = worked.rung();
        boolean known = worked.carried().known();
        return List.of(
                new Pair(
                        words.of("sheet.current"),
                        known ? fmt.current(Figures.rounded(worked.carried().currentA(), 4)) : UNKNOWN),
                new Pair(words.of("sheet.length"), fmt.route(cable.details().lengthM())),
                new Pair(words.of("sheet.cut"), cut == null ? UNKNOWN : fmt.bench(cut.cutMm())),
                new Pair(words.of("sheet.size"), worked.sizeSaid().orElse(UNKNOWN)),
                new Pair(
                        words.of("sheet.ampacity"),
                        worked.sizeSaid().isPresent() ? fmt.figure(rung.ampacityA(), "A") : UNKNOWN),
                new Pair(words.of("sheet.drop"), known ? fmt.percent(rung.dropPercent()) : UNKNOWN),
                new Pair(words.of("sheet.temperature"), known ? fmt.figure(rung.conductorTempC(), "°C") : UNKNOWN),
                new Pair(
                        words.of("sheet.decided"),
                        known ? words.of("finding." + worked.decidedBy().name()) : UNKNOWN));
    }

    private EndColumn column(CablePlan plan, Side side, Fmt fmt) {
        MatchedLug matched = plan.end(side).match();
        List<Pair> figures = new ArrayList<>();
        figures.add(
                new Pair(words.of("sheet.stud"), plan.end(side).landing().stud().name()));
        TorqueSpec torque = plan.end(side).torque();
        figures.add(new Pair(
                words.of("sheet.torque"), torque == null ? words.of("torque.ask") : fmt.torqueAll(torque.nominalNm())));
        if (matched != null) {
            figures.add(new Pair(words.of("sheet.lug"), matched.lug().code()));
            figures.add(new Pair(words.of("sheet.strip"), fmt.bench(matched.stripMm())));
            if (matched.crimp() != null) {
                figures.add(new Pair(words.of("sheet.die"), pressed(matched.crimp())));
            }
            figures.add(new Pair(words.of("sheet.shrink"), sleeve(matched.shrink(), fmt)));
        }
        MatchedContact contact = plan.end(side).contact();
        if (contact != null) {
            figures.clear();
            figures.add(new Pair(words.of("sheet.contact"), contact.code()));
            figures.add(new Pair(words.of("sheet.strip"), fmt.bench(contact.stripMm())));
            figures.add(new Pair(
                    words.of("sheet.method"), words.name(contact.fit().demand().method())));
            Crimp pressed = contact.crimp();
            if (pressed != null) {
                figures.add(new Pair(words.of("sheet.die"), pressed(pressed)));
            }
            ShrinkChoice sleeve = contact.sleeve();
            if (sleeve != null) {
                figures.add(new Pair(words.of("sheet.shrink"), sleeve(sleeve, fmt)));
            }
        }
        Termination end = plan.end(side).termination();
        Crimp crimp = end == null ? null : end.crimp();
        Drawing coin = crimp == null ? null : new CoinDrawer(crimp).coin(words.of("sheet.coin"));
        return new EndColumn(words.of("step.end", side.name()), figures, coin);
    }

    private static String pressed(Crimp crimp) {
        return crimp.die().tag() + " · " + crimp.crimps() + " × · " + Figures.fixed(crimp.compaction(), 2);
    }

    private static String sleeve(ShrinkChoice sleeve, Fmt fmt) {
        ShrinkTube tube = sleeve.tube();
        return (tube == null ? UNKNOWN : tube.name()) + " · "
                + fmt.bench(sleeve.cover().cutLengthMm());
    }

    private List<String> cautions() {
        return Arrays.stream(Caution.values()).map(words::name).toList();
    }
}
