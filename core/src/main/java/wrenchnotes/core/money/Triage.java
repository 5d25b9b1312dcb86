package wrenchnotes.core.money;

import wrenchnotes.core.unit.Spoken;

/** What to do with a unit that is to be sold. */
public enum Triage implements Spoken {
    MEND("mend it"),
    SELL_AS_IS("sell it as it is, the fault told"),
    KEEP_FOR_PARTS("keep it for parts"),
    SCRAP("scrap it");

    private final String words;

    Triage(String words) {
        this.words = words;
    }

    @Override
    public String words() {
        return words;
    }
}
