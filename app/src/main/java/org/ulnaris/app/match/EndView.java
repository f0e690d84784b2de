package org.ulnaris.app.match;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.FacePairDrawer;
import org.ulnaris.app.drawing.FootprintDrawer;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Merge;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.worked.EndPart;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.SharedStuds;
import org.ulnaris.core.worked.WorkedCable;

/**
 * One end as the match page shows it.
 *
 * @param known what is said of its landing, in one line
 * @param lugs the ranked lugs
 * @param dies every die with what it would do
 * @param coin section of the crimp, before and after; null without lug or die
 * @param lengthwise the barrel cut along its axis; null without lug or die
 * @param asking of each place, by the name of its {@link EndPart}, what is said that asks for something
 * @param above the lug on its stud, from above; null without a lug
 */
public record EndView(
        Side side,
        String began,
        Map<String, String> typed,
        Map<String, Fault> faults,
        String known,
        Verdict verdict,
        @Nullable String lugCode,
        boolean lugByHand,
        @Nullable String dieTag,
        boolean dieByHand,
        List<Choice> lugs,
        List<Choice> dies,
        @Nullable Coin coin,
        @Nullable Drawing lengthwise,
        @Nullable Drawing above,
        String compaction,
        List<Fact> facts,
        List<Layer> stack,
        List<FindingView> findings,
        Map<String, List<FindingView>> asking,
        @Nullable ContactView contact) {
    private static final List<String> LANDING = List.of("torque", "torqueMin", "torqueMax", "clear", "studLength");
    private static final List<String> ROOM =
            List.of("leave", "wallReach", "neighbour", "headroom", "second", "conductors");

    /** Whether it lands on a stud. */
    public boolean landed() {
        return contact == null || contact.onStud();
    }

    /** The figures of some places of the end, by the names of {@link EndPart}. */
    public List<Fact> factsAt(String... parts) {
        List<String> wanted = List.of(parts);
        return facts.stream()
                .filter(fact -> wanted.contains(fact.part().name()))
                .toList();
    }

    /** Fields of its landing that are folded away. */
    public List<String> around() {
        return contact == null ? Stream.concat(LANDING.stream(), ROOM.stream()).toList() : LANDING;
    }

    private static String known(Map<String, String> typed, Words words) {
        return Stream.concat(LANDING.stream(), ROOM.stream())
                .filter(field -> !typed.getOrDefault(field, "").isBlank())
                .filter(field -> !(field.equals("conductors") && "1".equals(typed.get(field))))
                .map(field -> words.field(field) + " " + typed.get(field))
                .collect(Collectors.joining(" · "));
    }

    /** The section on two sheets that lie over one another. */
    public record Coin(Drawing before, Drawing after) {}

    /** One part of the hardware stack. */
    public record Layer(String part, String height) {}

    static EndView of(WorkedCable cable, Side side, MatchService.Kept kept, Typed typed, Shown shown) {
        EndPlan plan = cable.plan().end(side);
        List<JobFinding> said = cable.at(side);
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        MatchedContact contact = plan.contact();
        MatchedLug match = plan.match();
        Crimp crimp = plan.termination() == null ? null : plan.termination().crimp();
        Die die = contact == null ? null : contact.die();
        String lug = match == null ? null : match.lug().code();
        return new EndView(
                plan.side(),
                typed.began(),
                typed.texts(),
                typed.faults(),
                known(typed.texts(), words),
                cable.verdict(side),
                lug,
                kept.details().lugCode() != null,
                crimp != null ? crimp.die().tag() : die == null ? null : die.tag(),
                kept.details().dieTag() != null,
                EndChoices.lugRows(plan, lug, shown),
                EndChoices.dieRows(plan, crimp, shown),
                crimp == null
                        ? null
                        : new Coin(
                                new CoinDrawer(crimp).before(words.of("coin.before")),
                                new CoinDrawer(crimp)
                                        .after(words.of("coin.label", Figures.fixed(crimp.compaction(), 2)))),
                crimp == null
                        ? null
                        : new CoinDrawer(crimp)
                                .lengthwise(shown.outerMm(), shown.bundleMm(), words.of("coin.lengthwise")),
                match == null
                        ? null
                        : FootprintDrawer.of(match.lug(), plan.landing(), shown.outerMm(), words.of("footprint.label")),
                crimp == null ? "—" : Figures.fixed(crimp.compaction(), 2),
                contact != null
                        ? ContactFacts.of(contact, shown)
                        : match == null ? List.of() : LugFacts.of(match, plan, shown),
                match == null ? List.of() : stack(match.stack(), fmt, words),
                said.stream().map(one -> words.view(one.finding(), fmt)).toList(),
                said.stream()
                        .filter(one -> one.verdict().asks())
                        .sorted(JobFinding.WORST_FIRST)
                        .collect(Collectors.groupingBy(
                                one -> EndPart.of(one).name(),
                                Collectors.mapping(one -> words.view(one.finding(), fmt), Collectors.toList()))),
                contact == null ? null : ContactView.of(plan, contact, kept, shown));
    }

    /**
     * What the page is shown with.
     *
     * @param facing how a pair of connectors lies in this house
     * @param cable its diameters
     * @param shared the stud that the end shares with other cables; null when it has it alone
     */
    record Shown(
            Fmt fmt,
            Words words,
            FacePairDrawer.Facing facing,
            CableGeometry cable,
            SharedStuds.@Nullable Shared shared) {
        double outerMm() {
            return cable.outerMm();
        }

        double bundleMm() {
            return cable.bundleMm();
        }
    }

    /**
     * What stands in the fields, with what is wrong with it.
     *
     * @param began what the form begins from
     */
    record Typed(Map<String, String> texts, Map<String, Fault> faults, String began) {
        /** Over what is {@code saved}. */
        static Typed over(Map<String, String> saved, Map<String, String> typed, Map<String, Fault> faults) {
            Map<String, String> texts = new LinkedHashMap<>(saved);
            texts.putAll(typed);
            Map<String, String> used = new HashMap<>(typed);
            used.keySet().removeAll(faults.keySet());
            return new Typed(texts, faults, Merge.began(saved, used));
        }
    }

    private static List<Layer> stack(HardwareStack stack, Fmt fmt, Words words) {
        return stack.layers().stream()
                .map(layer -> new Layer(words.name(layer.part()), fmt.small(layer.heightMm())))
                .toList();
    }
}
