package org.ulnaris.core.fastening;

import static org.ulnaris.core.finding.Notes.note;

import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.ulnaris.core.installation.TerminalMetal;

/**
 * What a preload is worked out with.
 *
 * @param steel what stud and nut are made of
 * @param threads how the threads turn
 */
public record Bolting(Steel steel, Threads threads) {
    /** Steel of class 8.8 or grade 5, dry. */
    public static final Bolting USUAL = new Bolting(Steel.HIGH_TENSILE, Threads.DRY);

    /** Steels by their proof stress. */
    public enum Steel {
        /** ISO 898-1 class 8.8, SAE J429 grade 5. */
        HIGH_TENSILE(note("Bolting.class-8-8")),
        /** ISO 3506-1, austenitic steel of property class 70. */
        STAINLESS_70(note("Bolting.stainless-of-class")),
        /** ISO 898-1 class 4.6. */
        MILD(note("Bolting.class-4-6")),
        /** Free-cutting brass, half hard. */
        BRASS(note("Bolting.brass"));

        private static final double STAINLESS_70_MPA = 450;
        private static final double MILD_MPA = 225;
        private static final double BRASS_MPA = 200;

        private final String words;

        Steel(String words) {
            this.words = words;
        }

        /** Stress that a stud of it stands for good, MPa. */
        double proofStressMPa(Stud stud) {
            return switch (this) {
                case HIGH_TENSILE -> stud.thread().proofStressMPa();
                case STAINLESS_70 -> STAINLESS_70_MPA;
                case MILD -> MILD_MPA;
                case BRASS -> BRASS_MPA;
            };
        }
    }

    /** Threads by their nut factor K in F = T/(K·d). */
    public enum Threads {
        DRY(0.20, note("Bolting.dry")),
        OILED(0.15, note("Bolting.oiled"));

        private final double nutFactor;
        private final String words;

        Threads(double nutFactor, String words) {
            this.nutFactor = nutFactor;
            this.words = words;
        }

        public double nutFactor() {
            return nutFactor;
        }
    }

    public Bolting {
        Objects.requireNonNull(steel, "steel");
        Objects.requireNonNull(threads, "threads");
    }

    /** The same on a stud of {@code metal}: of brass and stainless steel it is that, else what the house takes for its studs. */
    public Bolting on(@Nullable TerminalMetal metal) {
        if (metal == TerminalMetal.BRASS) {
            return new Bolting(Steel.BRASS, threads);
        }
        return metal == TerminalMetal.STAINLESS ? new Bolting(Steel.STAINLESS_70, threads) : this;
    }

    /** In words: "class 8.8 or grade 5, dry threads, K = 0.2". */
    public String words() {
        return note("Bolting.words", steel.words, threads.words, String.valueOf(threads.nutFactor));
    }
}
