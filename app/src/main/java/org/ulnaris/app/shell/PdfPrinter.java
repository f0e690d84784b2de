package org.ulnaris.app.shell;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import com.openhtmltopdf.util.ThreadCtx;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Iterator;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.IntPredicate;
import java.util.regex.Pattern;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.multipdf.PDFMergerUtility;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.util.FileSystemUtils;

/** XHTML to PDF with the shipped fonts, one document at a time: a document takes more memory than all else of a request. */
@Component
public class PdfPrinter {
    private static final String BASE = "classpath:/";

    /** What no XML document may hold, nor any of our fonts: it may still be in names that were kept long ago. */
    private static final Pattern UNPRINTABLE =
            Pattern.compile("[\\x00-\\x08\\x0B\\x0C\\x0E-\\x1F\\uFFFE\\uFFFF]|\\p{Cs}");

    private final ReentrantLock press = new ReentrantLock(true);

    public PdfPrinter() {
        com.openhtmltopdf.util.XRLog.setLoggingEnabled(false);
    }

    /** The document as PDF. */
    public byte[] print(String xhtml) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        print(xhtml, out);
        return out.toByteArray();
    }

    /**
     * Documents one after another in one file. Only one of them is in memory at a time, and the file takes the place of an older one when
     * it is whole.
     *
     * @param goOn asked before each document with how many are done; false ends it without a file
     * @return whether the file is there
     */
    public boolean print(Iterator<String> documents, Path file, IntPredicate goOn) throws IOException {
        Path parts = Files.createTempDirectory(file.toAbsolutePath().getParent(), "print");
        try {
            PDFMergerUtility merger = new PDFMergerUtility();
            merger.setDocumentMergeMode(PDFMergerUtility.DocumentMergeMode.OPTIMIZE_RESOURCES_MODE);
            int done = 0;
            while (documents.hasNext()) {
                if (!goOn.test(done)) {
                    return false;
                }
                Path part = parts.resolve(done + ".pdf");
                try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(part))) {
                    print(documents.next(), out);
                }
                merger.addSource(part.toFile());
                done++;
            }
            Path whole = parts.resolve("whole.pdf");
            merger.setDestinationFileName(whole.toString());
            merger.mergeDocuments(IOUtils.createTempFileOnlyStreamCache());
            Files.move(whole, file, StandardCopyOption.REPLACE_EXISTING);
            return true;
        } finally {
            FileSystemUtils.deleteRecursively(parts);
        }
    }

    private void print(String xhtml, OutputStream out) {
        press.lock();
        try {
            builder(xhtml, out).run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } finally {
            // The renderer would leave the whole document with this thread until it prints again.
            ThreadCtx.cleanup();
            press.unlock();
        }
    }

    private static PdfRendererBuilder builder(String xhtml, OutputStream out) {
        PdfRendererBuilder builder = new PdfRendererBuilder();
        font(builder, "AtkinsonNext-Regular.ttf", "Atkinson Next", 400);
        font(builder, "AtkinsonNext-Bold.ttf", "Atkinson Next", 700);
        font(builder, "AtkinsonMono-Regular.ttf", "Atkinson Mono", 400);
        builder.useProtocolsStreamImplementation(url -> new ClassPathStream(url), "classpath");
        builder.useSVGDrawer(new BatikSVGDrawer());
        builder.withHtmlContent(inOurFonts(xhtml), BASE);
        builder.toStream(out);
        return builder;
    }

    /** Signs that our fonts lack, by the ones that they have. */
    private static String inOurFonts(String text) {
        return UNPRINTABLE
                .matcher(text)
                .replaceAll("")
                .replace('\u00b5', '\u03bc')
                .replace('\u2126', '\u03a9')
                .replace('→', '–');
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
