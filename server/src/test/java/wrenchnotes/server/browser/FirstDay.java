package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import wrenchnotes.server.Client;

/** What a shop does before its first job: somebody leads it, a model is written down, a part is in a drawer. */
final class FirstDay {

    private final Window window;
    private final Page page;

    FirstDay(Window window) {
        this.window = window;
        this.page = window.page();
    }

    void theFirstVisitMakesTheFirstLead() {
        page.navigate("/rack");
        window.says("Nobody works here yet");
        window.field("Name").fill("Ragna");
        window.field("Code").fill(Client.CODE);
        window.field("Password").fill("tern and gannet");
        window.assertAccessible();
        window.click("Open the shop");
        window.says("Nothing to work on.");
    }

    void aModelIsWrittenDown() {
        window.goTo("Models");
        window.field("Maker").fill("Cormorant Works");
        window.field("Name").fill("Tide 4");
        window.click("player");
        window.click("Add the model");
        window.field("Revision").fill("A");
        window.field("How to tell it apart from outside").fill("blue feet");
        window.click("Add the revision");

        window.click("Add a step");
        window.field("Step").fill("Case open");
        window.click("bottom up");
        window.field("Tool (empty: bare hands)").fill("PH1");
        window.field("Caution, shown before anything else").fill("Unplug, wait five minutes, measure.");
        window.click("Fasteners");
        window.exact("How many").fill("4");
        window.click("Add a step");
        window.field("Step").fill("Deck out");
        window.click("top up");
        window.click("A plug");
        window.field("Plug").fill("motor lead");
        window.click("A loose piece");
        window.field("Loose piece").fill("thrust washer");
        window.field("Another component").fill("drive belt");
        window.field("Another component").press("Enter");
        window.says("drive belt");
        assertThat(page.getByText("drive belt").first().getAttribute("aria-pressed"))
                .isEqualTo("true");
        window.assertAccessible();
        window.field("Why this change").fill("seen on the first one");
        window.click("Save the notes");
        window.says("Version 1, Ragna");
    }

    void aPartIsPutInADrawer() {
        window.goTo("Drawers");
        window.field("Drawer").fill("3");
        window.exact("Name").fill("belt 60 flat");
        window.field("Cost of one").fill("1.90");
        window.field("How many now").fill("2");
        window.click("Put it in the drawer");
        window.says("2 there", "€1.90 each");
        window.assertAccessible();
    }
}
