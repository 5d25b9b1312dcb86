package wrenchnotes.core.checkin;

/** Whose unit it is. A resale unit may be sold for somebody, who is then its owner. */
public enum Ownership {
    CUSTOMER,
    RESALE
}
