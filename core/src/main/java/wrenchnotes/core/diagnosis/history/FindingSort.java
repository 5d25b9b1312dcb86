package wrenchnotes.core.diagnosis.history;

import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;

/** Which findings of the closed book are counted together. */
public record FindingSort(long revision, long fault, FindingKind kind, Ownership ownership, Remedy remedy) {}
