package ridgefall.e2e;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Supplier;
import org.openqa.selenium.By;
import org.openqa.selenium.Dimension;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.support.ui.WebDriverWait;

/** One screen at the bench, driven by what a person sees and types. */
final class Browser implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(20);

    private static final Duration PEDAL_BOUNCE = Duration.ofMillis(270);

    private final ChromeDriver driver;
    private final String url;
    private long lastTap = System.nanoTime();

    Browser(String url) {
        this.url = url;
        ChromeOptions options = new ChromeOptions();
        options.setBinary(program("/usr/bin/chromium"));
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--force-device-scale-factor=1",
                "--hide-scrollbars",
                "--window-size=1280,800");
        driver = new ChromeDriver(
                new ChromeDriverService.Builder()
                        .usingDriverExecutable(new File(program("/usr/bin/chromedriver")))
                        .build(),
                options);
        size(1280, 800);
        driver.get(url);
    }

    private static String program(String path) {
        if (!Files.isExecutable(Path.of(path))) {
            throw new IllegalStateException(path + " is missing");
        }
        return path;
    }

    /** The size of the page itself, without the window's own parts. */
    void size(int width, int height) {
        driver.manage().window().setSize(new Dimension(width, height));
        long missingX = width - (Long) driver.executeScript("return window.innerWidth");
        long missingY = height - (Long) driver.executeScript("return window.innerHeight");
        driver.manage().window().setSize(new Dimension(width + (int) missingX, height + (int) missingY));
    }

    Browser signIn(String name, String password) {
        await(() -> driver.findElement(By.id("name"))).sendKeys(name, Keys.TAB, password, Keys.ENTER);
        awaitText("Take a job in");
        return this;
    }

    Browser signIn() {
        return signIn("Ansa Orrick", "warm-ledge-11");
    }

    /** Opens a job of its own through the screen, by keyboard, and waits for its workspace. */
    Browser takeIn(String owner, String fault) {
        tabTo("Take a job in");
        press(Keys.ENTER);
        await(() -> driver.findElement(By.id("owner"))).sendKeys(owner);
        driver.findElement(By.id("fault")).sendKeys(fault, Keys.ENTER);
        await(() -> driver.findElement(By.cssSelector("[data-next='intake.front']")));
        return this;
    }

    /** Moves the focus with the tabulator until it stands on something with this text. */
    void tabTo(String text) {
        for (int i = 0; i < 60; i++) {
            press(Keys.TAB);
            if (((String) driver.executeScript("return document.activeElement.innerText")).contains(text)) {
                return;
            }
        }
        throw new NoSuchElementException("no tab leads to " + text);
    }

    void press(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    void click(String text) {
        await(() -> driver.findElement(
                        By.xpath("//*[self::button or self::a][contains(normalize-space(.), \"" + text + "\")]")))
                .click();
    }

    void station(String words) {
        await(() -> driver.findElement(By.xpath("//nav[@aria-label='Stations']//button[contains(., '" + words + "')]")))
                .click();
    }

    /** The step the large action stands for, or null while there is none. */
    String nextStep() {
        List<WebElement> next = driver.findElements(By.cssSelector("[data-next]"));
        try {
            return next.isEmpty() ? null : next.get(0).getDomAttribute("data-next");
        } catch (StaleElementReferenceException e) {
            return null;
        }
    }

    /**
     * Goes on with the keyboard alone, as a technician does, until the given step is the next: space for the action,
     * 1 to end a timer early, and the dialogs filled in.
     */
    Browser goOnUntil(String stepId) {
        long end = System.nanoTime() + Duration.ofMinutes(2).toNanos();
        while (!stepId.equals(nextStep())) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("never came to " + stepId + ", stands at " + nextStep());
            }
            goOn();
        }
        return this;
    }

    /** One action of the keyboard journey, and the wait for what it changes. */
    void goOn() {
        String before = state();
        if (!driver.findElements(By.cssSelector("[role=dialog] form")).isEmpty()) {
            fillDialog();
        } else if (!driver.findElements(By.cssSelector("footer [role=timer]")).isEmpty()) {
            tap("1");
        } else {
            tap(Keys.SPACE);
        }
        try {
            new WebDriverWait(driver, Duration.ofSeconds(4), Duration.ofMillis(40)).until(d -> !state().equals(before));
        } catch (TimeoutException e) {
            // Said again by the caller, with the place it is stuck at.
        }
    }

    private void fillDialog() {
        try {
            for (WebElement input : driver.findElements(By.cssSelector("[role=dialog] input"))) {
                if (input.getDomProperty("value").isEmpty()) {
                    input.sendKeys("price".equals(input.getDomAttribute("id")) ? "189" : "said so");
                }
            }
            press(Keys.ENTER);
        } catch (StaleElementReferenceException e) {
            // It closed meanwhile: the answer before was enough.
        }
    }

    /** A key of the workspace, not sooner after the last than a pedal bounces. */
    void tap(CharSequence key) {
        LockSupport.parkNanos(lastTap + PEDAL_BOUNCE.toNanos() - System.nanoTime());
        press(key);
        lastTap = System.nanoTime();
    }

    /** Opens the dialog of the next step, if its first answer asks for more. */
    void openDialog() {
        if (driver.findElements(By.cssSelector("[role=dialog] form")).isEmpty()) {
            tap(Keys.SPACE);
        }
        await(() -> driver.findElement(By.cssSelector("[role=dialog] input")));
    }

    /** Types over whatever stands in a field. */
    void type(String field, String text) {
        await(() -> driver.findElement(By.id(field))).sendKeys(Keys.chord(Keys.CONTROL, "a"), text, Keys.ENTER);
    }

    /** What of the screen changes with every step. */
    private String state() {
        return (String) driver.executeScript(
                "return [document.querySelector('[data-next]')?.dataset.next, !!document.querySelector('[role=dialog]'),"
                        + " !!document.querySelector('footer [role=timer]'),"
                        + " document.querySelector('footer button')?.innerText, location.pathname].join('|')");
    }

    String text() {
        return (String) driver.executeScript("return document.body.innerText");
    }

    void awaitText(String text) {
        awaitText(text, PATIENCE);
    }

    void awaitText(String text, Duration patience) {
        try {
            new WebDriverWait(driver, patience, Duration.ofMillis(50)).until(d -> text().contains(text));
        } catch (TimeoutException e) {
            throw new AssertionError("never saw “" + text + "” in:\n" + text(), e);
        }
    }

    void awaitNoText(String text) {
        new WebDriverWait(driver, PATIENCE).until(d -> !text().contains(text));
    }

    void awaitStep(String stepId) {
        new WebDriverWait(driver, PATIENCE, Duration.ofMillis(50)).until(d -> stepId.equals(nextStep()));
    }

    private WebElement await(Supplier<WebElement> find) {
        return new WebDriverWait(driver, PATIENCE, Duration.ofMillis(50))
                .ignoring(NoSuchElementException.class, StaleElementReferenceException.class)
                .until(d -> find.get());
    }

    /** Seconds left on the large timer. */
    int secondsLeft() {
        String[] clock = await(() -> driver.findElement(By.cssSelector("footer [role=timer] .digits")))
                .getText()
                .split(":");
        return 60 * Integer.parseInt(clock[0]) + Integer.parseInt(clock[1]);
    }

    void open(String path) {
        driver.get(url + path);
    }

    String path() {
        return URI.create(driver.getCurrentUrl()).getPath();
    }

    void reload() {
        driver.navigate().refresh();
    }

    void dark(boolean dark) {
        driver.executeScript("localStorage.setItem('ridgefall.theme', arguments[0])", dark ? "dark" : "light");
        reload();
    }

    /** Cuts this one screen off, as a pulled cable would. */
    void offline(boolean offline) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", offline, "latency", 0, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** Sends a command past the screen, with this browser's own session, and returns status and body. */
    @SuppressWarnings("unchecked")
    Map<String, Object> send(String path, String body) {
        return (Map<String, Object>) driver.executeAsyncScript("""
                const [path, body, done] = arguments;
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
                fetch(path, {method: body ? 'POST' : 'GET', body: body || undefined,
                    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}})
                  .then(async r => done({status: r.status, body: await r.text()}));
                """, path, body);
    }

    /** Serious and critical findings of axe on the screen as it stands. */
    @SuppressWarnings("unchecked")
    List<String> accessibilityFindings() {
        try {
            driver.executeScript(Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js")));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return (List<String>) driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                axe.run().then(r => done(r.violations
                    .filter(v => v.impact === 'serious' || v.impact === 'critical')
                    .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join(' | '))));
                """);
    }

    boolean overflowsSideways() {
        return (Boolean) driver.executeScript(
                "return document.documentElement.scrollWidth > document.documentElement.clientWidth");
    }

    byte[] picture() {
        return driver.getScreenshotAs(OutputType.BYTES);
    }

    @Override
    public void close() {
        driver.quit();
    }
}
