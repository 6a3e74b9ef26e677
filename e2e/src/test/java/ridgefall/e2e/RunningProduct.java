package ridgefall.e2e;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ExtensionContext.Namespace;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;

/** One product for all journeys of a run; browsers a journey opens are closed behind it. */
final class RunningProduct implements ParameterResolver, AfterEachCallback {
    private static final Namespace SPACE = Namespace.create(RunningProduct.class);

    /** What a journey is given: the product, and browsers looking at it. */
    record Visit(Product product, List<Browser> opened) {
        Browser browser() {
            Browser browser = new Browser(product.url());
            opened.add(browser);
            return browser;
        }
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Visit.class;
    }

    @Override
    public Object resolveParameter(ParameterContext parameter, ExtensionContext context) {
        Product product =
                context.getRoot().getStore(SPACE).getOrComputeIfAbsent("product", key -> new Product(), Product.class);
        Visit visit = new Visit(product, new ArrayList<>());
        context.getStore(SPACE).put("visit", visit);
        return visit;
    }

    @Override
    public void afterEach(ExtensionContext context) {
        Visit visit = context.getStore(SPACE).get("visit", Visit.class);
        if (visit != null) {
            visit.opened().forEach(Browser::close);
        }
    }
}
