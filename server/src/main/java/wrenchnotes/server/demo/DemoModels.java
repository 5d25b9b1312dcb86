package wrenchnotes.server.demo;

import static wrenchnotes.core.teardown.Finish.BLACK;
import static wrenchnotes.core.teardown.Finish.BRASS;
import static wrenchnotes.core.teardown.Finish.SILVER;
import static wrenchnotes.core.teardown.Side.BACK;
import static wrenchnotes.core.teardown.Side.BOTTOM;
import static wrenchnotes.core.teardown.Side.FRONT;
import static wrenchnotes.core.teardown.Side.TOP;

import java.util.List;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.unit.Kind;

/** The invented models that come over the demo shop's counter, with their notes. */
final class DemoModels {

    static final String MAINS =
            "Mains inside. Unplug, wait five minutes, measure before touching. Covers on before power."
                    + " Your local rules decide who may work on it.";
    static final String TUBE =
            "The picture tube can hold a dangerous charge for days. Leave it off for a day, and have it discharged by"
                    + " someone trained before hands go in.";
    static final String LASER = "Laser light: power off while the cover is open, and never look into the lens.";
    static final String SPRING = "A spring is under tension here: hold it down, eyes away.";

    private DemoModels() {}

    record Model(String maker, String name, Kind kind, List<Revision> revisions) {}

    record Revision(String name, String tellApart, DemoNotes notes) {}

    static List<Model> all() {
        return List.of(
                new Model(
                        "Quistral",
                        "Q2",
                        Kind.CONSOLE,
                        List.of(
                                new Revision("A", "screws along the foot", quiz(false)),
                                new Revision("B", "smooth foot: rivets inside", quiz(true)))),
                new Model(
                        "Dulcane",
                        "CD-5",
                        Kind.PLAYER,
                        List.of(new Revision("first series", "round drawer button", singingMachine()))),
                new Model("Dulcane", "Duo", Kind.PLAYER, List.of(new Revision("only", "", lessonPlayer()))),
                new Model(
                        "Ormeva",
                        "LR-20",
                        Kind.PLAYER,
                        List.of(new Revision("grey keys", "keys in one grey row", lessonRecorder()))),
                new Model(
                        "Pellworth",
                        "Tern",
                        Kind.COMPUTER,
                        List.of(new Revision("issue 2", "drive slot with a dimple", DemoComputers.homeComputer()))),
                new Model(
                        "Pellworth",
                        "Gannet",
                        Kind.COMPUTER,
                        List.of(new Revision("only", "", DemoComputers.allInOne()))),
                new Model(
                        "Fennrick",
                        "FD-3",
                        Kind.DRIVE,
                        List.of(
                                new Revision("flat lid", "lid without ribs", DemoComputers.discDrive(false)),
                                new Revision(
                                        "ribbed lid", "three ribs across the lid", DemoComputers.discDrive(true)))));
    }

    private static DemoNotes quiz(boolean riveted) {
        DemoNotes notes = new DemoNotes();
        DemoNotes.Line foot = notes.step("foot", "Take off the foot", BOTTOM, "PH1", 3)
                .how("Lay it on the cloth, panel down. The two under the felt pads come last.")
                .caution(MAINS)
                .first("Disc slot empty, lead pulled")
                .piece("felt ring", "glue side to the foot");
        if (riveted) {
            foot.tapping(4, "foot, outer", 2.9, 12, BLACK).at(0.06, 0.08, 0.94, 0.08, 0.06, 0.92, 0.94, 0.92);
            notes.step("rivets", "Cut the foot plate rivets", BOTTOM, "side cutter", 4)
                    .needs("foot")
                    .how("Cut each collar flush. The plate then sits on the four outer screws.")
                    .insteadOf("foot plate", 0, false)
                    .rivets(6, "foot plate rivets", 3, 5)
                    .at(0.2, 0.2, 0.5, 0.16, 0.8, 0.2, 0.2, 0.8, 0.5, 0.84, 0.8, 0.8)
                    .closeUp("The plate rattles if an outer screw is left loose: all four, firmly.");
            notes.step("frame", "Change over to a frame with screws", BOTTOM, "PH1", 42)
                    .needs("foot")
                    .how("Everything moves to the new frame, board last.")
                    .insteadOf("foot plate", 3400, true)
                    .tapping(6, "new frame", 2.9, 10, BLACK);
        } else {
            foot.tapping(8, "foot", 2.9, 12, BLACK)
                    .tapping(2, "foot, under the pads", 2.9, 12, BLACK)
                    .under("felt pad");
        }
        String plate = riveted ? "foot plate" : "foot";
        notes.step("shield", "Lift out the supply shield", BOTTOM, "PH1", 2)
                .needs(plate)
                .machine(4, "shield", 3, 6, SILVER)
                .exposes("main supply", "supply plug");
        notes.step("panel", "Fold up the buzzer panel", TOP, "PH0", 4)
                .needs(plate)
                .closeUp("Buzzer lead below the hinge, or it is pinched.")
                .how("Hinge side stays. Do not pull: the ribbon is short.")
                .tapping(6, "panel", 2.2, 6, BLACK)
                .plug("buzzer lead", "red wire to the hinge")
                .exposes("hinge ribbon", "ribbon clip");
        notes.step("board", "Take out the quiz board", TOP, "PH0", 5)
                .needs("panel", "shield")
                .machine(5, "board", 2.5, 5, BRASS)
                .plug("panel ribbon", "stripe to the left edge")
                .plug("supply lead", "")
                .exposes("buzzer board", "fan bearing");
        return notes;
    }

