package wrenchnotes.server.figures;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import wrenchnotes.server.PackagedShop;
import wrenchnotes.server.browser.Window;

/** How long the half of the counter that answers takes after a change of the half that asks, in the browser. */
final class CounterAnswer {

    private static final int WARM_UP = 30;
    private static final int CHANGES = 100;

    /** From the click to the frame after the answer has been drawn; the old answer stands until then. */
    private static final String CHANGE = """
            name => new Promise(done => {
              const chip = [...document.querySelectorAll('form button')].find(one => one.textContent === name);
              const answers = document.querySelector('[aria-busy]');
              const begun = performance.now();
              let asked = false;
              let gaps = 0;
              const look = () => {
                const busy = document.querySelector('[aria-busy]');
                if (!busy || busy.textContent.length < 100) {
                  gaps++;
                }
                if (busy && busy.getAttribute('aria-busy') === 'true') {
                  asked = true;
                } else if (asked) {
                  requestAnimationFrame(() => done([performance.now() - begun, gaps]));
                  return;
                } else if (performance.now() - begun > 3000) {
                  done([]);
                  return;
                }
                setTimeout(look, 1);
              };
              chip.click();
              look();
            })
            """;

    private CounterAnswer() {}

    static void measure(Path demo) throws IOException, InterruptedException {
        try (PackagedShop shop = PackagedShop.startWithArchive(demo);
                Window window = Window.on(shop.url())) {
            window.signIn("ines", "quay");
            Page page = window.page();
            window.goTo("Check-in");
            page.getByLabel("Model").selectOption("Dulcane CD-5");
            page.getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("Odds"))
                    .waitFor();
            window.click("all ");
            List<String> words = page.locator("[role=group] button[aria-pressed]").allInnerTexts().stream()
                    .filter(word ->
                            word.matches("does not .*|throws.*|eats.*|skips.*|grinds|squeals|hums|dead|no sound"))
                    .distinct()
                    .toList();
            long[] nanos = new long[CHANGES];
            int gaps = 0;
            // At random, so that hardly any set of answers comes twice: one that does is remembered and not asked.
            Random random = new Random(1);
            int remembered = 0;
            for (int n = -WARM_UP; n < CHANGES && remembered < CHANGES; ) {
                List<?> told = (List<?>) page.evaluate(CHANGE, words.get(random.nextInt(words.size())));
                if (told.isEmpty()) {
                    remembered++;
                    continue;
                }
                if (n >= 0) {
                    nanos[n] = Math.round(((Number) told.get(0)).doubleValue() * 1e6);
                    gaps += ((Number) told.get(1)).intValue();
                }
                n++;
            }
            Times times = new Times(nanos);
            System.out.printf(
                    "the counter's other half after a change, %d changes: p50 %.0f ms, p95 %.0f ms, aim 150 ms; empty in"
                            + " between: %d times%n",
                    CHANGES, times.medianMillis(), times.millis95(), gaps);
        }
    }
}
