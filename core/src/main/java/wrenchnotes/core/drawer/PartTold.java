package wrenchnotes.core.drawer;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * Somebody's word that some of a part went into the unit of a job. One event is told in several rooms: a finding says "belt replaced, with
 * this one", the ledger "this one in place of the belt". {@link #needed} says how many there were of it.
 *
 * @param component the component that it is for; empty if the notes do not say which component a thing of the ledger bears
 * @param count 1 to 99
 */
public record PartTold(Teller teller, Optional<Long> component, int count) {

    /** Who tells. */
    public enum Teller {
        /** What was wrong and what was done about it. */
        FINDING,
        /** What lies in the unit's places. */
        LEDGER,
        /** What was used beside any finding: agent, grease, a sticker. Nobody else tells of it. */
        USE
    }

    public PartTold {
        Checked.present("teller", teller);
        Checked.within("count", count, 1, 99);
    }

    /**
     * How many of one part a job used. A finding and the ledger tell of the same ones as far as they can: those of one component always,
     * and those of a thing whose component nobody knows join whatever findings are left. What was merely used is counted beside.
     *
     * @param told of one part, on one job, as it stands
     */
    public static int needed(Collection<PartTold> told) {
        Map<Optional<Long>, Integer> found = new HashMap<>();
        Map<Optional<Long>, Integer> placed = new HashMap<>();
        int used = 0;
        for (PartTold one : told) {
            switch (one.teller()) {
                case FINDING -> found.merge(one.component(), one.count(), Integer::sum);
                case LEDGER -> placed.merge(one.component(), one.count(), Integer::sum);
                case USE -> used += one.count();
            }
        }
        int nowhere = placed.getOrDefault(Optional.<Long>empty(), 0);
        placed.remove(Optional.<Long>empty());
        int unmatched = found.entrySet().stream()
                .mapToInt(entry -> Math.max(0, entry.getValue() - placed.getOrDefault(entry.getKey(), 0)))
                .sum();
        int matched = placed.values().stream().mapToInt(Integer::intValue).sum();
        return used + matched + unmatched + Math.max(0, nowhere - unmatched);
    }
}
