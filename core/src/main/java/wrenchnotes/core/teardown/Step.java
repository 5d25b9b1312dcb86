package wrenchnotes.core.teardown;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.SortedSet;
import java.util.TreeSet;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * One step of a teardown. It answers for its parts: {@code step.needs()} is {@code step.order().needs()}.
 *
 * @param id unique within the notes, up to 80 characters; stays the same from version to version
 * @param title up to 120 characters
 * @param doing what hands do
 * @param danger what can hurt
 * @param order where it stands among the others
 * @param toll what it takes of the unit
 * @param off what it takes off
 * @param exposes ids of the components that can be reached once it is done; may be left out (null) if there are none
 * @param photos pictures of it, with what is marked on them; may be left out (null)
 * @param stays what it meets and does not take off; may be left out (null)
 */
public record Step(
        String id,
        String title,
        Doing doing,
        Caution danger,
        Order order,
        Toll toll,
        Things off,
        Set<Long> exposes,
        List<Photo> photos,
        List<Staying> stays) {

    public Step {
        id = Checked.text("id", id, 80);
        title = Checked.text("title", title, 120);
        Checked.present("doing", doing);
        Checked.present("danger", danger);
        Checked.present("order", order);
        Checked.present("toll", toll);
        Checked.present("off", off);
        exposes = sorted(exposes);
        photos = photos == null ? List.of() : List.copyOf(photos);
        stays = stays == null ? List.of() : List.copyOf(stays);
        if (stays.stream().map(Staying::id).distinct().count() < stays.size()) {
            throw new Invalid("stays", "Two things that stay in step \"" + title + "\" have the same id");
        }
        if (order.needs().contains(id)) {
            throw new Invalid("needs", "Step \"" + title + "\" needs itself first: take that out");
        }
    }

    /** A step that needs nothing first, is the only way, hurts nobody, costs nothing and takes nothing off. */
    public static Step of(String id, String title, Doing doing) {
        return new Step(id, title, doing, Caution.NONE, Order.FIRST, Toll.NONE, Things.NONE, null, null, null);
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
        return of(id, title, Doing.of(side, tool, minutes))
                .with(Order.after(needs))
                .with(Things.fastened(fasteners))
                .exposing(exposes);
    }

    public Step with(Caution other) {
        return new Step(id, title, doing, other, order, toll, off, exposes, photos, stays);
    }

    public Step with(Order other) {
        return new Step(id, title, doing, danger, other, toll, off, exposes, photos, stays);
    }

    public Step with(Toll other) {
        return new Step(id, title, doing, danger, order, other, off, exposes, photos, stays);
    }

    public Step with(Things other) {
        return new Step(id, title, doing, danger, order, toll, other, exposes, photos, stays);
    }

    /** The same step with other words for the way back. */
    public Step closingUp(String words) {
        return new Step(id, title, doing.closingUp(words), danger, order, toll, off, exposes, photos, stays);
    }

    /** The same step in another shop, whose components have other ids. */
    public Step exposing(Set<Long> components) {
        return new Step(id, title, doing, danger, order, toll, off, components, photos, stays);
    }

    /** The same step with these pictures. */
    public Step showing(List<Photo> pictures) {
        return new Step(id, title, doing, danger, order, toll, off, exposes, pictures, stays);
    }

    /** The same step, meeting these and leaving them where they are. */
    public Step leaving(List<Staying> others) {
        return new Step(id, title, doing, danger, order, toll, off, exposes, photos, others);
    }

    /** What is moved without coming off and stands where somebody set it. */
    public List<Staying> adjusted() {
        return stays.stream().filter(one -> one.as() == StaysAs.ADJUSTED).toList();
    }

    public String how() {
        return doing.how();
    }

    public Side side() {
        return doing.side();
    }

    public String tool() {
        return doing.tool();
    }

    /** What is called which way, in the order in which they are taken up. */
    public List<String> tools() {
        return doing.tools().stream().map(Tool::called).toList();
    }

    public double minutes() {
        return doing.minutes();
    }

    public String mustBeTrue() {
        return doing.mustBeTrue();
    }

    public String closeUp() {
        return doing.closeUp();
    }

    public String caution() {
        return danger.words();
    }

    public int waitHours() {
        return danger.waitHours();
    }

    public Set<String> needs() {
        return order.needs();
    }

    public String insteadOf() {
        return order.insteadOf();
    }

    public Set<String> backAfter() {
        return order.backAfter();
    }

    public long partsMinor() {
        return toll.partsMinor();
    }

    public boolean reversible() {
        return toll.reversible();
    }

    public List<FastenerGroup> fasteners() {
        return off.fasteners();
    }

    /** All that this step takes off, fasteners first. */
    public List<Thing> things() {
        return off.all();
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

    /** Always in the same order, so that the same notes are always written the same way. */
    static <T> SortedSet<T> sorted(Set<T> said) {
        return Collections.unmodifiableSortedSet(said == null ? new TreeSet<>() : new TreeSet<>(said));
    }
}
