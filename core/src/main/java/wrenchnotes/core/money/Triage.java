package wrenchnotes.core.money;

/** What to do with a unit that is to be sold. */
public enum Triage {
    MEND("mend it"),
    SELL_AS_IS("sell it as it is, the fault told"),
    KEEP_FOR_PARTS("keep it for parts"),
    SCRAP("scrap it");

    private final String words;

    Triage(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
