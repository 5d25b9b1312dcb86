package wrenchnotes.core.unit;

import java.util.List;

/**
 * The shop's rules do not allow what was asked. Carries one sentence for each reason, written for the person at the
 * bench, and nothing has changed.
 */
public final class Refused extends RuntimeException {

    private final transient List<String> reasons;

    private Refused(List<String> reasons) {
        super(String.join(" ", reasons));
        this.reasons = List.copyOf(reasons);
    }

    /** @param reasons at least one sentence that says what is in the way and what to do about it */
    public static Refused because(List<String> reasons) {
        if (reasons.isEmpty()) {
            throw new IllegalArgumentException("A refusal needs at least one reason");
        }
        return new Refused(reasons);
    }

    public static Refused because(String reason) {
        return because(List.of(reason));
    }

    public List<String> reasons() {
        return reasons;
    }
}
