package wrenchnotes.server.supplier;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.List;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** Orders as JSON over HTTP. It follows no redirect and reads no more than a megabyte. */
final class HttpSupplier implements SupplierLine {

    private static final Duration PATIENCE = Duration.ofSeconds(5);
    private static final int MOST_BYTES = 1 << 20;

    private final HttpClient client;
    private final String address;
    private final JsonMapper json;

    HttpSupplier(HttpClient client, String address, JsonMapper json) {
        this.client = client;
        this.address = address.replaceAll("/+$", "");
        this.json = json;
    }

    static HttpClient client() {
        return HttpClient.newBuilder()
                .connectTimeout(PATIENCE)
                .followRedirects(HttpClient.Redirect.NEVER)
                .build();
    }

    @Override
    public void place(OrderPlaced order) throws IOException {
        ask(HttpRequest.newBuilder(URI.create(address + "/orders/" + order.order()))
                .header("Content-Type", "application/json")
                .PUT(HttpRequest.BodyPublishers.ofByteArray(json.writeValueAsBytes(order))));
    }

    @Override
    public List<SupplierAnswer> answers(long order, long heard) throws IOException {
        byte[] said = ask(HttpRequest.newBuilder(URI.create(address + "/orders/" + order + "/answers?after=" + heard))
                .GET());
        try {
            return json.readValue(said, SupplierAnswer.Answers.class).answers();
        } catch (JacksonException e) {
            throw new IOException("It answers something that is no list of answers");
        }
    }

    private byte[] ask(HttpRequest.Builder asked) throws IOException {
        try {
            HttpResponse<InputStream> answer =
                    client.send(asked.timeout(PATIENCE).build(), HttpResponse.BodyHandlers.ofInputStream());
            try (InputStream body = answer.body()) {
                byte[] said = body.readNBytes(MOST_BYTES + 1);
                if (answer.statusCode() / 100 != 2) {
                    throw new IOException("It refuses the order (" + answer.statusCode() + ")");
                }
                if (said.length > MOST_BYTES) {
                    throw new IOException("It answers more than a megabyte");
                }
                return said;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException("It was not waited for", e);
        }
    }
}
