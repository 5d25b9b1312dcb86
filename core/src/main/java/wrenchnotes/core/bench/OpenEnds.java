package wrenchnotes.core.bench;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * What no account of the ledger holds and yet keeps a unit from being closed.
 *
 * @param temporary what was made so for a test and must be put right: "magnet holds the disc", "rubber band for the belt"; it may stay in
 *     for now when the unit goes out on loan
 * @param fragments tallies of broken pieces
 * @param replaced what findings say was replaced: the ledger must not say otherwise
 */
public record OpenEnds(List<ForTheTest> temporary, List<Piece> fragments, List<Replaced> replaced) {

    /**
     * @param step the step that was open last when it was made so: where it can be reached; empty if nothing was open
     * @param stays since it was said to stay in for now, and why; empty if nobody said so
     */
    public record ForTheTest(String words, Optional<String> step, Optional<Stays> stays) {

        /** Whether it was said on a run that it stays in until the next one. */
        boolean staysOn(Optional<RunRecord> run) {
            return stays.filter(said -> run.filter(one -> !said.at().isBefore(one.started()))
                            .isPresent())
                    .isPresent();
        }

        String sentence() {
            return "For the test only: " + words + ". Put it right, or say why it stays in for now.";
        }
    }

    public record Stays(String why, Moment at) {}

    /** @param step as of {@link ForTheTest} */
    public record Piece(Fragments tally, Optional<String> step) {}

    public static final OpenEnds NONE = new OpenEnds(List.of(), List.of(), List.of());

    public OpenEnds {
        temporary = List.copyOf(temporary);
        fragments = List.copyOf(fragments);
        replaced = List.copyOf(replaced);
    }
}
