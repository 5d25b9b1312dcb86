package wrenchnotes.core.teardown;

import java.util.List;
import wrenchnotes.core.unit.Checked;

/**
 * What hands do in a step, on the way in and back.
 *
 * @param how in words; may be empty
 * @param side the side that faces up
 * @param tool what is taken into the hand, one after the other, as the bench calls it: {@code PH1}, {@code T8 long, hook}; empty for bare hands
 * @param minutes how long it usually takes, 0 to 600
 * @param mustBeTrue what must be so before it is begun: "drawer open before the power is pulled"
 * @param closeUp what to remember on the way back: "belt flat, not twisted"
 */
public record Doing(String how, Side side, String tool, double minutes, String mustBeTrue, String closeUp) {

    public Doing {
        how = Checked.optionalText("how", how, 2000);
        Checked.present("side", side);
        tool = Checked.optionalText("tool", tool, 120);
        Checked.within("minutes", minutes, 0.0, 600.0);
        mustBeTrue = Checked.optionalText("mustBeTrue", mustBeTrue, 300);
        closeUp = Checked.optionalText("closeUp", closeUp, 500);
    }

    /** In the order in which they are taken up. */
    public List<Tool> tools() {
        return Tool.listed(tool);
    }

    public static Doing of(Side side, String tool, double minutes) {
        return new Doing("", side, tool, minutes, "", "");
    }

    public Doing closingUp(String words) {
        return new Doing(how, side, tool, minutes, mustBeTrue, words);
    }
}
