package wrenchnotes.core.drawer.kind;

import java.util.Optional;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Finish;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Invalid;

/** A thing of the notes as a part that might stand in its place. */
public final class ThingPart {

    private static final int LABEL = 80;

    private ThingPart() {}

    /** @return what is known of it; empty if its words do not tell of what kind it is */
    public static Optional<PartSpec> of(Thing thing) {
        return thing instanceof FastenerGroup group ? Optional.of(fastener(group)) : ReadPart.of(thing.label());
    }

    /** A fastener of a drawer as the notes draw it; empty if it is none. */
    public static Optional<FastenerGroup> asGroup(String name, PartSpec spec) {
        if (spec.kind() != PartKind.FASTENER) {
            return Optional.empty();
        }
        try {
            return Optional.of(new FastenerGroup(
                    "part",
                    name.length() > LABEL ? name.substring(0, LABEL) : name,
                    spec.choice(PartField.HEAD, Head.class),
                    "",
                    spec.choice(PartField.HEAD, Head.class)
                                    .filter(Head::threadless)
                                    .isPresent()
                            ? Optional.of(ThreadForm.NONE)
                            : spec.choice(PartField.THREAD, ThreadForm.class),
                    spec.figureIfAny(PartField.DIAMETER),
                    spec.figureIfAny(PartField.LENGTH),
                    spec.choice(PartField.FINISH, Finish.class),
                    Optional.empty(),
                    "",
                    null));
        } catch (Invalid e) {
            // Thicker or longer than anything in the notes: it is told in words.
            return Optional.empty();
        }
    }

    private static PartSpec fastener(FastenerGroup group) {
        FieldsRead read = new FieldsRead(PartKind.FASTENER, "");
        group.head().ifPresent(head -> read.put(PartField.HEAD, head));
        group.thread().ifPresent(thread -> read.put(PartField.THREAD, thread));
        group.diameterMm().ifPresent(mm -> read.put(PartField.DIAMETER, mm));
        group.lengthMm().ifPresent(mm -> read.put(PartField.LENGTH, mm));
        group.finish().ifPresent(finish -> read.put(PartField.FINISH, finish));
        if (!group.size().isEmpty()) {
            read.put(PartField.DRIVER, group.size());
        }
        return read.spec();
    }
}
