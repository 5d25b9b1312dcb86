package wrenchnotes.core.teardown;

import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Like fasteners taken off in one step from one place: "10, cross-head, black, 2 × 4 mm, tapping, along the plate".
 *
 * @param size the driver that fits, as the bench calls it: {@code PH1}, {@code T8}; empty for rivets and clips
 * @param diameterMm outer diameter of thread, rivet or clip, 0.5 to 12 mm
 * @param lengthMm length under the head, 0.5 to 120 mm
 * @param count 1 to 99
 */
public record FastenerGroup(
        String id,
        String label,
        Head head,
        String size,
        ThreadForm thread,
        double diameterMm,
        double lengthMm,
        Finish finish,
        int count)
        implements Thing {

    public FastenerGroup {
        id = Checked.text("id", id, 40);
        label = Checked.text("label", label, 80);
        Checked.present("head", head);
        size = Checked.optionalText("size", size, 12);
        Checked.present("thread", thread);
        Checked.within("diameterMm", diameterMm, 0.5, 12);
        Checked.within("lengthMm", lengthMm, 0.5, 120);
        Checked.present("finish", finish);
        Checked.within("count", count, 1, 99);
        boolean threadless = head == Head.RIVET || head == Head.CLIP;
        if (threadless && thread != ThreadForm.NONE) {
            throw new Invalid("thread", "A " + head + " has no thread: say NONE, not " + thread);
        }
    }
}
