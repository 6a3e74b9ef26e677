package ridgefall.app.intake;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.Iterator;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.job.IntakeFact;
import ridgefall.core.units.NotAllowed;

/**
 * Pictures of what came in. What is stored was drawn anew from the pixels: place, time and device that a camera writes
 * into its files do not survive.
 */
@Repository
class Photos {
    static final int MOST_A_JOB = 12;
    private static final long MOST_PIXELS = 50_000_000;
    private static final int LONG_SIDE = 1600;
    private static final int THUMB_SIDE = 240;
    private static final Set<String> KINDS = Set.of("jpeg", "png");

    private final JdbcClient jdbc;
    private final Journal journal;
    private final Clock clock;

    Photos(JdbcClient jdbc, Journal journal, Clock clock) {
        this.jdbc = jdbc;
        this.journal = journal;
        this.clock = clock;
    }

    /** @throws NotAllowed when it is no JPEG or PNG, or too large, or one too many */
    @Transactional
    public Outcome add(UUID jobId, UUID photoId, byte[] file, String words, SignedIn who) {
        BufferedImage picture = read(file);
        byte[] large = jpeg(scaled(picture, LONG_SIDE));
        byte[] thumb = jpeg(scaled(picture, THUMB_SIDE));
        return journal.appendNow(jobId, photoId, new IntakeFact.PhotoTaken(photoId, words), who, () -> {
            int there = jdbc.sql("select count(*) from photo where job_id = :job")
                    .param("job", jobId)
                    .query(Integer.class)
                    .single();
            if (there >= MOST_A_JOB) {
                throw new NotAllowed("photo", "number " + (there + 1), "at most " + MOST_A_JOB + " photos a job");
            }
            jdbc.sql("""
                            insert into photo (id, job_id, picture, thumb, added_at, added_by)
                            values (:id, :job, :picture, :thumb, :at, :by)""")
                    .param("id", photoId)
                    .param("job", jobId)
                    .param("picture", large)
                    .param("thumb", thumb)
                    .param("at", clock.instant().atOffset(ZoneOffset.UTC))
                    .param("by", who.name())
                    .update();
        });
    }

    Optional<byte[]> picture(UUID photoId, boolean thumb) {
        return jdbc.sql("select " + (thumb ? "thumb" : "picture") + " from photo where id = :id")
                .param("id", photoId)
                .query((row, n) -> row.getBytes(1))
                .optional();
    }

    private static BufferedImage read(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw new NotAllowed("photo", "no picture", "a JPEG or PNG");
            }
            ImageReader reader = readers.next();
            try {
                if (!KINDS.contains(reader.getFormatName().toLowerCase(java.util.Locale.ROOT))) {
                    throw new NotAllowed("photo", reader.getFormatName(), "a JPEG or PNG");
                }
                reader.setInput(in);
                // Asked before anything is unpacked: a small file can hold an endless picture.
                long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
                if (pixels > MOST_PIXELS) {
                    throw new NotAllowed("photo", pixels + " pixels", "at most " + MOST_PIXELS + " pixels");
                }
                return reader.read(0);
            } finally {
                reader.dispose();
            }
        } catch (IOException | IndexOutOfBoundsException | IllegalArgumentException e) {
            if (e instanceof NotAllowed told) {
                throw told;
            }
            throw new NotAllowed("photo", "a broken picture", "a JPEG or PNG");
        }
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
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
