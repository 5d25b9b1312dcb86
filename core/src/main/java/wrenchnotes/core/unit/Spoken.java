package wrenchnotes.core.unit;

import java.util.Locale;

/** One of a closed list, as it is said on the floor. The same words go into the job's story, onto paper and onto screens. */
public interface Spoken {

    /** What it is called in the code. */
    String name();

    /** What it is called on the floor: as in the code, where that says nothing else. */
    default String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
