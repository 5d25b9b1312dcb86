package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.WaitForSelectorState;
import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicReference;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;

/** Every address of the application: on a wide and on a narrow screen, by keyboard, while it loads, and when the server is away. */
class EveryPageIT {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private static final List<String> GAUGES =
            List.of("belt", "gear", "thread", "rails", "logic", "chain", "spindle", "bleed", "capacitor", "limit");
    private static final List<String> VIEWS = List.of("", "/way", "/notes", "/whole", "/differences");

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
    private Client client;

    @BeforeEach
    void open() {
        window = VISIT.window();
        page = window.page();
        client = new Client(VISIT.shop().url()).signedIn("ines", "quay");
    }

    /** One job of each standing, every gauge with a job and without, two models in each of their views. */
    private List<String> addresses() {
        List<String> all = new ArrayList<>(
                List.of("/rack", "/checkin", "/words", "/lots", "/bench", "/models", "/drawers", "/patterns", "/team"));
        JsonNode rack = client.get("/api/rack").body();
        TreeSet<String> standings = new TreeSet<>();
        List<Long> jobs = new ArrayList<>();
        for (String heap : List.of("next", "waiting", "ready")) {
            rack.path(heap).forEach(row -> {
                if (standings.add(row.path("status")
                        .path("standing")
                        .asString(row.path("standing").asString("")))) {
                    jobs.add(row.get("jobId").asLong());
                }
            });
        }
        jobs.add(1L);
        jobs.forEach(job -> all.addAll(List.of("/jobs/" + job, "/bench/" + job)));
        GAUGES.forEach(gauge -> all.add("/gauges/" + gauge));
        all.add("/gauges/rails?job=" + jobs.get(0));
        client.get("/api/lots")
                .body()
                .forEach(lot -> all.add("/lots/" + lot.path("id").asLong(1)));
        for (int at = 0; at < 2; at++) {
            JsonNode model = client.get("/api/models").body().get(at);
            String one = "/models/" + model.get("model").get("id").asLong() + "/"
                    + model.get("revisions").get(0).get("id").asLong();
            VIEWS.forEach(view -> all.add(one + view));
        }
        return all.stream().distinct().toList();
    }

    private void show(String address) {
        page.navigate(address);
        page.waitForFunction("() => document.querySelector('nav') && !document.body.innerText.includes('Fetching…')");
    }

    /** Accessible by WCAG 2.2 A and AA, as far as axe-core can tell, in each light that a device can be set to. */
    @Test
    void everyAddressFitsAWideAndANarrowScreenAndIsAccessibleInEachLight() {
        SoftAssertions all = new SoftAssertions();
        List<String> addresses = addresses();
        assertThat(addresses).hasSizeGreaterThan(40);
        for (String address : addresses) {
            show(address);
            all.assertThat(page.locator("body").innerText())
                    .as(address)
                    .doesNotContain("Something broke", "undefined", "NaN", "[object", "Fetching…");
            all.assertThat((List<?>) page.evaluate(NAMELESS))
                    .as(address + ": nameless")
                    .isEmpty();
            for (int width : List.of(1280, 1024, 768, 390)) {
                page.setViewportSize(width, 800);
                all.assertThat(((Number) page.evaluate(TOO_WIDE)).intValue())
                        .as(address + " at " + width + ": this many pixels too wide")
                        .isLessThanOrEqualTo(0);
            }
            page.setViewportSize(1280, 800);
            for (String light : List.of("as it is", "dark", "lit")) {
                page.evaluate(
                        "light => { document.documentElement.className = light === 'as it is' ? '' : light; }", light);
                all.assertThatCode(window::assertAccessible)
                        .as(address + ", " + light)
                        .doesNotThrowAnyException();
            }
        }
        all.assertAll();
    }

    /** How light it is shown is the device's own, and stays. */
    @Test
    void aDeviceShowsEverythingDarkIfItIsSetSo() {
        show("/rack");
        String paper = background();
        page.keyboard().press("?");
        window.click("all dark");
        window.click("Back to work");
        assertThat(background()).isNotEqualTo(paper);
        page.reload();
        show("/models");
        assertThat(background()).isNotEqualTo(paper);
    }

    private String background() {
        return (String) page.evaluate("() => getComputedStyle(document.body).backgroundColor");
    }

    /** Measured: a tag scanned on the rack with nothing focused opened another unit by its digits. */
    @Test
    void aScanWithNothingFocusedFindsItsUnit() {
        for (String address : addresses()) {
            show(address);
            long job = address.equals("/jobs/2") ? 3 : 2;
            window.scans("WN-000" + job);
            page.waitForURL("**/jobs/" + job);
            assertThat(page.getByRole(AriaRole.DIALOG).count()).as(address).isZero();
        }
    }

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
            page.getByText("does not answer")
                    .first()
                    .waitFor(new Locator.WaitForOptions().setState(WaitForSelectorState.DETACHED));
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
            show(address);
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
}
