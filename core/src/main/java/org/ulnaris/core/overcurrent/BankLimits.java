package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Chemistry;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.StringFuses;
import org.ulnaris.core.network.ParallelStrings;
import org.ulnaris.core.network.StringTap;
import org.ulnaris.core.solving.InstallationResult;

/**
 * What a bank gives and takes against what its kind usually does, and how its strings share it. Typical figures: the maker's sheet
 * rules.
 */
public final class BankLimits {
    /** Of each link between two strings, or lead of a string, Ω (ours: 0.3 m of 35 mm² with its joints). */
    public static final double LINK_OHM = 0.0002;
    /** Strings that share a current further apart are watched (ours), (largest − smallest) ÷ mean, %. */
    public static final double WATCH_PERCENT = 10;

    /** The same of banks that are wired one by one, for each has its own leads. */
    private static final double WATCH_BANKS_PERCENT = 20;

    private static final double ROUNDING = 1e-6;
    /** Drawn by this many times of the usual rate a lead bank is watched too (ours); charged, it takes no more than it wants. */
    private static final double FAR_BEYOND = 2;

    private static final double EQUAL = 1 + 1e-9;
    /** From here on a lead string wants its own fuse as well (common practice). */
    private static final int MANY_STRINGS = 3;

    /** Where nothing is drawn: what the shares are worked out at, A. */
    private static final double SOME_A = 100;

    private static final Source STRINGS = Source.practice(note("BankLimits.a-string-that"));
    private static final Source JOINED = Source.practice(note("BankLimits.plus-at-the"));

    private BankLimits() {}

    /** What is said of each bank. */
    public static List<ProtectionCheck.Subject> check(InstallationResult result) {
        List<ProtectionCheck.Subject> said = new ArrayList<>();
        for (Device device : result.installation().devices()) {
            InstallationResult.BankCurrent current = result.banks().get(device.tag());
            if (device instanceof Device.Bank bank && current != null) {
                findings(bank.build(), current)
                        .forEach(finding -> said.add(new ProtectionCheck.Subject(bank.tag(), finding)));
            }
        }
        said.addAll(alike(result));
        return List.copyOf(said);
    }

    /** Banks built alike and wired side by side: by their cables one may work harder than the others, and age first. */
    private static List<ProtectionCheck.Subject> alike(InstallationResult result) {
        Nets nets = result.feeding().nets();
        List<Nets.Source> banks =
                nets.sources().stream().filter(Nets.Source::isBank).toList();
        List<ProtectionCheck.Subject> said = new ArrayList<>();
        for (Nets.Source bank : banks) {
            List<Nets.Source> group = banks.stream()
                    .filter(other -> nets.same(bank.plus(), other.plus()) && nets.same(bank.minus(), other.minus()))
                    .filter(other -> build(bank).equals(build(other)))
                    .toList();
            List<Double> sharesA =
                    group.stream().map(one -> dischargeA(result, one)).toList();
            double ownA = dischargeA(result, bank);
            double mostA =
                    sharesA.stream().mapToDouble(Double::doubleValue).max().orElse(0);
            if (group.size() > 1 && ownA > 0 && ownA >= mostA * (1 - ROUNDING)) {
                double apart = ParallelStrings.imbalancePercent(sharesA);
                if (apart > WATCH_BANKS_PERCENT) {
                    said.add(new ProtectionCheck.Subject(
                            bank.device().tag(),
                            share(
                                    apart,
                                    WATCH_BANKS_PERCENT,
                                    Verdict.WATCH,
                                    Explanation.read(
                                            note("BankLimits.largest-share-of"),
                                            term("Δ", apart, "%"),
                                            term("I", ownA, "A")))));
                }
            }
        }
        return said;
    }

    private static Device.BankBuild build(Nets.Source source) {
        return ((Device.Bank) source.device()).build();
    }

