package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.PackagedShop;

/** One job from the counter to the pattern, by clicking and typing, on a freshly started application. */
class OneJobIT {

    @TempDir
    Path data;

    private PackagedShop shop;
    private Window window;
    private Page page;

    @BeforeEach
    void open() throws Exception {
        shop = PackagedShop.start(data);
        window = Window.on(shop.url());
        page = window.page();
    }

    @AfterEach
    void close() throws Exception {
        // What it looked like at the end helps whoever has to find out why it failed.
        page.screenshot(new Page.ScreenshotOptions().setPath(Path.of("target/one-job-last.png")));
        window.close();
        shop.close();
    }

    @Test
    void fromTheCounterToThePattern() {
        theFirstVisitMakesTheFirstLead();
        aModelIsWrittenDown();
        aPartIsPutInADrawer();
        theUnitIsCheckedIn();
        theBenchTakesItApart();
        theFaultIsFound();
        theGateNamesWhatIsInTheWay();
        itIsCheckedAndAFailedCheckReopensIt();
        itIsHandedOver();
        thePatternCountsIt();
        theFinderBringsItBackByItsTag();
        assertThat(window.complaints()).as("errors of scripts").isEmpty();
    }

    private void theFirstVisitMakesTheFirstLead() {
        page.navigate("/rack");
        says("Nobody works here yet");
        field("Name").fill("Ragna");
        field("Password").fill("tern and gannet");
        window.assertAccessible();
        window.click("Open the shop");
        says("Nothing to work on.");
    }

    private void aModelIsWrittenDown() {
        window.goTo("Models");
        field("Maker").fill("Cormorant Works");
        field("Name").fill("Tide 4");
        window.click("player");
        window.click("Add the model");
        field("Revision").fill("A");
        field("How to tell it apart from outside").fill("blue feet");
        window.click("Add the revision");

        window.click("Add a step");
        field("Step").fill("Case open");
        window.click("bottom up");
        field("Tool (empty: bare hands)").fill("PH1");
        field("Caution, shown before anything else").fill("Unplug, wait five minutes, measure.");
        window.click("Fasteners");
        window.click("Add a step");
        field("Step").fill("Deck out");
        window.click("top up");
        window.click("A plug");
        field("Plug").fill("motor lead");
        window.click("A loose piece");
        field("Loose piece").fill("thrust washer");
        field("Another component").fill("drive belt");
        field("Another component").press("Enter");
        says("drive belt");
        assertThat(page.getByText("drive belt").first().getAttribute("aria-pressed"))
                .isEqualTo("true");
        window.assertAccessible();
        field("Why this change").fill("seen on the first one");
        window.click("Save the notes");
        says("Version 1, Ragna");
    }

    private void aPartIsPutInADrawer() {
        window.goTo("Drawers");
        field("Drawer").fill("3");
        exact("Name").fill("belt 60 flat");
        field("Cost of one").fill("1.90");
        field("How many now").fill("2");
        window.click("Put it in the drawer");
        says("€1.90");
        window.assertAccessible();
    }

    private void theUnitIsCheckedIn() {
        window.goTo("Check-in");
        says("Coming in");
        exact("Name, phone, mail").fill("Harbour choir");
        field("Contact, if new").fill("choir@example.org");
        field("Model").selectOption("Cormorant Works Tide 4");
        exact("Serial").fill("T4-0815");
        page.getByText(Pattern.compile("all \\d+ words")).click();
        window.click("does not take disc");
        window.click("no sound");
        window.click("no sound");
        field("In their words").fill("Sings no more, \"says\" <nothing> 🎵");
        window.click("opened before");
        // One of the four screws is missing before anybody here touches it.
        page.getByText("Already missing").click();
        page.getByLabel("0 of 4 case open screws missing").click();
        window.click("mains lead");
        field("Slot").selectOption("B2");
        says("The first of its model here");
        window.assertAccessible();
        window.click("Take it in");
        says("Not looked at yet");
        says("Sings no more, \"says\" <nothing> 🎵");
        says("does not take disc, not: no sound");
        says("1 × case open screws");
        window.assertAccessible();

        window.goTo("Rack");
        says("Here for less than a day.");
        assertThat(page.getByLabel("The rack").getByText("0001").isVisible()).isTrue();
        window.assertAccessible();
    }

    private void theBenchTakesItApart() {
        page.keyboard().press("1");
        window.click("To the bench");
        // Nothing is opened before somebody has said that it is off.
        says("Before the first step", "Unplug, wait five minutes, measure.");
        window.assertAccessible();
        page.keyboard().press("Space");
        says("Read: heeded");
        page.keyboard().press("h");
        says("Off to tray (3 fasteners)");
        page.keyboard().press("Space");
        says("STEP 2 OF 2");
        assertThat(off()).isEqualTo("3 fasteners");
        page.getByLabel("3 × case open screws, in the tray").waitFor();
        page.keyboard().press("Space");
        says("Open as far as it goes");
        page.keyboard().press("t");
        says("OUT · 2 TO GO", "Deck out");
        assertThat(off()).isEqualTo("3 fasteners, 1 plug, 1 loose piece");
        window.assertAccessible();
    }

