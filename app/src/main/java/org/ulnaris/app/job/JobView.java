package org.ulnaris.app.job;

/** A job as pages name it. */
public record JobView(
        long id, String name, JobKind kind, String voltage, String ruleSet, boolean archived, String units) {
    public static JobView of(Job job) {
        JobDetails details = job.details();
        return new JobView(
                job.id(),
                details.name(),
                details.kind(),
                job.fmt().volt(details.nominalVoltageV()),
                details.ruleSet().name(),
                job.archived(),
                details.units().name());
    }
}
