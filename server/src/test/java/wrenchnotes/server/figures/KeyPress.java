package wrenchnotes.server.figures;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.IntStream;
import wrenchnotes.server.Client;
import wrenchnotes.server.PackagedShop;
import wrenchnotes.server.browser.Window;

/**
 * How long it takes from a key press on the bench, measured in the browser: to the frame in which the mat is drawn as it
 * was pressed, and to the one in which the server's answer is drawn.
 */
final class KeyPress {

    private static final int WARM_UP = 20;
    private static final int PRESSES = 120;

    private static final String LISTEN = """
            () => {
              window.drawn = [];
              window.answered = [];
              let at = 0;
              let waiting = false;
              window.addEventListener('keydown', () => { at = performance.now(); waiting = true; }, true);
              const mat = document.querySelector('[aria-label="The mat"]');
              new MutationObserver(() => {
                if (waiting) {
                  waiting = false;
                  const pressed = at;
                  requestAnimationFrame(() => window.drawn.push(performance.now() - pressed));
                }
              }).observe(mat, { attributes: true, childList: true, characterData: true, subtree: true });
              const off = document.querySelector('[data-testid=off]');
              new MutationObserver(() => {
                const pressed = at;
                requestAnimationFrame(() => window.answered.push(performance.now() - pressed));
              }).observe(off, { characterData: true, childList: true, subtree: true });
            }
            """;

    private KeyPress() {}

    static void measure(Path demo) throws IOException, InterruptedException {
        try (PackagedShop shop = PackagedShop.startWithArchive(demo);
                Window window = Window.on(shop.url())) {
            Client reader = new Client(shop.url()).signedIn("ines", "quay");
            window.signIn("ines", "quay");
            Page page = window.page();
            page.navigate("/bench/" + openWithAStepToDo(reader));
            page.getByText("Off to tray").first().waitFor();
            page.evaluate(LISTEN);
            for (int press = 1; press <= WARM_UP + PRESSES; press++) {
                page.keyboard().press(press % 2 == 1 ? "Space" : "u");
                page.waitForFunction("n => window.answered.length >= n", press);
                // The keys are off while a press is on its way; the answer has been drawn, so they are on again.
                page.waitForTimeout(60);
            }
            // What is taken back is drawn with the answer: only the presses in are drawn ahead of it.
            Times drawn = times(page, "drawn", 2);
            Times answered = times(page, "answered", 1);
            System.out.printf(
                    "key press on the bench to the drawn change, %d presses: p50 %.0f ms, p95 %.0f ms, aim 100 ms;"
                            + " to the server's answer drawn: p50 %.0f ms, p95 %.0f ms%n",
                    PRESSES / 2, drawn.medianMillis(), drawn.millis95(), answered.medianMillis(), answered.millis95());
        }
    }

    private static Times times(Page page, String list, int every) {
        List<?> measured = (List<?>) page.evaluate("list => window[list]", list);
        return new Times(IntStream.range(WARM_UP, WARM_UP + PRESSES)
                .filter(at -> at % every == 0)
                .mapToLong(at -> Math.round(((Number) measured.get(at)).doubleValue() * 1e6))
                .toArray());
    }

    static long openWithAStepToDo(Client reader) {
        for (var row : reader.get("/api/rack").body().get("next").values()) {
            long job = row.get("jobId").asLong();
            if (row.get("opened").asBoolean()
                    && reader.get("/api/jobs/" + job + "/bench")
                            .body()
                            .get("way")
                            .has("nextIn")) {
                return job;
            }
        }
        throw new IllegalStateException("The demo shop has a unit that lies open");
    }
}
