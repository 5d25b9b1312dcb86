package wrenchnotes.core.brought;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;

/**
 * A past job as a row says it.
 *
 * @param day when it was done, not to come
 * @param owner may be empty
 * @param model as it is called there
 * @param symptoms as they were said, none twice
 * @param fault in words; may be empty, and then there is no remedy
 * @param part may be empty
 * @param costMinor of the parts, minor units; 0 if not said
 */
public record BroughtJob(
        LocalDate day,
        String owner,
        String model,
        List<String> symptoms,
        String fault,
        Optional<Remedy> remedy,
        String part,
        long costMinor,
        Optional<Outcome> outcome) {}
