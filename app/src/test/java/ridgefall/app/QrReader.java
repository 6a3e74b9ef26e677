package ridgefall.app;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.DecodeHintType;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.GlobalHistogramBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.util.Arrays;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a drawn QR code back. */
final class QrReader {
    private static final int SCALE = 6;
    private static final Pattern SQUARE = Pattern.compile("M(\\d+) (\\d+)h");

    private QrReader() {}

    static String text(String path, int modules) {
        int side = modules * SCALE;
        int[] pixels = new int[side * side];
        Arrays.fill(pixels, 0xFFFFFF);
        Matcher square = SQUARE.matcher(path);
        while (square.find()) {
            int x = Integer.parseInt(square.group(1)) * SCALE;
            int y = Integer.parseInt(square.group(2)) * SCALE;
            for (int i = 0; i < SCALE * SCALE; i++) {
                pixels[(y + i / SCALE) * side + x + i % SCALE] = 0;
            }
        }
        try {
            return new QRCodeReader()
                    .decode(
                            new BinaryBitmap(new GlobalHistogramBinarizer(new RGBLuminanceSource(side, side, pixels))),
                            // It is drawn, not photographed: looking for it in a picture now and then takes a piece of
                            // what it says for one of its corners.
                            Map.of(DecodeHintType.PURE_BARCODE, true))
                    .getText();
        } catch (ReaderException e) {
            throw new AssertionError("no telephone could read this code", e);
        }
    }
}
