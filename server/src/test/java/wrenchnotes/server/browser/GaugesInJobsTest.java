package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.Locale;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Gauges where the work is: opened from a job and its bench, kept in it, and heard by its odds. */
@Tag("shop")
class GaugesInJobsTest extends Visited {

    @RegisterExtension
    static final Visit VISIT = Visit.atRackBy("wren");

    @BeforeEach
    void open() {
        window.goTo("Gauges");
    }

    @Test
    void aReadingIsKeptInAJobAndStandsInItsStory() {
        int job = (int) page.evaluate("async () => (await (await fetch('/api/rack')).json()).next[0].jobId");
        page.navigate("/jobs/" + job);
        window.says("The story so far");
        page.keyboard().press("d");
        window.says("Keep it in WN-");
        window.gauge("Rails");
        page.keyboard().press("e");
        window.says("See to ");
        page.getByLabel("Where on the unit").fill("shelf supply");
        window.click("on a good unit");
        page.getByLabel("25 V raw measured").fill("24.7");
        page.getByLabel("15 V measured").fill("15.03");
        page.getByText("See to ").waitFor(Window.GONE);
        window.click("Keep it in WN-");
        window.says("Kept: it stands in the story of");
        page.getByText("Kept: it").click();
        window.click("before");
        page.keyboard().press("e");
        window.says("14.6 V ≠");
        page.keyboard().press("s");
        window.assertAccessible();
        page.navigate("/jobs/" + job);
        window.says("Measured before, shelf supply. Rails: 25 V raw is the first that is wrong");
        Locator table = page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("RAILS shelf supply"));
        assertThat(table.innerText()).contains("good unit", "24.7 V", "14.6 V ≠ (22.29 to 26.6) bad");
        window.assertAccessible();

        page.getByText("open", new Page.GetByTextOptions().setExact(true))
                .last()
                .click();
        window.says("See to ");
        assertThat(page.getByLabel("25 V raw measured").inputValue())
                .as("as it was typed")
                .isEqualTo("14.6");
    }

    /** From the bench into a gauge that knows unit, step, probes and what is right there, and back as evidence by one key. */
    @Test
    void aPointOfTheNotesIsMeasuredAtTheBenchAndCounts() {
        int job = (int) page.evaluate("""
                async () => {
                  for (let id = 300; id > 0; id--) {
                    const bench = await fetch(`/api/jobs/${id}/bench`);
                    if (bench.ok && (b => b.run && b.way.points.length > 0)(await bench.json())) { return id; }
                  }
                  return 0;
                }""");
        page.navigate("/bench/" + job);
        page.getByText("Rails: 6").click();
        window.says(
                "6 rails of the notes", "plus of the tall capacitor", "The mains was not measured", "Keep it in WN-");
        page.navigate("/gauges/limit?job=" + job + "&point=eye");
        window.says("Probes: ring 3 beside the sled");
        assertThat(page.getByLabel("good from").inputValue()).isEqualTo("0.9");
        assertThat(page.getByLabel("Where on the unit").inputValue()).isEqualTo("eye");
        page.getByLabel("reading 1").fill("0.41");
        window.says("0.41 V is below 0.9", "lens bad");
        window.click("cold");
        window.assertAccessible();
        page.getByLabel("reading 1").blur();
        page.keyboard().press("b");
        window.says("it counts in the odds");
        page.navigate("/jobs/" + job);
        window.says("Measured after", "It counts in the odds.", "lens");
        page.navigate("/gauges/logic?job=" + job);
        page.getByLabel("Chip").fill("74LS04");
        page.getByLabel("Pin 1", exactly()).fill("lh");
        page.getByLabel("Pin 2", exactly()).fill("hl");
        window.says("As its inputs ask.");
        page.getByLabel("Pin 2", exactly()).fill("h");
        window.says("When it changes: Pin 2 should be low and is high.");
    }

    @Test
    void whatIsTypedGoesAlongToTheJobWhoseTagIsScanned() {
        String tag = (String) page.evaluate("async () => (await (await fetch('/api/rack')).json()).next[0].tag");
        window.gauge("Limit");
        page.keyboard().press("e");
        window.says("42.67 mV is within the limit");
        Locator scanned = page.getByLabel("To keep it in a job");
        scanned.fill("WN-9999");
        page.keyboard().press("Enter");
        window.says("No unit has this tag or serial.");
        scanned.fill(tag.toLowerCase(Locale.ROOT));
        page.keyboard().press("Enter");
        window.says("Keep it in " + tag, "42.67 mV is within the limit");
        page.getByLabel("reading 1").fill("46");
        window.says("44.33 mV is within the limit");
        page.reload();
        window.says("44.33 mV is within the limit");
        assertThat(page.getByLabel("reading 1").inputValue()).isEqualTo("46");
    }

    private static Page.GetByLabelOptions exactly() {
        return new Page.GetByLabelOptions().setExact(true);
    }
}
