package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;
import static wrenchnotes.server.Client.body;

import com.icegreen.greenmail.util.GreenMail;
import com.icegreen.greenmail.util.ServerSetup;
import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.sun.net.httpserver.HttpServer;
import jakarta.mail.Multipart;
import jakarta.mail.internet.MimeMessage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Predicate;
import java.util.function.Supplier;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Orders go to suppliers' addresses and as letters, and what suppliers answer is heard. */
@Tag("shop")
class SuppliersOverHttpTest {

    private static final int SUPPLIER = freePort();
    private static final int MAIL = freePort();

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.empty()
            .set("wrenchnotes.supplier.every=PT0.2S")
            .set("wrenchnotes.supplier.stand-in.on=true")
            .set("wrenchnotes.supplier.stand-in.port=" + SUPPLIER)
            .set("wrenchnotes.supplier.stand-in.day=PT0.3S")
            .set("wrenchnotes.mail.host=127.0.0.1")
            .set("wrenchnotes.mail.port=" + MAIL)
            .set("wrenchnotes.mail.tls=false")
            .set("wrenchnotes.mail.every-seconds=1");

    private static final HttpClient HTTP = HttpClient.newHttpClient();
    private static Client client;

    @BeforeAll
    static void open() {
        client = SHOP.client().asFirstLead();
    }

