package wrenchnotes.core.bench;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.Step;

/** What is adjusted in a step is marked before it is moved, and said to stand on its mark before the step is back. */
final class Marks {

    private final WayIn way;
    private final List<PlaceMark> said;

    Marks(WayIn way, List<PlaceMark> said) {
        this.way = way;
        this.said = said;
    }

    /** What of a step has to be marked on the way in, or said to be back on the way out. */
    List<SayFirst> all(Step step) {
        return step.adjusted().stream()
                .flatMap(stays -> asked(step, stays).stream())
                .toList();
    }

    private Optional<SayFirst> asked(Step step, Staying stays) {
        Optional<PlaceMark> stands = standing(step.id(), stays.id());
        if (!way.isOpen(step.id())) {
            return stands.isPresent()
                    ? Optional.empty()
                    : Optional.of(SayFirst.of(new SayFirst.Adjusted(step.id(), stays, Optional.empty())));
        }
        return stands.map(mark -> SayFirst.of(new SayFirst.Adjusted(step.id(), stays, Optional.of(mark))));
    }

    /** The mark that something was given and has not been put back on. */
    Optional<PlaceMark> standing(String step, String stays) {
        return said.stream()
                .filter(mark -> mark.step().equals(step) && mark.stays().equals(stays))
                .reduce((earlier, later) -> later)
                .filter(mark -> !mark.back());
    }

    /** What is in the way of doing a step, in or out; empty if nothing is. */
    List<String> inTheWay(Step step) {
        return all(step).stream()
                .limit(1)
                .flatMap(first -> first.adjusted().stream())
                .map(Marks::sentence)
                .toList();
    }

    private static String sentence(SayFirst.Adjusted asked) {
        String label = asked.stays().label();
        return asked.mark()
                .map(mark -> "Say first that \"" + label + "\" stands where it stood"
                        + (mark.words().isEmpty() ? "." : ": " + mark.words()))
                .orElse("Mark first where \"" + label + "\" stands, or take a picture of it: this step moves it.");
    }
}
