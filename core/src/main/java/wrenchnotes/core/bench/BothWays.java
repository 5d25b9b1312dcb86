package wrenchnotes.core.bench;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wrenchnotes.core.teardown.Thing;

/** The way out against the way in, group by group: what does not agree is shown, not smoothed. */
public final class BothWays {

    private BothWays() {}

    /**
     * One thing over a run.
     *
     * @param off came off into the tray
     * @param basis how that count is known
     * @param back went back from the tray into its place
     */
    public record CountLine(Thing thing, int off, Basis basis, int back) {

        public boolean agrees() {
            return off == back && basis == Basis.COUNTED;
        }

        /** "case: 9 off (told, not counted), 8 back". */
        public String sentence() {
            String how = basis == Basis.COUNTED ? "" : " (" + basis.words() + ")";
            return thing.label() + ": " + off + " off" + how + ", " + back + " back";
        }
    }

    /**
     * @param moves of one run, those taken back left out
     * @return a line for each thing that does not agree or was not counted, in the order of the notes
     */
    public static List<CountLine> disagreeing(List<Thing> things, List<Move> moves) {
        Map<String, CountLine> lines = new LinkedHashMap<>();
        things.forEach(thing -> lines.put(thing.id(), new CountLine(thing, 0, Basis.COUNTED, 0)));
        moves.forEach(move -> lines.computeIfPresent(move.thing(), (id, line) -> with(line, move)));
        return lines.values().stream().filter(line -> !line.agrees()).toList();
    }

    private static CountLine with(CountLine line, Move move) {
        if (move.from().inPlace() && move.to() == Account.TRAY) {
            return new CountLine(
                    line.thing(), line.off() + move.count(), line.basis().weaker(move.basis()), line.back());
        }
        if (move.to() == Account.TRAY && move.from() == Account.BEYOND_NOTES) {
            return new CountLine(line.thing(), line.off() + move.count(), line.basis(), line.back());
        }
        if (move.from() == Account.TRAY && move.to() == Account.BEYOND_NOTES) {
            // The lot that nobody had counted, exchanged for as many as were counted.
            return new CountLine(line.thing(), line.off() - move.count(), Basis.COUNTED, line.back());
        }
        return move.from() == Account.TRAY && move.to() == Account.FITTED
                ? new CountLine(line.thing(), line.off(), line.basis(), line.back() + move.count())
                : line;
    }
}
