package wrenchnotes.core.teardown;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.Stream;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * One step of a teardown.
 *
 * @param id unique within the notes; stays the same from version to version
 * <p>Lists and sets may be left out (null): they are then empty.
 *
 * @param needs ids of the steps that must be done before this one
 * @param side the side that faces up
 * @param tool what is in the hand, as the bench calls it: {@code PH1}, {@code T8}, {@code hook}; empty for bare hands
 * @param minutes how long it usually takes, 0 to 600
 * @param exposes ids of the components that can be reached once it is done
 */
public record Step(
        String id,
        String title,
        String how,
        String caution,
        Set<String> needs,
        Side side,
        String tool,
        double minutes,
        List<FastenerGroup> fasteners,
        List<Connector> connectors,
        List<LoosePiece> pieces,
        Set<Long> exposes) {

    public Step {
        id = Checked.text("id", id, 40);
        title = Checked.text("title", title, 120);
        how = Checked.optionalText("how", how, 2000);
        caution = Checked.optionalText("caution", caution, 500);
        needs = sorted(needs);
        Checked.present("side", side);
        tool = Checked.optionalText("tool", tool, 30);
        Checked.within("minutes", minutes, 0.0, 600.0);
        fasteners = listed(fasteners);
        connectors = listed(connectors);
        pieces = listed(pieces);
        exposes = sorted(exposes);
        if (needs.contains(id)) {
            throw new Invalid("needs", "Step \"" + title + "\" needs itself first: take that out");
        }
    }

    /** All that this step takes off, fasteners first. */
    public List<Thing> things() {
        return Stream.of(fasteners, connectors, pieces)
                .<Thing>flatMap(List::stream)
                .toList();
    }

    private static <T> List<T> listed(List<T> said) {
        return said == null ? List.of() : List.copyOf(said);
    }

    /** Always in the same order, so that the same notes are always written the same way. */
    private static <T> SortedSet<T> sorted(Set<T> said) {
        return Collections.unmodifiableSortedSet(said == null ? new TreeSet<>() : new TreeSet<>(said));
    }
}
