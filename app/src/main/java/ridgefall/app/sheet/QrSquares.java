package ridgefall.app.sheet;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;
import ridgefall.core.units.NotAllowed;

/**
 * A QR code as a drawing.
 *
 * @param path of its dark squares, in units of a square
 * @param modules squares a side, the quiet zone with them
 */
public record QrSquares(String path, int modules) {
    private static final int QUIET_ZONE = 4;

    /** @throws NotAllowed where the text is too long for one */
    public static QrSquares of(String text) {
        BitMatrix code = code(text);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < code.getHeight(); y++) {
            for (int x = 0; x < code.getWidth(); x++) {
                if (code.get(x, y)) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return new QrSquares(path.toString(), code.getWidth());
    }

    private static BitMatrix code(String text) {
        try {
            return new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.MARGIN,
                                    QUIET_ZONE,
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M));
        } catch (WriterException e) {
            throw new NotAllowed("address", text, "an address short enough for a code");
        }
    }
}
