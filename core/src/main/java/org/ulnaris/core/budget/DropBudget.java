package org.ulnaris.core.budget;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Installation;
import org.ulnaris.core.installation.Run;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.solving.InstallationSolver;
import org.ulnaris.core.solving.Joints;
import org.ulnaris.core.solving.RunResult;

/**
 * Splits what each path may lose over its cables: real sizes that pass every check of their own, least copper or least cost. With the currents
 * of a solved job the drop of a path is a sum over its cables, which is searched exactly ({@link SizeSearch}); the job is then solved
 * anew with these sizes and the search repeated until currents and temperatures stand and every allowance is kept.
 */
public final class DropBudget {
    private static final int MOST_ROUNDS = 8;

    private final Request request;

    private DropBudget(Request request) {
        this.request = request;
    }

    /**
     * What is asked.
     *
     * @param now the job as it is
     * @param keepFixed whether sizes chosen by hand stay
     * @param pricePerM price of a metre by designation, any currency; empty: the least copper is sought. Sizes without a price are
     *     not considered
     * @param ties names that cables of one size share, by their tags: a plus and its return
     */
    public record Request(
            InstallationResult now, boolean keepFixed, Map<String, Double> pricePerM, Map<String, String> ties) {
        public Request {
            pricePerM = Map.copyOf(pricePerM);
            ties = Map.copyOf(ties);
        }

        /** The name under which {@code tag} gets its size. */
        private String tied(String tag) {
            return ties.getOrDefault(tag, tag);
        }
    }

    /** One path of one case with what it may lose. */
    private record Limit(CaseResult operating, Device.Consumer load, PathDrop path) {}

    /** The lightest or cheapest sizes; {@code watch} may stop the search, which then answers the best so far. */
    public static BudgetPlan plan(Request request, SizeSearch.Watch watch) {
        return new DropBudget(request).plan(watch);
    }

