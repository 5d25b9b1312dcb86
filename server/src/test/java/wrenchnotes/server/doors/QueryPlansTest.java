package wrenchnotes.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.doors.ApiWords.Door;
import wrenchnotes.server.figures.GrownShop;
import wrenchnotes.server.figures.Overhearing;

/**
 * What each screen asks of the database, as SQLite would go about it ({@code EXPLAIN QUERY PLAN}): nothing that is asked of one job
 * reads a table that grows with all of them from end to end.
 */
@Tag("shop")
class QueryPlansTest {

    private static final int JOBS = 3_000;

    @TempDir
    static Path data;

    private static RunningShop shop;
    private static List<String> growing;

    /** Made, grown, closed and opened again: what the planner knows of it is what the application's own upkeep told it. */
    @BeforeAll
    static void aShopOfSomeYears() throws Exception {
        RunningShop.demoIn(data);
        growing = GrownShop.grow(data, JOBS).tables();
        shop = RunningShop.on(data, new Overhearing());
    }

    @AfterAll
    static void shut() {
        shop.close();
    }

    /** Doors whose question is about all jobs: they read what they count. */
    private static final List<String> ABOUT_ALL =
            List.of("/api/patterns", "/api/find", "/api/lots", "/api/calendar", "/api/orders");

    /**
     * Indexes that hold only what is in the shop or on order now, or was kept for parts; and two that are read from their end, 400 and 1000 rows at
     * most.
     */
    private static final List<String> WHAT_IS_HERE = List.of(
            "job_open",
            "hold_not_ended",
            "check_not_tested",
            "run_under_way",
            "order_line_open",
            "order_line_took",
            "outcome_kept_for_parts",
            "part_order_asked",
            "letter_waits");

    /** From end to end, through an index or not; a look at one end of an index is a SEARCH. */
    private static final Pattern SCAN = Pattern.compile(
            "^SCAN (\\w+)\\b(?! USING (COVERING )?INDEX (" + String.join("|", WHAT_IS_HERE) + ")\\b).*");

    @Test
    void noScreenOfOneJobReadsAllJobs() {
        Client client = shop.client().signedIn("ines", "quay");
        Overhearing.Ear ear = shop.bean(Overhearing.Ear.class);
        JdbcClient jdbc = shop.bean(JdbcClient.class);
        Ways ways = new Ways(jdbc, new Random(7));
        List<Door> doors = new ApiWords(client.get("/api/openapi.json").body())
                .doors().stream()
                        .filter(door -> door.method().equals("GET"))
                        .filter(door -> door.answer().isPresent())
                        .filter(door -> ABOUT_ALL.stream().noneMatch(door.path()::startsWith))
                        .toList();
        // What the past teaches is read once and kept: it is asked for before anybody listens.
        doors.forEach(door -> client.get(ways.to(door, false)));
        Map<String, TreeSet<String>> scans = new TreeMap<>();
        int looked = 0;
        for (Door door : doors) {
            String way = ways.to(door, true);
            ear.heard();
            client.get(way);
            for (Overhearing.Statement statement : ear.heard()) {
                looked++;
                for (String scanned : scans(jdbc, statement.sql())) {
                    scans.computeIfAbsent(door + " scans " + scanned, at -> new TreeSet<>())
                            .add(statement.sql().strip());
                }
            }
        }
        assertThat(scans)
                .as("tables read from end to end, and by which statement")
                .isEmpty();
        assertThat(looked).as("statements that were looked at").isGreaterThan(120);
    }

    private static List<String> scans(JdbcClient jdbc, String sql) {
        if (!sql.strip().toUpperCase(java.util.Locale.ROOT).matches("(?s)(SELECT|WITH)\\b.*")) {
            return List.of();
        }
        Map<String, String> names = aliases(sql);
        List<String> found = new ArrayList<>();
        for (Map<String, Object> line : jdbc.sql("EXPLAIN QUERY PLAN " + sql.replaceAll(":\\w+", "?"))
                .query()
                .listOfRows()) {
            Matcher scan = SCAN.matcher(line.get("detail").toString());
            if (scan.matches() && growing.contains(names.getOrDefault(scan.group(1), scan.group(1)))) {
                found.add(names.getOrDefault(scan.group(1), scan.group(1)));
            }
        }
        return found;
    }

    /** What a table is called in the statement. */
    private static Map<String, String> aliases(String sql) {
        Map<String, String> names = new TreeMap<>();
        Matcher named = Pattern.compile(
                        "(?i)(?:FROM|JOIN)\\s+(\\w+)\\s+(?:AS\\s+)?(?!ON\\b|WHERE\\b|JOIN\\b|LEFT\\b|GROUP\\b|ORDER\\b|LIMIT\\b)(\\w+)")
                .matcher(sql);
        while (named.find()) {
            names.put(named.group(2), named.group(1));
        }
        return names;
    }
}
