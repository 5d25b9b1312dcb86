package wrenchnotes.server.demo;

import static wrenchnotes.core.teardown.Finish.BLACK;
import static wrenchnotes.core.teardown.Finish.BRASS;
import static wrenchnotes.core.teardown.Finish.SILVER;
import static wrenchnotes.core.teardown.Side.BACK;
import static wrenchnotes.core.teardown.Side.BOTTOM;
import static wrenchnotes.core.teardown.Side.FRONT;
import static wrenchnotes.core.teardown.Side.TOP;

/** The invented computers and drives of the demo shop, with their notes. */
final class DemoComputers {

    private DemoComputers() {}

    static DemoNotes homeComputer() {
        DemoNotes notes = new DemoNotes();
        notes.step("case", "Case apart", BOTTOM, "PH2", 3)
                .how("The three at the front are shorter.")
                .tapping(5, "case, back", 3.5, 16, BLACK)
                .tapping(3, "case, front: the short ones", 3.5, 10, BLACK);
        notes.step("keyboard", "Keyboard up and off", TOP, "", 2)
                .needs("case")
                .plug("keyboard tail, wide", "print side up")
                .plug("keyboard tail, narrow", "print side up")
                .exposes("keyboard membrane");
        notes.step("shield", "Shield off", TOP, "PH1", 3)
                .needs("keyboard")
                .machine(7, "shield", 3, 6, SILVER)
                .clips(2, "shield clips", 5, 8)
                .usesUp("heat paste", "between video chip and shield")
                .exposes("video chip");
        notes.step("drive", "Drive out", TOP, "PH1", 3)
                .needs("shield")
                .machine(4, "drive to frame", 3, 5, BRASS)
                .plug("drive data ribbon", "stripe to the back")
                .plug("drive supply lead", "above the data ribbon")
                .exposes("disc drive", "drive belt", "drive head");
        notes.step("supply", "Supply block out", BOTTOM, "PH2", 4)
                .needs("case")
                .caution(DemoModels.MAINS)
                .machine(2, "supply block", 4, 8, SILVER)
                .plug("supply to board", "")
                .exposes("inlet filter");
        return notes;
    }

    static DemoNotes allInOne() {
        DemoNotes notes = new DemoNotes();
        notes.step("shell", "Back shell off", FRONT, "T15", 4)
                .caution(DemoModels.TUBE)
                .leftOff(24)
                .how("Screen on the cloth. Two are deep under the handle.")
                .lobular(4, "back shell", 4.2, 16, BLACK)
                .lobular(2, "back shell, under the handle: long", 4.2, 25, BLACK);
        notes.step("frame", "Slide the frame out", FRONT, "PH2", 5)
                .needs("shell")
                .caution(DemoModels.MAINS)
                .machine(4, "frame", 4, 8, SILVER)
                .plug("tube lead", "only after discharge")
                .exposes("inlet filter", "line transformer");
        notes.step("drive", "Drive out", TOP, "PH1", 3)
                .needs("shell")
                .machine(4, "drive to frame", 3, 5, BRASS)
                .plug("drive ribbon", "stripe to the left")
                .exposes("disc drive", "drive belt");
        notes.step("board", "Board out", TOP, "PH1", 4)
                .needs("frame")
                .machine(6, "board", 3, 6, SILVER)
                .plug("supply lead", "")
                .plug("keyboard socket lead", "blue up")
                .exposes("keyboard socket");
        return notes;
    }

    static DemoNotes discDrive(boolean ribbed) {
        DemoNotes notes = new DemoNotes();
        DemoNotes.Line lid = notes.step("lid", "Lid off", TOP, ribbed ? "T8" : "PH1", 2)
                .how("Lift it level. Look along it: is it straight?")
                .exposes("lid");
        if (ribbed) {
            lid.lobular(4, "lid", 2.6, 6, SILVER);
        } else {
            lid.tapping(4, "lid", 2.6, 6, SILVER);
        }
        notes.step("door", "Front and door off", FRONT, "", 2)
                .needs("lid")
                .clips(2, "front clips", 3, 7)
                .piece("door spring", "short leg up")
                .exposes("door latch");
        notes.step("fan", "Fan off", BACK, "PH1", 2)
                .needs("lid")
                .tapping(2, "fan", 2.9, 18, BLACK)
                .plug("fan lead", "red to the edge")
                .exposes("fan bearing");
        notes.step("board", "Board off", BOTTOM, "PH0", 3)
                .needs("door")
                .machine(3, "drive board", 2.5, 4, SILVER)
                .plug("stepper lead", "stripe to the back")
                .plug("head ribbon", "print side down");
        notes.step("carriage", "Carriage and rails", TOP, "PH0", 4)
                .needs("board")
                .machine(2, "rails", 2, 4, BRASS)
                .exposes("heads", "rail grease");
        return notes;
    }
}
