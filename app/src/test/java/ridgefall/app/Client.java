package ridgefall.app;

import java.io.IOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Flow;
import javax.net.ssl.SSLContext;
import ridgefall.app.demo.DemoPeople;
import ridgefall.core.job.Role;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** One browser's worth of HTTP: cookies, the CSRF header, JSON. */
final class Client {
    static final JsonMapper JSON = new JsonMapper();
    private static final String QUIRE = "marrowby-quire-11";

    private final String url;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http;

    Client(String url) {
        this.url = url;
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
    }

    /** @param trusted whose certificates it takes */
    Client(String url, SSLContext trusted) {
        this.url = url;
        this.http = HttpClient.newBuilder()
                .cookieHandler(cookies)
                .sslContext(trusted)
                .build();
    }

    record Answer(int status, HttpResponse<String> raw) {
        JsonNode json() {
            return JSON.readTree(raw.body());
        }

        String text(String field) {
            return json().path(field).asString("");
        }
    }

    Client as(Role role) {
        DemoPeople.DemoSignIn who = DemoPeople.SIGN_INS.stream()
                .filter(p -> p.role() == role)
                .findFirst()
                .orElseThrow();
        Answer answer = signIn(who.name(), who.password());
        if (answer.status() != 200) {
            throw new IllegalStateException(answer.raw().body());
        }
        return this;
    }

    Answer signIn(String name, String password) {
        get("/api/session");
        return post("/api/session", Map.of("name", name, "password", password));
    }

