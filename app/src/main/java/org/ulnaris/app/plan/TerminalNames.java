package org.ulnaris.app.plan;

import java.util.Map;
import java.util.Set;

/** Terminals of a job's equipment that cables may join; known to the feature that keeps the equipment. */
public interface TerminalNames {
    /** As they are written: {@code TAG.terminal}. */
    Set<String> of(long jobId);

    /** What is said of them, where something is. */
    Map<String, TerminalSpec> specs(long jobId);
}
