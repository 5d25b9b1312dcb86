package wrenchnotes.server;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Locale;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;

/** A shop as it stands when it has just been made: made once for a build and a day, then copied, since making it takes long. */
enum MadeOnce {
    /** The demo. */
    DEMO,
    /** Nobody is in it yet. */
    EMPTY,
    /** The small shop that the eighth version left, brought up to date. */
    GOLDEN;

    private final Path all = Path.of("target", "made", name().toLowerCase(Locale.ROOT));

    interface Maker {
        /** Starts the application on an empty folder, and ends it. */
        void make(Path folder) throws IOException, InterruptedException;
    }

    /** Tests run at the same time, and in several processes: one makes it, the others wait. */
    synchronized void into(Path data, Maker maker) throws IOException, InterruptedException {
        Files.createDirectories(all);
        Path made = all.resolve(key());
        try (FileChannel channel =
                FileChannel.open(all.resolve("lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
            FileLock lock = channel.lock();
            if (!Files.exists(made)) {
                // Of what was compiled before nobody has any use.
                try (Stream<Path> older = Files.list(all)) {
                    older.filter(Files::isDirectory).forEach(MadeOnce::delete);
                }
                Path making = all.resolve("making");
                Files.createDirectories(making);
                maker.make(making);
                Files.move(making, made);
            }
            lock.release();
        }
        FileSystemUtils.copyRecursively(made, data);
    }

    private static void delete(Path folder) {
        try {
            FileSystemUtils.deleteRecursively(folder);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Of today, of what is compiled now, and of the golden shops as they are now. */
    private static String key() {
        long newest = Stream.of(
                        Path.of("target", "classes"),
                        Path.of("..", "core", "target", "classes"),
                        Path.of("src", "test", "resources", "golden"))
                .flatMap(MadeOnce::files)
                .mapToLong(file -> file.toFile().lastModified())
                .max()
                .orElse(0);
        return LocalDate.now(ZoneId.systemDefault()) + "-" + Long.toHexString(newest);
    }

    private static Stream<Path> files(Path folder) {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(Files::isRegularFile).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
