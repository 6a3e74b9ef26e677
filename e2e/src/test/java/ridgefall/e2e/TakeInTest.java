package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import ridgefall.e2e.RunningProduct.Visit;

/** What is taken down of a device while its owner stands there. */
@ExtendWith(RunningProduct.class)
class TakeInTest {
    private static final String PHOTO = "Photo of the device";

    @TempDir
    Path folder;

    @Test
    void aPhotoIsSeenOnBothScreensAndWhatIsNoneIsRefused(Visit visit) throws IOException {
        Browser desk = visit.browser().signIn().takeInByHand("Quire 11", "Photographed hut", "cracked");
        Browser second = visit.browser().signIn();
        second.open(desk.path());
        Path picture = folder.resolve("front.png");
        ImageIO.write(new BufferedImage(2400, 1600, BufferedImage.TYPE_INT_RGB), "png", picture.toFile());
        desk.upload("photos", picture);
        desk.awaitPictures(PHOTO, 1);
        second.awaitPictures(PHOTO, 1);

        desk.upload("photos", Files.writeString(folder.resolve("letter.jpg"), "no picture at all"));
        desk.awaitText("a JPEG or PNG");
        assertThat(desk.pictures(PHOTO)).isEqualTo(1);
        desk.reload();
        desk.awaitPictures(PHOTO, 1);
    }

    @Test
    void theTagTellsTheJobFromAllOthers(Visit visit) {
        Browser desk = visit.browser().signIn().takeInByHand("Dial 41", "Tagged hut", "glass shattered");
        desk.click("Print the tag");
        desk.awaitText("Tagged hut");
        desk.awaitText("Pellow Dial 41");
        assertThat(desk.accessibilityFindings()).isEmpty();
        desk.click("Back to the job");
        desk.awaitText("Print the tag");
    }
}
