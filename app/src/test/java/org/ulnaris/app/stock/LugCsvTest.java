package org.ulnaris.app.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.undo.LastSteps;
import org.ulnaris.core.termination.Lug;
import org.ulnaris.core.termination.LugForm;
import org.ulnaris.core.termination.LugMaterial;

class LugCsvTest extends AppTest {
    private static final String HEADER = "code,material,outside,inside,depth,pad_width,hole\n";

    @Autowired
    private LugStock stock;

    private MvcTestResult take(String text) {
        return takeParts("lugs", text, false);
    }

    @Test
    void unitsMayBeMixed() {
        assertThat(take(HEADER
                        + "csv one,COPPER,15.9,12.1 mm,1 in,\"25,4\",3/8 in\ncsv two,aluminium,20 mm,14,30,28,10.5\n"))
                .hasStatus(302);
        Lug one = stock.coded("csv one").orElseThrow();
        assertThat(one.barrel().depthMm()).isCloseTo(25.4, within(1e-9));
        assertThat(one.pad().widthMm()).isCloseTo(25.4, within(1e-9));
        assertThat(one.pad().holeMm()).isCloseTo(9.525, within(1e-9));
        assertThat(stock.coded("csv two").orElseThrow().barrel().material()).isEqualTo(LugMaterial.ALUMINIUM);
        assertThat(body(get("/stock/lugs.csv")))
                .startsWith("code,material,outside")
                .contains("csv one,COPPER,15.9 mm");
    }

    /** One press takes a file back, but for a lug that is gone meanwhile. */
    @Test
    void aFileIsTakenBackAsOneStep() {
        take(
                HEADER
                        + "back one,COPPER,15.9,12.1,25,25.4,10\nback two,COPPER,20,14,30,28,10.5\nback three,COPPER,20,14,30,28,8.5\n");
        assertThat(body(get("/stock/lugs"))).contains("3 lugs were taken from a file.");
        stock.remove("back two");
        assertThat(undo("/stock/lugs", LastSteps.LUGS, Map.of())).hasRedirectedUrl("/stock/lugs?undone=2&left=1");
        assertThat(stock.coded("back one")).isEmpty();
        assertThat(stock.coded("back three")).isEmpty();
        assertThat(body(get("/stock/lugs"))).contains("Undone:");
    }

    @Test
    void formsAreWrittenAndRead() {
        assertThat(take(
                        "code,outside,inside,depth,pad_width,hole,angle,hole_pitch,pad_material,finish,window,bell_mouth,conductors\n"
                                + "bent,14.5,10,28,22,8.4,90°,,,bare,yes,no,1\n"
                                + "long,14.5,10,28,22,8.4,0,1 in,,,,,2\n"))
                .hasStatus(302);
        LugForm bent = stock.coded("bent").orElseThrow().form();
        assertThat(bent.angleDeg()).isEqualTo(90);
        assertThat(bent.body()).isEqualTo(new LugForm.Body(LugMaterial.COPPER, false, true, false));
        Lug two = stock.coded("long").orElseThrow();
        assertThat(two.pitchMm()).isCloseTo(25.4, within(1e-9));
        assertThat(two.form().conductors()).isEqualTo(2);
        assertThat(two.form().body().tinned()).isTrue();
        String written = body(get("/stock/lugs.csv"));
        assertThat(written)
                .contains("bent,COPPER,14.5 mm,10 mm,28 mm,22 mm,8.4 mm,90°,,COPPER,bare,true,false,1")
                .contains("AC 35 · M8,ALUMINIUM")
                .contains("COPPER,tinned,false,false,1");
        String again = written.lines()
                .filter(line -> line.startsWith("code,") || line.startsWith("bent,") || line.startsWith("long,"))
                .map(line -> line.startsWith("code,") ? line : "re" + line)
                .reduce("", (all, line) -> all + line + "\n");
        assertThat(take(again)).hasStatus(302);
        assertThat(stock.coded("relong").orElseThrow().form()).isEqualTo(two.form());
    }

    /** What was written is read again as it was; only the names are taken. */
    @Test
    void whatIsWrittenCanBeRead() {
        String written = body(get("/stock/lugs.csv"));
        String renamed = written.lines()
                .limit(12)
                .map(line -> line.startsWith("code,") ? line : "again " + line)
                .reduce("", (all, line) -> all + line + "\n");
        assertThat(take(renamed)).hasStatus(302);
        String code = renamed.lines().skip(1).findFirst().orElseThrow().split(",")[0];
        Lug again = stock.coded(code).orElseThrow();
        Lug first = stock.coded(code.replace("again ", "")).orElseThrow();
        assertThat(again.barrel().outerMm()).isCloseTo(first.barrel().outerMm(), within(1e-3));
        assertThat(again.pad().widthMm()).isCloseTo(first.pad().widthMm(), within(1e-3));
        assertThat(body(upload("/stock/lugs/import", written.replaceFirst("(?m)^(KU [^,]*,COPPER),[0-9.]+", "$1,99"))))
                .contains("Already in use");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "code,outside|1 row below",
                "code,outside\\nx,1|a column inside",
                "code,colour,outside,inside,depth,pad_width,hole\\nx,red,1,1,1,1,1|Expected one of",
                "code,outside,inside,depth,pad_width,hole\\nbad,10,12,20,20,8|smaller than the outside",
                "code,outside,inside,depth,pad_width,hole\\nbad,10,wide,20,20,8|Row 2",
                "code,outside,inside,depth,pad_width,hole,angle\\nbad,10,7,20,20,8,30|Expected one of: 0°",
                "code,outside,inside,depth,pad_width,hole,finish\\nbad,10,7,20,20,8,gold|tinned, bare",
                "code,outside,inside,depth,pad_width,hole,conductors\\nbad,10,7,20,20,8,9|2",
                "code,outside,inside,depth,pad_width,hole\\nbad,10,7,20,20,8\\nbad,10,7,20,20,8|Already in use",
                "'code,outside,inside,depth,pad_width,hole\\n\"bad,10,7,20,20,8'|closed quotes"
            })
    void aFaultyFileIsRefusedWhole(String text, String said) {
        var refused = take(text.replace("\\n", "\n"));
        assertThat(refused).hasStatus(422);
        assertThat(body(refused)).contains("Nothing was taken", said);
        assertThat(stock.coded("bad")).isEmpty();
    }

    @Test
    void aFormulaIsNoFormula() {
        assertThat(take("code;outside;inside;depth;pad_width;hole\n'=1+1;10;7;20;20;8\n"))
                .hasStatus(302);
        assertThat(stock.coded("=1+1")).isPresent();
        assertThat(body(get("/stock/lugs.csv"))).contains("\n'=1+1,");
        stock.remove("=1+1");
    }
}
