package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.RunningShop;

/** The first hour of an empty shop, by somebody who has read nothing: five things, each one click away. */
@Tag("shop")
class FirstHourTest {

    @TempDir
    Path data;

    private RunningShop shop;
    private Window window;

    @AfterEach
    void close() {
        org.assertj.core.api.Assertions.assertThat(window.complaints()).isEmpty();
        window.close();
        shop.close();
    }

    /** A list of 500 that a shop kept before, ten rows of which nobody can read. */
    private void pastJobsFromASpreadsheet(Page page) throws IOException {
        StringBuilder csv = new StringBuilder("Day;Client;Unit;Says;Cause;What was done;Spare;Cost;Ended\n");
        for (int n = 0; n < 500; n++) {
            String day = n % 50 == 7 ? "some day" : "%02d.%02d.20%02d".formatted(1 + n % 28, 1 + n % 12, 12 + n % 9);
            boolean belt = n % 3 > 0;
            csv.append(day).append(";Choir;Heron Works H2;no sound;");
            csv.append(belt ? "belt worn;new one;belt 60;4,50;repaired\n" : "lens dirty;cleaned;;;ok\n");
        }
        Path list = Files.writeString(data.resolve("years before.csv"), csv.toString());
        window.goTo("Rack");
        page.getByText("Bring them in from a spreadsheet").click();
        page.getByLabel("List of past jobs").setInputFiles(list);
        window.says("Bring in 490 of 500", "10 rows cannot be read and would be left out.");
        window.says("No day can be read in \"some day\"", "Heron Works H2");
        window.click("player");
        page.waitForCondition(() -> page.getByRole(AriaRole.RADIO, new Page.GetByRoleOptions().setName("player"))
                .isChecked());
        window.assertAccessible();
        window.click("Bring in 490 of 500");
        window.says("500 of 500 rows: brought in, and counted");
        window.goTo("Models");
        window.says("Heron Works H2");
        page.goBack();
        window.click("Undo all of it");
        window.says("Undone: none of it counts.");
        window.click("Bring in 490 of 500");
        window.says("500 of 500 rows: brought in, and counted");
    }

    private void next(String words) {
        window.goTo("Rack");
        assertThat(window.page().getByLabel("The first hour").getByRole(AriaRole.LINK))
                .hasCount(5);
        window.page().getByText(words).click();
    }

    @Test
    void whoeverFollowsTheFiveThingsHasAUnitOnTheBench() throws Exception {
        shop = RunningShop.emptyIn(data);
        window = Window.on(shop.url());
        Page page = window.page();
        page.navigate("/");
        window.exact("Name").fill("maud");
        page.getByLabel("Code").fill(wrenchnotes.server.Client.CODE);
        page.getByLabel("Password").fill("first hour of all");
        page.keyboard().press("Enter");
        window.says("The first hour");
        window.assertAccessible();

        pastJobsFromASpreadsheet(page);

        next("Say what the shop is called");
        window.exact("As it stands on papers").fill("Lantern Yard");
        window.click("Save it");
        page.waitForCondition(() -> page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Save it"))
                .isDisabled());

        next("Say who works here");
        window.exact("Name").fill("rowan");
        page.getByLabel("First password").fill("quay and lantern");
        window.click("Add");
        window.says("rowan");

        next("Put the parts you use most in a drawer");
        window.exact("Drawer").fill("1");
        window.exact("Name").fill("belt 32 × 0.8");
        window.click("Put it in the drawer");
        window.says("belt 32 × 0.8");

        next("Take the first unit in");
        page.getByLabel("In their words").fill("hums");
        page.getByLabel("Name, phone, mail").fill("Tern rowing club");
        window.click("a model we have not had");
        page.getByLabel("Maker").fill("Cormorant Works");
        page.getByLabel("What the model is called").fill("Fulmar 5");
        window.click("Add the model");
        assertThat(page.getByLabel("A model we have not had")).hasCount(0);
        window.click("Take it in");
        page.waitForURL("**/jobs/*");

        next("Open it on the bench");
        window.says("WN-0001");
        window.click("Start");
        window.click("It is off and unplugged: begin");
        page.getByLabel("What came off").fill("Back cover");
        window.click("not counted");
        window.click("Off to tray, and into the notes");
        window.says("how many?");
        window.goTo("Rack");
        window.says("Pick up next");
        assertThat(page.getByText("The first hour")).hasCount(0);
    }
}
