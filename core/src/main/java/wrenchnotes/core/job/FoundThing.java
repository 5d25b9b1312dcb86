package wrenchnotes.core.job;

import wrenchnotes.core.unit.Spoken;

/** What lay in a unit and does not belong there. */
public enum FoundThing implements Spoken {
    DISC,
    COIN,
    CARD,
    FRAGMENT,
    INSECT,
    OTHER;

    /** Whether it is somebody's, and joins what goes back with the unit. */
    public boolean goesBack() {
        return this != FRAGMENT && this != INSECT;
    }

    @Override
    public String words() {
        return this == OTHER ? "something else" : Spoken.super.words();
    }
}
