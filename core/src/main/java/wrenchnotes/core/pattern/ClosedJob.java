package wrenchnotes.core.pattern;

import java.util.List;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;

/**
 * A job whose unit has left, as the book keeps it: it does not change any more.
 *
 * @param checkedIn in milliseconds since 1970
 * @param handedOver in milliseconds since 1970
 * @param found what was found and stands, in the order in which it was written down
 */
public record ClosedJob(
        long id,
        long unit,
        long revision,
        Ownership ownership,
        long checkedIn,
        long handedOver,
        List<FoundFault> found) {

    /**
     * @param revision that the finding was made on
     * @param fault what is wrong with the component
     */
    public record FoundFault(long revision, long fault, long component, Remedy remedy) {}

    public ClosedJob {
        found = List.copyOf(found);
    }
}
