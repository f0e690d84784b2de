package org.ulnaris.app.crib;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.reference.ReferenceTable;
import org.ulnaris.core.termination.LugMaterial;

/** The dies that the shop has. */
@Service
@Transactional
public class CribService {
    /** A die with the tool that it goes into. */
    public record Kept(Die die, String tool) {}

    private static final double FLATS_PER_CODE = 0.85;
    private static final double COMMON_WIDTH_MM = 5;

    private final CribDieRepository dies;

    CribService(CribDieRepository dies) {
        this.dies = dies;
    }

    /** All dies, small to large. */
    @Transactional(readOnly = true)
    public List<Kept> all() {
        return dies.findAllByOrderByAcrossFlatsMmAscTagAsc().stream()
                .map(row -> new Kept(row.die(), row.tool()))
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Die> dies() {
        return all().stream().map(Kept::die).toList();
    }

    @Transactional(readOnly = true)
    public boolean has(String tag) {
        return dies.findByTag(tag).isPresent();
    }

    public void add(Die die, String tool) {
        dies.saveAndFlush(new CribDie(die, tool));
    }

    /** Takes a die out; what it was, so that it can be put back. */
    public Optional<Kept> remove(String tag) {
        Optional<CribDie> row = dies.findByTag(tag);
        row.ifPresent(dies::delete);
        return row.map(r -> new Kept(r.die(), r.tool()));
    }

    /** Adds the hexagonal dies of DIN 46235 (0.85 × code, 5 mm wide) that are not there yet; how many. */
    public int addStandardSet(String tool) {
        List<Die> set = new ArrayList<>();
        for (ReferenceTable.Row row : ReferenceTable.load("din-46235.csv").rows()) {
            double flats = Figures.rounded(FLATS_PER_CODE * row.number("code"), 6);
            set.add(new Die("K" + row.text("code"), DieShape.HEX, flats, COMMON_WIDTH_MM, LugMaterial.COPPER));
        }
        List<Die> missing = set.stream().filter(die -> !has(die.tag())).toList();
        missing.forEach(die -> add(die, tool));
        return missing.size();
    }
}
