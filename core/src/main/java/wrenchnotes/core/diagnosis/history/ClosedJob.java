package wrenchnotes.core.diagnosis.history;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;

/**
 * A job whose unit has left, as the book keeps it: it does not change any more.
 *
 * @param id below 0 of a job that the shop brought with it
 * @param unit {@link #NO_UNIT} if nobody knows which one it was
 * @param owner whose it was; {@link #NOBODY} if the shop's own
 * @param checkedIn in milliseconds since 1970
 * @param handedOver in milliseconds since 1970
 * @param outcome the word that stood when the unit left
 * @param untested whether it was said to be mended and nobody tried it: that teaches nothing of whether it was
 * @param benchMillis spent at the bench, pauses left out; 0 if nobody kept the time or nothing was done
 * @param partsMinor what its parts cost
 * @param inside revisions of the sub-assemblies that were seen in it
 * @param found what was found and stands, in the order in which it was written down
 * @param said symptoms that were spoken of when it came in
 */
public record ClosedJob(
        long id,
        long unit,
        long revision,
        Ownership ownership,
        long owner,
        long checkedIn,
        long handedOver,
        Optional<Outcome> outcome,
        boolean untested,
        long benchMillis,
        long partsMinor,
        List<Long> inside,
        List<FoundFault> found,
        List<SaidWord> said) {

    /** Jobs of no unit follow on none. */
    public static final long NO_UNIT = 0;

    /** No owner, and no supplier. */
    public static final long NOBODY = 0;

    /**
     * @param revision that the finding was made on
     * @param fault what is wrong with the component
     * @param failed whether the remedy changed nothing: then it was another fault
     * @param changed symptoms that its remedy left there, or (not present) took away
     * @param kind only a fault teaches and counts as a failure
     * @param supplier whose part went in; {@link #NOBODY} if none did, or nobody knows
     */
    public record FoundFault(
            long revision,
            long fault,
            long component,
            Remedy remedy,
            boolean failed,
            FindingKind kind,
            long supplier,
            List<SaidWord> changed) {

        public FoundFault {
            changed = List.copyOf(changed);
        }

        /** Without a part of any supplier. */
        public FoundFault(
                long revision,
                long fault,
                long component,
                Remedy remedy,
                boolean failed,
                FindingKind kind,
                List<SaidWord> changed) {
            this(revision, fault, component, remedy, failed, kind, NOBODY, changed);
        }
    }

    /** @param present false if it was asked for and was not there */
    public record SaidWord(long word, boolean present) {}

    public ClosedJob {
        inside = List.copyOf(inside);
        found = List.copyOf(found);
        said = List.copyOf(said);
    }
}
