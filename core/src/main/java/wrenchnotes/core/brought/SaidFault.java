package wrenchnotes.core.brought;

import java.util.Collection;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;

/**
 * A fault as a list says it in one go, taken apart: "capstan belt worn", "worn belt", "belt: slips".
 *
 * @param component what is at fault, up to 80 characters
 * @param wrong what is wrong with it, up to 80 characters
 */
public record SaidFault(String component, String wrong) {

    private static final String UNSAID = "faulty";

    /** @param components names that the model's components go by */
    public static SaidFault of(String said, Collection<String> components) {
        String words = said.strip().replaceAll("\\s+", " ");
        String lower = words.toLowerCase(Locale.ROOT);
        Optional<String> known = components.stream()
                .filter(name -> (" " + lower.replaceAll("[^\\p{L}\\p{N}]+", " ") + " ")
                        .contains(" " + name.toLowerCase(Locale.ROOT) + " "))
                .max(Comparator.comparingInt(String::length));
        if (known.isPresent()) {
            int at = lower.indexOf(known.get().toLowerCase(Locale.ROOT));
            String rest = at < 0
                    ? ""
                    : words.substring(0, at) + " "
                            + words.substring(at + known.get().length());
            return made(known.get(), rest);
        }
        String[] parts = words.split("\\s*[:;,]\\s*|\\s+[-–]\\s+", 2);
        if (parts.length == 2) {
            return made(parts[0], parts[1]);
        }
        int last = words.lastIndexOf(' ');
        return last < 0 ? made(words, "") : made(words.substring(0, last), words.substring(last + 1));
    }

    private static SaidFault made(String component, String wrong) {
        String rest = wrong.replaceAll("^[\\s:;,.–-]+|[\\s:;,.–-]+$", "").replaceAll("\\s+", " ");
        return new SaidFault(cut(component), rest.isEmpty() ? UNSAID : cut(rest));
    }

    private static String cut(String words) {
        return words.length() <= 80 ? words : words.substring(0, 79) + "…";
    }
}
