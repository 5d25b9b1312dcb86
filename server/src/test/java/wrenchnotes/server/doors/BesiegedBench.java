package wrenchnotes.server.doors;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.Callable;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import wrenchnotes.server.Client;
import wrenchnotes.server.PackagedShop;
import wrenchnotes.server.SmallShop;

/** Benches that go on pressing while others do their worst, and many of them at once. */
final class BesiegedBench {

    private static final int SLOW = 200;
    private static final int LARGE = 24;
    private static final int BENCHES = 50;

    private BesiegedBench() {}

    /** A bench goes on pressing while two hundred drip a byte a second into the sign-in and large bodies come in. */
    static void besideSlowSenders(Path data) throws Exception {
        try (PackagedShop shop = PackagedShop.startDemo(data)) {
            Client bench = new Client(shop.url()).signedIn("ines", "quay");
            long job = onBench(bench, 1).get(0);
            System.out.println("guesses answered in a minute: " + guesses(shop));
            AtomicBoolean over = new AtomicBoolean();
            ExecutorService hands = Executors.newCachedThreadPool();
            URI at = URI.create(shop.url());
            for (int n = 0; n < SLOW; n++) {
                hands.submit(() -> drip(at, over));
            }
            byte[] large = noise();
            Map<Integer, Integer> taken = new ConcurrentSkipListMap<>();
            for (int n = 0; n < LARGE; n++) {
                hands.submit(() -> {
                    while (!over.get()) {
                        taken.merge(bench.postBytes("/api/photos", large).status(), 1, Integer::sum);
                    }
                    return null;
                });
            }
            Future<Integer> backup =
                    hands.submit(() -> bench.post("/api/keeping/backups", "").status());
            Future<Integer> imported = hands.submit(
                    () -> bench.postBytes("/api/brought?name=past", pastJobs()).status());
            long[] times = presses(bench, job, Duration.ofSeconds(60), 100);
            over.set(true);
            hands.shutdownNow();
            System.out.printf(
                    "a bench beside %d slow senders, %d bodies of %d MB at a time (answers %s), an import (%d) and a backup (%d): %s, aim 300 ms%n",
                    SLOW, LARGE, large.length / 1_000_000, taken, imported.get(), backup.get(), told(times));
        }
    }

