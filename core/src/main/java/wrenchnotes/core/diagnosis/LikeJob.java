package wrenchnotes.core.diagnosis;

import java.util.Set;

/**
 * A closed job with kept time, seen from a unit that stands here now.
 *
 * @param level the narrowest thing that the two have in common
 */
public record LikeJob(Where.Level level, Set<FaultName> faults, PastJob.Work work) {}
