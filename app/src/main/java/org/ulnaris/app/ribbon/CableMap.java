package org.ulnaris.app.ribbon;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.Mark;
import org.ulnaris.app.drawing.RibbonMap;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.WorkedCable;

/** What is written at each place of a cable that is its own navigation. */
public final class CableMap {
    private final long id;
    private final WorkedCable cable;
    private final Fmt fmt;
    private final Words words;
    private final @Nullable EndSpot spot;

    /** The map of the cable kept under {@code id} with {@code spot} pressed; null for the run. */
    public CableMap(long id, WorkedCable cable, Fmt fmt, Words words, @Nullable EndSpot spot) {
        this.id = id;
        this.cable = cable;
        this.fmt = fmt;
        this.words = words;
        this.spot = spot;
    }

    /** Both drawings of it: across for the desk, upright for a phone. */
    public RibbonMap.Told told() {
        return new RibbonMap.Told(
                words.of("map.label", cable.tag()),
                end(Side.A),
                cable.plan().sameCrimps() ? like(Side.B) : end(Side.B),
                run());
    }

    private boolean pressed(Side side) {
        return spot != null && spot.side() == side;
    }

    private RibbonMap.End end(Side side) {
        Map<EndPart, RibbonMap.Label> places = new EnumMap<>(EndPart.class);
        for (EndPart part : EndPart.values()) {
            label(side, part).ifPresent(label -> places.put(part, label));
        }
        return new RibbonMap.End(name(side, places), places, "", pressed(side));
    }

    /** An end that is crimped as the other is: only its lug and where it lands are its own, and what is wrong at one place alone. */
    private RibbonMap.End like(Side side) {
        boolean lug = !cable.plan().sameEnds();
        Map<EndPart, RibbonMap.Label> places = new EnumMap<>(EndPart.class);
        for (EndPart part : EndPart.values()) {
            boolean own = part == EndPart.STUD || part == EndPart.LUG && lug;
            if (own || worst(side, part).isPresent()) {
                label(side, part).ifPresent(label -> places.put(part, label));
            }
        }
        boolean clean = places.size() == (lug ? 2 : 1);
        String same = lug ? "map.same.crimp" : "map.same";
        return new RibbonMap.End(name(side, places), places, words.of(clean ? same : "map.same.rest"), pressed(side));
    }

    private RibbonMap.Label name(Side side, Map<EndPart, RibbonMap.Label> places) {
        String name = words.of("step.end", side.name());
        return new RibbonMap.Label(
                name,
                "",
                cable.verdict(side),
                new Mark.Link(
                        new EndSpot(side, null).address(id),
                        says(name, "", cable.verdict(side)),
                        pressed(side)
                                && !places.containsKey(
                                        Objects.requireNonNull(spot).part())));
    }

    /** The worst that is said of a place, where it asks for something. */
    private Optional<JobFinding> worst(Side side, EndPart part) {
        return cable.at(side, part).stream()
                .filter(said -> said.verdict().asks())
                .min(JobFinding.WORST_FIRST);
    }

    private Optional<RibbonMap.Label> label(Side side, EndPart part) {
        EndPlan plan = cable.plan().end(side);
        String first = first(plan, part);
        Optional<JobFinding> worst = worst(side, part);
        if (first.isEmpty() && worst.isEmpty()) {
            return Optional.empty();
        }
        String sub = worst.map(
                        said -> words.of("finding." + said.finding().code().name()))
                .orElseGet(() -> sub(plan, part));
        Verdict verdict = worst.map(JobFinding::verdict).orElse(Verdict.PASS);
        String place = first.isEmpty() ? words.name(part) : first;
        String says = says(words.of("step.end", side.name()) + ", " + words.name(part) + ": " + place, sub, verdict);
        return Optional.of(new RibbonMap.Label(
                place,
                sub,
                verdict,
                new Mark.Link(new EndSpot(side, part).address(id), says, new EndSpot(side, part).equals(spot))));
    }

    /** A place for those who can't see its mark. */
    private String says(String place, String sub, Verdict verdict) {
        return place + (sub.isEmpty() ? "" : ", " + sub) + (verdict.asks() ? ", " + words.name(verdict) : "");
    }

