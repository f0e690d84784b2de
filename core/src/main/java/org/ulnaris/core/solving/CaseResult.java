package org.ulnaris.core.solving;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.network.NetworkFault;
import org.ulnaris.core.network.NetworkSolution;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.sizing.DropLimit;

/**
 * A case in service: powers at the voltages that arrive.
 *
 * @param operating the case
 * @param solution the solved network
 * @param surging the same with the surges; equal to {@code solution} where none surges
 * @param paths path from its source to each load that is fed, by tag of the load
 * @param emptiedV voltage at each load when the surges come on banks at their cut-off, V; 0 where it collapses, empty without surges
 */
public record CaseResult(
        OperatingCase operating,
        NetworkSolution solution,
        NetworkSolution surging,
        Map<String, PathDrop> paths,
        Map<String, Double> emptiedV) {
    public CaseResult {
        paths = Map.copyOf(paths);
        emptiedV = Map.copyOf(emptiedV);
    }

    /** Heat made in cables, joints, fuses and switches, W. */
    public double lossW() {
        return solution.lossW();
    }

    /** Energy lost a day, Wh. */
    public double lossWhPerDay() {
        return lossW() * operating.hoursPerDay();
    }

    /**
     * What a check of a load says.
     *
     * @param load tag of the load
     * @param finding the check
     */
    public record LoadFinding(String load, Finding finding) {}

    /**
     * Drop along each path against the load's allowance, voltage with surges against the lowest, loads that can't be fed; worst
     * first.
     */
    public List<LoadFinding> findings(Installation installation) {
        List<LoadFinding> findings = new ArrayList<>();
        for (NetworkFault fault : solution.faults()) {
            fault.elements().forEach(load -> findings.add(new LoadFinding(load, unfedFinding(fault))));
        }
        for (Device device : installation.devices()) {
            PathDrop path = paths.get(device.tag());
            if (path != null && device instanceof Device.Consumer consumer) {
                findings.add(new LoadFinding(
                        consumer.tag(),
                        dropFinding(
                                consumer.drop(),
                                path.sourceV(),
                                path.loadV(),
                                installation.system().nominalV(),
                                installation.system())));
                findings.add(new LoadFinding(consumer.tag(), voltageFinding(consumer)));
                cutOff(installation, path)
                        .map(cutOffV -> cutOffFinding(consumer, path, cutOffV))
                        .ifPresent(finding -> findings.add(new LoadFinding(consumer.tag(), finding)));
                Double emptied = emptiedV.get(consumer.tag());
                if (emptied != null && !voltageFinding(consumer).stops()) {
                    findings.add(new LoadFinding(
                            consumer.tag(),
                            emptiedFinding(
                                    consumer,
                                    emptied,
                                    cutOff(installation, path).isPresent())));
                }
            }
        }
        panelDrops(installation).forEach(findings::add);
        findings.sort(
                Comparator.comparing((LoadFinding f) -> f.finding().verdict()).reversed());
        return List.copyOf(findings);
    }

    /** What is lost between each controller and the string from which most is, % of the voltage at which that works. */
    private List<LoadFinding> panelDrops(Installation installation) {
        if (installation.devices().stream().noneMatch(Device.PanelInput.class::isInstance)) {
            return List.of();
        }
        Nets nets = new Nets(installation);
        List<LoadFinding> drops = new ArrayList<>();
        for (Device device : installation.devices()) {
            ElementState state = solution.states().get(device.tag());
            if (state != null && device instanceof Device.PanelInput input) {
                nets.panels(input).stream()
                        .filter(panels -> solution.states().containsKey(panels.tag()))
                        .max(Comparator.comparingDouble(
                                panels -> solution.state(panels.tag()).voltageV()))
                        .ifPresent(panels -> drops.add(new LoadFinding(
                                input.tag(),
                                dropFinding(
                                        input.drop(),
                                        solution.state(panels.tag()).voltageV(),
                                        Math.abs(state.voltageV()),
                                        panels.setV(),
                                        installation.system()))));
            }
        }
        return drops;
    }

    private static Finding unfedFinding(NetworkFault fault) {
        double share = 100 * fault.feedableShare();
        Explanation explanation = Explanation.read(
                switch (fault.kind()) {
                    case NO_SOURCE -> note("CaseResult.no-path-from");
                    case COLLAPSE -> note("CaseResult.greatest-share-of");
                    case TOO_FAR_APART -> note("CaseResult.the-resistances-on");
                },
                term("share", share, "%"));
        return new Finding(
                FindingCode.LOAD_UNFED,
                Verdict.STOP,
                share,
                100,
                "%",
                explanation,
                Source.own(note("CaseResult.nodal-analysis")));
    }

    /** Of a path from {@code sourceV} down to {@code loadV}, in a system of {@code nominalV}. */
    private static Finding dropFinding(
            DropLimit drop, double sourceV, double loadV, double nominalV, Installation.System system) {
        double lostV = sourceV - loadV;
        double percent = 100 * lostV / nominalV;
        Explanation explanation = Explanation.of(
                        term("ΔU", percent, "%"), term("U_lost", lostV, "V").over(term("U", nominalV, "V")))
                .with(term("U_source", sourceV, "V"), term("U_load", loadV, "V"));
        return new Finding(
                FindingCode.PATH_DROP,
                drop.verdict(percent, system.house().sizes()),
                percent,
                drop.percent(),
                "%",
                explanation,
                drop.assumed()
                        ? Source.practice(note("CaseResult.usual-allowance"))
                        : Source.given(note("CaseResult.allowance-of-the")));
    }

    /** Cut-off voltage of the bank that a path starts from, V, where a person gave it. */
    private static Optional<Double> cutOff(Installation installation, PathDrop path) {
        return installation.devices().stream()
                .filter(device -> device.tag().equals(path.source()))
                .filter(device ->
                        device instanceof Device.Bank bank && bank.build().window() != null)
                .map(device -> ((Device.Bank) device).build().lowestV())
                .findFirst();
    }

    /** Whether a load still works when its bank is down to its cut-off: {@code cutOffV} less the drop of the path. */
    private static Finding cutOffFinding(Device.Consumer consumer, PathDrop path, double cutOffV) {
        double arrives = cutOffV - path.dropV();
        double lowest = consumer.draw().lowestV();
        Explanation explanation = Explanation.of(
                term("U_end", arrives, "V"), term("U_cut-off", cutOffV, "V").minus(term("ΔU", path.dropV(), "V")));
        return new Finding(
                FindingCode.LOAD_CUT_OFF,
                arrives >= lowest ? Verdict.PASS : Verdict.WATCH,
                arrives,
                lowest,
                "V",
                explanation,
                Source.given(note("CaseResult.cut-off-voltage")));
    }

    /** Whether a load outlives a surge when its bank is nearly empty: a note where only the kind of the bank says when that is. */
    private static Finding emptiedFinding(Device.Consumer consumer, double volt, boolean given) {
        double lowest = consumer.draw().lowestV();
        Verdict worse = given ? Verdict.WATCH : Verdict.NOTE;
        return new Finding(
                FindingCode.LOAD_SURGE_EMPTY,
                volt >= lowest ? Verdict.PASS : worse,
                volt,
                lowest,
                "V",
                Explanation.read(note("CaseResult.voltage-at-the"), term("U", volt, "V")),
                given ? Source.given(note("CaseResult.cut-off-voltage")) : Chemistry.source());
    }

    private Finding voltageFinding(Device.Consumer consumer) {
        ElementState state = surging.states().get(consumer.tag());
        double lowest = consumer.draw().lowestV();
        double volt = state == null ? 0 : state.voltageV();
        Explanation explanation = Explanation.read(note("CaseResult.voltage-at-the-load"), term("U", volt, "V"));
        return new Finding(
                FindingCode.LOAD_VOLTAGE,
                volt >= lowest ? Verdict.PASS : Verdict.STOP,
                volt,
                lowest,
                "V",
                explanation,
                Source.given(note("CaseResult.lowest-working-voltage")));
    }
}
