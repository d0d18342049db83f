package garden.vivarium.app.walk;

import com.deque.html.axecore.selenium.AxeBuilder;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Base64;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedDeque;
import org.openqa.selenium.By;
import org.openqa.selenium.Cookie;
import org.openqa.selenium.Keys;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.ExpectedCondition;
import org.openqa.selenium.support.ui.ExpectedConditions;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** A headless Chromium at the application's pages, in the words of a person at it. */
public final class Browser implements AutoCloseable {

    /** Spent only where something fails; a machine that others use is now and then many times slower. */
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration BETWEEN_ASKING = Duration.ofMillis(40);

    /** Not the script of that name in /usr/bin: ended, it would leave the browser behind. */
    private static final Path SHELL = Path.of("/usr/lib/chromium/chromium-headless-shell");

    /** Rows of long lists are drawn alike: what is wrong with one shows among the first. */
    private static final List<String> MORE_OF_THE_SAME = List.of("tbody tr:nth-child(n+13)", "li:nth-child(n+25)");

    private static final String AXE = axe();

    private static String axe() {
        try (InputStream script = AxeBuilder.class.getResourceAsStream("/axe.min.js")) {
            return new String(script.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Browsers that were closed and have forgotten everything: starting one takes seconds. */
    private static final Deque<ChromeDriver> IDLE = new ConcurrentLinkedDeque<>();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(Browser::endIdle, "idle-browsers"));
    }

    private final ChromeDriver driver;
    private final String home;
    private final boolean keeps;

    public Browser(int port) {
        this(port, null);
    }

    /** A browser that keeps what it knows in a folder, so that another one after it goes on; null for one that forgets. */
    Browser(int port, Path profile) {
        keeps = profile != null;
        ChromeDriver idle = keeps ? null : IDLE.poll();
        driver = idle == null ? start(profile) : idle;
        home = "http://127.0.0.1:" + port;
        size(1280, 800, false);
    }

    private static ChromeDriver start(Path profile) {
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .build();
        ChromeOptions options = new ChromeOptions();
        // The same engine without the parts of a desktop starts and draws in less time, but keeps no folder of its own.
        options.setBinary(profile == null && Files.isExecutable(SHELL) ? SHELL.toString() : "/usr/bin/chromium");
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-dev-shm-usage",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--lang=en-GB");
        if (profile != null) {
            options.addArguments("--user-data-dir=" + profile);
        }
        return new ChromeDriver(service, options);
    }

    /** Ends all that nobody uses. */
    static void endIdle() {
        for (ChromeDriver idle = IDLE.poll(); idle != null; idle = IDLE.poll()) {
            idle.quit();
        }
    }

