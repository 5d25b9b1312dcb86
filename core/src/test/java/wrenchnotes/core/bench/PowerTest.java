package wrenchnotes.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.statistics.Statistics;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.check.CheckRecord;
import wrenchnotes.core.teardown.Caution;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.unit.By;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Moment;
import wrenchnotes.core.unit.Refused;

/**
 * Power is a fact: what was said of it stands until it is answered. A day off for a picture tube, and a test under power charges again what was
 * discharged: common practice, no source.
 */
class PowerTest {

    private static final Instant MORNING = Instant.parse("2026-03-02T09:00:00Z");
    private static final String TUBE = "The tube holds a charge: have it discharged.";

    /** The shell of a picture-tube unit and what lies in it; adjusting is done under power. */
    private static final Teardown NOTES = Teardown.of(List.of(
            RunTest.step("foot", Set.of(), 1),
            RunTest.step("shell", Set.of(), 4).with(new Caution(TUBE, 24)),
            RunTest.step("frame", Set.of("shell"), 3),
            RunTest.step("board", Set.of("frame"), 2).with(Caution.of("Springs: eyes.")),
            RunTest.step("trim", Set.of("frame"), 1).with(Caution.live("Live pins under the shell."))));

    private Run run = Run.replayed(NOTES, RunLog.NONE);
    private Instant now = MORNING;
    private long written;

    private void press(Press press) {
        now = now.plusSeconds(60);
        run = run.press(press, new By(1, "ada", new Moment(++written, now))).next();
    }

    private void begin() {
        press(new Press.Begin(RunRecord.Route.THE_WHOLE, true, RunRecord.Why.FIRST, Optional.empty()));
    }

    private static Press in(String step) {
        return Press.StepIn.asTheNotesSay(step);
    }

    private static Press out(String step) {
        return new Press.StepOut(step, List.of(), Map.of(), OpenEnds.NONE, new CheckRecord(List.of()));
    }

    private Press.LeaveOff off(Instant since, boolean lead) {
        return new Press.LeaveOff(since, MORNING.minus(Duration.ofDays(3)), lead);
    }

    private void assertRefused(Press press, String reason) {
        Run before = run;
        assertThatThrownBy(() -> press(press))
                .isInstanceOfSatisfying(
                        Refused.class, refused -> assertThat(refused.reasons()).containsExactly(reason));
        assertThat(run).isSameAs(before);
    }

    @Test
    void aTestUnderPowerStandsBeforeTheNextStepAndTheDayBeginsAnew() {
        begin();
        press(off(now.minus(Duration.ofHours(30)), false));
        press(new Press.Heed("shell"));
        press(in("shell"));
        press(new Press.SwitchTo(Power.LIVE, "plays a disc"));
        assertRefused(in("frame"), "The unit is live: switch it off, unplug it and say so, before \"The frame\".");
        assertRefused(off(now, false), "The unit has power: switch it off, unplug it and say so first.");
        press(new Press.SwitchTo(Power.OFF, ""));
        assertRefused(
                in("frame"),
                "The unit is off, still plugged in: switch it off, unplug it and say so, before \"The frame\".");
        press(new Press.SwitchTo(Power.UNPLUGGED, ""));
        Instant unplugged = now;
        String wait =
                "\"The shell\" asks for 24 hours unplugged, and they are not over yet. This wait cannot be shortened.";
        assertRefused(in("frame"), wait);
        assertRefused(out("shell"), wait);
        assertRefused(new Press.Heed("shell"), wait);
        now = unplugged.plus(Duration.ofHours(24)).minusSeconds(120);
        assertRefused(new Press.Heed("shell"), wait);
        assertRefused(in("frame"), "Say first that the caution of \"The shell\" is heeded: " + TUBE);
        press(new Press.Heed("shell"));
        press(in("frame"));
        assertThat(run.over(NOTES.step("board"), now))
                .as("the caution of the shell is shown to the last, and not asked for again")
                .extracting(Hazard::step, Hazard::heeded)
                .containsExactly(tuple("shell", true), tuple("board", false));
    }

    /** Measured: skipping the shell let the frame step in at once, and the caution never showed. */
    @Test
    void skippingNeverDisarms() {
        begin();
        press(new Press.Skip("shell", "is off already"));
        assertRefused(
                in("frame"),
                "\"The shell\" asks for 24 hours unplugged, and they are not over yet. This wait cannot be shortened.");
        press(in("foot"));
        assertThat(run.over(NOTES.step("foot"), now)).as("it lies outside").isEmpty();
    }

    @Test
    void sinceWhenItIsOffIsMadeEarlierByALeadOnlyAndNeverBeforeItHadPower() {
        begin();
        assertThatThrownBy(() -> press(off(now.plusSeconds(3600), true))).isInstanceOf(Invalid.class);
        assertRefused(
                off(MORNING.minus(Duration.ofDays(4)), false),
                "The unit was not here yet: only a lead can say since when it was off before.");
        Instant said = MORNING.minus(Duration.ofHours(10));
        press(off(said, false));
        assertThat(run.power().unpluggedSince()).contains(said);
        assertRefused(
                off(said.minusSeconds(1), false),
                "A wait for safety runs from the time said first: only a lead can make it earlier.");
        press(off(MORNING.minus(Duration.ofDays(4)), true));
        press(off(now, false));
        assertThat(run.power().unpluggedSince()).as("later is anybody's").contains(now.minusSeconds(60));
        press(new Press.SwitchTo(Power.LIVE, "hums"));
        Instant live = now;
        press(new Press.SwitchTo(Power.UNPLUGGED, ""));
        assertRefused(
                off(live.minusSeconds(1), true),
                "It had power after that, as is on record: it is unplugged since then at the earliest.");
        assertThatThrownBy(() -> press(new Press.SwitchTo(Power.UNPLUGGED, ""))).isInstanceOf(Refused.class);
    }

