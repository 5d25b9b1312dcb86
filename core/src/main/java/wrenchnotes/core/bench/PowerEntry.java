package wrenchnotes.core.bench;

import java.time.Instant;
import wrenchnotes.core.unit.Moment;

/**
 * What somebody said of a unit's power, or what followed from what was done with it.
 *
 * @param since when it was switched so: the moment itself, or earlier if somebody said so
 * @param why what made it live: "plays a disc"; empty if nobody said
 * @param sinceSaid whether somebody said since when, and did not just switch it
 */
public record PowerEntry(Power power, Instant since, String why, boolean sinceSaid, Moment moment) {

    /** A run begins only with "off and unplugged". */
    static PowerEntry of(RunRecord run) {
        return new PowerEntry(Power.UNPLUGGED, run.started().at(), "", false, run.started());
    }
}
