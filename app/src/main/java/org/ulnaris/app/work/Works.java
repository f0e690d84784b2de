package org.ulnaris.app.work;

import org.ulnaris.core.worked.WorkedJob;

/** Jobs worked out. Every page, list, sheet, file and answer that shows a verdict reads it from here. */
public interface Works {
    /**
     * The job {@code jobId} as it stands, in a transaction with what that has changed so far.
     *
     * @throws org.ulnaris.app.shell.NotFoundException when there is none, or it is deleted
     */
    WorkedJob of(long jobId);
}
