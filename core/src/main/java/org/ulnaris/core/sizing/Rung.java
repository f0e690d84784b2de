package org.ulnaris.core.sizing;

import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.TableRating;

/**
 * One size on the ladder, with what it would do under the demand.
 *
 * <p>Conductor temperature T_c = T_a + (T_col − T_a)·(I/I_z)² (IEC practice). Drop ΔU = 2·L·I·r20·(1 + α·(T − 20)), T
 * being T_c but never above the table's column: beyond it the size is refused anyway.
 */
public final class Rung {
    /** Use of a limit above which a check that passes is to be watched: less than 5 % is left for small errors. */
    public static final double WATCH_ABOVE_USE = 0.95;

    private static final List<FindingCode> WITHOUT_TERMINAL = List.of(FindingCode.AMPACITY, FindingCode.DROP);
    private static final List<FindingCode> WITH_TERMINAL =
            List.of(FindingCode.AMPACITY, FindingCode.DROP, FindingCode.TERMINAL_TEMPERATURE);

    private final CableDemand demand;
    private final SizeData data;
    private final Derating derating;
    private final double ampacityA;
    private final double conductorTempC;
    private final double dropV;

    Rung(CableDemand demand, SizeData data, Derating derating) {
        this.demand = demand;
        this.data = data;
        this.derating = derating;
        this.ampacityA = data.rating() == null ? 0 : data.rating().ampacityA() * derating.factor();
        this.conductorTempC = temperatureC();
        this.dropV = demand.load().loopLengthM()
                * demand.load().currentA()
                * data.ohmPerMetreAt20()
                * ConductorResistance.temperatureFactor(dropTempC());
    }

    private double temperatureC() {
        if (!(ampacityA > 0)) {
            return Double.NaN;
        }
        double share = demand.load().currentA() / ampacityA;
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

    /** Current that it may carry here, A; 0 where the table has no figure. */
    public double ampacityA() {
        return ampacityA;
    }

    /** Temperature of the conductor at the demand's current, °C; NaN without an ampacity. */
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
        return switch (code) {
            case AMPACITY -> new AmpacityCheck(this);
            case DROP -> new DropCheck(this);
            case TERMINAL_TEMPERATURE ->
                new TerminalTemperatureCheck(this, demand.terminalTempC().orElse(Double.POSITIVE_INFINITY));
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

    /** Whether a size stands for every check of the tables, the drop and the terminal. */
    public boolean passes() {
        for (FindingCode code : checks()) {
            if (!(use(code) <= 1)) {
                return false;
            }
        }
        return true;
    }

    /** Whether the heat balance, the second school, lets it pass as well, or does not decide in this house. */
    public boolean passesHeatBalance() {
        return new HeatBalanceCheck(this).passes();
    }

    /** Worst verdict of all checks, the heat balance among them. */
    public Verdict verdict() {
        return checks().stream().map(this::verdict).reduce(verdict(FindingCode.HEAT_BALANCE), Verdict::and);
    }

    /** The check of the tables, the drop or the terminal that uses most of its limit. */
    public FindingCode worstCheck() {
        FindingCode worst = FindingCode.AMPACITY;
        for (FindingCode code : checks()) {
            worst = use(code) > use(worst) ? code : worst;
        }
        return worst;
    }

    /** The checks drawn on every rung of this demand; the heat balance stands beside them. */
    public List<FindingCode> checks() {
        return demand.terminalTempC().isPresent() ? WITH_TERMINAL : WITHOUT_TERMINAL;
    }

    /** All checks with their reasons. Built when asked, so that sizing itself stays quick. */
    public List<Finding> findings() {
        Stream<FindingCode> heat = ampacityA > 0 && derating.columnTempC() > derating.localAmbientC()
                ? Stream.of(FindingCode.HEAT_BALANCE)
                : Stream.empty();
        return Stream.concat(
                        Stream.concat(checks().stream(), heat)
                                .map(code -> check(code).finding()),
                        new TableNotes(this).findings())
                .toList();
    }

    CableDemand demand() {
        return demand;
    }

    double currentA() {
        return demand.load().currentA();
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
