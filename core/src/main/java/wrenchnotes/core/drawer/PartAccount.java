package wrenchnotes.core.drawer;

import wrenchnotes.core.unit.Spoken;

/**
 * Where parts can be. Every movement takes from one account what it adds to another, so that for each part all accounts together
 * hold nothing: what lies in the shop is what came from outside and has not gone.
 */
public enum PartAccount implements Spoken {
    /** Outside: whoever sells parts. */
    SUPPLIER,
    /** In its drawer. */
    DRAWER,
    /** Set aside for a job, not fitted yet. */
    SHELF,
    /** Used up on a job: agent, resin, grease, paste, a sticker. */
    JOB,
    /** Fitted in the unit of a job. */
    UNIT,
    /** Outside: units that are kept for parts. */
    DONOR,
    /** Outside: made or improvised at the bench. */
    WORKSHOP,
    /** Outside: brought by the unit's owner. */
    OWNER,
    /** Thrown away. */
    SCRAP,
    /** The difference that a count of the drawer showed. */
    LOST_COUNT;

    /** Whether what is here was used on a job and is part of what the job cost. */
    public boolean onJob() {
        return this == JOB || this == UNIT;
    }
}
