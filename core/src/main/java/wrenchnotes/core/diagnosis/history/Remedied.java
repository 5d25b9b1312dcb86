package wrenchnotes.core.diagnosis.history;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * What was done about a fault in closed jobs, and how it held.
 *
 * @param times how often it was done, 1 or more
 * @param failed in how many of these it changed nothing
 * @param cameBack how many of the others were followed by a {@link Comeback}
 * @param level where: on units of the model, or on all that had the fault if the model never did
 */
public record Remedied(Remedy remedy, int times, int failed, int cameBack, Level level) {

    /** How often it was done and held: what is offered first. */
    public int held() {
        return times - failed - cameBack;
    }

    private static final Comparator<Remedied> USUAL = Comparator.comparingInt(Remedied::held)
            .thenComparingInt(Remedied::times)
            .reversed()
            .thenComparing(Remedied::remedy);

    private static final class Counts {
        private int times;
        private int failed;
        private int cameBack;
    }

    private static final class Tally {
        private final Map<Remedy, Counts> ofModel = new EnumMap<>(Remedy.class);
        private final Map<Remedy, Counts> ofAll = new EnumMap<>(Remedy.class);

        List<Remedied> told() {
            return ofModel.isEmpty() ? told(ofAll, Level.ALL) : told(ofModel, Level.MODEL);
        }

        private static List<Remedied> told(Map<Remedy, Counts> counts, Level level) {
            List<Remedied> told = new ArrayList<>();
            counts.forEach((remedy, one) -> told.add(new Remedied(remedy, one.times, one.failed, one.cameBack, level)));
            told.sort(USUAL);
            return List.copyOf(told);
        }
    }

    /**
     * @param faults by what they count as
     * @param model the number of the unit's
     * @return for each of the faults, what held most often first; none if it was never mended here
     */
    public static Map<FaultName, List<Remedied>> of(ClosedBook book, Names names, long model, Set<FaultName> faults) {
        Map<FaultName, Tally> tallies = new HashMap<>();
        faults.forEach(fault -> tallies.put(fault, new Tally()));
        Afterwards afterwards = new Afterwards(book, List.of());
        Map<Integer, Optional<Tally>> byNumber = new HashMap<>();
        for (int job = 0; job < book.size(); job++) {
            for (int at = book.firstFound(job); at < book.endOfFound(job); at++) {
                Optional<Tally> tally = byNumber.computeIfAbsent(
                        book.found().fault(at),
                        id -> Optional.ofNullable(tallies.get(names.faults().get((long) id))));
                if (tally.isPresent() && book.found().kind(at).fault()) {
                    boolean back = !book.found().failed(at) && afterwards.cameBack(job, at);
                    boolean sameModel =
                            names.revisions().get((long) book.found().on(at)).model() == model;
                    count(tally.get().ofAll, book, at, back);
                    if (sameModel) {
                        count(tally.get().ofModel, book, at, back);
                    }
                }
            }
        }
        Map<FaultName, List<Remedied>> told = new HashMap<>();
        tallies.forEach((fault, tally) -> told.put(fault, tally.told()));
        return told;
    }

    private static void count(Map<Remedy, Counts> counts, ClosedBook book, int at, boolean back) {
        Counts one = counts.computeIfAbsent(book.found().remedy(at), remedy -> new Counts());
        one.times++;
        one.failed += book.found().failed(at) ? 1 : 0;
        one.cameBack += back ? 1 : 0;
    }
}
