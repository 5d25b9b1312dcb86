package wrenchnotes.core.job;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.teardown.Stroke;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/** Something that was said about a job and never changes: it can only be answered, or taken back with a reason. */
public sealed interface JobEntry {

    /**
     * As the job's story tells it.
     *
     * @param zone where the shop is
     */
    String words(ZoneId zone);

    /** Whether it can be taken back: what was said of power, cautions and electrical checks stands. */
    default boolean canBeTakenBack() {
        return this instanceof Remark
                || this instanceof ForkTaken
                || this instanceof Observed
                || this instanceof Altered
                || this instanceof LaterWord;
    }

    /** SHA-256 of the picture that was taken with it. */
    default Optional<String> picture() {
        return Optional.empty();
    }

    /**
     * A remark, a picture, or both.
     *
     * @param said up to 300 characters; may be empty if there is a picture
     * @param picture SHA-256 of the picture as kept
     * @param before the title of the step that was before the bench @param step its id in the notes that the job goes by; both empty if none was
     * @param strokes drawn over the picture; none without one
     */
    record Remark(String said, Optional<String> picture, String before, Optional<String> step, List<Stroke> strokes)
            implements JobEntry {
        public Remark {
            said = Checked.optionalText("words", said, 300);
            strokes = List.copyOf(strokes);
            Checked.within("strokes", strokes.size(), 0, picture.isPresent() ? Stroke.MOST : 0);
            before = Checked.optionalText("before", before, 120);
            if (said.isEmpty() && picture.isEmpty()) {
                throw new Invalid("words", "Say something, or take a picture");
            }
        }

        @Override
        public String words(ZoneId zone) {
            String where = before.isEmpty() ? "" : " (at: " + before.toLowerCase(Locale.ROOT) + ")";
            return (said.isEmpty() ? "A picture" : said) + where;
        }
    }

    /** Somebody said that the unit is off and unplugged, and since when. */
    record PowerOff(Instant since) implements JobEntry {

        private static final DateTimeFormatter MINUTES = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

        public PowerOff {
            Checked.present("since", since);
        }

        @Override
        public String words(ZoneId zone) {
            return "Off since " + MINUTES.format(since.atZone(zone));
        }
    }

    /**
     * The unit was switched.
     *
     * @param why what it is live for: "plays a disc"; may be empty
     */
    record Powered(Power power, String why) implements JobEntry {
        public Powered {
            Checked.present("power", power);
            why = Checked.optionalText("why", why, 300);
        }

        @Override
        public String words(ZoneId zone) {
            return "Power: " + power.words() + (why.isEmpty() ? "" : ", " + why);
        }
    }

    /**
     * What came with the unit and could hurt was seen to.
     *
     * @param words what was done with it: "cell taken out, in the sand bucket outside"
     */
    record MadeSafe(ArrivalMark mark, String words) implements JobEntry {
        public MadeSafe {
            Checked.present("mark", mark);
            words = Checked.text("words", words, 300);
        }

