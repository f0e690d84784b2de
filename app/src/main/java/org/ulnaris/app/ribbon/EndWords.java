package org.ulnaris.app.ribbon;

import java.util.OptionalInt;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.crimp.Crimp;
import org.ulnaris.core.making.Handiness;
import org.ulnaris.core.making.MatchedLug;

/** What is said of an end wherever it is shown: on its ribbon, beside it, at the bench, on paper. */
public final class EndWords {
    private EndWords() {}

    /** Where the dies are fetched from. */
    public static String fetch(MatchedLug.Tooling tooling, Words words) {
        String tag = tooling.dies().die().tag();
        String in = tooling.dies().inTool();
        if (in == null) {
            return words.of("fact.tool.fetch", tag);
        }
        return in.equals(tooling.tool().tag()) ? words.of("fact.tool.in", tag) : words.of("fact.tool.change", tag, in);
    }

    /** How many of a part lie on the shelf; empty where nothing at all is counted. */
    public static String onShelf(Handiness handy, String code, Words words) {
        OptionalInt count = handy.onShelf(code);
        return count.isEmpty() ? "" : words.of(count.getAsInt() == 0 ? "handy.none" : "handy.count", count.getAsInt());
    }

    /** How often which dies press: "3 × K14". */
    public static String crimps(Crimp crimp) {
        return crimp.crimps() + " × " + crimp.die().tag();
    }
}
