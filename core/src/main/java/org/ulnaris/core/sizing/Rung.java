package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.HeatBalance;
import org.ulnaris.core.rating.SmallConductors;
import org.ulnaris.core.rating.TableRating;
import org.ulnaris.core.rating.WarmingUp;

/**
 * One size on the ladder, with what it would do under the demand.
 *
 * <p>Conductor temperature T_c = T_a + (T_col − T_a)·(I/I_z)² (IEC practice), of a current in spells with the one that would heat it as
 * much for good. The table itself is asked with the whole current: what protects the cable lets it flow for good. Drop
 * ΔU = 2·L·I·r20·(1 + α·(T − 20)), T being T_c but never above the table's column: beyond it the size is refused anyway.
 */
public final class Rung {
    private static final List<FindingCode> WITHOUT_TERMINAL = List.of(FindingCode.AMPACITY, FindingCode.DROP);
    private static final List<FindingCode> WITH_COLUMN =
            List.of(FindingCode.AMPACITY, FindingCode.DROP, FindingCode.TERMINAL_COLUMN);
    private static final List<FindingCode> WITH_TERMINAL =
            List.of(FindingCode.AMPACITY, FindingCode.DROP, FindingCode.TERMINAL_TEMPERATURE);
    /** What feeds the cable is held against the size. */
    private static final List<FindingCode> GUARDED = List.of(FindingCode.FUSE_AMPACITY, FindingCode.FUSE_WITHSTAND);

    private static final Predicate<Verdict> CLEAN = verdict -> !verdict.asks();
    private static final Predicate<Verdict> STANDS = verdict -> verdict != Verdict.STOP && verdict != Verdict.OPEN;
    private static final Predicate<Verdict> NO_STOP = verdict -> verdict != Verdict.STOP;

    private static final Finding TERMINAL_UNKNOWN = Finding.said(
            FindingCode.TERMINAL_UNKNOWN,
            Verdict.OPEN,
            "",
            note("Rung.a-terminal-may"),
            Source.practice(note("Rung.the-limit-is")));

    private final CableDemand demand;
    private final SizeData data;
    private final Derating derating;
    private final double ampacityA;
    private final Spells.Heating heating;
    private final double conductorTempC;
    private final double dropV;

    Rung(CableDemand demand, SizeData data, Derating derating) {
        this.demand = demand;
        this.data = data;
        this.derating = derating;
        this.ampacityA = data.rating() == null ? 0 : data.rating().ampacityA() * derating.factor();
        this.heating = heats();
        this.conductorTempC = temperatureC();
        this.dropV = demand.load().loopLengthM()
                * demand.load().currentA()
                * data.ohmPerMetreAt20()
                * ConductorResistance.temperatureFactor(conductor().metal(), dropTempC());
    }

    private Spells.Heating heats() {
        Spells spells = demand.spells();
        return spells == null || !(ampacityA > 0) || !isRated()
                ? new Spells.Heating(currentA(), null)
                : spells.heating(warming());
    }

    /** How it follows a current in time. */
    WarmingUp warming() {
        return WarmingUp.of(CableGeometry.of(conductor(), OptionalDouble.empty()), derating, ampacityA);
    }

    private double temperatureC() {
        if (!(ampacityA > 0)) {
            return Double.NaN;
        }
        double share = heating.currentA() / ampacityA;
        double ambient = derating.localAmbientC();
        return ambient + (derating.columnTempC() - ambient) * share * share;
    }

    /** Temperature at which the drop is counted, °C. */
    double dropTempC() {
        double rated = derating.hasColumn()
                ? derating.columnTempC()
                : demand.conditions().insulationTempC();
        return conductorTempC <= rated
                ? conductorTempC
                : Math.max(rated, demand.conditions().ambientC());
    }

    public Conductor conductor() {
        return data.conductor();
    }

    public ConductorSize size() {
        return data.conductor().size();
    }

    /** Resistance of {@code lengthM} of it at 20 °C, Ω. */
    public double ohm(double lengthM) {
        return data.ohmPerMetreAt20() * lengthM;
    }

