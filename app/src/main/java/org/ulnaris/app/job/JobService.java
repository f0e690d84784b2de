package org.ulnaris.app.job;

import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.NotFoundException;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.rating.RuleSet;

/** Jobs: make, change, copy, archive, delete with undo. */
@Service
@Transactional
public class JobService {
    private final JobRepository jobs;
    private final Words words;
    private final ApplicationEventPublisher events;

    private final Clock clock;

    JobService(JobRepository jobs, Words words, ApplicationEventPublisher events, Clock clock) {
        this.words = words;
        this.clock = clock;
        this.jobs = jobs;
        this.events = events;
    }

    /** Jobs that are not deleted, newest first. */
    @Transactional(readOnly = true)
    public List<Job> all() {
        return jobs.findByDeletedAtIsNullOrderByCreatedAtDescIdDesc();
    }

    /**
     * The job {@code id}.
     *
     * @throws NotFoundException when there is none, or it is deleted
     */
    @Transactional(readOnly = true)
    public Job get(long id) {
        return jobs.findById(id).filter(job -> !job.deleted()).orElseThrow(() -> new NotFoundException("job " + id));
    }

    public Job create(JobDetails details) {
        return jobs.save(new Job(details, clock.instant()));
    }

    public Job change(long id, JobDetails details) {
        Job job = get(id);
        job.change(details);
        return jobs.saveAndFlush(job);
    }

    public Job rename(long id, String name) {
        Job job = get(id);
        return change(id, job.details().named(name));
    }

    /** A copy with all that belongs to the plan of the job; readings stay with the original. */
    public Job copy(long id) {
        Job original = get(id);
        String name = words.of("job.copy-of", original.details().name());
        String fitting = name.length() > JobDetails.LONGEST_NAME ? name.substring(0, JobDetails.LONGEST_NAME) : name;
        Job copy = jobs.saveAndFlush(new Job(original.details().named(fitting), clock.instant()));
        events.publishEvent(new JobCopied(id, copy.id()));
        return copy;
    }

    public void archive(long id, boolean archive) {
        get(id).archive(archive ? clock.instant() : null);
    }

    public Job delete(long id) {
        Job job = get(id);
        job.delete(clock.instant());
        return job;
    }

    public Job restore(long id) {
        Job job = jobs.findById(id).orElseThrow(() -> new NotFoundException("job " + id));
        job.delete(null);
        return job;
    }

    /** Reads a typed form over {@code standing}; faults stay in {@code entries}. */
    public static JobDetails read(Entries entries, JobDetails standing) {
        JobKind kind = entries.choice("kind", JobKind.class, standing.kind());
        double nominal = entries.quantity("voltage", Unit.VOLT, JobDetails.VOLTAGE_V, standing.nominalVoltageV());
        Double charging =
                entries.optionalQuantity("charging", Unit.VOLT, JobDetails.VOLTAGE_V, standing.chargingVoltageV());
        double chargingV = charging == null ? JobDetails.usualChargingV(nominal) : charging;
        if (entries.clean() && chargingV < nominal) {
            entries.fault("charging", Fault.Code.CONTRADICTS, Expected.of("from-nominal-voltage"));
        }
        return new JobDetails(
                entries.text("name", JobDetails.LONGEST_NAME, true, standing.name()),
                kind,
                nominal,
                chargingV,
                entries.choice("units", Units.class, standing.units()),
                entries.blank("ruleSet")
                        ? kind.usualRuleSet()
                        : entries.choice("ruleSet", RuleSet.class, standing.ruleSet()),
                standing.rules());
    }

    /** The text of each field of {@code details}, as a form shows it. */
    public static Map<String, String> texts(JobDetails details) {
        var fmt = new org.ulnaris.app.shell.Fmt(details.units());
        return Map.of(
                "name", details.name(),
                "kind", details.kind().name(),
                "voltage", fmt.entry(details.nominalVoltageV(), Unit.VOLT),
                "charging", fmt.entry(details.chargingVoltageV(), Unit.VOLT),
                "units", details.units().name(),
                "ruleSet", details.ruleSet().name());
    }
}
