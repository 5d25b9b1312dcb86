package wrenchnotes.server.bench;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.AllowedMove;
import wrenchnotes.core.bench.Ledger;
import wrenchnotes.core.bench.TakenOff;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.teardown.Connector;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.FastenerShape;
import wrenchnotes.core.teardown.LoosePiece;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;

/**
 * A thing of a step and where its places are.
 *
 * @param count how many this unit has, as far as is known; 1 for all of them while nobody has counted
 * @param notKnown what nobody has counted, seen or measured yet
 * @param hint orientation mark of a connector, or how a loose piece sits
 * @param accounts where its places are, by account; none that hold nothing
 * @param altered what is there in this unit instead of what the notes say
 * @param moves what can become by hand of what is off the unit
 * @param usedUp whether its step uses it up: another goes in on the way back
 * @param group the fastener as the notes have it; empty for connectors and pieces
 */
public record ThingView(
        String id,
        ThingKind kind,
        String label,
        String hint,
        int count,
        boolean counted,
        Map<Account, Integer> accounts,
        List<Offered> moves,
        List<FastenerGroup.Known> notKnown,
        Optional<FastenerGroup> group,
        Optional<FastenerShape> shape,
        Optional<String> altered,
        boolean usedUp) {

    public enum ThingKind {
        FASTENER,
        CONNECTOR,
        PIECE
    }

    /**
     * A move that the ledger allows now.
     *
     * @param most how many at most
     * @param wantsReason whether it must be said why
     */
    public record Offered(Account from, Account to, int most, boolean wantsReason, String words) {
        static Offered of(AllowedMove move) {
            return new Offered(move.from(), move.to(), move.most(), move.wantsReason(), move.words());
        }
    }

    static ThingView of(Step step, Thing thing, Ledger ledger) {
        return of(thing, ledger).usedUp(TakenOff.isUsedUp(step, thing));
    }

    static ThingView of(Thing thing, Ledger ledger) {
        if (thing instanceof FastenerGroup group) {
            return of(group, ThingKind.FASTENER, "", ledger, Optional.of(group), Optional.of(FastenerShape.of(group)));
        }
        if (thing instanceof Connector plug) {
            return of(plug, ThingKind.CONNECTOR, plug.mark(), ledger, Optional.empty(), Optional.empty());
        }
        String hint = ((LoosePiece) thing).hint();
        return of(thing, ThingKind.PIECE, hint, ledger, Optional.empty(), Optional.empty());
    }

    private static ThingView of(
            Thing thing,
            ThingKind kind,
            String hint,
            Ledger ledger,
            Optional<FastenerGroup> group,
            Optional<FastenerShape> shape) {
        return new ThingView(
                thing.id(),
                kind,
                thing.label(),
                hint,
                ledger.made(thing.id()),
                ledger.isCounted(thing.id()),
                ledger.accounts(thing.id()),
                ledger.allowed(thing.id()).stream().map(Offered::of).toList(),
                notKnown(thing, ledger),
                group,
                shape,
                Optional.empty(),
                false);
    }

    private static List<FastenerGroup.Known> notKnown(Thing thing, Ledger ledger) {
        Set<FastenerGroup.Known> open = EnumSet.noneOf(FastenerGroup.Known.class);
        if (thing instanceof FastenerGroup group) {
            open.addAll(group.notKnown());
        }
        open.remove(FastenerGroup.Known.COUNT);
        if (!ledger.isCounted(thing.id())) {
            open.add(FastenerGroup.Known.COUNT);
        }
        return List.copyOf(open);
    }

    private ThingView usedUp(boolean gone) {
        return new ThingView(
                id, kind, label, hint, count, counted, accounts, moves, notKnown, group, shape, altered, gone);
    }

    /** As it is in this unit. */
    ThingView in(List<JobEntry.Altered> unit) {
        Optional<String> now = unit.stream()
                .filter(one -> one.thing().filter(id::equals).isPresent())
                .map(JobEntry.Altered::now)
                .reduce((first, last) -> last);
        return new ThingView(
                id, kind, label, hint, count, counted, accounts, moves, notKnown, group, shape, now, usedUp);
    }
}
