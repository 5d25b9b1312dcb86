package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * Every address of the application, opened once: on a wide and on a narrow screen; and one of each kind as far as axe-core can tell who can use it, in each
 * light that a device can be set to, and by a scanner.
 */
@Tag("shop")
class AddressesTest {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    /** Whatever can be pressed or filled in and that no one who cannot see it could name. */
    private static final String NAMELESS = """
            () => [...document.querySelectorAll('button, a[href], input, select, textarea')]
                .filter((one) => one.offsetParent !== null)
                .filter((one) => !(one.innerText?.trim() || one.getAttribute('aria-label') || one.getAttribute('title')
                    || one.labels?.length || one.querySelector('[aria-label], title')))
                .map((one) => one.outerHTML.slice(0, 160))
            """;

    private final SoftAssertions all = new SoftAssertions();

    @Test
    void everyAddressFitsEveryScreenAndCanBeUsedByEverybody() {
        List<String> addresses = Addresses.of(VISIT.lead());
        assertThat(addresses).hasSizeGreaterThan(40);
        Set<String> kinds = new HashSet<>();
        for (String address : addresses) {
            VISIT.window().show(address);
            says(address);
            fits(address);
            if (kinds.add(Addresses.kind(address))) {
                isReadableInEachLight(address);
                findsTheUnitThatIsScanned(address);
            }
        }
        assertThat(kinds).hasSizeGreaterThan(30);
        all.assertAll();
    }

    private void says(String address) {
        Page page = VISIT.window().page();
        all.assertThat(page.locator("body").innerText())
                .as(address)
                .doesNotContain("Something broke", "undefined", "NaN", "[object", "Fetching…");
        all.assertThat((List<?>) page.evaluate(NAMELESS))
                .as(address + ": nameless")
                .isEmpty();
    }

    private void fits(String address) {
        Page page = VISIT.window().page();
        for (int width : List.of(1280, 1024, 768)) {
            page.setViewportSize(width, 800);
            all.assertThat(VISIT.window().tooWide())
                    .as(address + " at " + width + ": this many pixels too wide")
                    .isLessThanOrEqualTo(0);
        }
        page.setViewportSize(1280, 800);
    }

    /** By WCAG 2.2 A and AA. */
    private void isReadableInEachLight(String address) {
        Window window = VISIT.window();
        all.assertThat(Axe.wrong(window.page())).as(address).isEmpty();
        // Only the bench is dark as it is.
        window.page()
                .evaluate(
                        "light => { document.documentElement.className = light; }",
                        address.startsWith("/bench/") ? "lit" : "dark");
        all.assertThat(Axe.wrongInThisLight(window.page()))
                .as(address + " in its other light")
                .isEmpty();
    }

    /** Measured: a tag scanned on the rack with nothing focused opened another unit by its digits. */
    private void findsTheUnitThatIsScanned(String address) {
        Window window = VISIT.window();
        long job = address.equals("/jobs/2") ? 3 : 2;
        window.scans("WN-000" + job);
        all.assertThatCode(() -> window.page().waitForURL("**/jobs/" + job))
                .as(address)
                .doesNotThrowAnyException();
        all.assertThat(window.page().getByRole(AriaRole.DIALOG).count())
                .as(address + ": dialogs")
                .isZero();
    }
}
