package org.stratopneum.web.browser;

import java.net.HttpCookie;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.logging.Level;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.Rectangle;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebDriver;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.WebDriverWait;

/**
 * Debian's Chromium without a window, shut off from everything but this machine: its shell, which draws a page at half
 * the cost of the whole browser. Starting one takes a second, so those that were closed wait for the next test, with
 * nothing left in them of the one before.
 */
final class Browser implements AutoCloseable {

    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration SOON = Duration.ofSeconds(15);

    /** How often a condition is looked at again. */
    private static final Duration GLANCE = Duration.ofMillis(20);

    private static final int MOST_LOOKS = 50;

    /** Puts the letters into a field that takes any, with the cursor behind them; says whether it did. */
    private static final String AT_ONCE = """
            const [field, text] = arguments;
            if (!field.isConnected || field.disabled || field.readOnly
                || !["text", "password", "search", "textarea"].includes(field.type)) {
              return false;
            }
            field.focus();
            field.value = text;
            field.setSelectionRange?.(text.length, text.length);
            return document.activeElement === field;
            """;

    private static final Map<String, Deque<Browser>> WAITING = new ConcurrentHashMap<>();

    private final String sort;
    private final ChromeDriver driver;

    private Browser(String sort, ChromeOptions options) {
        this.sort = sort;
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(Path.of("/usr/bin/chromedriver").toFile())
                .build();
        driver = new ChromeDriver(service, options);
        Runtime.getRuntime().addShutdownHook(new Thread(driver::quit));
    }

    /** A window of 1280 by 800. */
    static Browser desktop() {
        return one("desktop", options -> {}).sized(1280, 800, false);
    }

    /** A phone of the given width, 844 high. */
    static Browser phone(int width) {
        return one(
                "phone " + width,
                options -> options.setExperimentalOption(
                        "mobileEmulation",
                        Map.of(
                                "deviceMetrics",
                                Map.of("width", width, "height", 844, "pixelRatio", 1.0, "touch", true))));
    }

    /** A desktop in which no script runs. */
    static Browser withoutScripts() {
        Browser plain = one("plain", options -> {});
        plain.driver.executeCdpCommand("Emulation.setScriptExecutionDisabled", Map.of("value", true));
        return plain;
    }

    private static Browser one(String sort, Consumer<ChromeOptions> more) {
        Browser waiting = WAITING.computeIfAbsent(sort, name -> new ConcurrentLinkedDeque<>())
                .poll();
        if (waiting != null) {
            return waiting;
        }
        ChromeOptions options = options();
        more.accept(options);
        return new Browser(sort, options);
    }

