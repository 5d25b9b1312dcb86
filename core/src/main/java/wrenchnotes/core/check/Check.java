package wrenchnotes.core.check;

import java.util.Optional;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;

/**
 * One check of a unit.
 *
 * @param planned id of the planned check that it is; empty for one in words
 * @param what what was tried: "loads, plays, throws out"
 * @param coversOn whether the covers were on
 * @param powered whether the unit had power
 * @param load with which disc, tape or load; empty if with none
 * @param times how often, 0 to 999; 0 only when it was not tested
 * @param remark why, if it was not tested
 * @param asRemark why its failure is left as it is, if somebody took it as a remark
 */
public record Check(
        Stage stage,
        Verdict verdict,
        Optional<String> planned,
        String what,
        boolean coversOn,
        boolean powered,
        String load,
        int times,
        String remark,
        Optional<String> asRemark,
        Moment at) {

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

    /** One in words, under power if it was tested. */
    public Check(
            Stage stage,
            Verdict verdict,
            String what,
            boolean coversOn,
            String load,
            int times,
            String remark,
            Moment at) {
        this(
                stage,
                verdict,
                Optional.empty(),
                what,
                coversOn,
                verdict != Verdict.NOT_TESTED,
                load,
                times,
                remark,
                Optional.empty(),
                at);
    }

    /** Whether it is the same check with the same load, at whatever stage: a pass with another load stands beside a failure. */
    public boolean sameAs(Check other) {
        boolean samePlanned = planned.isPresent() && planned.equals(other.planned);
        return (samePlanned || what.equalsIgnoreCase(other.what)) && load.equalsIgnoreCase(other.load);
    }

    /** "plays, with the warped disc: nothing here to try it with". */
    public String whyNot() {
        return words() + (remark.isEmpty() ? "" : ": " + remark);
    }

    /** "plays, with the warped disc". */
    public String words() {
        return what + (load.isEmpty() ? "" : ", with " + load);
    }
}
