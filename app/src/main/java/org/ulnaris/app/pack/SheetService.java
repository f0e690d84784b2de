package org.ulnaris.app.pack;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
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
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.CableSizing;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.Caution;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;

/** The build sheet: a cable, or all cables of a job, on paper. */
@Service
@Transactional(readOnly = true)
public class SheetService {
    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final MakeService make;
    private final Words words;
    private final ITemplateEngine templates;
    private final PdfPrinter printer;

    SheetService(
            JobService jobs,
            CableService cables,
            MatchService match,
            MakeService make,
            Words words,
            ITemplateEngine templates,
            PdfPrinter printer) {
        this.jobs = jobs;
        this.cables = cables;
        this.match = match;
        this.make = make;
        this.words = words;
        this.templates = templates;
        this.printer = printer;
    }

    /** One cable on the sheet. */
    record Sheet(
            String tag,
            String route,
            String size,
            Verdict verdict,
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

    /** All cables of a job. */
    public byte[] ofJob(long jobId) {
        return print(jobs.get(jobId), cables.of(jobId));
    }

    /** One cable. */
    public byte[] ofCable(long cableId) {
        Cable cable = cables.get(cableId);
        return print(jobs.get(cable.jobId()), List.of(cable));
    }

    private byte[] print(Job job, List<Cable> list) {
        Map<Long, CablePlan> plans = match.plans(job, list);
        Map<Long, Making> makings = make.ofAll(list.stream().map(Cable::id).toList());
        List<Sheet> sheets = list.stream()
                .map(cable -> sheet(
                        job,
                        cable,
                        Objects.requireNonNull(plans.get(cable.id())),
                        Objects.requireNonNull(makings.get(cable.id()))))
                .toList();
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("job", JobView.of(job));
        context.setVariable("sheets", sheets);
        context.setVariable("words", words);
        context.setVariable("printed", LocalDate.now().toString());
        return printer.print(templates.process("pack/sheet", context).replace("→", "–"));
    }

    private Sheet sheet(Job job, Cable cable, CablePlan plan, Making making) {
        Fmt fmt = job.fmt();
        CableSizing sizing = CableSizing.of(job.details(), cable.details());
        BenchGuide guide = new BenchGuide(job, cable.details(), plan, words);
        List<Finding> findings = new ArrayList<>(sizing.inUse().findings());
        return new Sheet(
                cable.details().tag(),
                cable.details().fromPoint() + " → " + cable.details().toPoint(),
                plan.cable().conductor().size().designation(),
                Verdict.worstOf(findings).and(plan.verdict()),
                match.ribbon(job, cable, plan, true),
                figures(cable, plan, sizing, fmt),
                Arrays.stream(Side.values())
                        .map(side -> column(plan, side, fmt))
                        .toList(),
                making.steps().stream()
                        .map(step -> line(guide.guide(step), making.done().contains(step.key())))
                        .toList(),
                making.inForce().stream()
                        .map(reading -> ReadingView.of(reading, fmt, words))
                        .toList(),
                allFindings(findings, plan, fmt),
                cautions());
    }

    private static StepLine line(BenchGuide.Guide guide, boolean done) {
        return new StepLine(guide.title(), guide.action(), guide.figure(), done);
    }

    private List<FindingView> allFindings(List<Finding> sizing, CablePlan plan, Fmt fmt) {
        Set<FindingView> views = new LinkedHashSet<>();
        sizing.forEach(finding -> views.add(words.view(finding, fmt)));
        for (Side side : Side.values()) {
            Termination matched = plan.end(side).termination();
            if (matched != null) {
                matched.findings().forEach(finding -> views.add(words.view(finding, fmt)));
            }
        }
        return List.copyOf(views);
    }

    private List<Pair> figures(Cable cable, CablePlan plan, CableSizing sizing, Fmt fmt) {
        CutLength cut = plan.cutLength();
        return List.of(
                new Pair(words.of("sheet.current"), fmt.current(cable.details().currentA())),
                new Pair(words.of("sheet.length"), fmt.route(cable.details().lengthM())),
                new Pair(words.of("sheet.cut"), cut == null ? "—" : fmt.small(cut.cutMm())),
                new Pair(words.of("sheet.size"), sizing.inUse().size().designation()),
                new Pair(words.of("sheet.ampacity"), fmt.figure(sizing.inUse().ampacityA(), "A")),
                new Pair(words.of("sheet.drop"), fmt.percent(sizing.inUse().dropPercent())),
                new Pair(
                        words.of("sheet.temperature"), fmt.figure(sizing.inUse().conductorTempC(), "°C")),
                new Pair(
                        words.of("sheet.decided"),
                        words.of("finding." + sizing.result().decidedBy().name())));
    }

    private EndColumn column(CablePlan plan, Side side, Fmt fmt) {
        MatchedLug matched = plan.end(side).match();
        List<Pair> figures = new ArrayList<>();
        figures.add(
                new Pair(words.of("sheet.stud"), plan.end(side).landing().stud().name()));
        figures.add(new Pair(
                words.of("sheet.torque"), fmt.torqueAll(plan.end(side).torque().nominalNm())));
        if (matched != null) {
            figures.add(new Pair(words.of("sheet.lug"), matched.lug().code()));
            figures.add(new Pair(words.of("sheet.strip"), fmt.small(matched.stripMm())));
            if (matched.crimp() != null) {
                figures.add(new Pair(words.of("sheet.die"), pressed(matched.crimp())));
            }
            figures.add(new Pair(words.of("sheet.shrink"), sleeve(matched.shrink(), fmt)));
        }
        MatchedContact contact = plan.end(side).contact();
        if (contact != null) {
            figures.clear();
            figures.add(new Pair(words.of("sheet.contact"), contact.code()));
            figures.add(new Pair(words.of("sheet.strip"), fmt.small(contact.stripMm())));
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
        return (tube == null ? "—" : tube.name()) + " · "
                + fmt.small(sleeve.cover().cutLengthMm());
    }

    private List<String> cautions() {
        return Arrays.stream(Caution.values()).map(words::name).toList();
    }
}
