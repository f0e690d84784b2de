package org.ulnaris.app.ribbon;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
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
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.making.Termination;
import org.ulnaris.core.sizing.Rung;
import org.ulnaris.core.termination.CutLength;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.WorkedCable;

/** What is written at each place of a cable that is its own navigation: what is there, and what the page tells of it. */
public final class CableMap {
    private final WorkedCable cable;
    private final Fmt fmt;
    private final Words words;
    private final Telling telling;
    private final double bendDiameters;

    public CableMap(WorkedCable cable, Fmt fmt, Words words, Telling telling, double bendDiameters) {
        this.cable = cable;
        this.fmt = fmt;
        this.words = words;
        this.telling = telling;
        this.bendDiameters = bendDiameters;
    }

    /** All of it: the run and every place of both ends. */
    public RibbonMap.Told told() {
        boolean like = telling.once() && cable.plan().sameCrimps();
        return new RibbonMap.Told(
                words.of("map.label", cable.tag()), end(Side.A), like ? like(Side.B) : end(Side.B), run());
    }

    /** In short, for a page that is of the run: each end with where it lands and with what. */
    public RibbonMap.Told brief() {
        return new RibbonMap.Told(words.of("map.label", cable.tag()), brief(Side.A), brief(Side.B), run());
    }

    private RibbonMap.End brief(Side side) {
        EndPlan plan = cable.plan().end(side);
        Telling.Place of = telling.of(side);
        String name = words.of("step.end", side.name());
        String sub = landing(plan) + " · " + first(plan, EndPart.LUG);
        RibbonMap.Label label = new RibbonMap.Label(name, sub, of.verdict(), link(written(name, sub), "", of, false));
        return new RibbonMap.End(label, new EnumMap<>(EndPart.class), "", false);
    }

    private RibbonMap.End end(Side side) {
        Map<EndPart, RibbonMap.Label> places = new EnumMap<>(EndPart.class);
        for (EndPart part : EndPart.values()) {
            label(side, part).ifPresent(label -> places.put(part, label));
        }
        return new RibbonMap.End(
                name(side, places, ""), places, "", telling.of(side).current());
    }

    /** An end that is crimped as the other is: only its lug and where it lands are its own, and what is wrong at one place alone. */
    private RibbonMap.End like(Side side) {
        boolean lug = !cable.plan().sameEnds();
        Map<EndPart, RibbonMap.Label> places = new EnumMap<>(EndPart.class);
        for (EndPart part : EndPart.values()) {
            boolean own = part == EndPart.STUD || part == EndPart.LUG && lug;
            label(side, part)
                    .filter(label -> own || label.verdict().asks())
                    .ifPresent(label -> places.put(part, label));
        }
        boolean clean = places.size() == (lug ? 2 : 1);
        String same = words.of(!clean ? "map.same.rest" : lug ? "map.same.crimp" : "map.same");
        return new RibbonMap.End(
                name(side, places, same), places, same, telling.of(side).current());
    }

    private RibbonMap.Label name(Side side, Map<EndPart, RibbonMap.Label> places, String same) {
        Telling.Place of = telling.of(side);
        String end = words.of("step.end", side.name());
        String name = of.text().isEmpty() ? end : end + ", " + of.text();
        boolean alone = places.values().stream().noneMatch(label -> label.link().current());
        return new RibbonMap.Label(name, "", of.verdict(), link(written(name, same), "", of, of.current() && alone));
    }

    private Optional<RibbonMap.Label> label(Side side, EndPart part) {
        String first = first(cable.plan().end(side), part);
        return telling.at(side, part, !first.isEmpty()).map(told -> {
            String place = first.isEmpty() ? words.name(part) : first;
            String where = words.of("step.end", side.name()) + ", " + words.name(part);
            Mark.Link link = link(written(place, told.text()), where, told, told.current());
            return new RibbonMap.Label(place, told.text(), told.verdict(), link);
        });
    }

    private static String written(String text, String sub) {
        return sub.isEmpty() ? text : text + " " + sub;
    }

    /** A press: what is written there, then its place for those who can't see its mark. */
    private Mark.Link link(String written, String where, Telling.Place to, boolean current) {
        String verdict = to.verdict().asks() ? ", " + words.name(to.verdict()) : "";
        return new Mark.Link(to.address(), written + (where.isEmpty() ? "" : ", " + where) + verdict, current);
    }

    private String first(EndPlan plan, EndPart part) {
        Termination end = plan.termination();
        return switch (part) {
            case STUD -> landing(plan);
            case LUG -> end == null ? words.of(cable.sizeSaid().isEmpty() ? "size.unsaid" : "match.none") : end.code();
            case CRIMP -> end == null ? "" : crimp(plan, end);
            case STRIP -> end == null ? "" : words.of("map.strip", fmt.bench(end.stripMm()));
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
                        fmt.bench(sleeve.cover().cutLengthMm()));
    }

    private RibbonMap.Run run() {
        Rung rung = cable.rung();
        List<String> subs = new ArrayList<>();
        if (cable.carried().known() && rung.ampacityA() > 0) {
            subs.add(words.of(
                    "map.drop",
                    fmt.percent(rung.dropPercent()),
                    fmt.percent(rung.check(FindingCode.DROP).finding().limit())));
        }
        CutLength cut = cable.plan().cutLength();
        if (cut != null) {
            subs.add(words.of("map.cut", fmt.bench(cut.cutMm())));
        }
        Optional<String> said = cable.sizeSaid();
        if (said.isPresent()) {
            subs.add(words.of("map.bend", fmt.small(cable.plan().bendRadiusMm(bendDiameters))));
        }
        String size = said.orElseGet(() -> words.of("size.unsaid"));
        String first = size + ", " + fmt.route(cable.cable().way().lengthM());
        Telling.Place told = telling.run();
        String written = written(written(first, told.text()), String.join(" ", subs));
        Mark.Link link = link(written, words.of("map.run"), told, told.current());
        return new RibbonMap.Run(new RibbonMap.Label(first, told.text(), told.verdict(), link), subs);
    }
}
