package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.FilePayload;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;
import wrenchnotes.server.Pictures;
import wrenchnotes.server.RunningShop;

/** The bench by one hand: a pedal and digits, a finger, two benches, and no network. */
@Tag("shop")
class OneHandTest {

    private static final int STEPS = 12;

    @TempDir
    Path data;

    private RunningShop shop;
    private Client lead;
    private Window window;
    private Page page;
    private int keys;

    private void open(boolean tablet) throws Exception {
        shop = RunningShop.emptyIn(data);
        lead = new Client(shop.url()).asFirstLead();
        window = tablet ? Window.tablet(shop.url()) : Window.on(shop.url());
        page = window.page();
        window.signIn("lead", "first lead");
        window.says("Rack");
    }

    @AfterEach
    void close() {
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/one-hand-last.png")));
        assertThat(window.complaints()).as("errors of scripts").isEmpty();
        window.close();
        shop.close();
    }

    /** What is to be pressed can be pressed, and then it is. */
    private void key(String key, String button) {
        assertThat(named(button)).isEnabled();
        page.keyboard().press(key);
        keys++;
        // No hand is as quick as a scanner.
        page.waitForTimeout(80);
    }

    private Locator named(String words) {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(words))
                .first();
    }

    @Test
    void aJobByPedalAndDigitsAloneTakesOneAndAHalfKeysAStep() throws Exception {
        open(false);
        long job = new Layers(lead, STEPS).takenIn();
        page.navigate("/bench/" + job);
        named("idler glazed").waitFor();
        key("1", "idler glazed");
        window.says(STEPS + " steps,");
        window.assertAccessible();
        key("Space", "It is off and unplugged: begin");
        for (int step = 1; step <= STEPS; step++) {
            window.says("IN · STEP " + step + " OF " + STEPS);
            if (step == 3) {
                key("1", "Read: heeded");
            }
            key("Space", "Off to tray");
        }
        window.says("What is it?");
        window.assertAccessible();
        key("1", "idler, glazed");
        window.says("What was done?");
        key("1", "replaced");
        window.says("drawer 4, 5 there");
        window.assertAccessible();
        key("1", "idler tyre 13 mm");
        page.getByLabel("Found so far").getByText("idler, glazed").waitFor();
        key("Space", "Turn round: way out");
        for (int step = STEPS; step >= 1; step--) {
            window.says("OUT · " + step + " TO GO");
            if (step == STEPS) {
                page.getByLabel("Said on the way in")
                        .getByText("idler, glazed: replaced")
                        .waitFor();
            }
            key("Space", "Back in");
        }
        window.says("lamp lights", "under power, off and unplugged afterwards");
        window.assertAccessible();
        key("1", "Passed");
        window.says("Everything is accounted for");
        key("Space", "Close up");
        window.says("It is closed", "plays to the end");
        key("1", "Passed");
        window.says("✓ plays to the end");
        // In and out, all that was told, and nobody left the bench.
        assertThat(keys).isLessThanOrEqualTo(3 * STEPS);
        assertThat(page.url()).endsWith("/bench/" + job);
        String sheet = lead.get("/api/jobs/" + job).body().toString();
        assertThat(sheet)
                .contains("Found: idler, glazed: replaced (1 × idler tyre 13 mm)", "lamp lights", "plays to the end");
    }

    /** Each target that is shown is large enough, and all that was said by keys can be said by a finger; a picture lands on the step in hand. */
    @Test
    void aFingerWithAGloveOnATabletSaysAsMuch() throws Exception {
        open(true);
        long job = new Layers(lead, 3).takenIn();
        page.navigate("/bench/" + job);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^idler")))
                .first()
                .tap();
        window.says("3 steps,");
        allAreAtLeast(56);
        named("It is off and unplugged: begin").tap();
        window.says("IN · STEP 1 OF 3");
        named("more").tap();
        named("gloves on").tap();
        named("more keys").waitFor();
        allAreAtLeast(80);
        named("Off to tray").tap();
        window.says("IN · STEP 2 OF 3");
        named("more keys").tap();
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("note").setExact(true))
                .tap();
        page.getByLabel("Photo file")
                .setInputFiles(new FilePayload("camera.png", "image/png", Pictures.png(640, 400, 1)));
        Locator picture = page.getByLabel("The picture; draw over it");
        picture.waitFor();
        BoundingBox box = picture.boundingBox();
        page.mouse().move(box.x + 40, box.y + 40);
        page.mouse().down();
        page.mouse().move(box.x + 160, box.y + 90);
        page.mouse().move(box.x + 80, box.y + 130);
        page.mouse().up();
        named("Take the last line back").waitFor();
        named("Into the story").tap();
        named("Off to tray").tap();
        window.says("IN · STEP 3 OF 3");
        named("Read: heeded").tap();
        named("Off to tray").tap();
        window.says("What is it?");
        named("idler, glazed").tap();
        allAreAtLeast(56);
        named("replaced").tap();
        named("from elsewhere").tap();
        page.getByLabel("Found so far").getByText("idler, glazed").waitFor();
        named("Turn round: way out").tap();
        named("In: motor plug").tap();
        window.says("OUT · 2 TO GO");
        page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Taken on the way in"))
                .waitFor();
        assertThat(page.locator("svg path[fill=none]").first().getAttribute("d"))
                .startsWith("M0.");
    }

    /** Of whatever can be pressed on the bench itself; the strip across the top is every room's. */
    private void allAreAtLeast(int pixels) {
        for (Locator target : page.locator("main button:visible").all()) {
            BoundingBox box = target.boundingBox();
            if (box != null) {
                assertThat(box.height).as(target.innerText()).isGreaterThanOrEqualTo(pixels);
            }
        }
    }

    @Test
    void aUnitIsTakenOverWithItsTrayByAnotherBench() throws Exception {
        open(false);
        long job = new Layers(lead, 3).takenIn();
        page.navigate("/bench");
        window.click("This is bench 1");
        page.navigate("/bench/" + job);
        named("idler glazed").waitFor();
        page.keyboard().press("Space");
        window.says("IN · STEP 1 OF 3");
        page.keyboard().press("Space");
        window.says("IN · STEP 2 OF 3");
        try (Window other = Window.on(shop.url())) {
            other.signIn("lead", "first lead");
            other.says("Rack");
            other.page().navigate("/bench");
            other.click("This is bench 2");
            other.says("at bench 1, lead");
            other.click("Look, take over");
            other.says("It lies at bench 1", "3 fasteners");
            other.assertAccessible();
            other.page().keyboard().press("o");
            other.page().getByText("It lies at bench 1").waitFor(Window.GONE);
            other.says("IN · STEP 2 OF 3");
            // Whoever still has it on the first screen is told, and has done nothing to it.
            page.keyboard().press("Space");
            window.says("It lies at bench 2");
            other.page().keyboard().press("Space");
            // The next step is drawn before the shop has answered; what is counted is what it said.
            other.says("IN · STEP 3 OF 3", "6 fasteners");
            assertThat(other.complaints()).isEmpty();
        }
        String story = lead.get("/api/jobs/" + job).body().get("story").toString();
        assertThat(story).containsOnlyOnce("Taken over at bench 2 from bench 1").containsOnlyOnce("Layer 2 off");
    }

    @Test
    void fiftyPressesWithoutANetworkArriveOnceEachInOrder() throws Exception {
        open(false);
        long job = new Layers(lead, 25).takenIn();
        page.navigate("/bench/" + job);
        named("idler glazed").waitFor();
        page.keyboard().press("Space");
        window.says("IN · STEP 1 OF 25");
        long before = bench(job).get("version").asLong();
        page.context().setOffline(true);
        for (int step = 1; step <= 25; step++) {
            window.says("IN · STEP " + step + " OF 25");
            if (step == 3) {
                key("h", "Read: heeded");
            }
            key("Space", "Off to tray");
        }
        window.says("What is it?");
        key("Space", "Turn round: way out");
        for (int step = 25; step >= 2; step--) {
            window.says("OUT · " + step + " TO GO");
            key("Space", "Back in");
        }
        window.says("Kept, not yet sent: 50 presses");
        assertThat(bench(job).get("version").asLong()).isEqualTo(before);
        // What is kept outlives the tab.
        page.context().setOffline(false);
        page.reload();
        window.says("OUT · 1 TO GO");
        page.getByText("Kept, not yet sent").waitFor(Window.GONE);
        page.waitForCondition(() -> bench(job).get("version").asLong() >= before + 50);
        JsonNode now = bench(job);
        assertThat(now.get("version").asLong()).as("each once").isEqualTo(before + 50);
        assertThat(now.get("way").get("nextOut").asString())
                .as("in their order")
                .isEqualTo("s1");
        assertThat(now.get("stand").get("tallyWords").asString()).isEqualTo("3 fasteners");
    }

    private JsonNode bench(long job) {
        return lead.get("/api/jobs/" + job + "/bench").body();
    }
}
