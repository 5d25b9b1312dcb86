package wrenchnotes.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wrenchnotes.server.ground.DataFolder;

/** The packaged program at a console: what cannot be is said in one sentence, and docs/running.md is true command by command. */
class ConsoleIT {

    private record Said(int exit, String text) {}

    @TempDir
    Path work;

    private Path golden(String name) throws Exception {
        Path folder = work.resolve(name);
        RunningShop.goldenIn(folder);
        return folder;
    }

    private Said java(String... arguments) throws Exception {
        List<String> command = PackagedShop.program(PackagedShop.QUICKLY);
        command.addAll(List.of(arguments));
        return run(new ProcessBuilder(command));
    }

    private Said run(ProcessBuilder builder) throws Exception {
        Path out = work.resolve("said.txt");
        Process process = builder.directory(work.toFile())
                .redirectErrorStream(true)
                .redirectOutput(out.toFile())
                .start();
        assertThat(process.waitFor(2, TimeUnit.MINUTES)).isTrue();
        String said =
                Files.readString(out, StandardCharsets.UTF_8).replaceFirst("NOTE: Picked up JDK_JAVA_OPTIONS.*\n", "");
        return new Said(process.exitValue(), said.strip());
    }

    private static void assertOneSentence(Said said, String words) {
        assertThat(said.exit()).as(said.text()).isEqualTo(1);
        assertThat(said.text()).contains(words).doesNotContain("Exception").doesNotContain("\tat ");
        assertThat(said.text()
                        .lines()
                        .filter(line -> !line.contains(" INFO ") && !line.contains(" WARN "))
                        .toList())
                .as("one sentence, no trace")
                .hasSize(1);
    }

    @Test
    void whatCannotBeIsOneSentence() throws Exception {
        Path open = golden("open");
        try (PackagedShop running = PackagedShop.start(open)) {
            assertOneSentence(java("--wrenchnotes.data=" + open, "--server.port=0"), "is open already");
            Path other = golden("other");
            int port = Integer.parseInt(running.url().replaceAll(".*:", ""));
            assertOneSentence(
                    java("--wrenchnotes.data=" + other, "--server.port=" + port), "Port " + port + " is taken");
        }
        Path lost = golden("lost");
        Files.delete(lost.resolve(DataFolder.DATABASE));
        assertOneSentence(java("--wrenchnotes.data=" + lost, "--server.port=0"), "is not opened as a new shop");
        Path broken = Files.createDirectory(work.resolve("broken"));
        Files.writeString(broken.resolve(DataFolder.DATABASE), "no database ".repeat(1000));
        assertOneSentence(java("--wrenchnotes.data=" + broken, "--server.port=0"), "is damaged or is no database");
        Path file = Files.writeString(work.resolve("file"), "a file");
        assertOneSentence(java("--wrenchnotes.data=" + file, "--server.port=0"), "is a file");
        assertOneSentence(java("backup", "somewhere", "--wrenchnotes.data=nowhere"), "There is no shop in");
        assertOneSentence(java("restore", "nowhere", "--wrenchnotes.data=fresh"), "is no backup");
    }

    /** The commands of docs/running.md, as they stand there. */
    private List<String> manual() throws IOException {
        List<String> commands = new ArrayList<>();
        Matcher block = Pattern.compile("```\\n(java -jar wrench-notes\\.jar [^`]*)```")
                .matcher(Files.readString(Path.of("../docs/running.md")));
        while (block.find()) {
            block.group(1).lines().forEach(commands::add);
        }
        assertThat(commands).hasSize(7);
        Files.createSymbolicLink(work.resolve("wrench-notes.jar"), PackagedShop.JAR);
        return commands;
    }

