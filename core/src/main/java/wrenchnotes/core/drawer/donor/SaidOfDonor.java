package wrenchnotes.core.drawer.donor;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.unit.Checked;

/**
 * One thing that was found or seen of a component while its unit was on the bench, on any stay. The last word stands: whoever looked after the
 * remedy knows better than the remedy.
 *
 * @param words as it is told: "replaced, belt 57 square", "good, by eye"
 */
public record SaidOfDonor(Instant at, boolean good, String words) {

    public SaidOfDonor {
        Checked.present("at", at);
        Checked.present("words", words);
    }

    /** A look: somebody saw, measured or tried it. */
    public static SaidOfDonor look(Instant at, boolean good, Means means) {
        return new SaidOfDonor(at, good, (good ? "good, " : "bad, ") + means.how());
    }

    /**
     * A finding: mended is good, left or without effect is bad.
     *
     * @param failed whether the remedy changed nothing
     */
    public static SaidOfDonor finding(Instant at, String wrong, Remedy remedy, boolean failed) {
        boolean good = remedy != Remedy.LEFT_AS_IT_IS && !failed;
        return new SaidOfDonor(
                at,
                good,
                good
                        ? wrong + ", " + remedy.words()
                        : wrong + (failed ? ", " + remedy.words() + " without effect" : ", left as it is"));
    }

    /** @param said of one component, in any order @return the last word; empty if there is none */
    public static Optional<SaidOfDonor> last(List<SaidOfDonor> said) {
        return said.stream().reduce((one, other) -> other.at().isBefore(one.at()) ? one : other);
    }

    /** @param taken whether it was taken out since: then nothing else is said of it */
    public static InDonor standing(List<SaidOfDonor> said, boolean taken) {
        if (taken) {
            return InDonor.GONE;
        }
        return last(said).map(one -> one.good() ? InDonor.GOOD : InDonor.BAD).orElse(InDonor.UNKNOWN);
    }
}