    private static int freePort() {
        try (ServerSocket any = new ServerSocket(0)) {
            return any.getLocalPort();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static String standIn(String method, String path, String said) throws Exception {
        HttpResponse<String> answer = HTTP.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + SUPPLIER + path))
                        .method(method, HttpRequest.BodyPublishers.ofString(said))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).as(answer.body()).isLessThan(300);
        return answer.body();
    }

    private static void manner(double days, boolean inParts, int wrongEvery, boolean silent) throws Exception {
        standIn(
                "PUT",
                "/manner",
                "{\"days\":%s,\"inParts\":%s,\"wrongEvery\":%d,\"silent\":%s}"
                        .formatted(days, inParts, wrongEvery, silent));
    }

    private static JsonNode supplier(String name, String mail, String address) {
        Client.Answer made =
                client.post("/api/suppliers", body("name", name, "mail", mail, "number", "77", "address", address));
        assertThat(made.status()).as(made.body().toString()).isEqualTo(201);
        return made.body();
    }

    /** @return the order's number */
    private static long order(long supplier, String... names) {
        for (String name : names) {
            long part = client.post(
                            "/api/parts", body("drawer", "61", "name", name, "what", "", "eachMinor", 140, "count", 0))
                    .id();
            client.post("/api/order-lines", body("partId", part, "count", 6, "why", "runs out"));
        }
        JsonNode wanted = client.get("/api/orders").body().get("wanted");
        List<Long> lines =
                wanted.values().stream().map(line -> line.get("id").asLong()).toList();
        return client.post("/api/orders", body("supplierId", supplier, "lines", lines, "words", ""))
                .body()
                .get("orders")
                .get(0)
                .get("id")
                .asLong();
    }

    private static JsonNode order(long id) {
        return client.get("/api/orders").body().get("orders").values().stream()
                .filter(one -> one.get("id").asLong() == id)
                .findFirst()
                .orElseThrow();
    }

    private static List<String> standings(long order) {
        return order(order).get("lines").values().stream()
                .map(line -> line.get("line").get("standing").asString())
                .toList();
    }

    private static <T> T until(Supplier<T> seen, Predicate<T> right) {
        T last = seen.get();
        for (int n = 0; n < 200 && !right.test(last); n++) {
            try {
                Thread.sleep(100);
            } catch (InterruptedException e) {
                throw new IllegalStateException(e);
            }
            last = seen.get();
        }
        assertThat(right.test(last)).as("came to " + last).isTrue();
        return last;
    }

    private static void handOver(long order) {
        assertThat(client.post("/api/orders/" + order + "/handing-over", "").status())
                .isEqualTo(204);
    }

    /** Over HTTP: half of it first, then the rest; something else in its stead; what it does not sell. */
    @Test
    void whatASupplierAnswersIsHeardOverHttp() throws Exception {
        manner(2, true, 2, false);
        long ringholm = supplier("Quayside rubber", "", "http://127.0.0.1:" + SUPPLIER)
                .get("id")
                .asLong();
        long order = order(ringholm, "belt 58 × 1.2 square", "belt 64 × 1.2 square", "belt of moon dust");
        handOver(order);
        until(() -> standings(order), now -> now.equals(List.of("SENT", "SENT", "ORDERED")));
        JsonNode seen = until(
                () -> order(order),
                now -> now.get("cannot").asString().equals("belt of moon dust: not in our catalogue"));
        assertThat(seen.get("handedAt")).isNotNull();
        assertThat(seen.get("lines").get(0).get("line").get("expected").asString())
                .matches("\\d{4}-\\d{2}-\\d{2}");
        String journal = until(
                () -> client.get("/api/journal?kind=order").body().toString(),
                all -> all.contains("3 × belt 64 × 1.2 square, Quayside rubber says: the rest"));
        assertThat(journal)
                .contains("Quayside rubber says: sends SQ-64-B in its stead", "not in our catalogue", "3 × belt 58");
        // Heard once: the same answers lie there at every round.
        Thread.sleep(600);
        assertThat(client.get("/api/journal?kind=order").body().toString()).isEqualTo(journal);
        assertThat(standIn("GET", "/catalogue", "")).contains("EL-47-25");
    }

    @Test
    void aFolderDoesAsWellAndASilentOneIsSeen() throws Exception {
        manner(1, false, 0, true);
        long files = supplier("By the folder", "", "folder:stand-in").get("id").asLong();
        long order = order(files, "fuse T1A 5 × 20");
        handOver(order);
        until(() -> order(order), now -> now.has("handedAt"));
        Path folder = SHOP.data().resolve("suppliers").resolve("stand-in");
        assertThat(Files.readString(folder.resolve("orders/" + order + ".csv")))
                .contains("order,customer,line,number,name,count,each", "fuse T1A 5 × 20,6,140");
        Thread.sleep(900);
        assertThat(standings(order)).as("silence").containsExactly("ORDERED");
        manner(1, false, 0, false);
        until(() -> standings(order), now -> now.equals(List.of("SENT")));
    }

    /** What goes out and what comes back is as docs/formats.md says; who does not answer is tried again. */
    @Test
    void anySupplierThatSpeaksAsIsWrittenIsUnderstood() throws Exception {
        AtomicReference<String> placed = new AtomicReference<>();
        int port = freePort();
        long supplier = supplier("Elsewhere", "", "http://127.0.0.1:" + port + "/shop/")
                .get("id")
                .asLong();
        long order = order(supplier, "chip 7406");
        handOver(order);
        until(() -> order(order), now -> now.get("trouble").asString().contains("Nobody answers"));
        long line = order(order).get("lines").get(0).get("id").asLong();
        List<String> answers = new ArrayList<>(List.of("{\"answers\":null}"));
        HttpServer up = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 2);
        up.createContext("/shop/orders/" + order, asked -> {
            boolean put = asked.getRequestMethod().equals("PUT");
            if (put) {
                placed.set(new String(asked.getRequestBody().readAllBytes(), StandardCharsets.UTF_8));
            }
            byte[] said = (put ? "" : answers.get(0)).getBytes(StandardCharsets.UTF_8);
            asked.sendResponseHeaders(put ? 204 : 200, put ? -1 : said.length);
            if (!put) {
                asked.getResponseBody().write(said);
            }
            asked.close();
        });
        up.start();
        try {
            until(() -> order(order), now -> now.get("trouble").asString().contains("no list of answers"));
            assertThat(schema("order").validate(JsonMapper.shared().readTree(placed.get())))
                    .isEmpty();
            String said = "{\"answers\":[{\"answer\":1,\"line\":999999,\"what\":\"SENT\",\"count\":1},"
                    + "{\"answer\":2,\"line\":" + line
                    + ",\"what\":\"CONFIRMED\",\"count\":6,\"day\":\"2031-02-03\"}]}";
            assertThat(schema("answers").validate(JsonMapper.shared().readTree(said)))
                    .isEmpty();
            List<Error> wrong = schema("answers").validate(JsonMapper.shared().readTree("{\"answers\":[{}]}"));
            assertThat(wrong).isNotEmpty();
            answers.set(0, said);
            until(() -> standings(order), now -> now.equals(List.of("CONFIRMED")));
            assertThat(order(order)
                            .get("lines")
                            .get(0)
                            .get("line")
                            .get("expected")
                            .asString())
                    .isEqualTo("2031-02-03");
        } finally {
            up.stop(0);
        }
        assertThat(client.post("/api/suppliers", body("name", "Bad", "address", "file:///etc"))
                        .detail())
                .contains("http");
    }

    private static Schema schema(String name) throws IOException {
        String docs = Files.readString(Path.of("..", "docs", "formats.md"));
        String block = "```json " + name + "\n";
        int from = docs.indexOf(block) + block.length();
        return SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(docs.substring(from, docs.indexOf("```", from)));
    }

    /** A letter lies in the outbox until a mail server takes it (a small one that ships with the tests). */
    @Test
    void aLetterWaitsInTheOutboxUntilAMailServerTakesIt() throws Exception {
        long supplier =
                supplier("By letter", "desk@letters.example", "").get("id").asLong();
        long order = order(supplier, "gear, 22 teeth");
        assertThat(client.post("/api/orders/" + order + "/handing-over", "").detail())
                .contains("has no address that takes orders");
        JsonNode letter = client.post("/api/orders/" + order + "/letter", "").body();
        String way = "/api/letters/" + letter.get("id").asLong() + "/file.eml";
        MimeMessage file = new MimeMessage(null, new ByteArrayInputStream(client.bytes(way)));
        assertThat(file.getAllRecipients()[0]).hasToString("desk@letters.example");
        Multipart parts = (Multipart) file.getContent();
        Multipart text = (Multipart) parts.getBodyPart(0).getContent();
        assertThat(text.getBodyPart(0).getContent().toString()).contains("6 × gear, 22 teeth", "number with you: 77");
        assertThat(parts.getBodyPart(1).getFileName()).isEqualTo("order-" + order + ".pdf");
        assertThat(PaperRead.text(parts.getBodyPart(1).getInputStream().readAllBytes()))
                .contains("Order " + order, "By letter", "gear, 22 teeth");
        until(
                () -> client.get("/api/letters")
                        .body()
                        .get("letters")
                        .get(0)
                        .get("trouble")
                        .asString(),
                words -> words.contains("did not take it"));
        GreenMail mail = new GreenMail(new ServerSetup(MAIL, "127.0.0.1", ServerSetup.PROTOCOL_SMTP));
        mail.start();
        try {
            assertThat(mail.waitForIncomingEmail(Duration.ofSeconds(20).toMillis(), 1))
                    .isTrue();
            assertThat(mail.getReceivedMessages()[0].getSubject()).contains("Order " + order);
            until(
                    () -> client.get("/api/letters").body().get("letters").get(0),
                    now -> now.has("sentAt") && now.get("trouble").asString().isEmpty());
        } finally {
            mail.stop();
        }
        assertThat(client.post("/api/suppliers", body("name", "Nowhere", "mail", "not an address"))
                        .status())
                .isEqualTo(201);
    }
}
