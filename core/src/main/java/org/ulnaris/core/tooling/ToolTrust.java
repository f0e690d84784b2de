package org.ulnaris.core.tooling;

import static org.ulnaris.core.finding.Expression.term;
import static org.ulnaris.core.finding.Notes.note;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Source;
import org.ulnaris.core.finding.Verdict;

/**
 * How far a tool is trusted by its samples (ours): the last {@value #COUNTED} of the last {@value #MONTHS} months count. Trusted with at
 * least {@value #ENOUGH}, all of them sound; not trusted when the newest fails, or more than one in four; else to be watched, and a note while
 * there are too few and none has failed.
 *
 * @param level the outcome
 * @param sound samples that are sound
 * @param failed samples that failed
 * @param counted samples that count
 */
public record ToolTrust(Level level, int sound, int failed, int counted) {
    static final int COUNTED = 12;
    static final int ENOUGH = 3;
    static final int MONTHS = 24;
    /** How sure the share is that samples show. */
    static final double CONFIDENCE = 0.9;

    /** How far. */
    public enum Level {
        TRUSTED(Verdict.PASS),
        WATCH(Verdict.WATCH),
        NOT_TRUSTED(Verdict.STOP);

        private final Verdict verdict;

        Level(Verdict verdict) {
            this.verdict = verdict;
        }

        public Verdict verdict() {
            return verdict;
        }
    }

    /** Trust on {@code today}. */
    public static ToolTrust of(Collection<Sample> samples, LocalDate today) {
        List<Sample> counted = samples.stream()
                .filter(Sample::tested)
                .filter(sample -> !sample.made().isBefore(today.minusMonths(MONTHS)))
                .sorted(Comparator.comparing(Sample::made).reversed())
                .limit(COUNTED)
                .toList();
        int sound = (int) counted.stream()
                .filter(sample -> sample.verdict() == Verdict.PASS)
                .count();
        int failed = (int) counted.stream()
                .filter(sample -> sample.verdict() == Verdict.STOP)
                .count();
        return new ToolTrust(level(counted, sound, failed), sound, failed, counted.size());
    }

    private static Level level(List<Sample> newestFirst, int sound, int failed) {
        if (!newestFirst.isEmpty()
                && (newestFirst.get(0).verdict() == Verdict.STOP || 4 * failed > newestFirst.size())) {
            return Level.NOT_TRUSTED;
        }
        return newestFirst.size() >= ENOUGH && sound == newestFirst.size() ? Level.TRUSTED : Level.WATCH;
    }

    /**
     * What samples of which none failed show: at least this share of all joints of the tool is sound, at {@value #CONFIDENCE} confidence,
     * p = (1 − {@value #CONFIDENCE})^(1/n) (Clopper and Pearson's lower bound without a failure). Empty without a sample, or where one is
     * not sound.
     */
    public OptionalDouble assuredShare() {
        return counted > 0 && sound == counted
                ? OptionalDouble.of(Math.pow(1 - CONFIDENCE, 1.0 / counted))
                : OptionalDouble.empty();
    }

    /** How many samples, all sound, show that at least {@code share} of all joints are. */
    public static int samplesFor(double share) {
        return (int) Math.ceil(Math.log(1 - CONFIDENCE) / Math.log(share) - 1e-9);
    }

    /** What it means for an end that would be made with the tool. */
    public Finding finding() {
        return new Finding(
                FindingCode.TOOL_TRUST,
                level == Level.WATCH && sound == counted ? Verdict.NOTE : level.verdict(),
                sound,
                counted,
                "",
                Explanation.read(
                        note("ToolTrust.of-the-samples"),
                        term("sound", sound, ""),
                        term("failed", failed, ""),
                        term("counted", counted, "")),
                Source.own(note("ToolTrust.trust-by-cut")));
    }
}
