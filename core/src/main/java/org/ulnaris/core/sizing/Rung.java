package org.ulnaris.core.sizing;

import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.conductor.CableGeometry;
import org.ulnaris.core.conductor.Conductor;
import org.ulnaris.core.conductor.ConductorResistance;
import org.ulnaris.core.conductor.ConductorSize;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression.Term;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.rating.Derating;
import org.ulnaris.core.rating.HeatBalance;
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

    private static final Source TEMPERATURE_SOURCE =
            Source.practice("conductor temperature by the square of the current (IEC practice)");
    private static final Source DROP_SOURCE = Source.given("drop target of the job");

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

    private double dropTempC() {
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

    /** Used ÷ allowed of the check {@code code}; infinity when nothing is allowed. */
    public double use(FindingCode code) {
        return switch (code) {
            case AMPACITY -> ampacityA > 0 ? demand.load().currentA() / ampacityA : Double.POSITIVE_INFINITY;
            case DROP -> dropV / demand.load().maxDropV();
            case TERMINAL_TEMPERATURE -> terminalUse();
            case HEAT_BALANCE -> heatUse();
            default -> throw new IllegalArgumentException(code + " is not a check of a size");
        };
    }

    private double terminalUse() {
        if (demand.terminalTempC().isEmpty()) {
            return 0;
        }
        double ambient = derating.localAmbientC();
        double allowedK = demand.terminalTempC().getAsDouble() - ambient;
        double riseK = conductorTempC - ambient;
        return riseK >= 0 && allowedK > 0 ? riseK / allowedK : Double.POSITIVE_INFINITY;
    }

    private double heatUse() {
        double ambient = derating.localAmbientC();
        if (!derating.hasColumn() || derating.columnTempC() <= ambient) {
            return 0;
        }
        return demand.load().currentA() / heatBalance().currentA(derating.columnTempC());
    }

    /** With the usual outside diameter of each size: a measured one belongs to one cable, and the ladder compares sizes. */
    private HeatBalance heatBalance() {
        return new HeatBalance(
                CableGeometry.of(conductor(), OptionalDouble.empty()),
                new HeatBalance.Mounting(
                        derating.localAmbientC(),
                        demand.conditions().bundledConductors(),
                        demand.conditions().conduit()));
    }

    /** Whether a size stands for every check of the tables, the drop and the terminal. */
    public boolean passes() {
        return use(FindingCode.DROP) <= 1
                && use(FindingCode.AMPACITY) <= 1
                && use(FindingCode.TERMINAL_TEMPERATURE) <= 1;
    }

    /** Whether the heat balance, the second school, lets it pass as well, or does not decide in this house. */
    public boolean passesHeatBalance() {
        double columnC = derating.columnTempC();
        boolean rated = derating.hasColumn() && columnC > derating.localAmbientC();
        return !demand.heatBalanceDecides()
                || !rated
                || heatBalance().holds(demand.load().currentA(), columnC);
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
        return demand.terminalTempC().isPresent()
                ? List.of(FindingCode.AMPACITY, FindingCode.DROP, FindingCode.TERMINAL_TEMPERATURE)
                : List.of(FindingCode.AMPACITY, FindingCode.DROP);
    }

    /** Verdict of one check: stop beyond its limit, watch close to it; a heat balance that does not decide never stops. */
    public Verdict verdict(FindingCode code) {
        if (code == FindingCode.HEAT_BALANCE) {
            return heatVerdict();
        }
        double use = use(code);
        if (use <= WATCH_ABOVE_USE) {
            return Verdict.PASS;
        }
        return use <= 1 ? Verdict.WATCH : Verdict.STOP;
    }

    private Verdict heatVerdict() {
        double columnC = derating.columnTempC();
        double current = demand.load().currentA();
        boolean rated = derating.hasColumn() && columnC > derating.localAmbientC();
        if (!rated || heatBalance().holds(current / WATCH_ABOVE_USE, columnC)) {
            return Verdict.PASS;
        }
        return !demand.heatBalanceDecides() || heatBalance().holds(current, columnC) ? Verdict.WATCH : Verdict.STOP;
    }

    /** All checks with their reasons. Built when asked, so that sizing itself stays quick. */
    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        findings.add(ampacityFinding());
        findings.add(dropFinding());
        demand.terminalTempC().ifPresent(limit -> findings.add(terminalFinding(limit)));
        if (ampacityA > 0 && derating.columnTempC() > derating.localAmbientC()) {
            findings.add(heatFinding());
        }
        TableRating rating = data.rating();
        if (rating != null && !rating.exact()) {
            findings.add(rowFinding(rating));
        }
        if (derating.hasColumn() && derating.columnTempC() < demand.conditions().insulationTempC()) {
            findings.add(columnFinding());
        }
        if (demand.load().systemVoltageV() >= demand.ruleSet().method().upToVoltageV()) {
            findings.add(voltageFinding());
        }
        return List.copyOf(findings);
    }

    private Finding ampacityFinding() {
        @Nullable TableRating rating = data.rating();
        Explanation explanation = Explanation.of(
                term("I_z", ampacityA, "A"),
                term("I_t", rating == null ? 0 : rating.ampacityA(), "A")
                        .times(term("f_ambient", derating.ambientFactor(), ""))
                        .times(term("f_bundle", derating.bundleFactor(), ""))
                        .times(term("f_engine", derating.engineFactor(), "")));
        return new Finding(
                FindingCode.AMPACITY,
                verdict(FindingCode.AMPACITY),
                demand.load().currentA(),
                ampacityA,
                "A",
                explanation,
                ampacitySource());
    }

    private Source ampacitySource() {
        Source table = demand.ruleSet().method().source();
        return derating.bundleFactor() < 1 ? table.and(demand.ruleSet().method().bundlingSource()) : table;
    }

    private Finding dropFinding() {
        Explanation explanation = Explanation.of(
                term("ΔU", dropPercent(), "%"),
                number(2)
                        .times(term("L", demand.load().oneWayLengthM(), "m"))
                        .times(term("I", demand.load().currentA(), "A"))
                        .times(term("r_20", data.ohmPerMetreAt20(), "Ω/m"))
                        .times(number(1)
                                .plus(term("k_T", ConductorResistance.ALPHA_PER_K, "/K")
                                        .times(term("T", dropTempC(), "°C").minus(number(20, "°C")))))
                        .over(term("U", demand.load().systemVoltageV(), "V")));
        return new Finding(
                FindingCode.DROP,
                verdict(FindingCode.DROP),
                dropPercent(),
                demand.load().maxDropPercent(),
                "%",
                explanation,
                new Source(
                        ConductorResistance.source(demand.series()).document() + "; " + DROP_SOURCE.document(),
                        ConductorResistance.source(demand.series()).clause(),
                        ConductorResistance.source(demand.series()).confidence()));
    }

    private Finding terminalFinding(double limitC) {
        Term ambient = term("T_a", derating.localAmbientC(), "°C");
        Explanation explanation = Explanation.of(
                term("T_c", conductorTempC, "°C"),
                ambient.plus(term("T_max", derating.columnTempC(), "°C")
                        .minus(ambient)
                        .times(term("I", demand.load().currentA(), "A")
                                .over(term("I_z", ampacityA, "A"))
                                .squared())));
        return new Finding(
                FindingCode.TERMINAL_TEMPERATURE,
                verdict(FindingCode.TERMINAL_TEMPERATURE),
                conductorTempC,
                limitC,
                "°C",
                explanation,
                TEMPERATURE_SOURCE);
    }

    private Finding heatFinding() {
        HeatBalance balance = heatBalance();
        double columnC = derating.columnTempC();
        double conductorC = balance.conductorC(demand.load().currentA());
        Explanation explanation = Explanation.read(
                demand.conditions().conduit()
                        ? "heat leaves through a conduit, by convection and radiation; h by this balance, c by the table, max where the insulation is reached"
                        : "heat leaves by convection and radiation; h by this balance, c by the table, max where the insulation is reached",
                term("T_h", conductorC, "°C"),
                term("T_c", conductorTempC, "°C"),
                term("T_max", columnC, "°C"),
                term("I", demand.load().currentA(), "A"),
                term("I_max", balance.currentA(columnC), "A"),
                term("n", demand.conditions().bundledConductors(), ""));
        return new Finding(
                FindingCode.HEAT_BALANCE,
                verdict(FindingCode.HEAT_BALANCE),
                conductorC,
                columnC,
                "°C",
                explanation,
                HeatBalance.SOURCE);
    }

    private Finding rowFinding(TableRating rating) {
        Explanation explanation = Explanation.read(
                "largest row not above the conductor",
                term("A_row", rating.row().areaMm2(), "mm²"),
                term("A", size().areaMm2(), "mm²"));
        return new Finding(
                FindingCode.TABLE_ROW,
                Verdict.PASS,
                rating.row().areaMm2(),
                size().areaMm2(),
                "mm²",
                explanation,
                demand.ruleSet().method().source());
    }

    private Finding columnFinding() {
        double insulationC = demand.conditions().insulationTempC();
        Explanation explanation = Explanation.read(
                "highest column not above the insulation",
                term("T_col", derating.columnTempC(), "°C"),
                term("T_ins", insulationC, "°C"));
        return new Finding(
                FindingCode.TABLE_COLUMN,
                Verdict.PASS,
                derating.columnTempC(),
                insulationC,
                "°C",
                explanation,
                demand.ruleSet().method().source());
    }

    private Finding voltageFinding() {
        double upTo = demand.ruleSet().method().upToVoltageV();
        Explanation explanation = Explanation.read(
                "the table ends below", term("U", demand.load().systemVoltageV(), "V"), term("U_table", upTo, "V"));
        return new Finding(
                FindingCode.TABLE_VOLTAGE,
                Verdict.WATCH,
                demand.load().systemVoltageV(),
                upTo,
                "V",
                explanation,
                demand.ruleSet().method().source());
    }

    /** The table's row in use, or null where it has none. */
    public @Nullable TableRating rating() {
        return data.rating();
    }

    public Derating derating() {
        return derating;
    }
}
