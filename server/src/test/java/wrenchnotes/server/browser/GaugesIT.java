package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.PackagedShop;

/** The gauges as they are used: live while one types, by keyboard, with an example of our own by one key. */
class GaugesIT {

    /** What each example must come to. */
    private static final Map<String, List<String>> EXAMPLES = Map.of(
            "Belt", List.of("54.85 mm", "belt 51 × 1.2 square", "fits"),
            "Gear", List.of("they mesh", "15 mm apart"),
            "Thread", List.of("plastic", "ST2.9"),
            "Rails", List.of("See to ", "9 V~ is the first that is wrong, and explains 1 behind it."),
            "Logic", List.of("suspect", "Pin 6 should be low and is high."),
            "Chain", List.of("after decoder"),
            "Spindle", List.of("301.2 rpm", "It runs fast"),
            "Bleed", List.of("9.53 s", "Unplug first."),
            "Capacitor", List.of("it fits", "inlet filter X2"),
            "Limit", List.of("79 % is within the limit, the uncertainty of 0.5 included"));

    @TempDir
    static Path data;

    private static PackagedShop shop;
    private Window window;
    private Page page;

    @BeforeAll
    static void openTheShop() throws Exception {
        shop = PackagedShop.start(data, "--wrenchnotes.demo=true");
    }

    @AfterAll
    static void closeTheShop() {
        shop.close();
    }

    @BeforeEach
    void open() {
        window = Window.on(shop.url());
        page = window.page();
        window.signIn("wren", "quay");
        window.goTo("Gauges");
    }

    @AfterEach
    void close() {
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/gauges-last.png")));
        assertThat(window.complaints()).as("errors of scripts").isEmpty();
        window.close();
    }

    @Test
    void eachGaugeDrawsItsExampleByOneKey() {
        EXAMPLES.forEach((gauge, says) -> {
            show(gauge);
            page.keyboard().press("e");
            window.says(says.toArray(String[]::new));
            window.assertAccessible();
        });
    }

    @Test
    void aBeltIsMeasuredInInchesAndTheImpossibleIsNamed() {
        show("Belt");
        measure("motor pulley", "6");
        measure("driven pulley", "0.24in");
        measure("centre to centre", "18");
        window.says("taken as 6.096 mm", "way round", "From the drawers", "belt 51 × 1.2 square");
        measure("driven pulley", "60");
        window.says("path.centresMm is 18.0; with these pulleys it must be above 27.0");
        measure("driven pulley", "six");
        window.says("A number, and mm");
        measure("driven pulley", "6");
        window.says("54.85 mm");
    }

    @Test
    void theRailsFindTheCulpritAsReadingsComeIn() {
        show("Rails");
        page.keyboard().press("e");
        window.says("See to ");
        page.getByLabel("9 V~ measured").fill("9.4");
        page.getByLabel("11 V raw measured").fill("11.2");
        window.says("5 V is the first that is wrong.");
        page.getByLabel("5 V measured").fill("5.02");
        page.getByText("See to ")
                .waitFor(new com.microsoft.playwright.Locator.WaitForOptions()
                        .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Rails:"))
                        .getAttribute("aria-label"))
                .doesNotContain("BAD");
    }

    /** The keys are those of the gauge that is shown: wait until it is. */
    private void show(String gauge) {
        window.goTo(gauge);
        page.locator("nav[aria-label=Gauges] a[aria-current=page]")
                .getByText(gauge)
                .waitFor();
        window.says("An example");
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    }

    private void measure(String label, String typed) {
        page.getByLabel(label).fill(typed);
    }
}
