package org.ulnaris.app.shell;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** XHTML to PDF with the shipped fonts. */
@Component
public class PdfPrinter {
    private static final String BASE = "classpath:/";

    PdfPrinter() {
        com.openhtmltopdf.util.XRLog.setLoggingEnabled(false);
    }

    /** The document as PDF. */
    public byte[] print(String xhtml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "AtkinsonNext-Regular.ttf", "Atkinson Next", 400);
        font(builder, "AtkinsonNext-Bold.ttf", "Atkinson Next", 700);
        font(builder, "AtkinsonMono-Regular.ttf", "Atkinson Mono", 400);
        builder.useProtocolsStreamImplementation(url -> new ClassPathStream(url), "classpath");
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.withHtmlContent(inOurFonts(xhtml), BASE);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** Signs that our fonts lack, by the ones that they have. */
    private static String inOurFonts(String text) {
        return text.replace('\u00b5', '\u03bc').replace('\u2126', '\u03a9').replace('→', '–');
    }

    private static void font(PdfRendererBuilder builder, String file, String family, int weight) {
        builder.useFont(
                () -> open("fonts/" + file),
                family,
                weight,
                com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle.NORMAL,
                true);
    }

    private static InputStream open(String path) {
        try {
            return new ClassPathResource(path).getInputStream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Only what ships with the application can be drawn into a document. */
    private record ClassPathStream(String url) implements com.openhtmltopdf.extend.FSStream {
        @Override
        public InputStream getStream() {
            return open(url.replaceFirst("^classpath:/*", ""));
        }

        @Override
        public java.io.Reader getReader() {
            return new java.io.InputStreamReader(getStream(), java.nio.charset.StandardCharsets.UTF_8);
        }
    }
}
