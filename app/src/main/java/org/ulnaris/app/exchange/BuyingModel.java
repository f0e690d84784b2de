package org.ulnaris.app.exchange;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.buying.ShoppingList;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.parts.Part;

/** Answer of {@code GET /api/v1/to-buy}: the list of the stock's page, what is there already with it. */
final class BuyingModel {
    private BuyingModel() {}

    /**
     * A part.
     *
     * @param part its name, as on the shelf's list
     * @param buy whole pieces or metres, so that {@code least} lies there afterwards
     * @param unit m or pieces
     * @param needed what the jobs still take
     * @param longestM the longest piece that is cut in one, m; 0 of what is not cut
     * @param there what lies there; null where it is not counted
     * @param users who takes it: tags by job
     */
    record LinePart(
            String part,
            Part.Kind kind,
            int buy,
            String unit,
            double needed,
            double longestM,
            @Nullable Integer there,
            int least,
            Map<String, List<String>> users) {
        static LinePart of(ShoppingList.Line line) {
            return new LinePart(
                    line.part().code(),
                    line.part().kind(),
                    line.buy(),
                    line.unit(),
                    line.pieces(),
                    line.longestM(),
                    line.there(),
                    line.least(),
                    line.users());
        }
    }

    /**
     * A cable or a piece whose parts may change, or are not all known.
     *
     * @param reason what stops it; null where it is only not known
     */
    record PlacePart(
            long jobId, String job, String tag, @Nullable FindingCode reason) {
        static PlacePart of(ShoppingList.Place place) {
            return new PlacePart(place.jobId(), place.job(), place.tag(), place.reason());
        }
    }

    /**
     * The list.
     *
     * @param settleFirst what is stopped: its parts may change
     * @param unknown cables of which not all parts are known
     * @param broken names of jobs that can't be worked out
     */
    record ToBuy(List<LinePart> parts, List<PlacePart> settleFirst, List<PlacePart> unknown, List<String> broken) {
        static ToBuy of(ShoppingList list) {
            return new ToBuy(
                    list.lines().stream().map(LinePart::of).toList(),
                    list.stopped().stream().map(PlacePart::of).toList(),
                    list.open().stream().map(PlacePart::of).toList(),
                    list.broken());
        }
    }
}
