package org.ulnaris.app.stock;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.shell.Entries;
import org.ulnaris.app.shell.Expected;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.fastening.Studs;
import org.ulnaris.core.measure.Range;
import org.ulnaris.core.measure.Unit;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugCatalogue;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;

/** The lugs to choose from: those that ship, and those that the person measured. */
@Service
@Transactional
public class StockService implements Undoes {
    private static final String KIND = "lug";

    private static final int LONGEST_CODE = 60;
    /** What an empty lug form shows. */
    public static final Map<String, String> FRESH = fresh();

    private static final Range CONDUCTORS = new Range(0, LugForm.MOST_CONDUCTORS);
    private static final Range ANGLE_DEG = new Range(-1e-6, 90);

    private final MeasuredLugRepository measured;
    private final ObjectProvider<LastSteps> steps;

    StockService(MeasuredLugRepository measured, ObjectProvider<LastSteps> steps) {
        this.measured = measured;
        this.steps = steps;
    }

    private static Map<String, String> fresh() {
        Map<String, String> fresh = new LinkedHashMap<>();
        for (String field : List.of("code", "outer", "bore", "depth", "padWidth", "hole", "pitch", "padMetal")) {
            fresh.put(field, "");
        }
        fresh.put("material", LugMaterial.COPPER.name());
        fresh.put("angle", "0");
        fresh.put("finish", "");
        fresh.put("window", "false");
        fresh.put("bellMouth", "false");
        fresh.put("conductors", "1");
        return Map.copyOf(fresh);
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
        String code = entries.text("code", LONGEST_CODE, true, "");
        LugMaterial material = entries.choice("material", LugMaterial.class, LugMaterial.COPPER);
        double outer = entries.quantity("outer", Unit.MM, Barrel.OUTER_MM, 10);
        double bore = entries.quantity("bore", Unit.MM, Barrel.BORE_MM, 5);
        double depth = entries.quantity("depth", Unit.MM, Barrel.DEPTH_MM, 20);
        double padWidth = entries.quantity("padWidth", Unit.MM, Lug.Pad.WIDTH_MM, 20);
        double hole = entries.quantity("hole", Unit.MM, Lug.Pad.HOLE_MM, 8);
        LugForm form = form(entries, material);
        if (entries.clean() && bore >= outer) {
            entries.fault("bore", Fault.Code.CONTRADICTS, Expected.of("below-barrel"));
        }
        if (entries.clean() && hole >= padWidth) {
            entries.fault("hole", Fault.Code.CONTRADICTS, Expected.of("below-pad"));
        }
        if (entries.clean() && taken.contains(CsvTable.fold(code))) {
            entries.fault("code", Fault.Code.TAKEN);
        }
        if (!entries.clean()) {
            return Optional.empty();
        }
        Barrel barrel = new Barrel(material, outer, bore, depth);
        String stud = Studs.thickestThrough(hole).map(s -> s.name()).orElse("");
        return Optional.of(Lug.measured(code, barrel, new Lug.Pad(padWidth, 2 * barrel.wallMm(), hole, stud), form));
    }

    /** Finish: "tinned" or "bare"; nothing said means tinned copper, bare aluminium. */
    private static LugForm form(Entries entries, LugMaterial material) {
        double angle = entries.quantity("angle", Unit.DEGREE, ANGLE_DEG, 0);
        if (!LugForm.ANGLES_DEG.contains((int) angle) || angle != (int) angle) {
            entries.fault("angle", Fault.Code.UNKNOWN_CHOICE, "0°, 45°, 90°");
            angle = 0;
        }
        Double pitch = entries.optionalQuantity("pitch", Unit.MM, LugForm.Holes.PITCH_MM, null);
        LugMaterial pad =
                entries.blank("padMetal") ? material : entries.choice("padMetal", LugMaterial.class, material);
        String finish = entries.text("finish", 12, false, "").toLowerCase(Locale.ROOT);
        if (!finish.isEmpty() && !finish.equals("tinned") && !finish.equals("bare")) {
            entries.fault("finish", Fault.Code.UNKNOWN_CHOICE, Expected.of("finish"));
        }
        boolean tinned = finish.isEmpty() ? pad == LugMaterial.COPPER : finish.equals("tinned");
        return new LugForm(
                (int) angle,
                new LugForm.Holes(pitch == null ? OptionalDouble.empty() : OptionalDouble.of(pitch)),
                new LugForm.Body(pad, tinned, entries.flag("window", false), entries.flag("bellMouth", false)),
                entries.count("conductors", CONDUCTORS, 1));
    }
}
