package wrenchnotes.server.doors;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.doors.ApiWords.Door;
import wrenchnotes.server.figures.Overhearing;

/**
 * What each screen asks of the database, as SQLite would go about it ({@code EXPLAIN QUERY PLAN}): nothing that is asked of one job
 * reads a table that grows with all of them from end to end.
 */
class QueryPlansTest {

    @RegisterExtension
    static final RunningShop SHOP = RunningShop.with(Overhearing.class).set("wrenchnotes.demo=true");

    /** Tables that grow with every job. */
    private static final List<String> GROWING = List.of(
            "job",
            "unit",
            "journal",
            "step_entry",
            "ledger_entry",
            "run",
            "hold",
            "finding",
            "finding_symptom",
            "check_entry",
            "outcome_entry",
            "job_symptom",
            "job_mark",
            "belonging",
            "closing",
            "component_look",
            "crossed_tries",
            "overruling",
            "measurement",
            "reading",
            "triage",
            "sale");

    /** Doors whose question is about all jobs: they read what they count. */
    private static final List<String> ABOUT_ALL = List.of("/api/patterns", "/api/find", "/api/lots", "/api/calendar");

    private static final Pattern SCAN = Pattern.compile("^SCAN (\\w+)(?! USING (COVERING )?INDEX)\\b.*");

    @Test
    void noScreenOfOneJobReadsAllJobs() {
        Client client = SHOP.client().signedIn("ines", "quay");
        Overhearing.Ear ear = SHOP.bean(Overhearing.Ear.class);
        JdbcClient jdbc = SHOP.bean(JdbcClient.class);
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
            if (scan.matches() && GROWING.contains(names.getOrDefault(scan.group(1), scan.group(1)))) {
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
