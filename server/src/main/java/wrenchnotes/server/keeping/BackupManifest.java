package wrenchnotes.server.keeping;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;
import tools.jackson.databind.JsonNode;
import wrenchnotes.server.ground.DataFolder;
import wrenchnotes.server.ground.Stored;

/**
 * What is in a backup, with the SHA-256 of each file: {@code manifest.json}. docs/formats.md
 *
 * @param form 1
 * @param made UTC, ISO 8601
 * @param version of the database's tables
 * @param photos hashes of the pictures that the database names; each is the name of a file under {@code photos/} beside the backup
 */
record BackupManifest(
        int form, String format, String made, String version, FileSum database, FileSum key, List<String> photos) {

    static final String FILE = "manifest.json";
    static final String FORMAT = "wrench-notes/backup";

    /** @param bytes its length */
    record FileSum(String file, long bytes, String sha256) {

        static FileSum of(Path file) throws IOException {
            return new FileSum(file.getFileName().toString(), Files.size(file), BackupManifest.sha256(file));
        }

        boolean is(Path folder) throws IOException {
            Path there = folder.resolve(file);
            return Files.exists(there)
                    && Files.size(there) == bytes
                    && BackupManifest.sha256(there).equals(sha256);
        }
    }

    void write(Path folder) throws IOException {
        DataFolder.write(folder.resolve(FILE), Stored.text(this).getBytes(StandardCharsets.UTF_8));
    }

    /** @throws IOException if there is none, or none that this version can read */
    static BackupManifest read(Path folder) throws IOException {
        JsonNode tree;
        try {
            tree = Stored.tree(Files.readString(folder.resolve(FILE)));
        } catch (tools.jackson.core.JacksonException e) {
            throw new IOException(FILE + " is damaged");
        }
        if (Stored.number(tree) != 1 || !tree.path("format").asString("").equals(FORMAT)) {
            throw new IOException(FILE + " is of no form that this version of the program can read");
        }
        BackupManifest is = Stored.read(tree, BackupManifest.class);
        return is.photos() != null
                ? is
                : new BackupManifest(
                        is.form(), is.format(), is.made(), is.version(), is.database(), is.key(), List.of());
    }

    static String sha256(Path file) throws IOException {
        try {
            MessageDigest sha = MessageDigest.getInstance("SHA-256");
            try (InputStream in = new DigestInputStream(Files.newInputStream(file), sha)) {
                in.transferTo(java.io.OutputStream.nullOutputStream());
            }
            return HexFormat.of().formatHex(sha.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }
}
