package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.server.Client;

/** What goes wrong on a shop floor: the network drops, two hands on one unit, a small screen, an address mistyped. */
@Tag("shop")
class ShopFloorTest extends Visited {

    private static final List<String> ROOMS =
            List.of("Rack", "Check-in", "Bench", "Models", "Drawers", "Patterns", "Gauges");

    @RegisterExtension
    static final Visit VISIT = Visit.atRackBy("wren");

    @Test
    void aKeyPressSurvivesADroppedConnectionAndCountsOnce() {
        String job = openOnTheBench();
        Client reader = new Client(VISIT.shop().url()).signedIn("wren", "quay");
        int before = stepsIn(reader, job);
        // The answer is lost on the way back: the press was done, and its retry must not do it twice.
        boolean[] lost = {false};
        page.route("**/bench/steps/**", route -> {
            if (!lost[0]) {
                lost[0] = true;
                route.fetch();
                route.abort("connectionreset");
            } else {
                route.resume();
            }
        });
        window.saysItIsSafe();
        page.waitForResponse(answer -> answer.url().contains("/bench/steps/") && answer.ok(), () -> page.keyboard()
                .press("Space"));
        window.says("Steps in: " + (before + 1));
        assertThat(lost[0]).isTrue();
        assertThat(stepsIn(reader, job)).isEqualTo(before + 1);

        // No network at all: the page says so at once, keeps what was pressed, and sends it once when it is back.
        page.unroute("**/bench/steps/**");
        page.context().setOffline(true);
        page.keyboard().press("u");
        window.says("does not answer");
        page.getByText("Kept: taken back").waitFor(new Locator.WaitForOptions().setTimeout(20_000));
        page.keyboard().press("u");
        assertThat(stepsIn(reader, job)).isEqualTo(before + 1);
        page.context().setOffline(false);
        window.says("Steps in: " + before);
        page.getByText("does not answer").waitFor(Window.GONE);
        assertThat(stepsIn(reader, job)).isEqualTo(before);
    }

    /** A sight of the bench that was asked for before a press and comes after its answer is the older one. */
    @Test
    void aLateSightOfTheBenchDoesNotUndoAPressOnTheScreen() {
        String job = openOnTheBench();
        Client reader = new Client(VISIT.shop().url()).signedIn("wren", "quay");
        int before = stepsIn(reader, job);
        window.saysItIsSafe();
        AtomicReference<Runnable> late = new AtomicReference<>();
        page.route("**/api/jobs/*/bench", route -> {
            APIResponse asItWas = route.fetch();
            late.set(() -> route.fulfill(new Route.FulfillOptions().setResponse(asItWas)));
        });
        // Whatever is sent by a form has everything on the screen asked for anew.
        page.keyboard().press("w");
        window.click("cross");
        window.click("Where does it belong?");
        page.waitForCondition(() -> late.get() != null);
        page.locator("[type=submit]:focus").waitFor();
        page.keyboard().press("Escape");
        page.waitForResponse(answer -> answer.url().contains("/bench/steps/") && answer.ok(), () -> page.keyboard()
                .press("Space"));
        window.says("Steps in: " + (before + 1));
        page.waitForResponse(answer -> answer.url().endsWith("/bench"), late.get())
                .finished();
        page.waitForTimeout(200);
        assertThat(page.getByText("Steps in: " + (before + 1)).count()).isEqualTo(1);
        new Client(VISIT.shop().url()).signedIn("tobias", "quay").bench(Long.parseLong(job), "back", "");
    }

    @Test
    void theSecondHandOnAUnitIsToldAndSeesHowItStandsNow() {
        String job = openOnTheBench();
        Client other = new Client(VISIT.shop().url()).signedIn("tobias", "quay");
        int before = stepsIn(other, job);
        String next = other.get("/api/jobs/" + job + "/bench")
                .body()
                .get("way")
                .get("nextIn")
                .asString();
        other.bench(Long.parseLong(job), "steps/" + next + "/in", java.util.Map.of("found", List.of()));
        // Wren has not seen that yet and presses on.
        page.keyboard().press("Space");
        window.says("changed by somebody else meanwhile", "Steps in: " + (before + 1));
        assertThat(stepsIn(other, job))
                .as("nothing was done over tobias's step")
                .isEqualTo(before + 1);
        other.bench(Long.parseLong(job), "back", "");
    }

