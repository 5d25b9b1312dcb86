package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Pages in use: by keyboard, on a phone, in the dark, while they load, and when the server is away. */
@Tag("shop")
class PagesInUseTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    /** While an answer is awaited something says so; when none comes, what to do is said; when the server is back, so is the page. */
    @Test
    void aServerThatIsSlowOrAwayIsSaidToBe() {
        AtomicReference<Server> server = new AtomicReference<>(Server.THERE);
        List<Route> held = new ArrayList<>();
        page.route("**/api/**", route -> {
            if (server.get() == Server.THERE || route.request().url().contains("/api/session")) {
                route.resume();
            } else if (server.get() == Server.SLOW) {
                held.add(route);
            } else {
                route.abort();
            }
        });
        for (String address :
                List.of("/rack", "/lots", "/models", "/drawers", "/patterns", "/jobs/1", "/bench/1", "/team")) {
            server.set(Server.SLOW);
            page.navigate(address);
            page.getByText("Fetching…").first().waitFor();
            server.set(Server.AWAY);
            held.forEach(Route::abort);
            held.clear();
            page.getByText("does not answer").first().waitFor();
            assertThat(page.getByRole(AriaRole.ALERT).count()).as(address).isPositive();
            server.set(Server.THERE);
            window.click("Try again");
            page.getByText("does not answer").first().waitFor(Window.GONE);
        }
    }

    private enum Server {
        THERE,
        SLOW,
        AWAY
    }

    /** By the Tab key alone one comes to everything that can be pressed, and sees where one is. */
    @Test
    void theTabKeyComesToEverything() {
        for (String address : List.of("/rack", "/checkin", "/drawers", "/patterns", "/gauges/limit")) {
            window.show(address);
            int pressable = ((Number) page.evaluate("""
                    () => [...document.querySelectorAll('button:not([disabled]), a[href], input:not([type=radio]), select, textarea')]
                        .filter((one) => one.offsetParent !== null && one.tabIndex >= 0).length
                    """)).intValue();
            page.evaluate("() => { window.met = new Set(); window.unseen = []; }");
            for (int press = 0; press < pressable + 25; press++) {
                page.keyboard().press("Tab");
                page.evaluate("""
                        () => {
                          const one = document.activeElement;
                          if (one && one !== document.body && !window.met.has(one)) {
                            window.met.add(one);
                            const look = getComputedStyle(one);
                            if (look.outlineStyle === 'none' && look.boxShadow === 'none') {
                              window.unseen.push(one.outerHTML.slice(0, 120));
                            }
                          }
                        }
                        """);
            }
            assertThat(((Number) page.evaluate("() => window.met.size")).intValue())
                    .as(address)
                    .isGreaterThanOrEqualTo(pressable);
            assertThat((List<?>) page.evaluate("() => window.unseen"))
                    .as(address + ": one does not see where one is")
                    .isEmpty();
        }
    }

    /** On a phone the header leaves the screen to the room. */
    @Test
    void aPhonesHeaderTakesATenthOfTheScreenAtMost() {
        page.setViewportSize(390, 844);
        for (String address : List.of("/rack", "/checkin")) {
            window.show(address);
            assertThat(window.tooWide()).as(address).isLessThanOrEqualTo(0);
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
        window.show("/models");
        assertThat(background()).isNotEqualTo(paper);
    }

    private String background() {
        return (String) page.evaluate("() => getComputedStyle(document.body).backgroundColor");
    }
}
