package org.ulnaris.app.board;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobKind;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CablePictures;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.CableSizing;
import org.ulnaris.app.plan.FurtherFindings;
import org.ulnaris.app.plan.SharedStuds;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.CaseResult;
import org.ulnaris.core.installation.InstallationResult;
import org.ulnaris.core.installation.ProtectionCheck;
import org.ulnaris.core.installation.RunResult;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.installation.TerminalCheck;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.PairLength;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.network.PathDrop;

/** Gathers what every check of a job says: sizes, ends, paths, protection, terminals. */
@Service
@Transactional(readOnly = true)
public class BoardService {
    private final CableService cables;
    private final CablePictures pictures;
    private final LoadsService loads;

    BoardService(CableService cables, CablePictures pictures, LoadsService loads) {
        this.cables = cables;
        this.pictures = pictures;
        this.loads = loads;
    }

    /**
     * One finding.
     *
     * @param subject tag of what it is about
     * @param where the case or the end; empty when it holds for all of it
     * @param place what it belongs to
     * @param link the page and field that mends it
     */
    public record Entry(String subject, String where, Place place, Finding finding, String link) {}

    /** What a finding belongs to. */
    public enum Place {
        SIZE,
        END,
        PATH,
        PROTECTION,
        TERMINAL
    }

    /**
     * A job's findings.
     *
     * @param open those that are not a pass, worst first
     * @param passed how many checks passed
     */
    public record Board(List<Entry> open, int passed) {
        /** Worst of all. */
        public Verdict verdict() {
            return Verdict.worstOf(open.stream().map(Entry::finding).toList());
        }

        /** How many findings have {@code verdict}. */
        public long count(Verdict verdict) {
            return open.stream()
                    .filter(entry -> entry.finding().verdict() == verdict)
                    .count();
        }
    }

    /** All findings of {@code job}. */
    public Board of(Job job) {
        List<Entry> all = new ArrayList<>();
        List<Cable> every = cables.of(job.id());
        Map<String, Long> cableIds = new HashMap<>();
        Map<Long, CablePlan> plans = pictures.plans(job, every);
        Map<Terminal, List<Double>> areas = new LinkedHashMap<>();
        Set<String> terminals = loads.of(job.id());
        Map<String, Long> pieces = loads.idsByTag(job.id());
        for (Cable cable : every) {
            cableIds.put(cable.details().tag(), cable.id());
            CableSizing sizing = CableSizing.of(job.details(), cable.details());
            size(job, cable, sizing, all);
            ends(cable, Objects.requireNonNull(plans.get(cable.id())), all);
            land(cable, sizing, areas, terminals);
        }
        pairs(every, plans, all);
        terminals(job, areas, pieces, all);
        SharedStuds.of(every, plans, terminals)
                .forEach((point, shared) -> shared.stack()
                        .finding(shared.studLengthMm())
                        .ifPresent(finding -> all.add(new Entry(
                                point,
                                "",
                                Place.TERMINAL,
                                finding,
                                equipment(job, pieces, Terminal.parse(point).device())))));
        hull(job, every, pieces, all);
        loads.result(job.id()).ifPresent(result -> network(job, result, new Ids(cableIds, pieces), all));
        List<Entry> open = all.stream()
                .filter(entry -> entry.finding().verdict() != Verdict.PASS)
                .sorted(Comparator.comparing((Entry entry) -> entry.finding().verdict())
                        .reversed()
                        .thenComparing(Entry::place))
                .toList();
        return new Board(open, all.size() - open.size());
    }

    private static void size(Job job, Cable cable, CableSizing sizing, List<Entry> all) {
        String page = "/cables/" + cable.id() + "/plan";
        List<Finding> findings = new ArrayList<>(sizing.inUse().findings());
        findings.addAll(FurtherFindings.of(job.details(), cable, sizing));
        for (Finding finding : findings) {
            all.add(new Entry(cable.details().tag(), "", Place.SIZE, finding, page + field(finding.code())));
        }
    }

    private static String field(FindingCode code) {
        return switch (code) {
            case JOINTS -> "#f-joints";
            case BEND_RADIUS -> "#f-bend";
            case LEG_LENGTH -> "#f-length";
            default -> "";
        };
    }

    private static void ends(Cable cable, CablePlan plan, List<Entry> all) {
        plan.clockFinding()
                .ifPresent(finding -> all.add(
                        new Entry(cable.details().tag(), "", Place.END, finding, "/cables/" + cable.id() + "/match")));
        for (Side side : Side.values()) {
            Termination match = plan.end(side).termination();
            if (match != null) {
                match.findings()
                        .forEach(finding -> all.add(new Entry(
                                cable.details().tag(),
                                side.name(),
                                Place.END,
                                finding,
                                "/cables/" + cable.id() + "/match")));
            }
        }
    }

    /** Plus and minus of a pair of stackable connectors: the same stem of the tag, both ends of one kind. */
    private static void pairs(List<Cable> every, Map<Long, CablePlan> plans, List<Entry> all) {
        Map<String, Cable> plus = new HashMap<>();
        for (Cable cable : every) {
            String tag = cable.details().tag();
            if (tag.endsWith("+") && stackable(Objects.requireNonNull(plans.get(cable.id())))) {
                plus.put(tag.substring(0, tag.length() - 1), cable);
            }
        }
        for (Cable cable : every) {
            String tag = cable.details().tag();
            Cable other = tag.matches(".*[−-]") ? plus.get(tag.substring(0, tag.length() - 1)) : null;
            if (other != null && stackable(Objects.requireNonNull(plans.get(cable.id())))) {
                Finding finding = PairLength.finding(
                        1000 * other.details().lengthM(), 1000 * cable.details().lengthM());
                all.add(new Entry(tag, "", Place.END, finding, "/cables/" + cable.id() + "/plan#f-length"));
            }
        }
    }

