package ridgefall.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.ConcurrentLinkedDeque;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import org.openqa.selenium.WebDriverException;

/**
 * One product for all journeys of a run, and one of its own for each class that kills it ({@link AloneWithTheProduct}), which
 * plans as thoroughly as a shop's. Screens a journey leaves forget it and are taken by the next.
 */
final class RunningProduct implements ParameterResolver, AfterEachCallback {
    private static final Namespace SPACE = Namespace.create(RunningProduct.class);

    private record Bench(Product product, Deque<Browser> free) implements AutoCloseable {
        @Override
        public void close() {
            free.forEach(Browser::close);
            product.close();
        }
    }

    /** What a journey is given: screens looking at the product. */
    static final class Visit {
        private final Product product;
        private final Deque<Browser> free;
        private final Map<Browser, Double> taken = new LinkedHashMap<>();

        private Visit(Bench bench) {
            product = bench.product();
            free = bench.free();
        }

        Browser browser() {
            Browser left = free.poll();
            Browser browser = left == null ? new Browser(product) : left;
            taken.put(browser, left == null ? 0 : browser.processorSeconds());
            return browser;
        }

        /** One that runs as at a bench. */
        Browser watched() {
            Browser browser = Browser.watched(product);
            taken.put(browser, 0.0);
            return browser;
        }

        /** What its browsers took of the processors, s. */
        private double processorSeconds() {
            return taken.entrySet().stream()
                    // A renderer that ended meanwhile takes what it took with it.
                    .mapToDouble(one -> Math.max(0, one.getKey().processorSeconds() - one.getValue()))
                    .sum();
        }

        private void leave() {
            for (Browser browser : taken.keySet()) {
                try {
                    browser.offItsSources();
                    browser.forget();
                    free.push(browser);
                } catch (WebDriverException e) {
                    browser.close();
                }
            }
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        Class<?> type = parameter.getParameter().getType();
        return type == Visit.class || type == Product.class && isAlone(context);
    }

    /** Only here is the product itself handed out: elsewhere another journey would find it killed. */
    private static boolean isAlone(ExtensionContext context) {
        return context.getRequiredTestClass().isAnnotationPresent(AloneWithTheProduct.class);
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        boolean alone = isAlone(context);
        ExtensionContext shared = alone ? context.getParent().orElseThrow() : context.getRoot();
        // A name of its own: what is not found in a class's store is looked for in the one that all share.
        Bench bench = shared.getStore(SPACE)
                .getOrComputeIfAbsent(
                        alone ? context.getRequiredTestClass() : "bench",
                        key -> new Bench(new Product(alone), new ConcurrentLinkedDeque<>()),
                        Bench.class);
        if (parameter.getParameter().getType() == Product.class) {
            return bench.product();
        }
        Visit visit = new Visit(bench);
        context.getStore(SPACE).put("visit", visit);
        return visit;
    }

    /** Beside what the tests themselves take. */
    private static synchronized void write(Class<?> tests, double seconds) {
        try {
            Files.writeString(
                    Path.of("target/processor-time.tsv"),
                    String.format(Locale.ROOT, "%s\t%.2f%n", tests.getName(), seconds),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Visit visit = context.getStore(SPACE).get("visit", Visit.class);
        if (visit != null) {
            write(context.getRequiredTestClass(), visit.processorSeconds());
            visit.leave();
        }
    }
}
