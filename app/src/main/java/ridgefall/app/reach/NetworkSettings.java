package ridgefall.app.reach;

import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What is asked for at the start; every one may be empty.
 *
 * @param bind address of this machine to listen at, {@code 0.0.0.0} for all of them; empty where no other device may call
 * @param port beside the one of this machine itself
 * @param certificate own certificate chain, a PEM file, with its {@code key}; without them one is made in {@code folder}
 * @param names by which this machine is known besides its own, with commas between
 */
@ConfigurationProperties("ridgefall.network")
record NetworkSettings(String bind, int port, String certificate, String key, String folder, String names) {
    boolean asked() {
        return !blank(bind);
    }

    boolean ownCertificate() {
        return !blank(certificate) || !blank(key);
    }

    List<String> told() {
        return blank(names) ? List.of() : List.of(names.strip().split("[,\\s]+"));
    }

    static boolean blank(String text) {
        return text == null || text.isBlank();
    }
}
