package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import com.microsoft.playwright.options.RequestOptions;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Debian's Chromium on one address, without a screen. */
public final class Window implements AutoCloseable {

    /** For what is waited for until it is not there any more. */
    static final Locator.WaitForOptions GONE = new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED);

    private static final List<String> QUIET = List.of(
            "--no-sandbox",
            "--disable-gpu",
            "--disable-background-networking",
            "--disable-component-update",
            "--disable-sync",
            "--no-first-run");

    private final BrowserContext context;
    private final Page page;
    private final List<String> complaints = new ArrayList<>();

    /**
     * One for all windows of a thread, which alone may use it; each window has its own cookies and storage. To start one takes longer than most tests. It ends
     * with the process.
     */
    private static final class Chromium {
        static final ThreadLocal<Browser> BROWSER = ThreadLocal.withInitial(Chromium::start);

        private static Browser start() {
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            Runtime.getRuntime().addShutdownHook(new Thread(playwright::close));
            return playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(installed())
                            .setArgs(arguments()));
        }
    }

    /** Figures are taken with scripts compiled as anybody's are; tests say otherwise. */
    private static List<String> arguments() {
        List<String> all = new ArrayList<>(QUIET);
        Optional.ofNullable(System.getProperty("browser.scripts")).ifPresent(flags -> all.add("--js-flags=" + flags));
        return all;
    }

    /** The one without windows takes less of the machine; the whole one does as well. */
    private static Path installed() {
        Path bare = Path.of("/usr/bin/chromium-headless-shell");
        return Files.isExecutable(bare) ? bare : Path.of("/usr/bin/chromium");
    }

    private Window(String url, Browser.NewContextOptions options) {
        context = Chromium.BROWSER
                .get()
                .newContext(options.setBaseURL(url)
                        .setLocale("en-GB")
                        .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        page = context.newPage();
        // A busy machine is slow and not wrong.
        page.setDefaultTimeout(45_000);
        page.onPageError(complaints::add);
    }

    public static Window on(String url) {
        return new Window(url, new Browser.NewContextOptions().setViewportSize(1280, 800));
    }

    /** A tablet: no mouse, no keys but those on the screen. */
    public static Window tablet(String url) {
        return new Window(
                url, new Browser.NewContextOptions().setViewportSize(1024, 768).setHasTouch(true));
    }

    public Page page() {
        return page;
    }

    /** Errors of scripts on any page that was shown. */
    public List<String> complaints() {
        return complaints;
    }

    /** By the door, and to the rack. */
    public void signIn(String name, String password) {
        signInUnseen(name, password);
        page.navigate("/");
        page.getByRole(AriaRole.NAVIGATION).waitFor();
    }

    /** Without a page, which costs every test one more; ShopFloorTest signs in by the one there is for it. */
    void signInUnseen(String name, String password) {
        APIRequestContext door = context.request();
        door.get("/api/session");
        String token = context.cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .map(cookie -> cookie.value)
                .findFirst()
                .orElseThrow();
        APIResponse answer = door.post(
                "/api/session",
                RequestOptions.create()
                        .setHeader("X-XSRF-TOKEN", token)
                        .setData(Map.of("name", name, "password", password)));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
    }

    /** Clicks the button or the one of several words that says so, whatever else (such as its key) is printed on it. */
    public void click(String words) {
        pressed(words).click();
    }

    public void goTo(String room) {
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(room).setExact(true))
                .click();
        // The room that one leaves stays on the screen until the other one is there.
        page.locator("nav a[aria-current=page]").getByText(room).first().waitFor();
    }

    /** Puts the keyboard on a button without pressing it. */
    void focusButton(String words) {
        pressed(words).focus();
    }

    private Locator pressed(String words) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(words))
                .or(page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName(words)))
                .first();
    }

    /** The first field whose label begins so. */
    Locator field(String label) {
        return page.getByLabel(label)
                .and(page.locator("input, textarea, select"))
                .first();
    }

    /** The first field with exactly this label. */
    Locator exact(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .and(page.locator("input, textarea, select"))
                .first();
    }

    private static final Pattern SAID_FIRST = Pattern.compile("(heeded|It is off and unplugged)$");

    /** Says at the bench what has to be said before hands go in, a key each. */
    void saysItIsSafe() {
        Locator asks = page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(SAID_FIRST));
        Locator ready = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions()
                        .setName(
                                Pattern.compile(
                                        "Off to tray|Back in|In\\?|That is what went back|still off under it|is not put right")));
        asks.or(ready).first().waitFor();
        while (asks.count() > 0) {
            page.waitForResponse(answer -> answer.url().contains("/bench/"), () -> asks.first()
                    .click());
            page.waitForTimeout(150);
            asks.or(ready).first().waitFor();
        }
    }

    /** By how many pixels the page is wider than its screen. */
    int tooWide() {
        return (int) page.evaluate("() => document.documentElement.scrollWidth - document.documentElement.clientWidth");
    }

    void tab(int times) {
        for (int n = 0; n < times; n++) {
            page.keyboard().press("Tab");
        }
    }

    /** As a scanner types, faster than any hand, wherever the focus is. */
    void scans(String code) {
        page.evaluate("""
                code => {
                  document.activeElement?.blur();
                  for (const key of [...code, 'Enter']) {
                    document.body.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
                  }
                }
                """, code);
    }

    /** Goes to an address, and waits until all of it is there. */
    void show(String address) {
        page.navigate(address);
        // All that a page says is dear to read: not at each of its frames, as would be done otherwise.
        page.waitForFunction(
                "() => document.querySelector('nav') && !document.body.innerText.includes('Fetching…')",
                null,
                new Page.WaitForFunctionOptions().setPollingInterval(50));
    }

    /** The keys are those of the gauge that is shown: wait until it is. */
    void gauge(String gauge) {
        goTo(gauge);
        page.locator("nav[aria-label=Gauges] a[aria-current=page]")
                .getByText(gauge)
                .waitFor();
        says("Example");
        page.waitForLoadState(LoadState.NETWORKIDLE);
    }

    /** Waits until the page says each of these. */
    void says(String... words) {
        for (String one : words) {
            page.getByText(one).first().waitFor();
        }
    }

    void assertAccessible() {
        assertThat(Axe.wrong(page)).as(page.url()).isEmpty();
    }

    @Override
    public void close() {
        context.close();
    }
}
