package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wrenchnotes.server.Client.body;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.NetworkInterface;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;

/** What comes through the shop's door: how much, how slowly, from where, and to which name. */
@Tag("shop")
class ThroughTheDoorTest {

    /** More than the shop has workers. */
    private static final int SLOW = 150;
    /** And those who hang up themselves. */
    private static final int LEFT = 5;

    @RegisterExtension
    static final RunningShop SHOP =
            RunningShop.empty().set("wrenchnotes.door.proxies=127.0.0.1").set("wrenchnotes.door.patience=4s");

    private static Client lead;

    @BeforeAll
    static void open() {
        lead = SHOP.client().asFirstLead();
    }

    private static Socket socket() throws IOException {
        URI at = URI.create(SHOP.url());
        Socket socket = new Socket(at.getHost(), at.getPort());
        socket.setSoTimeout(20_000);
        return socket;
    }

    /** Sends letters as they stand, and reads what comes until the other side hangs up or has said all. */
    private static String said(String request) throws IOException {
        try (Socket socket = socket()) {
            socket.getOutputStream().write(request.replace("\n", "\r\n").getBytes(StandardCharsets.ISO_8859_1));
            ByteArrayOutputStream answer = new ByteArrayOutputStream();
            try {
                socket.getInputStream().transferTo(answer);
            } catch (IOException hungUp) {
                // What was said before is the answer.
            }
            return answer.toString(StandardCharsets.UTF_8);
        }
    }

    private static String status(String request) throws IOException {
        String answer = said(request);
        return answer.isEmpty() ? "" : answer.substring(9, 12);
    }

    /** Measured once: 230 slow senders to the sign-in stopped the shop. */
    @Test
    @Timeout(90)
    void slowSendersHoldNoWorker() throws Exception {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int n = 0; n < SLOW + LEFT; n++) {
                Socket one = socket();
                slow.add(one);
                one.getOutputStream()
                        .write(("POST /api/session HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                                        + "Content-Length: 60000\r\n\r\n{")
                                .getBytes(StandardCharsets.US_ASCII));
            }
            for (Socket one : slow.subList(SLOW, SLOW + LEFT)) {
                one.close();
            }
            assertThat(lead.get("/api/rack").status()).isEqualTo(200);
            assertThat(lead.post("/api/models", body("maker", "M", "name", "X", "kind", "OTHER"))
                            .status())
                    .isEqualTo(201);
            // And their time comes to an end, drip as they may.
            Socket first = slow.get(0);
            assertThatThrownBy(() -> {
                        for (int n = 0; n < 400; n++) {
                            first.getOutputStream().write(' ');
                            Thread.sleep(100);
                        }
                    })
                    .isInstanceOf(IOException.class);
            // Measured once: nobody's request ever ended who was hung up on. It stayed in memory, and the shop took
            // half
            // a minute to close.
            for (int n = 0; n < 200 && SHOP.unanswered() > 0; n++) {
                Thread.sleep(50);
            }
            assertThat(SHOP.unanswered()).isZero();
        } finally {
            for (Socket one : slow) {
                one.close();
            }
        }
    }

    /** Measured once: a body of 600 MB was read whole before it was refused. */
    @Test
    @Timeout(30)
    void whatIsTooMuchIsRefusedBeforeItIsRead() throws IOException {
        Client.Answer large = lead.post("/api/models", body("maker", "M", "name", "x".repeat(70_000), "kind", "OTHER"));
        assertThat(large.status()).isEqualTo(413);
        assertThat(large.detail()).contains("at most 64 kB");
        assertThat(lead.announced("/api/photos", 26_000_000)).contains("413", "at most 25 MB");
        String announced = said("POST /api/session HTTP/1.1\nHost: localhost\nContent-Type: application/json\n"
                + "Content-Length: 600000000\nConnection: close\n\n{");
        assertThat(announced).matches("(?s)HTTP/1.1 (413|403).*");
        StringBuilder chunks =
                new StringBuilder("POST /api/session HTTP/1.1\nHost: localhost\nContent-Type: application/json\n"
                        + "Transfer-Encoding: chunked\nConnection: close\n\n");
        for (int n = 0; n < 20; n++) {
            chunks.append("2000\n").append(" ".repeat(8192)).append("\n");
        }
        assertThat(status(chunks + "0\n\n")).isIn("413", "403");
        assertThat(lead.get("/api/rack").status()).isEqualTo(200);
    }

