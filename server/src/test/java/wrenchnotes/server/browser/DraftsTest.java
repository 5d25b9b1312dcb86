package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Nothing that was typed is lost: by a reload, by going away, by somebody else who saves first. */
@Tag("shop")
class DraftsTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    /** Measured: leaving check-in to make a model dropped all. */
    @Test
    void aCheckInIsThereAgainAfterAReloadAndAnotherRoom() {
        page.navigate("/checkin");
        page.getByLabel("In their words").fill("hums, then goes quiet");
        page.getByLabel("Name, phone, mail").fill("Tern rowing club");
        window.goTo("Models");
        assertThat(page).hasTitle("Models · Wrench Notes");
        window.goTo("Check-in");
        window.says("As you left it");
        assertThat(page.getByLabel("In their words")).hasValue("hums, then goes quiet");
        page.reload();
        window.says("As you left it");
        assertThat(page.getByLabel("Name, phone, mail")).hasValue("Tern rowing club");
        assertThat(page).hasTitle("Check-in · Wrench Notes");
        window.assertAccessible();
        window.click("Start anew");
        assertThat(page.getByLabel("In their words")).hasValue("");
        page.reload();
        page.getByLabel("In their words").waitFor();
        assertThat(page.getByText("As you left it")).hasCount(0);
    }

    @Test
    void aFindingIsThereAgainAndGoneOnceItIsEntered() {
        long job = TakenIn.job(
                lead, "Coble 2", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        page.navigate("/jobs/" + job);
        window.says("At the counter");
        page.keyboard().press("n");
        window.says("Else: type it");
        page.keyboard().press("0");
        page.getByLabel("Component").first().fill("idler");
        page.getByLabel("What is wrong").fill("glazed");
        page.reload();
        window.says("At the counter");
        page.keyboard().press("n");
        window.says("As you left it");
        assertThat(page.getByLabel("What is wrong")).hasValue("glazed");
        window.click("Enter the finding");
        window.says("idler, glazed");
        page.keyboard().press("n");
        window.says("Else: type it");
        page.keyboard().press("0");
        assertThat(page.getByLabel("What is wrong")).hasValue("");
    }

    /** Measured: somebody else saving notes discarded the steps one had not saved. */
    @Test
    void twoPeopleInTheSameNotesBothKeepWhatTheyWrote() {
        long job = TakenIn.job(
                lead, "Coble 3", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        var unit = lead.get("/api/jobs/" + job).body().get("job").get("unit");
        long model = unit.get("modelId").asLong();
        long revision = unit.get("revisionId").asLong();
        page.navigate("/models/" + model + "/" + revision + "/notes");
        page.getByLabel("How", new Page.GetByLabelOptions().setExact(true)).waitFor();
        window.click("Add a step");
        page.getByRole(
                        AriaRole.TEXTBOX,
                        new Page.GetByRoleOptions().setName("Step").setExact(true))
                .fill("Deck out");
        lead.put(
                "/api/revisions/" + revision + "/teardown",
                1,
                Map.of("steps", List.of(TakenIn.step("lid", "Lid off, the clips first", List.of())), "why", "clips"));
        page.getByLabel("Why this change").fill("the deck");
        window.click("Save the notes");
        window.says("ines saved version 2 meanwhile: clips.", "Your steps are still here.");
        window.assertAccessible();
        window.click("Bring both together");
        window.click("Save the notes");
        window.says("Version 3, ines");
        String now = lead.get("/api/revisions/" + revision + "/teardown").body().toString();
        org.assertj.core.api.Assertions.assertThat(now).contains("Lid off, the clips first", "Deck out");
    }

    /** Every longer form of a job: what is typed is there again after a reload, and a short one asks before it throws it away. */
    @Test
    void whatIsTypedIntoAFormOutlivesAReload() {
        long job = TakenIn.job(
                lead, "Coble 5", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        Map<String, String> forms = Map.of(
                "k", "With which disc, tape or load",
                "o", "Remark: a known thing left as it is",
                "w", "What it waits for",
                "l", "What it must not be used for",
                "e", "Instrument, remark (may be empty)",
                "g", "Reading or remark",
                "v", "In their words");
        page.navigate("/jobs/" + job);
        forms.forEach((key, field) -> {
            window.says("At the counter");
            open(key);
            page.getByLabel(field).first().fill("half of it");
            page.reload();
            window.says("At the counter");
            open(key);
            window.says("As you left it");
            assertThat(page.getByLabel(field).first()).hasValue("half of it");
            page.getByLabel(field).first().press("Escape");
            assertThat(page.getByLabel(field)).hasCount(0);
        });
        page.navigate("/shop");
        page.getByLabel("A new slot").fill("Z9");
        page.getByLabel("A new slot").press("Escape");
        window.says("Something is typed here and not sent.");
        window.assertAccessible();
        window.click("Throw it away");
        assertThat(page.getByLabel("A new slot")).hasValue("");
    }

    private void open(String key) {
        if (key.equals("v")) {
            window.click("Correct what was said at the counter");
        } else {
            page.keyboard().press(key);
        }
    }

    /** What is wrong is said at its field, whether found here or by the server, and the hand is there next. */
    @Test
    void whatIsWrongIsSaidWhereItIsWrong() {
        long job = TakenIn.job(
                lead, "Coble 6", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        page.navigate("/jobs/" + job);
        window.says("At the counter");
        page.keyboard().press("e");
        page.getByLabel("Earth, plug to metal").fill("half");
        window.click("That is what was measured");
        window.says("No quantity can be read in", "Say whether the lead and its plug are sound");
        assertThat(page.getByLabel("Earth, plug to metal")).isFocused();
        window.assertAccessible();
        page.navigate("/team");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("ines");
        page.getByLabel("First password").fill("abc");
        window.click("Add");
        assertThat(page.getByLabel("First password")).hasAttribute("aria-invalid", "true");
        assertThat(page.getByLabel("First password")).isFocused();
    }

    /** A key is where it lies, whatever letters the layout has. */
    @Test
    void keysWorkOnACyrillicLayoutAndCanBeSwitchedOff() {
        long job = TakenIn.job(
                lead, "Coble 4", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        page.navigate("/jobs/" + job);
        window.says("At the counter");
        cyrillic("л", "KeyK");
        page.getByLabel("What was tried").waitFor();
        window.click("Leave it");
        page.keyboard().press("?");
        page.getByLabel("Keys of one letter or digit act on this device").uncheck();
        window.click("Back to work");
        page.keyboard().press("k");
        page.waitForTimeout(300);
        assertThat(page.getByLabel("What was tried")).hasCount(0);
        // Off are the keys, not the scanner.
        window.scans("WN-0002");
        page.waitForURL("**/jobs/2");
    }

    private void cyrillic(String key, String code) {
        page.evaluate(
                "([key, code]) => document.body.dispatchEvent(new KeyboardEvent('keydown', { key, code, bubbles: true }))",
                List.of(key, code));
    }
}
