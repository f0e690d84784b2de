package org.ulnaris.app.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class TimeCurrentDrawerTest {
    @Test
    void aDecadeIsAsWideAnywhere() {
        TimeCurrentDrawer sheet = new TimeCurrentDrawer(12, 4000);
        sheet.mark("a", 20);
        sheet.mark("b", 200);
        sheet.mark("c", 2000);
        Drawing drawing = sheet.drawing("sheet");
        double[] x = drawing.marks().stream()
                .filter(mark -> "abc".contains(mark.css()) && !mark.css().isEmpty())
                .mapToDouble(mark -> Double.parseDouble(mark.path().split(" ")[1]))
                .toArray();
        assertThat(x[1] - x[0]).isCloseTo(x[2] - x[1], org.assertj.core.data.Offset.offset(0.02));
    }

    @Test
    void whatLiesBeyondTheSheetStaysOnItsEdge() {
        TimeCurrentDrawer sheet = new TimeCurrentDrawer(10, 1000);
        sheet.band("band", 10, ampere -> 0, ampere -> Double.POSITIVE_INFINITY);
        sheet.line("line", 10, ampere -> Double.POSITIVE_INFINITY);
        sheet.point("point", 1e9, 1e-9);
        Drawing drawing = sheet.drawing("sheet");
        assertThat(drawing.svg()).doesNotContain("NaN", "Infinity").contains("10 A", "1k A", "10k s");
        assertThat(drawing.marks()).noneMatch(mark -> mark.css().equals("line"));
    }
}
