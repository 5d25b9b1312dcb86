package wrenchnotes.server.drawer;

import wrenchnotes.core.unit.By;

/** Parts in units that are kept for parts; known to the room of donors. Runs in the caller's transaction. */
public interface DonorParts {

    /** A component of such a unit. */
    record FromDonor(long unit, long component) {}

    /**
     * What is about to be taken out.
     *
     * @param words "lens of WN-0031"
     * @param valueMinor what it carries away of what was paid for the unit
     */
    record TakenOut(String words, long valueMinor) {}

    /** What it is, in words: "lens of WN-0031". */
    String called(FromDonor from);

    /** @throws wrenchnotes.core.unit.Refused if there is no such donor, or that is gone from it */
    TakenOut takes(FromDonor from);

    /** It was taken out, or is back: the donor's own story tells it. @param where "for WN-0231", "into drawer 14" */
    void moved(By by, FromDonor from, boolean out, String where);
}
