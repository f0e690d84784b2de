package org.ulnaris.core.job;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.ulnaris.core.installation.OperatingCase;
import org.ulnaris.core.installation.Terminal;
import org.ulnaris.core.making.Shop;

/**
 * A whole job: all that its verdicts are worked out from.
 *
 * @param ground voltages, rules and surroundings
 * @param pieces its equipment
 * @param cables its cables, tags differ
 * @param cases what works together
 * @param shop what there is to choose from
 */
public record JobModel(
        Ground ground, List<Piece> pieces, List<CableModel> cables, List<OperatingCase> cases, Shop shop) {
    public JobModel {
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

    /** The terminals of all its equipment. */
    public Set<Terminal> terminals() {
        Set<Terminal> terminals = new HashSet<>();
        pieces.forEach(piece -> terminals.addAll(piece.device().terminals()));
        return terminals;
    }
}
