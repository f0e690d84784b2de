package org.ulnaris.app.job;

import java.util.List;

/** A feature that gives things of a job their tags. */
public interface Names {
    /**
     * A thing with its tag.
     *
     * @param kind what kind of thing; with {@code id} it tells things apart
     */
    record Name(String kind, long id, String tag) {}

    /** All that bear a tag in a job and are not deleted. */
    List<Name> names(long jobId);
}