    /** A picture that cannot be packed, of the size that was once sent. */
    private static byte[] noise() throws IOException {
        BufferedImage image = new BufferedImage(2_800, 2_300, BufferedImage.TYPE_INT_RGB);
        Random random = new Random(1);
        for (int x = 0; x < image.getWidth(); x++) {
            for (int y = 0; y < image.getHeight(); y++) {
                image.setRGB(x, y, random.nextInt());
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(image, "png", png);
        return png.toByteArray();
    }

    private static int guesses(PackagedShop shop) {
        Client stranger = new Client(shop.url());
        long end = System.nanoTime() + TimeUnit.SECONDS.toNanos(60);
        int looked = 0;
        for (int n = 0; System.nanoTime() < end; n++) {
            looked += stranger.post("/api/session", Map.of("name", "wren" + n % 7, "password", "guess " + n))
                                    .status()
                            == 401
                    ? 1
                    : 0;
        }
        return looked;
    }

    private static Void drip(URI at, AtomicBoolean over) throws InterruptedException {
        while (!over.get()) {
            try (Socket socket = new Socket(at.getHost(), at.getPort())) {
                OutputStream out = socket.getOutputStream();
                out.write(("POST /api/session HTTP/1.1\r\nHost: localhost:" + at.getPort()
                                + "\r\nContent-Type: application/json\r\nContent-Length: 60000\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
                while (!over.get()) {
                    out.write('{');
                    out.flush();
                    Thread.sleep(1_000);
                }
            } catch (IOException hungUp) {
                // It comes again at once.
                Thread.sleep(20);
            }
        }
        return null;
    }

    private static byte[] pastJobs() {
        StringBuilder table = new StringBuilder("Model,Fault,Date in,Date out\n");
        for (int n = 0; n < 50_000; n++) {
            table.append("Past ").append(n % 40).append(",belt slack,2020-01-02,2020-01-05\n");
        }
        return table.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** Each press is a step out and back again; a refused one is a lost one. */
    private static long[] presses(Client bench, long job, Duration lasts, long pauseMillis)
            throws InterruptedException {
        List<Long> times = new ArrayList<>();
        long end = System.nanoTime() + lasts.toNanos();
        for (int press = 0; System.nanoTime() < end; press++) {
            times.add(press(bench, job, press));
            Thread.sleep(pauseMillis);
        }
        return times.stream().mapToLong(Long::longValue).toArray();
    }

    private static long press(Client bench, long job, int press) {
        var now = bench.get("/api/jobs/" + job + "/bench").body();
        Map<String, String> seen = Map.of("If-Match", "\"" + now.get("version").asLong() + "\"");
        long start = System.nanoTime();
        Client.Answer answer = press % 2 == 0
                ? bench.post(
                        "/api/jobs/" + job + "/bench/steps/"
                                + now.get("way").get("nextIn").asString() + "/in",
                        Map.of("found", List.of()),
                        seen)
                : bench.post("/api/jobs/" + job + "/bench/back", "", seen);
        long took = System.nanoTime() - start;
        if (answer.status() >= 300) {
            throw new IllegalStateException("A press was lost: " + answer.status() + " " + answer.body());
        }
        return took;
    }

    /** So many units on as many benches, with a step to do. */
    private static List<Long> onBench(Client lead, int units) {
        SmallShop shop = new SmallShop(lead);
        return IntStream.range(0, units)
                .mapToObj(n -> {
                    long job = shop.takenIn();
                    Client.Answer begun = shop.start(job);
                    if (begun.status() != 200) {
                        throw new IllegalStateException("Not begun: " + begun.body());
                    }
                    return job;
                })
                .toList();
    }

    static void fiftyAtOnce(Path data, Duration lasts) throws Exception {
        try (PackagedShop shop = PackagedShop.startDemo(data)) {
            Client lead = new Client(shop.url()).signedIn("ines", "quay");
            List<Long> jobs = onBench(lead, BENCHES);
            ConcurrentLinkedQueue<Long> times = new ConcurrentLinkedQueue<>();
            ExecutorService benches = Executors.newFixedThreadPool(BENCHES);
            // In one after the other: what comes of many at once is TrustOverHttpTest's.
            List<Client> signedIn = IntStream.range(0, BENCHES)
                    .mapToObj(n -> new Client(shop.url()).signedIn("ines", "quay"))
                    .toList();
            List<Callable<Void>> work = IntStream.range(0, BENCHES)
                    .mapToObj(n -> (Callable<Void>) () -> {
                        Client bench = signedIn.get(n);
                        Thread.sleep(60L * n);
                        for (long one : presses(bench, jobs.get(n), lasts, 3_000)) {
                            times.add(one);
                        }
                        return null;
                    })
                    .toList();
            long lost = 0;
            for (var one : benches.invokeAll(work)) {
                try {
                    one.get();
                } catch (ExecutionException e) {
                    lost++;
                    System.out.println(e.getCause().getMessage());
                }
            }
            benches.shutdown();
            System.out.printf(
                    "%d benches, a press every three seconds, %d minutes: %s, aim 100 ms; benches that lost a press %d; memory %d MB, aim 600%n",
                    BENCHES,
                    lasts.toMinutes(),
                    told(times.stream().mapToLong(Long::longValue).toArray()),
                    lost,
                    shop.memoryKilobytes() / 1024);
        }
    }

    private static String told(long[] nanos) {
        long[] sorted = Arrays.stream(nanos).sorted().toArray();
        return "%d presses, p50 %.0f ms, p95 %.0f ms, worst %.0f ms"
                .formatted(
                        sorted.length,
                        sorted[sorted.length / 2] / 1e6,
                        sorted[(int) (sorted.length * 0.95)] / 1e6,
                        sorted[sorted.length - 1] / 1e6);
    }
}