        @Override
        public String words(ZoneId zone) {
            String what = mark.words();
            return what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1) + ", seen to: " + words;
        }
    }

    /**
     * Somebody said that the caution of a step was heeded, its wait kept.
     *
     * @param step its id in the notes that the job goes by
     */
    record Acknowledged(String step, String title, String caution) implements JobEntry {
        public Acknowledged {
            step = Checked.text("step", step, 120);
            title = Checked.text("title", title, 120);
            caution = Checked.optionalText("caution", caution, 500);
        }

        @Override
        public String words(ZoneId zone) {
            return "Heeded, for \"" + title + "\"" + (caution.isEmpty() ? ": the wait was kept" : ": " + caution);
        }
    }

    /**
     * Something that a step moves without taking it off was marked before, or stands there again.
     *
     * @param step its id in the notes that the job goes by
     * @param stays id of what was marked
     * @param back whether it stands there again
     * @param how it was marked; may be empty if there is a picture, or on the way back
     * @param picture SHA-256 of the picture as kept
     */
    record Marked(String step, String stays, String label, boolean back, String how, Optional<String> picture)
            implements JobEntry {
        public Marked {
            step = Checked.text("step", step, 120);
            stays = Checked.text("stays", stays, 80);
            label = Checked.text("label", label, 80);
            how = Checked.optionalText("words", how, 200);
        }

        @Override
        public String words(ZoneId zone) {
            return label
                    + (back ? " stands where it stood" : " marked before it was moved")
                    + (how.isEmpty() ? "" : ": " + how);
        }
    }

    /** The electrical check after work on the mains side. */
    record Electrical(ElectricalCheck check) implements JobEntry {
        public Electrical {
            Checked.present("check", check);
        }

        @Override
        public String words(ZoneId zone) {
            return "Electrical check " + check.sentence();
        }
    }

    /**
     * Something lay inside that does not belong there.
     *
     * @param state what it is like, or what it is: "scratched", "a hair clip"; may be empty
     * @param picture SHA-256 of the picture as kept
     */
    record FoundInside(FoundThing what, String state, Optional<String> picture) implements JobEntry {
        public FoundInside {
            Checked.present("what", what);
            state = Checked.optionalText("state", state, 120);
            if (what == FoundThing.OTHER && state.isEmpty()) {
                throw new Invalid("state", "Say what it is");
            }
        }

        /** What it is called among what goes back. */
        public String name() {
            String of = what == FoundThing.OTHER ? "" : what.words();
            return of + (of.isEmpty() || state.isEmpty() ? "" : ", ") + state + " (found inside)";
        }

        @Override
        public String words(ZoneId zone) {
            return "Found inside: " + name().replace(" (found inside)", "") + (what.goesBack() ? ". It goes back" : "");
        }
    }

    /**
     * Somebody stood at a fork and chose.
     *
     * @param fork what was to be decided: "rivets of the deck"
     * @param choice "cut them"
     * @param considered what else could have been done; may be empty
     * @param why may be empty
     * @param after id of the step that was open last: whoever has it open and goes on stands there too; empty if none was
     */
    record ForkTaken(String fork, String choice, String considered, String why, Optional<String> after)
            implements JobEntry {
        public ForkTaken {
            fork = Checked.text("fork", fork, 80);
            choice = Checked.text("choice", choice, 80);
            considered = Checked.optionalText("considered", considered, 200);
            why = Checked.optionalText("why", why, 200);
        }

        public ForkTaken at(Optional<String> step) {
            return new ForkTaken(fork, choice, considered, why, step);
        }

        @Override
        public String words(ZoneId zone) {
            return "Decided: " + fork + ", " + choice + (considered.isEmpty() ? "" : " rather than " + considered)
                    + (why.isEmpty() ? "" : ". " + why);
        }
    }

    /**
     * Something was tried or looked at that has no figure.
     *
     * @param what "tray at half travel"
     * @param expected what a good one does; may be empty
     * @param found what this one does
     * @param good the verdict
     * @param condition under which: "cold", "with the lid off"; may be empty
     */
    record Observed(String what, String expected, String found, boolean good, String condition) implements JobEntry {
        public Observed {
            what = Checked.text("what", what, 80);
            expected = Checked.optionalText("expected", expected, 120);
            found = Checked.text("found", found, 120);
            condition = Checked.optionalText("condition", condition, 80);
        }

        @Override
        public String words(ZoneId zone) {
            return (good ? "Good: " : "Not good: ") + what + (condition.isEmpty() ? "" : ", " + condition) + ": "
                    + found + (expected.isEmpty() ? "" : ", expected " + expected);
        }
    }

    /**
     * The unit is not as made any more, and stays so.
     *
     * @param where what of it: "rivets of the deck"
     * @param now what is there now: "screws M2 × 5"
     * @param thing id of the thing of the notes that this is about
     */
    record Altered(String where, String now, Optional<String> thing) implements JobEntry {
        public Altered {
            where = Checked.text("where", where, 80);
            now = Checked.text("now", now, 120);
        }

        /** "rivets of the deck: now screws M2 × 5". */
        public String sentence() {
            return where + ": now " + now;
        }

        @Override
        public String words(ZoneId zone) {
            return "Not as made any more. " + sentence();
        }
    }

    /** Something was heard of the unit after it had left. @param undoes the finding that it shows to have been wrong */
    record LaterWord(String said, Optional<Long> undoes) implements JobEntry {
        public LaterWord {
            said = Checked.text("words", said, 300);
        }

        @Override
        public String words(ZoneId zone) {
            return "Heard later: " + said;
        }
    }

    /** An earlier entry was wrong. */
    record TakenBack(String why) implements JobEntry {
        public TakenBack {
            why = Checked.text("why", why, 300);
        }

        @Override
        public String words(ZoneId zone) {
            return "Taken back: " + why;
        }
    }
}
