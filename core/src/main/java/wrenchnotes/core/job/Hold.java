package wrenchnotes.core.job;

import java.time.Instant;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Why a job cannot go on now, and until when.
 *
 * @param until when it ends by itself; empty if it ends with an event, such as a part coming
 * @param ended when somebody ended it; empty if nobody did
 */
public record Hold(HoldKind kind, String why, Instant from, Optional<Instant> until, Optional<Instant> ended) {

    public Hold {
        Checked.present("kind", kind);
        why = Checked.text("why", why, 200);
        if (until.isPresent() && !until.get().isAfter(from)) {
            throw new Invalid("until", "The hold would end before it starts: give a later end");
        }
    }

    public boolean activeAt(Instant now) {
        return ended.isEmpty() && until.map(now::isBefore).orElse(true);
    }

    /** When it was over: ended by somebody or by the clock. Empty while it lasts. */
    public Optional<Instant> overBy(Instant now) {
        return activeAt(now) ? Optional.empty() : ended.or(() -> until);
    }
}
