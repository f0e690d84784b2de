package org.ulnaris.app.exchange;

import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.job.JobService;
import org.ulnaris.app.job.Tags;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.make.MakeService;
import org.ulnaris.app.make.Making;
import org.ulnaris.app.make.MakingFile;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.match.MatchService;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.work.Works;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.worked.WorkedCable;
import org.ulnaris.core.worked.WorkedJob;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Whole jobs to files and back. */
@Service
@Transactional
public class ExchangeService {
    private static final int MOST_FAULTS = 20;
    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final JobService jobs;
    private final CableService cables;
    private final MatchService match;
    private final MakeService make;
    private final JobWiring terminals;
    private final LoadsService loads;
    private final Tags tags;
    private final Works works;
    private final Words words;
    private final Map<Integer, Schema> schemas = new HashMap<>();

    ExchangeService(
            JobService jobs,
            CableService cables,
            MatchService match,
            MakeService make,
            JobWiring terminals,
            LoadsService loads,
            Tags tags,
            Works works,
            Words words) {
        this.words = words;
        this.tags = tags;
        this.works = works;
        this.terminals = terminals;
        this.loads = loads;
        this.jobs = jobs;
        this.cables = cables;
        this.match = match;
        this.make = make;
        for (int version = 1; version <= JobFile.VERSION; version++) {
            String name = "formats/job-" + version + ".schema.json";
            try (InputStream in = new ClassPathResource(name).getInputStream()) {
                schemas.put(
                        version,
                        SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                                .getSchema(in));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** A job as JSON. */
    @Transactional(readOnly = true)
    public String json(long jobId) {
        Job job = jobs.get(jobId);
        List<Cable> all = cables.of(jobId);
        Map<Long, Making> makings = make.ofAll(all);
        Map<Long, Map<Side, MatchService.Kept>> ends = match.ends(jobId, all);
        WorkedJob worked = works.of(jobId);
        List<JobFile.CableFile> files = all.stream()
                .map(cable -> file(
                        worked.cable(cable.details().tag()),
                        cable,
                        Objects.requireNonNull(ends.get(cable.id())),
                        Objects.requireNonNull(makings.get(cable.id()))))
                .toList();
        return JSON.writeValueAsString(new JobFile(
                JobFile.FORMAT, JobFile.VERSION, job.details(), loads.details(jobId), loads.caseFiles(jobId), files));
    }

    /** A cable with the current that it is worked out to carry, and those ends of which something was said. */
    private static JobFile.CableFile file(
            WorkedCable worked, Cable cable, Map<Side, MatchService.Kept> ends, Making making) {
        Map<Side, EndDetails> said = new EnumMap<>(Side.class);
        ends.forEach((side, kept) -> {
            if (kept.said()) {
                said.put(side, kept.details());
            }
        });
        CableDetails details = cable.details();
        return new JobFile.CableFile(
                details.currentFromLoads() ? details.carrying(worked.carried().currentA()) : details,
                said,
                MakingFile.of(making));
    }

    /** A file that can't be taken; says where and what, one line a fault. */
    public static final class RefusedException extends Exception {
        private static final long serialVersionUID = 1L;

        private final List<String> faults;

        RefusedException(List<String> faults) {
            super(String.join("; ", faults));
            this.faults = List.copyOf(faults);
        }

        public List<String> faults() {
            return faults;
        }
    }

    /**
     * Makes a new job of a JSON file; all or nothing.
     *
     * @throws RefusedException naming the place of every fault
     */
    @Transactional(rollbackFor = RefusedException.class)
    public Job importJson(String text) throws RefusedException {
        JobFile file = parse(text);
        List<String> faults = new JobFileCheck(file, words).faults();
        if (!faults.isEmpty()) {
            throw new RefusedException(faults.stream().limit(MOST_FAULTS).toList());
        }
        Job job = jobs.create(file.job());
        loads.restore(job.id(), file.equipment(), file.cases());
        List<Cable> made = cables.createAll(
                job.id(), file.cables().stream().map(JobFile.CableFile::cable).toList());
        for (int i = 0; i < made.size(); i++) {
            JobFile.CableFile entry = file.cables().get(i);
            match.restore(made.get(i).id(), entry.ends());
            make.restore(made.get(i).id(), entry.making());
        }
        return job;
    }

    private JobFile parse(String text) throws RefusedException {
        try {
            JsonNode tree = JSON.readTree(text);
            List<String> unclean = JobFileCheck.unclean(tree, words);
            if (!unclean.isEmpty()) {
                throw new RefusedException(unclean.stream().limit(MOST_FAULTS).toList());
            }
            Schema schema = Objects.requireNonNull(schemas.get(JobFile.versionOf(tree)));
            List<Error> errors = schema.validate(JSON.writeValueAsString(tree), InputFormat.JSON);
            if (!errors.isEmpty()) {
                throw new RefusedException(errors.stream()
                        .limit(MOST_FAULTS)
                        .map(error -> error.getInstanceLocation() + ": " + error.getMessage())
                        .toList());
            }
            JobFile.upgrade(tree);
            return Objects.requireNonNull(JSON.treeToValue(tree, JobFile.class));
        } catch (JacksonException | IllegalArgumentException e) {
            throw new RefusedException(List.of(
                    e instanceof JacksonException json && json.getLocation() != null
                            ? words.of(
                                    "job-file.no-json-line", json.getLocation().getLineNr())
                            : words.of("job-file.no-json")));
        }
    }

    /** Cables of a job as CSV. */
    @Transactional(readOnly = true)
    public String csv(long jobId) {
        return CableCsv.write(cables.of(jobId).stream().map(Cable::details).toList());
    }

    /** What a CSV file holds for a job; nothing is kept. */
    @Transactional(readOnly = true)
    public CableCsv.Parsed preview(long jobId, String text) {
        List<Cable> all = cables.of(jobId);
        Set<String> used = new HashSet<>(tags.used(jobId));
        all.forEach(cable -> used.remove(Tags.fold(cable.details().tag())));
        return CableCsv.read(text, new CableCsv.Into(jobs.get(jobId).details(), all, used, terminals.of(jobId)));
    }

    /** Takes the cables of a CSV file, all of them or none; what is wrong with it otherwise. */
    public CableCsv.Parsed importCsv(long jobId, String text) {
        CableCsv.Parsed parsed = preview(jobId, text);
        if (parsed.faults().isEmpty()) {
            List<CableDetails> fresh = new ArrayList<>();
            Map<Long, CableDetails> changed = new LinkedHashMap<>();
            parsed.rows().forEach(row -> {
                if (row.id() == null) {
                    fresh.add(row.cable());
                } else {
                    changed.put(row.id(), row.cable());
                }
            });
            cables.importAll(jobId, fresh, changed);
        }
        return parsed;
    }
}