    @Test
    void liveWorkIsDoneLiveWithItsOwnCautionAndByWhoMay() {
        begin();
        press(off(now.minus(Duration.ofHours(30)), false));
        press(new Press.Heed("shell"));
        press(in("shell"));
        press(in("frame"));
        press(new Press.SwitchTo(Power.LIVE, "trim"));
        assertThat(run.over(NOTES.step("trim"), now)).extracting(Hazard::step).containsExactly("trim");
        assertRefused(in("trim"), "Say first that the caution of \"The trim\" is heeded: Live pins under the shell.");
        press(new Press.Heed("trim"));
        press(in("trim"));
        assertThatThrownBy(() -> new Caution("x", 1, true, false)).isInstanceOf(Invalid.class);
        assertThatThrownBy(() -> Caution.live("")).isInstanceOf(Invalid.class);
        Step alone = RunTest.step("set", Set.of(), 1).with(new Caution("High voltage.", 0, true, true));
        run = Run.replayed(Teardown.of(List.of(alone)), RunLog.NONE);
        begin();
        press(new Press.Heed("set"));
        assertRefused(in("set"), "\"The set\" is for a lead alone: ask one to do it.");
        press(new Press.StepIn("set", List.of(), Basis.COUNTED, true, new CheckRecord(List.of())));
    }

    /** Whatever is pressed in whatever order: beside the core a plain list of what was said keeps its own account. */
    @Property(tries = 500)
    void noStepUnderAHazardGoesInWithoutItsAcknowledgementAfterTheLastPowerUp(@ForAll long seed) {
        Random random = new Random(seed);
        run = Run.replayed(NOTES, RunLog.NONE);
        now = MORNING;
        begin();
        boolean live = false;
        Instant unplugged = now;
        Map<String, Instant> heeded = new HashMap<>();
        int done = 0;
        for (int n = 0; n < 120; n++) {
            Step step = NOTES.steps().get(random.nextInt(NOTES.steps().size()));
            Press press =
                    switch (random.nextInt(9)) {
                        case 0, 1, 2 -> in(step.id());
                        case 3 -> out(step.id());
                        case 4 -> new Press.Skip(step.id(), "seen so");
                        case 5, 6 -> new Press.Heed(step.id());
                        case 7 -> new Press.SwitchTo(Power.values()[random.nextInt(3)], "");
                        default -> new Press.StepBack();
                    };
            now = now.plus(Duration.ofHours(random.nextInt(3) == 0 ? random.nextInt(30) : 0));
            WayIn before = run.way();
            Optional<SayFirst> first = run.sayFirst(step, now.plusSeconds(60));
            try {
                press(press);
            } catch (Refused | Invalid refused) {
                continue;
            }
            if (press instanceof Press.SwitchTo to) {
                if (to.power() == Power.LIVE && !live) {
                    heeded.clear();
                }
                live = to.power() == Power.LIVE;
                unplugged = to.power() == Power.UNPLUGGED ? now : null;
            } else if (press instanceof Press.Heed one) {
                heeded.put(one.step(), now);
            } else if (press instanceof Press.StepIn || press instanceof Press.StepOut) {
                done++;
                assertThat(first)
                        .as("what the screen asks for is what the rule asks for")
                        .isEmpty();
                if (step.danger().live()) {
                    assertThat(heeded).containsKey(step.id());
                    continue;
                }
                assertThat(unplugged).as("%s at %s", step.id(), now).isNotNull();
                for (Step hazard : covering(step, before)) {
                    assertThat(heeded).as("under %s", hazard.id()).containsKey(hazard.id());
                    assertThat(heeded.get(hazard.id()))
                            .as("its wait was over when it was heeded")
                            .isAfterOrEqualTo(
                                    hazard.waitHours() == 0
                                            ? MORNING
                                            : unplugged.plus(Duration.ofHours(hazard.waitHours())));
                }
            }
        }
        Statistics.label("steps done").collect(done > 3).coverage(seen -> seen.check(true)
                .percentage(share -> share > 20));
    }

    /** By brute force: any chain of needs whose links are open or passed over. */
    private static List<Step> covering(Step step, WayIn way) {
        Set<String> reached = new HashSet<>(Set.of(step.id()));
        for (int round = 0; round < NOTES.steps().size(); round++) {
            for (Step one : NOTES.steps()) {
                if (reached.contains(one.id())) {
                    one.needs().stream()
                            .filter(need -> way.isOpen(need) || way.skipped().contains(need))
                            .forEach(reached::add);
                }
            }
        }
        return NOTES.steps().stream()
                .filter(one -> reached.contains(one.id()) && !one.danger().equals(Caution.NONE))
                .toList();
    }
}
