package wrenchnotes.core.checkin;

import wrenchnotes.core.unit.Spoken;

/** Whose unit it is. A resale unit may be sold for somebody, who is then its owner. */
public enum Ownership implements Spoken {
    CUSTOMER,
    RESALE
}
