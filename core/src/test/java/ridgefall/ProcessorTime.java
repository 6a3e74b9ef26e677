package ridgefall;

import com.sun.management.OperatingSystemMXBean;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Locale;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.parallel.ExecutionMode;

/**
 * Writes down what each class of tests takes of the processors, s, for the list at the end of a run. Of classes that run beside
 * each other it is their own thread's.
 */
public final class ProcessorTime implements BeforeAllCallback, AfterAllCallback {
    private static final ExtensionContext.Namespace SPACE = ExtensionContext.Namespace.create(ProcessorTime.class);
    private static final Path FILE = Path.of(System.getProperty("basedir", "."), "target", "processor-time.tsv");

    @Override
    public void beforeAll(ExtensionContext context) {
        context.getStore(SPACE).put(context.getRequiredTestClass(), nanos(context));
    }

    @Override
    public void afterAll(ExtensionContext context) {
        Class<?> tests = context.getRequiredTestClass();
        if (!tests.isMemberClass()) {
            long began = context.getStore(SPACE).get(tests, Long.class);
            write(tests, (nanos(context) - began) / 1e9);
        }
    }

    private static long nanos(ExtensionContext context) {
        return context.getExecutionMode() == ExecutionMode.CONCURRENT
                ? ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime()
                : ((OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean()).getProcessCpuTime();
    }

    private static void write(Class<?> tests, double seconds) {
        try {
            Files.writeString(
                    FILE,
                    String.format(Locale.ROOT, "%s\t%.2f%n", tests.getName(), seconds),
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
