package wrenchnotes.server.ground;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NotDirectoryException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The one folder that holds a shop: nobody else's to read, held by one program at a time, and never taken for a new shop when its
 * database is gone. The lock is the operating system's and ends with the process, however that ends.
 */
public final class DataFolder implements AutoCloseable {

    public static final String DATABASE = "wrench-notes.sqlite";
    public static final String KEY = "sign-in.key";
    public static final String PHOTOS = "photos";

    private static final Logger LOG = LoggerFactory.getLogger(DataFolder.class);
    private static final String LOCK = "shop.lock";
    private static final Set<PosixFilePermission> FOLDER = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> FILE = PosixFilePermissions.fromString("rw-------");

    private final Path path;
    private final FileChannel lock;
    private final List<String> said;

    private DataFolder(Path path, FileChannel lock, List<String> said) {
        this.path = path;
        this.lock = lock;
        this.said = said;
    }

    /**
     * Takes hold of a folder, which is made if it is not there.
     *
     * @throws CannotStart if it cannot be written, if another program holds it, or if it is a shop without its database
     */
    public static DataFolder open(Path path) {
        FileChannel lock = null;
        try {
            boolean existed = Files.exists(path);
            Files.createDirectories(path);
            boolean wasOpen = closeToOthers(path, FOLDER) && existed;
            lock = locked(path);
            refuseWithoutItsDatabase(path);
            prepareDatabase(path);
            mark(path);
            List<String> said = closed(path, wasOpen);
            said.forEach(LOG::warn);
            return new DataFolder(path, lock, said);
        } catch (IOException e) {
            closeQuietly(lock);
            throw new CannotStart(sentence(path, e), e);
        } catch (CannotStart e) {
            closeQuietly(lock);
            throw e;
        }
    }

    public Path path() {
        return path;
    }

    public Path database() {
        return path.resolve(DATABASE);
    }

    public Path photos() {
        return path.resolve(PHOTOS);
    }

    /** What was put right when it was opened, a sentence each. */
    public List<String> said() {
        return said;
    }

    @Override
    public void close() {
        closeQuietly(lock);
    }

    private static FileChannel locked(Path path) throws IOException {
        Path file = path.resolve(LOCK);
        boolean existed = Files.exists(file);
        FileChannel channel = FileChannel.open(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        if (!existed) {
            closeToOthers(file, FILE);
        }
        try {
            FileLock held = channel.tryLock();
            if (held != null) {
                return channel;
            }
        } catch (OverlappingFileLockException e) {
            // Held by another shop of this very process: told as any other.
        }
        channel.close();
        throw new CannotStart(
                "The shop in " + path.toAbsolutePath()
                        + " is open already: use the program that runs, or stop it first. Two programs on one folder would spoil it.");
    }

    /** A folder with a key or photos was a shop: without its database the next visitor would become its lead. */
    private static void refuseWithoutItsDatabase(Path path) throws IOException {
        Path database = path.resolve(DATABASE);
        boolean there = Files.exists(database) && Files.size(database) > 0;
        boolean left = Files.exists(path.resolve(KEY))
                || notEmpty(path.resolve(PHOTOS))
                || Files.exists(path.resolve(DATABASE + "-wal")) && Files.size(path.resolve(DATABASE + "-wal")) > 0;
        if (!there && left) {
            throw new CannotStart(
                    "In " + path.toAbsolutePath() + " lie the key or the photos of a shop, but its database "
                            + DATABASE + " is " + (Files.exists(database) ? "empty" : "missing")
                            + ": put it back, or restore a backup into an empty folder. It is not opened as a new shop.");
        }
    }

    private static boolean notEmpty(Path folder) throws IOException {
        if (!Files.isDirectory(folder)) {
            return false;
        }
        try (Stream<Path> files = Files.walk(folder)) {
            return files.anyMatch(Files::isRegularFile);
        }
    }

    /** Made by us rather than by SQLite, so that nobody else could read it for a moment; SQLite's own files follow it. */
    private static void prepareDatabase(Path path) throws IOException {
        Path database = path.resolve(DATABASE);
        if (!Files.exists(database)) {
            Files.createFile(database);
            closeToOthers(database, FILE);
        }
        if (!Files.isWritable(database)) {
            throw new AccessDeniedException(database.toString());
        }
    }

    /** What says later that this was a shop, should its database be gone. */
    private static void mark(Path path) throws IOException {
        Path key = path.resolve(KEY);
        if (!Files.exists(key)) {
            write(key, Secret.fresh().getBytes(StandardCharsets.US_ASCII));
        }
    }

    private static List<String> closed(Path path, boolean folderWasOpen) throws IOException {
        int files = 0;
        boolean photosWereOpen = false;
        try (Stream<Path> inside = Files.list(path)) {
            for (Path one : inside.toList()) {
                if (Files.isDirectory(one)) {
                    photosWereOpen |= closeToOthers(one, FOLDER);
                } else if (closeToOthers(one, FILE)) {
                    files++;
                }
            }
        }
        return folderWasOpen || photosWereOpen || files > 0
                ? List.of("The data folder " + path.toAbsolutePath()
                        + " could be read by others on this machine: it is closed to them now.")
                : List.of();
    }

    /** Whether it was open. Where the file system knows no owners, nothing is done. */
    private static boolean closeToOthers(Path one, Set<PosixFilePermission> allowed) throws IOException {
        try {
            Set<PosixFilePermission> now = Files.getPosixFilePermissions(one);
            if (allowed.containsAll(now)) {
                return false;
            }
            Files.setPosixFilePermissions(one, allowed);
            return now.stream().anyMatch(permission -> !permission.name().startsWith("OWNER"));
        } catch (UnsupportedOperationException e) {
            return false;
        }
    }

    /** A new file that only its owner may read, with this in it, on the disk when this returns. */
    public static void write(Path file, byte[] bytes) throws IOException {
        Path coming = Files.createTempFile(file.getParent(), "coming", ".tmp");
        try {
            try (FileChannel channel = FileChannel.open(coming, StandardOpenOption.WRITE)) {
                channel.write(ByteBuffer.wrap(bytes));
                channel.force(true);
            }
            Files.move(coming, file, StandardCopyOption.ATOMIC_MOVE);
            force(file.getParent());
        } finally {
            Files.deleteIfExists(coming);
        }
    }

    /** Makes the names in a folder last through a power cut, where the system allows it. */
    public static void force(Path folder) throws IOException {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (AccessDeniedException e) {
            // A system that opens no folders keeps their names by itself.
        }
    }

    private static String sentence(Path path, IOException e) {
        String folder = "The data folder " + path.toAbsolutePath();
        if (e instanceof AccessDeniedException) {
            return folder
                    + " cannot be written by this user: give it to them, or choose another by --wrenchnotes.data=DIR.";
        }
        if (e instanceof FileAlreadyExistsException || e instanceof NotDirectoryException) {
            return folder + " is a file: choose a folder by --wrenchnotes.data=DIR.";
        }
        String why = e instanceof FileSystemException system && system.getReason() != null
                ? system.getReason()
                : e.getMessage();
        return folder + " cannot be used (" + why + "): put that right, or choose another by --wrenchnotes.data=DIR.";
    }

    private static void closeQuietly(FileChannel channel) {
        try {
            if (channel != null) {
                channel.close();
            }
        } catch (IOException e) {
            LOG.warn("The lock of the data folder was not let go: {}", e.getMessage());
        }
    }
}
