package wrenchnotes.server.browser;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.Set;

/** Takes the pictures in docs/screenshots from a running demo shop: {@code make shots}. */
public final class Shots {

    private static final String ON_THE_WAY_IN = """
            async () => {
              const rack = await (await fetch('/api/rack')).json();
              let best;
              for (const row of rack.next.filter((one) => one.opened)) {
                const bench = await (await fetch('/api/jobs/' + row.jobId + '/bench')).json();
                const open = bench.way.steps.filter((step) => step.open).length;
                if (bench.way.nextIn && (!best || open > best.open)) {
                  best = { open, job: row.jobId };
                }
              }
              return best.job;
            }
            """;

    private static final String NOT_AS_MADE = """
            async () => {
              for (let n = 1; n < 245; n++) {
                const tag = 'WN-' + String(n).padStart(4, '0');
                const [known] = await (await fetch('/api/units?find=' + tag)).json();
                if (known && !known.unit.openJob && known.stays[0].unit.model.includes('CD') && known.marks.length > 0) {
                  return tag;
                }
              }
              throw new Error('no unit that is not as made');
            }
            """;

    private static final String DEEP_AND_NOT_BEGUN = """
            async () => {
              const rack = await (await fetch('/api/rack')).json();
              const row = [...rack.next, ...rack.waiting].find(
                (one) => /CD-5/.test(one.model) && !one.opened && one.status.standing === 'NOT_STARTED');
              if (!row) {
                throw new Error('no deep unit that is not begun');
              }
              return row.jobId;
            }
            """;

    private static final String WITH_PARTS = """
            async () => {
              const rack = await (await fetch('/api/rack')).json();
              for (const [, job] of JSON.stringify(rack).matchAll(/"jobId":(\\d+)/g)) {
                const sheet = await (await fetch('/api/jobs/' + job)).json();
                if (sheet.parts.length > 1 && sheet.findings.length > 1 && !sheet.job.handedOverAt) {
                  return job;
                }
              }
              throw new Error('no job with several parts');
            }
            """;

    /** What has nothing in one of its parts, or says that there is more, is worth a picture too. */
    private static final Set<String> MAY_BE_EMPTY = Set.of("patterns", "who-gets-in");

    private final Page page;
    private final Path folder;

    private Shots(Page page, Path folder) {
        this.page = page;
        this.folder = folder;
    }

    /** @param args address of the application, folder for the pictures */
    public static void main(String[] args) {
        try (Window window = Window.on(args[0])) {
            Shots shots = new Shots(window.page(), Path.of(args[1]));
            window.page().navigate("/");
            window.page().getByText("Demo shop").waitFor();
            window.signIn("tobias", "quay");
            shots.rooms(window);
        }
        try (Window window = Window.on(args[0])) {
            window.signIn("ines", "quay");
            window.page().navigate("/team/gate");
            window.page().getByText("Open it to the shop").waitFor();
            window.page().getByText("A token for a script").click();
            new Shots(window.page(), Path.of(args[1])).take("who-gets-in");
        }
        // The browser that windows share ends with the process, and the process not by itself while there is one.
        System.exit(0);
    }

    private void rooms(Window window) {
        page.getByText("Pick up next").waitFor();
        take("rack");

        window.goTo("Check-in");
        page.getByLabel("Tag or serial, typed or scanned").fill((String) page.evaluate(NOT_AS_MADE));
        page.getByText("Not as made").waitFor();
        window.click("does not take disc");
        window.click("squeals");
        window.click("squeals");
        page.getByText("of this revision and").waitFor();
        take("check-in");

        window.goTo("Models");
        page.getByText("A new model").waitFor();
        page.getByText("Dulcane CD-5").click();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Reach the carousel belt"))
                .click();
        page.getByText("No order takes less.").waitFor();
        take("way-in");
        page.getByText("Write the notes").click();
        page.getByText("Add a step").waitFor();
        page.getByText("Lift the carousel").first().click();
        take("notes");
        window.goTo("Drawers");
        page.getByText("hinge ribbon").first().waitFor();
        page.getByText("From the odds of").waitFor();
        take("drawers");
        page.navigate("/drawers?part=1");
        page.getByText("May stand in").waitFor();
        take("part");
        page.navigate("/drawers?donors=");
        page.getByText("cellar, left of the door").click();
        page.getByText("min to get at it").first().waitFor();
        take("donors");

        window.goTo("Patterns");
        page.getByText("All of them in numbers").waitFor();
        take("patterns");
        page.navigate("/patterns/month");
        page.getByText("Money by kind of work").waitFor();
        take("month");

        page.navigate("/gauges/rails");
        window.click("Example");
        window.says("See to");
        take("gauge-rails");

        benchAndSheet(window);
    }

    private void benchAndSheet(Window window) {
        window.goTo("Bench");
        page.getByText("Open now").waitFor();
        // A unit that lies open as it is: nothing in the demo shop is moved for its picture.
        page.navigate("/jobs/" + page.evaluate(ON_THE_WAY_IN));
        page.getByText("What it will take").waitFor();
        take("job-sheet");
        aFinding();
        page.navigate("/lots");
        page.getByText("clear-out").first().click();
        page.getByLabel("What to do with it").first().waitFor();
        take("lot");
        theBench();
    }

    /** One unit from before the first step to the gate, by digits and Space. */
    private void theBench() {
        page.navigate("/bench/" + page.evaluate(DEEP_AND_NOT_BEGUN));
        page.getByText("Worth most").waitFor();
        press("2");
        take("bench-start");
        press("2");
        press("1");
        for (int step = 0; step < 24 && !heading().contains("What is it"); step++) {
            if (page.getByText("heeded").count() > 0) {
                press("1");
            }
            press("Space");
            if (step == 0) {
                take("bench-in");
            }
        }
        page.getByText("What is it").first().waitFor();
        take("bench-there");
        press("1");
        press("1");
        press("0");
        press("Space");
        take("bench-out");
        for (int step = 0; step < 24 && !heading().matches("(?s).*(All back|Not yet).*"); step++) {
            press("Space");
        }
        take("bench-gate");
    }

    private String heading() {
        return page.locator("h1").first().innerText();
    }

    private void press(String key) {
        page.keyboard().press(key);
        page.waitForTimeout(800);
    }

    /** One that has several parts, with what a new one may say of it; nothing is sent. */
    private void aFinding() {
        page.navigate("/jobs/" + page.evaluate(WITH_PARTS));
        page.getByText("in all").waitFor();
        page.keyboard().press("n");
        page.getByText("Else: type it").click();
        page.getByLabel("Component").fill("drive gear");
        page.getByLabel("What is wrong").fill("cracked");
        page.getByText("from elsewhere").click();
        page.getByLabel("It came from", new Page.GetByLabelOptions().setExact(true))
                .selectOption("made");
        page.getByLabel("What went in").fill("gear, 18 teeth");
        page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Found"))
                .evaluate("(heading) => heading.scrollIntoView()");
        take("finding");
    }

    private void take(String name) {
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
        page.locator("[data-page=fetching]").first().waitFor(Window.GONE);
        Locator wrong = page.locator(
                MAY_BE_EMPTY.contains(name) ? "[data-page=trouble]" : "[data-page=trouble], [data-page=empty]");
        if (wrong.count() > 0 && wrong.first().isVisible()) {
            throw new IllegalStateException(
                    "The picture of " + name + " would show: " + wrong.first().innerText());
        }
        page.screenshot(new Page.ScreenshotOptions().setPath(folder.resolve(name + ".png")));
    }
}
