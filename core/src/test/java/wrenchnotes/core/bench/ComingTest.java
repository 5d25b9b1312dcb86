package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Staying;
import wrenchnotes.core.teardown.StaysAs;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Moment;

/** What is told of the steps to come is what comes: whoever goes by it presses nothing that is refused. */
class ComingTest {

    private Run run;
    private Instant now = Instant.parse("2026-03-02T09:00:00Z");
    private long written;

    private void press(Press press) {
        now = now.plusSeconds(60);
        run = run.press(press, new By(1, "ada", new Moment(++written, now))).next();
    }

    private void begin(Teardown notes) {
        run = Run.replayed(notes, RunLog.NONE);
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()));
    }

    /** Says all that has to be said, in the order in which it was told beforehand. */
    private void say(Coming coming) {
        for (SayFirst first : coming.sayFirst()) {
            assertThat(run.sayFirst(run.notes().step(coming.step()), now)).hasValue(first);
            if (first.what() == SayFirst.What.HEED) {
                press(new Press.Heed(first.hazard().orElseThrow().step()));
            } else {
                SayFirst.Adjusted adjusted = first.adjusted().orElseThrow();
                press(new Press.Marking(adjusted.step(), adjusted.stays().id(), "line", Optional.empty()));
            }
        }
    }

    /** Each step needs some of those before it; every third is dangerous, every fourth moves something. */
    private static Teardown drawn(Random random) {
        List<Step> steps = new ArrayList<>();
        for (int n = 0; n < 12; n++) {
            int of = n;
            Set<String> needs = n == 0 ? Set.of() : Set.of("s" + random.nextInt(of));
            Step step = RunTest.step("s" + n, needs, 1 + random.nextInt(4));
            steps.add(
                    n % 3 == 1
                            ? step.with(Caution.of("Springs: eyes, " + n + "."))
                            : n % 4 == 2
                                    ? step.leaving(List.of(new Staying("a" + n, "stop " + n, StaysAs.ADJUSTED, "line")))
                                    : step);
        }
        return Teardown.of(steps);
    }

    @Property(tries = 60)
    void whoeverGoesByItInAndOutAgainIsNeverRefused(@ForAll long seed) {
        begin(drawn(new Random(seed)));
        List<Coming> in = Coming.in(run, now);
        assertThat(in).hasSize(12);
        for (Coming coming : in) {
            assertThat(run.nextIn()).map(Step::id).hasValue(coming.step());
            assertThat(LookAlikes.of(run.notes().step(coming.step()), run.ledger()))
                    .isEqualTo(coming.keepApart());
            say(coming);
            press(Press.StepIn.asTheNotesSay(coming.step()));
        }
        for (Coming coming : Coming.out(run, now)) {
            assertThat(run.way().nextOut()).map(Step::id).hasValue(coming.step());
            // What stands on a mark is said once; the words of it are the mark's own by then.
            say(coming);
            press(new Press.StepOut(coming.step(), List.of(), Map.of(), OpenEnds.NONE, new CheckRecord(List.of())));
        }
        assertThat(run.way().open()).isEmpty();
        assertThat(Coming.out(run, now)).isEmpty();
    }

    @Test
    void beyondPowerOrAWaitNothingIsTold() {
        begin(Teardown.of(List.of(
                RunTest.step("lid", Set.of(), 2),
                RunTest.step("tube", Set.of("lid"), 1).with(new Caution("It holds a charge.", 24)),
                RunTest.step("board", Set.of("tube"), 1))));
        assertThat(Coming.in(run, now)).extracting(Coming::step).containsExactly("lid", "tube");
        assertThat(Coming.in(run, now).get(1).sayFirst())
                .extracting(SayFirst::what)
                .containsExactly(SayFirst.What.WAIT);
        press(new Press.SwitchTo(Power.LIVE, "a noise is looked for"));
        assertThat(Coming.in(run, now)).extracting(Coming::step).containsExactly("lid");
        assertThat(Coming.in(Run.replayed(run.notes(), RunLog.NONE), now)).isEmpty();
    }
}
