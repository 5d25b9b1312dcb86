package wrenchnotes.server.figures;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.server.Client;
import wrenchnotes.server.PackagedShop;
import wrenchnotes.server.WrenchNotes;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.diagnosis.ForetoldDemo;
import wrenchnotes.server.diagnosis.OfferedInTheDemo;
import wrenchnotes.server.ground.Snapshot;

/**
 * Makes a shop of 10,000 and one of 100,000 jobs and prints how long each screen's answer takes over HTTP, beside the
 * same SQL run bare in this process. The two are taken in turns, so that their ratio means something on a noisy machine.
 */
public final class Figures {

    private static final Consumer<SpringApplicationBuilder> JUST_THE_SHOP = builder -> {};
    private static final Consumer<SpringApplicationBuilder> WITH_AN_EAR =
            builder -> builder.initializers(new Overhearing());

    public static void main(String[] args) throws IOException, SQLException, InterruptedException {
        Path work = Files.createTempDirectory("wrench-notes-figures");
        try {
            Path demo = work.resolve("demo");
            try (ConfigurableApplicationContext shop = start(demo, JUST_THE_SHOP, "--wrenchnotes.demo=true")) {
                shop.getBean(Snapshot.class)
                        .read(() -> shop.getBean(Book.class).ask(ForetoldDemo::of))
                        .print("the demo");
                shop.getBean(Snapshot.class)
                        .read(() -> shop.getBean(Book.class).ask(ForetoldDemo::minutes))
                        .print("the demo's minutes");
                shop.getBean(Snapshot.class)
                        .read(() -> OfferedInTheDemo.of(shop::getBean))
                        .print();
            }
            String part = System.getenv().getOrDefault("PART", "all");
            boolean all = part.equals("all");
            if (all || part.equals("odds")) {
                CounterAnswer.measure(demo);
            }
            if (all || part.equals("past")) {
                PastJobs.measure(work.resolve("past"));
            }
            if (all || part.equals("drawers")) {
                Path full = work.resolve("drawers");
                FileSystemUtils.copyRecursively(demo, full);
                FullDrawers.measure(full);
            }
            if (all || part.equals("press")) {
                statements(demo);
                KeyPress.measure(demo);
            }
            if (all) {
                StartTimes.measure("make run", () -> PackagedShop.startWithArchive(demo));
                StartTimes.measure("plain java -jar", () -> PackagedShop.startPlain(demo));
            }
            if (all || part.equals("grown")) {
                Map<String, Answered> small = measure(grown(demo, work.resolve("small"), 10_000));
                Map<String, Answered> large = measure(grown(demo, work.resolve("large"), 100_000));
                Answered.growth(small, large);
            }
        } finally {
            FileSystemUtils.deleteRecursively(work);
        }
        System.exit(0);
    }

    private static void statements(Path demo) throws SQLException {
        try (ConfigurableApplicationContext shop = start(demo, WITH_AN_EAR)) {
            Client client = signedIn(shop);
            PressStatements.measure(shop, client, KeyPress.openWithAStepToDo(client));
        }
        try (Connection bare = GrownShop.open(demo)) {
            System.out.printf("the demo shop: %,d bytes a job%n", GrownShop.bytesAJob(bare.createStatement()));
        }
    }

    private static Path grown(Path demo, Path to, int jobs) throws IOException, SQLException {
        FileSystemUtils.copyRecursively(demo, to);
        System.out.printf("%n%,d jobs%n", GrownShop.grow(to, jobs).jobs());
        return to;
    }

    private static ConfigurableApplicationContext start(
            Path data, Consumer<SpringApplicationBuilder> with, String... options) {
        List<String> all = new ArrayList<>(List.of(options));
        all.add("--wrenchnotes.data=" + data);
        all.add("--server.port=0");
        all.add("--wrenchnotes.backups.nightly=false");
        all.add("--logging.level.root=error");
        all.add("--springdoc.api-docs.enabled=false");
        SpringApplicationBuilder builder = new SpringApplicationBuilder(WrenchNotes.class);
        with.accept(builder);
        return builder.run(all.toArray(String[]::new));
    }

    private static Client signedIn(ConfigurableApplicationContext shop) {
        return new Client("http://localhost:" + shop.getEnvironment().getProperty("local.server.port"))
                .signedIn("ines", "quay");
    }

