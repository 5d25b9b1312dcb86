package wrenchnotes.core.diagnosis;

import java.util.EnumSet;
import java.util.Set;
import wrenchnotes.core.unit.Spoken;

/** What a finding is to the model's record. Only a fault teaches what such units have and counts as a failure. */
public enum FindingKind implements Spoken {
    /** The owner complained of it, or a check, a look or a reading showed it. */
    FAULT,
    /** Nothing showed it: cleaned or changed on principle, while the unit was open. It costs, and is counted apart. */
    UPKEEP,
    /** Our own step or part: rework, nothing against the model, and nobody is ranked by it. */
    OURS,
    /** Seen and left: a remark to whoever gets the unit. */
    SEEN;

    private static final Set<Remedy> ON_PRINCIPLE =
            EnumSet.of(Remedy.REPLACED, Remedy.CLEANED, Remedy.LUBRICATED, Remedy.ADJUSTED, Remedy.RESOLDERED);

    /** Whether it counts as a failure of the model. */
    public boolean fault() {
        return this == FAULT;
    }

    /** Whether a later stay with it is a comeback of what was done to the component before: upkeep and remarks are none. */
    public boolean comesBack() {
        return this == FAULT || this == OURS;
    }

    /**
     * What it most likely is, to be picked before anybody says otherwise.
     *
     * @param shown whether a symptom that was told is one of this fault, or the component was seen bad, measured bad or failed a check
     * @param proved whether something is said to have proved it
     */
    public static FindingKind likely(Remedy remedy, boolean shown, boolean proved) {
        if (remedy == Remedy.LEFT_AS_IT_IS) {
            return shown ? FAULT : SEEN;
        }
        return shown || proved || !ON_PRINCIPLE.contains(remedy) ? FAULT : UPKEEP;
    }

    @Override
    public String words() {
        return switch (this) {
            case FAULT -> "a fault";
            case UPKEEP -> "upkeep";
            case OURS -> "our own doing";
            case SEEN -> "seen and left";
        };
    }
}
