package wrenchnotes.core.job;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import wrenchnotes.core.bench.Power;
import wrenchnotes.core.check.ElectricalCheck;
import wrenchnotes.core.checkin.ArrivalMark;
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

    /**
     * A remark, a picture, or both.
     *
     * @param said up to 300 characters; may be empty if there is a picture
     * @param photo SHA-256 of the picture as kept
     * @param before the title of the step that was before the bench; empty if none was
     */
    record Remark(String said, Optional<String> photo, String before) implements JobEntry {
        public Remark {
            said = Checked.optionalText("words", said, 300);
            before = Checked.optionalText("before", before, 120);
            if (said.isEmpty() && photo.isEmpty()) {
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
