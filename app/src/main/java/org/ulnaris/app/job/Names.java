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

    /**
     * A thing of any job.
     *
     * @param jobId its job
     * @param tag its tag
     */
    record Named(long jobId, String tag) {}

    /** What kind of things these are, as {@link Name#kind} says it. */
    String namedKind();

    /** Those of all jobs whose tag holds {@code part}, folded by {@link Tags#fold}; not more than a person can look through. */
    List<Named> named(String part);
}
