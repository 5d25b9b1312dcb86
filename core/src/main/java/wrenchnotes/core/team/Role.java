package wrenchnotes.core.team;

import wrenchnotes.core.unit.Spoken;

/** What somebody does in the shop. In a shop of one to three, one person has several. */
public enum Role implements Spoken {
    COUNTER,
    BENCH,
    LEAD
}
