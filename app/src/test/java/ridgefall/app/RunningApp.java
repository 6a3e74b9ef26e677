package ridgefall.app;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import ridgefall.core.job.Role;

/** The real application on a real PostgreSQL, started once for all tests of a run; tests talk HTTP to it. */
public final class RunningApp implements BeforeAllCallback, ParameterResolver {
    private static final Namespace SPACE = Namespace.create(RunningApp.class);

    public record App(ThrowawayPostgres postgres, ConfigurableApplicationContext context, Map<Role, Client> clients)
            implements AutoCloseable {
        String url() {
            return url(context);
        }

        static String url(ConfigurableApplicationContext node) {
            return "http://127.0.0.1:" + node.getEnvironment().getProperty("local.server.port");
        }

        public <T> T bean(Class<T> type) {
            return context.getBean(type);
        }

        /** One session a role for all tests that don't end it. */
        Client signedIn(Role role) {
            return clients.computeIfAbsent(role, r -> client().as(r));
        }

        /** A job of the demo tablet that has come to a step, every answer on the way a good one. */
        UUID jobAt(String stepId) {
            return jobAt("marrowby-quire-11", stepId);
        }

        /** @param device its id, and its variant's after an @ */
        UUID jobAt(String device, String stepId) {
            return Walk.of(device).bringIn(signedIn(Role.LEAD), stepId);
        }

        Client client() {
            return new Client(url());
        }

        @Override
        public void close() throws IOException {
            context.close();
            postgres.close();
        }
    }

    /** @param durable whether the database waits for its disk and plans are thorough, as a shop's are */
    public static App start(boolean durable) {
        try {
            ThrowawayPostgres postgres = new ThrowawayPostgres(durable);
            return new App(
                    postgres,
                    SpringApplication.run(
                            RidgefallApp.class,
                            "--server.port=0",
                            "--ridgefall.demo=true",
                            "--ridgefall.stand-in-block-ms=1",
                            "--ridgefall.warm-up=false",
                            "--ridgefall.hash-rounds=4",
                            "--ridgefall.thorough-plans=" + durable,
                            "--spring.datasource.url=" + postgres.url(),
                            "--spring.datasource.username=ridgefall"),
                    new ConcurrentHashMap<>());
        } catch (IOException e) {
            throw new IllegalStateException("the app did not start for the tests", e);
        }
    }

    /** Another node on the database of one that runs. */
    static ConfigurableApplicationContext besides(App first, String... more) {
        List<String> asked = new ArrayList<>(List.of(
                "--server.port=0",
                "--ridgefall.warm-up=false",
                "--ridgefall.hash-rounds=4",
                "--ridgefall.thorough-plans=false",
                "--spring.datasource.url=" + first.postgres().url(),
                "--spring.datasource.username=ridgefall"));
        asked.addAll(List.of(more));
        return SpringApplication.run(RidgefallApp.class, asked.toArray(String[]::new));
    }

    private static App app(ExtensionContext context) {
        return context.getRoot().getStore(SPACE).getOrComputeIfAbsent("app", key -> start(false), App.class);
    }

    @Override
    public void beforeAll(ExtensionContext context) {
        app(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == App.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return app(context);
    }
}
