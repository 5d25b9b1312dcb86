package wrenchnotes.core.check;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/**
 * One check of a unit.
 *
 * @param what what was tried: "loads, plays, throws out"
 * @param coversOn whether the covers were on
 * @param load with which disc, tape or load; empty if with none
 * @param times how often, 0 to 999; 0 only when it was not tested
 */
public record Check(
        Stage stage, Verdict verdict, String what, boolean coversOn, String load, int times, String remark, Moment at) {

    public Check {
        Checked.present("stage", stage);
        Checked.present("verdict", verdict);
        what = Checked.text("what", what, 200);
        load = Checked.optionalText("load", load, 200);
        remark = Checked.optionalText("remark", remark, 500);
        Checked.within("times", times, 0, 999);
        Checked.present("at", at);
        if (verdict == Verdict.NOT_TESTED && times > 0) {
            throw new Invalid("times", "Not tested, yet tried " + times + " times: say passed or failed, or 0 times");
        }
        if (verdict != Verdict.NOT_TESTED && times == 0) {
            throw new Invalid("times", "Say how often it was tried, at least once, or say not tested");
        }
    }
}
