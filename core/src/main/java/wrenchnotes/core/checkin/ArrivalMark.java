package wrenchnotes.core.checkin;

import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/** What can be seen of a unit's state when it comes in. */
public enum ArrivalMark implements Spoken {
    SEAL_WHOLE,
    SEAL_BROKEN,
    SEAL_OURS,
    SCREWS_MISSING,
    DENTS,
    BENT,
    LIQUID,
    EARLIER_ATTEMPT,
    SWOLLEN_CELL,
    BURNT_SMELL;

    /** What has to be minded before anybody goes on (usual cautions; local rules decide). */
    public Optional<String> caution() {
        return switch (this) {
            case SWOLLEN_CELL ->
                Optional.of("Swollen cell: stop, do not charge or press it, set the unit apart where nothing burns."
                        + " Follow your local fire and waste rules.");
            case BURNT_SMELL ->
                Optional.of("Smells burnt: leave it unplugged until somebody has looked inside. Your local rules decide"
                        + " who may.");
            case LIQUID ->
                Optional.of("Liquid: no power before it is dry. Unplug, cells out if they are whole, gloves on.");
            default -> Optional.empty();
        };
    }

    /** What cannot be so as well: what is sealed as it was made is neither broken open nor opened before. */
    public Set<ArrivalMark> excludes() {
        return switch (this) {
            case SEAL_WHOLE -> EnumSet.of(SEAL_BROKEN, EARLIER_ATTEMPT);
            case SEAL_BROKEN, EARLIER_ATTEMPT -> EnumSet.of(SEAL_WHOLE);
            default -> EnumSet.noneOf(ArrivalMark.class);
        };
    }

    /** @throws Invalid if two of the marks cannot both be so */
    public static void mustAgree(Collection<ArrivalMark> marks) {
        for (ArrivalMark mark : marks) {
            mark.excludes().stream().filter(marks::contains).findFirst().ifPresent(other -> {
                throw new Invalid(
                        "marks", "It cannot be both " + mark.words() + " and " + other.words() + ": keep one");
            });
        }
    }

    /** Whether nobody may begin before a lead has said what was done with it. */
    public boolean stopsTheStart() {
        return this == SWOLLEN_CELL;
    }

    /** Of the marks of a unit, those that stop the start and were not seen to. */
    public static List<ArrivalMark> notSeenTo(Collection<ArrivalMark> marks, Collection<ArrivalMark> seenTo) {
        return marks.stream()
                .filter(mark -> mark.stopsTheStart() && !seenTo.contains(mark))
                .sorted()
                .toList();
    }

    /** What it says to whoever would begin before it was seen to. */
    public String beforeItIsSeenTo() {
        return caution().orElse(words()) + " Nobody begins before a lead has said what was done with it.";
    }

    /** Those of the marks that can hurt, in their order. */
    public static List<ArrivalMark> dangers(Collection<ArrivalMark> marks) {
        return marks.stream()
                .filter(mark -> mark.caution().isPresent())
                .sorted()
                .toList();
    }

    /** What has to be minded of all that is seen, each once, in the order of the marks. */
    public static List<String> cautions(Collection<ArrivalMark> marks) {
        return marks.stream().sorted().flatMap(mark -> mark.caution().stream()).toList();
    }

    /** Whether a unit to which this happened is looked over as a whole, whatever it came for (common practice, no source). */
    public boolean shakes() {
        return this == DENTS || this == BENT || this == LIQUID;
    }

    @Override
    public String words() {
        return switch (this) {
            case SEAL_OURS -> "our seal";
            case EARLIER_ATTEMPT -> "opened before";
            case BURNT_SMELL -> "smells burnt";
            default -> Spoken.super.words();
        };
    }
}
