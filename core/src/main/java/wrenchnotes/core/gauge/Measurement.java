package wrenchnotes.core.gauge;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * What one use of a gauge comes to, for a job's record.
 *
 * @param verdict of all of it; empty if the gauge gives none
 * @param words one sentence for the story
 */
public record Measurement(List<Reading> readings, Optional<Judgement> verdict, String words) {

    public Measurement {
        readings = List.copyOf(readings);
        words = Checked.text("words", words, 1000);
    }
}