    /** The blocks of docs/running.md that back up and restore, as they stand there, run by a shell. */
    @Test
    void theManualIsTrueCommandByCommand() throws Exception {
        Path shop = golden("shop");
        List<String> commands = manual();
        try (PackagedShop running = PackagedShop.start(shop)) {
            Client client = new Client(running.url()).signedIn("lead", "first lead");
            client.post("/api/lots", java.util.Map.of("source", "just before the backup"));
            Said backedUp = run(shell(commands.get(0) + " --wrenchnotes.data=shop"));
            assertThat(backedUp.text()).contains("Backed up to").contains("1 pictures");
        }
        String time;
        try (var made = Files.list(work.resolve("DIR"))) {
            time = made.map(path -> path.getFileName().toString())
                    .filter(name -> !name.equals(DataFolder.PHOTOS))
                    .findFirst()
                    .orElseThrow();
        }
        Said restored = run(shell(commands.get(1).replace("<time>", time)));
        assertThat(restored.exit()).as(restored.text()).isZero();
        assertOneSentence(run(shell(commands.get(1).replace("<time>", time))), "is not empty");
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        Process again = shell("exec " + commands.get(2) + " --server.port=" + port)
                .directory(work.toFile())
                .redirectErrorStream(true)
                .redirectOutput(work.resolve("again.log").toFile())
                .start();
        try {
            PackagedShop.awaitFirstAnswer("http://localhost:" + port, again);
            Client client = new Client("http://localhost:" + port).signedIn("lead", "first lead");
            assertThat(client.get("/api/lots").body().toString()).contains("just before the backup");
            String photo = client.get("/api/revisions/1/teardown")
                    .body()
                    .get("steps")
                    .get(0)
                    .get("photos")
                    .get(0)
                    .get("hash")
                    .asString();
            assertThat(client.bytes("/api/photos/" + photo)).isNotEmpty();
        } finally {
            again.destroy();
            again.onExit().join();
        }
    }

    private static ProcessBuilder shell(String command) {
        ProcessBuilder shell = new ProcessBuilder("bash", "-c", command);
        String bin = Path.of(System.getProperty("java.home"), "bin").toString();
        shell.environment().merge("PATH", bin, (path, java) -> java + ":" + path);
        shell.environment().put("JDK_JAVA_OPTIONS", String.join(" ", PackagedShop.QUICKLY));
        return shell;
    }

    /** The whole shop goes out and comes in by two commands, and a lead without a password is put back by a third. */
    @Test
    void theWholeShopMovesAndALeadComesBack() throws Exception {
        List<String> commands = manual();
        golden("DIR");
        Said out = run(shell(commands.get(4)));
        assertThat(out.exit()).as(out.text()).isZero();
        assertThat(work.resolve("FILE.zip")).exists();
        Said in = run(shell(commands.get(5)));
        assertThat(in.exit()).as(in.text()).isZero();
        assertThat(in.text()).contains("rows into", "--reset-lead=NAME");
        assertThat(run(shell(commands.get(5))).text()).contains("not empty");
        assertThat(commands.get(6)).endsWith(" --reset-lead=NAME");
        Path moved = work.resolve("EMPTY");
        assertOneSentence(
                java(
                        "--wrenchnotes.data=" + moved,
                        "--server.port=0",
                        "--wrenchnotes.figures.port=0",
                        "--reset-lead=nobody"),
                "Nobody in this shop is called nobody");
        assertOneSentence(java("export"), "Say which file");
        try (PackagedShop shop = PackagedShop.start(moved, "--reset-lead=lead")) {
            Client stranger = new Client(shop.url());
            assertThat(stranger.post("/api/session", Client.body("name", "lead", "password", "first lead"))
                            .status())
                    .as("passwords are in no archive")
                    .isEqualTo(401);
            Matcher printed = Pattern.compile("chosen: (\\S+)").matcher(PackagedShop.log(moved));
            assertThat(printed.find()).as(PackagedShop.log(moved)).isTrue();
            Client lead = new Client(shop.url()).signedIn("lead", printed.group(1));
            assertThat(lead.get("/api/rack").status()).isEqualTo(200);
            assertThat(lead.get("/api/journal?kind=person").body().toString())
                    .contains("is made a lead where the program runs");
        }
    }
}
