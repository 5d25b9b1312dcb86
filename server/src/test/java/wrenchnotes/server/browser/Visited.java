package wrenchnotes.server.browser;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.BeforeEach;
import wrenchnotes.server.Client;

/** Tests of which each has a window of its own on the {@link Visit} of their class. */
abstract class Visited {

    Window window;
    Page page;
    /** For what a test prepares or looks up behind the window. */
    Client lead;

    @BeforeEach
    final void comeIn(Visit visit) {
        window = visit.window();
        page = window.page();
        lead = visit.lead();
    }
}
