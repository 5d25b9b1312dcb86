package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import wrenchnotes.core.diagnosis.odds.CrossedTries;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Tried;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Try;
import wrenchnotes.server.ground.Stored;

/** Crossed tries as they stand in the database, form 1. Never changed: docs/decisions/0013-the-store.md */
record TriesForm(Integer form, List<TriedForm> down, List<TriedForm> across, List<TryForm> tries) {

    private static final int NUMBER = 1;

    record TriedForm(String name, boolean whole, String component) {

        private static TriedForm of(Tried one) {
            return new TriedForm(one.name(), one.whole(), one.component().orElse(null));
        }

        private Tried tried() {
            return new Tried(name, whole, Optional.ofNullable(component));
        }
    }

    record TryForm(int down, int across, boolean good) {}

    static String text(CrossedTries grid) {
        return Stored.text(new TriesForm(
                NUMBER,
                grid.down().stream().map(TriedForm::of).toList(),
                grid.across().stream().map(TriedForm::of).toList(),
                grid.tries().stream()
                        .map(one -> new TryForm(one.down(), one.across(), one.good()))
                        .toList()));
    }

    /** Reads what was ever written: form 0 had no number, and was otherwise as form 1. */
    static CrossedTries grid(String text) {
        JsonNode tree = Stored.tree(text);
        if (Stored.number(tree) > NUMBER) {
            throw Stored.unknown("Crossed tries", tree);
        }
        TriesForm is = Stored.read(tree, TriesForm.class);
        return new CrossedTries(
                is.down().stream().map(TriedForm::tried).toList(),
                is.across().stream().map(TriedForm::tried).toList(),
                is.tries().stream()
                        .map(one -> new Try(one.down(), one.across(), one.good()))
                        .toList());
    }
}
