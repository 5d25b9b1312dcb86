package wrenchnotes.core.teardown.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The rest of an order, always by the cheapest next step; works for sets of any size. */
final class Rollout {

    private final StepTable table;
    private final boolean[] done;
    private int up;
    private int inHand;
    private double lost;

    /** @param set steps that are done already; those beyond what a set holds are not */
    Rollout(StepTable table, long set, int up, int inHand) {
        this.table = table;
        this.done = new boolean[table.size()];
        for (int at = 0; at < Math.min(done.length, StepTable.MOST_IN_A_SET); at++) {
            done[at] = (set >> at & 1) == 1;
        }
        this.up = up;
        this.inHand = inHand;
    }

    /** Minutes lost to flips and tool changes on the way. */
    double lost() {
        return lost;
    }

    /** Empty if the rest need each other in a circle. */
    Optional<List<Integer>> toTheEnd() {
        List<Integer> order = new ArrayList<>();
        int left = 0;
        for (boolean one : done) {
            left += one ? 0 : 1;
        }
        for (; left > 0; left--) {
            int next = cheapest();
            if (next < 0) {
                return Optional.empty();
            }
            lost += table.price(up, inHand, next);
            done[next] = true;
            up = table.side(next);
            inHand = table.inHandAfter(inHand, next);
            order.add(next);
        }
        return Optional.of(order);
    }

    private int cheapest() {
        int best = -1;
        for (int at = 0; at < done.length; at++) {
            if (table.ready(done, at) && (best < 0 || table.price(up, inHand, at) < table.price(up, inHand, best))) {
                best = at;
            }
        }
        return best;
    }
}
