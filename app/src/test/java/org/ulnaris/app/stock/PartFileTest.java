package org.ulnaris.app.stock;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.ulnaris.app.AppTest;
import org.ulnaris.app.undo.LastSteps;

/** A list of parts that is written as a table comes back in, as it was or changed. */
class PartFileTest extends AppTest {
    @Autowired
    private LugStock lugs;

    @Autowired
    private ContactStock contacts;

    private PartList<?, ?, ?> list(String name) {
        return name.equals(LastSteps.LUGS) ? lugs : contacts;
    }

    private List<Object> own(String list) {
        return List.copyOf(list(list).own());
    }

    @BeforeEach
    @AfterEach
    void leaveNone() {
        lugs.own().forEach(lug -> lugs.remove(lug.code()));
        contacts.own().forEach(contact -> contacts.remove(contact.code()));
    }

    private static String table(String list) {
        return list.equals(LastSteps.LUGS)
                ? "code,outside,inside,depth,pad_width,hole\nfile one,15.875,12.1,25,25.4,10\nfile two,20,14,30,28,10.5\n"
                : "code,family,from,to,strip,depth,reach\nfile one,PV,2.5 mm²,4,8,7,40\nfile two,PV,4,6,8,7,40\n";
    }

    private String counts(String list, String text) {
        MvcTestResult checked = upload("/stock/" + list + "/import", text);
        assertThat(checked.getResponse().getStatus())
                .as(body(checked).replaceAll(".*<main|</main.*|<nav.*?</nav>", ""))
                .isEqualTo(200);
        return body(checked)
                .replaceAll("<[^>]*>", "")
                .replaceAll("\\s+", " ")
                .replaceAll(".*?(\\d+ new, \\d+ changed, \\d+ the same already).*", "$1");
    }

    @ParameterizedTest
    @ValueSource(strings = {LastSteps.LUGS, LastSteps.CONTACTS})
    void aWholeListComesBackAsItWas(String list) {
        takeParts(list, table(list), false);
        String written = list(list).csv();
        assertThat(counts(list, written))
                .isEqualTo("0 new, 0 changed, " + list(list).all().size() + " the same already");
        List<?> before = list(list).all();
        String step = step(list);
        assertThat(takeParts(list, written, true)).hasStatus(302);
        assertThat(list(list).all()).isEqualTo(before);
        assertThat(step(list)).isEqualTo(step);
    }

    @ParameterizedTest
    @ValueSource(strings = {LastSteps.LUGS, LastSteps.CONTACTS})
    void whatIsChangedNewAndMissingIsOneStep(String list) {
        takeParts(list, table(list), false);
        List<Object> before = own(list);
        String changed =
                table(list).replaceFirst("file two", "file three").replaceFirst("(,\\d+)(\\.\\d+)?\n", "$1.75\n");
        assertThat(counts(list, changed)).isEqualTo("1 new, 1 changed, 0 the same already");
        assertThat(body(upload("/stock/" + list + "/import", changed)))
                .contains("in the list but not in the file", "file two", "→");
        assertThat(own(list)).isEqualTo(before);

        takeParts(list, changed, false);
        assertThat(own(list)).hasSize(3).contains(before.get(1)).doesNotContain(before.get(0));
        undo("/stock/" + list, list, Map.of());
        assertThat(own(list)).isEqualTo(before);

        takeParts(list, changed, true);
        List<Object> after = own(list);
        assertThat(after).hasSize(2).doesNotContain(before.get(0), before.get(1));
        String step = step(list);
        undo("/stock/" + list, list, Map.of());
        assertThat(own(list)).isEqualTo(before);
        post("/stock/" + list + "/redo", Map.of("step", step));
        assertThat(own(list)).isEqualTo(after);
    }

    /** Two at once: what somebody entered while a table was checked is neither overwritten nor removed unseen. */
    @ParameterizedTest
    @ValueSource(strings = {LastSteps.LUGS, LastSteps.CONTACTS})
    void aListThatChangedMeanwhileIsShownAgain(String list) {
        takeParts(list, table(list), false);
        String one = table(list).split("\\n")[0] + "\n" + table(list).split("\\n")[1] + "\n";
        Map<String, String> mine = partsToTake(one, body(upload("/stock/" + list + "/import", one)), true);
        takeParts(list, table(list).replace("file two", "file theirs"), false);
        List<Object> theirs = own(list);
        MvcTestResult again = post("/stock/" + list + "/import/accept", mine);
        assertThat(again).hasStatus(409);
        assertThat(body(again)).contains("Somebody changed the list meanwhile", "file theirs", "file two");
        assertThat(own(list)).isEqualTo(theirs);
        assertThat(post("/stock/" + list + "/import/accept", partsToTake(one, body(again), true)))
                .hasStatus(302);
        assertThat(own(list)).hasSize(1);
    }

    /** A column that the file does not have stays as it is; a code in other letters is another code, and taken. */
    @ParameterizedTest
    @ValueSource(strings = {LastSteps.LUGS, LastSteps.CONTACTS})
    void whatTheFileDoesNotSayStays(String list) {
        takeParts(list, table(list), false);
        String written = list(list).csv();
        String column = list.equals(LastSteps.LUGS) ? "bell_mouth" : "housing";
        String said = list.equals(LastSteps.LUGS) ? "yes" : "kite";
        String[] lines = table(list).split("\n");
        takeParts(list, lines[0] + "," + column + "\n" + lines[1] + "," + said + "\n", false);
        String with = list(list).csv();
        assertThat(with).isNotEqualTo(written);
        assertThat(counts(list, table(list))).isEqualTo("0 new, 0 changed, 2 the same already");
        assertThat(list(list).csv()).isEqualTo(with);
        assertThat(body(upload("/stock/" + list + "/import", table(list).replace("file one", "FILE ONE"))))
                .contains("Already in use");
    }

    @ParameterizedTest
    @ValueSource(strings = {LastSteps.LUGS, LastSteps.CONTACTS})
    void whatIsNoTableIsAnsweredInWords(String list) {
        for (String odd : List.of("", " ", "code", "\u0000", "a;b\n1;2")) {
            assertThat(upload("/stock/" + list + "/import", odd)).hasStatus(422);
            assertThat(post("/stock/" + list + "/import/accept", Map.of("text", odd)))
                    .hasStatus(422);
        }
        assertThat(post("/stock/" + list + "/import", Map.of())).hasStatus(422);
        assertThat(post("/stock/others/import", Map.of())).hasStatus(404);
    }
}