    private static boolean stackable(CablePlan plan) {
        return Stream.of(plan.a().contact(), plan.b().contact())
                .anyMatch(contact -> contact != null && contact.contact().family() == Family.STACKABLE);
    }

    private static void land(
            Cable cable, CableSizing sizing, Map<Terminal, List<Double>> areas, Set<String> terminals) {
        CableDetails details = cable.details();
        for (String point : List.of(details.fromPoint(), details.toPoint())) {
            if (terminals.contains(point)) {
                areas.computeIfAbsent(Terminal.parse(point), missing -> new ArrayList<>())
                        .add(sizing.inUse().size().areaMm2());
            }
        }
    }

    private void terminals(Job job, Map<Terminal, List<Double>> areas, Map<String, Long> pieces, List<Entry> all) {
        Map<Terminal, Integer> most = new HashMap<>();
        for (Map.Entry<String, TerminalSpec> spec : loads.specs(job.id()).entrySet()) {
            @Nullable Integer lugs = spec.getValue().mostLugs();
            if (lugs != null) {
                most.put(Terminal.parse(spec.getKey()), lugs);
            }
            Terminal terminal = Terminal.parse(spec.getKey());
            if (areas.containsKey(terminal)) {
                TerminalCheck.metal(spec.getValue().metal())
                        .ifPresent(finding -> all.add(new Entry(
                                terminal.toString(),
                                "",
                                Place.TERMINAL,
                                finding,
                                equipment(job, pieces, terminal.device()))));
            }
        }
        TerminalCheck.check(areas, most, job.details().rules().house())
                .forEach((terminal, findings) -> findings.forEach(finding -> all.add(new Entry(
                        terminal.toString(), "", Place.TERMINAL, finding, equipment(job, pieces, terminal.device())))));
    }

    private void hull(Job job, List<Cable> every, Map<String, Long> pieces, List<Entry> all) {
        for (EquipmentDetails details : loads.details(job.id())) {
            String terminal = details.tag() + ".bar";
            int joined = (int) every.stream()
                    .filter(cable -> cable.details().fromPoint().equals(terminal)
                            || cable.details().toPoint().equals(terminal))
                    .count();
            if (job.details().kind() == JobKind.MARINE && details.kind() == EquipmentKind.CHASSIS && joined > 0) {
                all.add(new Entry(
                        details.tag(),
                        "",
                        Place.TERMINAL,
                        TerminalCheck.hullReturn(joined),
                        equipment(job, pieces, details.tag())));
            }
        }
    }

    private static String equipment(Job job, Map<String, Long> pieces, String tag) {
        Long id = pieces.get(tag);
        return id == null ? "/jobs/" + job.id() + "/loads" : "/equipment/" + id;
    }

    /** Ids by tag. */
    private record Ids(Map<String, Long> cables, Map<String, Long> pieces) {}

    private static void network(Job job, InstallationResult result, Ids ids, List<Entry> all) {
        Map<String, Long> cableIds = ids.cables();
        Map<String, Entry> worst = new LinkedHashMap<>();
        for (CaseResult one : result.cases()) {
            for (CaseResult.LoadFinding found : one.findings(result.installation())) {
                PathDrop path = one.paths().get(found.load());
                Entry entry = new Entry(
                        found.load(),
                        one.operating().name(),
                        Place.PATH,
                        found.finding(),
                        path == null ? "/jobs/" + job.id() + "/layout" : greediest(job, path, cableIds));
                worst.merge(
                        found.load() + found.finding().code(),
                        entry,
                        (a, b) -> a.finding().verdict().compareTo(b.finding().verdict()) >= 0 ? a : b);
            }
        }
        all.addAll(worst.values());
        for (RunResult run : result.runs()) {
            Long cable = cableIds.get(run.run().tag());
            run.findings().stream()
                    .filter(finding -> finding.code() == FindingCode.DUTY_HEAT)
                    .forEach(finding -> all.add(new Entry(
                            run.run().tag(), run.worstCase(), Place.SIZE, finding, "/cables/" + cable + "/plan")));
        }
        for (ProtectionCheck.Subject subject : ProtectionCheck.check(result).subjects()) {
            Long cable = cableIds.get(subject.tag());
            String link = cable == null
                    ? equipment(job, ids.pieces(), subject.tag()) + "#f-rating"
                    : subject.finding().code() == FindingCode.FUSE_MISSING
                            ? "/jobs/" + job.id() + "/loads?kind=FUSE#new-equipment"
                            : "/cables/" + cable + "/plan";
            all.add(new Entry(subject.tag(), "", Place.PROTECTION, subject.finding(), link));
        }
    }

    /** The cable that eats most of a path. */
    private static String greediest(Job job, PathDrop path, Map<String, Long> cableIds) {
        return path.shares().stream()
                .filter(share -> cableIds.containsKey(share.id()))
                .max(Comparator.comparingDouble(PathDrop.Share::dropV))
                .map(share -> "/cables/" + cableIds.get(share.id()) + "/plan")
                .orElse("/jobs/" + job.id() + "/layout");
    }
}
