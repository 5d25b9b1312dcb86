package wrenchnotes.server.ground;

import java.io.IOException;
import java.nio.file.FileSystemException;
import java.sql.SQLTransientConnectionException;
import java.util.Locale;
import java.util.Optional;
import org.sqlite.SQLiteException;

/** What can be wrong with the disk, the folder or the file under a shop, told by what SQLite and the system say. */
public enum StoreTrouble {
    FULL("The disk of the shop's machine is full: nothing was written. Make room on it and do it again;"
            + " nothing else need be done."),
    READ_ONLY("The shop's data folder cannot be written: nothing was changed. Make it writable for the program again;"
            + " nothing else need be done."),
    UNREADABLE(
            "The disk of the shop's machine does not answer as it should: nothing was written. Look at the disk, then do it again."),
    DAMAGED(
            "The shop's database is damaged: it can be read, but nothing is written into it any more. Stop the program and"
                    + " restore the last backup (docs/running.md)."),
    BUSY("The shop's database is busy with another program's writing: nothing was written yet.");

    private final String sentence;

    StoreTrouble(String sentence) {
        this.sentence = sentence;
    }

    /** What it means, and what to do. */
    public String sentence() {
        return sentence;
    }

    String atStart(DataFolder folder) {
        return switch (this) {
            case DAMAGED ->
                "The database " + folder.database()
                        + " is damaged or is no database: it was left as it is. Restore the last"
                        + " backup into an empty folder (docs/running.md).";
            case BUSY ->
                "The database " + folder.database() + " is held by another program: let it finish, then start again.";
            default -> "The shop cannot be opened. " + sentence;
        };
    }

    /** @return empty if the failure has nothing to do with what lies under the shop */
    public static Optional<StoreTrouble> of(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLiteException sqlite) {
                return of(sqlite);
            }
            if (cause instanceof SQLTransientConnectionException) {
                return Optional.of(BUSY);
            }
            if (cause instanceof IOException io) {
                return of(io);
            }
        }
        return Optional.empty();
    }

    /** The low byte is the primary code (published: sqlite.org, Result and Error Codes). */
    private static Optional<StoreTrouble> of(SQLiteException failure) {
        return switch (failure.getResultCode().code & 0xFF) {
            case 13 -> Optional.of(FULL);
            case 8, 14, 3 -> Optional.of(READ_ONLY);
            case 11, 26 -> Optional.of(DAMAGED);
            case 5, 6 -> Optional.of(BUSY);
            case 10 -> Optional.of(UNREADABLE);
            default -> Optional.empty();
        };
    }

    private static Optional<StoreTrouble> of(IOException failure) {
        String reason = failure instanceof FileSystemException system && system.getReason() != null
                ? system.getReason()
                : String.valueOf(failure.getMessage());
        String said = reason.toLowerCase(Locale.ROOT);
        if (said.contains("no space left") || said.contains("quota")) {
            return Optional.of(FULL);
        }
        if (said.contains("read-only file system") || failure instanceof java.nio.file.AccessDeniedException) {
            return Optional.of(READ_ONLY);
        }
        return Optional.empty();
    }
}
