package org.ulnaris.app.assembly;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.job.JobRules;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.EquipmentKind;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.crimp.MarkRule;
import org.ulnaris.core.fastening.Bolting;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.job.EndModel;
import org.ulnaris.core.job.Ground;
import org.ulnaris.core.job.JobModel;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Slack;
import org.ulnaris.core.record.CableRecord;
import org.ulnaris.core.rules.Practice;

/**
 * What the features keep of a job, in the words of a person.
 *
 * @param job the job
 * @param equipment its equipment
 * @param cables its cables
 * @param ends their ends, by the cable's tag
 * @param cases what works together
 * @param shop what there is to choose from
 * @param records what the bench has kept, by the cable's tag
 */
public record JobParts(
        JobDetails job,
        List<EquipmentDetails> equipment,
        List<CableDetails> cables,
        Map<String, Map<Side, End>> ends,
        List<LoadsService.CaseFile> cases,
        Shop shop,
        Map<String, CableRecord> records) {
    /** A job of which nothing is made. */
    public JobParts(
            JobDetails job,
            List<EquipmentDetails> equipment,
            List<CableDetails> cables,
            Map<String, Map<Side, End>> ends,
            List<LoadsService.CaseFile> cases,
            Shop shop) {
        this(job, equipment, cables, ends, cases, shop, Map.of());
    }

    /** The same job under other rules. */
    public JobParts ruled(JobRules rules) {
        return new JobParts(job.ruled(rules), equipment, cables, ends, cases, shop, records);
    }

    /** As the core knows it. */
    public JobModel model() {
        JobRules rules = job.rules();
        Ground ground = new Ground(
                job.system(),
                job.kind().place(),
                rules.sealedTerminals(),
                rules.practices().is(Practice.STROKE, "FULL_ONLY"),
                new Bolting(
                        Bolting.Steel.valueOf(rules.practices().of(Practice.STEEL)),
                        Bolting.Threads.valueOf(rules.practices().of(Practice.THREADS))),
                MarkRule.valueOf(rules.practices().of(Practice.MARKS)),
                job.pull());
        List<Piece> pieces = equipment.stream().map(piece -> piece.model(job)).toList();
        Map<String, EquipmentKind> kinds =
                equipment.stream().collect(Collectors.toMap(EquipmentDetails::tag, EquipmentDetails::kind));
        return new JobModel(
                ground,
                pieces,
                cables.stream().map(cable -> cable(cable, kinds)).toList(),
                cases.stream().map(LoadsService.CaseFile::model).toList(),
                shop,
                records);
    }

    private CableModel cable(CableDetails cable, Map<String, EquipmentKind> kinds) {
        Optional<EquipmentKind> from = kind(cable.fromPoint(), kinds);
        Optional<EquipmentKind> to = kind(cable.toPoint(), kinds);
        boolean motor = Stream.of(from, to).flatMap(Optional::stream).anyMatch(EquipmentKind::isMotor);
        Slack slack = Slack.of(mount(from), mount(to), cable.lengthM());
        return cable.model(
                end(cable, Side.A),
                end(cable, Side.B),
                new CableDetails.Usual(job.rules().slackMm(slack), job.rules().usualDrop(motor)));
    }

    private static Optional<EquipmentKind> kind(String point, Map<String, EquipmentKind> kinds) {
        return Terminal.read(point).map(terminal -> kinds.get(terminal.device()));
    }

    private static Slack.Mount mount(Optional<EquipmentKind> kind) {
        return kind.map(EquipmentKind::mount).orElse(Slack.Mount.OTHER);
    }

    private EndModel end(CableDetails cable, Side side) {
        End end = ends.getOrDefault(cable.tag(), Map.of()).getOrDefault(side, End.UNSAID);
        EndModel model = end.details().model(job.rules().facing());
        return end.said() ? model : model.unsaid();
    }

    /**
     * An end of a cable.
     *
     * @param said whether somebody has said what it ends with
     */
    public record End(EndDetails details, boolean said) {
        static final End UNSAID = new End(EndDetails.FRESH, false);
    }
}
