package org.ulnaris.app.make;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.job.Job;
import org.ulnaris.app.match.LugFacts;
import org.ulnaris.app.plan.CableDetails;
import org.ulnaris.app.ribbon.EndWords;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.Twist;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.DieShape;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.landing.LandingEnd;
import org.ulnaris.core.landing.LandingGroup;
import org.ulnaris.core.landing.LandingOrder;
import org.ulnaris.core.making.BuildStep;
import org.ulnaris.core.making.CablePlan;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.StepKind;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.proving.PullTable;
import org.ulnaris.core.rules.Practice;
import org.ulnaris.core.rules.Practices;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.worked.WorkedCable;

/** What the bench says at each step: the imperative, the figure that matters, notes, and the part of the drawing to light. */
public final class BenchGuide {
    private static final double KILOGRAM_FORCE_N = 9.80665;

    private final Job job;
    private final CableDetails cable;
    private final WorkedCable worked;
    private final LandingOrder landing;
    private final CablePlan plan;
    private final Words words;
    private final Fmt fmt;

    public BenchGuide(Job job, CableDetails cable, WorkedCable worked, LandingOrder landing, Words words) {
        this.job = job;
        this.landing = landing;
        this.cable = cable;
        this.worked = worked;
        this.plan = worked.plan();
        this.words = words;
        this.fmt = job.fmt();
    }

    /**
     * One step in words and figures.
     *
     * @param title short name, with the end
     * @param action imperative
     * @param figure the one figure that is to be made true; empty where there is none
     * @param aside what else to have in hand, in its ordinary size; may be empty
     * @param notes what else to know
     * @param lit class of the part of the drawing to light
     */
    public record Guide(String title, String action, String figure, String aside, List<String> notes, String lit) {}

    public Guide guide(BuildStep step) {
        String key = "step." + step.kind().name();
        String side = step.side() == null ? "" : step.side().name();
        String title = words.of(key) + (side.isEmpty() ? "" : " · " + words.of("step.end", side));
        Object[] parts = {
            side.isEmpty() ? "A" : side, cable.tag(), landing(step.side()), fmt.figure(PullTable.HOLD_S, "s")
        };
        MatchedContact contact = contact(step);
        Optional<String> own = contact == null
                ? Optional.empty()
                : words.find(key + ".do." + contact.contact().family(), parts);
        String action = own.orElseGet(() -> words.of(key + ".do", parts));
        return new Guide(title, action, figure(step), aside(step), notes(step), "lit-" + part(step.kind()));
    }

    private String landing(@Nullable Side side) {
        if (side == null) {
            return "";
        }
        String point = side == Side.A ? cable.fromPoint() : cable.toPoint();
        return point.isEmpty() ? words.of("step.landing", side.name()) : point;
    }

    private @Nullable EndPlan end(BuildStep step) {
        return step.side() == null ? null : plan.end(step.side());
    }

    private @Nullable MatchedLug match(BuildStep step) {
        EndPlan end = end(step);
        return end == null ? null : end.match();
    }

    private String figure(BuildStep step) {
        EndPlan end = end(step);
        CutLength cut = plan.cutLength();
        Termination any = termination(step);
        Crimp crimp = any == null ? null : any.crimp();
        return switch (step.kind()) {
            case CUT -> cut == null ? "—" : fmt.bench(cut.cutMm());
            case STRIP -> any == null ? "—" : fmt.bench(any.stripMm());
            case SHEATH -> fmt.bench(MatchedContact.SHEATH_MM);
            case NUT -> nut(step);
            case TRIAL_FIT -> any == null ? "—" : fmt.bench(any.reach().d());
            case CLOCK -> Fmt.turn(step.side() == Side.B ? plan.route().clockDeg() : 0);
            case CRIMP -> crimp == null ? contactDie(step) : EndWords.crimps(crimp);
            case MEASURE -> crimp == null ? "—" : fmt.small(crimp.die().acrossFlatsMm());
            case PULL -> pullForce().isEmpty() ? "—" : fmt.force(pullForce().getAsDouble());
            case SHRINK ->
                sleeve(any).map(cover -> fmt.bench(cover.cutLengthMm())).orElse("");
            case TORQUE -> torque(end);
            default -> "";
        };
    }

    private String torque(@Nullable EndPlan end) {
        TorqueSpec torque = end == null ? null : end.torque();
        return torque == null ? words.of("torque.ask") : fmt.torque(torque.nominalNm());
    }