    private static DemoNotes singingMachine() {
        DemoNotes notes = new DemoNotes();
        notes.step("lid", "Lid off", TOP, "PH1", 2)
                .how("Four at the sides; slide it back before you lift.")
                .caution(MAINS)
                .tapping(4, "lid", 3.5, 12, BLACK);
        notes.step("front", "Front panel forward", TOP, "PH1", 3)
                .needs("lid")
                .tapping(3, "front panel", 2.9, 10, BLACK)
                .plug("microphone lead", "white wire up")
                .plug("display lead", "stripe to the left")
                .exposes("door latch");
        notes.step("drawer", "Drawer out", FRONT, "flat 3", 2)
                .needs("front")
                .how("Turn the lift wheel by hand until the drawer frees, then press the tab.")
                .first("Drawer halfway out by hand")
                .closeUp("Mark on the wheel at three o'clock before the drawer goes in.")
                .clips(1, "drawer clip", 4, 9)
                .exposes("drawer belt");
        notes.step("deck", "Deck cover off", TOP, "PH1", 3)
                .needs("lid")
                .caution(LASER)
                .tapping(5, "deck cover", 2.6, 8, SILVER);
        notes.step("carousel", "Lift the carousel", TOP, "PH1", 2)
                .needs("deck", "drawer")
                .machine(1, "carousel hub", 3, 14, SILVER)
                .piece("spacer ring", "thin side down");
        notes.step("motor", "Carousel motor out", TOP, "PH0", 3)
                .needs("carousel")
                .machine(2, "carousel motor", 2, 4, SILVER)
                .plug("motor lead", "red wire to the rim")
                .closeUp("Belt flat, not twisted.")
                .exposes("carousel belt");
        notes.step("sled", "Sled out", TOP, "PH0", 4)
                .needs("drawer", "deck")
                .machine(3, "sled rails", 2, 6, BRASS)
                .exposes("sled belt", "lens");
        notes.step("sledmotor", "Sled motor off", TOP, "PH00", 3)
                .needs("sled")
                .machine(2, "sled motor", 1.6, 3, SILVER)
                .plug("sled motor lead", "blue wire inwards")
                .exposes("sled motor");
        notes.step("lift", "Lift cam out", TOP, "hook", 3)
                .needs("carousel")
                .caution(SPRING)
                .clips(1, "cam clip", 3, 7)
                .piece("lift spring", "hooked end to the post")
                .exposes("lift cam");
        notes.step("sensor", "Disc sensor off", TOP, "PH0", 1)
                .needs("carousel")
                .machine(1, "disc sensor", 2, 5, BLACK)
                .plug("sensor lead", "")
                .exposes("disc sensor");
        notes.step("display", "Display board off", FRONT, "PH0", 3)
                .needs("front")
                .tapping(4, "display board", 2.2, 6, SILVER)
                .exposes("display");
        notes.step("microphones", "Microphone board off", FRONT, "PH0", 2)
                .needs("front")
                .machine(2, "microphone sockets", 2.5, 5, BRASS)
                .exposes("microphone sockets");
        notes.step("amplifier", "Amplifier board out", BACK, "PH1", 3)
                .needs("lid")
                .backAfter("supply")
                .closeUp("The supply lead runs below it: supply first.")
                .machine(3, "amplifier", 3, 6, SILVER)
                .plug("speaker lead", "grey to the left")
                .plug("volume lead", "stripe up")
                .exposes("amplifier");
        notes.step("foot", "Foot plate off", BOTTOM, "PH2", 2)
                .caution(MAINS)
                .tapping(6, "foot plate", 3.5, 14, BLACK)
                .at(0.08, 0.1, 0.5, 0.08, 0.92, 0.1, 0.08, 0.9, 0.5, 0.92, 0.92, 0.9);
        notes.step("supply", "Supply out", BOTTOM, "PH1", 4)
                .needs("foot")
                .caution(MAINS)
                .machine(4, "supply", 3, 8, SILVER)
                .plug("mains lead to the board", "")
                .exposes("inlet filter");
        notes.step("board", "Main board out", BOTTOM, "PH1", 5)
                .needs("supply")
                .machine(7, "main board", 3, 6, SILVER)
                .plug("front ribbon", "stripe to the left")
                .plug("sled ribbon", "print side down")
                .plug("amplifier lead", "")
                .exposes("main board");
        notes.step("spindle", "Spindle motor out", BOTTOM, "PH0", 4)
                .needs("sled", "board")
                .machine(3, "spindle motor", 2, 4, BRASS)
                .exposes("spindle motor");
        return notes;
    }

