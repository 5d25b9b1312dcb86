package wrenchnotes.server.supplier;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Settings;

/** The supplier that is simulated: on a port that only this machine reaches, and in the folder {@code suppliers/stand-in}. It keeps nothing when the shop stops. */
@Component
class SupplierStandIn implements SmartLifecycle {

    static final String FOLDER = "stand-in";
    private static final Logger LOG = LoggerFactory.getLogger(SupplierStandIn.class);
    private static final int MOST_BYTES = 1 << 20;
    private static final Pattern ORDER = Pattern.compile("/orders/(\\d{1,12})(/answers)?");
    private static final Pattern AFTER = Pattern.compile("after=(\\d{1,12})");

    /** @param manner how it behaves towards this order; whether it is silent is of now */
    private record Taken(OrderPlaced order, Instant at, StandInTrade.TradeManner manner) {}

    private final SupplierSettings.StandInSupplier set;
    private final boolean wanted;
    private final JsonMapper json;
    private final Clock clock;
    private final FolderSupplier folder;
    private final Map<Long, Taken> orders = new ConcurrentHashMap<>();
    private final Map<Long, Taken> inFolder = new ConcurrentHashMap<>();
    private final Map<String, StandInTrade.CatalogueLine> catalogue = new LinkedHashMap<>();
    private volatile StandInTrade.TradeManner manner = StandInTrade.TradeManner.USUAL;
    private HttpServer server;
    private ScheduledExecutorService thread;

    SupplierStandIn(SupplierSettings settings, Settings shop, DataFolder data, JsonMapper json, Clock clock) {
        this.set = settings.standIn();
        this.wanted = set.on() || shop.demo();
        this.json = json;
        this.clock = clock;
        Path folders = data.path().resolve(SupplierSettings.FOLDERS);
        this.folder = new FolderSupplier(folders.resolve(FOLDER));
    }

    @Override
    public synchronized void start() {
        if (!wanted || server != null) {
            return;
        }
        read();
        server = open();
        server.createContext("/", this::answer);
        thread = Executors.newSingleThreadScheduledExecutor(work -> {
            Thread one = new Thread(work, "supplier-stand-in");
            one.setDaemon(true);
            return one;
        });
        server.setExecutor(thread);
        server.start();
        thread.scheduleWithFixedDelay(this::inFolder, 200, 500, TimeUnit.MILLISECONDS);
    }

    /** Another shop on this machine may have the usual port: then any other will do. */
    private HttpServer open() {
        try {
            return HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), set.port()), 8);
        } catch (BindException e) {
            LOG.info("Port {} is taken: the stand-in for a supplier takes another one", set.port());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        try {
            return HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), 0), 8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void read() {
        try (Reader file = new InputStreamReader(
                        SupplierStandIn.class.getResourceAsStream("/supplier/catalogue.csv"), StandardCharsets.UTF_8);
                CSVParser rows = CSVFormat.RFC4180
                        .builder()
                        .setHeader()
                        .setSkipHeaderRecord(true)
                        .get()
                        .parse(file)) {
            rows.forEach(row -> {
                StandInTrade.CatalogueLine line = new StandInTrade.CatalogueLine(
                        row.get("number"),
                        row.get("name"),
                        row.get("what"),
                        Long.parseLong(row.get("each")),
                        Integer.parseInt(row.get("stock")),
                        Integer.parseInt(row.get("pack")));
                catalogue.put(StandInTrade.key(line.number()), line);
                catalogue.put(StandInTrade.key(line.name()), line);
            });
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void answer(HttpExchange asked) throws IOException {
        try (asked) {
            Matcher order = ORDER.matcher(asked.getRequestURI().getPath());
            String way = asked.getRequestMethod() + " " + asked.getRequestURI().getPath();
            try {
                if (way.equals("GET /catalogue")) {
                    say(
                            asked,
                            200,
                            Map.of(
                                    "parts",
                                    catalogue.values().stream().distinct().toList()));
                } else if (way.equals("GET /manner")) {
                    say(asked, 200, manner);
                } else if (way.equals("PUT /manner")) {
                    manner = json.readValue(body(asked), StandInTrade.TradeManner.class);
                    say(asked, 200, manner);
                } else if (order.matches() && way.startsWith("PUT") && order.group(2) == null) {
                    OrderPlaced placed = json.readValue(body(asked), OrderPlaced.class);
                    orders.putIfAbsent(Long.parseLong(order.group(1)), new Taken(placed, clock.instant(), manner));
                    say(asked, 202, Map.of("order", placed.order()));
                } else if (order.matches() && way.startsWith("GET") && order.group(2) != null) {
                    answers(asked, Long.parseLong(order.group(1)));
                } else {
                    say(asked, 404, Map.of("detail", "There is /catalogue, /manner, /orders/N and /orders/N/answers"));
                }
            } catch (JacksonException | Invalid e) {
                say(asked, 400, Map.of("detail", "That cannot be read: " + e.getMessage()));
            }
        }
    }

    private void answers(HttpExchange asked, long order) throws IOException {
        Taken taken = orders.get(order);
        if (taken == null) {
            say(asked, 404, Map.of("detail", "There is no order " + order));
            return;
        }
        String query = asked.getRequestURI().getQuery();
        Matcher after = AFTER.matcher(query == null ? "" : query);
        long heard = after.matches() ? Long.parseLong(after.group(1)) : 0;
        List<SupplierAnswer> later =
                answersTo(taken).stream().filter(one -> one.answer() > heard).toList();
        say(asked, 200, new SupplierAnswer.Answers(later));
    }

    private List<SupplierAnswer> answersTo(Taken taken) {
        Instant now = clock.instant();
        double days = (double) Duration.between(taken.at(), now).toMillis()
                / Math.max(1, set.day().toMillis());
        if (manner.silent()) {
            return List.of();
        }
        return StandInTrade.answers(
                taken.order(), catalogue, taken.manner(), days, LocalDate.ofInstant(now, ZoneId.systemDefault()));
    }

    private void inFolder() {
        try {
            for (OrderPlaced placed : folder.placed()) {
                Taken taken =
                        inFolder.computeIfAbsent(placed.order(), id -> new Taken(placed, clock.instant(), manner));
                folder.answer(placed.order(), answersTo(taken));
            }
        } catch (IOException | RuntimeException e) {
            LOG.warn("The supplier's stand-in could not read its folder", e);
        }
    }

    private static byte[] body(HttpExchange asked) throws IOException {
        byte[] all = asked.getRequestBody().readNBytes(MOST_BYTES + 1);
        if (all.length > MOST_BYTES) {
            throw new Invalid("order", "more than a megabyte");
        }
        return all;
    }

    private void say(HttpExchange asked, int status, Object what) throws IOException {
        byte[] text = json.writeValueAsBytes(what);
        asked.getResponseHeaders().set("Content-Type", "application/json");
        asked.sendResponseHeaders(status, text.length);
        asked.getResponseBody().write(text);
    }

    @Override
    public synchronized void stop() {
        if (server != null) {
            server.stop(0);
            thread.shutdownNow();
            server = null;
        }
    }

    @Override
    public synchronized boolean isRunning() {
        return server != null;
    }
}
