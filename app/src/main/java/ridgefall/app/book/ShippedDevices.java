package ridgefall.app.book;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import ridgefall.core.profile.ProfileDocument;

/** Puts the devices that come with Ridgefall into an empty book, once; what the shop does with them is its own. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class ShippedDevices implements ApplicationRunner {
    private static final String MAKER = "Ridgefall";

    private final Book book;
    private final ProfileFormat format;

    ShippedDevices(Book book, ProfileFormat format) {
        this.book = book;
        this.format = format;
    }

    /** All of it or nothing: a start that was cut short begins anew. */
    @Override
    @Transactional
    public void run(ApplicationArguments args) throws IOException {
        if (!book.search("", false).isEmpty()) {
            return;
        }
        for (Resource file : new PathMatchingResourcePatternResolver().getResources("classpath:/book/*.json")) {
            ProfileDocument document = format.right(format.parse(file.getContentAsString(StandardCharsets.UTF_8)));
            book.release(document, book.draft(document, MAKER), MAKER);
        }
    }
}
