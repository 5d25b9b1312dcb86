package wrenchnotes.core.drawer;

import wrenchnotes.core.unit.Spoken;

/** Where a part that was fitted came from. */
public enum CameFrom implements Spoken {
    DRAWER(PartAccount.DRAWER),
    ORDERED(PartAccount.SUPPLIER),
    DONOR(PartAccount.DONOR),
    MADE(PartAccount.WORKSHOP),
    IMPROVISED(PartAccount.WORKSHOP),
    OWNERS(PartAccount.OWNER);

    private final PartAccount account;

    CameFrom(PartAccount account) {
        this.account = account;
    }

    public PartAccount account() {
        return account;
    }

    /** What is said of it for good, wherever the unit is shown; empty if it is a new part like any other. */
    public String mark() {
        return switch (this) {
            case DRAWER, ORDERED -> "";
            case DONOR -> "second-hand";
            case MADE -> "made here";
            case IMPROVISED -> "improvised";
            case OWNERS -> "the owner's own";
        };
    }
}
