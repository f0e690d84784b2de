package org.ulnaris.app.shell;

import static org.assertj.core.api.Assertions.assertThat;
import static org.ulnaris.core.finding.Expression.PI;
import static org.ulnaris.core.finding.Expression.exp;
import static org.ulnaris.core.finding.Expression.number;
import static org.ulnaris.core.finding.Expression.term;

import java.io.StringReader;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.ulnaris.core.finding.Explanation;
import org.ulnaris.core.finding.Expression;
import org.ulnaris.core.finding.Expression.Term;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;

class ReasonTest {
    private static final Term A = term("A", 50, "mm²");
    private static final Term D = term("D_w", 8.4, "mm");

    private static Document parsed(Explanation explanation) throws Exception {
        String xml = "<p>" + new Reason(explanation).html() + "</p>";
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(xml)));
    }

    /** What is read on the page, signs of fractions and powers aside. */
    private static String read(Explanation explanation) throws Exception {
        return parsed(explanation).getDocumentElement().getTextContent().strip();
    }

    @Test
    void eachStepOfAnEquationStandsByItself() throws Exception {
        Explanation fill = Explanation.of(
                        term("f", 0.9023, ""), A.over(PI.over(number(4)).times(D.squared())))
                .noted("of the bore");
        assertThat(read(fill)).isEqualTo("f=Aπ4·Dw2 =50\u2009mm²π4·(8.4\u2009mm)2 =0.9023 of the bore");
        Document page = parsed(fill);
        assertThat(page.getElementsByTagName("math").getLength()).isEqualTo(3);
        assertThat(page.getElementsByTagName("mfrac").getLength()).isEqualTo(4);
        assertThat(page.getElementsByTagName("msub").getLength()).isEqualTo(1);
    }

    @Test
    void signsAndSumsKeepTheirBrackets() throws Exception {
        Term low = term("T_a", -5, "°C");
        Expression formula = A.minus(low).times(exp(A.plus(A).negative().over(A)));
        assertThat(read(Explanation.of(term("T", 1, "°C"), formula)))
                .isEqualTo(
                        "T=(A−Ta)·e−(A+A)A =(50\u2009mm²−(−5\u2009°C))·e−(50\u2009mm²+50\u2009mm²)50\u2009mm² =1\u2009°C");
    }

    @Test
    void whatWasReadIsSaidBeforeItsFigures() throws Exception {
        assertThat(read(Explanation.read("lugs on one stud", term("n", 5, ""), term("n_max", 4, ""))))
                .isEqualTo("lugs on one stud: n=5 nmax=4");
        assertThat(read(Explanation.words("seen at the bench"))).isEqualTo("seen at the bench");
    }

    @Test
    void nothingInItIsMarkup() {
        String html = new Reason(Explanation.read("<b>&", term("<i>_\"", 1, "<u>"))).html();
        assertThat(html).doesNotContain("<b>", "<i>", "<u>").contains("&lt;b&gt;&amp;", "&lt;i&gt;", "&lt;u&gt;");
    }
}
