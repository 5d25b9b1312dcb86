package wrenchnotes.core.outcome;

import java.util.List;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/**
 * The outcome of a job as somebody said it.
 *
 * @param remark the known thing left as it is; must be said when the outcome is "with a remark" or "partly"
 */
public record OutcomeGiven(Outcome outcome, String remark, Moment at) {

    /**
     * @param there symptoms that stayed or came, by the last word on each
     * @throws Invalid if it is said to be fixed, and nothing is said of those
     */
    public OutcomeGiven sayingOf(List<String> there) {
        if (outcome == Outcome.FIXED && !there.isEmpty() && remark.isEmpty()) {
            throw new Invalid(
                    "remark",
                    "Fixed, and still there or come since: " + String.join(", ", there) + ". Say a word on each");
        }
        return this;
    }

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
