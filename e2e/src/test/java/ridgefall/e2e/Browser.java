package ridgefall.e2e;

import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.openqa.selenium.By;
import org.openqa.selenium.Cookie;
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
    private static final Duration PATIENCE = Duration.ofSeconds(40);

    /** From where the product is, and none of its pages. */
    private static final String NO_PAGE = "/mark.svg";

    /** What was tapped is in the journal, and the screen has it. */
    private static final String ANSWERED = "!document.querySelector(\"footer[data-pending]:not([data-pending='0'])\")";

    private static final String NEXT_STEP = "document.querySelector('[data-next]')?.dataset.next";

    /** What of the screen changes with every step: the step, a dialog, a clock, what the large action says, the page. */
    private static final String STATE = "[" + NEXT_STEP + ", !!document.querySelector('[role=dialog] form'),"
            + " !!document.querySelector('footer [role=timer]'),"
            + " document.querySelector('footer button')?.innerText, location.pathname]";

    private static final String PICTURES =
            "[...document.querySelectorAll('img')].filter(i => i.alt === args[0] && i.naturalWidth > 0).length";

    /** A job in hand, or something to fill in. */
    private static final String ASKS = "footer[data-pending], [role=dialog] form";

    /** What is asked has stood long enough to be answered. */
    private static final String STANDS = """
            (() => {
              const form = document.querySelector('[role=dialog] form');
              if (form) return performance.now() - (form.seen ??= performance.now()) > 260;
              const bar = document.querySelector('footer[data-pending]');
              return !bar || !!bar.dataset.stands;
            })()""";

    private static final Duration PEDAL_BOUNCE = Duration.ofMillis(270);

    private final ChromeDriver driver;
    private boolean cutOff;
    private final List<ProcessHandle> programs;
    private final Waiting waiting;
    private final Product product;
    private final String url;
    private final List<String> takenIn = new ArrayList<>();
    private long lastTap = System.nanoTime();

    /**
     * A journey is over before a script runs often enough to be worth compiling twice: a fifth of a browser's processor time goes
     * with it (docs/decisions/53).
     */
    Browser(Product product) {
        this(product, "--js-flags=--no-opt --no-maglev --single-threaded");
    }

    /** With its scripts compiled as at a bench. */
    static Browser watched(Product product) {
        return new Browser(product, new String[0]);
    }

    private Browser(Product product, String... more) {
        this.product = product;
        this.url = product.url();
        ChromeOptions options = new ChromeOptions();
        options.setBinary(program("/usr/lib/chromium/chromium-headless-shell"));
        options.addArguments(
                "--headless",
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
        options.addArguments(more);
        synchronized (Browser.class) {
            // Whatever child this process has then and had not before is this browser's.
            Set<ProcessHandle> before = ProcessHandle.current().children().collect(Collectors.toSet());
            driver = new ChromeDriver(
                    new ChromeDriverService.Builder()
                            .usingDriverExecutable(new File(program("/usr/bin/chromedriver")))
                            .build(),
                    options);
            programs = ProcessHandle.current()
                    .children()
                    .filter(child -> !before.contains(child))
                    .toList();
        }
        waiting = new Waiting(driver);
        // Skipping through a job waits for its plans, on a machine that may be busy.
        driver.manage().timeouts().scriptTimeout(PATIENCE.multipliedBy(3));
        size(1280, 800);
        open(NO_PAGE);
    }

    /** Processor time that its programs have taken so far, s. */
    double processorSeconds() {
        return programs.stream()
                .flatMap(one -> Stream.concat(Stream.of(one), one.descendants()))
                .flatMap(one -> one.info().totalCpuDuration().stream())
                .mapToDouble(took -> took.toMillis() / 1000.0)
                .sum();
    }

    /**
     * As a screen that nobody has sat at yet, with none of the product's pages on it. What its scripts were compiled to is
     * kept: to do that anew costs more than most journeys.
     */
    void forget() {
        offline(false);
        open(NO_PAGE);
        driver.executeScript("localStorage.clear()");
        driver.executeCdpCommand("Emulation.clearDeviceMetricsOverride", Map.of());
        driver.manage().deleteAllCookies();
        size(1280, 800);
        // Hands out the token that whoever writes past the screen has to show.
        open(NO_PAGE);
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

    /** A face smaller than any window, told of as a device tells of its own: in CSS px, two of the screen's to each. */
    void face(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 2, "mobile", true));
    }

    /** The session of somebody who signed in this morning. */
    Browser as(String name, String password) {
        driver.manage()
                .addCookie(new Cookie.Builder("ridgefall_session", product.session(name, password))
                        .path("/")
                        .isHttpOnly(true)
                        .build());
        return this;
    }

    /** The technician's. */
    Browser asAnsa() {
        return as("Ansa Orrick", "warm-ledge-11");
    }

    /** Signs in past the screen, and looks at the bench. */
    Browser signIn(String name, String password) {
        as(name, password).open("/");
        awaitText("Take a job in");
        return this;
    }

    Browser signInByHand() {
        return signInByHand("Ansa Orrick", "warm-ledge-11");
    }

    /** Types name and password, as everybody does at first. */
    Browser signInByHand(String name, String password) {
        open("/");
        await(() -> driver.findElement(By.id("name"))).sendKeys(name, Keys.TAB, password, Keys.ENTER);
        awaitText("Take a job in");
        return this;
    }

    /** Forgets who sits here, as closing the browser for good would. */
    void signOut() {
        driver.manage().deleteAllCookies();
    }

    Browser signIn() {
        return signIn("Ansa Orrick", "warm-ledge-11");
    }

    /** A job of the demo tablet, taken in past the screen, and its workspace on the screen. */
    Browser takeIn(String owner, String fault) {
        return takeIn("Quire 11", owner, fault);
    }

    /** A job of the first device that the book finds for some words. */
    Browser takeIn(String device, String owner, String fault) {
        return takeIn(device, null, owner, fault);
    }

    /** @param variant of the device; null where it has none */
    Browser takeIn(String device, String variant, String owner, String fault) {
        String job = (String) driver.executeAsyncScript("""
                const [device, variantId, owner, fault, done] = arguments;
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
                const go = async () => {
                  const found = await (await fetch('/api/devices?query=' + encodeURIComponent(device))).json();
                  const id = crypto.randomUUID();
                  const answer = await fetch('/api/jobs', {method: 'POST',
                    headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},
                    body: JSON.stringify({commandId: id, profileId: found[0].id, variantId, owner, contact: null, fault})});
                  return answer.ok ? id : await answer.text();
                };
                go().then(done, e => done(String(e)));
                """, device, variant, owner, fault);
        takenIn.add("/jobs/" + job);
        open("/jobs/" + job);
        awaitStep("intake.front");
        return this;
    }

    /** A job of the demo tablet that has come to a step, every answer on the way a good one, and its workspace on the screen. */
    Browser takenTo(String stepId, String owner, String fault) {
        return takenTo(stepId, "Quire 11", owner, fault);
    }

    /** The same of another device. */
    Browser takenTo(String stepId, String device, String owner, String fault) {
        return takenTo(stepId, device, null, owner, fault);
    }

    /** @param variant of the device; null where it has none */
    Browser takenTo(String stepId, String device, String variant, String owner, String fault) {
        String job = product.bringIn(Walk.of(device, variant).to(stepId, owner, fault));
        takenIn.add("/jobs/" + job);
        open("/jobs/" + job);
        awaitStep(stepId);
        return this;
    }

    /** The same, whatever is asked there: a plan says another stretch first once it counts the minutes anew. */
    void broughtTo(String stepId, String device, String owner, String fault) {
        String job = product.bringIn(Walk.of(device, null).to(stepId, owner, fault));
        takenIn.add("/jobs/" + job);
        open("/jobs/" + job);
        await("its footer", "document.querySelector('footer[data-pending]') !== null");
        awaitAnswers();
    }

    /** Whatever it has laid on a source comes off: other journeys share the bench. */
    void offItsSources() {
        driver.executeAsyncScript("""
                const [paths, done] = arguments;
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)?.[1] ?? '');
                const off = async path => {
                  const job = await (await fetch('/api' + path)).json();
                  const fact = job.steps?.find(s => s.choices[0]?.fact.type === 'SoakEnded')?.choices[0].fact;
                  if (fact) await fetch('/api' + path + '/facts', {method: 'POST',
                      headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},
                      body: JSON.stringify({commandId: crypto.randomUUID(), expectedSeq: job.seq, fact})});
                };
                Promise.all(paths.map(off)).then(() => done(), () => done());
                """, takenIn);
        takenIn.clear();
    }

    /** Takes in the first device that the book finds for some words, by keyboard. */
    Browser takeInByHand(String device, String owner, String fault) {
        tabTo("Take a job in");
        press(Keys.ENTER);
        await(() -> driver.findElement(By.id("device-search"))).sendKeys(device);
        awaitFirst(device);
        driver.findElement(By.id("device-search")).sendKeys(Keys.ENTER);
        awaitText("this one");
        driver.findElement(By.id("owner")).sendKeys(owner);
        driver.findElement(By.id("fault")).sendKeys(fault);
        readFirst();
        driver.findElement(By.id("fault")).sendKeys(Keys.ENTER);
        await(() -> driver.findElement(By.cssSelector("[data-next='intake.front']")));
        return this;
    }

    /** Waits until the list of devices has answered to what was typed. */
    private void awaitFirst(String device) {
        await(() -> driver.findElements(By.cssSelector("section[aria-label=Device] li")).stream()
                .findFirst()
                .filter(first -> first.getText().contains(device))
                .orElse(null));
    }

    /** Moves the focus with the tabulator until it stands on something with this text. */
    void tabTo(String text) {
        for (int i = 0; i < 60; i++) {
            press(Keys.TAB);
            // What is focused may go, a clock that ended, say: then it is the page, which has every text in it.
            if (((String) driver.executeScript("return document.querySelector(':focus:not(body)')?.innerText ?? ''"))
                    .contains(text)) {
                return;
            }
        }
        throw new NoSuchElementException("no tab leads to " + text);
    }

    void pressWith(Keys held, CharSequence key) {
        new Actions(driver).keyDown(held).sendKeys(key).keyUp(held).perform();
    }

    void press(CharSequence... keys) {
        new Actions(driver).sendKeys(keys).perform();
    }

    /** Clicks what carries this text: a button, a link, an entry of a menu. */
    void click(String text) {
        clickFirst("//*[self::button or self::a or @role='menuitem'][contains(normalize-space(.), \"" + text + "\")]");
    }

    /** Clicks whichever of two buttons there is. */
    void clickFirstOf(String one, String other) {
        clickFirst("//button[normalize-space(.) = \"" + one + "\" or normalize-space(.) = \"" + other + "\"]");
    }

    String textOf(String css) {
        return await(() -> driver.findElement(By.cssSelector(css))).getText().replace("\n", "");
    }

    /** As a device that nobody signed in on. */
    void openTouchProof(String address) {
        driver.get("about:blank");
        driver.get(address);
        awaitText("Touch proof");
    }

    /** A finger up and down all over the sheet, but between two shares of its width, where nothing answers. */
    void fingerOverTheSheet(double deadFrom, double deadTo) {
        touch("""
                for (let x = 10; x < innerWidth + 18; x += 24) {
                  const at = Math.min(x, innerWidth - 3);
                  finger++;
                  let down = false;
                  for (let y = 2; y < innerHeight; y += 10) {
                    if (at / innerWidth > args[0] && at / innerWidth < args[1]) continue;
                    tell(down ? move : 'pointerdown', at, y);
                    if (!down) down = true;
                    if (y % 80 < 10) await pause(2);
                  }
                  tell('pointerup', at, innerHeight - 2);
                }""", deadFrom, deadTo);
    }

    /** Both diagonals, so many px between two answers that come every 8 ms. */
    void fingerAlongTheDiagonals(int stepPx) {
        touch("""
                const long = Math.hypot(innerWidth, innerHeight);
                for (const left of [true, false]) {
                  finger++;
                  for (let s = 0.02; s < 0.98; s += args[0] / long) {
                    const x = (left ? s : 1 - s) * innerWidth;
                    tell(s === 0.02 ? 'pointerdown' : move, x, s * innerHeight);
                    await pause(8);
                  }
                  tell('pointerup', 0, 0);
                }""", stepPx);
    }

    private void touch(String way, Object... args) {
        await(() -> driver.findElement(By.cssSelector("canvas")));
        driver.executeAsyncScript("""
                const args = [...arguments];
                const done = args.pop();
                const sheet = document.querySelector('canvas');
                const move = 'onpointerrawupdate' in sheet ? 'pointerrawupdate' : 'pointermove';
                const pause = (ms) => new Promise((r) => setTimeout(r, ms));
                let finger = 20;
                const tell = (kind, x, y) => sheet.dispatchEvent(new PointerEvent(kind,
                    {pointerId: finger, pointerType: 'touch', clientX: x, clientY: y, bubbles: true}));
                (async () => {
                %s
                })().then(() => done(null), (e) => done(String(e)));
                """.formatted(way), args);
    }

    /** Clicks something drawn, by what it is called for those who don't see it. */
    void clickLabelled(String label) {
        clickFirst("//*[@role='button'][contains(@aria-label, \"" + label + "\")]");
    }

    /** Clicks a button in the row of a list or table that names something. */
    void clickIn(String row, String text) {
        clickFirst("//*[self::li or self::tr][contains(., \"" + row + "\")]//button[contains(normalize-space(.), \""
                + text + "\")]");
    }

    private void clickFirst(String xpath) {
        try {
            // Whatever asks is there with what is pressed: only then is there something to read.
            await(() -> driver.findElement(By.xpath(xpath)));
            readFirst();
            // What is drawn anew between finding and clicking is found once more; nobody presses what can't be pressed
            // yet.
            await(() -> {
                WebElement found = driver.findElement(By.xpath(xpath));
                if (!found.isEnabled()) {
                    return false;
                }
                found.click();
                return true;
            });
        } catch (TimeoutException e) {
            throw new AssertionError("nothing to press at " + xpath + " in:\n" + text(), e);
        }
    }

    void station(String words) {
        await(() -> driver.findElement(By.xpath("//nav[@aria-label='Stations']//button[contains(., '" + words + "')]")))
                .click();
    }

    /** The step the large action stands for, or null while there is none. */
    String nextStep() {
        return (String) driver.executeScript("return " + NEXT_STEP + " ?? null");
    }

    /**
     * Goes on with the keyboard alone, as a technician does, until the given step is the next: space for the action,
     * 1 to end a timer early, and the dialogs filled in.
     */
    Browser goOnUntil(String stepId) {
        long end = System.nanoTime() + Duration.ofMinutes(2).toNanos();
        awaitAnswers();
        while (!stepId.equals(nextStep())) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("never came to " + stepId + ", stands at " + nextStep());
            }
            goOn();
            // An answer may wait for a plan; looking before it is there would go on past the step.
            awaitAnswers();
        }
        return this;
    }

    /**
     * Brings the job to a step by answering what comes before with what is offered first, past the screen but in this
     * browser's own session: for journeys that are about what comes after.
     */
    Browser skipTo(String stepId) {
        return skipTo(stepId, Duration.ZERO);
    }

    /**
     * The same so long ago, of a job that was taken in before that; but what is warmed comes off its source now, when it is
     * warm.
     */
    Browser skipTo(String stepId, Duration ago) {
        awaitAnswers();
        String job = path();
        // No page draws what nobody looks at.
        open(NO_PAGE);
        Object failed = driver.executeAsyncScript("""
                const [path, until, agoMs, done] = arguments;
                const token = decodeURIComponent(/XSRF-TOKEN=([^;]*)/.exec(document.cookie)[1]);
                const tappedAt = fact => {
                  const before = fact.type === 'SoakStarted' ? 1000 * fact.seconds : fact.type === 'SoakEnded' ? 0 : agoMs;
                  return agoMs > 0 ? new Date(Date.now() - before).toISOString() : null;
                };
                const typed = {price: 189, agreedBy: 'said so', to: 'said so', ohm: 0.3, expires: '2099-12-31', thicknessMm: 0.3, mwPerCm2: 50};
                const go = async () => {
                  let told = null;
                  for (let i = 0; i < 250; i++) {
                    const job = told ?? (await (await fetch('/api' + path)).json());
                    if (job.nextStepId === until) return null;
                    const step = job.steps.find(s => s.id === job.nextStepId);
                    if (!step) return 'ended before ' + until;
                    // Whoever skips cuts cold: nobody waits for it to be warm.
                    const cut = job.steps.find(s => s.open && s.choices[0]?.fact.type === 'StretchFreed');
                    // What a programmer does takes its time; whoever skips had another one do it.
                    const copies = step.choices[0].fact.type === 'CopyBegun';
                    const choice = (step.id === 'separate.warm' ? cut : step).choices[copies ? 1 : 0];
                    const fact = {...choice.fact};
                    for (const ask of choice.asks) {
                      const said = typed[ask.field] ?? ask.suggestion ?? 'said so';
                      fact[ask.field] = ask.kind === 'NUMBER' ? Number(said) : said;
                    }
                    const answer = await fetch('/api' + path + '/facts?view=true', {method: 'POST',
                      headers: {'Content-Type': 'application/json', 'X-XSRF-TOKEN': token},
                      body: JSON.stringify({commandId: crypto.randomUUID(), expectedSeq: job.seq,
                        tappedAt: tappedAt(fact), fact})});
                    told = answer.ok ? (await answer.json()).job : null;
                    if (answer.ok) continue;
                    const why = await answer.text();
                    // Another journey was quicker: what is offered now begins elsewhere.
                    if (!why.includes('"heat.taken"')) return step.id + ': ' + why;
                  }
                  return 'never came to ' + until;
                };
                go().then(done, e => done(String(e)));
                """, job, stepId, ago.toMillis());
        if (failed != null) {
            throw new IllegalStateException(failed.toString());
        }
        open(job);
        awaitStep(stepId);
        return this;
    }

    /**
     * Takes another source than the plan would. Each class of journeys has its own, so that none waits for another one's clock; what is
     * planned first is left to the long journey.
     */
    void layOn(String source) {
        click("Sources and recipes");
        awaitText("why, or why not");
        clickIn(source, "Take");
        awaitText("on " + source + " at");
        click("Start with this");
        awaitText("Soaking on " + source);
    }

    /** One action of the keyboard journey, and the wait for what it changes. */
    void goOn() {
        awaitAnswers();
        if (!driver.findElements(By.cssSelector("[data-runs]")).isEmpty()) {
            await("the end of what runs by itself", "!document.querySelector('[data-runs]')");
            return;
        }
        List<?> before = (List<?>) driver.executeScript("return " + STATE);
        if (Boolean.TRUE.equals(before.get(1))) {
            fillDialog();
        } else if (Boolean.TRUE.equals(before.get(2))) {
            tap("1");
        } else if ("separate.warm".equals(before.get(0))) {
            // The pick goes in, whatever is reckoned: nobody waits for it to be warm.
            tap("2");
        } else {
            tap(Keys.SPACE);
        }
        // Where nothing changes the caller says so, with the place it is stuck at.
        waiting.until(Duration.ofSeconds(4), "JSON.stringify(" + STATE + ") !== JSON.stringify(args[0])", before);
    }

    /** A person waits for the screen to answer; what comes next may depend on it. */
    void awaitAnswers() {
        await("the answer to a tap", ANSWERED);
    }

    private void fillDialog() {
        try {
            for (WebElement input : driver.findElements(By.cssSelector("[role=dialog] input"))) {
                if (input.getDomProperty("value").isEmpty()) {
                    input.sendKeys("price".equals(input.getDomAttribute("id")) ? "189" : "said so");
                }
            }
            readFirst();
            press(Keys.ENTER);
        } catch (StaleElementReferenceException e) {
            // It closed meanwhile: the answer before was enough.
        }
    }

    /** What was refused is given anew, within what the refusal says, mostly near its lower end: for the next press. */
    private void fillAllowed(Random random) {
        driver.executeScript("""
                const range = /allowed:.*?(-?[\\d.]+) to (-?[\\d.]+)/.exec(
                    document.querySelector('[role=dialog] [role=alert]')?.innerText ?? '');
                const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set;
                for (const input of range ? document.querySelectorAll('[role=dialog] [inputmode=decimal]') : []) {
                  set.call(input, (+range[1] + arguments[0] * (range[2] - range[1])).toFixed(3));
                  input.dispatchEvent(new Event('input', {bubbles: true}));
                }
                """, Math.pow(random.nextDouble(), 8));
    }

    /** A key of the workspace. */
    void tap(CharSequence key) {
        readFirst();
        press(key);
    }

    /** A person reads what is asked, and no screen takes a press sooner: nor one right after another. */
    private void readFirst() {
        if (!Boolean.TRUE.equals(driver.executeScript("return !!document.querySelector(arguments[0])", ASKS))) {
            return;
        }
        LockSupport.parkNanos(lastTap + PEDAL_BOUNCE.toNanos() - System.nanoTime());
        if (!cutOff) {
            await("the server's word on what was told", "!document.querySelector('[data-told]')");
        }
        await("a question that stands", STANDS);
        lastTap = System.nanoTime();
    }

    /** Waits until a step is offered, whether or not the server knows what was tapped before it. */
    void awaitInSight(String stepId) {
        await(stepId + " in sight", NEXT_STEP + " === args[0]", stepId);
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
        put(field, text);
        readFirst();
        driver.findElement(By.id(field)).sendKeys(Keys.ENTER);
    }

    /** A day as 2026-12-01, whatever order its field has the parts in. */
    void pickDay(String field, String day) {
        WebElement input = await(() -> driver.findElement(By.id(field)));
        driver.executeScript("""
                const [input, day] = arguments;
                Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value').set.call(input, day);
                input.dispatchEvent(new Event('input', {bubbles: true}));
                """, input, day);
        readFirst();
        input.sendKeys(Keys.ENTER);
    }

    /** Types into a field without leaving it. */
    void put(String field, String text) {
        await(() -> driver.findElement(By.id(field))).sendKeys(Keys.chord(Keys.CONTROL, "a"), text);
    }

    /** Takes one of what a field offers, by its value. */
    void choose(String field, String option) {
        await(() -> driver.findElement(By.cssSelector("#" + field + " option[value='" + option + "']")))
                .click();
    }

    String value(String field) {
        return await(() -> driver.findElement(By.id(field))).getDomProperty("value");
    }

    boolean enabled(String button) {
        return await(() -> driver.findElement(By.xpath("//button[normalize-space(.) = \"" + button + "\"]")))
                .isEnabled();
    }

    void awaitEnabled(String label, boolean enabled) {
        await(
                label + (enabled ? " enabled" : " disabled"),
                "document.querySelector(`[aria-label=\"${args[0]}\"]`)?.disabled === !args[1]",
                label,
                enabled);
    }

    void focus(String css) {
        driver.executeScript("document.querySelector(arguments[0]).focus()", css);
    }

    /** Gives a file field the file at a path, as its chooser would. */
    void upload(String field, Path file) {
        await(() -> driver.findElement(By.id(field))).sendKeys(file.toString());
    }

    /** How many pictures of that name are really drawn. */
    long pictures(String alt) {
        return (Long) driver.executeScript("return ((...args) => " + PICTURES + ")(...arguments)", alt);
    }

    void awaitPictures(String alt, long count) {
        await(count + " pictures of " + alt, PICTURES + " === args[1]", alt, count);
    }

    /** How many pixels so many millimetres of the edge take on a band. */
    int pixels(String css, double mm) {
        return ((Number) driver.executeScript(
                        "const band = document.querySelector(arguments[0]).getBoundingClientRect();"
                                + " const part = document.querySelector('[data-feature=feature] rect').getBoundingClientRect();"
                                + " return part.left - band.left",
                        css))
                .intValue();
    }

    void drag(String css, int x, int y) {
        new Actions(driver)
                .moveToElement(driver.findElement(By.cssSelector(css)))
                .clickAndHold()
                .moveByOffset(x / 2, y / 2)
                .moveByOffset(x - x / 2, y - y / 2)
                .release()
                .perform();
    }

    /** Draws from one place of an element to another, both in shares of its width and height. */
    void stroke(String css, double fromX, double fromY, double toX, double toY) {
        WebElement board = await(() -> driver.findElement(By.cssSelector(css)));
        int width = board.getRect().getWidth();
        int height = board.getRect().getHeight();
        new Actions(driver)
                .moveToElement(board, (int) ((fromX - 0.5) * width), (int) ((fromY - 0.5) * height))
                .clickAndHold()
                .moveByOffset((int) ((toX - fromX) / 2 * width), (int) ((toY - fromY) / 2 * height))
                .moveByOffset((int) ((toX - fromX) / 2 * width), (int) ((toY - fromY) / 2 * height))
                .release()
                .perform();
    }

    void tapAt(String css, double x, double y) {
        WebElement board = await(() -> driver.findElement(By.cssSelector(css)));
        new Actions(driver)
                .moveToElement(board, (int) ((x - 0.5) * board.getRect().getWidth()), (int)
                        ((y - 0.5) * board.getRect().getHeight()))
                .click()
                .perform();
    }

    /** A finger that rests until something shows. */
    void hold(String css, double x, double y, String shows) {
        WebElement board = await(() -> driver.findElement(By.cssSelector(css)));
        new Actions(driver)
                .moveToElement(board, (int) ((x - 0.5) * board.getRect().getWidth()), (int)
                        ((y - 0.5) * board.getRect().getHeight()))
                .clickAndHold()
                .perform();
        await(() -> driver.findElement(By.cssSelector(shows)));
        new Actions(driver).release().perform();
    }

    /**
     * What a screen does while something is dragged to and fro, a new place in every frame.
     *
     * @param frameMs between one frame and the next
     * @param changes of the page's nodes, all frames together
     * @param questions to the app meanwhile
     */
    record Drag(List<Number> frameMs, long changes, long questions) {
        /** Frames so far apart that the page takes the hand for resting. */
        long rests() {
            return frameMs.stream().filter(f -> f.doubleValue() > 150).count();
        }

        double shareOver(double ms) {
            return frameMs.stream().filter(f -> f.doubleValue() > ms).count() / (double) frameMs.size();
        }
    }

    /** @param css what is dragged; null to watch as many frames of the page at rest */
    @SuppressWarnings("unchecked")
    Drag dragToAndFro(String css, int frames) {
        List<Object> seen = (List<Object>) driver.executeAsyncScript("""
                const [css, frames, done] = arguments;
                const part = css && document.querySelector(css);
                const box = part?.getBoundingClientRect();
                const middle = part ? box.left + box.width / 2 : 0;
                const at = (type, x) => part?.dispatchEvent(new PointerEvent(type,
                    {bubbles: true, pointerId: 1, clientX: x, clientY: box.top + box.height / 2}));
                if (part) part.setPointerCapture = () => undefined;
                at('pointerdown', middle);
                let changes = 0;
                // Inputs are given the same name again and again: only what differs is a change.
                const differs = (m) => m.type !== 'attributes' || m.target.getAttribute(m.attributeName) !== m.oldValue;
                const watch = new MutationObserver((seen) => (changes += seen.filter(differs).length));
                // Of this screen alone: what others do meanwhile is news that the bench is asked for.
                const questions = () => performance.getEntriesByType('resource')
                    .filter((one) => one.name.includes('/api/book')).length;
                const asked = questions();
                const took = [];
                let last = null;
                const frame = (now) => {
                  if (last !== null) took.push(now - last);
                  last = now;
                  if (took.length >= frames) {
                    watch.disconnect();
                    at('pointerup', middle);
                    done([took, changes, questions() - asked]);
                    return;
                  }
                  at('pointermove', middle + 60 * Math.sin(took.length / 9));
                  requestAnimationFrame(frame);
                };
                requestAnimationFrame((now) => {
                  watch.observe(document.body,
                      {subtree: true, childList: true, attributeOldValue: true, characterData: true});
                  frame(now);
                });
                """, css, frames);
        return new Drag((List<Number>) seen.get(0), (Long) seen.get(1), (Long) seen.get(2));
    }

    /** Taps "Agreed" beside the first quote and fills in who agreed. */
    void agreeToTheFirstQuote(String by) {
        clickFirst("//table//button[normalize-space(.) = 'Agreed']");
        type("agreedBy", by);
    }

    /** Goes on as long as what comes next is of a kind. */
    void goOnWhile(Predicate<String> kind) {
        long end = System.nanoTime() + Duration.ofMinutes(1).toNanos();
        while (nextStep() != null && kind.test(nextStep())) {
            if (System.nanoTime() > end) {
                throw new IllegalStateException("stuck at " + nextStep());
            }
            goOn();
            awaitAnswers();
        }
    }

    String text() {
        return (String) driver.executeScript("return document.body.innerText");
    }

    void awaitText(String text) {
        awaitText(text, PATIENCE);
    }

    void awaitText(String text, Duration patience) {
        if (!waiting.until(patience, "document.body.innerText.includes(args[0])", text)) {
            Object waiting = driver.executeScript("return localStorage.getItem('ridgefall.outbox')");
            throw new AssertionError("never saw “" + text + "” (taps on their way: " + waiting + ") in:\n" + text());
        }
    }

    void awaitNoText(String text) {
        await("an end of “" + text + "”", "!document.body.innerText.includes(args[0])", text);
    }

    void awaitStepAfter(String stepId) {
        await("a step after " + stepId, ANSWERED + " && (" + NEXT_STEP + " ?? args[0]) !== args[0]", stepId);
    }

    /** Leaves what else the fault finder proposes until it comes to this. */
    void leaveChecksUntil(String stepId) {
        await("a check of the fault finder", "(" + NEXT_STEP + " ?? '').includes('.fault.')");
        for (String at = nextStep(); !at.equals(stepId); at = nextStep()) {
            click("Not that: what else?");
            awaitStepAfter(at);
        }
    }

    /** And the server's word for it: what a screen offers before is not always what there is to answer. */
    void awaitStep(String stepId) {
        await(stepId + " as the next step", ANSWERED + " && " + NEXT_STEP + " === args[0]", stepId);
    }

    /** What a screen offers while nobody answers. */
    void awaitOffered(String stepId) {
        await(stepId + " offered", NEXT_STEP + " === args[0]", stepId);
    }

    /** @param condition see {@link Waiting} */
    private void await(String what, String condition, Object... args) {
        if (!waiting.until(PATIENCE, condition, args)) {
            throw new AssertionError("never saw " + what + " in:\n" + text());
        }
    }

    private <T> T await(Supplier<T> find) {
        return new WebDriverWait(driver, PATIENCE, Duration.ofMillis(100))
                .ignoring(NoSuchElementException.class, StaleElementReferenceException.class)
                .until(d -> find.get());
    }

    /** When the soak of the job on the screen ends by its journal, s since 1970. */
    double soakEndsAt() {
        return endsAt("timer.warmth === 'RISING'");
    }

    /** When a clock of this job runs out, s. */
    double clockEndsAt(String words) {
        return endsAt("timer.words === '" + words + "'");
    }

    private double endsAt(String which) {
        return ((Number) driver.executeAsyncScript("""
                const [path, done] = arguments;
                fetch('/api' + path).then((answer) => answer.json()).then((job) => {
                  const clock = job.timers.find((timer) => %s);
                  done(clock ? Date.parse(clock.startedAt) / 1000 + clock.seconds : -1);
                });
                """.formatted(which), path())).doubleValue();
    }

    /** Waits until the large timer, read together with the clock, says the same to the second. */
    void awaitTimerEndsAt(double seconds) {
        await("the timer end at " + seconds, """
                (() => {
                  const digits = document.querySelector('footer [role=timer] .digits');
                  const [minutes, seconds] = digits?.innerText.split(':').map(Number) ?? [];
                  return Math.abs(Date.now() / 1000 + 60 * minutes + seconds - args[0]) < 1;
                })()""", seconds);
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

    /** Shows this page in another theme, until it is left. */
    void wear(String theme) {
        driver.executeScript("document.documentElement.dataset.theme = arguments[0]", theme);
    }

    /** Cuts this one screen off, as a pulled cable would. */
    void offline(boolean offline) {
        cutOff = offline;
        line(offline, 0);
    }

    /** Whatever it asks for takes so much longer. */
    void slowLine(int latencyMs) {
        line(false, latencyMs);
    }

    private void line(boolean offline, int latencyMs) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.emulateNetworkConditions",
                Map.of("offline", offline, "latency", latencyMs, "downloadThroughput", -1, "uploadThroughput", -1));
    }

    /** From here on the page notes what is tapped: {@link TapWatch}. */
    TapWatch watchTaps() {
        return new TapWatch(driver);
    }

    /** A hand that does not look: a key, a click, a touch or two at once, on whatever is there; a form is filled in. */
    void hit(Random random) {
        if (!driver.findElements(By.cssSelector("[role=dialog] form")).isEmpty()) {
            fillDialog();
            fillAllowed(random);
            return;
        }
        if (!driver.findElements(By.cssSelector("[role=dialog]")).isEmpty()) {
            press(Keys.ESCAPE);
            return;
        }
        int way = random.nextInt(10);
        if (way < 5) {
            press(Keys.SPACE);
        } else if (way < 7) {
            press(way == 5 ? "1" : "2");
        } else {
            driver.executeScript("""
                    const large = document.querySelector('button[data-next]');
                    const down = () => large?.dispatchEvent(new PointerEvent('pointerdown', {bubbles: true}));
                    down();
                    large?.click();
                    if (arguments[0]) setTimeout(() => { down(); large?.click(); }, 70);
                    """, way == 9);
        }
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

    /** What the stand-in programmer does wrong at its next job. */
    void programmerPlays(String fault) {
        Object status = send("/api/programmers/stand-in-programmer/fault", "{\"fault\":\"" + fault + "\"}")
                .get("status");
        if (!Long.valueOf(204).equals(status)) {
            throw new IllegalStateException("it answered " + status);
        }
    }

    /** Serious and critical findings of axe on the screen as it stands. */
    @SuppressWarnings("unchecked")
    List<String> accessibilityFindings() {
        try {
            if (!(Boolean) driver.executeScript("return 'axe' in window")) {
                driver.executeScript(Files.readString(Path.of("../web/node_modules/axe-core/axe.min.js")));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return (List<String>) driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                axe.run({resultTypes: ['violations']}).then(r => done(r.violations
                    .filter(v => v.impact === 'serious' || v.impact === 'critical')
                    .map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join(' | '))));
                """);
    }

    /** The window's inside is so large, at once and without a frame's leave. */
    void view(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        // Drawn in the new size, what measures itself too.
        driver.executeAsyncScript(
                "const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => setTimeout(done, 60)));");
    }

    /** What is covered or cut, as layout.js says it. */
    @SuppressWarnings("unchecked")
    List<String> layoutFindings() {
        return (List<String>) driver.executeScript(LAYOUT);
    }

    /** Red, green and blue of the button that begins so. */
    int[] backgroundOf(String button) {
        String rgb = (String) driver.executeScript("""
                return getComputedStyle([...document.querySelectorAll('button')]
                    .find(one => one.textContent.trim().startsWith(arguments[0]))).backgroundColor""", button);
        return Pattern.compile("\\d+")
                .matcher(rgb)
                .results()
                .limit(3)
                .mapToInt(one -> Integer.parseInt(one.group()))
                .toArray();
    }

    private static final String LAYOUT = resource("/layout.js");

    private static String resource(String name) {
        try (InputStream in = Browser.class.getResourceAsStream(name)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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
