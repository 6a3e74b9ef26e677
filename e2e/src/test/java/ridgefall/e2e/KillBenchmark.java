package ridgefall.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * App and database killed again and again under writers: nothing acknowledged may be lost or doubled, and one command
 * brings both back. Not a test, run by ./ridgefall bench.
 */
class KillBenchmark {
    private static final int WRITERS = 4;
    private static final int APP_KILLS = 20;
    private static final int DATABASE_KILLS = 6;
    private static final Pattern PRICE = Pattern.compile("\"type\":\"ReplacementPriced\",\"price\":(\\d+)");

    private volatile boolean over;

    @Test
    void underFourWriters() throws Exception {
        try (Product product = new Product("all")) {
            ExecutorService pool = Executors.newFixedThreadPool(WRITERS);
            List<Writer> writers = new ArrayList<>();
            List<Future<?>> running = new ArrayList<>();
            for (int i = 0; i < WRITERS; i++) {
                Writer writer = new Writer(product.url());
                writers.add(writer);
                running.add(pool.submit(writer));
            }
            List<Double> app = new ArrayList<>();
            List<Double> database = new ArrayList<>();
            List<Boolean> kills = new ArrayList<>(Collections.nCopies(APP_KILLS, true));
            kills.addAll(Collections.nCopies(DATABASE_KILLS, false));
            Collections.shuffle(kills, new Random(9));
            for (boolean killsApp : kills) {
                LockSupport.parkNanos(Duration.ofMillis(700).toNanos());
                if (killsApp) {
                    product.killApp();
                } else {
                    product.killDatabase();
                }
                long began = System.nanoTime();
                product.start();
                (killsApp ? app : database).add((System.nanoTime() - began) / 1e9);
            }
            over = true;
            for (Future<?> writer : running) {
                writer.get(2, TimeUnit.MINUTES);
            }
            pool.shutdown();
            int acknowledged = 0;
            int lost = 0;
            int doubled = 0;
            for (Writer writer : writers) {
                List<Integer> kept = writer.kept();
                acknowledged += writer.acknowledged.size();
                lost += (int) writer.acknowledged.stream()
                        .filter(price -> !kept.contains(price))
                        .count();
                doubled += kept.size() - (int) kept.stream().distinct().count();
                assertThat(kept).as("in the order they were sent").isSorted();
            }
            System.out.printf(
                    Locale.ROOT,
                    "%d kills of the app, back by one command in %.1f s (worst %.1f); %d of the database, %.1f s (worst %.1f);"
                            + " of %d acknowledged writes %d lost, %d doubled%n",
                    app.size(),
                    median(app),
                    Collections.max(app),
                    database.size(),
                    median(database),
                    Collections.max(database),
                    acknowledged,
                    lost,
                    doubled);
            assertThat(lost + doubled).isZero();
            assertThat(acknowledged).isGreaterThan(WRITERS * kills.size());
        }
    }

    private static double median(List<Double> seconds) {
        return seconds.stream().sorted().toList().get(seconds.size() / 2);
    }

    /** Prices a replacement at 1, 2, 3 …, each again under its own id until it is acknowledged. */
    private final class Writer implements Runnable {
        private final String url;
        private final CookieManager cookies = new CookieManager();
        private final HttpClient http = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .connectTimeout(Duration.ofSeconds(5))
                .build();
        private final UUID job = UUID.randomUUID();
        private final List<Integer> acknowledged = new ArrayList<>();

        Writer(String url) throws IOException, InterruptedException {
            this.url = url;
            send("GET", "/api/session", "");
            send("POST", "/api/session", "{\"name\":\"Ansa Orrick\",\"password\":\"warm-ledge-11\"}");
            int opened = send(
                            "POST",
                            "/api/jobs",
                            "{\"commandId\":\"" + job
                                    + "\",\"profileId\":\"marrowby-quire-11\",\"owner\":\"Under fire\","
                                    + "\"fault\":\"killed\"}")
                    .statusCode();
            assertThat(opened).isEqualTo(200);
        }

        @Override
        public void run() {
            for (int price = 1; !over; price++) {
                String body = "{\"commandId\":\"" + UUID.randomUUID() + "\",\"expectedSeq\":" + price
                        + ",\"fact\":{\"type\":\"ReplacementPriced\",\"price\":" + price + ",\"currency\":\"EUR\"}}";
                while (!isTaken(body)) {
                    LockSupport.parkNanos(Duration.ofMillis(50).toNanos());
                }
                acknowledged.add(price);
            }
        }

        private boolean isTaken(String body) {
            try {
                int status = send("POST", "/api/jobs/" + job + "/facts", body).statusCode();
                if (status != 200 && status < 500) {
                    throw new IllegalStateException("answered " + status);
                }
                return status == 200;
            } catch (IOException e) {
                return false;
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
        }

        /** The prices in the journal, in order. */
        private List<Integer> kept() throws IOException, InterruptedException {
            return PRICE.matcher(send("GET", "/api/jobs/" + job + "/export", "").body())
                    .results()
                    .map((MatchResult found) -> Integer.valueOf(found.group(1)))
                    .toList();
        }

        private HttpResponse<String> send(String method, String path, String body)
                throws IOException, InterruptedException {
            String token = cookies.getCookieStore().getCookies().stream()
                    .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                    .map(HttpCookie::getValue)
                    .findFirst()
                    .orElse("none");
            return http.send(
                    HttpRequest.newBuilder(URI.create(url + path))
                            .timeout(Duration.ofSeconds(20))
                            .header("Content-Type", "application/json")
                            .header("X-XSRF-TOKEN", token)
                            .method(method, BodyPublishers.ofString(body))
                            .build(),
                    BodyHandlers.ofString());
        }
    }
}
