package wrenchnotes.core.teardown;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.StringJoiner;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Spoken;

/**
 * A tool as it lies on the bench: a long PH1 is another one than a short one.
 *
 * @param name driver and size, or what it is called: {@code PH1}, {@code T8}, {@code hook}
 * @param traits what it must be besides
 */
public record Tool(String name, Set<Trait> traits) {

    public enum Trait implements Spoken {
        /** Reaches into a deep hole. */
        LONG,
        /** Brings the screw up with it. */
        MAGNETIC,
        /** Ground or cut down to go where a bought one does not. */
        TRIMMED
    }

    public Tool {
        name = Checked.text("tool", name, 60);
        traits = traits.isEmpty() ? Set.of() : Collections.unmodifiableSet(EnumSet.copyOf(traits));
    }

    /** The tools of a step in the order in which they are taken up, from what people write: "PH1 long, side cutter"; none for bare hands. */
    public static List<Tool> listed(String words) {
        return Arrays.stream(words.split("[,;]"))
                .map(String::strip)
                .filter(one -> !one.isEmpty())
                .map(Tool::read)
                .toList();
    }

    private static Tool read(String words) {
        Set<Trait> traits = EnumSet.noneOf(Trait.class);
        StringJoiner name = new StringJoiner(" ");
        for (String word : words.split("\\s+")) {
            String upper = word.toUpperCase(Locale.ROOT);
            Arrays.stream(Trait.values())
                    .filter(trait -> trait.name().equals(upper))
                    .findFirst()
                    .ifPresentOrElse(traits::add, () -> name.add(word));
        }
        return name.length() == 0 ? new Tool(words, Set.of()) : new Tool(name.toString(), traits);
    }

    /** "PH1", "PH1 long magnetic": the same tool is always called the same. */
    public String called() {
        StringJoiner words = new StringJoiner(" ");
        words.add(name);
        traits.forEach(trait -> words.add(trait.words()));
        return words.toString();
    }
}
