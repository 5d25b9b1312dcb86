package wrenchnotes.core.teardown;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** What a step takes off. A list that is left out (null) is empty. */
public record Things(List<FastenerGroup> fasteners, List<Connector> connectors, List<LoosePiece> pieces) {

    public static final Things NONE = new Things(null, null, null);

    public Things {
        fasteners = listed(fasteners);
        connectors = listed(connectors);
        pieces = listed(pieces);
    }

    public static Things fastened(List<FastenerGroup> fasteners) {
        return new Things(fasteners, null, null);
    }

    /** All of them, fasteners first. */
    public List<Thing> all() {
        return Stream.of(fasteners, connectors, pieces)
                .<Thing>flatMap(List::stream)
                .toList();
    }

    /** With this one in the place of what has its id. */
    public Things with(Thing other) {
        return new Things(put(fasteners, other), put(connectors, other), put(pieces, other));
    }

    @SuppressWarnings("unchecked")
    private static <T extends Thing> List<T> put(List<T> some, Thing other) {
        return some.stream()
                .map(one -> one.id().equals(other.id()) ? (T) one.getClass().cast(other) : one)
                .toList();
    }

    /** The same things in joined notes, where their ids begin with the sub-assembly's. */
    Things in(String prefix) {
        return called(id -> prefix + id);
    }

    /** The same things where they have these ids. */
    Things called(UnaryOperator<String> ids) {
        return new Things(
                fasteners.stream().map(one -> one.withId(ids.apply(one.id()))).toList(),
                connectors.stream().map(one -> one.withId(ids.apply(one.id()))).toList(),
                pieces.stream().map(one -> one.withId(ids.apply(one.id()))).toList());
    }

    private static <T> List<T> listed(List<T> said) {
        return said == null ? List.of() : List.copyOf(said);
    }
}
