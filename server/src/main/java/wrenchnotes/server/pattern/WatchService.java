package wrenchnotes.server.pattern;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.history.Comeback;
import wrenchnotes.core.recurring.WatchGain;
import wrenchnotes.core.recurring.WatchSaid;
import wrenchnotes.core.recurring.WatchWorth;
import wrenchnotes.core.teardown.Overview.WatchPoint;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Refused;
import wrenchnotes.server.diagnosis.Book;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.Seen;
import wrenchnotes.server.pattern.WatchStore.WatchTold;
import wrenchnotes.server.shop.TheShop;
import wrenchnotes.server.teardown.ModelService;
import wrenchnotes.server.teardown.NotesStore;

/** Watch points that the shop's own figures earn: proposed, written into the notes, counted, and proposed to end. Runs in the caller's transaction. */
@Component
class WatchService {

    private static final Duration LOOKED_BACK = Duration.ofDays(548);
    private static final double MONTH_DAYS = 365.25 / 12;
    /** What was declined is proposed again once it has happened twice as often. */
    private static final int AGAIN = 2;

    private static final int LONGEST = 200;

    private final WatchStore store;
    private final PatternStore patterns;
    private final Book book;
    private final NotesStore notes;
    private final ModelService models;
    private final TheShop shop;
    private final Journal journal;

    WatchService(
            WatchStore store,
            PatternStore patterns,
            Book book,
            NotesStore notes,
            ModelService models,
            TheShop shop,
            Journal journal) {
        this.store = store;
        this.patterns = patterns;
        this.book = book;
        this.notes = notes;
        this.models = models;
        this.shop = shop;
        this.journal = journal;
    }

    /**
     * Something worth looking at on every unit.
     *
     * @param on what it is looked at on
     * @param events how many would have been missed @param jobs in how many jobs
     * @param monthMinor what looking brings a month, less what it costs @param leastMinor the least that it is likely to bring
     * @param words as they would stand in the notes
     */
    public record WatchEarned(
            long revisionId,
            long componentId,
            String on,
            int events,
            int jobs,
            long monthMinor,
            long leastMinor,
            String words) {}

    /**
     * A watch point that was earned and stands in the notes.
     *
     * @param looked in how many jobs since somebody looked @param found in how many of them it was at fault
     * @param spent whether it is not worth the minutes any more, as far as anybody can tell
     */
    public record WatchStands(
            long revisionId, long componentId, String on, String words, int looked, int found, boolean spent) {}

    public record WatchSeen(List<WatchEarned> earned, List<WatchStands> standing) {}

    WatchSeen seen(Instant now) {
        List<WatchTold> last = store.last();
        List<WatchWorth> worth = proposed(last, now);
        Map<Long, PatternStore.FaultName> named =
                patterns.faultNames(worth.stream().map(one -> one.on().fault()).toList());
        Map<Long, String> revisions = patterns.revisionNames();
        return new WatchSeen(
                worth.stream()
                        .map(one -> earned(one, named.get(one.on().fault()), revisions))
                        .toList(),
                standing(last, revisions, now));
    }

    /** What the figures say is worth it, and nobody has decided about yet. */
    private List<WatchWorth> proposed(List<WatchTold> last, Instant now) {
        Map<String, WatchTold> said = new HashMap<>();
        last.forEach(word -> said.put(word.revision() + " " + word.component(), word));
        List<Comeback.AtFault> here = patterns.openFaults();
        return book
                .read((closed, names) -> WatchWorth.of(
                        closed,
                        now.minus(LOOKED_BACK).toEpochMilli(),
                        now.toEpochMilli(),
                        here,
                        shop.now().hourMinor()))
                .stream()
                .filter(one -> isNew(said.get(one.on().revision() + " " + one.component()), one.gain()))
                .filter(one -> !watched(one.on().revision(), one.component()))
                .toList();
    }

