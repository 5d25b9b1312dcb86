package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Who signed out is out, whatever of the browser's cookies was kept or was on its way just then. */
@Tag("shop")
class SignedOutTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    @Test
    void whatIsKeptOfAClosedSignInOpensNothingAndTheOtherBrowserStaysIn() {
        Client one = SHOP.client().asFirstLead();
        Client other = SHOP.client().signedIn("lead", "first lead");
        Client kept = one.copy();
        long lines = journal();
        long rows = signIns();
        assertThat(kept.get("/api/shop").status()).isEqualTo(200);
        assertThat(signIns()).as("a request writes nothing").isEqualTo(rows);

        one.delete("/api/session");
        assertThat(one.get("/api/shop").status()).isEqualTo(401);
        assertThat(kept.get("/api/shop").status()).isEqualTo(401);
        assertThat(other.get("/api/shop").status()).isEqualTo(200);
        assertThat(journal()).isEqualTo(lines);
    }

    private static long signIns() {
        return count("sign_in WHERE ended_at IS NULL");
    }

    private static long journal() {
        return count("journal");
    }

    private static long count(String from) {
        return SHOP.bean(JdbcClient.class)
                .sql("SELECT COUNT(*) FROM " + from)
                .query(Long.class)
                .single();
    }
}