    private static Map<String, Answered> measure(Path data) throws SQLException {
        Map<String, Answered> results = new LinkedHashMap<>();
        List<Screens.Screen> screens;
        try (Connection before = GrownShop.open(data)) {
            System.out.printf("%,d bytes a job%n", GrownShop.bytesAJob(before.createStatement()));
            System.out.printf(
                    "the finder's indexes: %d in 100 of the database, aim under 25%n",
                    GrownShop.single(
                            before.createStatement(),
                            "SELECT 100 * SUM(pgsize * (name GLOB 'find_*')) / SUM(pgsize) FROM dbstat"));
            screens = Screens.of(before);
        }
        Map<String, List<Overhearing.Statement>> sql = overheard(data, screens);
        // Opened after the application was here: the bare SQL goes by the statistics that its upkeep has made.
        try (Connection bare = GrownShop.open(data)) {
            try (ConfigurableApplicationContext shop = start(data, JUST_THE_SHOP)) {
                Client client = signedIn(shop);
                System.out.printf(
                        "%-22s %10s %10s %10s %10s %8s  %s%n",
                        "screen", "HTTP p50", "HTTP p95", "SQL p50", "SQL p95", "p95/p95", "within 2 × SQL + 5 ms");
                for (Screens.Screen screen : screens) {
                    Answered result = measure(screen, client, sql, bare);
                    results.put(screen.name(), result);
                    result.print(screen.name());
                }
                closedBook(shop);
                Times press = PressStatements.time(client, KeyPress.openWithAStepToDo(client));
                System.out.printf("%-22s %7.2f ms %7.2f ms%n", "press", press.medianMillis(), press.millis95());
            }
        }
        return results;
    }

    private static void closedBook(ConfigurableApplicationContext shop) {
        Book book = shop.getBean(Book.class);
        Snapshot snapshot = shop.getBean(Snapshot.class);
        book.forget();
        long begin = System.nanoTime();
        ClosedBook closed = snapshot.read(() -> book.read((all, names) -> all));
        long read = System.nanoTime();
        snapshot.read(() -> book.ask(Book.Past::history));
        System.out.printf(
                "closed book: %,d jobs read anew in %.2f s, aim 2 s; learned from in %.2f s; %.1f MB, aim 25 MB%n",
                closed.size(), (read - begin) / 1e9, (System.nanoTime() - read) / 1e9, closed.bytes() / 1e6);
    }

    /** What each address asks of the database. Listening costs time, so it is done in a run of its own. */
    private static Map<String, List<Overhearing.Statement>> overheard(Path data, List<Screens.Screen> screens) {
        Map<String, List<Overhearing.Statement>> sql = new LinkedHashMap<>();
        try (ConfigurableApplicationContext shop = start(data, WITH_AN_EAR)) {
            Overhearing.Ear ear = shop.getBean(Overhearing.Ear.class);
            Client client = signedIn(shop);
            // What the past teaches is read once after the start, and belongs to no answer.
            screens.forEach(screen -> client.get(screen.paths().get(0)));
            for (Screens.Screen screen : screens) {
                for (String path : screen.paths()) {
                    ear.heard();
                    client.get(path);
                    sql.put(path, ear.heard());
                }
            }
        }
        return sql;
    }

    private static Answered measure(
            Screens.Screen screen, Client client, Map<String, List<Overhearing.Statement>> sql, Connection bare)
            throws SQLException {
        long[] http = new long[screen.times()];
        long[] alone = new long[screen.times()];
        bare.setAutoCommit(false);
        for (int n = -screen.warmUp(); n < screen.times(); n++) {
            String path = screen.paths().get(Math.floorMod(n, screen.paths().size()));
            long begin = System.nanoTime();
            Client.Answer answer = client.get(path);
            long answered = System.nanoTime();
            if (answer.status() != 200) {
                throw new IllegalStateException(path + ": " + answer.body());
            }
            long beginBare = System.nanoTime();
            for (Overhearing.Statement statement : sql.get(path)) {
                statement.run(bare);
            }
            bare.commit();
            long ran = System.nanoTime();
            if (n >= 0) {
                http[n] = answered - begin;
                alone[n] = ran - beginBare;
            }
        }
        return new Answered(new Times(http), new Times(alone));
    }

    private Figures() {}
}
