package wrenchnotes.server.finder;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import wrenchnotes.core.unit.Tag;
import wrenchnotes.server.finder.FinderApi.FinderView;
import wrenchnotes.server.finder.FinderApi.FoundGroup;
import wrenchnotes.server.finder.FinderStore.Found;
import wrenchnotes.server.ground.Snapshot;

/** Asks each index for what was typed, and for what was meant if nothing begins like that. Runs in the caller's snapshot. */
@Component
class FinderService {

    private static final int MOST_UNITS = 8;
    private static final int MOST = 4;

    private final FinderStore finder;
    private final Snapshot snapshot;
    private volatile Slips slips;

    FinderService(FinderStore finder, Snapshot snapshot) {
        this.finder = finder;
        this.snapshot = snapshot;
    }

    FinderView find(String text) {
        // A scanned or typed tag means that unit, whatever else holds the same digits.
        List<Found> exact =
                Tag.parse(text).map(tag -> finder.byTag(tag, MOST_UNITS)).orElse(List.of());
        if (!exact.isEmpty()) {
            return new FinderView(List.of(group(FoundKind.UNIT, exact, false)), Optional.empty());
        }
        SearchWords words = SearchWords.of(text);
        List<FoundGroup> groups = groups(words);
        if (!groups.isEmpty() || words.none()) {
            return new FinderView(groups, Optional.empty());
        }
        Optional<SearchWords> meant = known().meant(words);
        return new FinderView(meant.map(this::groups).orElse(List.of()), meant.map(SearchWords::toString));
    }

    private static FoundGroup group(FoundKind kind, List<Found> found, boolean more) {
        return new FoundGroup(kind, kind.words(), found, more);
    }

    private List<FoundGroup> groups(SearchWords words) {
        List<FoundGroup> groups = new ArrayList<>();
        for (FoundKind kind : words.none() ? new FoundKind[0] : FoundKind.values()) {
            int most = kind == FoundKind.UNIT ? MOST_UNITS : MOST;
            List<Found> found = finder.byWords(kind, words, most + 1);
            if (!found.isEmpty()) {
                List<Found> shown = found.stream()
                        .limit(most)
                        .map(one -> kind == FoundKind.STEP ? steps(one, words) : one)
                        .toList();
                groups.add(group(kind, shown, found.size() > most));
            }
        }
        return groups;
    }

    /** Which steps of the notes say so. */
    private Found steps(Found notes, SearchWords words) {
        List<String> titles = finder.steps(notes.id()).stream()
                .filter(step -> words.words().stream()
                        .anyMatch(word -> folded(" " + step.text()).contains(" " + folded(word))))
                .map(FinderStore.StepText::title)
                .limit(MOST)
                .toList();
        return new Found(
                notes.id(),
                titles.isEmpty() ? notes.title() : String.join(", ", titles),
                titles.isEmpty() ? "" : notes.title(),
                notes.tag(),
                notes.jobId(),
                notes.modelId(),
                notes.revisionId(),
                notes.at(),
                notes.here());
    }

    /** As the index has it: small letters without marks, with spaces between words. */
    private static String folded(String text) {
        return Normalizer.normalize(text, Normalizer.Form.NFD)
                .replaceAll("\\p{M}+", "")
                .replaceAll("[^\\p{L}\\p{N}]+", " ")
                .toLowerCase(Locale.ROOT);
    }

    /** The shop's words change slowly: what was said in the last minutes is found as it was typed. */
    @Scheduled(initialDelayString = "${wrenchnotes.words-after:PT20S}", fixedDelayString = "PT5M")
    void learn() {
        slips = new Slips(snapshot.read(finder::vocabulary));
    }

    private Slips known() {
        if (slips == null) {
            learn();
        }
        return slips;
    }
}
