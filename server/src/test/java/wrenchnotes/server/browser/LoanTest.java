package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static wrenchnotes.server.Client.body;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A unit goes home with a rubber band in it, comes back, and is put right; one goes only after its mains side was measured. */
@Tag("shop")
class LoanTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private long opened(String model) {
        Map<String, Object> lid = TakenIn.step("lid", "Lid off", List.of());
        long job = TakenIn.job(lead, model, "PLAYER", body(), List.of(lid), List.of());
        lead.bench(job, "start", body("targets", List.of(), "off", true, "missing", List.of(), "words", ""));
        lead.bench(job, "steps/lid/in", Map.of("found", List.of()));
        return job;
    }

    private void tried(String what) {
        page.keyboard().press("k");
        page.getByLabel("What was tried").fill(what);
        page.getByLabel("What was tried").press("Enter");
        assertThat(page.getByLabel("What was tried")).hasCount(0);
    }

    @Test
    void aRubberBandGoesHomeAndComesBackFirst() {
        long job = opened("Ketch 4");
        page.navigate("/bench/" + job);
        window.says("OUT · 1 TO GO");
        page.keyboard().press("e");
        page.getByLabel("What is so for now").fill("a rubber band drives the reel");
        page.keyboard().press("Enter");
        window.says("For the test only: a rubber band drives the reel");
        window.says("Out of reach once this is back", "Something under it is not put right");
        window.assertAccessible();
        window.click("Stays in for now");
        window.says("why does it stay in for now?");
        page.keyboard().press("1");
        window.says("In: lid");
        page.keyboard().press("1");
        window.says("Back in (1 loose)");
        page.keyboard().press("Space");
        window.says("For now only: a rubber band drives the reel (until its part comes)");
        tried("turns by hand");
        page.keyboard().press("i");
        window.says("Closed for now, until when or what?");
        page.keyboard().press("1");
        window.says("It is closed for now", "Put right first:");
        tried("plays a tape");
        page.navigate("/jobs/" + job);
        window.says("At the counter");
        page.keyboard().press("l");
        page.getByLabel("What it must not be used for").fill("tapes of 120 minutes");
        page.keyboard().press("Enter");
        window.says("On loan with its owner. Not for: tapes of 120 minutes", "ON LOAN");
        window.assertAccessible();
        page.navigate("/rack");
        window.says("Not for: tapes of 120 minutes");
        page.navigate("/bench/" + job);
        window.says("It came back", "a rubber band drives the reel (until its part comes)");
        window.assertAccessible();
        page.keyboard().press("l");
        window.says("Back from its loan");
        page.keyboard().press("a");
        window.says("Before the first step", "Back from its loan", "a rubber band drives the reel");
        page.keyboard().press("Space");
        window.says("Off to tray (1 loose)");
    }

    @Test
    void workOnTheMainsSideIsMeasuredBeforeItLeaves() {
        long job = opened("Ketch 5");
        lead.post(
                "/api/jobs/" + job + "/findings",
                body("component", "mains inlet", "wrong", "loose", "remedy", "RESOLDERED", "remark", ""));
        for (String stage : List.of("BEFORE_CLOSING", "AFTER_CLOSING")) {
            lead.post(
                    "/api/jobs/" + job + "/checks",
                    body(
                            "stage", stage, "verdict", "PASSED", "what", "plays", "powered", false, "load", "", "times",
                            1, "remark", ""));
            lead.bench(job, "steps/lid/out", Map.of("settled", List.of()));
            lead.bench(job, "close", "");
        }
        page.navigate("/jobs/" + job);
        window.says("Worked on its mains side (mains inlet: loose)");
        page.keyboard().press("e");
        window.says("Only by somebody who may measure this where you are");
        page.getByLabel("Earth, plug to metal").fill("0.9");
        page.getByLabel("Insulation, poles to metal").fill("200");
        window.click("lead and plug are sound");
        window.assertAccessible();
        window.click("That is what was measured");
        window.says("FAILED: earth 0.9 Ω, insulation 200 MΩ");
        page.keyboard().press("e");
        page.getByLabel("Earth, plug to metal").fill("120 mΩ");
        page.getByLabel("Insulation, poles to metal").fill("200");
        window.click("lead and plug are sound");
        window.click("That is what was measured");
        window.says("passed: earth 0.12 Ω");
        org.assertj.core.api.Assertions.assertThat(
                        lead.get("/api/jobs/" + job).body().get("inTheWay").toString())
                .doesNotContain("mains side");
    }
}
