package wrenchnotes.core.job;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.bench.Tally;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.check.MainsWork;
import wrenchnotes.core.teardown.Overview;
import wrenchnotes.core.teardown.Side;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Refused;

/** What a hold covers is neither stepped nor closed over. */
class HoldTest {

    private static final Instant NOW = Instant.parse("2026-03-02T09:00:00Z");

    private static final Teardown NOTES = Teardown.of(List.of(
            step("lid", Set.of(), Set.of()),
            step("deck", Set.of("lid"), Set.of(7L)),
            step("gear", Set.of("deck"), Set.of(8L)),
            step("fan", Set.of("lid"), Set.of(9L))));

    private static Step step(String id, Set<String> needs, Set<Long> exposes) {
        return Step.plain(id, id, needs, Side.TOP, "", 1, null, exposes);
    }

    private static Hold on(HoldKind kind, Optional<Long> component, Optional<String> step) {
        return new Hold(
                kind,
                "resin",
                new Hold.Covers(component, step),
                NOW,
                kind == HoldKind.PART ? Optional.empty() : Optional.of(NOW.plus(Duration.ofHours(14))),
                Optional.empty());
    }

    private static List<String> heldSteps(Hold hold, boolean in, Instant at) {
        return NOTES.steps().stream()
                .filter(step ->
                        !Hold.inTheWayOf(List.of(hold), NOTES, step, in, at).isEmpty())
                .map(Step::id)
                .toList();
    }

    @Test
    void itCoversTheJobAComponentOrAStepAndAllAfterIt() {
        assertThat(heldSteps(on(HoldKind.CURE, Optional.empty(), Optional.empty()), false, NOW))
                .containsExactly("lid", "deck", "gear", "fan");
        assertThat(heldSteps(on(HoldKind.CURE, Optional.of(8L), Optional.empty()), false, NOW))
                .containsExactly("gear");
        assertThat(heldSteps(on(HoldKind.CURE, Optional.empty(), Optional.of("deck")), true, NOW))
                .containsExactly("deck", "gear");
        assertThatThrownBy(() -> new Hold.Covers(Optional.of(8L), Optional.of("lid")))
                .isInstanceOf(Invalid.class);
    }

    @Test
    void aPartThatIsToComeLetsItBeClosedForNow() {
        Hold part = on(HoldKind.PART, Optional.empty(), Optional.empty());
        assertThat(heldSteps(part, true, NOW)).hasSize(4);
        assertThat(heldSteps(part, false, NOW)).isEmpty();
        assertThat(Hold.inTheWayOfClosing(List.of(part), true, NOW)).isEmpty();
        assertThat(Hold.inTheWayOfClosing(List.of(part), false, NOW))
                .containsExactly("It still waits, for a part: resin. End the wait when it is over.");
        Hold cure = on(HoldKind.CURE, Optional.of(8L), Optional.empty());
        assertThat(Hold.inTheWayOfClosing(List.of(cure), true, NOW)).hasSize(1);
    }

    @Test
    void itHoldsUntilItsQuestionIsAnswered() {
        Instant over = NOW.plus(Duration.ofHours(14));
        Hold cure = on(HoldKind.CURE, Optional.empty(), Optional.empty());
        assertThat(cure.activeAt(over)).isFalse();
        assertThat(cure.asksAt(over.minusMillis(1))).isFalse();
        assertThat(Hold.inTheWayOfClosing(List.of(cure), false, over))
                .containsExactly("Is the witness hard? (resin) Answer that first.");
        Hold rest = on(HoldKind.REST, Optional.empty(), Optional.empty());
        assertThat(rest.sentence(NOW)).endsWith("Let the time pass: nobody shortens this one.");
        assertThat(rest.standsAt(over)).as("time alone ends it").isFalse();
        Hold answered = new Hold(HoldKind.CURE, "resin", NOW, Optional.of(over), Optional.of(over));
        assertThat(answered.standsAt(over)).isFalse();
        assertThat(heldSteps(on(HoldKind.BLEED, Optional.empty(), Optional.empty()), true, NOW))
                .as("the cautions of the steps themselves say what bleeds off")
                .isEmpty();
    }

    /** "Not yet" gave a wait for a part an end by the clock, and made a lasting one shorter. */
    @Test
    void notYetIsAnAnswerAndNoEnd() {
        Instant over = NOW.plus(Duration.ofHours(14));
        Hold cure = on(HoldKind.CURE, Optional.empty(), Optional.empty());
        assertThat(cure.notYet(over)).as("a quarter longer").isEqualTo(over.plus(Duration.ofMinutes(210)));
        Hold soak = new Hold(HoldKind.SOAK, "runs", NOW, Optional.of(NOW.plusSeconds(3600)), Optional.empty());
        assertThat(soak.notYet(over)).as("an hour at least").isEqualTo(over.plus(Duration.ofHours(1)));
        assertThatThrownBy(() -> cure.notYet(NOW)).isInstanceOf(Refused.class);
        assertThatThrownBy(() ->
                        on(HoldKind.PART, Optional.empty(), Optional.empty()).notYet(over))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("until it is ended");
    }

    /** A unit with an open wait went out of the shop, whatever it waited for. */
    @Test
    void nothingLeavesWhileItStillWaits() {
        Hold cure = on(HoldKind.CURE, Optional.empty(), Optional.empty());
        Hold owner = new Hold(HoldKind.OWNER, "price", NOW, Optional.empty(), Optional.empty());
        Hold came = new Hold(HoldKind.PART, "belt", NOW, Optional.empty(), Optional.of(NOW));
        JobFacts facts = new JobFacts(
                NOW,
                Optional.empty(),
                List.of(cure, owner, came),
                Tally.NONE,
                0,
                Optional.empty(),
                Optional.empty(),
                Overview.NONE,
                0,
                new CheckRecord(List.of()),
                Optional.empty(),
                0,
                MainsWork.NONE,
                List.of(),
                Optional.empty(),
                Optional.empty());
        assertThat(facts.inTheWayOfHandover(NOW))
                .containsExactly(
                        "It still waits, curing: resin. Let the time pass, or have a lead end it and say why.",
                        "It still waits, for the owner's answer: price. End the wait when it is over.",
                        "No outcome yet: say how it ended.");
        assertThat(facts.inTheWayOfHandover(NOW.plus(Duration.ofHours(14))))
                .as("over by the clock, and nobody has looked at the witness")
                .startsWith("Is the witness hard? (resin) Answer that first.");
    }
}
