package wrenchnotes.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.util.FileSystemUtils;
import wrenchnotes.core.keeping.KeptBackups;
import wrenchnotes.server.ground.CopyOfDatabase;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.keeping.BackupManifest.FileSum;

/**
 * Backups of a shop that may be running: {@code FOLDER/<time>/} with the database, the key and a manifest, beside one
 * {@code FOLDER/photos/} in which each picture lies once for all of them. A backup gets its name when all of it is on the disk and
 * was looked at; until then it has another.
 */
final class Backup {

    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("uuuu-MM-dd'T'HHmmss'Z'", Locale.ROOT).withZone(ZoneOffset.UTC);
    private static final String COMING = ".coming-";

    private Backup() {}

    /** Hears how far it is. */
    interface Progress {
        Progress SILENT = (done, of) -> {};

        /** @param of pictures, 0 while the database is copied */
        void pictures(int done, int of);
    }

    /** One that is there. */
    record Made(Path folder, Instant at, BackupManifest manifest) {}

    /**
     * @param shop its data folder
     * @param into where backups go; made if it is not there
     * @throws BackupFailed with a sentence; nothing of that name is then there
     */
    static Made make(Path shop, Path into, Instant at, Progress progress) {
        Path coming = into.resolve(COMING + ProcessHandle.current().pid());
        try {
            Path database = shop.resolve(DataFolder.DATABASE);
            if (!Files.exists(database)) {
                throw new BackupFailed("There is no shop in " + shop.toAbsolutePath()
                        + ": say where it is by --wrenchnotes.data=DIR.");
            }
            own(Files.createDirectories(into));
            FileSystemUtils.deleteRecursively(coming);
            own(Files.createDirectory(coming));
            Path copy = coming.resolve(DataFolder.DATABASE);
            CopyOfDatabase.make(database, copy);
            CopyOfDatabase.Named named = CopyOfDatabase.named(copy);
            mirror(shop.resolve(DataFolder.PHOTOS), into.resolve(DataFolder.PHOTOS), named.photos(), progress);
            DataFolder.write(coming.resolve(DataFolder.KEY), Files.readAllBytes(shop.resolve(DataFolder.KEY)));
            BackupManifest manifest = new BackupManifest(
                    1,
                    BackupManifest.FORMAT,
                    at.toString(),
                    named.version(),
                    FileSum.of(copy),
                    FileSum.of(coming.resolve(DataFolder.KEY)),
                    named.photos());
            manifest.write(coming);
            Path place = free(into, at);
            Files.move(coming, place, StandardCopyOption.ATOMIC_MOVE);
            DataFolder.force(into);
            return new Made(place, at, manifest);
        } catch (IOException | CopyOfDatabase.Failed e) {
            throw new BackupFailed("No backup was made in " + into.toAbsolutePath() + ": " + why(e), e);
        } finally {
            try {
                FileSystemUtils.deleteRecursively(coming);
            } catch (IOException e) {
                // Named as what it is; the next one by this process takes its place.
            }
        }
    }

    static String why(Exception e) {
        return e instanceof java.nio.file.NoSuchFileException missing
                ? missing.getFile() + " is missing."
                : String.valueOf(e.getMessage());
    }

    /** Two within a second have names of their own. */
    private static Path free(Path into, Instant at) {
        Instant second = at.truncatedTo(ChronoUnit.SECONDS);
        while (Files.exists(into.resolve(NAME.format(second)))) {
            second = second.plusSeconds(1);
        }
        return into.resolve(NAME.format(second));
    }

    private static void own(Path folder) throws IOException {
        try {
            Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwx------"));
        } catch (UnsupportedOperationException e) {
            // A file system without owners.
        }
    }

    /** Copies those that are not there yet, each looked at; a file of the right name and length is there. */
    static void mirror(Path from, Path to, List<String> hashes, Progress progress) throws IOException {
        for (int n = 0; n < hashes.size(); n++) {
            progress.pictures(n, hashes.size());
            Path picture = photo(from, hashes.get(n));
            Path copy = photo(to, hashes.get(n));
            if (Files.exists(copy) && Files.size(copy) == Files.size(picture)) {
                continue;
            }
            own(Files.createDirectories(copy.getParent()));
            DataFolder.write(copy, Files.readAllBytes(picture));
            if (!BackupManifest.sha256(copy).equals(hashes.get(n))) {
                Files.delete(copy);
                throw new IOException("the picture " + picture + " is damaged.");
            }
        }
        progress.pictures(hashes.size(), hashes.size());
    }

    static Path photo(Path folder, String hash) {
        return folder.resolve(hash.substring(0, 2)).resolve(hash + ".jpg");
    }

    /** Those that are there, oldest first; what has another name is none. */
    static List<Made> all(Path into) throws IOException {
        if (!Files.isDirectory(into)) {
            return List.of();
        }
        try (Stream<Path> folders = Files.list(into)) {
            return folders.sorted().flatMap(folder -> made(folder).stream()).toList();
        }
    }

    private static Optional<Made> made(Path folder) {
        try {
            Instant at = NAME.parse(folder.getFileName().toString(), Instant::from);
            return Optional.of(new Made(folder, at, BackupManifest.read(folder)));
        } catch (DateTimeParseException | IOException e) {
            return Optional.empty();
        }
    }

    /** Takes away what {@link KeptBackups} does not keep; the pictures stay. */
    static void tidy(Path into) throws IOException {
        List<Made> all = all(into);
        List<Instant> kept = KeptBackups.of(all.stream().map(Made::at).toList(), java.time.ZoneId.systemDefault());
        for (Made one : all) {
            if (!kept.contains(one.at())) {
                FileSystemUtils.deleteRecursively(one.folder());
            }
        }
    }
}
