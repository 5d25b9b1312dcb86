package wrenchnotes.core.shop;

import wrenchnotes.core.unit.Spoken;

/** What a new shop has to do in its first hour, in the order of the work. */
public enum FirstThing implements Spoken {
    SHOP,
    PEOPLE,
    PARTS,
    UNIT,
    BENCH;

    @Override
    public String words() {
        return switch (this) {
            case SHOP -> "Say what the shop is called, in what it is paid, and when it is open";
            case PEOPLE -> "Say who works here, and what each may do";
            case PARTS -> "Put the parts you use most in a drawer";
            case UNIT -> "Take the first unit in: its model is made on the way";
            case BENCH -> "Open it on the bench: what comes off writes the notes";
        };
    }
}
