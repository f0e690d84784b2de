package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.ulnaris.app.crib.CribService;
import org.ulnaris.app.drawing.ClockDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.plan.Cable;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.plan.CableService;
import org.ulnaris.app.plan.CablesCopied;
import org.ulnaris.app.plan.JobWiring;
import org.ulnaris.app.plan.TerminalSpec;
import org.ulnaris.app.shell.Words;
import org.ulnaris.app.stock.ContactStock;
import org.ulnaris.app.stock.LugStock;
import org.ulnaris.app.stock.Shelf;
import org.ulnaris.app.undo.Change;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.app.undo.Undoes;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Shop;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.WorkedJob;

/** Ends of cables: looks up what the planner needs, keeps what the person says. */
@Service
@Transactional
public class MatchService implements Undoes {
    private static final String KIND = "end";

    private final EndSpecRepository specs;
    private final LugStock stock;
    private final ContactStock contacts;
    private final Shelf shelf;
    private final CribService crib;
    private final JobWiring terminals;
    private final CableService cables;
    private final Words words;
    private final ObjectProvider<LastSteps> steps;

    MatchService(
            EndSpecRepository specs,
            LugStock stock,
            ContactStock contacts,
            Shelf shelf,
            CribService crib,
            JobWiring terminals,
            CableService cables,
            Words words,
            ObjectProvider<LastSteps> steps) {
        this.steps = steps;
        this.cables = cables;
        this.contacts = contacts;
        this.shelf = shelf;
        this.terminals = terminals;
        this.specs = specs;
        this.stock = stock;
        this.crib = crib;
        this.words = words;
    }

    /**
     * An end.
     *
     * @param said whether somebody has said what it ends with
     */
    public record Kept(EndDetails details, boolean said) {}

    /** The end as it was entered; before that, as the terminal where it lands is. */
    @Transactional(readOnly = true)
    public Kept end(Cable cable, Side side) {
        return specs.findByCableIdAndSide(cable.id(), side)
                .map(spec -> new Kept(spec.details(), true))
                .orElseGet(() -> new Kept(fresh(cable, side, terminals.specs(cable.jobId())), false));
    }

    private static EndDetails fresh(Cable cable, Side side, Map<String, TerminalSpec> landings) {
        CableDetails details = cable.details();
        TerminalSpec landing = landings.get(side == Side.A ? details.fromPoint() : details.toPoint());
        return landing == null
                ? EndDetails.FRESH
                : new EndDetails(
                        landing.stud(),
                        landing.torqueNm(),
                        landing.torqueMinNm(),
                        landing.torqueMaxNm(),
                        landing.clearWidthMm(),
                        landing.studLengthMm(),
                        null,
                        null,
                        null,
                        null);
    }

    public Kept change(long cableId, Side side, EndDetails details) {
        EndSpec spec = specs.findByCableIdAndSide(cableId, side).orElseGet(() -> new EndSpec(cableId, side, details));
        spec.change(details);
        EndSpec saved = specs.saveAndFlush(spec);
        return new Kept(saved.details(), true);
    }

    /** Gives the other end the same lug, dies and contact; where it lands stays its own. */
    void pickForBoth(Cable cable, Side side, EndDetails picked) {
        Side other = side.other();
        EndDetails now = end(cable, other).details();
        EndDetails then = now.as(picked);
        change(cable.id(), side, picked);
        if (!then.equals(now)) {
            change(cable.id(), other, then);
        }
    }

    /** Changes an end as a part of a step that can be taken back. */
    public Change changed(Cable cable, Side side, EndDetails then) {
        Kept kept = end(cable, side);
        change(cable.id(), side, then);
        return new Change(
                KIND,
                cable.id() + " " + side,
                kept.said() ? LastSteps.json(kept.details()) : null,
                LastSteps.json(then));
    }

    /** Keeps what a job file tells of the ends of a cable of which nothing is said yet. */
    public void restore(long cableId, Map<Side, EndDetails> ends) {
        specs.saveAll(ends.entrySet().stream()
                .map(end -> new EndSpec(cableId, end.getKey(), end.getValue()))
                .toList());
    }

