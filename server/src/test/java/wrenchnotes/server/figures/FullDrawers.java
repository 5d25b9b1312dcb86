package wrenchnotes.server.figures;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;

/** How long the drawers answer that hold five thousand parts, with two hundred thousand movements behind them. */
final class FullDrawers {

    private static final int PARTS = 5_000;
    private static final int MOVEMENTS = 200_000;
    private static final int TIMES = 200;
    private static final int WARM = 200;
    private static final List<String> SEARCHES =
            List.of("belt 50 square", "47u 16V", "M2×5", "lens", "ribbon 16 ways", "fuse T1A", "74LS04", "tyre 12");
    private static final List<String> SORTS = List.of(
            "'belt ' || (20 + n % 180) || ' × 1.2 square', 'BELT', '{\"form\":1,\"figures\":{\"CIRCUMFERENCE\":' || (20 + n % 180) || '.0,"
                    + "\"WIDTH\":1.2,\"THICKNESS\":1.2},\"words\":{\"SECTION\":\"SQUARE\"}}'",
            "'electrolytic ' || n || ' µF 25 V', 'CAPACITOR', '{\"form\":1,\"figures\":{\"CAPACITANCE\":' || n || '.0,\"VOLTS\":25.0},"
                    + "\"words\":{\"DIELECTRIC\":\"ELECTROLYTIC\"}}'",
            "'screw M3 × ' || (4 + n % 60), 'FASTENER', '{\"form\":1,\"figures\":{\"DIAMETER\":3.0,\"LENGTH\":' || (4 + n % 60) || '.0},"
                    + "\"words\":{\"HEAD\":\"CROSS\",\"THREAD\":\"MACHINE\"}}'",
            "'chip 74LS' || n, 'CHIP', '{\"form\":1,\"words\":{\"DESIGNATION\":\"74LS' || n || '\",\"FAMILY\":\"LS\"}}'");

    private FullDrawers() {}

    /** @param data a demo shop, filled further here */
    static void measure(Path data) throws SQLException {
        fill(data);
        try (RunningShop shop = RunningShop.in(data)) {
            Client client = shop.client().signedIn("ines", "quay");
            Random random = new Random(22);
            System.out.printf("%n%,d parts, %,d movements%n", PARTS, MOVEMENTS);
            print("the drawers", client, List.of("/api/drawers"));
            print("one drawer", client, List.of("/api/drawers/one?drawer=70"));
            print(
                    "search",
                    client,
                    SEARCHES.stream()
                            .map(asked -> "/api/parts/found?q=" + URLEncoder.encode(asked, StandardCharsets.UTF_8))
                            .toList());
            print(
                    "a part with what it fits",
                    client,
                    IntStream.range(0, 40)
                            .mapToObj(n -> "/api/parts/" + (1 + random.nextInt(PARTS)))
                            .toList());
            print("what the rack needs", client, List.of("/api/rack-needs"));
            print("all parts", client, List.of("/api/parts"));
        }
    }

    private static void print(String what, Client client, List<String> ways) {
        for (int n = 0; n < WARM; n++) {
            client.get(ways.get(n % ways.size()));
        }
        long[] nanos = new long[TIMES];
        for (int n = 0; n < TIMES; n++) {
            long begun = System.nanoTime();
            client.get(ways.get(n % ways.size()));
            nanos[n] = System.nanoTime() - begun;
        }
        Times times = new Times(nanos);
        System.out.printf("  %-26s p50 %5.1f ms, p95 %5.1f ms%n", what, times.medianMillis(), times.millis95());
    }

    private static void fill(Path data) throws SQLException {
        try (Connection connection = GrownShop.open(data);
                Statement statement = connection.createStatement()) {
            connection.setAutoCommit(false);
            for (int at = 0; at < SORTS.size(); at++) {
                statement.execute("""
                        WITH RECURSIVE up (n) AS (SELECT %d UNION ALL SELECT n + %d FROM up WHERE n + %d <= %d)
                        INSERT INTO part (drawer, what, each_minor, name, kind, fields)
                        SELECT 70 + n / 25, '', 120, %s FROM up WHERE n > 120
                        """.formatted(at + 1, SORTS.size(), SORTS.size(), PARTS, SORTS.get(at)));
            }
            statement.execute("""
                    WITH RECURSIVE up (n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM up WHERE n < %d)
                    INSERT INTO part_movement (part_id, words, count, from_account, to_account, value_minor, job_id, why, at, by)
                    SELECT 121 + n %% (SELECT COUNT(*) - 120 FROM part), '', CASE WHEN n / 5000 %% 5 = 0 THEN 8 ELSE 1 END,
                           CASE WHEN n / 5000 %% 5 = 0 THEN 'SUPPLIER' ELSE 'DRAWER' END, CASE WHEN n / 5000 %% 5 = 0 THEN 'DRAWER' ELSE 'UNIT' END,
                           120, CASE WHEN n / 5000 %% 5 = 0 THEN NULL ELSE 1 + n %% 200 END, 'grown',
                           (SELECT MAX(at) FROM part_movement) - (%d - n) * 60000, 1
                    FROM up
                    """.formatted(MOVEMENTS, MOVEMENTS));
            connection.commit();
        }
    }
}
