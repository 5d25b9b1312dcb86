package wrenchnotes.server.browser;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import wrenchnotes.server.Client;

/** The drawers by keys: a belt matched and set aside, an order in two parts, a stock-take by scanner, the last one taken twice. */
class DrawersIT {

    private static final Page.GetByTextOptions EXACTLY = new Page.GetByTextOptions().setExact(true);

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    private Window window;
    private Page page;
    private Client lead;

    @BeforeEach
    void open() {
        window = VISIT.window();
        page = window.page();
        lead = VISIT.lead();
    }

    private long job(String model) {
        Map<String, Object> lid = TakenIn.step("lid", "Lid off", List.of());
        return TakenIn.job(lead, model, "PLAYER", body(), List.of(lid), List.of());
    }

    private long part(String drawer, String name, int count) {
        return lead.post(
                        "/api/parts",
                        body("drawer", drawer, "name", name, "what", "", "eachMinor", 140, "count", count))
                .id();
    }

    /** The worn one measured is 66 mm round: the gauge picks the new one, it is found by its sizes, set aside for its unit and used. */
    @Test
    void aBeltIsMeasuredMatchedSetAsideAndFitted() {
        long job = job("Skerry 1");
        long belt = part("50", "belt 57 × 1.8 square", 2);
        page.navigate("/gauges/belt");
        page.getByLabel("folded flat", new Page.GetByLabelOptions().setExact(true))
                .last()
                .fill("33");
        window.says("belt 57 × 1.8 square");
        page.navigate("/drawers");
        window.says("What the rack will need");
        page.keyboard().press("s");
        assertThat(page.getByLabel("Search")).isFocused();
        page.keyboard().type("belt 57 square");
        window.says("inner circumference 57 mm, square");
        page.getByLabel("Search").blur();
        page.keyboard().press("1");
        window.says("2 there", "May stand in");
        window.assertAccessible();
        page.keyboard().press("t");
        page.getByLabel("For which unit").selectOption("" + job);
        window.click("Set it aside");
        window.says("1 there", "Promised", tag(job));
        lead.post("/api/jobs/" + job + "/parts", body("partId", belt, "count", 1));
        page.reload();
        window.says("1 there");
        assertThat(page.getByText("Promised", EXACTLY)).hasCount(0);
    }

    private String tag(long job) {
        return lead.get("/api/jobs/" + job)
                .body()
                .get("job")
                .get("unit")
                .get("tag")
                .asString();
    }

    /** Two units wait for a tyre: the order comes in two parts, the first of them wrong, and each wait ends in its turn. */
    @Test
    void anOrderComesInTwoPartsAndEndsTwoWaits() {
        long first = job("Skerry 2");
        long second = job("Skerry 3");
        long tyre = part("51", "idler tyre 21 mm", 0);
        page.navigate("/drawers?part=" + tyre);
        for (long job : List.of(first, second)) {
            window.says("none left");
            page.keyboard().press("r");
            page.getByLabel("For").selectOption("" + job);
            page.getByLabel("How many").fill("1");
            window.click("Put it on the list");
            window.says(tag(job));
        }
        page.keyboard().press("o");
        window.says("Order all of it");
        page.keyboard().press("g");
        window.says("Order 1", "goes into drawer 51");
        window.click("A wrong one came");
        window.says("wrong one came");
        window.assertAccessible();
        window.click("The wrong one went back");
        assertThat(page.getByText("wrong one came", EXACTLY)).hasCount(0);
        page.keyboard().press("b");
        page.getByLabel("How many of idler tyre 21 mm").nth(1).fill("0");
        window.click("Into the drawers");
        assertThat(page.getByText("Into the drawers")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(waits(first)).isZero();
        org.assertj.core.api.Assertions.assertThat(waits(second)).isEqualTo(1);
        page.keyboard().press("b");
        window.click("Into the drawers");
        assertThat(page.getByText("Into the drawers")).hasCount(0);
        org.assertj.core.api.Assertions.assertThat(waits(second)).isZero();
        page.navigate("/drawers?part=" + tyre);
        window.says("Promised", tag(first), tag(second));
    }

    private long waits(long job) {
        return lead.get("/api/holds?over=0").body().values().stream()
                .filter(one -> one.get("jobId").asLong() == job && !one.has("until"))
                .count();
    }

    /** By scanner and by number; differences stand there before they are taken over, and what comes in meanwhile is not counted away. */
    @Test
    void aDrawerIsCountedByScanner() {
        long screws = part("52", "screw M3 × 12 silver", 3);
        long rings = part("52", "e-clip 4 mm", 9);
        page.navigate("/drawers?drawer=52");
        window.says("screw M3 × 12 silver");
        page.keyboard().press("n");
        window.says("2 left");
        for (int n = 0; n < 2; n++) {
            page.keyboard().type("P" + screws);
            page.keyboard().press("Enter");
            window.says(n == 0 ? "1 left" : "-1");
        }
        page.keyboard().type("P1");
        page.keyboard().press("Enter");
        window.says("does not belong in drawer 52");
        window.assertAccessible();
        page.keyboard().type("9");
        page.keyboard().press("Enter");
        window.says("all counted", "Take 1 over");
        lead.post("/api/parts/" + screws + "/stock", body("count", 10, "why", ""));
        window.click("Take 1 over");
        window.says("The differences are taken over.");
        org.assertj.core.api.Assertions.assertThat(List.of(count(screws), count(rings)))
                .containsExactly(12, 9);
    }

    private int count(long part) {
        return lead.get("/api/parts/" + part)
                .body()
                .get("lies")
                .get("part")
                .get("count")
                .asInt();
    }

    /** Two benches set the last one aside at once: one has it, the other is told. */
    @Test
    void theLastOneTakenTwiceIsToldToTheSecond() {
        long last = part("53", "belt 39 × 1.2 square", 1);
        long mine = job("Skerry 4");
        long theirs = job("Skerry 5");
        page.navigate("/jobs/" + mine);
        window.says("At the counter");
        window.click("Set aside for it…");
        page.getByLabel("What is kept for it").selectOption("" + last);
        lead.post("/api/jobs/" + theirs + "/aside", body("partId", last, "count", 1));
        window.click("Set it aside");
        window.says("the drawer has 0, not 1");
        org.assertj.core.api.Assertions.assertThat(count(last)).isZero();
    }
}
