package wrenchnotes.server.diagnosis;

import wrenchnotes.core.diagnosis.history.Foretold;
import wrenchnotes.core.diagnosis.history.History;
import wrenchnotes.core.money.ForetoldMinutes;

/** The demo's closed jobs, each foretold before it is learned from. */
public final class ForetoldDemo {

    private ForetoldDemo() {}

    public static Foretold of(Book.Past past) {
        return new Foretold(
                        new History(), past.names().components(), past.names().vocabulary())
                .of(past.book().all(past.names()));
    }

    /** The same of its minutes. */
    public static ForetoldMinutes minutes(Book.Past past) {
        return ForetoldMinutes.of(
                past.book().all(past.names()),
                past.names().components(),
                past.names().vocabulary());
    }
}
