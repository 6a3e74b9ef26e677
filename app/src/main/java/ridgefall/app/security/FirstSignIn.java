package ridgefall.app.security;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import ridgefall.core.job.Role;

/** A shop that starts empty needs one lead who can add the others: made once, its password left in a private file. */
@Component
@ConditionalOnProperty("ridgefall.first-sign-in")
class FirstSignIn implements ApplicationRunner {
    private static final String NAME = "lead";

    private final People people;
    private final Path file;

    FirstSignIn(People people, @Value("${ridgefall.first-sign-in}") Path file) {
        this.people = people;
        this.file = file;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        if (!people.nobody()) {
            return;
        }
        byte[] random = new byte[9];
        new SecureRandom().nextBytes(random);
        String password = HexFormat.of().formatHex(random);
        Files.deleteIfExists(file);
        Files.createFile(file, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        Files.writeString(file, "name: " + NAME + "\npassword: " + password + "\n");
        people.add(NAME, password, Role.LEAD);
    }
}
