package org.ulnaris.app.drawing;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.web.util.HtmlUtils;
import org.ulnaris.core.measure.Figures;

/**
 * Writes drawings as SVG markup. Words and labels are escaped here, classes and coordinates are our own: templates take the
 * result as it is. A template engine would spend a processor on each attribute of each stroke, half of the time of a page.
 */
public final class Svg {
    private Svg() {}

    /** The drawing as an inline element; marks in a row that lead to the same address are one link. */
    static String of(Drawing drawing) {
        StringBuilder svg = new StringBuilder(4096);
        boolean links = drawing.marks().stream().anyMatch(mark -> mark.link().leads());
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\"");
        attribute(svg, "role", links ? "group" : "img");
        attribute(svg, "class", ("drawing " + drawing.css()).strip());
        attribute(svg, "viewBox", drawing.viewBox());
        attribute(svg, "aria-label", escaped(drawing.label()));
        svg.append('>');
        Mark.Link open = Mark.Link.NONE;
        for (int i = 0; i < drawing.marks().size(); i++) {
            Mark mark = drawing.marks().get(i);
            if (!mark.link().equals(open)) {
                svg.append(open.leads() ? "</a>" : "");
                open(svg, drawing.marks(), i);
                open = mark.link();
            }
            append(svg, mark);
        }
        svg.append(open.leads() ? "</a>" : "");
        return svg.append("</svg>").toString();
    }

    /** What is written in the link that begins with the mark {@code from}. */
    private static String written(List<Mark> marks, int from) {
        Mark.Link link = marks.get(from).link();
        return marks.subList(from, marks.size()).stream()
                .takeWhile(mark -> mark.link().equals(link))
                .filter(Mark::isText)
                .map(Mark::text)
                .collect(Collectors.joining(" "));
    }

    /** A label begins with what is written there: who speaks to the machine says what they see (WCAG 2.2, 2.5.3). */
    private static void open(StringBuilder svg, List<Mark> marks, int from) {
        Mark.Link link = marks.get(from).link();
        if (!link.leads()) {
            return;
        }
        svg.append("<a");
        attribute(svg, "href", escaped(link.address()));
        if (!link.says().isEmpty()) {
            String written = written(marks, from);
            String label =
                    written.isEmpty() || link.says().startsWith(written) ? link.says() : written + ", " + link.says();
            attribute(svg, "aria-label", escaped(label));
        }
        if (link.current()) {
            attribute(svg, "aria-current", "true");
        }
        svg.append('>');
    }

    private static void append(StringBuilder svg, Mark mark) {
        svg.append(mark.isText() ? "<text text-anchor=\"middle\"" : "<path");
        attribute(svg, "class", mark.css());
        if (mark.isText()) {
            attribute(svg, "x", Drawing.number(mark.x()));
            attribute(svg, "y", Drawing.number(mark.y()));
            svg.append('>').append(escaped(mark.text())).append("</text>");
        } else {
            attribute(svg, "d", mark.path());
            svg.append("/>");
        }
    }

    /**
     * A bar on a ground of 100 units whose limit stands at 80.
     *
     * @param css class of the bar's colour
     * @param width filled units
     * @param label the bar in words
     */
    public static String bar(String css, double width, String label) {
        StringBuilder svg = new StringBuilder(400);
        svg.append("<svg viewBox=\"0 0 100 10\" preserveAspectRatio=\"none\" role=\"img\"");
        attribute(svg, "class", "bar " + css);
        attribute(svg, "aria-label", escaped(label));
        svg.append("><rect class=\"bar-ground\" x=\"0\" y=\"2\" width=\"80\" height=\"6\"/>");
        svg.append("<rect class=\"bar-fill\" x=\"0\" y=\"2\" height=\"6\"");
        attribute(svg, "width", Figures.fixed(width, 1));
        return svg.append("/><path class=\"bar-end\" d=\"M80 0v10\"/></svg>").toString();
    }

    private static void attribute(StringBuilder svg, String name, String value) {
        svg.append(' ').append(name).append("=\"").append(value).append('"');
    }

    private static String escaped(String words) {
        return HtmlUtils.htmlEscape(words, "UTF-8");
    }
}