    private static double dischargeA(InstallationResult result, Nets.Source bank) {
        InstallationResult.BankCurrent current =
                result.banks().get(bank.device().tag());
        return current == null ? 0 : current.dischargeA();
    }

    private static List<Finding> findings(Device.BankBuild build, InstallationResult.BankCurrent current) {
        List<Finding> findings = new ArrayList<>();
        Chemistry.Rates rates = build.chemistry().rates();
        if (current.dischargeA() > 0) {
            findings.add(rate(FindingCode.BANK_DISCHARGE, current.dischargeA(), rates.discharge(), build));
        }
        if (current.chargeA() > 0) {
            findings.add(rate(FindingCode.BANK_CHARGE, current.chargeA(), rates.charge(), build));
        }
        if (build.parallel() > 1) {
            fused(build).ifPresent(findings::add);
            findings.add(share(build, current));
        }
        return findings;
    }

    private static Finding rate(FindingCode code, double currentA, double perHour, Device.BankBuild build) {
        double mostA = perHour * build.ampereHours();
        boolean cutsOff = build.chemistry().rates().managed()
                || code == FindingCode.BANK_DISCHARGE && currentA > FAR_BEYOND * mostA * EQUAL;
        Verdict verdict = Verdict.PASS;
        if (currentA > mostA * EQUAL) {
            verdict = cutsOff ? Verdict.WATCH : Verdict.NOTE;
        }
        return new Finding(
                code,
                verdict,
                currentA,
                mostA,
                "A",
                Explanation.read(
                        note("BankLimits.capacity-times-what"),
                        term("I_usual", mostA, "A"),
                        term("Q", build.ampereHours(), note("BankLimits.ah")),
                        term("C", perHour, "")),
                Chemistry.source());
    }

    private static Optional<Finding> fused(Device.BankBuild build) {
        boolean lithium = build.chemistry().rates().managed();
        if (!lithium && build.parallel() < MANY_STRINGS) {
            return Optional.empty();
        }
        Optional<StringFuses> fuses = build.strings().fuses();
        Verdict missing = lithium ? Verdict.STOP : Verdict.WATCH;
        Verdict unknown = lithium ? Verdict.OPEN : Verdict.NOTE;
        Verdict verdict = fuses.map(each -> each == StringFuses.EACH ? Verdict.PASS : missing)
                .orElse(unknown);
        return Optional.of(Finding.said(
                FindingCode.STRING_FUSE,
                verdict,
                "",
                note("BankLimits.side-by-side", String.valueOf(build.parallel())),
                STRINGS));
    }

    /** How far apart the strings work; joined as nobody has said, as badly as they could be. */
    private static Finding share(Device.BankBuild build, InstallationResult.BankCurrent current) {
        StringTap tap = build.strings().tap().orElse(StringTap.ONE_END);
        double drawnA = current.dischargeA() > 1 ? current.dischargeA() : SOME_A;
        double apart = ParallelStrings.imbalancePercent(strings(build).sharesA(tap, drawnA));
        Verdict worse = build.strings().tap().isPresent() ? Verdict.WATCH : Verdict.NOTE;
        return share(
                apart,
                WATCH_PERCENT,
                apart > WATCH_PERCENT ? worse : Verdict.PASS,
                Explanation.read(
                        note("BankLimits.largest-share-of-a"),
                        term("Δ", apart, "%"),
                        term("R_string", build.unitOhm() * build.series(), "Ω"),
                        term("R_link", LINK_OHM, "Ω")));
    }

    private static Finding share(double apart, double limit, Verdict verdict, Explanation why) {
        return new Finding(FindingCode.STRING_SHARE, verdict, apart, limit, "%", why, JOINED);
    }

    /** The strings of a bank with the links between them. */
    public static ParallelStrings strings(Device.BankBuild build) {
        int count = Math.min(build.parallel(), ParallelStrings.MOST_STRINGS);
        return new ParallelStrings(count, build.restV(), build.unitOhm() * build.series(), LINK_OHM);
    }
}
