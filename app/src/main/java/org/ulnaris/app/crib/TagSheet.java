package org.ulnaris.app.crib;

import java.util.List;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;
import org.ulnaris.app.drawing.DieDrawer;
import org.ulnaris.app.drawing.Drawing;
import org.ulnaris.app.drawing.QrCode;
import org.ulnaris.app.shell.PdfPrinter;
import org.ulnaris.app.shell.Words;
import org.ulnaris.core.measure.Figures;

/** Tags of dies on A4: the outline at one to one, the code that leads to the page of the dies, a slip for each half. */
@Component
class TagSheet {
    private final ITemplateEngine templates;
    private final PdfPrinter printer;
    private final Words words;

    TagSheet(ITemplateEngine templates, PdfPrinter printer, Words words) {
        this.templates = templates;
        this.printer = printer;
        this.words = words;
    }

    /** A tag. */
    record Tag(DieDetails die, String flats, Drawing outline, Drawing code) {}

    /** All of {@code dies}; their codes begin with {@code base}. */
    byte[] print(List<DieDetails> dies, String base) {
        Context context = new Context(Locale.ENGLISH);
        context.setVariable("tags", dies.stream().map(die -> tag(die, base)).toList());
        context.setVariable("words", words);
        return printer.print(templates.process("crib/tags", context));
    }

    private Tag tag(DieDetails die, String base) {
        return new Tag(
                die,
                Figures.significant(die.acrossFlatsMm(), 4),
                DieDrawer.outline(die.die(), die.tag()),
                QrCode.of(base + CribController.address(die.tag()), die.tag()));
    }
}
