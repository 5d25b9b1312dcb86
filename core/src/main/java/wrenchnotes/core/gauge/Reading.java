package wrenchnotes.core.gauge;

import java.util.Optional;
import wrenchnotes.core.gauge.LimitGauge.Limits;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;

/**
 * A measured value with its limits and verdict, as it stands in a job's record.
 *
 * @param what was measured, "5 V", "pin 6"
 * @param words as a person would say it, "4.98 V", "3.5 V, high"
 * @param value in the unit; empty if only a state was seen
 * @param unit empty for plain numbers
 * @param uncertainty of the instrument, in the same unit
 * @param state what the value was taken as, "high": two readings with a state are compared by it
 * @param verdict empty if there is no limit to judge by
 */
public record Reading(
        String what,
        String words,
        Optional<Double> value,
        String unit,
        Optional<Double> min,
        Optional<Double> max,
        Optional<Double> uncertainty,
        Optional<String> state,
        Optional<Judgement> verdict) {

    public Reading {
        what = Checked.text("what", what, 80);
        words = Checked.text("words", words, 120);
        Checked.present("unit", unit);
    }

    /** A value that nothing is said about. */
    static Reading plain(String what, double value, String unit) {
        return new Reading(
                what,
                said(value, unit),
                Optional.of(value),
                unit,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    static Reading judged(String what, double value, String unit, Limits limits, double u, Judgement verdict) {
        return new Reading(
                what,
                said(value, unit),
                Optional.of(value),
                unit,
                limits.min(),
                limits.max(),
                u > 0 ? Optional.of(u) : Optional.empty(),
                Optional.empty(),
                Optional.of(verdict));
    }

    static Reading state(String what, String state, Optional<Double> value, String unit, Optional<Judgement> verdict) {
        return new Reading(
                what,
                value.map(one -> said(one, unit) + ", " + state).orElse(state),
                value,
                unit,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(state),
                verdict);
    }

    /** "19 to 26.6", "up to 80", "from 5"; empty if there is no limit. */
    String limits() {
        return Figures.range(min, max);
    }

    private static String said(double value, String unit) {
        return unit.isEmpty() ? LimitGauge.number(value) : LimitGauge.number(value) + " " + unit;
    }
}
