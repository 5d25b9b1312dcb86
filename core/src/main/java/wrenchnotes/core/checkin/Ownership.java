package wrenchnotes.core.checkin;

import wrenchnotes.core.unit.Spoken;

/** Whose unit it is. */
public enum Ownership implements Spoken {
    CUSTOMER,
    /** To be sold, by us or for somebody, who is then its owner. */
    RESALE,
    /** The shop's own: its tools and its collection. It is in neither customers' nor resale figures. */
    OWN
}
