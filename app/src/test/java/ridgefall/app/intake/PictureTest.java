package ridgefall.app.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ridgefall.core.units.NotAllowed;

/** What a picture's file makes the app hold: never much more than its pixels at the size they are kept in. */
class PictureTest {
    private static final int RGBA = 6;
    private static final int PALETTE = 3;
    private static final int GREY = 0;

    @Test
    void whatIsNotPixelsIsSkippedUnread() throws IOException {
        byte[] text = chunk("zTXt", "note\0\0not even packed".getBytes(StandardCharsets.ISO_8859_1));
        byte[] plain = png(30, 20, 8, RGBA);
        assertThat(large(Picture.sizes(behindHeader(plain, text), 1600, 240)).getWidth())
                .isEqualTo(30);
    }

    @Test
    void tooManyPixelsTooLongASideAndChunksThatDoNotFitAreRefused() {
        assertThatThrownBy(() -> Picture.sizes(png(10_000, 5_001, 8, RGBA), 1600, 240))
                .hasMessage("photo is 50010000 pixels; allowed: at most 50000000 pixels");
        assertThatThrownBy(() -> Picture.sizes(png(40_000, 2, 8, RGBA), 1600, 240))
                .hasMessage("photo is 40000 pixels long; allowed: at most 20000");
        byte[] endless = png(30, 20, 8, RGBA);
        ByteBuffer.wrap(endless).putInt(8 + 25, Integer.MAX_VALUE);
        assertThatThrownBy(() -> Picture.sizes(endless, 1600, 240))
                .isInstanceOf(NotAllowed.class)
                .hasMessageStartingWith("photo is a broken picture");
    }

    @Test
    void aJpegThatSharpensBitByBitIsHeldToFewerPixels() throws IOException {
        assertThat(PictureFile.of(progressive(64, 64)).progressive()).isTrue();
        assertThat(large(Picture.sizes(progressive(640, 480), 1600, 240)).getWidth())
                .isEqualTo(640);
        byte[] claims = progressive(64, 64);
        // The frame header's own words: height and width, 5 bytes behind its marker.
        for (int i = 0; i < claims.length - 9; i++) {
            if ((claims[i] & 0xFF) == 0xFF && (claims[i + 1] & 0xFF) == 0xC2) {
                ByteBuffer.wrap(claims).putShort(i + 5, (short) 7000).putShort(i + 7, (short) 7000);
            }
        }
        assertThatThrownBy(() -> Picture.sizes(claims, 1600, 240))
                .hasMessage("photo is 49000000 pixels; allowed: at most 20000000 pixels in a progressive JPEG");
    }

    /** In a process of its own that is given 200 MB for everything: with more to hold it would not end well. */
    @Test
    void textThatUnpacksToGigabytesAndEightHugePicturesAtOnceFitIntoTwoHundredMegabytes(@TempDir Path folder)
            throws IOException {
        byte[] bomb = chunk("zTXt", packed(300L << 20, "note\0\0"));
        Files.write(folder.resolve("text.png"), behindHeader(png(300, 200, 8, PALETTE), bomb));
        Files.write(folder.resolve("huge.png"), png(7000, 7000, 8, GREY));
        Path said = folder.resolve("said");
        int ended = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx200m",
                        "-Djava.awt.headless=true",
                        "-cp",
                        System.getProperty("java.class.path"),
                        PictureTest.class.getName(),
                        folder.toString())
                .redirectErrorStream(true)
                .redirectOutput(said.toFile())
                .start()
                .onExit()
                .join()
                .exitValue();
        assertThat(ended).as(Files.readString(said)).isZero();
    }

    /** The process of its own: both files, the second one eight times at once. */
    public static void main(String[] args) throws Exception {
        Picture.sizes(Files.readAllBytes(new File(args[0], "text.png").toPath()), 1600, 240);
        byte[] huge = Files.readAllBytes(new File(args[0], "huge.png").toPath());
        ExecutorService pool = Executors.newFixedThreadPool(8);
        List<Callable<Picture.Sizes>> all = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            all.add(() -> Picture.sizes(huge, 1600, 240));
        }
        for (Future<Picture.Sizes> one : pool.invokeAll(all)) {
            if (large(one.get()).getWidth() != 1600) {
                throw new IllegalStateException("not scaled as it should be");
            }
        }
        pool.shutdown();
    }

    private static BufferedImage large(Picture.Sizes sizes) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(sizes.large()));
    }

    /** A PNG written by hand, all of it black, so that a huge one need not be held to make it. */
    private static byte[] png(int width, int height, int depth, int colour) {
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        file.writeBytes(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});
        ByteBuffer header = ByteBuffer.allocate(13).putInt(width).putInt(height);
        header.put((byte) depth).put((byte) colour).put((byte) 0).put((byte) 0).put((byte) 0);
        file.writeBytes(chunk("IHDR", header.array()));
        if (colour == PALETTE) {
            file.writeBytes(chunk("PLTE", new byte[6]));
        }
        long row = 1 + (long) width * depth / 8 * (colour == RGBA ? 4 : 1);
        file.writeBytes(chunk("IDAT", packed(row * height, "")));
        file.writeBytes(chunk("IEND", new byte[0]));
        return file.toByteArray();
    }

    private static byte[] packed(long zeros, String before) {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        bytes.writeBytes(before.getBytes(StandardCharsets.ISO_8859_1));
        try (DeflaterOutputStream out = new DeflaterOutputStream(bytes, new Deflater(Deflater.BEST_SPEED), 1 << 16)) {
            byte[] some = new byte[1 << 20];
            for (long left = zeros; left > 0; left -= some.length) {
                out.write(some, 0, (int) Math.min(some.length, left));
            }
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return bytes.toByteArray();
    }

    private static byte[] chunk(String type, byte[] data) {
        byte[] name = type.getBytes(StandardCharsets.ISO_8859_1);
        CRC32 sum = new CRC32();
        sum.update(name);
        sum.update(data);
        return ByteBuffer.allocate(12 + data.length)
                .putInt(data.length)
                .put(name)
                .put(data)
                .putInt((int) sum.getValue())
                .array();
    }

    private static byte[] behindHeader(byte[] png, byte[] chunk) {
        int header = 8 + 12 + 13;
        return ByteBuffer.allocate(png.length + chunk.length)
                .put(png, 0, header)
                .put(chunk)
                .put(png, header, png.length - header)
                .array();
    }

    private static byte[] progressive(int width, int height) throws IOException {
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        ImageWriteParam param = writer.getDefaultWriteParam();
        param.setProgressiveMode(ImageWriteParam.MODE_DEFAULT);
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        writer.setOutput(ImageIO.createImageOutputStream(bytes));
        writer.write(
                null, new IIOImage(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), null, null), param);
        ((javax.imageio.stream.ImageOutputStream) writer.getOutput()).flush();
        writer.dispose();
        return bytes.toByteArray();
    }
}