    /** What names a part, or what is only looked at: nobody makes it true. */
    private String aside(BuildStep step) {
        EndPlan end = end(step);
        Termination any = termination(step);
        MatchedContact contact = contact(step);
        return switch (step.kind()) {
            case CHECK -> worked.sizeSaid().orElseGet(() -> words.of("size.unsaid"));
            case ORIENT, SEAT -> contact == null ? "" : contact.code();
            case MATE -> inOrder(step, contact == null ? "" : contact.code());
            case SOLDER ->
                contact == null ? "" : words.name(contact.fit().demand().method());
            case GAP -> any == null ? "" : words.of("bench.gap", fmt.bench(any.gapMm()));
            case LABEL -> cable.tag();
            case LAND -> inOrder(step, end == null ? "" : end.landing().stud().name());
            default -> "";
        };
    }

    /** What is landed, with its place in the job's order of landing. */
    private String inOrder(BuildStep step, String what) {
        if (step.side() == null) {
            return what;
        }
        LandingEnd place = landing.at(worked.tag(), step.side());
        return place.group() == LandingGroup.LOOSE
                ? what
                : words.of(
                        "bench.in-order", what, place.number(), landing.ends().size());
    }

    private static Optional<ShrinkChoice.Cover> sleeve(@Nullable Termination end) {
        ShrinkChoice sleeve = end == null ? null : end.sleeve();
        return sleeve == null ? Optional.empty() : Optional.of(sleeve.cover());
    }

    private @Nullable Termination termination(BuildStep step) {
        EndPlan end = end(step);
        return end == null ? null : end.termination();
    }

    private @Nullable MatchedContact contact(BuildStep step) {
        EndPlan end = end(step);
        return end == null ? null : end.contact();
    }

    private String nut(BuildStep step) {
        MatchedContact contact = contact(step);
        return contact == null || contact.contact().seat().nutNm().isEmpty()
                ? ""
                : fmt.torque(contact.contact().seat().nutNm().getAsDouble());
    }

    private String contactDie(BuildStep step) {
        MatchedContact contact = contact(step);
        if (contact == null) {
            return "—";
        }
        return contact.die() == null ? contact.code() : contact.die().tag();
    }

    private OptionalDouble pullForce() {
        return sized()
                ? PullTable.forceN(plan.cable().conductor(), job.details().pull())
                : OptionalDouble.empty();
    }

    /** Whether a size is said: without one what follows from the conductor is no figure of this cable. */
    private boolean sized() {
        return worked.sizeSaid().isPresent();
    }

    private List<String> notes(BuildStep step) {
        List<String> notes = new ArrayList<>();
        MatchedLug match = match(step);
        EndPlan end = end(step);
        Termination any = termination(step);
        ShrinkChoice sleeve = any == null ? null : any.sleeve();
        switch (step.kind()) {
            case CHECK -> checkNotes(notes);
            case CUT -> {
                CutLength cut = plan.cutLength();
                if (cut != null) {
                    notes.add(cut.explanation().text());
                }
            }
            case THREAD -> notes.addAll(threadOn());
            case STRANDS -> {
                if (sized()) {
                    notes.add(words.of("note.strands", plan.cable().usualStrands()));
                }
            }
            case CRIMP -> {
                Crimp crimp = any == null ? null : any.crimp();
                if (crimp != null) {
                    notes.add(words.of("note.crimp", LugFacts.positions(crimp, fmt)));
                    MatchedLug.Tooling tooling = match == null ? null : match.tooling();
                    if (tooling != null) {
                        notes.add(words.of("note.crimp.tool", tooling.tool().tag(), EndWords.fetch(tooling, words)));
                    }
                }
            }
            case CLOCK -> {
                notes.add(words.of(step.side() == Side.B ? "note.CLOCK.b" : "note.CLOCK.a"));
                if (sized()) {
                    double forgiven = Twist.forgivenDegrees(
                            plan.route().lengthMm(), plan.cable().outerMm());
                    notes.add(words.of("note.CLOCK.forgives", Figures.fixed(forgiven, 0)));
                }
            }
            case PULL ->
                pullForce()
                        .ifPresent(newton -> notes.add(words.of(
                                "note.pull",
                                Figures.fixed(newton / KILOGRAM_FORCE_N, 0),
                                PullTable.source(
                                                plan.cable().conductor(),
                                                job.details().pull())
                                        .text())));
            case SHRINK -> {
                ShrinkTube tube = sleeve == null ? null : sleeve.tube();
                if (tube != null) {
                    notes.add(words.of(
                            "note.shrink",
                            tube.name(),
                            words.of("colour." + cable.polarity().name())));
                }
            }
            case LAND -> {
                if (match != null) {
                    notes.add(words.of(
                            "note.land",
                            match.stack().layers().stream()
                                    .map(layer -> words.name(layer.part()))
                                    .collect(java.util.stream.Collectors.joining(" → "))));
                }
            }
            case TORQUE -> {
                TorqueSpec torque = end == null ? null : end.torque();
                if (end != null && torque != null) {
                    notes.add(fmt.torqueAll(torque.nominalNm()));
                    notes.add(words.of(
                            "note.torque",
                            fmt.torque(torque.minNm()),
                            fmt.torque(torque.maxNm()),
                            torque.source().text()));
                    String twin = LugFacts.twin(torque, end.landing().stud(), fmt, words);
                    if (!twin.isEmpty()) {
                        notes.add(twin);
                    }
                } else {
                    notes.add(words.of("torque.ask.why"));
                }
            }
            default -> {
                String key = "note." + step.kind().name();
                notes.add(words.of(key));
            }
        }
        practiceNotes(step, notes);
        return notes;
    }

