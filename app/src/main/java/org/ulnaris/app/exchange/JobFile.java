package org.ulnaris.app.exchange;

import java.util.List;
import java.util.Map;
import org.ulnaris.app.job.JobDetails;
import org.ulnaris.app.make.MakingFile;
import org.ulnaris.app.match.EndDetails;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.core.making.Side;

/**
 * A job as JSON: docs/formats/job-1.schema.json.
 *
 * @param format always {@value #FORMAT}
 * @param version always {@value #VERSION}
 */
public record JobFile(String format, int version, JobDetails job, List<CableFile> cables) {
    public static final String FORMAT = "ulnaris-job";
    public static final int VERSION = 1;

    /** A cable with its ends and its making. */
    public record CableFile(CableDetails cable, Map<Side, EndDetails> ends, MakingFile making) {}
}
