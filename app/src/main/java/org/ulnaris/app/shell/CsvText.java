package org.ulnaris.app.shell;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;

/** How CSV files are read and written: RFC 4180, comma or semicolon, nothing that a spreadsheet would run. */
public final class CsvText {
    private static final String FORMULA = "=+-@\t\r";

    /** A negative figure with its unit, letters and degree signs only: anything else could be computed. */
    private static final Pattern NEGATIVE = Pattern.compile("-\\d+([.,]\\d+)? ?[\\p{L}°µμΩ%²]*");

    private CsvText() {}

    /** The format of {@code text}: the delimiter that its header has more of. */
    public static CSVFormat format(String text) {
        String header = text.lines().findFirst().orElse("");
        boolean semicolons = header.chars().filter(c -> c == ';').count()
                > header.chars().filter(c -> c == ',').count();
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(semicolons ? ';' : ',')
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .get();
    }

    /** A file as text; empty when it is not UTF-8: letters of another encoding would be kept broken. */
    public static Optional<String> decode(byte[] bytes) {
        try {
            return Optional.of(StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString());
        } catch (CharacterCodingException e) {
            return Optional.empty();
        }
    }

    /** The text without a byte order mark. */
    public static String body(String text) {
        return text.replaceFirst("^\uFEFF", "");
    }

    /** A cell that a spreadsheet would run as a formula gets an apostrophe before it. */
    public static String neutral(String cell) {
        boolean formula = !cell.isEmpty() && FORMULA.indexOf(cell.charAt(0)) >= 0;
        boolean number = NEGATIVE.matcher(cell).matches();
        return formula && !number ? "'" + cell : cell;
    }

    /** The cell as it was before {@link #neutral}. */
    public static String original(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && FORMULA.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
