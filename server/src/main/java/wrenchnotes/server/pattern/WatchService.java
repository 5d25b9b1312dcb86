package wrenchnotes.server.pattern;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
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
        Map<String, WatchTold> said = new HashMap<>();
        store.last().forEach(word -> said.put(word.revision() + " " + word.component(), word));
        List<Comeback.AtFault> here = patterns.openFaults();
        long from = now.minus(LOOKED_BACK).toEpochMilli();
        List<WatchWorth> worth = book.read((closed, names) ->
                WatchWorth.of(closed, from, now.toEpochMilli(), here, shop.now().hourMinor()));
        Set<Long> faults = new HashSet<>();
        worth.forEach(one -> faults.add(one.on().fault()));
        Map<Long, PatternStore.FaultName> named = patterns.faultNames(faults);
        Map<Long, String> revisions = patterns.revisionNames();
        List<WatchEarned> earned = worth.stream()
                .filter(one -> isNew(said.get(one.on().revision() + " " + one.component()), one.gain()))
                .filter(one -> !watched(one.on().revision(), one.component()))
                .map(one -> earned(one, named.get(one.on().fault()), revisions))
                .toList();
        return new WatchSeen(earned, standing(said.values(), revisions, now));
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
                "look at the " + name.component() + ", whatever it came for: " + name.wrong() + " in "
                        + one.gain().events() + " of " + one.jobs() + " beside something else, or when it was back");
    }

    private List<WatchStands> standing(Iterable<WatchTold> said, Map<Long, String> revisions, Instant now) {
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
        Checked.text("words", words, 200);
        Optional<WatchEarned> earned = seen(now).earned().stream()
                .filter(one -> one.revisionId() == revision && one.componentId() == component)
                .findFirst();
        boolean stands = watched(revision, component);
        switch (word) {
            case STANDS, DECLINED -> {
                if (earned.isEmpty()) {
                    throw Refused.because("The figures do not propose this any more: look at what they propose now.");
                }
            }
            case ENDED -> {
                if (!stands) {
                    throw Refused.because("It stands in the notes no more.");
                }
            }
        }
        long number = store.say(
                by,
                revision,
                component,
                word,
                words.strip(),
                earned.map(WatchEarned::events).orElse(0),
                missMinor(revision, component, now));
        if (word != WatchSaid.DECLINED) {
            write(by, revision, component, word, words.strip());
        }
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "watch", number, "Watch point, " + word.words() + ": " + words.strip(), null, word));
        return number;
    }

    private long missMinor(long revision, long component, Instant now) {
        List<Comeback.AtFault> here = patterns.openFaults();
        return book
                .read((closed, names) -> WatchWorth.of(
                        closed,
                        now.minus(LOOKED_BACK).toEpochMilli(),
                        now.toEpochMilli(),
                        here,
                        shop.now().hourMinor()))
                .stream()
                .filter(one -> one.on().revision() == revision && one.component() == component)
                .mapToLong(one -> Math.round(one.missMinor()))
                .findFirst()
                .orElse(0);
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