    /** Measured once: these were answered by 500. */
    @Test
    void whatIsMalformedIsSaidToBe() throws IOException {
        for (String path : List.of(
                "/api/parts/%zz", "/api/parts/%", "/%c0%ae", "/api/find?q=%ff%zz", "/api/revisions/%00/export.md")) {
            assertThat(status("GET " + path + " HTTP/1.1\nHost: localhost\nConnection: close\n\n"))
                    .as(path)
                    .isIn("400", "401", "404");
        }
        for (String type : List.of(
                "application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "text/plain", "nonsense")) {
            Client.Answer answer = lead.send("POST", "/api/models", Map.of(), "maker=%zz&name=%");
            assertThat(answer.status()).isEqualTo(400);
            assertThat(lead.status("POST", "/api/models", type, "maker=%zz&name=%"))
                    .as(type)
                    .isIn(400, 415);
            assertThat(lead.status("POST", "/api/import/teardown", type, "%"))
                    .as(type)
                    .isIn(400, 415);
        }
        assertThat(lead.post("/api/import/teardown", "").status()).isEqualTo(400);
        assertThat(lead.post("/api/import/teardown", "{}").status()).isEqualTo(400);
        assertThat(lead.post("/api/import/teardown", "[1").status()).isEqualTo(400);
        assertThat(lead.post("/api/models", body("maker", "M", "name", "pla\u202Eyer", "kind", "OTHER"))
                        .field())
                .isEqualTo("name");
    }

    @Test
    void itAnswersToItsOwnNamesAndBelievesItsOwnProxiesOnly(@TempDir Path elsewhere) throws Exception {
        assertThat(status("GET /api/session HTTP/1.1\nHost: elsewhere.example\nConnection: close\n\n"))
                .isEqualTo("400");
        assertThat(status("GET /api/session HTTP/1.1\nHost: localhost\nConnection: close\n\n"))
                .isEqualTo("200");
        String behind = said(
                "GET /api/session HTTP/1.1\nHost: localhost\nX-Forwarded-Proto: https\nX-Forwarded-For: 198.51.100.7\nConnection: close\n\n");
        assertThat(behind)
                .contains("Strict-Transport-Security", "Secure")
                .contains("Content-Security-Policy", "media-src 'self' blob:", "form-action 'self'")
                .contains("Referrer-Policy: same-origin", "camera=(self), microphone=(self)");
        try (RunningShop other = RunningShop.emptyIn(elsewhere)) {
            HttpResponse<String> direct = HttpClient.newHttpClient()
                    .send(
                            HttpRequest.newBuilder(URI.create(other.url() + "/api/session"))
                                    .header("X-Forwarded-Proto", "https")
                                    .build(),
                            HttpResponse.BodyHandlers.ofString());
            assertThat(direct.headers().firstValue("Strict-Transport-Security")).isEmpty();
        }
    }

    /** This machine only, until a lead opens it: then by TLS, proven by the shop's own root. */
    @Test
    void theNetworkReachesItByTlsOnceALeadSaysSo() throws Exception {
        Optional<InetAddress> outer = NetworkInterface.networkInterfaces()
                .flatMap(NetworkInterface::inetAddresses)
                .filter(address -> !address.isLoopbackAddress() && address.getAddress().length == 4)
                .findFirst();
        int plain = URI.create(SHOP.url()).getPort();
        outer.ifPresent(address ->
                assertThatThrownBy(() -> new Socket(address, plain).close()).isInstanceOf(IOException.class));
        assertThat(lead.status("/api/network/root.crt")).isEqualTo(404);
        JsonNode open = lead.post("/api/network", "").body();
        assertThat(open.path("open").asBoolean()).as(open.toString()).isTrue();
        assertThat(open.get("fingerprint").asString()).matches("([0-9A-F]{2}:){31}[0-9A-F]{2}");
        String port = open.get("addresses").get(0).asString().replaceAll(".*:", "");
        HttpClient trusting = trusting(SHOP.client().bytes("/api/network/root.crt"));
        String host = outer.map(InetAddress::getHostAddress).orElse("localhost");
        URI there = URI.create("https://" + host + ":" + port + "/api/session");
        HttpResponse<String> answer =
                trusting.send(HttpRequest.newBuilder(there).build(), HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Strict-Transport-Security")).isPresent();
        assertThatThrownBy(() -> HttpClient.newHttpClient()
                        .send(HttpRequest.newBuilder(there).build(), HttpResponse.BodyHandlers.ofString()))
                .as("whoever does not trust the root is warned")
                .isInstanceOf(IOException.class);
        assertThat(lead.delete("/api/network").body().get("open").asBoolean()).isFalse();
        assertThatThrownBy(() ->
                        trusting.send(HttpRequest.newBuilder(there).build(), HttpResponse.BodyHandlers.ofString()))
                .isInstanceOf(IOException.class);
    }

    private static HttpClient trusting(byte[] root) throws Exception {
        KeyStore roots = KeyStore.getInstance(KeyStore.getDefaultType());
        roots.load(null, null);
        roots.setCertificateEntry(
                "shop", CertificateFactory.getInstance("X.509").generateCertificate(new ByteArrayInputStream(root)));
        TrustManagerFactory trust = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        trust.init(roots);
        SSLContext tls = SSLContext.getInstance("TLS");
        tls.init(null, trust.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(tls).build();
    }
}
