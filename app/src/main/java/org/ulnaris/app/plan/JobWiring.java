package org.ulnaris.app.plan;

import java.util.Map;
import java.util.Set;

/** What a job's equipment means to its cables; known to the feature that keeps the equipment. */
public interface JobWiring {
    /** Terminals that cables may join, as they are written: {@code TAG.terminal}. */
    Set<String> of(long jobId);

    /** What is said of them, where something is. */
    Map<String, TerminalSpec> specs(long jobId);
}
