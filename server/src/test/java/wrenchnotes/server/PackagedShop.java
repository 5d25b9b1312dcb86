package wrenchnotes.server;

import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** The packaged application in a process of its own, as a shop runs it; it can be killed. */
public final class PackagedShop implements AutoCloseable {

    static final Path JAR = Path.of("target/wrench-notes.jar").toAbsolutePath();
    private static final Path ARCHIVE = Path.of("target/wrench-notes.jsa").toAbsolutePath();
    private static final Duration PATIENCE = Duration.ofMinutes(3);

    private static final String DEMO = "--wrenchnotes.demo=true";
    private static final String READY_MADE = "-XX:SharedArchiveFile=" + ARCHIVE;
    /** A test is over before it would pay to compile well: half of what a start costs otherwise. */
    static final List<String> QUICKLY = List.of(READY_MADE, "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xms256m");

    private final Process process;
    private final String url;

    private PackagedShop(Process process, String url) {
        this.process = process;
        this.url = url;
    }

    /** Starts it and waits for its first answer. */
    public static PackagedShop start(Path data, String... options) throws IOException, InterruptedException {
        return start(QUICKLY, data, options);
    }

    /** The demo shop, just made. */
    public static PackagedShop startDemo(Path data) throws IOException, InterruptedException {
        MadeOnce.DEMO.into(data, making -> start(making, DEMO).close());
        return start(data, DEMO);
    }

    /** As {@code make run} starts it: with its classes ready made. */
    public static PackagedShop startWithArchive(Path data) throws IOException, InterruptedException {
        return start(List.of(READY_MADE), data);
    }

    /** As somebody starts it who has nothing but the file. */
    public static PackagedShop startPlain(Path data) throws IOException, InterruptedException {
        return start(List.of(), data);
    }

    private static PackagedShop start(List<String> jvm, Path data, String... options)
            throws IOException, InterruptedException {
        int port = freePort();
        List<String> command = program(jvm);
        command.addAll(List.of("--wrenchnotes.data=" + data, "--server.port=" + port));
        command.addAll(List.of("--wrenchnotes.first-code=" + Client.CODE, "--wrenchnotes.figures.port=0"));
        if (List.of(options).stream().noneMatch(option -> option.contains("backups"))) {
            command.add("--wrenchnotes.backups.nightly=false");
        }
        command.addAll(List.of(options));
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.appendTo(logOf(data).toFile()))
                .start();
        PackagedShop shop = new PackagedShop(process, "http://localhost:" + port);
        awaitFirstAnswer(shop.url, process);
        return shop;
    }

    /** How it is called, up to what it is told. */
    static List<String> program(List<String> jvm) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(jvm);
        command.addAll(List.of("-jar", JAR.toString()));
        return command;
    }

    /** Not in the data folder: a log of ours is nothing that a shop has. */
    private static Path logOf(Path data) {
        return Path.of(
                System.getProperty("java.io.tmpdir"),
                "wrench-notes-" + Integer.toHexString(data.toAbsolutePath().hashCode()) + ".log");
    }

    /** What the program on this folder said so far. */
    static String log(Path data) throws IOException {
        return Files.readString(logOf(data));
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    /** @throws IllegalStateException if it ends without one, or is too slow */
    static void awaitFirstAnswer(String url, Process process) throws InterruptedException {
        HttpClient http = HttpClient.newHttpClient();
        HttpRequest ask =
                HttpRequest.newBuilder(URI.create(url + "/actuator/health")).build();
        long giveUp = System.nanoTime() + PATIENCE.toNanos();
        while (System.nanoTime() < giveUp && process.isAlive()) {
            try {
                if (http.send(ask, HttpResponse.BodyHandlers.discarding()).statusCode() == 200) {
                    return;
                }
            } catch (IOException notYet) {
                // It is still starting.
            }
            Thread.sleep(50);
        }
        throw new IllegalStateException("The application did not start: see its log in the folder for temporary files");
    }

    /** What it holds of the machine's memory now: its resident set. */
    public long memoryKilobytes() throws IOException {
        return Files.readAllLines(Path.of("/proc", String.valueOf(process.pid()), "status")).stream()
                .filter(line -> line.startsWith("VmRSS:"))
                .mapToLong(line -> Long.parseLong(line.replaceAll("\\D", "")))
                .findFirst()
                .orElse(0);
    }

    public String url() {
        return url;
    }

    /** As a power cut would: no chance to tidy up. */
    void kill() {
        process.destroyForcibly().onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
