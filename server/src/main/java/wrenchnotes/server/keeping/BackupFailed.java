package wrenchnotes.server.keeping;

/** A backup or a restoring came to nothing; the message is a sentence, and what was there before is as it was. */
public final class BackupFailed extends RuntimeException {

    BackupFailed(String sentence) {
        super(sentence);
    }

    BackupFailed(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