    /** What the house does at this step where the trade has schools. */
    private void practiceNotes(BuildStep step, List<String> notes) {
        Practices house = job.details().rules().practices();
        for (Practice practice : practices(step)) {
            notes.add(words.of("practice." + practice + "." + house.of(practice) + ".do"));
        }
    }

    private List<Practice> practices(BuildStep step) {
        MatchedContact contact = contact(step);
        return switch (step.kind()) {
            case TRIAL_FIT -> contact == null ? List.of(Practice.LAY) : List.of();
            case CRIMP ->
                contact == null
                        ? List.of(Practice.PASSES)
                        : contact.contact().family().dies() == DieShape.OVAL ? List.of(Practice.FORMING) : List.of();
            case SEAT ->
                contact != null && contact.contact().family() == Family.STACKABLE ? List.of(Practice.PIN) : List.of();
            case LAND -> List.of(Practice.PASTE);
            case TORQUE -> List.of(Practice.CLICKS);
            case WITNESS -> List.of(Practice.WITNESS);
            case SHRINK -> List.of(Practice.HEAT);
            default -> List.of();
        };
    }

    private void checkNotes(List<String> notes) {
        for (Side side : Side.values()) {
            MatchedLug match = plan.end(side).match();
            MatchedContact contact = plan.end(side).contact();
            if (contact != null) {
                notes.add(words.of("note.check.contact", side.name(), contact.code()));
            } else if (match == null) {
                notes.add(words.of("note.check.none", side.name()));
            } else {
                String die = match.crimp() == null ? "—" : match.crimp().die().tag();
                ShrinkTube tube = match.shrink().tube();
                notes.add(
                        words.of("note.check", side.name(), match.lug().code(), die, tube == null ? "—" : tube.name()));
            }
        }
    }

    /** What must be on the cable before the first end is closed. */
    private List<String> threadOn() {
        List<String> parts = new ArrayList<>();
        for (Side side : Side.values()) {
            MatchedContact contact = plan.end(side).contact();
            if (contact != null && contact.contact().family() == Family.PV) {
                parts.add(words.of("note.thread.pv", side.name()));
            }
            Termination end = plan.end(side).termination();
            ShrinkChoice sleeve = end == null ? null : end.sleeve();
            if (sleeve != null && sleeve.tube() != null) {
                String key = sleeve.beforeLug() ? "note.thread.must" : "note.thread.may";
                parts.add(words.of(
                        key,
                        side.name(),
                        sleeve.tube().name(),
                        fmt.bench(sleeve.cover().cutLengthMm())));
            }
        }
        parts.add(words.of("note.thread.label"));
        return parts;
    }

    private static String part(StepKind kind) {
        return switch (kind) {
            case CHECK, CUT, THREAD, LABEL -> "cable";
            case STRIP, STRANDS, GAP -> "strip";
            case TRIAL_FIT, BRUSH, CLOCK, PULL -> "barrel";
            case CRIMP, MEASURE, LOOK -> "crimp";
            case SHRINK, SOLDER, NUT -> "shrink";
            case SHEATH -> "cable";
            case ORIENT, SEAT, MATE -> "pad";
            case LAND -> "pad";
            case TORQUE, WITNESS -> "hole";
        };
    }
}