    /** Current that it may carry here, A; 0 where the table has no figure. */
    public double ampacityA() {
        return ampacityA;
    }

    /** What may flow into it for good, A: its ampacity, or the largest fuse that the land code allows before so small a conductor. */
    public double protectableA() {
        return smallFuseA().stream().reduce(ampacityA, Math::min);
    }

    /**
     * How far a fuse's rating may lie above what may flow into it, where no standard rating lies between: the house's margin, and nothing
     * where the land code names the largest fuse.
     *
     * @param house rating ÷ ampacity, at most
     */
    public double overAmpacity(double house) {
        OptionalDouble small = smallFuseA();
        return small.isPresent() && small.getAsDouble() <= ampacityA ? 1 : house;
    }

    /** The largest fuse that the land code allows before so small a conductor, A; empty elsewhere. */
    OptionalDouble smallFuseA() {
        return SmallConductors.fuseA(demand.ruleSet(), size(), conductor().metal());
    }

    /** Temperature of the conductor at the demand's current, of one in spells at their end, °C; NaN without an ampacity. */
    public double conductorTempC() {
        return conductorTempC;
    }

    /** Drop over the loop, V. */
    public double dropV() {
        return dropV;
    }

    /** Drop over the loop, % of the nominal voltage. */
    public double dropPercent() {
        return 100 * dropV / demand.load().systemVoltageV();
    }

    /** Heat made in the loop, W. */
    public double lossW() {
        return dropV * demand.load().currentA();
    }

    /** The rule behind {@code code}. */
    public SizeCheck check(FindingCode code) {
        Guard guard = demand.guard();
        if (guard != null && code == FindingCode.FUSE_AMPACITY) {
            return new GuardCheck(code, this, guard.limit(this));
        }
        if (guard != null && code == FindingCode.FUSE_WITHSTAND) {
            return new GuardCheck(code, this, guard.shortCircuit(this).orElseThrow());
        }
        return switch (code) {
            case AMPACITY -> new AmpacityCheck(this);
            case DROP -> new DropCheck(this);
            case TERMINAL_TEMPERATURE -> new TerminalTemperatureCheck(this, Objects.requireNonNull(demand.terminal()));
            case TERMINAL_COLUMN -> new TerminalColumnCheck(this, Objects.requireNonNull(demand.terminal()));
            case HEAT_BALANCE -> new HeatBalanceCheck(this);
            default -> throw new IllegalArgumentException(code + " is not a check of a size");
        };
    }

    /** Used ÷ allowed of the check {@code code}; infinity when nothing is allowed. */
    public double use(FindingCode code) {
        return check(code).use();
    }

    /** Verdict of the check {@code code}. */
    public Verdict verdict(FindingCode code) {
        return check(code).verdict();
    }

    /** Whether every check passes with the house's margin left; a heat balance that does not decide is not asked. */
    public boolean clean() {
        return cleanAlone() && guarded(CLEAN);
    }

    /** The same without the protection: whatever feeds it. */
    boolean cleanAlone() {
        return every(own(), CLEAN);
    }

    /** Whether no check stops the size, and none waits for what nobody has said. */
    public boolean stands() {
        return standsAlone() && guarded(NO_STOP);
    }

    /** Whether no check stops the size; one may wait for what nobody has said. */
    boolean mayStand() {
        return every(own(), NO_STOP) && guarded(NO_STOP);
    }

    /** The same without the protection: whatever feeds it. */
    public boolean standsAlone() {
        return every(own(), STANDS);
    }

    private boolean every(List<FindingCode> codes, Predicate<Verdict> good) {
        for (FindingCode code : codes) {
            if (!good.test(verdict(code))) {
                return false;
            }
        }
        return !demand.policy().heatBalanceDecides() || good.test(verdict(FindingCode.HEAT_BALANCE));
    }

    private boolean guarded(Predicate<Verdict> good) {
        Guard guard = demand.guard();
        return guard == null
                || good.test(guard.limit(this).verdict())
                        && guard.shortCircuit(this).stream()
                                .map(Finding::verdict)
                                .allMatch(good);
    }

