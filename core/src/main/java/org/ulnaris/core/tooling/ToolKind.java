package org.ulnaris.core.tooling;

/** Kinds of tools of the trade. */
public enum ToolKind {
    RATCHET(Use.CRIMP),
    ROTARY(Use.CRIMP),
    LEVER(Use.CRIMP),
    HYDRAULIC_HAND(Use.CRIMP),
    HYDRAULIC_BATTERY(Use.CRIMP),
    BENCH_PRESS(Use.CRIMP),
    INDENT(Use.SPIKE),
    HAMMER(Use.SPIKE),
    TORQUE_WRENCH(Use.TORQUE),
    STRIPPER(Use.OTHER),
    CUTTER(Use.OTHER),
    HEAT_GUN(Use.OTHER),
    CALIPER(Use.MEASURE),
    FORCE_GAUGE(Use.MEASURE),
    MILLIOHM_METER(Use.MEASURE);

    /** What a tool is for. */
    public enum Use {
        /** Closes dies. */
        CRIMP,
        /** Presses a spike. */
        SPIKE,
        TORQUE,
        MEASURE,
        OTHER
    }

    private final Use use;

    ToolKind(Use use) {
        this.use = use;
    }

    public Use use() {
        return use;
    }

    /** Whether it presses a barrel, with dies or a spike. */
    public boolean crimps() {
        return use == Use.CRIMP || use == Use.SPIKE;
    }
}
