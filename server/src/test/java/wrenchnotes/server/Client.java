package wrenchnotes.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the API as the front end does: session cookie, CSRF token, If-Match, ids of its own. */
public final class Client {

    /** What the program would print at the start of an empty shop; tests set it. */
    public static final String CODE = "7KQF-M2TD";

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final String url;
    private final CookieManager cookies;
    private final HttpClient http;

    public Client(String url) {
        this(url, new CookieManager());
    }

    private Client(String url, CookieManager cookies) {
        this.url = url;
        this.cookies = cookies;
        this.http = HttpClient.newBuilder().cookieHandler(cookies).build();
        get("/api/session");
    }

    /** The same browser at another address: cookies know a host and no port. */
    Client at(String other) {
        return new Client(other, cookies);
    }

    /** One answer; {@link #body} is a missing node if there was none. */
    public record Answer(int status, JsonNode body, String retryAfter) {

        public long id() {
            return body.get("id").asLong();
        }

        public String detail() {
            return body.get("detail").asString();
        }

        public String field() {
            return body.get("errors").get(0).get("field").asString();
        }
    }

    public Client signedIn(String name, String password) {
        Answer answer = post("/api/session", Map.of("name", name, "password", password));
        if (answer.status() != 200) {
            throw new IllegalStateException("Not signed in: " + answer.body());
        }
        return this;
    }

    public Client asFirstLead() {
        Answer answer = post("/api/session/first", Map.of("name", "lead", "password", "first lead", "code", CODE));
        if (answer.status() != 200) {
            throw new IllegalStateException("Not the first: " + answer.body());
        }
        return this;
    }

    /** Somebody who has the same cookies. */
    Client copy() {
        Client copy = new Client(url);
        copy.cookies.getCookieStore().removeAll();
        cookies.getCookieStore()
                .getCookies()
                .forEach(cookie -> copy.cookies.getCookieStore().add(URI.create(url), (HttpCookie) cookie.clone()));
        return copy;
    }

    /** This one once a cookie of its is gone. */
    Client without(String name) {
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .toList()
                .forEach(cookie -> cookies.getCookieStore().remove(URI.create(url), cookie));
        return this;
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    /** What is no JSON, or JSON to be compared letter by letter. */
    public String text(String path) {
        return new String(bytes(path), StandardCharsets.UTF_8);
    }

    /** @param accept the kind of text that is asked for */
    public String text(String path, String accept) {
        return new String(bytes(request(path).header("Accept", accept)), StandardCharsets.UTF_8);
    }

    public byte[] bytes(String path) {
        return bytes(request(path));
    }

    /** Of what may be no JSON. */
    public int status(String path) {
        try {
            return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.discarding())
                    .statusCode();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** What is said to whoever announces so many bytes, and has sent none of them yet. */
    String announced(String path, long bytes) {
        URI at = URI.create(url);
        StringBuilder said = new StringBuilder("POST " + path + " HTTP/1.1\r\nHost: localhost\r\nConnection: close\r\n"
                + "Content-Type: application/octet-stream\r\nContent-Length: " + bytes + "\r\nCookie: ");
        cookies.getCookieStore().getCookies().forEach(cookie -> {
            said.append(cookie.getName()).append('=').append(cookie.getValue()).append("; ");
            if (cookie.getName().equals("XSRF-TOKEN")) {
                said.insert(said.indexOf("Cookie: "), "X-XSRF-TOKEN: " + cookie.getValue() + "\r\n");
            }
        });
        try (Socket socket = new Socket(at.getHost(), at.getPort())) {
            socket.getOutputStream().write(said.append("\r\n\r\n").toString().getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What becomes of words of another kind than JSON. */
    int status(String method, String path, String type, String words) {
        return send(request(path)
                        .setHeader("Content-Type", type)
                        .method(method, HttpRequest.BodyPublishers.ofString(words)))
                .status();
    }

    private byte[] bytes(HttpRequest.Builder request) {
        try {
            return http.send(request.GET().build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public Answer post(String path, Object body) {
        return send(request(path).POST(json(body)));
    }

    public Answer post(String path, Object body, Map<String, String> headers) {
        HttpRequest.Builder request = request(path).POST(json(body));
        headers.forEach(request::header);
        return send(request);
    }

    public Answer postBytes(String path, byte[] bytes) {
        return send(request(path)
                .setHeader("Content-Type", "application/octet-stream")
                .POST(HttpRequest.BodyPublishers.ofByteArray(bytes)));
    }

    public Answer put(String path, long seen, Object body) {
        return send(request(path).header("If-Match", "\"" + seen + "\"").PUT(json(body)));
    }

    public Answer send(String method, String path, Map<String, String> headers, Object body) {
        HttpRequest.Builder request = request(path).method(method, json(body));
        headers.forEach(request::header);
        return send(request);
    }

    public Answer delete(String path) {
        return send(request(path).DELETE());
    }

    /** A key press on the bench, made on the bench as it is now. */
    public Answer bench(long job, String act, Object body) {
        long version = get("/api/jobs/" + job + "/bench").body().get("version").asLong();
        return post("/api/jobs/" + job + "/bench/" + act, body, Map.of("If-Match", "\"" + version + "\""));
    }

    /** Without a token, as a foreign page would. */
    public Answer postWithoutToken(String path, Object body) {
        return send(HttpRequest.newBuilder(URI.create(url + path))
                .header("Content-Type", "application/json")
                .POST(json(body)));
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request =
                HttpRequest.newBuilder(URI.create(url + path)).header("Content-Type", "application/json");
        cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .map(HttpCookie::getValue)
                .findFirst()
                .ifPresent(token -> request.header("X-XSRF-TOKEN", token));
        return request;
    }

    private static HttpRequest.BodyPublisher json(Object body) {
        return HttpRequest.BodyPublishers.ofString(body instanceof String raw ? raw : JSON.writeValueAsString(body));
    }

    private Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(
                    answer.statusCode(),
                    answer.body().isEmpty() ? JSON.nullNode() : JSON.readTree(answer.body()),
                    answer.headers().firstValue("Retry-After").orElse(""));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** A body with fields that may be null or many. */
    public static Map<String, Object> body(Object... namesAndValues) {
        Map<String, Object> body = new LinkedHashMap<>();
        for (int at = 0; at < namesAndValues.length; at += 2) {
            body.put((String) namesAndValues[at], namesAndValues[at + 1]);
        }
        return body;
    }

    /** JSON written with single quotes: {@code {'name':'belt'}}. */
    public static String quoted(String json) {
        return json.replace('\'', '"');
    }

    /** What an answer is compared with, node by node. */
    public static JsonNode json(Map<String, Object> body) {
        return JSON.readTree(JSON.writeValueAsString(body));
    }
}
