package wrenchnotes.server.ground;

import org.springframework.boot.SpringBootExceptionReporter;
import org.springframework.boot.web.server.PortInUseException;

/** The shop cannot be opened as it lies there; the message is one sentence that says what to do. */
public final class CannotStart extends RuntimeException {

    public CannotStart(String sentence) {
        super(sentence);
    }

    public CannotStart(String sentence, Throwable cause) {
        super(sentence, cause);
    }

    /** Says why at the console, in one sentence and without a trace. Named in META-INF/spring.factories. */
    public static final class InASentence implements SpringBootExceptionReporter {

        @Override
        public boolean reportException(Throwable failure) {
            for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
                if (cause instanceof CannotStart) {
                    System.err.println(cause.getMessage());
                    return true;
                }
                if (cause instanceof PortInUseException taken) {
                    System.err.println("Port " + taken.getPort()
                            + " is taken by another program, perhaps a shop that runs already: stop it, or start with"
                            + " --server.port=8081.");
                    return true;
                }
            }
            return false;
        }
    }
}
