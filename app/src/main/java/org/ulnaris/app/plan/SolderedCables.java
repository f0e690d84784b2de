package org.ulnaris.app.plan;

import java.util.List;
import java.util.Set;

/** Which cables have a soldered end; known to the feature that keeps the ends. */
public interface SolderedCables {
    /** Tags of those of {@code cables} with solder at either end. */
    Set<String> among(List<Cable> cables);
}
