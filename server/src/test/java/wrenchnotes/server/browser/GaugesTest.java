package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The gauges as they are used: live while one types, by keyboard, with an example of our own by one key. */
@Tag("shop")
class GaugesTest extends Visited {

    /** What each example must come to. */
    private static final Map<String, List<String>> EXAMPLES = Map.of(
            "Belt", List.of("54.85 mm", "belt 50 × 1.2 square", "fits"),
            "Gear", List.of("they mesh", "15 mm apart"),
            "Thread", List.of("plastic", "ST2.9"),
            "Rails", List.of("See to ", "25 V raw is the first that is wrong, and explains 1 behind it."),
            "Logic", List.of("suspect", "Pin 6 should be high and is low."),
            "Chain", List.of("after decoder"),
            "Spindle", List.of("44.663 rpm", "It runs slow"),
            "Bleed", List.of("7.29 s", "Unplug first."),
            "Capacitor", List.of("it fits", "inlet filter X2"),
            "Limit", List.of("42.67 mV is within the limit, the uncertainty of 2.971 included"));

    @RegisterExtension
    static final Visit VISIT = Visit.atRackBy("wren");

    @BeforeEach
    void open() {
        window.goTo("Gauges");
    }

    @Test
    void eachGaugeDrawsItsExampleByOneKey() {
        EXAMPLES.forEach((gauge, says) -> {
            window.gauge(gauge);
            page.keyboard().press("e");
            window.says(says.toArray(String[]::new));
            window.assertAccessible();
        });
    }

    @Test
    void aResultIsCopiedAsItsWords() {
        page.context().grantPermissions(List.of("clipboard-read", "clipboard-write"));
        window.gauge("Limit");
        page.keyboard().press("e");
        window.says("42.67 mV is within the limit");
        page.keyboard().press("c");
        window.says("Copied");
        assertThat((String) page.evaluate("() => navigator.clipboard.readText()"))
                .contains("good", "42.667 mV", "the uncertainty of 2.971 included");
    }

    @Test
    void aBeltIsMeasuredInInchesAndTheImpossibleIsNamed() {
        window.gauge("Belt");
        measure("motor pulley", "6");
        measure("driven pulley", "0.24in");
        measure("centre to centre", "18");
        window.says("taken as 6.096 mm", "way round", "From the drawers", "belt 50 × 1.2 square");
        measure("driven pulley", "60");
        window.says("path.centresMm is 18.0; with these pulleys it must be above 33.0");
        measure("driven pulley", "six");
        window.says("No quantity can be read in \"six\"");
        measure("driven pulley", "6");
        window.says("54.85 mm");
    }

    @Test
    void theRailsFindTheCulpritAsReadingsComeIn() {
        window.gauge("Rails");
        page.keyboard().press("e");
        window.says("See to ");
        page.getByLabel("25 V raw measured").fill("24.7");
        window.says("15 V is the first that is wrong.");
        page.getByLabel("15 V measured").fill("15.70");
        page.getByLabel("meter known to").fill("1");
        gone("See to ");
        window.says("nearer to 15.75 than the uncertainty", "15.7 ?");
        page.getByLabel("15 V measured").fill("15.03");
        window.says("15.03 ✓");
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Rails:"))
                        .getAttribute("aria-label"))
                .doesNotContain("BAD");
    }

    /** One hand on the probe, one key a pin: down one side of the chip and up the other. */
    @Test
    void aChipIsReadWithTheMeter() {
        window.gauge("Logic");
        page.keyboard().press("u");
        page.getByRole(AriaRole.IMG).waitFor();
        page.getByLabel("Pin 1", exactly()).focus();
        for (int pin = 1; pin <= 14; pin++) {
            page.keyboard().press("Enter");
            page.waitForFunction("pin => document.querySelector(`[aria-label='Pin ${pin}']`).value.endsWith('V')", pin);
        }
        window.says("suspect", "Pin 6 should be high and is low.");

        standIn("says nothing");
        Locator pin6 = page.getByLabel("Pin 6", exactly());
        pin6.fill("");
        page.keyboard().press("Enter");
        window.says("Reading… stop it");
        page.getByLabel("Pin 10", exactly()).fill("3.4");
        window.says("9, 10 → 8");
        assertThat(page.getByText("Reading… stop it").isVisible())
                .as("it is typed on while the meter thinks")
                .isTrue();
        window.says("did not answer within 4 s");
        standIn("talks too much");
        pin6.focus();
        page.keyboard().press("Enter");
        window.says("sends more than it is asked for");
        assertThat(pin6.inputValue()).isEmpty();
        standIn("behaves");
        pin6.focus();
        page.keyboard().press("Enter");
        page.waitForFunction("() => document.querySelector(`[aria-label='Pin 6']`).value.endsWith('V')");
    }

    /** Thumb and probe: a tablet at the bench has no Enter key. */
    @Test
    void aRailIsReadByTouch() {
        try (Window tablet = Window.tablet(VISIT.shop().url())) {
            tablet.signIn("tobias", "quay");
            Page touched = tablet.page();
            touched.navigate("/gauges/rails");
            tap(touched, "A sick unit to read");
            for (String rail : List.of("18 V~", "25 V raw")) {
                Locator field = touched.getByLabel(rail + " measured", exactly());
                field.tap();
                tap(touched, "Take reading");
                touched.waitForFunction(
                        "name => document.querySelector(`[aria-label='${name} measured']`).value.endsWith(' V')", rail);
            }
            touched.getByLabel("mains, measured").tap();
            tap(touched, "Take reading");
            tablet.says("25 V raw is the first that is wrong");
            tablet.assertAccessible();
        }
    }

    private static void tap(Page page, String button) {
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(button))
                .tap();
    }

    /** An inch is 25.4 mm exactly (published: the international yard and pound, 1959); prefixes are those of the SI. */
    @Test
    void anyUnitIsTakenAndSaidInOurs() {
        Map<String, List<List<String>>> typed = Map.of(
                "Belt",
                        List.of(
                                List.of("driven pulley", "1in", "25.4 mm"),
                                List.of("driven pulley", "0,5 cm", "5 mm"),
                                List.of("motor pulley", ".25\"", "6.35 mm")),
                "Bleed",
                        List.of(
                                List.of("capacitor", "470n", "0.47 µF"),
                                List.of("capacitor", "2.2 mF", "2200 µF"),
                                List.of("charged to", "0.3kV", "300 V"),
                                List.of("through", "4.7k", "4700 Ω"),
                                List.of("through", "1M", "1000000 Ω")));
        typed.forEach((gauge, lines) -> {
            window.gauge(gauge);
            lines.forEach(line -> {
                measure(line.get(0), line.get(1));
                window.says("taken as " + line.get(2));
                assertThat(page.getByLabel(line.get(0)).inputValue())
                        .as("as it was typed")
                        .isEqualTo(line.get(1));
            });
        });
        window.gauge("Belt");
        assertThat(page.getByLabel("motor pulley").inputValue())
                .as("it is there still after going away")
                .isEqualTo(".25\"");
        page.keyboard().press("x");
        page.waitForFunction("() => ![...document.querySelectorAll('input')].some((one) => one.value === '.25\"')");
    }

    private void standIn(String manner) {
        if (page.getByLabel("The stand-in").count() == 0) {
            window.click("stand-in");
        }
        window.click(manner);
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(manner).setPressed(true))
                .waitFor();
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }

    private void gone(String words) {
        page.getByText(words).waitFor(Window.GONE);
    }

    private void measure(String label, String typed) {
        page.getByLabel(label).fill(typed);
    }
}
