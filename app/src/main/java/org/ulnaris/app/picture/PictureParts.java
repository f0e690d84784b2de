package org.ulnaris.app.picture;

import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Parts;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.job.Piece;
import org.ulnaris.core.worked.WorkedJob;

/**
 * The parts of a job's picture.
 *
 * @param all in which it is drawn; none where all of it is drawn at once
 * @param sources tags of its banks
 */
record PictureParts(List<Parts.Part> all, List<String> sources) {
    static PictureParts of(WorkedJob job) {
        List<String> banks = job.model().pieces().stream()
                .map(Piece::device)
                .filter(Device.Bank.class::isInstance)
                .map(Device::tag)
                .toList();
        return new PictureParts(PictureDrawing.parts(job), banks);
    }

    /** The part that {@code spot} asks for, and that shows what is open; else that in which it is; else that of the first bank. */
    Parts.@Nullable Part shown(Spot spot) {
        if (all.isEmpty()) {
            return null;
        }
        String open = spot.at().isEmpty()
                ? Terminal.read(spot.from()).map(Terminal::device).orElse("")
                : spot.at();
        boolean asked = spot.part() >= 1 && spot.part() <= all.size();
        if (asked && (spot.at().isEmpty() || shows(all.get(spot.part() - 1), spot.at()))) {
            return all.get(spot.part() - 1);
        }
        return first(part -> part.joints().contains(open) || part.hub().equals(open) && !open.isEmpty())
                .or(() -> first(part -> part.pieces().contains(open)))
                .or(() -> first(part -> sources.stream().anyMatch(part.pieces()::contains)))
                .orElse(all.get(0));
    }

    /** The same for the cable {@code tag}. */
    Parts.@Nullable Part around(String tag, long jobId) {
        return shown(Spot.whole(jobId, 1).open(tag));
    }

    private static boolean shows(Parts.Part part, String tag) {
        return part.joints().contains(tag) || part.pieces().contains(tag);
    }

    private Optional<Parts.Part> first(Predicate<Parts.Part> which) {
        return all.stream().filter(which).findFirst();
    }
}
