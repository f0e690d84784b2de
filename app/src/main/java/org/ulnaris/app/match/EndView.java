package org.ulnaris.app.match;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.ulnaris.app.drawing.CoinDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.FacePairDrawer;
import org.ulnaris.app.drawing.FootprintDrawer;
import org.ulnaris.app.shell.Fault;
import org.ulnaris.app.shell.FindingView;
import org.ulnaris.app.shell.Fmt;
import org.ulnaris.app.shell.Reason;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.contact.Contact;
import org.ulnaris.core.contact.ContactFit;
import org.ulnaris.core.contact.Family;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.crimp.Die;
import org.ulnaris.core.crimp.DieChooser;
import org.ulnaris.core.fastening.HardwareStack;
import org.ulnaris.core.fastening.SharedStack;
import org.ulnaris.core.fastening.TorqueSpec;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.EndPlan;
import org.ulnaris.core.making.Handiness;
import org.ulnaris.core.making.MatchedContact;
import org.ulnaris.core.making.MatchedLug;
import org.ulnaris.core.making.Side;
import org.ulnaris.core.measure.Figures;
import org.ulnaris.core.termination.Barrel;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugFit;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;
import org.ulnaris.core.termination.ShrinkChoice;
import org.ulnaris.core.termination.ShrinkTube;
import org.ulnaris.core.termination.StripLength;
import org.ulnaris.core.worked.JobFinding;
import org.ulnaris.core.worked.SharedStuds;
import org.ulnaris.core.worked.WorkedCable;

/**
 * One end as the match page shows it.
 *
 * @param lugs the ranked lugs
 * @param dies every die with what it would do
 * @param coin section of the crimp, before and after; null without lug or die
 * @param lengthwise the barrel cut along its axis; null without lug or die
 * @param above the lug on its stud, from above; null without a lug
 */
