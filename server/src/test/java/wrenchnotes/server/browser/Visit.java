package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.server.Client;
import wrenchnotes.server.PackagedShop;

/** The demo shop, made once for a class of tests, and for each test a window on it in which somebody is signed in. */
final class Visit implements BeforeAllCallback, AfterAllCallback, BeforeEachCallback, AfterEachCallback {

    private final String person;
    private Path data;
    private PackagedShop shop;
    private Window window;

    private Visit(String person) {
        this.person = person;
    }

    static Visit by(String person) {
        return new Visit(person);
    }

    @Override
    public void beforeAll(ExtensionContext context) throws Exception {
        data = Files.createTempDirectory("wrench-notes");
        shop = PackagedShop.startDemo(data);
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        window = Window.on(shop.url());
        window.signIn(person, "quay");
    }

    /** What it looked like at the end helps whoever has to find out why it failed. */
    @Override
    public void afterEach(ExtensionContext context) {
        String name = context.getRequiredTestClass().getSimpleName();
        window.page().screenshot(new Page.ScreenshotOptions().setPath(Path.of("target", name + "-last.png")));
        assertThat(window.complaints()).as("errors of scripts").isEmpty();
        window.close();
    }

    @Override
    public void afterAll(ExtensionContext context) throws Exception {
        shop.close();
        FileSystemUtils.deleteRecursively(data);
    }

    /** The lead, for what a test prepares. */
    Client lead() {
        return new Client(shop.url()).signedIn("ines", "quay");
    }

    PackagedShop shop() {
        return shop;
    }

    Path data() {
        return data;
    }

    Window window() {
        return window;
    }
}
