package wrenchnotes.server.figures;

import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import wrenchnotes.server.Client;
import wrenchnotes.server.PackagedShop;
import wrenchnotes.server.browser.Window;

/**
 * How long it takes from a key press on the bench until what is off the unit is drawn anew, measured in the browser: from
 * the keydown to the frame after the count on the screen has changed. The server's answer is in it.
 */
final class KeyPress {

    private static final int WARM_UP = 20;
    private static final int PRESSES = 120;

    private static final String LISTEN = """
            () => {
              window.presses = [];
              let at = 0;
              window.addEventListener('keydown', () => { at = performance.now(); }, true);
              const off = document.querySelector('[data-testid=off]');
              new MutationObserver(() => {
                const pressed = at;
                requestAnimationFrame(() => window.presses.push(performance.now() - pressed));
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
                page.waitForFunction("n => window.presses.length >= n", press);
                // The keys are off while a press is on its way; the answer has been drawn, so they are on again.
                page.waitForTimeout(60);
            }
            List<?> measured = (List<?>) page.evaluate("() => window.presses");
            long[] nanos = measured.subList(WARM_UP, WARM_UP + PRESSES).stream()
                    .mapToLong(one -> Math.round(((Number) one).doubleValue() * 1e6))
                    .toArray();
            Times times = new Times(nanos);
            System.out.printf(
                    "key press on the bench to the drawn change, %d presses: p50 %.0f ms, p95 %.0f ms, aim 100 ms%n",
                    nanos.length, times.medianMillis(), times.millis95());
        }
    }

    private static long openWithAStepToDo(Client reader) {
        for (var row : reader.get("/api/rack").body().get("next").values()) {
            long job = row.get("jobId").asLong();
            if (row.get("opened").asBoolean()
                    && reader.get("/api/jobs/" + job + "/bench").body().has("nextIn")) {
                return job;
            }
        }
        throw new IllegalStateException("The demo shop has a unit that lies open");
    }
}
