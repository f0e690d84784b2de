package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Units;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;

/** The lugs to choose from: those that ship, and those that the person measured. */
@Service
@Transactional
public class StockService implements Undoes {
    private static final String KIND = "lug";

    private static final Fmt FMT = new Fmt(Units.METRIC);

    /** What an empty lug form shows. */
    public static final Map<String, String> FRESH = EnteredLug.FIELDS.texts(EnteredLug.FIELDS.fresh(), FMT);

    private final MeasuredLugRepository measured;
    private final ObjectProvider<LastSteps> steps;

    StockService(MeasuredLugRepository measured, ObjectProvider<LastSteps> steps) {
        this.measured = measured;
        this.steps = steps;
    }

    /** Measured lugs first, then the shipped catalogue. */
    @Transactional(readOnly = true)
    public List<Lug> lugs() {
        List<Lug> lugs = new ArrayList<>(measured());
        lugs.addAll(LugCatalogue.shipped());
        return lugs;
    }

    @Transactional(readOnly = true)
    public List<Lug> measured() {
        return measured.findAllByOrderByCode().stream().map(MeasuredLug::lug).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Lug> lug(String code) {
        return lugs().stream().filter(lug -> lug.code().equals(code)).findFirst();
    }

    /** Codes of all lugs, folded: letters' case makes no difference. */
    @Transactional(readOnly = true)
    public Set<String> codes() {
        return lugs().stream().map(lug -> CsvTable.fold(lug.code())).collect(Collectors.toSet());
    }

    public void add(Lug lug) {
        measured.saveAndFlush(new MeasuredLug(lug));
    }

    /** Lugs of a file, as one step that can be taken back. */
    public void addAll(List<Lug> lugs) {
        measured.saveAllAndFlush(lugs.stream().map(MeasuredLug::new).toList());
        steps.getObject()
                .keep(
                        LastSteps.LUGS,
                        LastSteps.What.LUGS,
                        lugs.stream()
                                .map(lug -> Change.made(KIND, lug.code(), lug))
                                .toList());
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public boolean undo(Change change) {
        return measured.findByCode(change.key())
                .filter(row -> change.left(row.lug()))
                .flatMap(row -> remove(change.key()))
                .isPresent();
    }

    /** The text of each field of a lug, as a form shows it. */
    static Map<String, String> texts(Lug lug) {
        return EnteredLug.FIELDS.texts(EnteredLug.of(lug), FMT);
    }

    public Optional<Lug> remove(String code) {
        Optional<MeasuredLug> row = measured.findByCode(code);
        row.ifPresent(measured::delete);
        return row.map(MeasuredLug::lug);
    }

    /** Reads a lug from caliper readings; empty when {@code entries} has faults. */
    @Transactional(readOnly = true)
    public Optional<Lug> read(Entries entries) {
        return read(entries, codes());
    }

    /** The same where the codes {@code taken}, folded, are used already. */
    static Optional<Lug> read(Entries entries, Set<String> taken) {
        EnteredLug read = EnteredLug.FIELDS.read(entries, EnteredLug.FIELDS.fresh());
        read.check(entries, taken);
        return entries.clean() ? Optional.of(read.lug()) : Optional.empty();
    }
}
