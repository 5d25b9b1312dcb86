package wrenchnotes.server.checkin;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import wrenchnotes.core.team.Act;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.server.ground.Journal;
import wrenchnotes.server.ground.May;
import wrenchnotes.server.ground.Pen;
import wrenchnotes.server.ground.Snapshot;

/** The words, and which of them say the same. */
@RestController
@RequestMapping("/api/symptoms")
@May(Act.WORDS)
public class WordApi {

    private final WordStore words;
    private final Journal journal;
    private final Snapshot snapshot;

    WordApi(WordStore words, Journal journal, Snapshot snapshot) {
        this.words = words;
        this.journal = journal;
        this.snapshot = snapshot;
    }

    public record MergeSaid(@NotNull Long into) {}

    @GetMapping
    List<WordStore.Word> all() {
        return snapshot.read(words::words);
    }

    /** What was said stays as it was said, and counts as the other word from now on, in all jobs. */
    @PostMapping("/{word}/merge")
    List<WordStore.Word> merge(@PathVariable long word, @Valid @RequestBody MergeSaid said, Pen pen) {
        pen.once(said, by -> {
            WordStore.Word one = words.word(word);
            WordStore.Word other = words.word(said.into());
            long into = other.mergedInto().orElse(other.id());
            if (into == word) {
                throw new Invalid("into", "\"" + other.name() + "\" counts as \"" + one.name() + "\" already");
            }
            words.merge(word, into);
            journal.write(
                    by,
                    Journal.Entry.ofShop(
                            "symptom", word, "\"" + one.name() + "\" counts as \"" + other.name() + "\"", one, into));
        });
        return all();
    }

    @PostMapping("/{word}/split")
    List<WordStore.Word> split(@PathVariable long word, Pen pen) {
        pen.once("split", by -> {
            WordStore.Word one = words.word(word);
            words.split(word);
            journal.write(
                    by, Journal.Entry.ofShop("symptom", word, "\"" + one.name() + "\" stands for itself", one, null));
        });
        return all();
    }
}
