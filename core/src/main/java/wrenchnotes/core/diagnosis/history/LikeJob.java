package wrenchnotes.core.diagnosis.history;

import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/**
 * A closed job with kept time, seen from a unit that stands here now.
 *
 * @param level the narrowest thing that the two have in common
 */
public record LikeJob(Where.Level level, Set<FaultName> faults, PastJob.Work work) {}
