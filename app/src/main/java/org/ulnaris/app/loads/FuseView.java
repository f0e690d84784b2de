package org.ulnaris.app.loads;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.TimeCurrentDrawer;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.protection.FuseCurve;
import org.ulnaris.core.rating.WarmingUp;
import org.ulnaris.core.solving.RunResult;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedJob;

/**
 * A fuse with all that its time-current sheet shows.
 *
 * @param drawing the sheet
 * @param legend what its lines are, each with the class of its look
 * @param findings what is said of the fuse and of the conductors that it protects
 */
public record FuseView(Drawing drawing, List<Legend> legend, List<LoadsView.LoadFindingView> findings) {
    /** One line of the legend. */
    public record Legend(String css, String words) {}

    static FuseView of(WorkedJob worked, ProtectionCheck.Scene scene, Fmt fmt, Words words) {
        FuseCurve own = scene.fuse().family().curve(scene.fuse().ratingA());
        double top = Math.max(scene.faultA(), 20 * scene.fuse().ratingA());
        TimeCurrentDrawer sheet = new TimeCurrentDrawer(
                Math.min(scene.load().continuousA(), scene.fuse().ratingA()), top);
        List<Legend> legend = new ArrayList<>();
        var main = scene.main();
        if (main != null) {
            FuseCurve before = main.family().curve(main.ratingA());
            sheet.band("tc-main", main.ratingA(), before::fastestS, before::slowestS);
            legend.add(new Legend("tc-main", words.of("fuse.main", main.tag(), fmt.current(main.ratingA()))));
        }
        sheet.band("tc-own", scene.fuse().ratingA(), own::fastestS, own::slowestS);
        legend.add(new Legend(
                "tc-own",
                words.of(
                        "fuse.own", scene.fuse().tag(), fmt.current(scene.fuse().ratingA()))));
        List<String> guarded = new ArrayList<>(List.of(scene.fuse().tag()));
        for (ProtectionCheck.Guarded cable : scene.cables()) {
            guarded.add(cable.run().run().tag());
            double kA = cable.cable().cable().k() * cable.cable().cable().areaMm2();
            sheet.line("tc-cable", cable.run().inUse().ampacityA() * 1.02, ampere -> stands(cable.run(), kA, ampere));
        }
        if (!scene.cables().isEmpty()) {
            legend.add(new Legend(
                    "tc-cable", words.of("fuse.cables", String.join(", ", guarded.subList(1, guarded.size())))));
        }
        sheet.step("tc-load", scene.load().continuousA(), 1e-3);
        legend.add(new Legend(
                "tc-load",
                words.of("fuse.load", fmt.current(Figures.rounded(scene.load().continuousA(), 3)))));
        if (scene.load().surgeS() > 0 && scene.load().surgeA() > scene.load().continuousA() * 1.01) {
            sheet.point("tc-surge", scene.load().surgeA(), scene.load().surgeS());
            legend.add(new Legend(
                    "tc-surge",
                    words.of(
                            "fuse.surge",
                            fmt.current(Figures.rounded(scene.load().surgeA(), 3)),
                            fmt.figure(scene.load().surgeS(), "s"))));
        }
        sheet.mark("tc-fault", scene.faultA());
        legend.add(new Legend("tc-fault", words.of("fuse.fault", fmt.current(Figures.rounded(scene.faultA(), 3)))));
        List<LoadsView.LoadFindingView> findings = worked.findings().stream()
                .filter(one -> one.topic() == Topic.PROTECTION && guarded.contains(one.subject()))
                .sorted(JobFinding.WORST_FIRST)
                .map(one -> new LoadsView.LoadFindingView(one.subject(), words.view(one.finding(), fmt)))
                .toList();
        return new FuseView(sheet.drawing(words.of("fuse.label", scene.fuse().tag())), List.copyOf(legend), findings);
    }

    /** How long a conductor stands a current: its insulation by the time constant, a short circuit by (k·A/I)², the shorter of both. */
    private static double stands(RunResult run, double kA, double ampere) {
        WarmingUp warming = WarmingUp.of(
                CableGeometry.of(run.inUse().conductor(), OptionalDouble.empty()),
                run.inUse().derating(),
                run.inUse().ampacityA());
        double adiabatic = kA / ampere * kA / ampere;
        return Math.min(
                adiabatic,
                warming.allowedS(
                        warming.finalC(Math.min(run.continuousA(), run.inUse().ampacityA())), ampere));
    }

    /** Worst of its findings. */
    public Verdict verdict() {
        return findings.stream()
                .map(LoadsView.LoadFindingView::finding)
                .map(FindingView::verdict)
                .reduce(Verdict.PASS, Verdict::and);
    }
}
