package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Who signed out is out, whatever of the browser's cookies was kept or was on its way just then. */
class SignedOutTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    @Test
    void whatIsKeptOfAClosedSignInOpensNothingAndTheOtherBrowserStaysIn() {
        Client one = SHOP.client().asFirstLead();
        Client other = SHOP.client().signedIn("lead", "first lead");
        Client kept = one.copy();
        Client restarted = one.copy().without("JSESSIONID");
        assertThat(restarted.get("/api/shop").status())
                .as("a session that ended by itself is taken up again")
                .isEqualTo(200);

        one.delete("/api/session");
        assertThat(one.get("/api/shop").status()).isEqualTo(401);
        assertThat(kept.get("/api/shop").status()).isEqualTo(401);
        assertThat(kept.without("JSESSIONID").get("/api/shop").status()).isEqualTo(401);
        assertThat(other.without("JSESSIONID").get("/api/shop").status()).isEqualTo(200);
    }
}
