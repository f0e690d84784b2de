package org.ulnaris.app.match;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.SolderedCables;

/** Tells which cables have a soldered end, by how their contacts are joined. */
@Component
class SolderedEnds implements SolderedCables {
    private final EndSpecRepository specs;

    SolderedEnds(EndSpecRepository specs) {
        this.specs = specs;
    }

    @Override
    @Transactional(readOnly = true)
    public Set<String> among(List<Cable> cables) {
        Set<Long> soldered = specs
                .findByCableIdIn(cables.stream().map(Cable::id).toList())
                .stream()
                .filter(spec -> {
                    ContactChoice contact = spec.details().contact();
                    return contact != null && contact.joinMethod().soldered();
                })
                .map(EndSpec::cableId)
                .collect(Collectors.toSet());
        return cables.stream()
                .filter(cable -> soldered.contains(cable.id()))
                .map(cable -> cable.details().tag())
                .collect(Collectors.toSet());
    }
}
