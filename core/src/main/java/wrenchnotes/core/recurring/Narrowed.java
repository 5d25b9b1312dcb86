package wrenchnotes.core.recurring;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalLong;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedBook;
import wrenchnotes.core.diagnosis.history.FoundRows;
import wrenchnotes.core.diagnosis.history.Names;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.core.unit.Kind;

/**
 * Which closed jobs are looked at, and which of their findings. What is empty leaves all in.
 *
 * @param component by name, on whatever model; as it is called there or as it counts
 * @param supplier whose part went in
 */
public record Narrowed(
        Optional<Kind> kind,
        OptionalLong model,
        OptionalLong revision,
        Optional<String> component,
        Optional<Remedy> remedy,
        OptionalLong supplier,
        OptionalLong owner,
        Optional<Ownership> ownership) {

    public static final Narrowed NOT = new Narrowed(
            Optional.empty(),
            OptionalLong.empty(),
            OptionalLong.empty(),
            Optional.empty(),
            Optional.empty(),
            OptionalLong.empty(),
            OptionalLong.empty(),
            Optional.empty());

    public Narrowed {
        component = component.map(name -> name.strip().toLowerCase(Locale.ROOT)).filter(name -> !name.isEmpty());
    }

    /** The same jobs, and whatever was found in them. */
    public Narrowed jobsOnly() {
        return new Narrowed(
                Optional.empty(),
                OptionalLong.empty(),
                OptionalLong.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalLong.empty(),
                owner,
                ownership);
    }

    /** Only of one sort of owner. */
    public Narrowed of(Ownership only) {
        return new Narrowed(kind, model, revision, component, remedy, supplier, owner, Optional.of(only));
    }

    boolean job(ClosedBook book, int job) {
        return (ownership.isEmpty() || ownership.get() == book.ownership(job))
                && (owner.isEmpty() || owner.getAsLong() == book.owner(job));
    }

    boolean on(Where where) {
        return (kind.isEmpty() || kind.get() == where.kind())
                && (model.isEmpty() || model.getAsLong() == where.model())
                && (revision.isEmpty() || revision.getAsLong() == where.revision());
    }

    /** Whether a fault of a revision is looked at at all. */
    boolean fault(FaultOn one, Names names) {
        Where where = names.revisions().get(one.revision());
        if (where == null || !on(where)) {
            return false;
        }
        if (component.isEmpty()) {
            return true;
        }
        FaultName name = names.faults().get(one.fault());
        return name != null && name.component().equals(names.component(where.model(), component.get()));
    }

    /** Whether what was done there is looked at. */
    boolean done(FoundRows found, int at) {
        return (remedy.isEmpty() || remedy.get() == found.remedy(at))
                && (supplier.isEmpty() || supplier.getAsLong() == found.supplier(at));
    }
}
