package wrenchnotes.server.diagnosis;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.diagnosis.WrongWordStore.WrongWord;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** The words for what is wrong: two that say the same are merged, and what was said stays as it was said. */
@RestController
@RequestMapping("/api/wrong-words")
@May(Act.WORDS)
class WrongWordApi {

    private final WrongWordStore store;
    private final Journal journal;
    private final Snapshot snapshot;

    WrongWordApi(WrongWordStore store, Journal journal, Snapshot snapshot) {
        this.store = store;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    public record WrongMerged(
            @NotBlank @Size(max = 80) String word,
            @NotBlank @Size(max = 80) String into) {}

    public record WrongSplit(@NotBlank @Size(max = 80) String word) {}

    @GetMapping
    List<WrongWord> words() {
        return snapshot.read(store::words);
    }

    @PostMapping("/merge")
    List<WrongWord> merge(@Valid @RequestBody WrongMerged said, Pen pen) {
        pen.once(said, by -> merge(by, known("word", said.word()), known("into", said.into())));
        return words();
    }

    private void merge(By by, WrongWord word, WrongWord into) {
        if (word.word().equals(into.word())) {
            throw new Invalid("into", "That is the same word");
        }
        if (into.means().isPresent()) {
            throw new Invalid("into", into.word() + " counts as " + into.means().get() + " itself: merge into that");
        }
        store.merge(by, word.word(), into.word());
        journal.write(
                by,
                Journal.Entry.ofShop(
                        "word", 0, "\"" + word.word() + "\" counts as \"" + into.word() + "\"", word, into));
    }

    @PostMapping("/split")
    List<WrongWord> split(@Valid @RequestBody WrongSplit said, Pen pen) {
        pen.once(said, by -> {
            WrongWord word = known("word", said.word());
            store.split(word.word());
            journal.write(
                    by, Journal.Entry.ofShop("word", 0, "\"" + word.word() + "\" stands for itself again", word, null));
        });
        return words();
    }

    private WrongWord known(String field, String said) {
        String word = said.strip().toLowerCase(Locale.ROOT);
        Optional<WrongWord> known =
                store.words().stream().filter(one -> one.word().equals(word)).findFirst();
        return known.orElseThrow(() -> new Invalid(field, "Nobody has called anything " + word));
    }
}
