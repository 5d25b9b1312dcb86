package wrenchnotes.core.diagnosis.history;

import wrenchnotes.core.diagnosis.Remedy;

/** A fault that was found on a closed stay of a unit, and what was done about it. */
public record EarlierFault(long job, long fault, Remedy remedy, long handedOver) {}
