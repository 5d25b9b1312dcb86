package wrenchnotes.core.diagnosis.odds;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Things tried with one another: these three discs in those three drives. A pair goes wrong if either of the two is bad; so a row
 * or column that goes wrong throughout is to blame, and one pair alone blames neither.
 *
 * @param down 1 to 6 things, each with a name of its own
 * @param across 1 to 6 things
 * @param tries each pair at most once; pairs that nobody tried are left out
 */
public record CrossedTries(List<Tried> down, List<Tried> across, List<Try> tries) {

    /** How likely a bad one of the two makes a try go wrong, and how likely it goes wrong with both good. Ours, no source. */
    static final double SPOILS = 0.9;

    static final double BY_CHANCE = 0.04;

    private static final int MOST = 6;

    /**
     * @param whole whether it is the unit on the bench as a whole: any of its faults may be to blame
     * @param component of the unit on the bench that this is; empty if it is a disc, a lead, or another unit's
     */
    public record Tried(String name, boolean whole, Optional<String> component) {
        public Tried {
            name = Checked.text("name", name, 60);
            if (whole && component.isPresent()) {
                throw new Invalid("component", "\"" + name + "\" is the whole unit or one component of it: keep one");
            }
        }
    }

    /** What all pairs have in common beside the things themselves: the lead, the supply, the way it was tried. */
    static final String SHARED = "what all of them share (lead, supply, how it was tried)";

    /**
     * Whether no pair works although two and more were tried on either side: then one thing that they share is likelier than that so
     * many are bad at once.
     */
    boolean nothingWorks() {
        return tries.stream().noneMatch(Try::good)
                && tries.stream().map(Try::down).distinct().count() > 1
                && tries.stream().map(Try::across).distinct().count() > 1;
    }

    /** @param down index of the row, from 0; @param across index of the column, from 0 */
    public record Try(int down, int across, boolean good) {}

    public CrossedTries {
        down = named("down", down);
        across = named("across", across);
        Set<String> names = new HashSet<>();
        down.forEach(one -> names.add(one.name()));
        for (Tried one : across) {
            if (!names.add(one.name())) {
                throw new Invalid("across", "\"" + one.name() + "\" is there twice: give each a name of its own");
            }
        }
        tries = List.copyOf(tries);
        Set<List<Integer>> pairs = new HashSet<>();
        for (Try one : tries) {
            Checked.within("tries.down", one.down(), 0, down.size() - 1);
            Checked.within("tries.across", one.across(), 0, across.size() - 1);
            if (!pairs.add(List.of(one.down(), one.across()))) {
                throw new Invalid(
                        "tries",
                        down.get(one.down()).name() + " in "
                                + across.get(one.across()).name() + " is said twice: keep one");
            }
        }
    }

    CrossedTries called(UnaryOperator<String> word) {
        return new CrossedTries(called(down, word), called(across, word), tries);
    }

    private static List<Tried> called(List<Tried> things, UnaryOperator<String> word) {
        return things.stream()
                .map(one -> new Tried(one.name(), one.whole(), one.component().map(word)))
                .toList();
    }

    private static List<Tried> named(String field, List<Tried> things) {
        Checked.present(field, things);
        Checked.within(field, things.size(), 1, MOST);
        Set<String> names = new HashSet<>();
        for (Tried one : things) {
            if (!names.add(one.name())) {
                throw new Invalid(field, "\"" + one.name() + "\" is there twice: give each a name of its own");
            }
        }
        return List.copyOf(things);
    }
}
