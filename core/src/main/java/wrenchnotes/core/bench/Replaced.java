package wrenchnotes.core.bench;

import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Checked;

/**
 * A component that a finding says was replaced: the old one does not go back, and where it sat there is another.
 *
 * @param names what the component is called, its own name first
 * @param count how many were put in, 1 and up
 * @param things ids of the things of the notes that bear it, as somebody said; none if none of them does; empty if nobody said
 */
public record Replaced(long component, List<String> names, int count, Optional<List<String>> things) {

    public Replaced {
        names = List.copyOf(names);
        Checked.within("count", count, 1, 99);
        things = things.map(List::copyOf);
    }

    /** Whether a thing bears it: as was said, or by what both are called ("belt", "drive belt"). */
    public boolean borneBy(Thing thing) {
        return things.map(said -> said.contains(thing.id()))
                .orElseGet(() -> names.stream().anyMatch(name -> meets(name, thing.label())));
    }

    private static boolean meets(String name, String label) {
        String one = " " + name.strip().toLowerCase(Locale.ROOT);
        String other = " " + label.strip().toLowerCase(Locale.ROOT);
        return one.endsWith(other) || other.endsWith(one);
    }

    /** Whether somebody has still to say what bears it: nothing in the notes is called so. */
    boolean asksAmong(Collection<Thing> all) {
        return things.isEmpty() && all.stream().noneMatch(this::borneBy);
    }

    /**
     * How a thing goes back when nobody says otherwise: what findings call replaced is replaced, the rest goes back from the tray.
     *
     * @param standing of the findings that stand
     */
    static PutBack usual(Ledger ledger, Thing thing, List<Replaced> standing) {
        int tray = ledger.count(thing.id(), Account.TRAY);
        int settled = ledger.count(thing.id(), Account.REPLACED) + ledger.count(thing.id(), Account.LEFT_OUT);
        int others = Math.min(tray, Math.max(0, said(ledger, thing, standing) - settled));
        return new PutBack(thing.id(), tray - others, others, 0, 0, "", "");
    }

    /** How many of a thing are in their place as made although findings say that they were replaced. */
    static int stillTheOld(Ledger ledger, Thing thing, List<Replaced> standing) {
        return Math.max(
                0,
                ledger.count(thing.id(), Account.FITTED) - (ledger.made(thing.id()) - said(ledger, thing, standing)));
    }

    private static int said(Ledger ledger, Thing thing, List<Replaced> standing) {
        return standing.stream()
                .filter(one -> one.borneBy(thing))
                .mapToInt(one -> Math.min(one.count(), ledger.made(thing.id())))
                .max()
                .orElse(0);
    }

    static String sentence(Thing thing) {
        return thing.label()
                + ": a finding says that it was replaced, and the old one is in its place. Say replaced, or correct the finding.";
    }
}
