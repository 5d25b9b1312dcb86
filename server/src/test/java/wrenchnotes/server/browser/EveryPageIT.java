package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Every address of the application: on a wide and on a narrow screen; {@link AccessibleIT} says whether everybody can use it. */
class EveryPageIT {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private static final String TOO_WIDE = """
            () => document.documentElement.scrollWidth - document.documentElement.clientWidth
            """;

    /** Whatever can be pressed or filled in and that no one who cannot see it could name. */
    private static final String NAMELESS = """
            () => [...document.querySelectorAll('button, a[href], input, select, textarea')]
                .filter((one) => one.offsetParent !== null)
                .filter((one) => !(one.innerText?.trim() || one.getAttribute('aria-label') || one.getAttribute('title')
                    || one.labels?.length || one.querySelector('[aria-label], title')))
                .map((one) => one.outerHTML.slice(0, 160))
            """;

    private Window window;
    private Page page;

    @BeforeEach
    void open() {
        window = VISIT.window();
        page = window.page();
    }

    @Test
    void everyAddressFitsAWideAndANarrowScreenAndNamesWhatCanBePressed() {
        SoftAssertions all = new SoftAssertions();
        List<String> addresses = Addresses.of(VISIT.lead());
        assertThat(addresses).hasSizeGreaterThan(40);
        for (String address : addresses) {
            window.show(address);
            all.assertThat(page.locator("body").innerText())
                    .as(address)
                    .doesNotContain("Something broke", "undefined", "NaN", "[object", "Fetching…");
            all.assertThat((List<?>) page.evaluate(NAMELESS))
                    .as(address + ": nameless")
                    .isEmpty();
            for (int width : List.of(1280, 1024, 768)) {
                page.setViewportSize(width, 800);
                all.assertThat(((Number) page.evaluate(TOO_WIDE)).intValue())
                        .as(address + " at " + width + ": this many pixels too wide")
                        .isLessThanOrEqualTo(0);
            }
            page.setViewportSize(1280, 800);
        }
        all.assertAll();
    }

    /** On a phone the header leaves the screen to the room. */
    @Test
    void aPhonesHeaderTakesATenthOfTheScreenAtMost() {
        page.setViewportSize(390, 844);
        for (String address : List.of("/rack", "/checkin")) {
            window.show(address);
            assertThat(((Number) page.evaluate(TOO_WIDE)).intValue())
                    .as(address)
                    .isLessThanOrEqualTo(0);
            assertThat(page.locator("header").boundingBox().height).as(address).isLessThanOrEqualTo(84.4);
        }
    }

    /** How light it is shown is the device's own, and stays. */
    @Test
    void aDeviceShowsEverythingDarkIfItIsSetSo() {
        window.show("/rack");
        String paper = background();
        page.keyboard().press("?");
        window.click("all dark");
        window.click("Back to work");
        assertThat(background()).isNotEqualTo(paper);
        page.reload();
        window.show("/models");
        assertThat(background()).isNotEqualTo(paper);
    }

    private String background() {
        return (String) page.evaluate("() => getComputedStyle(document.body).backgroundColor");
    }
}
