package wrenchnotes.server.figures;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Map;
import wrenchnotes.server.Client;
import wrenchnotes.server.RunningShop;

/** How long ten thousand past jobs take to be read, looked through and taken in, and how long somebody else waits who writes meanwhile. */
final class PastJobs {

    private static final int ROWS = 10_000;

    private PastJobs() {}

    static void measure(Path folder) throws InterruptedException {
        try (RunningShop shop = RunningShop.in(folder)) {
            Client lead = shop.client().asFirstLead();
            long begun = System.nanoTime();
            long list = lead.postBytes("/api/brought?name=years.csv", list().getBytes(StandardCharsets.UTF_8))
                    .id();
            long read = System.nanoTime();
            long good = lead.get("/api/brought/" + list + "/rows")
                    .body()
                    .get("good")
                    .asLong();
            long looked = System.nanoTime();
            lead.post("/api/brought/" + list + "/start", "");
            long started = System.nanoTime();
            long longest = 0;
            int writes = 0;
            while (lead.get("/api/brought/" + list)
                    .body()
                    .get("state")
                    .asString()
                    .equals("GOING")) {
                long asked = System.nanoTime();
                lead.post("/api/models", Map.of("maker", "Gannet", "name", "No " + writes++, "kind", "OTHER"));
                longest = Math.max(longest, System.nanoTime() - asked);
                Thread.sleep(5);
            }
            long done = System.nanoTime();
            System.out.printf(
                    "%,d past jobs (%,d good): read in %,d ms, looked through in %,d, names made in %,d, taken in %,d ms; "
                            + "%,d writes of somebody else meanwhile, the longest %,d ms%n",
                    ROWS,
                    good,
                    millis(begun, read),
                    millis(read, looked),
                    millis(looked, started),
                    millis(started, done),
                    writes,
                    longest / 1_000_000);
        }
    }

    /** Forty models with sixty faults each. */
    private static String list() {
        StringBuilder csv = new StringBuilder("Date,Owner,Model,Symptom,Fault,Remedy,Part,Cost,Outcome\n");
        for (int n = 0; n < ROWS; n++) {
            csv.append("20%02d-%02d-%02d,Owner %d,Ormeva M%d,symptom %d,part %d worn,replaced,spare %d,%d.50,fixed%n"
                    .formatted(
                            10 + n % 15, 1 + n % 12, 1 + n % 28, n % 900, n % 40, n % 70, n * 7 % 60, n % 60, n % 40));
        }
        return csv.toString();
    }

    private static long millis(long from, long to) {
        return (to - from) / 1_000_000;
    }
}
