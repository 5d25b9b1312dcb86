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
 * <p>Lists, sets, texts and what follows {@code exposes} may be left out (null): they are then empty, and the step is the
 * only way, costs no parts and can be undone.
 *
 * @param id unique within the notes; stays the same from version to version
 * @param needs ids of the steps that must be done before this one, or names of groups of which one must be done
 * @param side the side that faces up
 * @param tool what is in the hand, as the bench calls it: {@code PH1}, {@code T8}, {@code hook}; empty for bare hands
 * @param minutes how long it usually takes, 0 to 600
 * @param exposes ids of the components that can be reached once it is done
 * @param insteadOf name of the group of steps that do the same, of which one is done; empty if there is only this way
 * @param partsMinor what it destroys or uses up, in minor units of money, 0 to 100,000,000
 * @param reversible whether it can be undone so that the unit is as made
 * @param mustBeTrue what must be so before it is begun: "drawer open before the power is pulled"
 * @param closeUp what to remember on the way back: "belt flat, not twisted"
 * @param backAfter ids of steps that must be back in before this one goes back, where the plain reverse is wrong
 * @param waitHours how long the unit must have been left off before it, 0 to 240
 * @param photos pictures of it, with what is marked on them
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
        Set<Long> exposes,
        String insteadOf,
        Long partsMinor,
        Boolean reversible,
        String mustBeTrue,
        String closeUp,
        Set<String> backAfter,
        Integer waitHours,
        List<Photo> photos) {

    public Step {
        id = Checked.text("id", id, 80);
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
        insteadOf = Checked.optionalText("insteadOf", insteadOf, 80);
        partsMinor = partsMinor == null ? 0L : partsMinor;
        Checked.within("partsMinor", partsMinor.doubleValue(), 0, 100_000_000);
        reversible = reversible == null || reversible;
        mustBeTrue = Checked.optionalText("mustBeTrue", mustBeTrue, 300);
        closeUp = Checked.optionalText("closeUp", closeUp, 500);
        backAfter = sorted(backAfter);
        waitHours = waitHours == null ? 0 : Checked.within("waitHours", waitHours, 0, 240);
        photos = listed(photos);
        if (needs.contains(id)) {
            throw new Invalid("needs", "Step \"" + title + "\" needs itself first: take that out");
        }
    }

    /** A step that is the only way, costs nothing and goes back the plain way. */
    public static Step plain(
            String id,
            String title,
            Set<String> needs,
            Side side,
            String tool,
            double minutes,
            List<FastenerGroup> fasteners,
            Set<Long> exposes) {
        return new Step(
                id, title, "", "", needs, side, tool, minutes, fasteners, null, null, exposes, null, null, null, null,
                null, null, null, null);
    }

    /** The same step in another shop, whose components have other ids. */
    public Step exposing(Set<Long> components) {
        return copy(fasteners, components, photos, closeUp);
    }

    /** The same step with these pictures. */
    public Step showing(List<Photo> pictures) {
        return copy(fasteners, exposes, pictures, closeUp);
    }

    /** The same step with these fasteners. */
    public Step takingOff(List<FastenerGroup> groups) {
        return copy(groups, exposes, photos, closeUp);
    }

    /** The same step with other words for the way back. */
    public Step closingUp(String words) {
        return copy(fasteners, exposes, photos, words);
    }

    private Step copy(List<FastenerGroup> groups, Set<Long> components, List<Photo> pictures, String back) {
        return new Step(
                id,
                title,
                how,
                caution,
                needs,
                side,
                tool,
                minutes,
                groups,
                connectors,
                pieces,
                components,
                insteadOf,
                partsMinor,
                reversible,
                mustBeTrue,
                back,
                backAfter,
                waitHours,
                pictures);
    }

    /** All that this step takes off, fasteners first. */
    public List<Thing> things() {
        return Stream.of(fasteners, connectors, pieces)
                .<Thing>flatMap(List::stream)
                .toList();
    }

    /**
     * What its cell of the mat is called: what lies in it, not what was done. "case", "drive to frame + 2"; at most 30
     * characters, and empty if nothing comes off.
     */
    public String cell() {
        List<String> names = things().stream()
                .map(thing -> thing.label().split("[,:(]", 2)[0].strip())
                .filter(name -> !name.isEmpty())
                .distinct()
                .toList();
        if (names.isEmpty()) {
            return "";
        }
        String more = names.size() == 1 ? "" : " + " + (names.size() - 1);
        int room = 30 - more.length();
        String first = names.get(0);
        return (first.length() <= room ? first : first.substring(0, room - 1) + "…") + more;
    }

    private static <T> List<T> listed(List<T> said) {
        return said == null ? List.of() : List.copyOf(said);
    }

    /** Always in the same order, so that the same notes are always written the same way. */
    private static <T> SortedSet<T> sorted(Set<T> said) {
        return Collections.unmodifiableSortedSet(said == null ? new TreeSet<>() : new TreeSet<>(said));
    }
}
