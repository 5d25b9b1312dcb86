package wrenchnotes.core.diagnosis.history;

import java.util.List;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.unit.Checked;

/**
 * How a shop learns from its jobs. The figures were chosen on the demo's history and two made-up shops and judged on two others ({@code make bench}).
 *
 * @param wide what everything wider counts as, in jobs, for how often a fault is found, above all models of a kind; above 0
 * @param own the same for a model and a revision: less, since what breaks is a model's own; above 0
 * @param shows the same for how likely a fault shows a symptom, in jobs that had the fault; above 0
 * @param halfLife after so many jobs of a model, or of a revision, a job counts half there; above 0, infinite if nothing ages
 */
public record Learning(double wide, double own, double shows, double halfLife) {

    public static final Learning USUAL = new Learning(6, 2, 1.5, 50);

    /** Over all and over a kind jobs age so much slower: there are more of them, and what a fault shows changes less than what breaks. */
    private static final double SLOWER = 8;

    /** From the widest to the most specific. */
    static final List<Level> NARROWING = List.of(Level.ALL, Level.KIND, Level.MODEL, Level.REVISION);

    public Learning {
        for (double weight : new double[] {wide, own, shows, halfLife}) {
            Checked.within("weight", weight, Double.MIN_VALUE, Double.POSITIVE_INFINITY);
        }
    }

    /** Whether it is of many models: what breaks is a model's own, and not every one could have a fault. */
    static boolean ofManyModels(Level level) {
        return level == Level.ALL || level == Level.KIND;
    }

    double weight(Level level) {
        return ofManyModels(level) ? wide : own;
    }

    /** How much more a job of a level counts than the one before it. */
    double growth(Level level) {
        return Math.pow(2, 1 / (ofManyModels(level) ? SLOWER * halfLife : halfLife));
    }
}
