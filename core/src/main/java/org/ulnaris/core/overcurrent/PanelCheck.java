package org.ulnaris.core.overcurrent;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.ulnaris.core.feed.Feeds;
import org.ulnaris.core.feed.Feeds.Feed;
import org.ulnaris.core.finding.Confidence;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.installation.Device;
import org.ulnaris.core.installation.Nets;
import org.ulnaris.core.installation.PanelString;
import org.ulnaris.core.installation.Terminal.Port;
import org.ulnaris.core.solving.InstallationResult;

/** What solar panels mean to their controller, to the strings beside them and to themselves. */
public final class PanelCheck {
    /** Strings side by side work at one voltage: further apart the lower one holds the other down (ours). */
    private static final double LIKE_STRINGS = 0.05;

    /** Factor of NEC 690.7(A) at −40 °C: a controller that stands it stands any frost (recalled). */
    private static final double HARD_FROST = 1.25;

    private static final double EQUAL = 1 + 1e-9;
    private static final Source STRING_FUSES =
            new Source("NEC 690.9(A), IEC 62548", note("PanelCheck.strings-beside"), Confidence.RECALLED_MEDIUM);
    private static final Source CONTROLLER = Source.practice(note("PanelCheck.a-controller-stands"));

    private final Nets nets;
    private final Feeds feeds;
    private final List<ProtectionCheck.Subject> said = new ArrayList<>();

    private PanelCheck(InstallationResult result) {
        this.nets = result.feeding().nets();
        this.feeds = result.feeding().feeds();
        for (Device device : result.installation().devices()) {
            if (device instanceof Device.PanelInput input) {
                voltage(input);
                current(input);
            } else if (device instanceof Device.Charger charger && charger.panels() != null) {
                controller(charger, result.installation().devices());
                reverse(charger);
                unlike(charger);
            }
        }
    }

    /** What is said of each string of panels and each controller. */
    public static List<ProtectionCheck.Subject> check(InstallationResult result) {
        return List.copyOf(new PanelCheck(result).said);
    }

    private void say(Device device, Finding finding) {
        said.add(new ProtectionCheck.Subject(device.tag(), finding));
    }

    private static PanelString panels(Device.Charger charger) {
        return Objects.requireNonNull(charger.panels(), charger.tag());
    }

    /** The highest voltage of its panels in the coldest air; what only the air that nobody gave brings about asks. */
    private void voltage(Device.PanelInput input) {
        Double standsV = input.highestV();
        List<PanelString> strings =
                nets.panels(input).stream().map(PanelCheck::panels).toList();
        PanelString highest = strings.stream()
                .max((a, b) -> Double.compare(a.coldOpenV(), b.coldOpenV()))
                .orElse(null);
        if (highest == null) {
            return;
        }
        double coldV = highest.coldOpenV();
        Verdict verdict = Verdict.PASS;
        if (standsV == null) {
            verdict = Verdict.OPEN;
        } else if (coldV > standsV * EQUAL) {
            boolean known = highest.coldestC() != null || highest.stringOpenV() > standsV * EQUAL;
            verdict = known ? Verdict.STOP : Verdict.OPEN;
        } else if (highest.coldestC() == null && HARD_FROST * highest.stringOpenV() > standsV * EQUAL) {
            verdict = Verdict.OPEN;
        }
        say(
                input,
                new Finding(
                        FindingCode.PANEL_VOLTAGE,
                        verdict,
                        coldV,
                        standsV == null ? coldV : standsV,
                        "V",
                        Explanation.of(
                                        term("U_oc", coldV, "V"),
                                        term("U_oc,25", highest.stringOpenV(), "V")
                                                .times(term("f", highest.coldFactor(), "")))
                                .with(term("t_cold", highest.coldC(), "°C")),
                        highest.percentPerKelvin() == null
                                ? PanelString.source()
                                : Source.given(note("PanelCheck.the-makers-coefficient"))));
    }

    private void current(Device.PanelInput input) {
        Double standsA = input.highestA();
        double shortA = nets.panels(input).stream()
                .mapToDouble(charger -> panels(charger).shortA())
                .sum();
        if (standsA != null && shortA > 0) {
            say(
                    input,
                    new Finding(
                            FindingCode.PANEL_CURRENT,
                            shortA > standsA * EQUAL ? Verdict.STOP : Verdict.PASS,
                            shortA,
                            standsA,
                            "A",
                            Explanation.read(note("PanelCheck.short-circuit-currents"), term("I_sc", shortA, "A")),
                            CONTROLLER));
        }
    }

    /** Panels lead to a controller, plus to plus, and to no battery past it. */
    private void controller(Device.Charger charger, List<Device> devices) {
        String plus = charger.at(Port.PLUS).node();
        String minus = charger.at(Port.MINUS).node();
        boolean bank = nets.lifting(plus).stream().anyMatch(Nets.Source::isBank);
        boolean turned = devices.stream()
                .filter(Device.PanelInput.class::isInstance)
                .anyMatch(input -> nets.same(input.at(Port.PLUS).node(), minus)
                        && nets.same(input.at(Port.MINUS).node(), plus));
        if (bank || nets.input(charger).isEmpty()) {
            say(
                    charger,
                    Finding.said(
                            FindingCode.PANELS_UNCONTROLLED,
                            bank || turned ? Verdict.STOP : Verdict.OPEN,
                            "",
                            bank
                                    ? note("PanelCheck.past-the-controller")
                                    : turned ? note("PanelCheck.turned-round") : note("PanelCheck.no-controller"),
                            CONTROLLER));
        }
    }

    /** What the strings beside it drive into a string that fails: from three on usually more than its panels stand. */
    private void reverse(Device.Charger charger) {
        Feed feed = feeds.into(charger.at(Port.PLUS).node());
        if (feed.unlimited()) {
            return;
        }
        double backA = feed.limitA() - charger.maxA();
        if (!(backA > 0)) {
            return;
        }
        PanelString panels = panels(charger);
        double plainA = feed.fuses().isEmpty() ? backA / PanelString.BRIGHT : backA;
        Verdict verdict = Verdict.PASS;
        if (plainA > panels.standsA() * EQUAL) {
            verdict = panels.fuseA() == null ? Verdict.OPEN : Verdict.STOP;
        } else if (backA > panels.standsA() * EQUAL) {
            verdict = panels.fuseA() == null ? Verdict.OPEN : Verdict.WATCH;
        }
        say(
                charger,
                new Finding(
                        FindingCode.PANEL_REVERSE,
                        verdict,
                        backA,
                        panels.standsA(),
                        "A",
                        Explanation.read(note("PanelCheck.from-the-strings-beside"), term("I_back", backA, "A")),
                        STRING_FUSES));
    }

    private void unlike(Device.Charger charger) {
        nets.input(charger)
                .ifPresent(input -> nets.panels(input).stream()
                        .filter(other -> charger.setV() < (1 - LIKE_STRINGS) * other.setV())
                        .findFirst()
                        .ifPresent(other -> say(
                                charger,
                                new Finding(
                                        FindingCode.PANELS_UNLIKE,
                                        Verdict.WATCH,
                                        charger.setV(),
                                        other.setV(),
                                        "V",
                                        Explanation.read(
                                                note("PanelCheck.one-voltage"),
                                                term("U_1", charger.setV(), "V"),
                                                term("U_2", other.setV(), "V")),
                                        CONTROLLER,
                                        other.tag()))));
    }
}