    private String first(EndPlan plan, EndPart part) {
        Termination end = plan.termination();
        return switch (part) {
            case STUD -> landing(plan);
            case LUG -> end == null ? words.of("match.none") : end.code();
            case CRIMP -> end == null ? "" : crimp(plan, end);
            case STRIP -> end == null ? "" : words.of("map.strip", fmt.small(end.stripMm()));
            case SLEEVE -> sleeve(end == null ? null : end.sleeve());
        };
    }

    private String landing(EndPlan plan) {
        if (plan.contact() != null && !plan.contact().contact().family().landed()) {
            return words.of(plan.contact().contact().family().mates() ? "map.face" : "map.joint");
        }
        String stud = plan.landing().stud().name();
        TorqueSpec torque = plan.torque();
        return stud + ", " + (torque == null ? words.of("map.torque.ask") : fmt.torque(torque.nominalNm()));
    }

    private String crimp(EndPlan plan, Termination end) {
        Crimp crimp = end.crimp();
        if (crimp != null) {
            return EndWords.crimps(crimp);
        }
        MatchedContact contact = plan.contact();
        if (contact != null && !contact.contact().family().crimped()) {
            return words.name(contact.fit().demand().method());
        }
        Die die = contact == null ? null : contact.die();
        return die == null ? words.of("match.nodie") : die.tag();
    }

    private String sleeve(@Nullable ShrinkChoice sleeve) {
        return sleeve == null || sleeve.tube() == null
                ? ""
                : words.of(
                        "map.sleeve",
                        sleeve.tube().name(),
                        fmt.small(sleeve.cover().cutLengthMm()));
    }

    private String sub(EndPlan plan, EndPart part) {
        Termination end = plan.termination();
        MatchedLug lug = plan.match();
        return switch (part) {
            case STUD -> cable.cable().points().at(plan.side());
            case LUG -> end == null ? "" : EndWords.onShelf(plan.handy(), end.code(), words);
            case CRIMP -> lug == null || lug.tooling() == null ? "" : EndWords.fetch(lug.tooling(), words);
            case STRIP -> end == null || !(end.gapMm() > 0) ? "" : words.of("map.gap", fmt.small(end.gapMm()));
            case SLEEVE -> {
                ShrinkChoice sleeve = end == null ? null : end.sleeve();
                yield sleeve == null ? "" : words.of(sleeve.beforeLug() ? "map.sleeve.before" : "map.sleeve.after");
            }
        };
    }

    private RibbonMap.Run run() {
        Rung rung = cable.rung();
        List<JobFinding> ends = new ArrayList<>(cable.at(Side.A));
        ends.addAll(cable.at(Side.B));
        Optional<JobFinding> worst = cable.findings().stream()
                .filter(said -> said.verdict().asks() && !ends.contains(said))
                .min(JobFinding.WORST_FIRST);
        List<String> subs = new ArrayList<>();
        String length = fmt.route(cable.cable().way().lengthM());
        String current = fmt.current(cable.carried().currentA());
        String ampacity = fmt.current(rung.ampacityA());
        boolean known = cable.carried().known() && rung.ampacityA() > 0;
        if (known) {
            subs.add(words.of(
                    "map.drop",
                    fmt.percent(rung.dropPercent()),
                    fmt.percent(rung.check(FindingCode.DROP).finding().limit())));
        }
        CutLength cut = cable.plan().cutLength();
        if (cut != null) {
            subs.add(words.of("map.cut", fmt.small(cut.cutMm())));
        }
        subs.add(words.of("map.bend", fmt.small(cable.plan().bendRadiusMm())));
        String first = rung.size().designation() + ", " + length;
        String sub = worst.map(
                        said -> words.of("finding." + said.finding().code().name()))
                .orElse(known ? words.of("map.current", current, ampacity) : "");
        Verdict verdict = worst.map(JobFinding::verdict).orElse(Verdict.PASS);
        return new RibbonMap.Run(
                new RibbonMap.Label(
                        first,
                        sub,
                        verdict,
                        new Mark.Link(
                                "/cables/" + id + "/plan",
                                says(words.of("map.run", first), sub, verdict),
                                spot == null)),
                subs);
    }
}
