package wrenchnotes.server.ground;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.jdbc.datasource.DataSourceTransactionManager;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * A program that does nothing but write as the shop does, a picture and then its row, and says so; it is killed, a thousand times. What it
 * said was written is there, and no row is without its picture.
 */
public final class KilledWriter {

    private KilledWriter() {}

    /** @param args the folder, the number to begin with */
    public static void main(String[] args) throws Exception {
        Path folder = Path.of(args[0]);
        SingleConnectionDataSource file = new SingleConnectionDataSource(
                new SqliteConnections(
                                "jdbc:sqlite:" + folder.resolve("burst.sqlite")
                                        + "?foreign_keys=on&journal_mode=WAL&synchronous=FULL",
                                "BEGIN IMMEDIATE")
                        .getConnection(),
                true);
        JdbcClient jdbc = JdbcClient.create(file);
        jdbc.sql("CREATE TABLE IF NOT EXISTS burst (n INTEGER PRIMARY KEY, hash TEXT NOT NULL)")
                .update();
        TransactionTemplate writing = new TransactionTemplate(new DataSourceTransactionManager(file));
        Random random = new Random();
        for (int n = Integer.parseInt(args[1]); ; n++) {
            byte[] picture = new byte[20_000];
            random.nextBytes(picture);
            String hash = Sha256.of(picture);
            int number = n;
            writing.executeWithoutResult(status -> {
                try {
                    DataFolder.write(folder.resolve(hash + ".jpg"), picture);
                } catch (IOException e) {
                    throw new IllegalStateException(e);
                }
                jdbc.sql("INSERT INTO burst (n, hash) VALUES (?, ?)")
                        .params(number, hash)
                        .update();
            });
            System.out.println(number + " " + hash);
            System.out.flush();
        }
    }

    /** Kills it so often, and looks after each kill at what it said last, at the end at all. */
    public static void siege(Path folder, int kills) throws IOException, InterruptedException, SQLException {
        Files.createDirectories(folder);
        Random random = new Random(kills);
        List<String> said = new ArrayList<>();
        int next = 1;
        for (int kill = 0; kill < kills; kill++) {
            Path heard = Files.createFile(folder.resolve("heard"));
            Process writer = new ProcessBuilder(
                            Path.of(System.getProperty("java.home"), "bin", "java")
                                    .toString(),
                            "-XX:TieredStopAtLevel=1",
                            "-XX:+UseSerialGC",
                            "-cp",
                            System.getProperty("java.class.path"),
                            KilledWriter.class.getName(),
                            folder.toString(),
                            String.valueOf(next))
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .redirectOutput(heard.toFile())
                    .start();
            while (Files.size(heard) == 0 && writer.isAlive()) {
                TimeUnit.MILLISECONDS.sleep(2);
            }
            TimeUnit.MILLISECONDS.sleep(random.nextInt(60));
            writer.destroyForcibly().waitFor();
            said.addAll(Files.readAllLines(heard));
            Files.delete(heard);
            next = there(folder, said.subList(Math.max(0, said.size() - 200), said.size())) + 1;
        }
        there(folder, said);
        System.out.printf(
                "%d kills of a writer: %d rows with their pictures acknowledged, none lost%n", kills, said.size());
    }

    /** @return the last number that is there */
    private static int there(Path folder, List<String> said) throws IOException, SQLException {
        SingleConnectionDataSource file =
                new SingleConnectionDataSource("jdbc:sqlite:" + folder.resolve("burst.sqlite"), true);
        try {
            JdbcClient jdbc = JdbcClient.create(file);
            for (String line : said) {
                // The last line may have been cut off: it was not said.
                String[] words = line.split(" ");
                if (words.length < 2 || words[1].length() < 64) {
                    continue;
                }
                String hash = jdbc.sql("SELECT hash FROM burst WHERE n = ?")
                        .param(Integer.parseInt(words[0]))
                        .query(String.class)
                        .optional()
                        .orElse("");
                if (!hash.equals(words[1])
                        || !Sha256.of(Files.readAllBytes(folder.resolve(hash + ".jpg")))
                                .equals(hash)) {
                    throw new IllegalStateException("Lost: " + line);
                }
            }
            String sound = jdbc.sql("PRAGMA quick_check").query(String.class).single();
            if (!sound.equals("ok")) {
                throw new IllegalStateException(sound);
            }
            return jdbc.sql("SELECT MAX(n) FROM burst").query(Integer.class).single();
        } finally {
            file.destroy();
        }
    }
}