    /** The window as wide and high as said; {@code phone} lays pages out as a phone does. */
    Browser sized(int width, int height, boolean phone) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", phone));
        return this;
    }

    private static ChromeOptions options() {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/lib/chromium/chromium-headless-shell");
        options.addArguments(
                "--no-sandbox",
                "--disable-dev-shm-usage",
                "--disable-quic",
                "--disable-background-networking",
                "--accept-lang=en",
                "--hide-scrollbars",
                "--force-device-scale-factor=1",
                "--window-size=1280,800",
                "--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1");
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.BROWSER, Level.ALL);
        options.setCapability("goog:loggingPrefs", logs);
        return options;
    }

    /** The cookies of somebody who came by plain HTTP. */
    void takes(List<HttpCookie> cookies) {
        for (HttpCookie cookie : cookies) {
            driver.executeCdpCommand(
                    "Network.setCookie",
                    Map.of(
                            "name", cookie.getName(),
                            "value", cookie.getValue(),
                            "domain", "127.0.0.1",
                            "path", "/",
                            "httpOnly", cookie.isHttpOnly()));
        }
    }

    ChromeDriver driver() {
        return driver;
    }

    void open(String address) {
        driver.get(address);
    }

    /** Waits for it: a loaded machine draws a page late. */
    WebElement find(String css) {
        try {
            return waitFor(there -> there.findElement(By.cssSelector(css)));
        } catch (TimeoutException exception) {
            return driver.findElement(By.cssSelector(css));
        }
    }

    List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    String text(String css) {
        try {
            return waitFor(there -> find(css).getText());
        } catch (NoSuchElementException | TimeoutException exception) {
            throw new AssertionError(
                    "no " + css + " at " + driver.getCurrentUrl() + ", whose text is: "
                            + find("body").getText(),
                    exception);
        }
    }

    /**
     * Types into a field: the last letter by its key, those before it at once where the field takes any letters, since
     * each key costs a tenth of a second and asks the page for its preview anew.
     */
    void type(String css, String text) {
        WebElement field = find(css);
        boolean atOnce = text.length() > 1
                && Boolean.TRUE.equals(driver.executeScript(AT_ONCE, field, text.substring(0, text.length() - 1)));
        if (atOnce) {
            field.sendKeys(text.substring(text.length() - 1));
        } else {
            field.clear();
            field.sendKeys(text);
        }
    }

    /** Ticks a box, once more where the page moved it away under the pointer, and fails where it stays unticked. */
    void tick(String css) {
        waitFor(there -> {
            WebElement box = find(css);
            if (!box.isSelected()) {
                box.click();
            }
            return box.isSelected();
        });
    }

    /** What is drawn anew while it is looked at is looked at again, and what its script has not shown yet is waited for. */
    <T> T waitFor(Function<WebDriver, T> condition) {
        return new WebDriverWait(driver, PATIENCE, GLANCE)
                .ignoring(StaleElementReferenceException.class, ElementNotInteractableException.class)
                .until(condition);
    }

    /** Presses a button that leads to a new page, and waits until it is there. */
    void press(String css) {
        leave(() -> click(css));
    }

    /** Presses what may lie under the bar at the bottom of a phone. */
    void click(String css) {
        waitFor(there -> {
            click(find(css));
            return true;
        });
    }

    void click(WebElement target) {
        driver.executeScript("arguments[0].scrollIntoView({block: 'center'})", target);
        waitUntilStill(target);
        target.click();
    }

    /** What comes late, such as a font or a part that a script draws, moves what stands below it. */
    private static void waitUntilStill(WebElement target) {
        Rectangle before = target.getRect();
        for (int i = 0; i < MOST_LOOKS; i++) {
            LockSupport.parkNanos(GLANCE.toNanos());
            Rectangle now = target.getRect();
            if (now.equals(before)) {
                return;
            }
            before = now;
        }
    }

    /** Types a letter that leads to a new page, and waits until it is there. */
    void pressKey(String letter) {
        WebElement body = find("body");
        leave(() -> body.sendKeys(letter));
    }

    /** Once more where nothing came of it: parts of a page that are drawn anew meanwhile can move under the pointer. */
    private void leave(Runnable how) {
        WebElement page = find("html");
        how.run();
        try {
            new WebDriverWait(driver, SOON, GLANCE).until(there -> isStale(page));
        } catch (TimeoutException exception) {
            if (!isStale(page)) {
                how.run();
            }
        }
        waitFor(there -> isStale(page));
        waitFor(there -> "complete".equals(driver.executeScript("return document.readyState")));
    }

    /** Whether the page that {@code element} belonged to has gone; the driver has more than one way of saying so. */
    static boolean isStale(WebElement element) {
        try {
            element.isEnabled();
            return false;
        } catch (StaleElementReferenceException | NoSuchElementException exception) {
            return true;
        } catch (WebDriverException exception) {
            if (String.valueOf(exception.getMessage()).contains("does not belong to the document")) {
                return true;
            }
            throw exception;
        }
    }

    /** How far the page is wider than the window (px); 0 when it does not scroll sideways. */
    long sidewaysScroll() {
        return ((Number) driver.executeScript(
                        "return document.documentElement.scrollWidth - document.documentElement.clientWidth"))
                .longValue();
    }

    void darkTheme(boolean dark) {
        driver.executeCdpCommand(
                "Emulation.setEmulatedMedia",
                Map.of("features", List.of(Map.of("name", "prefers-color-scheme", "value", dark ? "dark" : "light"))));
    }

    /** What the browser complained about, such as a script that the content policy stopped. */
    List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .toList();
    }

    /** Leaves nothing behind: no page, no cookie, nothing that a page keeps, no look, no complaint. */
    @Override
    public void close() {
        driver.get("about:blank");
        driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
        driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", "*", "storageTypes", "all"));
        driver.executeCdpCommand("Emulation.setEmulatedMedia", Map.of("features", List.of()));
        complaints();
        WAITING.get(sort).add(this);
    }
}
