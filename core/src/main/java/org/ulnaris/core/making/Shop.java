package org.ulnaris.core.making;

import java.util.List;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.tooling.Toolbox;

/**
 * What there is to choose from.
 *
 * @param lugs the catalogue
 * @param dies the crib
 * @param tubes heat-shrink
 * @param toolbox tools with the dies that they take
 */
public record Shop(List<Lug> lugs, List<Die> dies, List<ShrinkTube> tubes, Toolbox toolbox) {
    public Shop {
        lugs = List.copyOf(lugs);
        dies = List.copyOf(dies);
        tubes = List.copyOf(tubes);
    }
}
