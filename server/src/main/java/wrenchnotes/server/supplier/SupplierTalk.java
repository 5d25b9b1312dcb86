package wrenchnotes.server.supplier;

import java.io.IOException;
import java.net.ConnectException;
import java.net.http.HttpClient;
import java.net.http.HttpTimeoutException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.core.drawer.order.OrderEvent.OrderHappening;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.NotFound;
import wrenchnotes.server.ground.Settings;
import wrenchnotes.server.ground.Snapshot;
import wrenchnotes.server.order.OrderService;
import wrenchnotes.server.order.OrderStore;
import wrenchnotes.server.order.SupplierStore;
import wrenchnotes.server.order.TalkStore;

/**
 * Hands orders over at their suppliers' addresses and writes down what these answer, one after another on a thread of its own: who is slow keeps
 * nobody else in the shop waiting. What did not go through is tried again; what was heard is written with the number of its answer, so
 * that a server that is killed in between neither loses one nor hears one twice.
 */
@Component
class SupplierTalk implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(SupplierTalk.class);
    private static final String FOLDER = "folder:";
    /** Whoever looks at the demo does not wait a minute. */
    private static final Duration DEMO = Duration.ofSeconds(3);

    private final TalkStore talks;
    private final SupplierStore suppliers;
    private final OrderStore orders;
    private final OrderService service;
    private final Journal journal;
    private final Snapshot snapshot;
    private final TransactionTemplate writing;
    private final Clock clock;
    private final JsonMapper json;
    private final Path folders;
    private final Duration every;
    private final HttpClient client = HttpSupplier.client();
    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread one = new Thread(work, "suppliers");
        one.setDaemon(true);
        return one;
    });

    SupplierTalk(
            TalkStore talks,
            SupplierStore suppliers,
            OrderStore orders,
            OrderService service,
            Journal journal,
            Snapshot snapshot,
            PlatformTransactionManager transactions,
            Clock clock,
            JsonMapper json,
            DataFolder data,
            SupplierSettings settings,
            Settings shop) {
        this.talks = talks;
        this.suppliers = suppliers;
        this.orders = orders;
        this.service = service;
        this.journal = journal;
        this.snapshot = snapshot;
        this.writing = new TransactionTemplate(transactions);
        this.clock = clock;
        this.json = json;
        this.folders = data.path().resolve(SupplierSettings.FOLDERS);
        this.every = shop.demo() ? DEMO : settings.every();
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        thread.scheduleWithFixedDelay(this::round, every.toMillis(), every.toMillis(), TimeUnit.MILLISECONDS);
    }

    /** Somebody asked just now. */
    void soon() {
        thread.execute(this::round);
    }

    private void round() {
        try {
            for (TalkStore.Talk talk : snapshot.read(talks::going)) {
                go(talk);
            }
        } catch (RuntimeException e) {
            LOG.warn("Suppliers could not be spoken to: it is tried again", e);
        }
    }

    private void go(TalkStore.Talk talk) {
        SupplierStore.Supplier supplier = snapshot.read(() -> suppliers.supplier(talk.supplier()));
        if (supplier.address().isEmpty()) {
            return;
        }
        try {
            SupplierLine line = to(supplier.address());
            if (talk.handedAt().isEmpty()) {
                line.place(snapshot.read(() -> placed(talk.order(), supplier)));
                writing.executeWithoutResult(status -> {
                    By by = by(talk);
                    talks.handed(talk.order(), by.at());
                    journal.write(
                            by,
                            Journal.Entry.ofShop(
                                    "order",
                                    talk.order(),
                                    "Order " + talk.order() + " handed over to " + supplier.name(),
                                    null,
                                    supplier.address()));
                });
            }
            for (SupplierAnswer answer : line.answers(talk.order(), talk.heard())) {
                writing.executeWithoutResult(status -> hear(talk, supplier, answer));
            }
            trouble(talk, "");
        } catch (IOException e) {
            trouble(talk, sentence(e));
        } catch (RuntimeException e) {
            // One of them that answers nonsense keeps nobody from speaking to the others.
            LOG.warn("Order {} could not be spoken of with {}", talk.order(), supplier.name(), e);
            trouble(talk, "Its address or its answer cannot be used");
        }
    }

    private SupplierLine to(String address) {
        return address.startsWith(FOLDER)
                ? new FolderSupplier(folders.resolve(address.substring(FOLDER.length())))
                : new HttpSupplier(client, address, json);
    }

    private OrderPlaced placed(long order, SupplierStore.Supplier supplier) {
        return new OrderPlaced(
                OrderPlaced.FORMAT,
                order,
                supplier.number(),
                orders.ofOrders(List.of(order)).stream()
                        .map(row -> new OrderPlaced.PlacedLine(
                                row.id(), row.number(), row.name(), row.count(), row.eachMinor()))
                        .toList());
    }

    /** What is no answer to this order is passed over: it was said, and nothing can be done about it here. */
    private void hear(TalkStore.Talk talk, SupplierStore.Supplier supplier, SupplierAnswer answer) {
        By by = by(talk);
        String words = supplier.name() + " says"
                + answer.number()
                        .map(number -> ": sends " + number + " in its stead")
                        .orElse("")
                + answer.words().map(said -> ": " + said).orElse("");
        try {
            OrderStore.LineRow line = orders.ofOrders(List.of(talk.order())).stream()
                    .filter(row -> row.id() == answer.line())
                    .findFirst()
                    .orElseThrow(() -> new NotFound("no such line"));
            switch (answer.what()) {
                case CONFIRMED -> happened(by, answer, OrderHappening.CONFIRMED, words);
                case SENT -> happened(by, answer, OrderHappening.SENT, words);
                case CANNOT -> {
                    String cannot = line.name()
                            + answer.words().map(said -> ": " + said).orElse("");
                    talks.cannot(talk.order(), cannot);
                    journal.write(
                            by,
                            Journal.Entry.ofShop(
                                    "order", line.id(), supplier.name() + " cannot send " + cannot, null, answer));
                }
            }
            talks.heard(talk.order(), answer.answer());
        } catch (Refused | Invalid | NotFound e) {
            LOG.info("Answer {} to order {} says what cannot be: {}", answer.answer(), talk.order(), e.getMessage());
            talks.heard(talk.order(), answer.answer());
        }
    }

    private void happened(By by, SupplierAnswer answer, OrderHappening what, String words) {
        service.happened(by, answer.line(), what, answer.count(), answer.day(), words);
    }

    private void trouble(TalkStore.Talk talk, String words) {
        if (!words.equals(talk.trouble())) {
            writing.executeWithoutResult(status -> talks.trouble(talk.order(), words));
        }
    }

    private static String sentence(IOException e) {
        if (e instanceof ConnectException) {
            return "Nobody answers at its address";
        }
        return e instanceof HttpTimeoutException
                ? "It does not answer in time"
                : Optional.ofNullable(e.getMessage()).orElse("It could not be reached");
    }

    private By by(TalkStore.Talk talk) {
        return new By(
                talk.person(),
                talk.by(),
                new Moment(journal.last() + 1, clock.instant().truncatedTo(ChronoUnit.MILLIS)));
    }

    @Override
    public void destroy() {
        thread.shutdownNow();
    }
}
