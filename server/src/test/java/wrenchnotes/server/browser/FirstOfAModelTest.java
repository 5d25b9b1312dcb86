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
import wrenchnotes.server.Client;

/** A model that nobody has seen: what is not known stays open, what is found becomes the notes, and the second one has them. */
@Tag("shop")
class FirstOfAModelTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private void begun(long job) {
        page.navigate("/bench/" + job);
        window.says("Before the first step");
        window.click("It is off and unplugged: begin");
    }

    /** The model is made in the middle of the check-in, which stays as it is; there is one revision, so none is asked. */
    private long overTheCounter() {
        page.navigate("/checkin");
        page.getByLabel("In their words").fill("hums, then goes quiet");
        page.getByLabel("Name, phone, mail").fill("Tern rowing club");
        window.click("seal whole");
        window.click("opened before");
        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("seal whole")))
                .hasAttribute("aria-pressed", "false");
        window.click("a model we have not had");
        page.getByLabel("Maker").fill("Cormorant Works");
        page.getByLabel("What the model is called").fill("Fulmar 5");
        window.click("player");
        window.assertAccessible();
        window.click("Add the model");
        assertThat(page.getByLabel("A model we have not had")).hasCount(0);
        assertThat(page.getByLabel("In their words")).hasValue("hums, then goes quiet");
        assertThat(page.getByRole(AriaRole.RADIOGROUP, new Page.GetByRoleOptions().setName("Revision")))
                .hasCount(0);
        window.click("Take it in");
        page.waitForURL("**/jobs/*");
        return Long.parseLong(page.url().replaceAll(".*/jobs/", ""));
    }

    @Test
    void aModelNeverSeenWithHalfItsSizesUnknownAndThenTheSecondOfIt() {
        long job = overTheCounter();
        begun(job);
        window.says("The notes end here. What comes off next?");
        page.getByLabel("What came off").fill("Back cover");
        window.click("not counted");
        window.click("Off to tray, and into the notes");
        window.says("how many?");
        page.getByLabel("What came off").fill("Board shield");
        page.getByLabel("Heads").selectOption("CROSS");
        page.getByLabel("one more screws").click();
        page.getByLabel("one more screws").click();
        window.click("Also: what lies open now");
        page.getByLabel("What lies open now, with commas").fill("drive belt, lens");
        page.getByLabel("What can hurt here").fill("Sharp edge.");
        page.getByLabel("To remember on the way back").fill("Tongue first.");
        window.assertAccessible();
        window.click("Off to tray, and into the notes");
        window.says("Board shield");
        window.assertAccessible();

        // Six are counted, and their length measured; the rest stays open.
        window.click("count, measure");
        window.click("Back cover, not counted");
        page.getByLabel("How many lie there").fill("6");
        page.getByLabel("Length under the head, mm").fill("7,5");
        window.assertAccessible();
        window.click("Enter it, and propose it for the notes");
        assertThat(page.getByLabel("6 × Back cover, in the tray")).isVisible();
        assertThat(page.getByText("how many?")).hasCount(0);
        long revision = lead.get("/api/jobs/" + job + "/bench")
                .body()
                .get("unit")
                .get("revisionId")
                .asLong();
        long proposal = lead.get("/api/revisions/" + revision + "/proposals")
                .body()
                .get(0)
                .get("id")
                .asLong();
        lead.post("/api/proposals/" + proposal + "/accept", "");

        // The notes were made better while it lies open: it goes on by them, with one screw more than they say.
        page.reload();
        window.says("The notes are better now than when this was opened.");
        window.click("Go on by them");
        assertThat(page.getByText("The notes are better now than when this was opened."))
                .hasCount(0);
        window.click("count, measure");
        window.click("2 × Board shield");
        window.click("one more than the notes say");
        window.click("Enter it, and propose it for the notes");
        assertThat(page.getByLabel("3 × Board shield, in the tray")).isVisible();
        window.says("OUT · 2 TO GO", "Tongue first.");
        window.click("Back in (3 fasteners)");
        window.says("OUT · 1 TO GO");
        lead.post(
                "/api/jobs/" + job + "/checks",
                body(
                        "stage",
                        "BEFORE_CLOSING",
                        "verdict",
                        "PASSED",
                        "what",
                        "plays",
                        "powered",
                        false,
                        "load",
                        "",
                        "times",
                        1,
                        "remark",
                        ""));
        window.click("Back in (6 fasteners)");
        window.says("All back in");
        window.click("Close up");
        window.says("It is closed");

        // The draft is complete, and offered to whoever decides about notes.
        page.navigate("/models");
        window.says("2 steps");
        window.click("Looked over");
        assertThat(page.getByLabel("Draft of Cormorant Works Fulmar 5")).hasCount(0);

        long second = lead.post(
                        "/api/jobs",
                        body(
                                "serial",
                                "",
                                "revisionId",
                                revision,
                                "ownership",
                                "RESALE",
                                "ownerName",
                                "",
                                "ownerContact",
                                "",
                                "arrival",
                                body("complaint", "silent", "symptoms", List.of(), "marks", List.of())))
                .body()
                .get("jobId")
                .asLong();
        begun(second);
        window.says("IN · STEP 1 OF 2", "Off to tray (6 fasteners)");
        window.click("Off to tray (6 fasteners)");
        window.says("IN · STEP 2 OF 2");
        assertThat(page.getByLabel("6 × Back cover, in the tray")).isVisible();
    }

    /** It stands on the shelf already apart: what lies there is counted onto the mat, what is adjusted is marked before it is moved. */
    @Test
    void aUnitTakenInHalfOpen() {
        Map<String, Object> lid = TakenIn.step("lid", "Lid off", List.of());
        Map<String, Object> head = TakenIn.step("head", "Head plate off", List.of("lid"));
        head.put(
                "stays",
                List.of(
                        body("id", "h", "label", "height screw", "as", "ADJUSTED", "words", "two threads showing"),
                        body("id", "t", "label", "trimmer", "as", "LEAVE_ALONE", "words", "sets the speed")));
        Map<String, Object> deck = TakenIn.step("deck", "Deck out", List.of("head"));
        long job =
                TakenIn.job(lead, "Skerry 9", "PLAYER", body(), List.of(lid, head, deck), List.of("EARLIER_ATTEMPT"));
        begun(job);
        window.click("It came apart already");
        window.says("What of it is open already?");
        page.keyboard().press("1");
        page.getByLabel("one less lid, of 1").click();
        window.assertAccessible();
        window.click("So it lies: onto the mat");
        window.says("IN · STEP 2 OF 3");
        Client.Answer bench = lead.get("/api/jobs/" + job + "/bench");
        org.assertj.core.api.Assertions.assertThat(bench.body().toString()).contains("\"MISSING_ON_ARRIVAL\":1");

        window.says("This moves the height screw. Mark first where it stands.");
        window.assertAccessible();
        page.keyboard().press("1");
        window.says("leave alone:", "sets the speed");
        window.click("Off to tray");
        window.says("IN · STEP 3 OF 3");
        window.click("Turn round: way out");
        window.says("The height screw back where it stood: two threads showing.");
        window.click("It stands where it stood");
        // The answer makes the panel anew: what was ticked before it came would be forgotten.
        assertThat(page.getByText("back where it stood")).hasCount(0);
        page.getByRole(AriaRole.CHECKBOX, new Page.GetByRoleOptions().setName("head"))
                .click();
        window.click("Back in (1");
        window.says("OUT · 1 TO GO");
    }
}
