package wrenchnotes.core.teardown;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import wrenchnotes.core.check.Stage;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What the notes say of the revision as a whole, beside its steps. Whatever is left out (null) is empty.
 *
 * @param before the state the unit must be in before step one: "drawer out, then unplug"
 * @param modes service modes and how to enter them
 * @param checks what to test on this revision, and at which stage
 * @param watch what to look at because it is often wrong
 * @param lookOver what to look at after a fall or liquid, in this order, before anything is swapped
 * @param points where to measure, and what is right there; no two of one name
 */
public record Overview(
        String before,
        List<ServiceMode> modes,
        List<PlannedCheck> checks,
        List<WatchPoint> watch,
        List<WatchPoint> lookOver,
        List<TestPoint> points) {

    public static final Overview NONE = new Overview("", List.of(), List.of(), List.of(), List.of());

    /** Without test points. */
    public Overview(
            String before,
            List<ServiceMode> modes,
            List<PlannedCheck> checks,
            List<WatchPoint> watch,
            List<WatchPoint> lookOver) {
        this(before, modes, checks, watch, lookOver, List.of());
    }

    public Overview {
        before = Checked.optionalText("before", before, 300);
        modes = modes == null ? List.of() : List.copyOf(modes);
        checks = checks == null ? List.of() : List.copyOf(checks);
        watch = watch == null ? List.of() : List.copyOf(watch);
        lookOver = lookOver == null ? List.of() : List.copyOf(lookOver);
        points = points == null ? List.of() : List.copyOf(points);
        refuseWhatIsMadeFromNothing(points);
    }

    /** A gauge that is opened for them takes all rails at once, each from another of them. */
    private static void refuseWhatIsMadeFromNothing(List<TestPoint> points) {
        Set<String> names = new HashSet<>();
        Set<String> rails = new HashSet<>();
        for (TestPoint point : points) {
            if (!names.add(point.name())) {
                throw new Invalid("points.name", "Two test points are called \"" + point.name() + "\"");
            }
            if (point.kind().rail()) {
                rails.add(point.name());
            }
        }
        points.stream()
                .filter(point -> point.kind().rail() && !point.madeFrom().isEmpty())
                .filter(point -> !rails.contains(point.madeFrom()))
                .findFirst()
                .ifPresent(point -> {
                    throw new Invalid(
                            "points.madeFrom",
                            "\"" + point.name() + "\" is made from \"" + point.madeFrom()
                                    + "\", which is no rail of these notes");
                });
    }

    /** The same with these watch points. */
    public Overview watching(List<WatchPoint> points) {
        return new Overview(before, modes, checks, points, lookOver, this.points);
    }

    /** What is planned to be tested at this stage, in the order of the plan. */
    public List<PlannedCheck> checksAt(Stage stage) {
        return checks.stream().filter(check -> check.stage() == stage).toList();
    }

    /**
     * A service mode.
     *
     * @param keys which keys to hold, and when
     * @param shows what is then seen or heard; may be empty
     */
    public record ServiceMode(String name, String keys, String shows) {
        public ServiceMode {
            name = Checked.text("name", name, 80);
            keys = Checked.text("keys", keys, 200);
            shows = Checked.optionalText("shows", shows, 300);
        }
    }

    /**
     * A test that this revision is put to.
     *
     * @param id stays the same from version to version; left out (null or empty) it is made of its words
     * @param load with which disc, tape or load; empty if with none
     * @param times how often, 1 to 99
     * @param terms under which it counts
     */
    public record PlannedCheck(String id, Stage stage, String what, String load, int times, Terms terms) {
        public PlannedCheck {
            Checked.present("stage", stage);
            what = Checked.text("what", what, 200);
            load = Checked.optionalText("load", load, 200);
            Checked.within("times", times, 1, 99);
            id = Checked.optionalText("id", id, 80);
            id = id.isEmpty() ? made(stage, what, load) : id;
            terms = terms == null ? Terms.USUAL : terms;
        }

        public PlannedCheck(Stage stage, String what, String load, int times) {
            this("", stage, what, load, times, Terms.USUAL);
        }

        private static String made(Stage stage, String what, String load) {
            String words = (stage + " " + what + " " + load)
                    .strip()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("[^\\p{L}\\p{N}]+", "-");
            return words.length() <= 80 ? words : words.substring(0, 72) + Integer.toHexString(words.hashCode());
        }
    }

    /**
     * @param powered whether it makes the unit live
     * @param coversOn whether it counts only with the covers on
     * @param conditions such as "dim light" or "warmed up ten minutes"; may be empty
     * @param beforeStep id of the step that may go back only when it was made; empty for none
     * @param caution what to mind while it is made, such as what is live under the covers; may be empty
     * @param leadOnly whether a lead alone makes it
     */
    public record Terms(
            boolean powered, boolean coversOn, String conditions, String beforeStep, String caution, boolean leadOnly) {
        /** Under power, covers as they are. */
        public static final Terms USUAL = new Terms(true, false, "", "");

        public static final Terms BY_HAND = new Terms(false, false, "", "");

        /** Without a caution of its own, for everybody. */
        public Terms(boolean powered, boolean coversOn, String conditions, String beforeStep) {
            this(powered, coversOn, conditions, beforeStep, "", false);
        }

        public Terms {
            caution = Checked.optionalText("caution", caution, 300);
            conditions = Checked.optionalText("conditions", conditions, 200);
            beforeStep = Checked.optionalText("beforeStep", beforeStep, 80);
        }
    }

    /**
     * Advice that history has earned.
     *
     * @param component id of the component it is about
     * @param words what to look at: "lay a ruler over the lid"
     */
    public record WatchPoint(long component, String words) {
        public WatchPoint {
            words = Checked.text("words", words, 200);
        }
    }
}