    private static DemoNotes lessonPlayer() {
        DemoNotes notes = new DemoNotes();
        notes.step("back", "Back shell off", BACK, "PH1", 2)
                .tapping(6, "back shell", 2.9, 14, BLACK)
                .plug("aerial lead", "");
        notes.step("board", "Swing the board out", BACK, "PH0", 3)
                .needs("back")
                .tapping(4, "board", 2.2, 6, SILVER)
                .plug("speaker lead", "grey to the left")
                .exposes("supply board");
        notes.step("disc", "Disc deck out", TOP, "PH0", 4)
                .needs("board")
                .caution(LASER)
                .machine(3, "disc deck", 2, 5, BRASS)
                .piece("rubber foot of the deck", "wide end down")
                .exposes("sled belt", "lens");
        notes.step("tape", "Tape deck out", FRONT, "PH0", 5)
                .needs("board")
                .caution(SPRING)
                .machine(4, "tape deck", 2, 6, SILVER)
                .piece("pause key rod", "bent end to the front")
                .exposes("idler tyre", "door latch");
        return notes;
    }

    private static DemoNotes lessonRecorder() {
        DemoNotes notes = new DemoNotes();
        notes.step("cells", "Battery lid and cells out", BOTTOM, "PH0", 1)
                .how("Look for white bloom on the springs.")
                .tapping(2, "battery bay", 2.2, 8, SILVER);
        notes.step("back", "Back shell off", BOTTOM, "PH1", 2)
                .needs("cells")
                .tapping(5, "back shell", 2.6, 9, BLACK)
                .piece("lid spring", "long leg into the slot");
        notes.step("keys", "Keys board off", BOTTOM, "PH00", 3)
                .needs("back")
                .machine(6, "keys board", 1.6, 3, SILVER)
                .plug("head lead", "red wire to the board edge")
                .plug("motor lead", "red wire to the board edge")
                .exposes("record switch");
        notes.step("bracket", "Take off the flywheel bracket", BOTTOM, "PH0 magnetic", 2)
                .needs("keys")
                .caution(SPRING)
                .how(
                        "Turn the head lead aside. Lift straight up, with the flywheel seated; the thrust washer comes too.")
                .machine(3, "flywheel bracket", 2, 5, BRASS)
                .machine(1, "bracket, by the motor: the longer one", 2, 9, BRASS)
                .piece("thrust washer", "flat side to the bracket")
                .stays("end play screw", StaysAs.ADJUSTED, "line across screw and bracket")
                .exposes("capstan belt");
        notes.step("plate", "Reel plate up", TOP, "PH0", 4)
                .needs("bracket")
                .stays("two trimmers by the edge", StaysAs.LEAVE_ALONE, "they set the speed, and nothing here needs it")
                .stays("motor plate screw", StaysAs.LOOSENED, "half a turn, the plate slides under it")
                .machine(3, "reel plate", 2, 4, BLACK)
                .piece("rewind key rod", "hook to the left")
                .exposes("idler tyre");
        return notes;
    }
}
