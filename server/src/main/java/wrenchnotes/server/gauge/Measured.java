package wrenchnotes.server.gauge;

import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.gauge.Conditions;
import wrenchnotes.core.gauge.GaugeAsked;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * A use of a gauge that is to be kept in a job.
 *
 * @param typed what was typed, as it was typed
 * @param place where on the unit, up to 60 characters; may be empty
 * @param stage of the work, up to 80 characters
 * @param instrument that it was read with; may be empty
 * @param conditions under which it was read; nothing is said if left out
 * @param componentId of the model: what it speaks of
 * @param step of the notes at which it was read, up to 80 characters
 * @param means what whoever read it says that it means: the component is good, or is not. It is then evidence, measured
 */
public record Measured(
        GaugeAsked asked,
        Map<String, Object> typed,
        String place,
        String stage,
        boolean goodUnit,
        String instrument,
        Conditions conditions,
        Optional<Long> componentId,
        Optional<String> step,
        Optional<Boolean> means) {

    /** Without what it was read at, and without saying what it means. */
    public Measured(
            GaugeAsked asked,
            Map<String, Object> typed,
            String place,
            String stage,
            boolean goodUnit,
            String instrument) {
        this(
                asked,
                typed,
                place,
                stage,
                goodUnit,
                instrument,
                Conditions.UNSAID,
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    public Measured {
        Checked.present("asked", asked);
        typed = typed == null ? Map.of() : typed;
        Checked.within("typed", typed.toString().length(), 0, 20_000);
        place = Checked.optionalText("place", place, 60);
        stage = Checked.text("stage", stage, 80);
        instrument = Checked.optionalText("instrument", instrument, 80);
        conditions = conditions == null ? Conditions.UNSAID : conditions;
        step = step.map(one -> Checked.text("step", one, 80));
        if (means.isPresent() && componentId.isEmpty()) {
            throw new Invalid("componentId", "Pick the component that it says something of");
        }
        if (means.isPresent() && goodUnit) {
            throw new Invalid("means", "It was read on a good unit: that says nothing of this one");
        }
    }
}
