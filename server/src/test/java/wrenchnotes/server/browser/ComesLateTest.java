package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import com.microsoft.playwright.options.AriaRole;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A room, an answer or an offer that takes its time to come: what is typed and pressed meanwhile. */
@Tag("shop")
class ComesLateTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.atRackBy("wren");

    /** Measured: the room that came meanwhile took the focus, and half of what was typed was lost. */
    @Test
    void aRoomThatComesLateTakesNothingOutOfTheFinder() {
        page.route("**/assets/*", route -> {
            page.waitForTimeout(400);
            route.resume();
        });
        page.navigate(VISIT.shop().url());
        Locator finder = page.getByRole(AriaRole.COMBOBOX, new Page.GetByRoleOptions().setName("Find"));
        finder.focus();
        finder.pressSequentially("pellworth", new Locator.PressSequentiallyOptions().setDelay(120));
        page.waitForCondition(() -> page.title().startsWith("Rack"));
        assertThat(finder.inputValue()).isEqualTo("pellworth");
        page.unroute("**/assets/*");
    }

    /** Measured: a second press on a row of the rack, while its job was being fetched, was the rack's again. */
    @Test
    void theRoomThatOneLeavesCanNotBePressed() {
        window.says("Pick up next");
        List<Route> held = hold("**/assets/*");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Patterns"))
                .click();
        page.waitForCondition(() -> !held.isEmpty());
        page.keyboard().press("1");
        page.getByRole(AriaRole.MAIN).getByRole(AriaRole.BUTTON).first().click();
        // What is no room's goes on.
        page.keyboard().press("f");
        page.locator("[role=combobox]:focus").waitFor();
        letGo("**/assets/*", held);
        page.waitForCondition(() -> page.title().startsWith("Patterns"));
        assertThat(page.url()).endsWith("/patterns");
    }

    /** Measured: a part was being put in its drawer, and its answer brought back to the drawers whoever had gone to check something in. */
    @Test
    void whoHasGoneOnIsNotBroughtBackByAnAnswer() {
        window.goTo("Drawers");
        window.click("New part");
        window.field("Drawer").fill("15");
        window.exact("Name").fill("belt that comes late");
        sentAndLeft("**/api/parts", "Put it in the drawer");
        window.goTo("Models");
        window.exact("Maker").fill("Quill & Daughter");
        window.exact("Name").fill("Late 7");
        sentAndLeft("**/api/models", "Add the model");
        window.goTo("Models");
        window.says("Late 7");
    }

    /** Measured: where a part can be had came between the press of a button and its letting go, and the button was not pressed. */
    @Test
    void aPressIsNotLostIfTheScreenMovesBeneathIt() {
        window.says("Pick up next");
        page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("WN-0254"))
                .first()
                .click();
        window.says("The story so far");
        page.keyboard().press("n");
        window.says("Else: type it");
        page.keyboard().press("0");
        Locator proved =
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("swapped with a good one"));
        proved.waitFor();
        List<Route> held = hold("**/sources?*");
        page.getByLabel("Component").and(page.locator("input")).fill("carousel belt");
        page.waitForCondition(() -> !held.isEmpty());
        proved.hover();
        page.mouse().down();
        letGo("**/sources?*", held);
        window.says("used before");
        page.mouse().up();
        page.locator("[aria-pressed=true]").getByText("swapped with a good one").waitFor();
        // Drawn off before it is let go: not meant.
        proved.hover();
        page.mouse().down();
        page.mouse().move(5, 300);
        page.mouse().up();
        assertThat(proved.getAttribute("aria-pressed")).isEqualTo("true");
    }

    private void sentAndLeft(String door, String words) {
        List<Route> held = hold(door);
        window.click(words);
        page.waitForCondition(() -> !held.isEmpty());
        window.goTo("Rack");
        page.waitForCondition(() -> page.title().startsWith("Rack"));
        page.waitForResponse(door, () -> letGo(door, held));
        // What the answer does on the screen is done by the next frame but one.
        page.evaluate("() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))");
        page.waitForTimeout(100);
        assertThat(page.url()).endsWith("/rack");
    }

    /** What is asked for there waits until it is let go. */
    private List<Route> hold(String door) {
        List<Route> held = new ArrayList<>();
        page.route(door, held::add);
        return held;
    }

    private void letGo(String door, List<Route> held) {
        page.unroute(door);
        held.forEach(Route::resume);
    }
}