    public void size(int width, int height, boolean phone) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", phone));
    }

    /** Follows a system that is set to dark, or to light. */
    public void dark(boolean on) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", on ? "dark" : "light"))));
    }

    /** Asks for pages in a language. */
    void reads(String language) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand("Network.setExtraHTTPHeaders", Map.of("headers", Map.of("Accept-Language", language)));
    }

    public void open(String path) {
        driver.get(home + path);
    }

    public void signIn(String name, String password) {
        open("/sign-in");
        type("signIn", name);
        type("password", password);
        press("main button.main");
        until(d -> !d.getCurrentUrl().contains("/sign-in"));
    }

    /** Puts a value into the field of the id, in place of what is there. */
    public void type(String id, String value) {
        WebElement field = driver.findElement(By.id(id));
        if (field.getTagName().equals("select")) {
            new Select(field).selectByVisibleText(value);
        } else if ("date".equals(field.getDomAttribute("type"))) {
            driver.executeScript(
                    "arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event('change', {bubbles: true}))",
                    field,
                    value);
        } else {
            field.clear();
            field.sendKeys(value);
        }
    }

    /** Chooses by the start of what is read, for options that say more than their name. */
    public void choose(String id, String start) {
        Select select = new Select(driver.findElement(By.id(id)));
        String text = select.getOptions().stream()
                .map(WebElement::getText)
                .filter(t -> t.startsWith(start))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no option begins with " + start));
        select.selectByVisibleText(text);
    }

    /** Presses what is found, and waits for the next page where that leads to one. */
    public void press(String css) {
        click(driver.findElement(By.cssSelector(css)));
    }

    public void follow(String text) {
        click(driver.findElement(By.linkText(text)));
    }

    private void click(WebElement element) {
        boolean leadsOn = Boolean.TRUE.equals(driver.executeScript("""
                const found = arguments[0].closest('a, button');
                window.stillHere = true;
                if (!found) { return false; }
                return found.tagName === 'A'
                    ? !found.getAttribute('href').startsWith('#')
                    : found.type === 'submit' && found.form !== null && found.form.checkValidity();
                """, element));
        element.click();
        if (leadsOn) {
            // While pages change, asking the browser may fail; ask again.
            new WebDriverWait(driver, PATIENCE, BETWEEN_ASKING)
                    .ignoring(WebDriverException.class)
                    .until(d -> Boolean.TRUE.equals(driver.executeScript(
                            "return window.stillHere !== true && document.readyState === 'complete'")));
        }
    }

    public void upload(String id, Path file) {
        driver.findElement(By.id(id)).sendKeys(file.toAbsolutePath().toString());
    }

    /** Types keys at whatever has the focus, once the page has come whole: keys that come before its first field has the focus go nowhere. */
    public void keys(CharSequence... keys) {
        until(d -> "complete".equals(driver.executeScript("return document.readyState")));
        new Actions(driver).sendKeys(keys).perform();
    }

    public void shiftArrow(Keys arrow, int times) {
        Actions actions = new Actions(driver).keyDown(Keys.SHIFT);
        for (int i = 0; i < times; i++) {
            actions.sendKeys(arrow);
        }
        actions.keyUp(Keys.SHIFT).perform();
    }

    public String text(String css) {
        return driver.findElement(By.cssSelector(css))
                .getText()
                .replaceAll("\\s+", " ")
                .strip();
    }

    public List<String> texts(String css) {
        return until(d -> d.findElements(By.cssSelector(css)).stream()
                .map(e -> e.getText().replaceAll("\\s+", " ").strip())
                .toList());
    }

    public String value(String id) {
        return driver.findElement(By.id(id)).getDomProperty("value");
    }

    public int count(String css) {
        return driver.findElements(By.cssSelector(css)).size();
    }

    public String path() {
        return driver.getCurrentUrl().substring(home.length());
    }

    public Object script(String script, Object... arguments) {
        return driver.executeScript(script, arguments);
    }

    /** Lets nothing through that sends what waits, on whatever page; or lets it through again. */
    public void sendingBlocked(boolean on) {
        driver.executeCdpCommand("Network.enable", Map.of());
        driver.executeCdpCommand(
                "Network.setBlockedURLs", Map.of("urls", on ? List.of("*/session/token*") : List.of()));
    }

    /** Opens a page in a tab of its own, and answers the tab that was shown before. */
    public String newTab(String path) {
        String before = driver.getWindowHandle();
        driver.switchTo().newWindow(WindowType.TAB);
        open(path);
        return before;
    }

    /** Closes the tab that is shown, and goes back to another. */
    public void closeTab(String before) {
        driver.close();
        driver.switchTo().window(before);
    }

    /** A file of the application, as whoever is signed in here gets it. */
    public byte[] fetch(String address) {
        String text = (String) driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                fetch(arguments[0])
                    .then((answer) => answer.arrayBuffer())
                    .then((bytes) => {
                        let text = '';
                        new Uint8Array(bytes).forEach((b) => { text += String.fromCharCode(b); });
                        done(btoa(text));
                    }, (wrong) => done(btoa(String(wrong))));""", address);
        return Base64.getDecoder().decode(text);
    }

    /** What a script answers with the modules of the pages; {@code store} is what waits in the browser. */
    public Object withStore(String answer) {
        return driver.executeAsyncScript("""
                const done = arguments[arguments.length - 1];
                const js = document.querySelector('script[type=module]').src.replace('page.js', '');
                import(js + 'bench/store.js').then(async (store) => (%s)).then(done, (e) => done(String(e)));
                """.formatted(answer));
    }

    /** How many checks of the person who is signed in wait in the browser. */
    public long waitingChecks() {
        return ((Number) withStore("(await store.checksOf(document.body.dataset.owner)).length")).longValue();
    }

    public <T> T until(ExpectedCondition<T> condition) {
        // A page that goes while it is read is simply read again.
        return new WebDriverWait(driver, PATIENCE, BETWEEN_ASKING)
                .ignoring(WebDriverException.class)
                .withMessage(this::whatIsShown)
                .until(condition);
    }

    /** What was on the screen, and what the page complained of, when waiting came to nothing. */
    private String whatIsShown() {
        String text = driver.findElements(By.tagName("body")).stream()
                .map(WebElement::getText)
                .findFirst()
                .orElse("");
        return "at %s, which shows: %s%ncomplaints: %s"
                .formatted(driver.getCurrentUrl(), text.substring(0, Math.min(text.length(), 2000)), complaints());
    }

    /** Waits until the field can be typed into. */
    public void untilShown(String id) {
        until(ExpectedConditions.visibilityOfElementLocated(By.id(id)));
    }

    public void untilText(String css, String part) {
        until(d -> d.findElements(By.cssSelector(css)).stream()
                .anyMatch(e -> e.getText().contains(part)));
    }

    /** Until the address holds the part, as after a form that answers by itself. */
    public void untilAddress(String part) {
        until(d -> path().contains(part));
    }

    public void untilPath(String start) {
        until(d -> path().startsWith(start));
    }

    /** What a checker of accessibility finds wrong with the page. */
    public List<String> barriers() {
        return violations("");
    }

    /** Of those the ones that hang on how wide the window is, and on what is shown only where it is narrow. */
    public List<String> barriersOfAPhone() {
        return violations("target-size scrollable-region-focusable meta-viewport css-orientation-lock aria-hidden-focus"
                + " nested-interactive button-name link-name label select-name image-alt");
    }

    /** What cannot be read for want of contrast. */
    public List<String> poorContrasts() {
        return violations("color-contrast");
    }

    /** Asked in the page itself: its half a megabyte goes there once a page, and only what is wrong comes back. */
    @SuppressWarnings("unchecked")
    private List<String> violations(String rules) {
        if (!(boolean) driver.executeScript("return typeof axe === 'object'")) {
            driver.executeScript(AXE);
        }
        return (List<String>) driver.executeAsyncScript(
                "const done = arguments[arguments.length - 1];"
                        + " axe.run({exclude: arguments[0].map((s) => [s])}, arguments[1]).then((found) => done(found.violations.map("
                        + "(v) => `${v.id}: ${v.nodes.slice(0, 3).map((n) => n.html).join(' ')}`)), (e) => done([String(e)]));",
                MORE_OF_THE_SAME,
                rules.isEmpty()
                        ? Map.of("resultTypes", List.of("violations"))
                        : Map.of(
                                "resultTypes",
                                List.of("violations"),
                                "runOnly",
                                Map.of("type", "rule", "values", List.of(rules.split(" ")))));
    }

    /** What the page complained of in the browser's console. */
    public List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .toList();
    }

    /** The value of the cookie that keeps the session, or null. */
    public String session() {
        return driver.manage().getCookies().stream()
                .filter(c -> c.getName().matches("vivarium-[0-9a-f]{8}-\\d+"))
                .map(Cookie::getValue)
                .findFirst()
                .orElse(null);
    }

    /** How wide the page is, to be compared with the window. */
    public int width() {
        return ((Number) script("return document.documentElement.scrollWidth")).intValue();
    }

    public void picture(Path file) {
        try {
            Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        try {
            if (!keeps) {
                forget();
                IDLE.push(driver);
                return;
            }
        } catch (WebDriverException e) {
            // It is not well; whoever comes next starts another.
        }
        driver.quit();
    }

    /** What one tab was set to goes with it; what the browser keeps of the pages is cleared. */
    private void forget() {
        Set<String> before = driver.getWindowHandles();
        driver.switchTo().newWindow(WindowType.TAB);
        String now = driver.getWindowHandle();
        before.forEach(tab -> driver.switchTo().window(tab).close());
        driver.switchTo().window(now);
        driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", home, "storageTypes", "all"));
        driver.executeCdpCommand("Network.setExtraHTTPHeaders", Map.of("headers", Map.of()));
        driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
        driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
        driver.manage().logs().get(LogType.BROWSER);
    }
}
