package org.ulnaris.app.picture;

import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.loads.EquipmentDetails;
import org.ulnaris.app.loads.LoadsService;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.worked.WorkedJob;

/** The picture of a job with the place of every end in the order of landing. */
@Component
public class LandingPicture {
    private final LoadsService loads;
    private final Words words;

    LandingPicture(LoadsService loads, Words words) {
        this.loads = loads;
        this.words = words;
    }

    /** The picture of {@code job}, of a large one the part of the next end; a press on a number leads to its line in the list. */
    public Drawing of(Job job, WorkedJob worked, LandingOrder order) {
        Map<String, String> names = loads.details(job.id()).stream()
                .collect(Collectors.toMap(EquipmentDetails::tag, EquipmentDetails::name));
        String next = order.next().map(LandingEnd::cable).orElse("");
        PictureDrawing.Subject subject = new PictureDrawing.Subject(
                worked,
                names,
                null,
                Spot.whole(job.id(), 1),
                PictureParts.of(worked).around(next, job.id()));
        return PictureDrawing.numbered(subject, order, job.fmt(), words);
    }

    /** Whether the picture shows a part only. */
    public boolean isByPart(WorkedJob worked) {
        return !PictureDrawing.parts(worked).isEmpty();
    }
}
