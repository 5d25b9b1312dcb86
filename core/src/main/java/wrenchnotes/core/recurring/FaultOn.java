package wrenchnotes.core.recurring;

/** A fault of a revision: the numbers of both. */
public record FaultOn(long revision, long fault) {}
