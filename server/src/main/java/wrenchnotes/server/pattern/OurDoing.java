package wrenchnotes.server.pattern;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.server.pattern.MonthService.MonthSection;
import wrenchnotes.server.pattern.MonthStore.Within;
import wrenchnotes.server.teardown.NotesStore;

/** What broke under our hands, and what was opened again and why: by step and reason, never by person. */
@Component
class OurDoing {

    private final MonthStore store;
    private final NotesStore notes;

    OurDoing(MonthStore store, NotesStore notes) {
        this.store = store;
        this.notes = notes;
    }

    MonthSection section(Within these, Within those) {
        List<MonthRow> rows = new ArrayList<>(MonthRow.beside(store.broke(these), store.broke(those)));
        List<MonthStore.OpenedAgain> now = wrong(these);
        List<MonthStore.OpenedAgain> before = wrong(those);
        rows.addAll(MonthRow.beside(again(now), again(before)));
        int lost = lost(now);
        int lostBefore = lost(before);
        if (lost + lostBefore > 0) {
            rows.add(MonthRow.row(
                    "lost by opening again", lost, lostBefore, minutes -> MonthRow.count(minutes) + " min"));
        }
        return new MonthSection("Our own doing", "Nothing broke, and nothing was opened again.", rows);
    }

    /** A trial fit is part of the work. */
    private List<MonthStore.OpenedAgain> wrong(Within month) {
        return store.openedAgain(month).stream()
                .filter(one -> one.reason().counts())
                .toList();
    }

    private List<MonthStore.Back> again(List<MonthStore.OpenedAgain> all) {
        return all.stream()
                .collect(Collectors.groupingBy(
                        one -> one.step()
                                        .map(step -> title(one.revision(), step))
                                        .orElse("the closed unit")
                                + " opened again: " + one.reason().words(),
                        TreeMap::new,
                        Collectors.counting()))
                .entrySet()
                .stream()
                .map(one -> new MonthStore.Back(one.getKey(), one.getValue().intValue()))
                .toList();
    }

    private String title(long revision, String step) {
        Teardown newest = notes.newest(revision).teardown();
        return newest.has(step) ? newest.step(step).title() : step;
    }

    private static int lost(List<MonthStore.OpenedAgain> all) {
        return all.stream().mapToInt(one -> one.minutes().orElse(0)).sum();
    }
}