    @Test
    void everyRoomFitsASmallScreenAndAnswersTheKeyboard() {
        page.setViewportSize(390, 800);
        for (String room : ROOMS) {
            window.goTo(room);
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            int wider = window.tooWide();
            assertThat(wider)
                    .as(room + " can be read without scrolling sideways")
                    .isLessThanOrEqualTo(0);
        }
        page.setViewportSize(1280, 800);
        window.goTo("Rack");
        window.says("Pick up next");
        page.keyboard().press("?");
        window.says("Back to work");
        window.click("Back to work");
        for (String room : ROOMS) {
            window.goTo(room);
            page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
            window.click("Keys of this screen");
            window.says("Keys of this screen", "Back to work");
            window.click("Back to work");
            page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Keys of this screen"))
                    .waitFor(Window.GONE);
            // From the top, Tab reaches something on every screen, and what has the focus can be seen.
            page.keyboard().press("Tab");
            String outline = (String) page.evaluate("() => getComputedStyle(document.activeElement).outlineStyle");
            assertThat(outline).as(room).isEqualTo("solid");
            window.assertAccessible();
        }
    }

    @Test
    void aWrongAddressAWrongPasswordAndALostSessionSayWhatToDo() {
        page.navigate("/jobs/987654");
        window.says("There is no job 987654");
        page.navigate("/nowhere/at/all");
        window.says("Pick up next");

        page.context().clearCookies();
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Drawers"))
                .click();
        page.getByLabel("Password").waitFor();
        page.getByLabel("Name").fill("wren");
        page.getByLabel("Password").fill("not it");
        window.click("Sign in");
        window.says("do not fit together");
        window.assertAccessible();
        page.getByLabel("Password").fill("quay");
        window.click("Sign in");
        window.says("hinge ribbon");
        page.getByText("Sign out").click();
        page.getByLabel("Password").waitFor();
    }

    @Test
    void aWaitThatIsOverRingsWhereverSomebodyIs() {
        Client reader = new Client(VISIT.shop().url()).signedIn("wren", "quay");
        long job =
                reader.get("/api/rack").body().get("next").get(0).get("jobId").asLong();
        reader.post(
                "/api/jobs/" + job + "/holds",
                java.util.Map.of(
                        "kind",
                        "CURE",
                        "why",
                        "a drop of resin",
                        "until",
                        java.time.Instant.now().plusSeconds(4).toString()));
        window.goTo("Drawers");
        page.reload();
        window.says("no longer waits (curing): a drop of resin");
        window.assertAccessible();
        window.click("Heard");
        page.getByText("a drop of resin").waitFor(Window.GONE);
        page.reload();
        window.says("hinge ribbon");
        assertThat(page.getByText("a drop of resin").count())
                .as("it rings once")
                .isZero();
        // How this browser rings, and the private calendar.
        page.navigate("/team");
        window.says("makes a sound");
        window.click("Make an address");
        window.says("it is not shown again");
        assertThat(page.getByLabel("Your address").inputValue()).contains("/api/calendar.ics?token=");
        window.assertAccessible();
        window.click("Revoke it");
        page.getByText("it is not shown again").waitFor(Window.GONE);
    }

    @Test
    void theFinderKnowsTagsWordsAndWhenThereIsTooMuch() {
        Locator finder = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Find"));
        page.keyboard().press("f");
        page.locator("[role=combobox]:focus").waitFor();
        page.keyboard().type("pellworth");
        page.getByRole(AriaRole.OPTION).first().waitFor();
        assertThat(page.getByRole(AriaRole.OPTION).count())
                .as("no more than can be looked over")
                .isLessThanOrEqualTo(40);
        // A word of a finding leads to it, and a slip of the finger is no hindrance.
        finder.fill("slacck");
        window.says("Nothing begins like that. This is for slack");
        window.assertAccessible();
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText("slack"))
                .first()
                .click();
        window.says("The story so far");
        assertThat(page.url()).matches(".*/jobs/\\d+#finding-\\d+");
        page.keyboard().press("f");
        finder.fill("xyzzy nothing");
        window.says("Nothing");
        finder.fill("WN-0007");
        page.getByRole(AriaRole.OPTION).first().waitFor();
        page.keyboard().press("Enter");
        window.says("The story so far");
        page.waitForURL(Pattern.compile(".*/jobs/\\d+$"));
    }

    /** Goes to a unit that lies open with steps left to do; gives its job. */
    private String openOnTheBench() {
        Client reader = new Client(VISIT.shop().url()).signedIn("wren", "quay");
        for (var row : reader.get("/api/rack").body().get("next").values()) {
            long job = row.get("jobId").asLong();
            var bench = reader.get("/api/jobs/" + job + "/bench").body();
            if (row.get("opened").asBoolean()
                    && bench.get("way").has("nextIn")
                    && bench.get("canStepBack").asBoolean()) {
                page.navigate("/bench/" + job);
                window.saysItIsSafe();
                window.says("Off to tray");
                return String.valueOf(job);
            }
        }
        throw new IllegalStateException("The demo shop has a unit that lies open");
    }

    private static int stepsIn(Client reader, String job) {
        return (int) reader.get("/api/jobs/" + job + "/bench").body().get("way").get("steps").values().stream()
                .filter(step -> step.get("open").asBoolean())
                .count();
    }
}
