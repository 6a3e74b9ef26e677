package ridgefall.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * How long a start takes, and what a plan costs a minute later and after a day's work, with all compilers of the virtual
 * machine and with the quick one alone. Not a test, run by ./ridgefall bench.
 */
class StartBenchmark {
    private static final int STARTS = 5;
    private static final int PLANS = 60;

    @Test
    void withAllCompilersAndWithOne() throws Exception {
        for (String compilers : List.of("all", "one")) {
            try (Product product = new Product(compilers)) {
                List<Double> starts = new ArrayList<>();
                for (int i = 0; i < STARTS; i++) {
                    product.stop();
                    long began = System.nanoTime();
                    product.start();
                    starts.add((System.nanoTime() - began) / 1e9);
                }
                List<Double> plans = plans(product);
                System.out.printf(
                        Locale.ROOT,
                        "%s: start with database %.1f s; a plan for one source: first %.0f ms, of ten %.0f ms, the last ten %.0f ms%n",
                        compilers.equals("all") ? "all compilers" : "the quick compiler alone",
                        median(starts),
                        plans.get(0),
                        median(plans.subList(0, 10)),
                        median(plans.subList(PLANS - 10, PLANS)));
            }
        }
    }

    /** Judged anew each time: nothing is remembered of them. */
    private static List<Double> plans(Product product) throws IOException, InterruptedException {
        HttpClient http = HttpClient.newHttpClient();
        String cookie = "ridgefall_session=" + product.session("Ansa Orrick", "warm-ledge-11");
        Matcher job = Pattern.compile("\"id\":\"([-0-9a-f]+)\",\"number\":3,")
                .matcher(get(http, cookie, product.url() + "/api/bench").body());
        if (!job.find()) {
            throw new IllegalStateException("the demo has no third job");
        }
        List<Double> took = new ArrayList<>();
        for (int i = 0; i < PLANS; i++) {
            String asked = "/api/jobs/" + job.group(1) + "/heat/judged?sourceId=plate-1&settingC=" + (70 + i % 15);
            long began = System.nanoTime();
            if (get(http, cookie, product.url() + asked).statusCode() != 200) {
                throw new IllegalStateException(asked);
            }
            took.add((System.nanoTime() - began) / 1e6);
        }
        return took;
    }

    private static HttpResponse<String> get(HttpClient http, String cookie, String url)
            throws IOException, InterruptedException {
        return http.send(
                HttpRequest.newBuilder(URI.create(url)).header("Cookie", cookie).build(), BodyHandlers.ofString());
    }

    private static double median(List<Double> values) {
        List<Double> sorted = new ArrayList<>(values);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }
}
