package org.ulnaris.app.plan;

import org.springframework.stereotype.Component;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.RibbonDrawer;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.job.CableModel;
import org.ulnaris.core.worked.WorkedCable;

/** Draws cables as ribbons. */
@Component
public class Ribbons {
    private final Words words;

    Ribbons(Words words) {
        this.words = words;
    }

    /** The cable with both ends to one scale. */
    public Drawing of(Job job, WorkedCable cable, boolean dimensions) {
        return of(job.fmt(), cable, dimensions);
    }

    /** The same in the units of {@code fmt}. */
    public Drawing of(Fmt fmt, WorkedCable cable, boolean dimensions) {
        return drawer(fmt, cable, dimensions)
                .ribbon(words.of(
                        "ribbon.label",
                        cable.tag(),
                        size(cable),
                        fmt.route(cable.cable().way().lengthM())));
    }

    /** A pen for the cable's drawings. */
    public RibbonDrawer drawer(Job job, WorkedCable cable, boolean dimensions) {
        return drawer(job.fmt(), cable, dimensions);
    }

    private String size(WorkedCable cable) {
        return cable.sizeSaid().orElseGet(() -> words.of("size.unsaid"));
    }

    private RibbonDrawer drawer(Fmt fmt, WorkedCable cable, boolean dimensions) {
        CableModel model = cable.cable();
        return new RibbonDrawer(
                cable.plan(),
                size(cable),
                fmt,
                Polarity.valueOf(model.pole().name()).css(),
                dimensions);
    }
}