    private BudgetPlan plan(SizeSearch.Watch watch) {
        InstallationResult standing = request.now();
        Map<String, ConductorSize> sizes = Map.of();
        Map<String, Double> tightened = new HashMap<>();
        boolean proven = true;
        long nodes = 0;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            List<Limit> limits = limits(standing);
            Map<String, List<Rung>> options = options(limits);
            SizeSearch.Outcome outcome = SizeSearch.solve(problem(standing, limits, options, tightened), watch);
            nodes += outcome.nodes();
            proven = outcome.proven() && tightened.isEmpty();
            Map<String, ConductorSize> next = chosen(standing, options, outcome.choice());
            boolean settled = next.equals(sizes);
            sizes = next;
            standing = InstallationSolver.solve(with(sizes));
            boolean kept = tighten(standing, tightened);
            if (next.isEmpty() || !outcome.proven() || settled && kept) {
                break;
            }
            proven = false;
        }
        return new BudgetPlan(request.now(), standing, sizes, paths(standing), proven, nodes);
    }

    /** Allowances that the solved job still passes are tightened by as much; true when there are none. */
    private boolean tighten(InstallationResult solved, Map<String, Double> tightened) {
        boolean kept = true;
        for (Limit limit : limits(solved)) {
            double over = limit.path().dropV() - allowedV(limit.load());
            if (over > 1e-9 * allowedV(limit.load())) {
                kept = false;
                tightened.merge(key(limit), over * 1.001, Double::sum);
            }
        }
        return kept;
    }

    private static String key(Limit limit) {
        return limit.operating().operating().name() + "\n" + limit.load().tag();
    }

    private double allowedV(Device.Consumer load) {
        return load.allowedDropPercent()
                / 100
                * request.now().installation().system().nominalV();
    }

    private static List<Limit> limits(InstallationResult result) {
        List<Limit> limits = new ArrayList<>();
        for (CaseResult one : result.cases()) {
            for (Device device : result.installation().devices()) {
                PathDrop path = one.paths().get(device.tag());
                if (path != null && device instanceof Device.Consumer load) {
                    limits.add(new Limit(one, load, path));
                }
            }
        }
        return limits;
    }

    /** Sizes that each free cable on a path may have, thin to thick; those of tied cables are one choice. */
    private Map<String, List<Rung>> options(List<Limit> limits) {
        Set<String> onPaths = new LinkedHashSet<>();
        limits.forEach(limit -> limit.path().shares().forEach(share -> onPaths.add(request.tied(share.id()))));
        Map<String, List<Rung>> options = new LinkedHashMap<>();
        Set<String> held = new HashSet<>();
        for (RunResult run : request.now().runs()) {
            String name = request.tied(run.run().tag());
            if (run.run().fixed() != null && request.keepFixed()) {
                held.add(name);
            } else if (onPaths.contains(name)) {
                List<Rung> own =
                        run.sizing().rungs().stream().filter(this::allowed).toList();
                options.merge(name, own, DropBudget::both);
            }
        }
        options.keySet().removeAll(held);
        options.values().removeIf(List::isEmpty);
        return options;
    }

    /** Of sizes that one cable may have those that the other may have as well. */
    private static List<Rung> both(List<Rung> one, List<Rung> other) {
        Set<ConductorSize> sizes = other.stream().map(Rung::size).collect(Collectors.toSet());
        return one.stream().filter(rung -> sizes.contains(rung.size())).toList();
    }

    private boolean allowed(Rung rung) {
        boolean priced = request.pricePerM().isEmpty()
                || request.pricePerM().containsKey(rung.size().designation());
        return priced && rung.stands();
    }

    private SizeProblem problem(
            InstallationResult standing,
            List<Limit> limits,
            Map<String, List<Rung>> options,
            Map<String, Double> tightened) {
        Map<String, Integer> items = new HashMap<>();
        List<double[]> weights = new ArrayList<>();
        List<double[][]> uses = new ArrayList<>();
        options.forEach((name, rungs) -> {
            items.put(name, items.size());
            double length = tied(standing, name).stream()
                    .mapToDouble(run -> run.run().lengthM())
                    .sum();
            weights.add(rungs.stream()
                    .mapToDouble(rung -> weight(rung.conductor()) * length)
                    .toArray());
            uses.add(new double[rungs.size()][limits.size()]);
        });
        double[] allowed = new double[limits.size()];
        for (int l = 0; l < allowed.length; l++) {
            Limit limit = limits.get(l);
            allowed[l] = allowedV(limit.load()) - tightened.getOrDefault(key(limit), 0.0);
            for (PathDrop.Share share : limit.path().shares()) {
                String name = request.tied(share.id());
                Integer item = items.get(name);
                if (item == null) {
                    allowed[l] -= share.dropV();
                    continue;
                }
                RunResult run = standing.run(share.id());
                List<Rung> rungs = options.getOrDefault(name, List.of());
                for (int option = 0; option < rungs.size(); option++) {
                    uses.get(item)[option][l] += dropV(run, share.dropV(), rungs.get(option));
                }
            }
        }
        return new SizeProblem(weights, uses, allowed);
    }

    /** Drop of {@code run} in another size, from its drop in the size that it has, at the temperatures of both. */
    private static double dropV(RunResult run, double nowV, Rung other) {
        double now = coldOhm(run.run(), run.inUse().conductor());
        double then = coldOhm(run.run(), other.conductor());
        double current = Math.abs(nowV) / now;
        for (int pass = 0; pass < 3; pass++) {
            current = Math.abs(nowV) / (now * warmth(run.inUse(), current));
        }
        return Math.signum(nowV) * current * then * warmth(other, current);
    }

    private static double coldOhm(Run run, Conductor conductor) {
        return ConductorResistance.ohmPerMetreAt20(conductor) * run.lengthM() + run.joints() * Joints.ohm(conductor);
    }

    private static double warmth(Rung rung, double currentA) {
        double ambient = rung.derating().localAmbientC();
        double column = rung.derating().columnTempC();
        if (!(rung.ampacityA() > 0) || !(column >= ambient)) {
            return 1;
        }
        double share = Math.min(1, currentA / rung.ampacityA());
        return ConductorResistance.temperatureFactor(
                rung.conductor().metal(), ambient + (column - ambient) * share * share);
    }

    private double weight(Conductor conductor) {
        Double price = request.pricePerM().get(conductor.size().designation());
        return price == null ? conductor.kgPerM() : price;
    }

    private List<RunResult> tied(InstallationResult standing, String name) {
        return standing.runs().stream()
                .filter(run -> request.tied(run.run().tag()).equals(name))
                .toList();
    }

    private Map<String, ConductorSize> chosen(
            InstallationResult standing, Map<String, List<Rung>> options, int[] choice) {
        Map<String, ConductorSize> sizes = new LinkedHashMap<>();
        int item = 0;
        for (Map.Entry<String, List<Rung>> entry : options.entrySet()) {
            if (item < choice.length) {
                ConductorSize size = entry.getValue().get(choice[item]).size();
                tied(standing, entry.getKey())
                        .forEach(run -> sizes.put(run.run().tag(), size));
            }
            item++;
        }
        return sizes;
    }

    private Installation with(Map<String, ConductorSize> sizes) {
        Installation installation = request.now().installation();
        List<Run> runs = request.now().runs().stream()
                .map(result -> result.run()
                        .sized(sizes.getOrDefault(
                                result.run().tag(), result.inUse().size())))
                .toList();
        return new Installation(installation.system(), installation.devices(), runs, installation.cases());
    }

    private List<BudgetPlan.PathUse> paths(InstallationResult after) {
        double nominalV = after.installation().system().nominalV();
        List<BudgetPlan.PathUse> paths = new ArrayList<>();
        for (int c = 0; c < after.cases().size(); c++) {
            CaseResult before = request.now().cases().get(c);
            for (Limit limit : limits(after)) {
                if (limit.operating() == after.cases().get(c)) {
                    PathDrop was = before.paths().get(limit.load().tag());
                    paths.add(new BudgetPlan.PathUse(
                            limit.load().tag(),
                            before.operating().name(),
                            was == null ? 0 : 100 * was.dropV() / nominalV,
                            100 * limit.path().dropV() / nominalV,
                            limit.load().allowedDropPercent()));
                }
            }
        }
        return paths;
    }
}
