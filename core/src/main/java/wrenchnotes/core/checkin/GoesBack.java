package wrenchnotes.core.checkin;

import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * One thing that came with a unit, at handover: it goes back, or there is a reason why not.
 *
 * @param why needed if it does not go back: "owner wants it thrown away"
 */
public record GoesBack(String name, boolean back, String why) {

    public GoesBack {
        name = Checked.text("name", name, 120);
        why = Checked.optionalText("why", why, 300);
        if (!back && why.isEmpty()) {
            throw new Invalid("belongings", "Say why \"" + name + "\" does not go back");
        }
    }

    /**
     * @param without what the unit came without
     * @return of what came with the unit and what it came without, what nobody has answered for; a sentence each
     */
    public static List<String> unanswered(List<String> belongings, List<String> without, List<GoesBack> answers) {
        Map<String, GoesBack> answered =
                answers.stream().collect(Collectors.toMap(GoesBack::name, Function.identity(), (one, other) -> one));
        return Stream.concat(
                        belongings.stream()
                                .filter(name -> !answered.containsKey(name))
                                .map(name -> "Does it go back: " + name + "?"),
                        without.stream()
                                .filter(name -> !answered.containsKey(name))
                                .map(name -> "It came without: " + name + ". Is that still so?"))
                .toList();
    }
}
