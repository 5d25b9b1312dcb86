package wrenchnotes.core.checkin;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Words;

/**
 * What a correction changed of what was said at check-in, a line each: "Missing added: 2 × case screws".
 *
 * @param ours in the shop's words
 * @param owners in the owner's own words, which are kept apart
 */
public record ArrivalDiff(List<String> ours, List<String> owners) {

    /**
     * What can be corrected.
     *
     * @param revision its name
     * @param due the promised day, where the shop is
     */
    public record Told(
            String serial, String revision, Optional<String> slot, Optional<LocalDate> due, Arrival arrival) {}

    /** @param labels of the things of the notes, by id; one that is not in it is called by its id */
    public static ArrivalDiff between(Told was, Told is, Map<String, String> labels) {
        List<String> ours = new ArrayList<>();
        differ(ours, "Slot", was.slot().orElse(""), is.slot().orElse(""));
        differ(ours, "Serial", was.serial(), is.serial());
        differ(ours, "Revision", was.revision(), is.revision());
        differ(ours, "Promised for", day(was.due()), day(is.due()));
        differ(ours, "Condition", was.arrival().condition(), is.arrival().condition());
        listed(ours, "Symptom", symptoms(was.arrival()), symptoms(is.arrival()));
        listed(ours, "Mark", marks(was.arrival()), marks(is.arrival()));
        listed(ours, "Missing", missing(was.arrival(), labels), missing(is.arrival(), labels));
        listed(
                ours,
                "Came with it",
                same(was.arrival().belongings()),
                same(is.arrival().belongings()));
        listed(
                ours,
                "Came without",
                same(was.arrival().without()),
                same(is.arrival().without()));
        listed(ours, "Photo", photos(was.arrival()), photos(is.arrival()));
        List<String> owners = new ArrayList<>();
        differ(owners, "Complaint", was.arrival().complaint(), is.arrival().complaint());
        return new ArrivalDiff(List.copyOf(ours), List.copyOf(owners));
    }

    private static void differ(List<String> lines, String what, String was, String is) {
        Words.changed(what, was, is).ifPresent(lines::add);
    }

    /** By what each is about: what is new, what is gone, and what is said otherwise. */
    private static void listed(List<String> lines, String what, Map<String, String> was, Map<String, String> is) {
        is.forEach((about, words) -> {
            String before = was.get(about);
            if (before == null) {
                lines.add(what + " added: " + words);
            } else if (!before.equals(words)) {
                lines.add(what + ": " + before + " → " + words);
            }
        });
        was.forEach((about, words) -> {
            if (!is.containsKey(about)) {
                lines.add(what + " taken away: " + words);
            }
        });
    }

    private static Map<String, String> symptoms(Arrival arrival) {
        return words(
                arrival.symptoms().stream(),
                Arrival.Symptom::name,
                symptom -> symptom.present() ? symptom.name() : symptom.name() + " (asked, not so)");
    }

    private static Map<String, String> marks(Arrival arrival) {
        return words(
                arrival.marks().stream().sorted(Comparator.naturalOrder()),
                ArrivalMark::name,
                mark -> mark.words()
                        + Optional.ofNullable(arrival.places().get(mark))
                                .map(where -> " (" + where + ")")
                                .orElse(""));
    }

    private static Map<String, String> missing(Arrival arrival, Map<String, String> labels) {
        return words(
                arrival.missing().stream(),
                Arrival.Missing::thing,
                one -> one.count() + " × " + labels.getOrDefault(one.thing(), one.thing()));
    }

    private static Map<String, String> photos(Arrival arrival) {
        return words(
                arrival.photos().stream(),
                Arrival.ArrivalPhoto::hash,
                photo -> photo.words().isEmpty() ? "a picture" : photo.words());
    }

    private static Map<String, String> same(List<String> all) {
        return words(all.stream(), Function.identity(), Function.identity());
    }

    private static <T> Map<String, String> words(Stream<T> all, Function<T, String> about, Function<T, String> words) {
        return all.collect(Collectors.toMap(about, words, (one, other) -> other, LinkedHashMap::new));
    }

    private static String day(Optional<LocalDate> due) {
        return due.map(LocalDate::toString).orElse("no day");
    }

    /** In one sentence after the other; says so if nothing differs. */
    public String sentences() {
        return ours.isEmpty() && owners.isEmpty() ? "Nothing differs." : sentences(ours);
    }

    /** What differs in the owner's own words; may be empty. */
    public String ownersSentences() {
        return sentences(owners);
    }

    private static String sentences(List<String> lines) {
        return lines.isEmpty() ? "" : String.join(". ", lines) + ".";
    }
}