    Answer get(String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path)).GET());
    }

    /**
     * Listens to a stream of events, from before this returns until a line holds some words; when that was, by
     * {@link System#nanoTime}.
     */
    CompletableFuture<Long> hears(String path, String words) {
        CompletableFuture<Long> heard = new CompletableFuture<>();
        CompletableFuture<Void> open = new CompletableFuture<>();
        http.sendAsync(
                        HttpRequest.newBuilder(URI.create(url + path)).GET().build(),
                        BodyHandlers.fromLineSubscriber(new Flow.Subscriber<String>() {
                            private Flow.Subscription lines;

                            @Override
                            public void onSubscribe(Flow.Subscription subscription) {
                                lines = subscription;
                                lines.request(Long.MAX_VALUE);
                            }

                            @Override
                            public void onNext(String line) {
                                open.complete(null);
                                if (line.contains(words)) {
                                    heard.complete(System.nanoTime());
                                    lines.cancel();
                                }
                            }

                            @Override
                            public void onError(Throwable thrown) {
                                heard.completeExceptionally(thrown);
                            }

                            @Override
                            public void onComplete() {
                                heard.completeExceptionally(new IOException("the stream ended"));
                            }
                        }))
                .exceptionally(thrown -> {
                    heard.completeExceptionally(thrown);
                    open.completeExceptionally(thrown);
                    return null;
                });
        open.join();
        return heard;
    }

    Answer accepting(String type, String path) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Accept", type)
                .GET());
    }

    Answer post(String path, Object body) {
        return post(path, BodyPublishers.ofString(body instanceof String s ? s : JSON.writeValueAsString(body)));
    }

    Answer post(String path, BodyPublisher body) {
        return send(request(path).header("X-XSRF-TOKEN", csrf()).POST(body));
    }

    HttpResponse<byte[]> bytes(String path) {
        try {
            return http.send(HttpRequest.newBuilder(URI.create(url + path)).build(), BodyHandlers.ofByteArray());
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Posts a file's text as it is. */
    Answer text(String path, String text) {
        return upload(path, "text/plain", text.getBytes(StandardCharsets.UTF_8));
    }

    Answer text(String method, String path, String text) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "text/plain")
                .header("X-XSRF-TOKEN", csrf())
                .method(method, BodyPublishers.ofString(text)));
    }

    Answer upload(String path, String type, byte[] file) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", csrf())
                .POST(BodyPublishers.ofByteArray(file)));
    }

    Answer postWithoutToken(String path, Object body) {
        return send(request(path).POST(BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    Answer send(String method, String path, Object body) {
        return send(request(path)
                .header("X-XSRF-TOKEN", csrf())
                .method(method, BodyPublishers.ofString(JSON.writeValueAsString(body))));
    }

    /** A call whose content type and body are not put right. */
    Answer sendAsIs(String method, String path, String type, byte[] body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", type)
                .header("X-XSRF-TOKEN", csrf())
                .method(method, BodyPublishers.ofByteArray(body)));
    }

    /** Any call with an empty object where a body belongs. */
    Answer call(String method, String path) {
        return method.equals("GET") ? get(path) : send(method, path, Map.of());
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(url + path)).header("Content-Type", "application/json");
    }

    private String csrf() {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("none");
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = answered(request.build());
            return new Answer(response.statusCode(), response);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** Once more where the line was closed before the call came through, as it is after a body too large to be read to its end. */
    private HttpResponse<String> answered(HttpRequest request) throws IOException, InterruptedException {
        try {
            return http.send(request, BodyHandlers.ofString());
        } catch (IOException e) {
            if (String.valueOf(e.getMessage()).contains("received no bytes")) {
                return http.send(request, BodyHandlers.ofString());
            }
            throw e;
        }
    }

    /** Opens a job of the demo tablet and returns its id. */
    UUID openJob() {
        return openJob(QUIRE);
    }

    UUID openJob(String profileId) {
        UUID id = UUID.randomUUID();
        Answer answer = post(
                "/api/jobs",
                Map.of("commandId", id, "profileId", profileId, "owner", "Test hut", "fault", "cracked in a test"));
        if (answer.status() != 200) {
            throw new IllegalStateException(answer.raw().body());
        }
        return id;
    }

    Answer append(UUID job, long expectedSeq, Object fact) {
        return append(job, UUID.randomUUID(), expectedSeq, fact);
    }

    Answer append(UUID job, UUID command, long expectedSeq, Object fact) {
        return post(
                "/api/jobs/" + job + "/facts", Map.of("commandId", command, "expectedSeq", expectedSeq, "fact", fact));
    }

    /** What the large action does: the first choice of what comes next. */
    JsonNode leads(UUID job) {
        JsonNode at = course(job);
        return at.get("steps")
                .valueStream()
                .filter(step -> step.get("id").equals(at.get("nextStepId")))
                .findFirst()
                .orElseThrow()
                .at("/choices/0");
    }

    /** Takes the first choice of every step that is next, until nothing is; the owner collects it. */
    void handOver(UUID job) {
        skipTo(job, null);
    }

    /** Takes the first choice of every step that is next, until that of the given id is; null for all of them. */
    void skipTo(UUID job, String stepId) {
        JsonNode at = course(job);
        while (!at.get("nextStepId").isNull()
                && !at.get("nextStepId").asString().equals(stepId)) {
            JsonNode view = at;
            if (view.get("seq").asLong() > 200) {
                throw new IllegalStateException("never comes to " + stepId + ", taps "
                        + view.get("nextStepId").asString());
            }
            // Nobody waits for a bond to be warm: it is cut cold.
            boolean cold = view.get("nextStepId").asString().equals("separate.warm");
            JsonNode next = view.get("steps")
                    .valueStream()
                    .filter(step -> cold
                            ? step.get("open").asBoolean()
                                    && step.at("/choices/0/fact/type")
                                            .asString()
                                            .equals("StretchFreed")
                            : step.get("id").equals(view.get("nextStepId")))
                    .findFirst()
                    .orElseThrow();
            // What a programmer does takes its time; whoever skips had another one do it.
            JsonNode choice = next.at(
                    next.at("/choices/0/fact/type").asString().equals("CopyBegun") ? "/choices/1" : "/choices/0");
            ObjectNode fact = (ObjectNode) choice.get("fact").deepCopy();
            choice.get("asks").forEach(ask -> {
                if (ask.get("kind").asString().equals("TEXT")) {
                    fact.put(ask.get("field").asString(), "the owner");
                } else if (!ask.get("suggestion").isNull()) {
                    fact.put(
                            ask.get("field").asString(),
                            Integer.parseInt(ask.get("suggestion").asString()));
                }
            });
            Answer answer = post(
                    "/api/jobs/" + job + "/facts?view=true",
                    Map.of(
                            "commandId",
                            UUID.randomUUID(),
                            "expectedSeq",
                            view.get("seq").asLong(),
                            "fact",
                            fact));
            if (answer.status() != 200) {
                throw new IllegalStateException(answer.raw().body());
            }
            JsonNode told = answer.json().get("job");
            at = told.isNull() ? course(job) : told;
        }
    }

    private JsonNode course(UUID job) {
        return get("/api/jobs/" + job).json();
    }
}
