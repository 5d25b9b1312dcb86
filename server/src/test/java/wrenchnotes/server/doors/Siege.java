package wrenchnotes.server.doors;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.springframework.jdbc.core.simple.JdbcClient;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;
import wrenchnotes.server.doors.ApiWords.Door;
import wrenchnotes.server.ground.KilledWriter;

/**
 * {@code make siege}: what a test in CI cannot afford, on this machine only. Every operation knocked at a hundred thousand times; a bench
 * beside two hundred slow senders, large bodies, an import and a backup; guesses; a writer killed a thousand times; fifty benches for ten
 * minutes. {@code PART=fuzz}, {@code slow}, {@code kills} or {@code benches} runs one of them; {@code REQUESTS} and {@code MINUTES} make it shorter.
 */
public final class Siege {

    private static final int REQUESTS = Integer.getInteger("siege.requests", 100_000);
    private static final int MINUTES = Integer.getInteger("siege.minutes", 10);
    private static final int KILLS = Integer.getInteger("siege.kills", 1_000);

    private Siege() {}

    public static void main(String[] args) throws Exception {
        String part = System.getProperty("siege.part", "");
        Path folder = Files.createTempDirectory("siege");
        if (part.isEmpty() || part.equals("fuzz")) {
            fuzz(folder.resolve("fuzz"));
        }
        if (part.isEmpty() || part.equals("slow")) {
            BesiegedBench.besideSlowSenders(folder.resolve("slow"));
        }
        if (part.isEmpty() || part.equals("kills")) {
            KilledWriter.siege(folder.resolve("kills"), KILLS);
        }
        if (part.isEmpty() || part.equals("benches")) {
            BesiegedBench.fiftyAtOnce(folder.resolve("benches"), Duration.ofMinutes(MINUTES));
        }
        System.exit(0);
    }

    /** Whatever is sent, no answer is a fault of ours, and what was refused wrote nothing. */
    private static void fuzz(Path data) throws Exception {
        RunningShop.demoIn(data);
        try (RunningShop shop = RunningShop.in(data, "wrenchnotes.demo=true")) {
            Client client = shop.client().signedIn("ines", "quay");
            ApiWords words = new ApiWords(client.get("/api/openapi.json").body());
            JdbcClient jdbc = shop.bean(JdbcClient.class);
            Random random = new Random(REQUESTS);
            Ways ways = new Ways(jdbc, random);
            Bodies bodies = new Bodies(words, random);
            List<Door> doors = words.doors().stream()
                    .filter(door -> !EveryDoorTest.LEFT_ALONE.contains(door.toString()))
                    // A whole shop would be made beside this one at every knock.
                    .filter(door -> !door.path().equals("/api/practice"))
                    .filter(door ->
                            !door.path().contains("export") && !door.path().endsWith(".zip"))
                    .toList();
            Map<Integer, Integer> statuses = new TreeMap<>();
            List<String> faults = new ArrayList<>();
            int halves = 0;
            for (int n = 0; n < REQUESTS; n++) {
                Door door = doors.get(n % doors.size());
                String path = ways.to(door, n % 3 == 0);
                long before = written(jdbc);
                int status = door.method().equals("GET")
                        ? client.status(path)
                        : client.send(door.method(), path, seen(door, random), body(door, bodies, n))
                                .status();
                statuses.merge(status, 1, Integer::sum);
                if (status >= 500 && status != 502) {
                    faults.add(status + " " + door.method() + " " + path);
                }
                halves += status >= 400 && written(jdbc) != before ? 1 : 0;
            }
            System.out.printf(
                    "%d requests over %d operations: %s; faults of ours %d %s; refused and yet written %d%n",
                    REQUESTS,
                    doors.size(),
                    statuses,
                    faults.size(),
                    faults.stream().limit(5).toList(),
                    halves);
            System.out.println("integrity: "
                    + jdbc.sql("PRAGMA integrity_check").query(String.class).list() + ", orphans "
                    + jdbc.sql("PRAGMA foreign_key_check").query().listOfRows().size());
        }
    }

    private static Object body(Door door, Bodies bodies, int n) {
        return door.body()
                .map(schema -> (Object) (n % 2 == 0 ? bodies.fitting(schema) : bodies.spoilt(schema)))
                .orElse("");
    }

    private static Map<String, String> seen(Door door, Random random) {
        return door.has("If-Match") ? Map.of("If-Match", "\"" + random.nextInt(4) + "\"") : Map.of();
    }

    private static long written(JdbcClient jdbc) {
        return jdbc.sql("SELECT COUNT(*) FROM journal").query(Long.class).single();
    }
}