    /** Worst verdict of all checks, the heat balance among them; no size stands of a metal that the rules do not know. */
    public Verdict verdict() {
        Verdict metal = demand.ruleSet().method().knows(conductor().metal()) ? Verdict.PASS : Verdict.STOP;
        return checks().stream()
                .map(this::verdict)
                .reduce(verdict(FindingCode.HEAT_BALANCE), Verdict::and)
                .and(metal);
    }

    /** The drawn check with the worst verdict; of several alike the one that uses most of its limit. */
    public FindingCode worstCheck() {
        return checks().stream()
                .max(Comparator.comparing((FindingCode code) -> verdict(code))
                        .thenComparingDouble(code -> check(code).strain()))
                .orElse(FindingCode.AMPACITY);
    }

    /** The same with the heat balance where that alone is worse. */
    FindingCode decidingCheck() {
        FindingCode worst = worstCheck();
        boolean heat = demand.policy().heatBalanceDecides()
                && verdict(FindingCode.HEAT_BALANCE).compareTo(verdict(worst)) > 0;
        return heat ? FindingCode.HEAT_BALANCE : worst;
    }

    /** The checks drawn on every rung of this demand; the heat balance stands beside them. */
    public List<FindingCode> checks() {
        return Stream.concat(own().stream(), guarding().stream()).toList();
    }

    private List<FindingCode> own() {
        TerminalLimit terminal = demand.terminal();
        return terminal == null ? WITHOUT_TERMINAL : terminal.byTable() ? WITH_COLUMN : WITH_TERMINAL;
    }

    private List<FindingCode> guarding() {
        Guard guard = demand.guard();
        if (guard == null) {
            return List.of();
        }
        return guard.shortCircuit(this).isPresent() ? GUARDED : GUARDED.subList(0, 1);
    }

    /** All checks of the size alone with their reasons; protection speaks for itself. Built when asked, so that sizing stays quick. */
    public List<Finding> findings() {
        Stream<FindingCode> heat = ampacityA > 0 && derating.columnTempC() > derating.localAmbientC()
                ? Stream.of(FindingCode.HEAT_BALANCE)
                : Stream.empty();
        return Stream.concat(
                        Stream.concat(own().stream(), heat)
                                .map(code -> check(code).finding()),
                        Stream.concat(terminalUnknown(), new TableNotes(this).findings()))
                .toList();
    }

    private Stream<Finding> terminalUnknown() {
        return demand.terminal() == null ? Stream.of(TERMINAL_UNKNOWN) : Stream.empty();
    }

    /** With the usual outside diameter of each size: a measured one belongs to one cable, and the ladder compares sizes. */
    HeatBalance balance() {
        return new HeatBalance(
                CableGeometry.of(conductor(), OptionalDouble.empty()),
                new HeatBalance.Mounting(
                        derating.localAmbientC(),
                        demand.conditions().bundledConductors(),
                        demand.conditions().conduit(),
                        demand.conditions().walled()));
    }

    /** Whether the heat balance can say anything: only below the temperature of its column. */
    boolean isRated() {
        return derating.hasColumn() && derating.columnTempC() > derating.localAmbientC();
    }

    CableDemand demand() {
        return demand;
    }

    double currentA() {
        return demand.load().currentA();
    }

    /** The current that heats it for good as much as the demand's does; less than that where it flows in spells, A. */
    public double heatingA() {
        return heating.currentA();
    }

    /** That current in a formula: I_h where it is not the one that flows. */
    Term heatingTerm() {
        return term(heating.spell() == null ? "I" : "I_h", heating.currentA(), "A");
    }

    /** The spell of work that heats it most; empty where a current for good does. */
    public Optional<Spells.Spell> spell() {
        return Optional.ofNullable(heating.spell());
    }

    double ohmPerMetreAt20() {
        return data.ohmPerMetreAt20();
    }

    /** The table's row in use, or null where it has none. */
    public @Nullable TableRating rating() {
        return data.rating();
    }

    public Derating derating() {
        return derating;
    }
}
