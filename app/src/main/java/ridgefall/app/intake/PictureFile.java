package ridgefall.app.intake;

import java.io.ByteArrayOutputStream;
import java.nio.BufferUnderflowException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Set;
import ridgefall.core.units.NotAllowed;

/**
 * A picture's file without what is not needed to see it. Of a PNG only the chunks that make pixels are kept: the others
 * may hold text that unpacks to gigabytes, and are skipped unread.
 *
 * @param bytesAPixel at most, once unpacked
 * @param progressive a JPEG whose reader has to hold all of it at once
 */
record PictureFile(byte[] bytes, int bytesAPixel, boolean progressive) {
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'};
    private static final Set<String> PIXELS = Set.of("IHDR", "PLTE", "tRNS", "IDAT", "IEND");
    private static final int LENGTH_TYPE_AND_SUM = 12;
    private static final int DEPTH_AT = 24;
    private static final int JPEG_BYTES_A_PIXEL = 4;
    private static final int MOST_PNG_SAMPLES = 4;

    /** @throws NotAllowed when a PNG's chunks do not fit into its file */
    static PictureFile of(byte[] file) {
        if (Arrays.equals(file, 0, Math.min(PNG.length, file.length), PNG, 0, PNG.length)) {
            return png(file);
        }
        return new PictureFile(file, JPEG_BYTES_A_PIXEL, progressiveJpeg(file));
    }

    private static PictureFile png(byte[] file) {
        try {
            ByteBuffer in = ByteBuffer.wrap(file);
            ByteArrayOutputStream kept = new ByteArrayOutputStream(file.length);
            kept.write(file, 0, PNG.length);
            in.position(PNG.length);
            String type;
            do {
                int start = in.position();
                int length = in.getInt();
                byte[] name = new byte[4];
                in.get(name);
                type = new String(name, StandardCharsets.ISO_8859_1);
                in.position(Math.addExact(start, Math.addExact(length, LENGTH_TYPE_AND_SUM)));
                if (PIXELS.contains(type)) {
                    kept.write(file, start, length + LENGTH_TYPE_AND_SUM);
                }
            } while (!type.equals("IEND"));
            int samples = Math.max(1, file[DEPTH_AT] / 8) * MOST_PNG_SAMPLES;
            return new PictureFile(kept.toByteArray(), samples, false);
        } catch (BufferUnderflowException | IllegalArgumentException | ArithmeticException e) {
            throw new NotAllowed("photo", "a broken picture", "a JPEG or PNG");
        }
    }

    /** Whether its frame header is one of the progressive kinds; looks at markers only. */
    private static boolean progressiveJpeg(byte[] file) {
        int at = 2;
        while (at + 3 < file.length && (file[at] & 0xFF) == 0xFF) {
            int marker = file[at + 1] & 0xFF;
            boolean frame = marker >= 0xC0 && marker <= 0xCF && marker != 0xC4 && marker != 0xC8 && marker != 0xCC;
            if (frame) {
                return (marker & 0x03) == 2;
            }
            // A marker may be preceded by any number of fill bytes.
            at += marker == 0xFF ? 1 : 2 + ((file[at + 2] & 0xFF) << 8 | file[at + 3] & 0xFF);
        }
        return false;
    }
}
