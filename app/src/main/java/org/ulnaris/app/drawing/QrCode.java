package org.ulnaris.app.drawing;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.util.List;
import java.util.Map;

/** An address as a QR code (ISO/IEC 18004), one unit a module, with its quiet zone of four modules. */
public final class QrCode {
    private static final int QUIET = 4;

    private QrCode() {}

    /** The code of {@code address}. */
    public static Drawing of(String address, String label) {
        try {
            BitMatrix code = new QRCodeWriter()
                    .encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, QUIET));
            StringBuilder path = new StringBuilder();
            for (int y = 0; y < code.getHeight(); y++) {
                for (int x = 0; x < code.getWidth(); x++) {
                    if (code.get(x, y)) {
                        path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                    }
                }
            }
            return new Drawing(
                    code.getWidth(), code.getHeight(), label, "qr", List.of(Mark.path("qr-dark", path.toString())));
        } catch (WriterException e) {
            throw new IllegalArgumentException("address too long for a code: " + address.length(), e);
        }
    }
}
