package org.ulnaris.app.board;

import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.ribbon.EndSpot;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.network.PathDrop;
import org.ulnaris.core.overcurrent.ProtectionCheck;
import org.ulnaris.core.solving.CaseResult;
import org.ulnaris.core.solving.InstallationResult;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.Topic;
import org.ulnaris.core.worked.WorkedJob;

/** The findings of a job, each with the page and field that mends it. */
@Service
@Transactional(readOnly = true)
public class BoardService {
    private final CableService cables;
    private final LoadsService loads;
    private final Works works;

    BoardService(CableService cables, LoadsService loads, Works works) {
        this.cables = cables;
        this.loads = loads;
        this.works = works;
    }

    /**
     * One finding.
     *
     * @param said the finding with what it is about
     * @param link the page and field that mends it
     */
    public record Entry(JobFinding said, String link) {
        private static final Set<Topic> ALIKE = EnumSet.of(Topic.END, Topic.TOOL, Topic.WIRING, Topic.PROTECTION);

        /** Whether ends, tools, wiring or protection may say the same elsewhere: it is one line with all its places then. */
        public boolean isAlike() {
            return ALIKE.contains(said.topic());
        }

        /** What it shares with those that stand in its line. */
        public Object line(String sentence) {
            return isAlike() ? List.of(said.finding().code(), sentence) : this;
        }

        public Finding finding() {
            return said.finding();
        }

        public Verdict verdict() {
            return said.verdict();
        }
    }

    /**
     * A job's findings.
     *
     * @param verdict the one verdict of the job
     * @param open those that are not a pass, worst first, in the order in which they are to be mended
     * @param passed how many checks passed
     */
    public record Board(Verdict verdict, List<Entry> open, int passed) {
        /** How many findings have {@code verdict}. */
        public long count(Verdict wanted) {
            return open.stream().filter(entry -> entry.verdict() == wanted).count();
        }
    }

    /** All findings of {@code job}. */
    public Board of(Job job) {
        WorkedJob worked = works.of(job.id());
        Map<String, Long> cableIds = new HashMap<>();
        cables.of(job.id()).forEach(cable -> cableIds.put(cable.details().tag(), cable.id()));
        Links links = new Links(job.id(), cableIds, loads.idsByTag(job.id()));
        List<JobFinding> all = worked.findings();
        List<Entry> open = all.stream()
                .filter(said -> said.verdict() != Verdict.PASS)
                .sorted(JobFinding.WORST_FIRST)
                .map(said -> new Entry(said, links.of(said, worked)))
                .toList();
        return new Board(worked.verdict(), open, all.size() - open.size());
    }

    /** Where each finding is mended. */
    private record Links(long jobId, Map<String, Long> cables, Map<String, Long> pieces) {
        String of(JobFinding said, WorkedJob worked) {
            @Nullable Long cable = cables.get(said.subject());
            return switch (said.topic()) {
                case SIZE -> "/cables/" + cable + "/plan" + field(said.finding().code());
                case MADE -> "/cables/" + cable + "/prove";
                case END, TOOL -> end(said, cable);
                case PATH -> worked.network().map(result -> path(said, result)).orElseGet(this::layout);
                case WIRING -> cable == null ? equipment(said.subject()) : wiring(said, cable);
                case PROTECTION -> protection(said, cable, worked);
                case TERMINAL ->
                    equipment(
                            Terminal.read(said.subject()).map(Terminal::device).orElse(said.subject()));
            };
        }

        private static String field(FindingCode code) {
            return switch (code) {
                case NO_CURRENT, TYPED_CURRENT -> "#f-current";
                case SIZE_GONE -> "#f-size";
                case JOINTS -> "#f-joints";
                case BEND_RADIUS -> "#f-bend";
                case LEG_LENGTH -> "#f-length";
                default -> "";
            };
        }

        private static String wiring(JobFinding said, long cable) {
            return "/cables/" + cable + "/plan" + (said.where().equals(Side.B.name()) ? "#f-to" : "#f-from");
        }

        private static String end(JobFinding said, @Nullable Long cable) {
            return said.finding().code() == FindingCode.PAIR_LENGTH
                    ? "/cables/" + cable + "/plan#f-length"
                    : "/cables/" + cable + "/match" + (said.where().isEmpty() ? "" : "?at=" + place(said));
        }

        private static String place(JobFinding said) {
            return new EndSpot(Side.valueOf(said.where()), EndPart.of(said)).at();
        }

        private String protection(JobFinding said, @Nullable Long cable, WorkedJob worked) {
            if (cable == null) {
                boolean asksTheBattery =
                        said.finding().code() == FindingCode.FUSE_INTERRUPTING && said.verdict() == Verdict.WATCH;
                return asksTheBattery ? battery(worked, said.subject()) : equipment(said.subject()) + "#f-rating";
            }
            return switch (said.finding().code()) {
                case FUSE_MISSING -> "/jobs/" + jobId + "/loads?kind=FUSE#new-equipment";
                case FUSE_UNKNOWN ->
                    worked.network().isPresent() ? "/cables/" + cable + "/plan#f-from" : "/jobs/" + jobId + "/loads";
                default -> "/cables/" + cable + "/plan";
            };
        }

        /** A battery that feeds the fuse, and whose resistance nobody gave. */
        private String battery(WorkedJob worked, String fuse) {
            return worked.network().stream()
                    .flatMap(result -> ProtectionCheck.scene(result, fuse).stream())
                    .flatMap(scene -> scene.asked().stream())
                    .findFirst()
                    .map(bank -> equipment(bank.tag()) + "#f-ohm")
                    .orElseGet(this::layout);
        }

        private String equipment(String tag) {
            Long id = pieces.get(tag);
            return id == null ? "/jobs/" + jobId + "/loads" : "/equipment/" + id;
        }

        private String layout() {
            return "/jobs/" + jobId;
        }

        /** The cable that eats most of the path of a load in the case of a finding. */
        private String path(JobFinding said, InstallationResult result) {
            return result.cases().stream()
                    .filter(one -> one.operating().name().equals(said.where()))
                    .map(CaseResult::paths)
                    .filter(paths -> paths.containsKey(said.subject()))
                    .flatMap(paths -> paths.get(said.subject()).shares().stream())
                    .filter(share -> cables.containsKey(share.id()))
                    .max(Comparator.comparingDouble(PathDrop.Share::dropV))
                    .map(share -> "/cables/" + cables.get(share.id()) + "/plan")
                    .orElseGet(this::layout);
        }
    }
}
