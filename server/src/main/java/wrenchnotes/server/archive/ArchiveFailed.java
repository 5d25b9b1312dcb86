package wrenchnotes.server.archive;

/** An archive could not be made or read; says why and what to do. Nothing is half there. */
public final class ArchiveFailed extends RuntimeException {

    ArchiveFailed(String sentence) {
        super(sentence);
    }

    ArchiveFailed(String sentence, Throwable cause) {
        super(sentence, cause);
    }
}
