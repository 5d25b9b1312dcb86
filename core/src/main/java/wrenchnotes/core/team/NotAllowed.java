package wrenchnotes.core.team;

/** Somebody else has to do that. Says who may. */
public final class NotAllowed extends RuntimeException {

    public NotAllowed(Act act) {
        this("You may not " + act.words() + " here: " + act.who()
                + " may. Ask one of them, or have a lead give you that role.");
    }

    /** @param words who may, and what to do instead */
    public NotAllowed(String words) {
        super(words);
    }
}
