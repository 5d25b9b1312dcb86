package wrenchnotes.core.gauge;

import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Spoken;

/** Under what something was read; what nobody said is empty. Readings under other conditions are not laid beside one another as alike. */
public record Conditions(Optional<Supplied> supply, Optional<Warmth> warmth) {

    public static final Conditions UNSAID = new Conditions(Optional.empty(), Optional.empty());

    public enum Supplied implements Spoken {
        OFF,
        ON,
        /** While it is asked to do what it is for: play, eject, load. */
        ON_REQUEST
    }

    public enum Warmth implements Spoken {
        COLD,
        AFTER_TEN_MINUTES
    }

    /** "on request, cold"; empty if nothing was said. */
    public String words() {
        return Stream.concat(supply.stream().map(Spoken::words), warmth.stream().map(Spoken::words))
                .collect(Collectors.joining(", "));
    }

    /** Behind what it is said of: "before, cold". */
    public String after(String title) {
        return words().isEmpty() ? title : title + ", " + words();
    }

    public boolean off() {
        return supply.equals(Optional.of(Supplied.OFF));
    }
}
