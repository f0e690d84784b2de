package org.ulnaris.app.plan;

import java.util.Map;

/**
 * The cables of a job were copied with it.
 *
 * @param copies the copy by the original's id
 */
public record CablesCopied(Map<Long, Long> copies) {}
