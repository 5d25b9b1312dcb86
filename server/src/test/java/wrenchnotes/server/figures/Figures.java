package wrenchnotes.server.figures;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Consumer;
import java.util.stream.Stream;
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
    private static final List<String> SEARCHES = List.of(
            "choir",
            "keys dead",
            "ormeva",
            "WN-4711",
            "1234",
            "lan sch",
            "pellworth tern",
            "does not take disc",
            "resale",
            "q2 b",
            "belt slack",
            "glaz",
            "rivets",
            "spring tension",
            "fixed",
            "slacck",
            "pellwroth");

    /**
     * @param paths what a screen asks for; one after the other, again and again
     * @param times how often it is asked
     * @param warmUp how often before that: a shop's server has been running since the morning
     */
    private record Screen(String name, List<String> paths, int times, int warmUp) {

        static Screen often(String name, List<String> paths) {
            return new Screen(name, paths, 400, 1200);
        }

        static Screen seldom(String name, String path) {
            return new Screen(name, List.of(path), 30, 10);
        }
    }

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
                StartTimes.measure("plain java -jar", () -> PackagedShop.start(demo));
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
        List<Screen> screens;
        try (Connection before = GrownShop.open(data)) {
            System.out.printf("%,d bytes a job%n", GrownShop.bytesAJob(before.createStatement()));
            System.out.printf(
                    "the finder's indexes: %d in 100 of the database, aim under 25%n",
                    GrownShop.single(
                            before.createStatement(),
                            "SELECT 100 * SUM(pgsize * (name GLOB 'find_*')) / SUM(pgsize) FROM dbstat"));
            screens = screens(before);
        }
        Map<String, List<Overhearing.Statement>> sql = overheard(data, screens);
        // Opened after the application was here: the bare SQL goes by the statistics that its upkeep has made.
        try (Connection bare = GrownShop.open(data)) {
            try (ConfigurableApplicationContext shop = start(data, JUST_THE_SHOP)) {
                Client client = signedIn(shop);
                System.out.printf(
                        "%-22s %10s %10s %10s %10s %8s  %s%n",
                        "screen", "HTTP p50", "HTTP p95", "SQL p50", "SQL p95", "p95/p95", "within 2 × SQL + 5 ms");
                for (Screen screen : screens) {
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
    private static Map<String, List<Overhearing.Statement>> overheard(Path data, List<Screen> screens) {
        Map<String, List<Overhearing.Statement>> sql = new LinkedHashMap<>();
        try (ConfigurableApplicationContext shop = start(data, WITH_AN_EAR)) {
            Overhearing.Ear ear = shop.getBean(Overhearing.Ear.class);
            Client client = signedIn(shop);
            // What the past teaches is read once after the start, and belongs to no answer.
            screens.forEach(screen -> client.get(screen.paths().get(0)));
            for (Screen screen : screens) {
                for (String path : screen.paths()) {
                    ear.heard();
                    client.get(path);
                    sql.put(path, ear.heard());
                }
            }
        }
        return sql;
    }

    private static List<Screen> screens(Connection bare) throws SQLException {
        int most =
                GrownShop.single(bare.createStatement(), "SELECT COUNT(*) FROM job WHERE handed_over_at IS NOT NULL");
        Random random = new Random(42);
        List<String> sheets = new ArrayList<>();
        for (int n = 0; n < 50; n++) {
            int id = GrownShop.single(
                    bare.createStatement(),
                    "SELECT id FROM job WHERE handed_over_at IS NOT NULL LIMIT 1 OFFSET " + random.nextInt(most));
            sheets.add("/api/jobs/" + id);
        }
        return List.of(
                Screen.often("rack", List.of("/api/rack")),
                Screen.often(
                        "finder",
                        SEARCHES.stream()
                                .map(words -> "/api/find?q=" + words.replace(" ", "%20"))
                                .toList()),
                Screen.often("job sheet", sheets),
                Screen.often("counter's odds", outlooks(bare)),
                Screen.seldom("patterns, 18 months", "/api/patterns"),
                Screen.seldom("patterns, 20 years", "/api/patterns?months=240"),
                Screen.often("patterns, narrowed", narrowed(bare)),
                Screen.often("a picked fault", faults(bare, "picked")),
                Screen.often("the jobs behind it", faults(bare, "jobs")));
    }

    /** Twenty years by each thing that one can narrow by. */
    private static List<String> narrowed(Connection bare) throws SQLException {
        int owner = GrownShop.single(
                bare.createStatement(),
                "SELECT owner_id FROM job WHERE owner_id IS NOT NULL GROUP BY owner_id ORDER BY COUNT(*) DESC LIMIT 1");
        return Stream.of(
                        "kind=DRIVE",
                        "model=2",
                        "component=drawer%20belt",
                        "remedy=REPLACED",
                        "supplier=1",
                        "owner=" + owner,
                        "ownership=RESALE",
                        "revision=3")
                .map(by -> "/api/patterns?months=240&" + by)
                .toList();
    }

    /** The faults that are found most often, over twenty years. */
    private static List<String> faults(Connection bare, String what) throws SQLException {
        List<String> paths = new ArrayList<>();
        try (ResultSet often = bare.createStatement().executeQuery("""
                SELECT revision_id, fault_id FROM finding
                WHERE kind = 'FAULT' GROUP BY revision_id, fault_id ORDER BY COUNT(*) DESC LIMIT 10
                """)) {
            while (often.next()) {
                paths.add(
                        "/api/patterns/" + what + "?months=240&on=" + often.getLong(1) + "&fault=" + often.getLong(2));
            }
        }
        return paths;
    }

    /** Every revision with a symptom that is often told. */
    private static List<String> outlooks(Connection bare) throws SQLException {
        int revisions = GrownShop.single(bare.createStatement(), "SELECT COUNT(*) FROM revision");
        List<String> paths = new ArrayList<>();
        for (int id = 1; id <= revisions; id++) {
            paths.add("/api/revisions/" + id + "/outlook?present=does%20not%20read&absent=grinds");
        }
        return paths;
    }

    private static Answered measure(
            Screen screen, Client client, Map<String, List<Overhearing.Statement>> sql, Connection bare)
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
