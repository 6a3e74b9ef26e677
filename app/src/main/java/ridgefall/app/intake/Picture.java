package ridgefall.app.intake;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import ridgefall.core.units.NotAllowed;

/**
 * Unpacks what a stranger's file says it is, without trusting it: one at a time, never more than {@value #MOST_BYTES}
 * bytes of it, nothing but pixels.
 */
final class Picture {
    private static final long MOST_PIXELS = 50_000_000;
    private static final int MOST_SIDE = 20_000;

    /** Larger ones are read in every second, third … row and column. */
    private static final long MOST_BYTES = 64L << 20;

    /** A JPEG that sharpens bit by bit is held whole by its reader, two bytes a sample, whatever is asked of it. */
    private static final long MOST_PROGRESSIVE_PIXELS = 20_000_000;

    private static final int START_OF_SCAN = 0xDA;

    /** How it was packed, and no words: JFIF, quantisers, Huffman's tables, restarts. */
    private static final Set<Integer> PIXEL_MARKERS = Set.of(0xE0, 0xDB, 0xC4, 0xDD);

    private static final Semaphore ONE = new Semaphore(1, true);

    private Picture() {}

    /** The same picture as JPEG in two sizes. */
    record Sizes(byte[] large, byte[] thumb) {}

    /** @throws NotAllowed when it is no JPEG or PNG, broken, or larger than {@value #MOST_PIXELS} pixels */
    static Sizes sizes(byte[] file, int largeSide, int thumbSide) {
        PictureFile plain = PictureFile.of(file);
        ONE.acquireUninterruptibly();
        try {
            BufferedImage large = scaled(read(plain), largeSide);
            return new Sizes(jpeg(large), jpeg(scaled(large, thumbSide)));
        } finally {
            ONE.release();
        }
    }

    /** @throws NotAllowed when it is no JPEG of at most that long a side, or a camera's words or anything else stands in it */
    static void onlyPixels(byte[] file, int mostSide) {
        int at = 2;
        boolean sees = file.length > 4 && (file[0] & 0xFF) == 0xFF && (file[1] & 0xFF) == 0xD8;
        while (sees && at + 8 < file.length && (file[at] & 0xFF) == 0xFF) {
            int marker = file[at + 1] & 0xFF;
            if (marker == START_OF_SCAN) {
                return;
            }
            boolean frame = marker == 0xC0 || marker == 0xC2;
            boolean fits = !frame || Math.max(twoBytes(file, at + 5), twoBytes(file, at + 7)) <= mostSide;
            sees = fits && (frame || PIXEL_MARKERS.contains(marker));
            at += 2 + twoBytes(file, at + 2);
        }
        throw new NotAllowed(
                "photo", "not as photos are kept here", "a JPEG of pixels alone, at most " + mostSide + " long");
    }

    private static int twoBytes(byte[] file, int at) {
        return (file[at] & 0xFF) << 8 | file[at + 1] & 0xFF;
    }

    private static BufferedImage read(PictureFile file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file.bytes()))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new NotAllowed("photo", "no picture", "a JPEG or PNG");
            }
            ImageReader reader = readers.next();
            try {
                String format = reader.getFormatName().toLowerCase(Locale.ROOT);
                if (!format.equals("jpeg") && !format.equals("png")) {
                    throw new NotAllowed("photo", format, "a JPEG or PNG");
                }
                reader.setInput(in, true, true);
                // Asked before anything is unpacked: a small file can hold an endless picture.
                int width = reader.getWidth(0);
                int height = reader.getHeight(0);
                bounded(width, height, file);
                ImageReadParam param = reader.getDefaultReadParam();
                int step = step((long) width * height * file.bytesAPixel());
                param.setSourceSubsampling(step, step, 0, 0);
                return reader.read(0, param);
            } finally {
                reader.dispose();
            }
        } catch (NotAllowed e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            // Readers of pictures answer a broken one with whatever they trip over.
            throw new NotAllowed("photo", "a broken picture", "a JPEG or PNG");
        }
    }

    private static void bounded(int width, int height, PictureFile file) {
        long pixels = (long) width * height;
        long most = file.progressive() ? MOST_PROGRESSIVE_PIXELS : MOST_PIXELS;
        if (pixels > most) {
            throw new NotAllowed(
                    "photo",
                    pixels + " pixels",
                    "at most " + most + " pixels" + (file.progressive() ? " in a progressive JPEG" : ""));
        }
        if (Math.max(width, height) > MOST_SIDE) {
            throw new NotAllowed("photo", Math.max(width, height) + " pixels long", "at most " + MOST_SIDE);
        }
    }

    private static int step(long bytes) {
        return (int) Math.ceil(Math.sqrt((double) bytes / MOST_BYTES));
    }

    private static BufferedImage scaled(BufferedImage picture, int side) {
        double factor = Math.min(1, (double) side / Math.max(picture.getWidth(), picture.getHeight()));
        int width = Math.max(1, (int) Math.round(picture.getWidth() * factor));
        int height = Math.max(1, (int) Math.round(picture.getHeight() * factor));
        BufferedImage drawn = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = drawn.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, width, height);
        g.drawImage(picture, 0, 0, width, height, null);
        g.dispose();
        return drawn;
    }

    private static byte[] jpeg(BufferedImage picture) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "jpeg", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
