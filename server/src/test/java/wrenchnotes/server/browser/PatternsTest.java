package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The room of patterns: narrowed by its fields and from the address, what is drawn opens its jobs, a watch point goes into the notes, the month is left for somebody. */
@Tag("shop")
class PatternsTest {

    @RegisterExtension
    static final Visit VISIT = Visit.atRackBy("ines");

    @Test
    void whatIsNarrowedStandsInTheAddressAndEachMonthOpensItsJobs() {
        Window window = VISIT.window();
        Page page = window.page();
        window.goTo("Patterns");
        window.says("rising", "Of parts from Ostervik components 6 of 9 came back");
        page.getByLabel("Component").selectOption("drawer belt");
        window.says("28 of");
        assertThat(page).hasURL(Pattern.compile("component=drawer"));
        page.getByLabel("Whose").selectOption("CUSTOMER");
        window.says("0 resale");
        page.goBack();
        assertThat(page.getByLabel("Whose")).hasValue("");
        page.reload();
        assertThat(page.getByLabel("Component")).hasValue("drawer belt");
        page.getByLabel("Whose").selectOption("CUSTOMER");
        window.says("0 resale");
        Locator jobs = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("The jobs behind it"));
        window.says("press a month");
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^from .*: [1-9]")))
                .last()
                .click();
        assertThat(jobs.getByText("press a month")).hasCount(0);
        jobs.getByRole(AriaRole.LINK).first().click();
        assertThat(page).hasURL(Pattern.compile("/jobs/\\d+"));
        window.says("drawer belt");
        page.getByText("what keeps failing of theirs").click();
        assertThat(page).hasURL(Pattern.compile("/patterns\\?owner=\\d+"));
        page.getByText(Pattern.compile("^only .*’s")).click();
        assertThat(page).not().hasURL(Pattern.compile("owner="));
    }

    @Test
    void aWatchPointGoesIntoTheNotesByOnePressAndTheMonthIsSent() {
        Window window = VISIT.window();
        Page page = window.page();
        window.goTo("Patterns");
        window.says("Looking every time would bring");
        window.click("Make it a watch point");
        window.says("Nobody has looked yet.");
        page.getByText("The month on one page").click();
        window.says("Money by kind of work");
        window.assertAccessible();
        window.click("Send it");
        window.field("Send it to").fill("owner@quayside.example");
        window.click("Into the outbox");
        window.says("in the outbox");
    }
}
