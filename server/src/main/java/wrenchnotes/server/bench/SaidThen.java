package wrenchnotes.server.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Stroke;
import wrenchnotes.server.job.EntryStore;

/**
 * Something that was said while the unit was open, for whoever puts it together again.
 *
 * @param step that was in hand; empty if none was
 * @param component that was found wrong; empty for a remark
 * @param photo hash of the picture that was taken with it
 */
public record SaidThen(
        Optional<String> step,
        Optional<Long> component,
        String words,
        Optional<String> photo,
        List<Stroke> strokes,
        Instant at,
        String by) {

    /** Whether it was said of a step, or of what it lays open. */
    boolean isOf(Step one) {
        return step.filter(one.id()::equals).isPresent()
                || component.filter(one.exposes()::contains).isPresent();
    }

    static SaidThen remark(JsonNode row) {
        JobEntry.Remark said = EntryStore.remark(row.get(0).asString());
        return new SaidThen(
                said.step(),
                Optional.empty(),
                said.said(),
                said.picture(),
                said.strokes(),
                Instant.ofEpochMilli(row.get(1).asLong()),
                row.get(2).asString());
    }

    static SaidThen finding(JsonNode row) {
        String remedy = Remedy.valueOf(row.get(2).asString()).words();
        return new SaidThen(
                Optional.empty(),
                Optional.of(row.get(0).asLong()),
                row.get(1).asString() + ": " + remedy,
                Optional.empty(),
                List.of(),
                Instant.ofEpochMilli(row.get(3).asLong()),
                row.get(4).asString());
    }
}
