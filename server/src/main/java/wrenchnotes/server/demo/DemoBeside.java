package wrenchnotes.server.demo;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.job.FoundThing;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.diagnosis.FindingService;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.job.EventService;

/** What a bench does beside what a unit came for: greases, wipes, finds things, decides. By the luck of the visit, nothing by chance. */
@Component
class DemoBeside {

    private static final List<FoundThing> INSIDE = List.of(FoundThing.COIN, FoundThing.DISC, FoundThing.INSECT);
    private static final List<String> STATES = List.of("", "scratched", "dry");

    private final FindingService findings;
    private final PartsOfJob parts;
    private final EventService entries;

    DemoBeside(FindingService findings, PartsOfJob parts, EventService entries) {
        this.findings = findings;
        this.parts = parts;
        this.entries = entries;
    }

    /** While the unit lies open. */
    void mended(DemoTurn turn) {
        int luck = turn.visit.luck();
        By by = turn.by(turn.bencher);
        if (luck % 3 == 1) {
            used(turn, by, "grease, light, sachet");
        }
        if (luck % 6 == 2) {
            used(turn, by, "lint-free wipes");
            upkeep(turn, by);
        }
        if (luck % 29 == 5) {
            int which = luck / 29 % INSIDE.size();
            entries.say(
                    by, turn.job(), new JobEntry.FoundInside(INSIDE.get(which), STATES.get(which), Optional.empty()));
        }
        if (luck % 17 == 3) {
            entries.say(
                    by,
                    turn.job(),
                    new JobEntry.Altered("lamp at the front", "a white one instead of amber", Optional.empty()));
        }
    }

    private void used(DemoTurn turn, By by, String part) {
        parts.tell(
                by,
                turn.job(),
                PartsOfJob.Fitted.fromDrawer(turn.shop.parts().get(part), 1),
                PartsOfJob.Place.used(),
                "used on the job");
    }

    /** Something that nobody complained of is wiped while one is there. */
    private void upkeep(DemoTurn turn, By by) {
        Set<String> atFault =
                turn.visit.seen().stream().map(seen -> seen.fault().component()).collect(Collectors.toSet());
        turn.known.components().keySet().stream()
                .filter(component -> !atFault.contains(component))
                .sorted()
                .findFirst()
                .ifPresent(component -> findings.record(
                        by,
                        turn.job(),
                        new FindingService.FaultSeen(
                                component,
                                "dusty",
                                Remedy.CLEANED,
                                FindingKind.UPKEEP,
                                List.of(),
                                Optional.empty(),
                                "",
                                Optional.empty(),
                                Optional.empty(),
                                false)));
    }

    /** At a plate that is riveted somebody decides each time. */
    void before(DemoTurn turn, Step step) {
        boolean riveted = step.fasteners().stream()
                .anyMatch(group -> group.head().filter(Head.RIVET::equals).isPresent());
        if (riveted && !step.reversible()) {
            entries.say(
                    turn.by(turn.bencher),
                    turn.job(),
                    new JobEntry.ForkTaken(
                            step.title().toLowerCase(java.util.Locale.ROOT),
                            turn.visit.luck() % 5 == 0 ? "drill the rivets out" : "cut the rivets",
                            "go in from below",
                            turn.visit.luck() % 5 == 0 ? "the heads sit deep" : "no swarf in the works",
                            Optional.empty()));
        }
    }
}
