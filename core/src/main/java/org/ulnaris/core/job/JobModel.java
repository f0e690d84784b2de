package org.ulnaris.core.job;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.record.CableRecord;

/**
 * A whole job: all that its verdicts are worked out from.
 *
 * @param ground voltages, rules and surroundings
 * @param pieces its equipment
 * @param cables its cables, tags differ
 * @param cases what works together
 * @param shop what there is to choose from
 * @param records what the bench has kept, by the cable's tag; a cable of which nothing is made has none
 */
public record JobModel(
        Ground ground,
        List<Piece> pieces,
        List<CableModel> cables,
        List<OperatingCase> cases,
        Shop shop,
        Map<String, CableRecord> records) {
    public JobModel {
        records = Map.copyOf(records);
        pieces = List.copyOf(pieces);
        cables = List.copyOf(cables);
        cases = List.copyOf(cases);
        Set<String> tags = new HashSet<>();
        for (CableModel cable : cables) {
            if (!tags.add(cable.tag().toUpperCase(Locale.ROOT))) {
                throw new IllegalArgumentException("two cables are tagged '" + cable.tag() + "'");
            }
        }
    }

    /** A job of which nothing is made. */
    public JobModel(Ground ground, List<Piece> pieces, List<CableModel> cables, List<OperatingCase> cases, Shop shop) {
        this(ground, pieces, cables, cases, shop, Map.of());
    }

    /** What the bench has kept of the cable {@code tag}. */
    public CableRecord record(String tag) {
        return records.getOrDefault(tag, CableRecord.NONE);
    }

    /** The terminals of all its equipment. */
    public Set<Terminal> terminals() {
        Set<Terminal> terminals = new HashSet<>();
        pieces.forEach(piece -> terminals.addAll(piece.device().terminals()));
        return terminals;
    }
}
