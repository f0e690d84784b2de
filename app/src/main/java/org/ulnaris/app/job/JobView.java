package org.ulnaris.app.job;

import org.springframework.web.util.UriComponentsBuilder;

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

    /** Where the picture of a job shows what was just brought back, and whether it is called otherwise now. */
    public static String broughtBack(long jobId, String tag, boolean renamed) {
        return UriComponentsBuilder.fromPath("/jobs/{id}")
                .queryParam("at", "{tag}")
                .queryParam("renamed", renamed)
                .encode()
                .buildAndExpand(jobId, tag)
                .toUriString();
    }
}
