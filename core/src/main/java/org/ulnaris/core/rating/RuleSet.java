package org.ulnaris.core.rating;

/** The published methods to choose from. */
public enum RuleSet {
    CFR_183_425(new Cfr183425()),
    ISO_SMALL_CRAFT(new IsoSmallCraft()),
    NEC_FREE_AIR(new NecFreeAir()),
    NEC_RACEWAY(new NecRaceway());

    private final AmpacityMethod method;

    RuleSet(AmpacityMethod method) {
        this.method = method;
    }

    /** Whether it is a code for installations on land. */
    public boolean isLand() {
        return this == NEC_FREE_AIR || this == NEC_RACEWAY;
    }

    /** The method behind the name. */
    public AmpacityMethod method() {
        return method;
    }
}
