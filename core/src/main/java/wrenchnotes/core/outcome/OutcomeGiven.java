package wrenchnotes.core.outcome;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/**
 * The outcome of a job as somebody said it.
 *
 * @param remark the known thing left as it is; must be said when the outcome is "with a remark" or "partly"
 */
public record OutcomeGiven(Outcome outcome, String remark, Moment at) {

    public OutcomeGiven {
        Checked.present("outcome", outcome);
        remark = Checked.optionalText("remark", remark, 500);
        Checked.present("at", at);
        boolean needsRemark = outcome == Outcome.FIXED_WITH_REMARK || outcome == Outcome.PARTLY_FIXED;
        if (needsRemark && remark.isEmpty()) {
            throw new Invalid("remark", "Say what is left as it is: \"" + outcome.words() + "\" needs a remark");
        }
    }
}