    /** Everything but tube lugs that an end may get. */
    @Transactional(readOnly = true)
    List<Contact> contacts() {
        return contacts.all();
    }

    /** Copies what was picked for an end to all like ends of {@code worked}, its job; how many were changed. */
    public int spread(WorkedJob worked, Cable from, Side side) {
        EndDetails picked = end(from, side).details();
        Optional<String> size = worked.cable(from.details().tag()).sizeSaid();
        List<Change> changes = new ArrayList<>();
        for (Cable cable : cables.of(from.jobId())) {
            boolean alike = worked.cable(cable.details().tag()).sizeSaid().equals(size);
            for (Side other : alike ? Side.values() : new Side[0]) {
                EndDetails now = end(cable, other).details();
                EndDetails then = now.as(picked);
                boolean landed = picked.contact() != null || now.stud().equals(picked.stud());
                boolean kind = (now.contact() == null) == (picked.contact() == null);
                if (landed && kind && !then.equals(now)) {
                    changes.add(changed(cable, other, then));
                }
            }
        }
        steps.getObject().keep(LastSteps.job(from.jobId()), LastSteps.What.LIKE_ENDS, changes);
        return changes.size();
    }

    @Override
    public String kind() {
        return KIND;
    }

    @Override
    public @Nullable String now(String key) {
        return said(key).map(spec -> LastSteps.json(spec.details())).orElse(null);
    }

    /** An end of which nothing was said is forgotten again. */
    @Override
    public boolean set(String key, @Nullable String thing) {
        if (thing == null) {
            said(key).ifPresent(specs::delete);
            specs.flush();
        } else {
            String[] end = key.split(" ");
            change(Long.parseLong(end[0]), Side.valueOf(end[1]), LastSteps.read(thing, EndDetails.class));
        }
        return true;
    }

    private Optional<EndSpec> said(String key) {
        String[] end = key.split(" ");
        return specs.findByCableIdAndSide(Long.parseLong(end[0]), Side.valueOf(end[1]));
    }

    /** Both ends of each cable of a job, by the cable's id. */
    @Transactional(readOnly = true)
    public Map<Long, Map<Side, Kept>> ends(long jobId, List<Cable> all) {
        Map<Long, Map<Side, Kept>> ends = new HashMap<>();
        for (EndSpec spec : specs.findByCableIdIn(all.stream().map(Cable::id).toList())) {
            ends.computeIfAbsent(spec.cableId(), id -> new EnumMap<>(Side.class))
                    .put(spec.side(), new Kept(spec.details(), true));
        }
        Map<String, TerminalSpec> landings = terminals.specs(jobId);
        for (Cable cable : all) {
            Map<Side, Kept> own = ends.computeIfAbsent(cable.id(), id -> new EnumMap<>(Side.class));
            for (Side side : Side.values()) {
                own.computeIfAbsent(side, missing -> new Kept(fresh(cable, missing, landings), false));
            }
        }
        return ends;
    }

    /** What there is to choose from. */
    @Transactional(readOnly = true)
    public Shop shop() {
        Shop.Catalogues catalogues = new Shop.Catalogues(stock.all(), contacts.all(), ShrinkTube.shipped());
        return new Shop(catalogues, crib.toolbox(), shelf.ends());
    }

    /** How the two lugs stand to one another, seen from B; empty where an end has no lug. */
    public Optional<Drawing> clockDrawing(CablePlan plan) {
        MatchedLug a = plan.a().match();
        MatchedLug b = plan.b().match();
        return a == null || b == null
                ? Optional.empty()
                : Optional.of(ClockDrawer.of(
                        a, b, plan.route().clockDeg(), new ClockDrawer.Captions("A", "B", words.of("clock.label"))));
    }

    @EventListener
    void copyEnds(CablesCopied copied) {
        Map<Long, Long> copies = copied.copies();
        specs.saveAll(specs.findByCableIdIn(List.copyOf(copies.keySet())).stream()
                .map(spec ->
                        new EndSpec(Objects.requireNonNull(copies.get(spec.cableId())), spec.side(), spec.details()))
                .toList());
    }
}