    private static boolean isNew(WatchTold last, WatchGain gain) {
        return last == null || last.word() == WatchSaid.DECLINED && gain.events() >= AGAIN * last.events();
    }

    private boolean watched(long revision, long component) {
        return notes.newest(revision).teardown().overview().watch().stream()
                .anyMatch(point -> point.component() == component);
    }

    private static WatchEarned earned(WatchWorth one, PatternStore.FaultName name, Map<Long, String> revisions) {
        return new WatchEarned(
                one.on().revision(),
                one.component(),
                (name.model() + " " + revisions.getOrDefault(one.on().revision(), "")).strip(),
                one.gain().events(),
                one.jobs(),
                Math.round(one.gain().monthMinor()),
                Math.round(one.gain().lowMinor()),
                words(one, name));
    }

    /** As long as the notes take them. */
    private static String words(WatchWorth one, PatternStore.FaultName name) {
        String words = "look at the " + name.component() + ", whatever it came for: " + name.wrong() + " in "
                + one.gain().events() + " of " + one.jobs() + " beside something else, or when it was back";
        return words.length() <= LONGEST ? words : words.substring(0, LONGEST - 1) + "…";
    }

    private List<WatchStands> standing(List<WatchTold> said, Map<Long, String> revisions, Instant now) {
        List<WatchStands> standing = new ArrayList<>();
        for (WatchTold word : said) {
            if (word.word() != WatchSaid.STANDS || !watched(word.revision(), word.component())) {
                continue;
            }
            WatchStore.LookedSince since = store.since(word.revision(), word.component(), word.at());
            double months =
                    Math.max(1 / MONTH_DAYS, Duration.between(word.at(), now).toMinutes() / (MONTH_DAYS * 24 * 60));
            WatchGain gain = WatchGain.of(
                    since.found(),
                    months,
                    since.looked() / months,
                    word.missMinor(),
                    WatchWorth.lookMinor(shop.now().hourMinor()));
            standing.add(new WatchStands(
                    word.revision(),
                    word.component(),
                    (patterns.modelOf(word.revision()) + " " + revisions.getOrDefault(word.revision(), "")).strip(),
                    word.words(),
                    since.looked(),
                    since.found(),
                    gain.spent(since.looked())));
        }
        return standing;
    }

    /** @param words as they stand in the notes from now on @return the number of what was said */
    long say(By by, long revision, long component, WatchSaid word, String words, Instant now) {
        Checked.text("words", words, LONGEST);
        Optional<WatchWorth> worth = proposed(store.last(), now).stream()
                .filter(one -> one.on().revision() == revision && one.component() == component)
                .findFirst();
        if (word == WatchSaid.ENDED && !watched(revision, component)) {
            throw Refused.because("It stands in the notes no more.");
        }
        if (word != WatchSaid.ENDED && worth.isEmpty()) {
            throw Refused.because("The figures do not propose this any more: look at what they propose now.");
        }
        long number = store.say(
                by,
                revision,
                component,
                word,
                words.strip(),
                worth.map(one -> one.gain().events()).orElse(0),
                worth.map(one -> Math.round(one.missMinor())).orElse(0L));
        if (word != WatchSaid.DECLINED) {
            write(by, revision, component, word, words.strip());
        }
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "watch", number, "Watch point, " + word.words() + ": " + words.strip(), null, word));
        return number;
    }

    private void write(By by, long revision, long component, WatchSaid word, String words) {
        NotesStore.Version newest = notes.newest(revision);
        List<WatchPoint> watch = new ArrayList<>(newest.teardown().overview().watch());
        watch.removeIf(point -> point.component() == component);
        if (word == WatchSaid.STANDS) {
            watch.add(new WatchPoint(component, words));
        }
        models.saveNotes(
                by,
                revision,
                new Seen(newest.number()),
                Teardown.of(
                        newest.teardown().overview().watching(watch),
                        newest.teardown().steps()),
                word == WatchSaid.STANDS ? "earned by the shop's own figures" : "not worth looking for any more");
    }
}
