package wrenchnotes.core.job;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
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
     * Somebody said that the wait before a step was kept and its caution followed.
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
            return "Wait kept before \"" + title + "\"" + (caution.isEmpty() ? "" : ", caution followed: " + caution);
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
