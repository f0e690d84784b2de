package org.ulnaris.app.plan;

import java.util.List;
import java.util.Map;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.core.making.CablePlan;

/** Plans and pictures of cables; made by the feature that matches their ends. */
public interface CablePictures {
    /** Both ends of a cable as planned. */
    CablePlan plan(Job job, Cable cable);

    /** The same for the cables of one job, by the cable's id. */
    Map<Long, CablePlan> plans(Job job, List<Cable> cables);

    /** The cable as a ribbon. */
    Drawing ribbon(Job job, Cable cable, CablePlan plan, boolean dimensions);
}
