package wrenchnotes.core.diagnosis;

import wrenchnotes.core.unit.Spoken;

/** Where what was replaced went. */
public enum OldGoes implements Spoken {
    KEPT,
    DONOR_STOCK,
    OWNER,
    SCRAP;

    @Override
    public String words() {
        return switch (this) {
            case KEPT -> "kept with the job";
            case DONOR_STOCK -> "to the donor parts";
            case OWNER -> "to the owner";
            case SCRAP -> "thrown away";
        };
    }
}
