package org.ulnaris.app.exchange;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.network.ElementState;
import org.ulnaris.core.network.NetworkFault;
import org.ulnaris.core.network.NetworkSolution;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.RunResult;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;

/** Requests and answers of the network part of the REST interface. Figures are rounded here, at output. */
final class NetworkModel {
    private static final int DIGITS = 10;

    private NetworkModel() {}

    /** Kinds of elements; a current counts from the element's from to its to: in a source from minus to plus. */
    enum ElementType {
        RESISTOR("ohm"),
        WIRE("ohmAt20", "ambientC", "maxC", "ampacityA"),
        SOURCE("openV", "ohm"),
        LIMITED_SOURCE("setV", "ohm", "maxA"),
        CURRENT_LOAD("currentA"),
        POWER_LOAD("powerW"),
        RESISTIVE_LOAD("ohm");

        private final String[] figures;

        ElementType(String... figures) {
            this.figures = figures;
        }

        /** Names of all members of such an element. */
        String[] members() {
            return Stream.concat(Stream.of("type", "id", "from", "to"), Arrays.stream(figures))
                    .toArray(String[]::new);
        }
    }

    /** Body of {@code POST /api/v1/network}, as OpenAPI shows it; each element has the figures of its type. */
    record NetworkRequest(List<ElementPart> elements) {
        record ElementPart(
                ElementType type,
                String id,
                String from,
                String to,
                @Nullable Double ohm,
                @Nullable Double ohmAt20,
                @Nullable Double ambientC,
                @Nullable Double maxC,
                @Nullable Double ampacityA,
                @Nullable Double openV,
                @Nullable Double setV,
                @Nullable Double maxA,
                @Nullable Double currentA,
                @Nullable Double powerW) {}
    }

    record StatePart(
            double currentA,
            double voltageV,
            double powerW,
            @Nullable Double temperatureC) {
        static StatePart of(ElementState state) {
            return new StatePart(
                    rounded(state.currentA()),
                    rounded(state.voltageV()),
                    rounded(state.powerW()),
                    Double.isNaN(state.temperatureC()) ? null : Double.valueOf(rounded(state.temperatureC())));
        }
    }

    record FaultPart(NetworkFault.Kind kind, List<String> elements, double feedableShare) {
        static FaultPart of(NetworkFault fault) {
            return new FaultPart(fault.kind(), fault.elements(), rounded(fault.feedableShare()));
        }
    }

    /**
     * Answer of {@code POST /api/v1/network}: what can't be fed stands in faults and nowhere else; wires that get hotter than they may
     * stand in tooHot.
     */
    record NetworkAnswer(
            Map<String, Double> nodeV,
            Map<String, StatePart> elements,
            List<FaultPart> faults,
            List<String> tooHot,
            double lossW) {
        static NetworkAnswer of(NetworkSolution solution) {
            Map<String, Double> nodeV = new TreeMap<>();
            solution.nodeV().forEach((node, volt) -> nodeV.put(node, rounded(volt)));
            Map<String, StatePart> elements = new TreeMap<>();
            solution.states().forEach((id, state) -> elements.put(id, StatePart.of(state)));
            return new NetworkAnswer(
                    nodeV,
                    elements,
                    solution.faults().stream().map(FaultPart::of).toList(),
                    solution.tooHot(),
                    rounded(solution.lossW()));
        }
    }

    record CablePart(
            String tag,
            String worstCase,
            double continuousA,
            double surgeA,
            double surgeS,
            String size,
            Verdict verdict,
            boolean passes) {
        static CablePart of(RunResult run, WorkedCable worked) {
            return new CablePart(
                    run.run().tag(),
                    run.worstCase(),
                    rounded(run.continuousA()),
                    rounded(run.surgeA()),
                    run.surgeS(),
                    run.inUse().size().designation(),
                    worked.verdict(),
                    worked.verdict() == Verdict.PASS);
        }
    }

    record SharePart(String id, double dropV, boolean back) {}

    record PathPart(double sourceV, double loadV, double dropV, List<SharePart> shares) {
        static PathPart of(PathDrop path) {
            return new PathPart(
                    rounded(path.sourceV()),
                    rounded(path.loadV()),
                    rounded(path.dropV()),
                    path.shares().stream()
                            .map(share -> new SharePart(share.id(), rounded(share.dropV()), share.back()))
                            .toList());
        }
    }

    record CasePart(
            String name,
            NetworkAnswer network,
            Map<String, PathPart> paths,
            List<LoadFindingPart> findings,
            double lossWhPerDay) {
        static CasePart of(CaseResult one, InstallationResult result) {
            Map<String, PathPart> paths = new TreeMap<>();
            one.paths().forEach((load, path) -> paths.put(load, PathPart.of(path)));
            return new CasePart(
                    one.operating().name(),
                    NetworkAnswer.of(one.solution()),
                    paths,
                    one.findings(result.installation()).stream()
                            .map(f -> new LoadFindingPart(f.load(), ApiModel.FindingPart.of(f.finding())))
                            .toList(),
                    rounded(one.lossWhPerDay()));
        }
    }

    record LoadFindingPart(String load, ApiModel.FindingPart finding) {}

    /** Answer of {@code POST /api/v1/jobs/{id}/solve}; empty lists while the job has no equipment or no case. */
    record JobAnswer(List<CablePart> cables, List<CasePart> cases, double metalKg) {
        static JobAnswer of(WorkedJob worked) {
            return worked.network()
                    .map(result -> new JobAnswer(
                            result.runs().stream()
                                    .map(run -> CablePart.of(
                                            run, worked.cable(run.run().tag())))
                                    .toList(),
                            result.cases().stream()
                                    .map(one -> CasePart.of(one, result))
                                    .toList(),
                            rounded(result.metalKg())))
                    .orElse(new JobAnswer(List.of(), List.of(), 0));
        }
    }

    private static double rounded(double value) {
        return Figures.rounded(value, DIGITS);
    }
}
