package org.ulnaris.app.work;

/** Something kept whose change means that jobs are worked out anew. */
public interface Shapes {
    /**
     * Whose jobs it shapes.
     *
     * @param reach how far a change reaches
     * @param id of the job or the cable; 0 for the shop
     */
    record Scope(Reach reach, long id) {
        public static Scope job(long id) {
            return new Scope(Reach.JOB, id);
        }

        public static Scope cable(long id) {
            return new Scope(Reach.CABLE, id);
        }

        public static final Scope SHOP = new Scope(Reach.SHOP, 0);
    }

    /** How far a change reaches. */
    enum Reach {
        JOB,
        /** The job of a cable. */
        CABLE,
        /** Every job. */
        SHOP
    }

    Scope scope();

    /** Whether it is the job itself, which says by its own what may be changed in it. */
    default boolean isJob() {
        return false;
    }
}
