package wrenchnotes.core.recurring;

import wrenchnotes.core.unit.Spoken;

/** What a lead says of a watch point that the shop's own figures propose. */
public enum WatchSaid implements Spoken {
    STANDS,
    DECLINED,
    ENDED;

    @Override
    public String words() {
        return switch (this) {
            case STANDS -> "stands in the notes";
            case DECLINED -> "not worth it";
            case ENDED -> "ended";
        };
    }
}
