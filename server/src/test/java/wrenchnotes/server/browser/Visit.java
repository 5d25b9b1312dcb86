package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.ParameterContext;
import org.junit.jupiter.api.extension.ParameterResolver;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;

/** The demo shop, opened for a class of tests in their own process, and for each test a window on it in which somebody is signed in. */
final class Visit
        implements BeforeAllCallback, AfterAllCallback, BeforeEachCallback, AfterEachCallback, ParameterResolver {

    private final String person;
    private final boolean atRack;
    private final RunningShop shop = RunningShop.withDemo();
    private Window window;

    private Visit(String person, boolean atRack) {
        this.person = person;
        this.atRack = atRack;
    }

    /** No page is shown yet: each test goes to its own. */
    static Visit by(String person) {
        return new Visit(person, false);
    }

    static Visit atRackBy(String person) {
        return new Visit(person, true);
    }

    @Override
    public void beforeAll(ExtensionContext context) throws Exception {
        shop.beforeAll(context);
    }

    @Override
    public void beforeEach(ExtensionContext context) {
        window = Window.on(shop.url());
        if (atRack) {
            window.signIn(person, "quay");
        } else {
            window.signInUnseen(person, "quay");
        }
    }

    /** What it looked like at the end helps whoever has to find out why it failed. */
    @Override
    public void afterEach(ExtensionContext context) {
        if (context.getExecutionException().isPresent()) {
            String name = context.getRequiredTestClass().getSimpleName();
            window.page().screenshot(new Page.ScreenshotOptions().setPath(Path.of("target", name + "-last.png")));
        }
        assertThat(window.complaints()).as("errors of scripts").isEmpty();
        window.close();
    }

    @Override
    public void afterAll(ExtensionContext context) throws Exception {
        shop.afterAll(context);
    }

    @Override
    public boolean supportsParameter(ParameterContext parameter, ExtensionContext context) {
        return parameter.getParameter().getType() == Visit.class;
    }

    @Override
    public Visit resolveParameter(ParameterContext parameter, ExtensionContext context) {
        return this;
    }

    /** The lead, for what a test prepares. */
    Client lead() {
        return new Client(shop.url()).signedIn("ines", "quay");
    }

    RunningShop shop() {
        return shop;
    }

    Path data() {
        return shop.data();
    }

    Window window() {
        return window;
    }
}
