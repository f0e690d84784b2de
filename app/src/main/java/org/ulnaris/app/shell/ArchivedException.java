package org.ulnaris.app.shell;

/** A change of a job that is archived: it is read only until it is taken out of the archive. */
public class ArchivedException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long jobId;

    public ArchivedException(long jobId) {
        super("this job is archived: take it out of the archive to change it");
        this.jobId = jobId;
    }

    public long jobId() {
        return jobId;
    }
}
