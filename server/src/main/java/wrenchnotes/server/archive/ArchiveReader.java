package wrenchnotes.server.archive;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.springframework.util.FileSystemUtils;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Sha256;

/**
 * Reads an archive into a folder in which nothing is. Tables are made as they were when it was written, filled, and looked at; what the
 * program has learned since is done at the next start, as after any upgrade. Whatever fails, the folder is empty again.
 */
public final class ArchiveReader {

    private static final long LARGEST_PHOTO = 25_000_000;

    private ArchiveReader() {}

    /** @return how many rows were read @throws ArchiveFailed with a sentence; then nothing is left in the folder */
    public static long read(Path archive, Path shop) {
        refuseUnlessEmpty(shop);
        try (ZipFile zip = new ZipFile(archive.toFile(), StandardCharsets.UTF_8)) {
            String version = version(zip);
            try (DataFolder folder = DataFolder.open(shop)) {
                long rows = ArchiveStore.fill(folder.database(), version, store -> filled(zip, store));
                photos(zip, folder);
                papers(zip, folder.path());
                return rows;
            }
        } catch (IOException | RuntimeException e) {
            clear(shop);
            throw e instanceof ArchiveFailed failed
                    ? failed
                    : new ArchiveFailed("Nothing was read from " + archive + ": " + e.getMessage(), e);
        }
    }

    private static void refuseUnlessEmpty(Path shop) {
        if (!Files.exists(shop)) {
            return;
        }
        try (Stream<Path> inside = Files.list(shop)) {
            if (inside.findAny().isPresent()) {
                throw new ArchiveFailed("The folder " + shop.toAbsolutePath()
                        + " is not empty: nothing in it was touched. Name an empty one by --wrenchnotes.data=DIR.");
            }
        } catch (IOException e) {
            throw new ArchiveFailed("The folder " + shop.toAbsolutePath() + " cannot be looked into.", e);
        }
    }

    private static void clear(Path shop) {
        try (Stream<Path> inside = Files.list(shop)) {
            for (Path one : inside.toList()) {
                FileSystemUtils.deleteRecursively(one);
            }
        } catch (IOException e) {
            throw new ArchiveFailed(
                    "What was read before it failed could not be taken away: empty " + shop.toAbsolutePath() + ".", e);
        }
    }

    private static String version(ZipFile zip) throws IOException {
        ZipEntry schema = zip.getEntry(ArchiveWriter.SCHEMA);
        if (schema == null) {
            throw new ArchiveFailed(
                    zip.getName() + " is no archive of a shop: it has no " + ArchiveWriter.SCHEMA + ".");
        }
        try (InputStream in = zip.getInputStream(schema)) {
            JsonNode said = JsonMapper.shared().readTree(in);
            if (!said.path("format").asString("").equals(ArchiveWriter.FORMAT)) {
                throw new ArchiveFailed(zip.getName() + " is of the format " + said.path("format")
                        + "; this program reads " + ArchiveWriter.FORMAT + ".");
            }
            return said.path("version").asString();
        } catch (JacksonException e) {
            throw new ArchiveFailed("What " + ArchiveWriter.SCHEMA + " says cannot be read.", e);
        }
    }

    private static long filled(ZipFile zip, ArchiveStore store) {
        List<String> there = store.tables();
        long rows = 0;
        for (String table : Kept.TABLES) {
            ZipEntry entry = zip.getEntry(ArchiveWriter.TABLES + table + ".csv");
            if (!there.contains(table)) {
                continue;
            }
            if (entry == null) {
                throw new ArchiveFailed("The archive lacks the table " + table + ": it is not whole.");
            }
            try (BufferedReader in =
                    new BufferedReader(new InputStreamReader(zip.getInputStream(entry), StandardCharsets.UTF_8))) {
                rows += store.read(table, in);
            } catch (IOException e) {
                throw new ArchiveFailed("The table " + table + " of the archive cannot be read: " + e.getMessage(), e);
            }
        }
        if (store.orphans() > 0) {
            throw new ArchiveFailed(
                    store.orphans() + " rows of the archive name something that is not in it: it is not whole.");
        }
        return rows;
    }

    private static void photos(ZipFile zip, DataFolder folder) throws IOException {
        for (ZipEntry entry : Collections.list(zip.entries())) {
            String name = entry.getName();
            if (name.matches("photos/[0-9a-f]{64}\\.jpg")) {
                String file = name.substring(ArchiveWriter.PHOTOS.length());
                Path place = folder.photos().resolve(file.substring(0, 2)).resolve(file);
                Files.createDirectories(place.getParent());
                try (InputStream in = zip.getInputStream(entry)) {
                    byte[] picture = in.readNBytes((int) LARGEST_PHOTO);
                    if (!file.equals(Sha256.of(picture) + ".jpg")) {
                        throw new ArchiveFailed("The picture " + file + " of the archive is damaged.");
                    }
                    DataFolder.write(place, picture);
                }
            }
        }
    }

    /** Names of files are taken, never their folders: an archive cannot write beside the shop. */
    private static void papers(ZipFile zip, Path shop) throws IOException {
        for (ZipEntry entry : Collections.list(zip.entries())) {
            if (entry.getName().matches("printed/[^/\\\\]+\\.pdf")) {
                Path place =
                        shop.resolve("printed").resolve(Path.of(entry.getName()).getFileName());
                Files.createDirectories(place.getParent());
                try (InputStream in = zip.getInputStream(entry)) {
                    DataFolder.write(place, in.readNBytes((int) LARGEST_PHOTO));
                }
            }
        }
    }
}