public record EndView(
        Side side,
        long version,
        Map<String, String> typed,
        Map<String, Fault> faults,
        boolean aroundSaid,
        Verdict verdict,
        @Nullable String lugCode,
        boolean lugByHand,
        @Nullable String dieTag,
        boolean dieByHand,
        List<LugRow> lugs,
        List<DieRow> dies,
        @Nullable Coin coin,
        @Nullable Drawing lengthwise,
        @Nullable Drawing above,
        String compaction,
        List<Fact> facts,
        List<Layer> stack,
        List<FindingView> findings,
        @Nullable ContactView contact) {
    private static final int LUGS_SHOWN = 8;
    private static final List<String> AROUND =
            List.of("points", "leave", "wallReach", "neighbour", "headroom", "second", "conductors");
    private static final int CONTACTS_SHOWN = 12;

    /** A contact to choose. */
    public record ContactRow(String code, Verdict verdict, String why, boolean inUse) {}

    /**
     * An end with a contact.
     *
     * @param faces both faces of a connector; null of what does not mate
     * @param facesNote what to see in them
     * @param mistakes what goes wrong with this family, in words
     */
    public record ContactView(
            String code,
            boolean byHand,
            boolean mates,
            List<ContactRow> rows,
            @Nullable Drawing faces,
            String facesNote,
            List<String> mistakes) {}

    /** A lug to choose. */
    public record LugRow(String code, Verdict verdict, String why, boolean inUse) {}

    /** A die to choose. */
    public record DieRow(
            String tag, String flats, String compaction, Verdict verdict, String band, String count, boolean inUse) {}

    /** A figure that follows from the choice. */
    public record Fact(String name, String figure, String note, Reason why) {
        Fact(String name, String figure, String note, String why) {
            this(name, figure, note, Reason.words(why));
        }

        Fact(String name, String figure, String note, Explanation why) {
            this(name, figure, note, new Reason(why));
        }
    }

    /** The section on two sheets that lie over one another. */
    public record Coin(Drawing before, Drawing after) {}

    /** One part of the hardware stack. */
    public record Layer(String part, String height) {}

    static EndView of(WorkedCable cable, Side side, MatchService.Kept kept, Typed typed, Shown shown) {
        EndPlan plan = cable.plan().end(side);
        List<JobFinding> said = cable.findings().stream()
                .filter(one -> one.where().equals(side.name())
                        || one.subject().equals(cable.cable().points().at(side)))
                .toList();
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        MatchedContact contact = plan.contact();
        MatchedLug match = plan.match();
        Crimp crimp = plan.termination() == null ? null : plan.termination().crimp();
        Die die = contact == null ? null : contact.die();
        String lug = match == null ? null : match.lug().code();
        return new EndView(
                plan.side(),
                kept.version(),
                typed.texts(),
                typed.faults(),
                kept.details().around() != null || AROUND.stream().anyMatch(typed.faults()::containsKey),
                said.stream().map(JobFinding::verdict).reduce(Verdict.PASS, Verdict::and),
                lug,
                kept.details().lugCode() != null,
                crimp != null ? crimp.die().tag() : die == null ? null : die.tag(),
                kept.details().dieTag() != null,
                lugRows(plan, lug, words),
                plan.shapes().isEmpty()
                        ? plan.dies().stream()
                                .map(option -> dieRow(option, crimp, fmt, words))
                                .toList()
                        : shapeRows(plan, die, fmt, words),
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
                contact != null ? facts(contact, shown) : match == null ? List.of() : facts(match, plan, shown),
                match == null ? List.of() : stack(match.stack(), fmt, words),
                said.stream().map(one -> words.view(one.finding(), fmt)).toList(),
                contact == null ? null : contact(plan, contact, kept, shown));
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

    private static ContactView contact(EndPlan plan, MatchedContact matched, MatchService.Kept kept, Shown shown) {
        Words words = shown.words();
        Family family = matched.contact().family();
        ContactChoice choice = kept.details().contact();
        List<String> mistakes = new ArrayList<>();
        for (int i = 1; ; i++) {
            Optional<String> mistake = words.find("mistake." + family + "." + i);
            if (mistake.isEmpty()) {
                break;
            }
            mistakes.add(mistake.get());
        }
        return new ContactView(
                matched.code(),
                choice != null && choice.contactCode() != null,
                family.mates(),
                plan.contacts().stream()
                        .limit(CONTACTS_SHOWN)
                        .map(fit -> row(plan, fit, matched, shown))
                        .toList(),
                family.mates() ? faces(family, shown) : null,
                words.of(family == Family.PV ? "face.PV.note" : "face.note"),
                mistakes);
    }

    private static Drawing faces(Family family, Shown shown) {
        String kind = family == Family.PV ? "face.PV." : "face.";
        return FacePairDrawer.pair(
                family,
                shown.facing(),
                new FacePairDrawer.Captions(
                        shown.words().of(kind + "mating"),
                        shown.words().of(kind + "wire"),
                        shown.words().of(kind + "label")));
    }

    private static String die(MatchedContact matched, Words words) {
        Crimp crimp = matched.crimp();
        if (crimp != null) {
            return crimp.crimps() + " × " + crimp.die().tag() + ", " + Figures.fixed(crimp.compaction(), 2);
        }
        return matched.die() == null
                ? words.of("fact.dies.none")
                : matched.die().tag();
    }

    private static ContactRow row(EndPlan plan, ContactFit fit, MatchedContact inUse, Shown shown) {
        Contact contact = fit.contact();
        String range = shown.words()
                .of(
                        "contact.range",
                        Figures.significant(contact.wire().fromMm2(), 3),
                        Figures.significant(contact.wire().toMm2(), 3));
        String rated = contact.wire().ratedA().isPresent()
                ? shown.words()
                        .of(
                                "contact.rated",
                                shown.fmt().current(contact.wire().ratedA().getAsDouble()))
                : "";
        return new ContactRow(
                contact.code(),
                fit.verdict(),
                range + rated + handy(plan, contact.code(), contact.tube(), shown.words()),
                contact.code().equals(inUse.code()));
    }

    private static List<Fact> facts(MatchedContact matched, Shown shown) {
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        List<Fact> facts = new ArrayList<>();
        Contact contact = matched.contact();
        if (contact.family() == Family.TWO_POLE) {
            facts.add(new Fact(
                    words.of("fact.sheath"),
                    fmt.small(MatchedContact.SHEATH_MM),
                    words.of("fact.sheath.note"),
                    words.of("fact.practice")));
        }
        facts.add(new Fact(
                words.of("fact.strip"),
                fmt.small(matched.stripMm()),
                words.of("fact.strip.contact"),
                contact.source().text()));
        if (!contact.seat().housing().isEmpty()) {
            facts.add(new Fact(
                    words.of("fact.housing"),
                    contact.seat().housing(),
                    words.of("fact.housing.note", fmt.small(contact.seat().depthMm())),
                    contact.source().text()));
        }
        contact.seat()
                .nutNm()
                .ifPresent(nut -> facts.add(new Fact(
                        words.of("fact.nut"),
                        fmt.torque(nut),
                        words.of("fact.nut.note"),
                        contact.source().text())));
        if (contact.family().crimped()) {
            facts.add(new Fact(
                    words.of("fact.dies"),
                    die(matched, words),
                    words.of("fact.dies.note", words.name(contact.family().dies())),
                    words.of("fact.practice")));
        }
        ShrinkChoice sleeve = matched.sleeve();
        if (sleeve != null) {
            facts.add(shrink(sleeve, "fact.shrink.splice", shown));
        }
        facts.add(new Fact(
                words.of("fact.method"),
                words.name(matched.fit().demand().method()),
                words.of("fact.method.note"),
                words.of("fact.practice")));
        return facts;
    }

    /** What stands in the fields, with what is wrong with it. */
    record Typed(Map<String, String> texts, Map<String, Fault> faults) {}

    private static List<LugRow> lugRows(EndPlan plan, @Nullable String inUse, Words words) {
        return plan.lugs().stream()
                .limit(LUGS_SHOWN)
                .map(fit -> new LugRow(
                        fit.lug().code(),
                        fit.verdict(),
                        why(plan, fit, words),
                        fit.lug().code().equals(inUse)))
                .toList();
    }

    /** What is at hand of a part: how many lie on the shelf, whether the crib can press it. */
    private static String handy(EndPlan plan, String code, Optional<Barrel> tube, Words words) {
        Handiness handy = plan.handy();
        String shelf = handy.onShelf(code).isEmpty()
                ? ""
                : ", "
                        + words.of(
                                handy.onShelf(code).getAsInt() == 0 ? "handy.none" : "handy.count",
                                handy.onShelf(code).getAsInt());
        boolean unpressed = !plan.dies().isEmpty() && tube.isPresent() && !handy.pressed(tube.get());
        return unpressed ? shelf + ", " + words.of("handy.nodies") : shelf;
    }

    private static String why(EndPlan plan, LugFit fit, Words words) {
        String hole = fit.exactHole()
                ? words.of("lug.exact")
                : words.of("lug.larger", Figures.fixed(fit.contactLossPercent(), 0));
        return words.of("lug.why", Figures.fixed(fit.boreFill(), 2), hole)
                + form(fit.lug(), words)
                + handy(plan, fit.lug().code(), Optional.of(fit.lug().barrel()), words);
    }

    /** What sets the lug off from a plain one, in words. */
    private static String form(Lug lug, Words words) {
        LugForm form = lug.form();
        List<String> said = new ArrayList<>();
        if (form.angleDeg() != 0) {
            said.add("angle." + form.angleDeg());
        }
        if (lug.pitchMm() > 0) {
            said.add("holes");
        }
        if (lug.narrowTongue()) {
            said.add("narrow");
        }
        if (form.conductors() > 1) {
            said.add("twin");
        }
        if (lug.bimetal()) {
            said.add("bimetal");
        } else if (lug.barrel().material() == LugMaterial.ALUMINIUM) {
            said.add("aluminium");
        } else if (!form.body().tinned()) {
            said.add("bare");
        }
        if (form.body().window()) {
            said.add("window");
        }
        if (form.body().bellMouth()) {
            said.add("bell");
        }
        return said.stream().map(word -> ", " + words.of("lug.form." + word)).collect(Collectors.joining());
    }

    private static DieRow dieRow(Crimp option, @Nullable Crimp inUse, Fmt fmt, Words words) {
        return new DieRow(
                option.die().tag(),
                fmt.small(option.die().acrossFlatsMm()),
                Figures.fixed(option.compaction(), 2),
                DieChooser.dieVerdict(option),
                words.name(option.band()),
                Integer.toString(option.crimps()),
                inUse != null && option.die().equals(inUse.die()));
    }

    /** Dies for a contact without a tube, by their shape only. */
    private static List<DieRow> shapeRows(EndPlan plan, @Nullable Die inUse, Fmt fmt, Words words) {
        MatchedContact contact = Objects.requireNonNull(plan.contact());
        return plan.shapes().stream()
                .map(die -> new DieRow(
                        die.tag(),
                        fmt.small(die.acrossFlatsMm()),
                        "",
                        die.shape() == contact.contact().family().dies() ? Verdict.PASS : Verdict.STOP,
                        words.name(die.shape()),
                        "",
                        die.equals(inUse)))
                .toList();
    }

    private static List<Fact> facts(MatchedLug match, EndPlan plan, Shown shown) {
        Fmt fmt = shown.fmt();
        Words words = shown.words();
        Crimp crimp = match.crimp();
        List<Fact> facts = new ArrayList<>();
        facts.add(new Fact(
                words.of("fact.strip"),
                fmt.small(match.stripMm()),
                words.of("fact.strip.note", fmt.small(match.gapMm())),
                StripLength.explanation(match.lug().barrel(), match.gapMm())));
        if (crimp != null) {
            facts.add(new Fact(
                    words.of("fact.crimps"),
                    Integer.toString(crimp.crimps()),
                    words.of("fact.crimps.note", positions(crimp, fmt)),
                    why(crimp.findings(), FindingCode.CRIMP_COUNT)));
        }
        tool(match, words).ifPresent(facts::add);
        facts.add(
                shrink(match.shrink(), match.shrink().beforeLug() ? "fact.shrink.before" : "fact.shrink.after", shown));
        facts.add(torque(plan.torque(), fmt, words));
        OptionalDouble next = match.fit().nextHoleLossPercent();
        facts.add(new Fact(
                words.of("fact.contact"),
                fmt.area(Figures.rounded(match.fit().contactAreaMm2(), 3)),
                next.isPresent() ? words.of("fact.contact.note", Figures.fixed(next.getAsDouble(), 0)) : "",
                why(match.findings(), FindingCode.CONTACT_AREA)));
        facts.add(new Fact(
                words.of("fact.stud"),
                fmt.small(match.stack().studNeededMm()),
                words.of("fact.stud.note", fmt.small(match.stack().heightMm()), HardwareStack.THREADS_PROUD),
                match.stack().explanation()));
        SharedStuds.Shared shared = shown.shared();
        if (shared != null) {
            facts.add(new Fact(
                    words.of("fact.shared"),
                    fmt.small(shared.stack().studNeededMm()),
                    words.of(
                            "fact.shared.note",
                            shared.stack().lugs().stream()
                                    .map(SharedStack.Pad::name)
                                    .collect(Collectors.joining(", "))),
                    shared.stack().explanation()));
        }
        return facts;
    }

    private static Optional<Fact> tool(MatchedLug match, Words words) {
        MatchedLug.Tooling tooling = match.tooling();
        return tooling == null
                ? Optional.empty()
                : Optional.of(new Fact(
                        words.of("fact.tool"),
                        tooling.tool().tag(),
                        fetch(tooling, words),
                        words.of("fact.tool.why", tooling.dies().die().tag())));
    }

    /** Where the dies are fetched from. */
    public static String fetch(MatchedLug.Tooling tooling, Words words) {
        String tag = tooling.dies().die().tag();
        String in = tooling.dies().inTool();
        if (in == null) {
            return words.of("fact.tool.fetch", tag);
        }
        return in.equals(tooling.tool().tag()) ? words.of("fact.tool.in", tag) : words.of("fact.tool.change", tag, in);
    }

    private static Fact torque(TorqueSpec torque, Fmt fmt, Words words) {
        return new Fact(
                words.of("fact.torque"),
                fmt.torque(torque.nominalNm()),
                fmt.torqueAll(torque.nominalNm()),
                words.of(
                        "fact.torque.why",
                        torque.source().text(),
                        fmt.torque(torque.minNm()),
                        fmt.torque(torque.maxNm())));
    }

    private static Fact shrink(ShrinkChoice sleeve, String note, Shown shown) {
        Words words = shown.words();
        Fmt fmt = shown.fmt();
        ShrinkTube tube = sleeve.tube();
        return new Fact(
                words.of("fact.shrink"),
                tube == null
                        ? "—"
                        : tube.name() + " · " + fmt.small(sleeve.cover().cutLengthMm()),
                tube == null
                        ? words.of(note)
                        : words.of(
                                "fact.shrink.tube",
                                words.of(note),
                                tube.ratio(),
                                fmt.small(tube.expandedMm()),
                                fmt.small(tube.recoveredMm()),
                                fmt.small(tube.wallMm())),
                sleeve.finding().explanation());
    }

    private static Explanation why(List<Finding> findings, FindingCode code) {
        return findings.stream()
                .filter(finding -> finding.code() == code)
                .findFirst()
                .map(Finding::explanation)
                .orElse(Explanation.words(""));
    }

    /** Centres of the crimps from the mouth, pad end first. */
    public static String positions(Crimp crimp, Fmt fmt) {
        return crimp.positionsMm().stream().map(fmt::small).collect(Collectors.joining(", "));
    }

    private static List<Layer> stack(HardwareStack stack, Fmt fmt, Words words) {
        return stack.layers().stream()
                .map(layer -> new Layer(words.name(layer.part()), fmt.small(layer.heightMm())))
                .toList();
    }
}
