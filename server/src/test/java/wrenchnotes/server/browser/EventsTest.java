package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What happens on a job beside steps, findings and checks, as it is told on one screen and heard on the others. */
@Tag("shop")
class EventsTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    /** An event of one kind, whose form closes when it is told. */
    private void tells(long job, String kind, Map<String, String> fields, String go) {
        page.navigate("/jobs/" + job);
        window.says("Nothing found yet.");
        page.keyboard().press("a");
        window.click(kind);
        fields.forEach((label, words) -> window.field(label).fill(words));
        window.click(go);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(go)).waitFor(Window.GONE);
    }

    private long another(long job) {
        long revision = lead.get("/api/jobs/" + job + "/bench")
                .body()
                .get("unit")
                .get("revisionId")
                .asLong();
        return lead.post(
                        "/api/jobs",
                        body(
                                "serial",
                                "",
                                "revisionId",
                                revision,
                                "ownership",
                                "CUSTOMER",
                                "ownerName",
                                "Chapel band",
                                "ownerContact",
                                "",
                                "arrival",
                                body("complaint", "hums", "symptoms", List.of(), "marks", List.of())))
                .body()
                .get("jobId")
                .asLong();
    }

    @Test
    void whatIsToldOfOneUnitStandsBeforeWhoeverOpensTheNext() {
        Map<String, Object> lid = TakenIn.step("lid", "Lid off", List.of());
        Map<String, Object> deck = TakenIn.step("deck", "Deck out", List.of("lid"));
        Object gasket = body("id", "gasket", "label", "rubber gasket", "hint", "", "count", 1, "usedUp", true);
        deck.put("pieces", List.of(gasket));
        long job = TakenIn.job(lead, "Ketch 7", "PLAYER", body(), List.of(lid, deck), List.of());
        lead.bench(job, "start", body("targets", List.of(), "off", true, "missing", List.of(), "words", ""));
        lead.bench(job, "steps/lid/in", Map.of("found", List.of()));
        tells(job, "found inside", Map.of("What it is like", "scratched"), "Found it inside");
        window.says("disc, scratched (found inside)");
        tells(job, "not as made now", Map.of("What of it", "lamp", "What is there now", "a white one"), "It stays so");
        tells(
                job,
                "decided",
                Map.of("What was to be decided", "glued seal", "What was chosen", "warm it"),
                "Decided so");
        tells(
                job,
                "observed",
                Map.of("What was tried or looked at", "tray at half travel", "What this one does", "goes on"),
                "Saw it");
        window.says("Decided: glued seal, warm it", "lamp");

        long next = another(job);
        page.navigate("/bench/" + next);
        window.says("Before the first step");
        page.keyboard().press("Space");
        window.says("IN · STEP 1 OF 2");
        page.keyboard().press("Space");
        window.says("To decide: glued seal", "1 of 1, none regretted", "Used up by opening: rubber gasket");
        window.assertAccessible();
        window.click("warm it");
        window.says("Decided: warm it");
        page.keyboard().press("Space");
        window.says("1 × rubber gasket");
        page.keyboard().press("t");
        window.says("1 used up by the way in");
        window.assertAccessible();
        window.click("That is what went back");
        window.says("OUT · 1 TO GO");
        assertThat(lead.get("/api/jobs/" + next + "/entries").body().toString()).contains("warm it");
    }

    /** The bench is asked once which thing it is; a watch point seen bad at the gate is evidence. */
    @Test
    void theGateAsksWhichThingWasReplaced() {
        long job = TakenIn.job(
                lead, "Ketch 8", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        lead.bench(job, "start", body("targets", List.of(), "off", true, "missing", List.of(), "words", ""));
        lead.bench(job, "steps/lid/in", Map.of("found", List.of()));
        lead.post(
                "/api/jobs/" + job + "/findings",
                body(
                        "component",
                        "pinch roller",
                        "wrong",
                        "glazed",
                        "remedy",
                        "REPLACED",
                        "parts",
                        List.of(),
                        "remark",
                        ""));
        page.navigate("/bench/" + job);
        window.says("In: lid");
        page.keyboard().press("1");
        window.says("Back in (1 loose)");
        page.keyboard().press("Space");
        window.says("The pinch roller was replaced. Which of these is it?");
        window.assertAccessible();
        window.click("none of them");
        page.getByText("The pinch roller was replaced.").waitFor(Window.GONE);
    }

    @Test
    void wordsForWhatIsWrongAreMergedByTwoTaps() {
        long job = TakenIn.job(
                lead, "Ketch 9", "PLAYER", body(), List.of(TakenIn.step("lid", "Lid off", List.of())), List.of());
        for (String wrong : List.of("gone to tar", "melted away")) {
            lead.post(
                    "/api/jobs/" + job + "/findings",
                    body("component", "drive belt", "wrong", wrong, "remedy", "CLEANED", "remark", ""));
        }
        page.navigate("/words");
        window.click("melted away");
        window.says("“melted away” says the same as which word? Tap it.");
        window.click("gone to tar");
        window.says("“melted away” (1) counts as “gone to tar”");
        window.click("let it stand for itself");
        page.getByText("“melted away” (1) counts as").waitFor(Window.GONE);
    }
}
