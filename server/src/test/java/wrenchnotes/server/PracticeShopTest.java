package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A shop to learn in, opened beside the shop and thrown away: nothing done in it is done in the other. */
@Tag("shop")
class PracticeShopTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty();

    private static final String PRACTICE = "/api/practice";

    /** Every port beside the shop's own is taken: it opens all the same, and says where. */
    @Test
    void itIsOpenedBesideTheShopAndThrownAway() throws Exception {
        Client lead = SHOP.client().asFirstLead();
        List<ServerSocket> taken = portsAfter(URI.create(SHOP.url()).getPort());
        assertThat(lead.post(PRACTICE, Map.of()).status()).isEqualTo(202);
        assertThat(lead.post(PRACTICE, Map.of()).detail()).contains("throw that away first");
        assertThat(lead.delete(PRACTICE).detail()).contains("wait until it stands");
        while (state(lead).equals("MAKING")) {
            Thread.sleep(50);
        }
        assertThat(state(lead)).isEqualTo("OPEN");
        Client pupil = lead.at("http://localhost:"
                        + lead.get(PRACTICE).body().get("port").asInt())
                .signedIn("ines", "quay");
        assertThat(pupil.get("/api/session").body().get("practice").asBoolean()).isTrue();
        assertThat(state(pupil)).isEqualTo("HERE");
        assertThat(pupil.post(PRACTICE, Map.of()).detail()).contains("This is the practice shop");
        assertThat(pupil.post("/api/lots", Map.of("source", "only for practice"))
                        .status())
                .isEqualTo(201);
        // In the same browser: who is signed in on one is not signed out of the other, and does not work in it.
        assertThat(name(pupil)).isEqualTo("ines");
        assertThat(name(lead)).isEqualTo("lead");
        assertThat(lead.get("/api/lots").body().toString()).doesNotContain("practice");
        assertThat(lead.delete(PRACTICE).body().get("state").asString()).isEqualTo("NONE");
        assertThatThrownBy(() -> pupil.get("/api/session")).hasRootCauseInstanceOf(IOException.class);
        for (ServerSocket socket : taken) {
            socket.close();
        }
    }

    private static String name(Client client) {
        return client.get("/api/session").body().get("person").get("name").asString();
    }

    private static String state(Client client) {
        return client.get(PRACTICE).body().get("state").asString();
    }

    private static List<ServerSocket> portsAfter(int own) {
        List<ServerSocket> taken = new ArrayList<>();
        for (int port = own + 1; port <= own + 10; port++) {
            try {
                taken.add(new ServerSocket(port));
            } catch (IOException somebodyHasIt) {
                // Then it is taken already.
            }
        }
        return taken;
    }
}
