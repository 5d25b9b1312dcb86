package wrenchnotes.core.diagnosis.odds;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What a unit that somebody brought in has: nothing, or one main fault and whatever came with it. A set of faults has nothing wrong with probability
 * nw; else one main fault k with probability (1 − nw) · r_k / Σr, and each other fault f besides it with c · r_f / Σr, r being their rates. Ours.
 *
 * @param extras c, how many further faults a job has, 0 to 1
 * @param nothingWrong nw, 0 to below 1
 */
public record OneMain(double extras, double nothingWrong) {
    public OneMain {
        Checked.within("oneMain.extras", extras, 0, 1);
        if (!(nothingWrong >= 0 && nothingWrong < 1)) {
            throw new Invalid(
                    "oneMain.nothingWrong",
                    "oneMain.nothingWrong is " + nothingWrong + "; it must be from 0 to below 1");
        }
    }
}
