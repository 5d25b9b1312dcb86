package wrenchnotes.core.diagnosis.history;

import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import wrenchnotes.core.diagnosis.history.Where.Level;

/**
 * How likely a unit can be mended and stays so: of the last {@value #LATEST} closed jobs those that were mended, each counted at the narrowest level that it
 * has in common with the unit, and each level shrunk to the wider ones as the rates are ({@link Learning}).
 */
public final class Success {

    private static final int LATEST = 20_000;
    /** Common practice, no source. */
    private static final double USUALLY_MENDED = 0.8;

    private static final Ended NONE = new Ended(0, 0);

    private Success() {}

    /** Of some jobs that ended with a word on it. */
    private record Ended(int tried, int mended) {

        Ended and(boolean one) {
            return new Ended(tried + 1, mended + (one ? 1 : 0));
        }
    }

    /** @return 0 to 1 */
    public static double of(ClosedBook book, Where where, Names names) {
        Map<Level, Ended> levels = new EnumMap<>(Level.class);
        Map<Long, Level> near = new HashMap<>();
        for (int at = Math.max(0, book.size() - LATEST); at < book.size(); at++) {
            Optional<Boolean> ended = book.mended(at);
            if (ended.isPresent()) {
                Level level = near.computeIfAbsent(
                        book.revision(at),
                        revision -> names.revisions().get(revision).nearness(where));
                levels.put(level, levels.getOrDefault(level, NONE).and(ended.get()));
            }
        }
        double success = USUALLY_MENDED;
        for (Level level : Learning.NARROWING) {
            Ended so = levels.getOrDefault(level, NONE);
            double weight = Learning.USUAL.weight(level);
            success = (so.mended() + weight * success) / (so.tried() + weight);
        }
        return success;
    }
}
