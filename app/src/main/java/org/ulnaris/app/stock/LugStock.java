package org.ulnaris.app.stock;

import java.util.Map;
import java.util.Set;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;

/** The lugs to choose from: those that ship, and those that the person measured. */
@Service
public class LugStock extends PartList<Lug, EnteredLug, MeasuredLug> {
    /** What an empty lug form shows. */
    public static final Map<String, String> FRESH = fresh(EnteredLug.FIELDS);

    LugStock(MeasuredLugRepository measured, ObjectProvider<LastSteps> steps) {
        super(
                new Kind<>(
                        "lug",
                        Lug.class,
                        LastSteps.LUGS,
                        LastSteps.What.LUGS,
                        LugCatalogue.shipped(),
                        new CsvTable<>(EnteredLug.FIELDS, Set.of()),
                        EnteredLug::of,
                        MeasuredLug::new),
                measured,
                steps);
    }
}
