package wrenchnotes.server.browser;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.assertj.core.api.SoftAssertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** One page of each kind, by WCAG 2.2 A and AA as far as axe-core can tell, in each light that a device can be set to. */
class AccessibleIT {

    @RegisterExtension
    static final Visit VISIT = Visit.by("ines");

    @Test
    void everyKindOfPageInEachLight() {
        Window window = VISIT.window();
        SoftAssertions all = new SoftAssertions();
        List<String> addresses = Addresses.kinds(VISIT.lead());
        assertThat(addresses).hasSizeGreaterThan(30);
        for (String address : addresses) {
            window.show(address);
            all.assertThatCode(window::assertAccessible).as(address).doesNotThrowAnyException();
            // Only the bench is dark as it is.
            window.page()
                    .evaluate(
                            "light => { document.documentElement.className = light; }",
                            address.startsWith("/bench/") ? "lit" : "dark");
            all.assertThatCode(window::assertContrast)
                    .as(address + " in its other light")
                    .doesNotThrowAnyException();
        }
        all.assertAll();
    }
}
