package org.ulnaris.app.shell;

/** What is kept of a job can't be worked out; a page of the shop shows it as a line with its fault and goes on. */
public class BrokenJobException extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final long jobId;

    public BrokenJobException(long jobId, RuntimeException cause) {
        super(String.valueOf(cause.getMessage()), cause);
        this.jobId = jobId;
    }

    public long jobId() {
        return jobId;
    }
}
