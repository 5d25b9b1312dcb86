package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.Client;

/** Units over the counter, and the odds while they are looked at. */
@Tag("shop")
class CounterTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private static Client reader;

    @BeforeEach
    void open() {
        reader = new Client(VISIT.shop().url()).signedIn("marit", "quay");
    }

    @Test
    void aWalkInByKeyboardInOneGo() throws IOException {
        page.navigate("/checkin");
        page.getByLabel("Tag or serial, typed or scanned").waitFor();
        window.tab(2);
        page.keyboard().type("lampl");
        page.getByLabel("Known owners").waitFor();
        page.keyboard().press("Enter");
        page.getByLabel("Known owners").waitFor(Window.GONE);
        window.tab(1);
        page.keyboard().type("Quistral Q2");
        window.tab(1);
        // A scanner types the serial and ends with Enter: that takes nothing in yet.
        page.keyboard().type("Q2B-99001");
        page.keyboard().press("Enter");
        window.tab(1);
        page.keyboard().press("ArrowDown");
        window.says("hinge ribbon, cracked");
        String before = bar("hinge ribbon, cracked");
        window.tab(1);
        page.keyboard().type("keys d");
        page.keyboard().press("Enter");
        page.keyboard().type("not restarts");
        page.keyboard().press("Enter");
        page.waitForFunction("was => !document.body.innerHTML.includes(was)", before);
        assertThat(page.getByRole(AriaRole.GROUP, named("Odds")).innerText()).contains("of 18, revision");
        window.assertAccessible();
        page.keyboard().press("Control+Enter");
        window.says("Not looked at yet", "keys dead, not: restarts when moved", "Lamplight quiz café");
        try (var printed = Files.list(VISIT.data().resolve("printed"))) {
            List<Path> papers = printed.toList();
            assertThat(papers)
                    .extracting(path -> path.getFileName().toString())
                    .anyMatch(name -> name.endsWith("slip.pdf"))
                    .anyMatch(name -> name.endsWith("tag.pdf"));
            for (Path paper : papers) {
                assertThat(Files.readString(paper, java.nio.charset.StandardCharsets.ISO_8859_1))
                        .startsWith("%PDF");
            }
        }
    }

    @Test
    void aKnownUnitComesBackAndTheCounterSaysForWhat() {
        JsonNode sheet = mendedLately();
        page.navigate("/checkin");
        page.getByLabel("Tag or serial, typed or scanned")
                .fill(sheet.get("job").get("unit").get("tag").asString());
        window.says(sheet.get("job").get("unit").get("tag").asString() + " was here");
        String symptom = sheet.get("symptoms").get(0).get("name").asString();
        page.getByLabel("Another symptom").fill(symptom);
        page.getByLabel("Another symptom").press("Enter");
        window.says("Comeback?", "days ago");
        window.assertAccessible();
        page.keyboard().press("Control+Enter");
        window.says("Not looked at yet", "Other stays of this unit");
    }

    /** A unit that left with a fault mended and has not been back since. */
    private static JsonNode mendedLately() {
        for (long job = 240; job > 1; job--) {
            JsonNode sheet = reader.get("/api/jobs/" + job).body();
            boolean left = sheet.get("job").has("handedOverAt");
            boolean back = sheet.get("otherStays").values().stream()
                    .anyMatch(stay -> stay.get("open").asBoolean());
            if (left && !back && sheet.get("findings").size() > 0) {
                return sheet;
            }
        }
        throw new IllegalStateException("The demo shop has mended something");
    }

    @Test
    void aCrateOfSixOneAfterTheOtherAndWhatToDoWithEach() {
        page.navigate("/checkin");
        window.click("to be sold");
        page.getByLabel("A new lot: where it is from").fill("Harbour auction");
        page.getByLabel("A new lot: where it is from").press("Enter");
        window.says("0 taken in from it so far");
        page.getByLabel("Model").selectOption("Fennrick FD-3");
        window.click("flat lid");
        page.getByLabel("Paid for it").fill("4,50");
        for (int unit = 1; unit <= 6; unit++) {
            page.getByLabel("Another symptom").fill(unit % 2 == 0 ? "does not read" : "rattles");
            page.getByLabel("Another symptom").press("Enter");
            page.keyboard().press("Control+Shift+Enter");
            window.says(unit + " taken in from it so far");
        }
        page.getByText("What to do with each").click();
        window.says("6 units, 6 to decide on", "paid €4.50");
        window.assertAccessible();
        for (int unit = 0; unit < 6; unit++) {
            page.getByLabel("What to do with it")
                    .nth(unit)
                    .getByText(unit % 3 == 0 ? "keep it for parts" : "mend it")
                    .click();
            window.says("6 units, " + (5 - unit) + " to decide on");
        }
        page.reload();
        window.says("6 units, 0 to decide on");
        assertThat(page.locator("[aria-label='What to do with it'] [aria-pressed=true]")
                        .allInnerTexts())
                .containsExactly("keep it for parts", "mend it", "mend it", "keep it for parts", "mend it", "mend it");
    }

    @Test
    void answersFindingsAndOverrulingsMoveTheOddsOfAJob() {
        page.navigate("/jobs/" + notStarted());
        page.getByRole(AriaRole.GROUP, named("Odds")).waitFor();
        String first = firstFault();
        String before = bar(first);
        // Asked, and not so.
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("not so").setExact(true))
                .first()
                .click();
        window.says("Not so: ");
        page.waitForFunction("was => !document.body.innerHTML.includes(was)", before);

        first = firstFault();
        // Overruled with one key and one more for the reason.
        page.keyboard().press("v");
        page.getByRole(AriaRole.GROUP, named("Overrule " + first)).waitFor();
        page.keyboard().press("2");
        window.says("ines overruled: not this. seen on such units before", "Overruled: not " + first);
        String second = firstFault();
        assertThat(second).isNotEqualTo(first);
        window.assertAccessible();

        // What is found and dealt with goes out, and the rest is judged again.
        page.keyboard().press("n");
        window.says("Else: type it");
        page.keyboard().press("0");
        page.getByLabel("Component").and(page.locator("input")).fill(second.split(", ")[0]);
        page.getByLabel("What is wrong").fill(second.split(", ")[1]);
        window.click("swapped with a good one");
        window.click("age");
        window.click("Enter the finding");
        window.says("Proved: swapped with a good one. Cause suspected: age.", "dealt with");
        assertThat(firstFault()).isNotEqualTo(second);

        // It changed nothing: kept as a failed remedy, and told in the story.
        window.click("What changed after " + second.split(", ")[0]);
        page.getByRole(AriaRole.GROUP, named("After " + second.split(", ")[0]))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        page.getByRole(AriaRole.GROUP, named("After " + second.split(", ")[0]))
                .getByRole(AriaRole.BUTTON)
                .first()
                .click();
        window.click("it changed nothing");
        window.click("Enter what changed");
        window.says("it changed nothing", "stayed: ");

        // Crossed tries blame the disc.
        page.keyboard().press("t");
        String[] pairs = {"disc one in this unit", "disc one in a good one", "disc two in this unit"};
        for (int pair = 0; pair < pairs.length; pair++) {
            Locator one = page.getByLabel(Pattern.compile("^" + pairs[pair] + ":"));
            one.click();
            if (pair < 2) {
                one.click();
            }
        }
        window.click("Enter the tries");
        window.says("disc one (not of the unit)", "by the tries");
        window.assertAccessible();
    }

    private static long notStarted() {
        return reader.get("/api/rack").body().get("next").values().stream()
                .filter(row -> row.get("status").get("standing").asString().equals("NOT_STARTED"))
                .filter(row -> row.get("model").asString().contains("CD-5"))
                .findFirst()
                .orElseThrow()
                .get("jobId")
                .asLong();
    }

    private String firstFault() {
        return page.getByRole(AriaRole.GROUP, named("Odds"))
                .locator("b")
                .first()
                .innerText();
    }

    /** What the bar of a fault says to those who do not see it. */
    private String bar(String fault) {
        return Optional.ofNullable(page.getByRole(AriaRole.GROUP, named("Odds"))
                        .locator("div", new Locator.LocatorOptions().setHas(page.getByText(fault)))
                        .last()
                        .getByRole(AriaRole.IMG)
                        .first()
                        .getAttribute("aria-label"))
                .orElseThrow();
    }

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name);
    }
}
