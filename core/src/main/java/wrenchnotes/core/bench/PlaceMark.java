package wrenchnotes.core.bench;

import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * Somebody said where something stands that a step moves without taking it off, before it was moved; or that it stands there again.
 *
 * @param step id of the step
 * @param stays id of what is adjusted in it
 * @param back whether it stands there again
 * @param words how it was marked: "line across post and plate"; may be empty
 * @param photo SHA-256 of the picture that was taken of it
 */
public record PlaceMark(String step, String stays, boolean back, String words, Optional<String> photo, Moment moment) {

    /** The same, where the notes call the step otherwise. */
    PlaceMark of(String otherStep) {
        return new PlaceMark(otherStep, stays, back, words, photo, moment);
    }
}