    private void theFaultIsFound() {
        page.getByText("Job sheet of WN-0001").click();
        says("The story so far", "Open, 2 steps in");
        page.keyboard().press("n");
        field("Component").fill("drive belt");
        field("What is wrong").fill("stretched");
        field("Part from a drawer").selectOption("belt 60 flat · drawer 3 · 2 left");
        window.click("Enter the finding");
        says("Found: drive belt, stretched: replaced (1 × belt 60 flat)");

        // It was glazed, not stretched: the old entry stays, struck through.
        window.click("Correct drive belt");
        field("What is wrong").fill("glazed");
        field("Why is it corrected").fill("looked again");
        window.click("Enter the finding");
        says("struck: looked again");
        says("Corrected to: drive belt, glazed");
        says("parts €1.90");
        window.goTo("Drawers");
        assertThat(page.getByRole(AriaRole.ROW)
                        .filter(new Locator.FilterOptions().setHasText("belt 60 flat"))
                        .innerText())
                .contains("1");
    }

    private void theGateNamesWhatIsInTheWay() {
        window.goTo("Bench");
        says("Open now", "Open, 2 steps in");
        page.keyboard().press("1");
        says("OUT · 2 TO GO");
        // The washer stays behind on the mat: it is asked for while it can still be reached.
        page.keyboard().press("x");
        page.getByLabel("one more back in").first().click();
        window.click("That is what went back");
        says("OUT · 1 TO GO", "Still off under it");
        window.assertAccessible();
        page.keyboard().press("1");
        // One of the case screws is missing: it is asked for here, and left for the gate.
        says("3 in the tray, 1 missing on arrival");
        window.click("That is what went back");
        says("Not yet");
        List<String> reasons = page.getByLabel("In the way of closing")
                .getByRole(AriaRole.LISTITEM)
                .allInnerTexts();
        assertThat(reasons)
                .containsExactlyInAnyOrder(
                        "1 × case open screws, missing on arrival: replace from a drawer, or leave out and say why.",
                        "Nothing is checked before closing: try it by hand and under power, or say not tested.");
        window.assertAccessible();
        window.click("1 × case open screws missing on arrival");
        field("Why (must be said when it is left out)").fill("post stripped");
        window.click("Leave it out: it may go so");
        says("1 × case open screws left out");
        page.keyboard().press("k");
        field("What was tried").fill("turns by hand");
        window.click("Enter the check");
        says("Everything is accounted for.");
        page.keyboard().press("c");
        says("It is closed");
    }

    private void itIsCheckedAndAFailedCheckReopensIt() {
        page.getByText("Job sheet of WN-0001").click();
        says("The story so far", "Closed: check it before it goes");
        check("loads and plays", "passed");
        says("Done: say how it ended");
        check("plays for an hour", "failed");
        says("Check after closing failed: plays for an hour");
        window.click("Hand over");
        says("No outcome yet: say how it ended.");
        says("Failed after closing, and not passed since: plays for an hour, with disc 3");
        check("plays for an hour", "not tested");
        says("Check after closing failed: plays for an hour");
        check("plays for an hour", "passed");
        says("Done: say how it ended");
        assertThat(page.getByText("passed", new Page.GetByTextOptions().setExact(true))
                        .count())
                .as("the earlier pass stays on record")
                .isGreaterThanOrEqualTo(2);
    }

    private void check(String what, String verdict) {
        says("At the counter");
        page.keyboard().press("k");
        field("What was tried").fill(what);
        field("With which disc, tape or load").fill("disc 3");
        window.click(verdict);
        if (verdict.equals("not tested")) {
            window.click("nothing here to try it with");
        }
        window.click("Enter the check");
        page.getByLabel("What was tried").waitFor(gone());
    }

    private void itIsHandedOver() {
        page.keyboard().press("o");
        window.click("fixed with a remark");
        field("Remark: a known thing left as it is").fill("one screw post stripped");
        window.click("This is how it ended");
        says("Ready to go: fixed with a remark");
        window.goTo("Rack");
        says("Ready to go");
        window.click("Hand over");
        says("Ready to go: fixed with a remark");
        window.click("Hand over");
        // What came with it is asked for one by one.
        says("What came with it goes back");
        window.assertAccessible();
        window.click("goes back");
        window.click("Hand it over");
        says("Handed over, fixed with a remark");
        says("mains lead (went back)");
        says("This stay is over");
    }

    private void thePatternCountsIt() {
        window.goTo("Patterns");
        page.getByLabel("1 of 1, between 21 % and 100 %").waitFor();
        says("Cormorant Works Tide 4: 1 of 1 jobs");
        says("1, 0 came back");
        assertThat(page.getByRole(AriaRole.TABLE).innerText())
                .contains("drive belt, glazed")
                .doesNotContain("stretched");
        window.assertAccessible();
    }

    private void theFinderBringsItBackByItsTag() {
        page.keyboard().press("f");
        page.locator("[role=combobox]:focus").waitFor();
        page.keyboard().type("WN-0001");
        page.keyboard().press("Enter");
        says("This stay is over");
        window.goTo("Check-in");
        says("Coming in");
        field("Tag or serial, typed or scanned").fill("T4-0815");
        says("WN-0001 was here once");
        assertThat(exact("Name, phone, mail").inputValue()).isEqualTo("Harbour choir");
        window.click("Take it in");
        says("Not looked at yet");
        says("Other stays of this unit");
        assertThat(page.getByText("WN-0001").first().isVisible()).isTrue();
    }

    private Locator field(String label) {
        return page.getByLabel(label)
                .and(page.locator("input, textarea, select"))
                .first();
    }

    private Locator exact(String label) {
        return page.getByLabel(label, new Page.GetByLabelOptions().setExact(true))
                .and(page.locator("input, textarea, select"));
    }

    private void says(String... words) {
        window.says(words);
    }

    private static Locator.WaitForOptions gone() {
        return new Locator.WaitForOptions().setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED);
    }

    private String off() {
        return page.getByTestId("off").innerText();
    }
}
