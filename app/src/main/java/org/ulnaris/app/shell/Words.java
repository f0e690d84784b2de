package org.ulnaris.app.shell;

import java.util.Locale;
import java.util.Optional;
import org.springframework.context.MessageSource;
import org.springframework.stereotype.Component;
import org.ulnaris.core.finding.Deviation;
import org.ulnaris.core.finding.Finding;
import org.ulnaris.core.finding.FindingCode;
import org.ulnaris.core.finding.Verdict;
import org.ulnaris.core.making.ReadingKind;

/** Words for codes, from the message bundle. */
@Component("words")
public class Words {
    private final MessageSource messages;

    Words(MessageSource messages) {
        this.messages = messages;
    }

    /** The message {@code key} with its parts. */
    public String of(String key, Object... parts) {
        return messages.getMessage(key, parts, Locale.ENGLISH);
    }

    /** Name of a field of a form; as it is called in the form itself where there is none. */
    public String field(String name) {
        return find("field." + name).orElse(name);
    }

    /** The message {@code key}; empty when there is none. */
    public Optional<String> find(String key, Object... parts) {
        return Optional.ofNullable(messages.getMessage(key, parts, null, Locale.ENGLISH));
    }

    /** Name of an enum constant, under {@code <Type>.<CONSTANT>}. */
    public String name(Enum<?> constant) {
        return of(constant.getDeclaringClass().getSimpleName() + "." + constant.name());
    }

    /** Name of a dimension that calipers take. */
    public String caliper(String dimension) {
        return of("caliper." + dimension);
    }

    /** What is wrong with an entry and what is expected. */
    public String fault(Fault fault) {
        return of("fault." + fault.code().name(), fault.parts().toArray());
    }

    /** The sentence of a finding, with its figures in the job's units; with who answers for it. */
    public String sentence(Finding finding, Fmt fmt) {
        Deviation deviation = finding.deviation();
        if (deviation != null) {
            return of(
                    "finding.accepted",
                    plain(finding, Verdict.STOP, fmt),
                    deviation.by().isEmpty() ? of("finding.accepted.by-nobody") : deviation.by(),
                    deviation.reason());
        }
        return plain(finding, finding.verdict(), fmt);
    }

    private String plain(Finding finding, Verdict verdict, Fmt fmt) {
        if (verdict == Verdict.OPEN
                && ReadingKind.reads(finding.code())
                && finding.unit().isEmpty()) {
            return finding.about().isEmpty() ? of("finding.unread") : of("finding.not-measured", finding.about());
        }
        String title = "finding." + finding.code().name();
        if (finding.code() == FindingCode.AMPACITY && finding.limit() == 0) {
            return of("finding.AMPACITY.unrated");
        }
        return find(
                        title + "." + verdict.name(),
                        fmt.figure(finding.figure(), finding.unit()),
                        fmt.figure(finding.limit(), finding.unit()),
                        finding.about())
                .or(() -> verdict == Verdict.OPEN ? unsaid(finding, fmt) : Optional.empty())
                .orElseGet(() -> of(title));
    }

    /** A stop that rests on something nobody said. */
    private Optional<String> unsaid(Finding finding, Fmt fmt) {
        return find(
                        "finding." + finding.code().name() + "." + Verdict.STOP,
                        fmt.figure(finding.figure(), finding.unit()),
                        fmt.figure(finding.limit(), finding.unit()),
                        finding.about())
                .map(stop -> of("finding.asked", stop));
    }

    /** Title of a check as it stands inside of a sentence. */
    public String inSentence(FindingCode code) {
        return lower(of("finding." + code.name()));
    }

    /** Name of a field as it stands inside of a sentence. */
    public String fieldInSentence(String field) {
        return lower(field(field));
    }

    /** Words begin small inside of a sentence, abbreviations don't. */
    private static String lower(String title) {
        boolean word = title.length() < 2 || Character.isLowerCase(title.charAt(1));
        return word ? title.substring(0, 1).toLowerCase(Locale.ENGLISH) + title.substring(1) : title;
    }

    /** A finding ready to be shown. */
    public FindingView view(Finding finding, Fmt fmt) {
        return new FindingView(
                of("finding." + finding.code().name()),
                finding.verdict(),
                sentence(finding, fmt),
                new Reason(finding.explanation()),
                finding.source().text(),
                name(finding.source().confidence()));
    }
}
