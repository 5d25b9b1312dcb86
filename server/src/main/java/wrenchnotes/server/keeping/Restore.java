package wrenchnotes.server.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import wrenchnotes.server.ground.CannotStart;
import wrenchnotes.server.ground.CopyOfDatabase;
import wrenchnotes.server.ground.DataFolder;

/** Puts a backup into an empty folder. Everything is looked at before it is believed, and the database comes last: a folder in
 * which a restoring was cut off has none, and is not opened as a new shop. */
final class Restore {

    private Restore() {}

    /**
     * @param backup {@code FOLDER/<time>}
     * @param shop an empty folder, or one that is not there yet
     * @throws BackupFailed with a sentence, if the folder holds anything or if the backup is not whole
     */
    static BackupManifest into(Path shop, Path backup) {
        try {
            refuseUnlessEmpty(shop);
            if (!Files.exists(backup.resolve(BackupManifest.FILE))) {
                throw new BackupFailed(
                        backup.toAbsolutePath()
                                + " is no backup: name the folder with manifest.json in it, such as backups/2026-03-06T023000Z.");
            }
            BackupManifest manifest = BackupManifest.read(backup);
            refuseUnlessWhole(backup, manifest);
            Files.createDirectories(shop);
            Path photos = backup.toAbsolutePath().getParent().resolve(DataFolder.PHOTOS);
            Backup.mirror(photos, shop.resolve(DataFolder.PHOTOS), manifest.photos(), Backup.Progress.SILENT);
            copy(backup, shop, manifest.key().file());
            copy(backup, shop, manifest.database().file());
            refuseUnlessHere(shop, manifest);
            // Closes it to others, and shows that it opens.
            DataFolder.open(shop).close();
            return manifest;
        } catch (IOException | CannotStart | CopyOfDatabase.Failed e) {
            throw new BackupFailed("Nothing was restored from " + backup.toAbsolutePath() + ": " + Backup.why(e), e);
        }
    }

    private static void refuseUnlessEmpty(Path shop) throws IOException {
        if (!Files.exists(shop)) {
            return;
        }
        try (Stream<Path> inside = Files.list(shop)) {
            if (inside.findAny().isPresent()) {
                throw new BackupFailed("The folder " + shop.toAbsolutePath()
                        + " is not empty: nothing in it was touched. Name an empty one by --wrenchnotes.data=DIR.");
            }
        }
    }

    private static void refuseUnlessWhole(Path backup, BackupManifest manifest) throws IOException {
        if (!manifest.database().is(backup) || !manifest.key().is(backup)) {
            throw new IOException("its files are not those that were written: take another backup.");
        }
    }

    private static void refuseUnlessHere(Path shop, BackupManifest manifest) throws IOException {
        if (!manifest.database().is(shop)
                || !CopyOfDatabase.named(shop.resolve(DataFolder.DATABASE))
                        .photos()
                        .equals(manifest.photos())) {
            throw new IOException("what was copied is not what was there.");
        }
    }

    private static void copy(Path backup, Path shop, String file) throws IOException {
        DataFolder.write(shop.resolve(file), Files.readAllBytes(backup.resolve(file)));
    }
}
