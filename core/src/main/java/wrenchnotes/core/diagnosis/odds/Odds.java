package wrenchnotes.core.diagnosis.odds;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * How likely each fault is, given which symptoms are there and which are not: exactly to {@value #EXACT_TOLD} told symptoms ({@link Explained}). With more, sets
 * of faults are weighed from the smallest on until what is left out, at most the prior chance of a larger set over the weight found, is
 * below {@value #ENOUGH}, or too many would be weighed.
 *
 * @param faults in the order of the model
 * @param sets the likeliest sets of faults that were weighed, likeliest first; the empty one means that nothing of the model is wrong
 * @param nothingWrong how likely that is
 * @param leftOut no probability of a fault is farther off than this; 0 if all was summed
 * @param trusted whether that is little enough to go by
 */
public record Odds(List<FaultOdds> faults, List<SetOdds> sets, double nothingWrong, double leftOut, boolean trusted) {

    static final int ALL_SETS = 18;
    static final int EXACT_TOLD = 16;
    static final double ENOUGH = 1e-6;
    /** A probability that may be a hundredth off is still one to go by. Ours, no source. */
    private static final double TRUSTED = 0.01;

    static final long MOST_SETS = 60_000;

    public record FaultOdds(String id, double probability) {}

    public record SetOdds(List<String> faults, double probability) {}

    /** Nobody's silence counts. */
    public static Odds of(FaultModel model, Set<String> present, Set<String> absent) {
        return of(model, present, absent, 0);
    }

    /**
     * @param present ids of symptoms that are there
     * @param absent ids of symptoms that were asked for and are not there
     * @param silence 0 to 1, see {@link Evidence}
     * @throws Invalid if a symptom is unknown or is said to be both, or if what is said cannot happen in this model
     */
    public static Odds of(FaultModel model, Set<String> present, Set<String> absent, double silence) {
        Checked.within("silence", silence, 0, 1);
        for (String id : present) {
            if (absent.contains(id)) {
                throw new Invalid("absent", "\"" + id + "\" is said to be there and not to be there");
            }
        }
        return of(model, Evidence.of(model, present, absent, silence)).odds();
    }

    /** @param sets the likeliest of them, for what asks which come together */
    record WithSets(Odds odds, LikelySets sets) {}

    /** @throws Invalid if what is seen cannot happen in this model */
    static WithSets of(FaultModel model, Evidence evidence) {
        WeighedSets sets = new WeighedSets(model, evidence);
        return new WithSets(of(model, evidence, sets), sets.likeliest());
    }

    private static Odds of(FaultModel model, Evidence evidence, WeighedSets sets) {
        if (evidence.present().length <= EXACT_TOLD) {
            Explained.Marginals exact = Explained.marginals(model, evidence);
            if (!(exact.evidence() > 0)) {
                throw impossible();
            }
            sets.untilEnough(MOST_SETS);
            return new Odds(faults(model, exact.probabilities()), sets.told(exact.evidence()), exact.none(), 0, true);
        }
        double leftOut = sets.untilEnough(model.faults().size() <= ALL_SETS ? Long.MAX_VALUE : MOST_SETS);
        if (sets.total() <= 0) {
            throw impossible();
        }
        return new Odds(
                faults(model, sets.shares()),
                sets.told(sets.total()),
                sets.none() / sets.total(),
                leftOut,
                leftOut <= TRUSTED);
    }

    private static List<FaultOdds> faults(FaultModel model, double[] share) {
        List<FaultOdds> odds = new ArrayList<>();
        for (int at = 0; at < share.length; at++) {
            odds.add(new FaultOdds(model.faults().get(at).id(), share[at]));
        }
        return List.copyOf(odds);
    }

    private static Invalid impossible() {
        return new Invalid(
                "present", "Nothing in the model can show these symptoms together: give one of them a leak or a cause");
    }
}
