package wrenchnotes.core.diagnosis.odds;

/** The chance of a set of faults of which one is the main one, from the definition: for tests that add all sets up. */
final class OneMainByHand {

    private OneMainByHand() {}

    /**
     * @param share of each fault of the rates @param extras further faults a unit @param nothing chance of none
     * @param set bit by bit, which faults are there
     */
    static double chance(double[] share, double extras, double nothing, int set) {
        if (set == 0) {
            return nothing;
        }
        double all = 0;
        for (int main = 0; main < share.length; main++) {
            double with = (set >> main & 1) * share[main];
            for (int at = 0; at < share.length; at++) {
                double extra = extras * share[at];
                with *= at == main ? 1 : (set >> at & 1) > 0 ? extra : 1 - extra;
            }
            all += with;
        }
        return (1 - nothing) * all;
    }
}
