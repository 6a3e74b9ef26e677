package ridgefall.app.intake;

import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import ridgefall.app.attach.Attachments;
import ridgefall.app.attach.Kind;
import ridgefall.app.http.Problem;
import ridgefall.app.job.Journal;
import ridgefall.app.job.Journal.Outcome;
import ridgefall.app.security.SignedIn;
import ridgefall.core.intake.IntakeFact;
import ridgefall.core.units.NotAllowed;

/**
 * Pictures of what came in. What is stored was drawn anew from the pixels: place, time and device that a camera writes
 * into its files do not survive.
 */
@Component
public class Photos {
    private static final int LONG_SIDE = 1600;
    private static final int THUMB_SIDE = 240;

    private final Attachments attachments;
    private final Journal journal;
    private final TransactionTemplate transactions;

    Photos(Attachments attachments, Journal journal, TransactionTemplate transactions) {
        this.attachments = attachments;
        this.journal = journal;
        this.transactions = transactions;
    }

    /**
     * @throws NotAllowed when it is no JPEG or PNG, or too large, or one too many
     * @throws Problem when the id stands for another picture
     */
    public Outcome add(UUID jobId, UUID photoId, byte[] file, String words, SignedIn who) {
        // Unpacked before a connection is taken: whoever waits for the decoder holds nothing else up.
        Picture.Sizes sizes = Picture.sizes(file, LONG_SIDE, THUMB_SIDE);
        byte[] hash = Attachments.sha256(file);
        return transactions.execute(status -> add(jobId, photoId, sizes, hash, words, who));
    }

    private Outcome add(UUID jobId, UUID photoId, Picture.Sizes sizes, byte[] hash, String words, SignedIn who) {
        Outcome outcome = journal.appendNow(
                jobId,
                photoId,
                new IntakeFact.PhotoTaken(photoId, words),
                who,
                () -> attachments.add(
                        jobId,
                        new Attachments.New(
                                photoId,
                                Kind.PHOTO,
                                "",
                                "image/jpeg",
                                sizes.large(),
                                sizes.thumb(),
                                hash,
                                null,
                                who.name())));
        if (outcome instanceof Outcome.Recorded recorded && recorded.before() && !attachments.isSame(photoId, hash)) {
            throw Problem.commandUsedBefore(photoId);
        }
        return outcome;
    }

    /**
     * The small picture of one that is kept as this product keeps them.
     *
     * @throws NotAllowed where it is no such picture: not a JPEG, larger, or with more in it than pixels
     */
    public static byte[] thumb(byte[] kept) {
        Picture.onlyPixels(kept, LONG_SIDE);
        return Picture.sizes(kept, LONG_SIDE, THUMB_SIDE).thumb();
    }

    Optional<byte[]> picture(UUID photoId, boolean thumb) {
        return thumb ? attachments.thumb(photoId) : attachments.content(photoId);
    }
}
