package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Thing;
import wrenchnotes.core.unit.Moment;

/**
 * A step that comes if each one before it is done as the notes say: for whoever goes on while the shop does not answer. What is done then is judged like any
 * other press once it arrives.
 *
 * @param step its id
 * @param sayFirst all that has to be said before it, in this order; where it begins with power or a wait nothing is known beyond
 * @param keepApart as of {@link LookAlikes}, on the way in
 */
public record Coming(String step, List<SayFirst> sayFirst, List<String> keepApart) {

    /** More nobody does in one go. */
    private static final int MOST = 60;

    /** Whether what comes after it can be told. */
    private boolean goesOn() {
        return sayFirst.stream().noneMatch(first -> switch (first.what()) {
            case UNPLUG, WAIT -> true;
            case HEED, MARK, STANDS_AGAIN -> false;
        });
    }

    /** The way on in, the next step first; nothing unless a run is under way. */
    public static List<Coming> in(Run run, Instant now) {
        List<Coming> coming = new ArrayList<>();
        if (run.underWay().isEmpty()) {
            return coming;
        }
        List<Acknowledgement> heeded = new ArrayList<>(run.log().acknowledged());
        WayIn way = run.way();
        Ledger ledger = run.ledger();
        Optional<Step> next = way.nextIn(run.route());
        while (next.isPresent() && coming.size() < MOST) {
            Step step = next.get();
            Coming one = new Coming(step.id(), first(run, way, heeded, step, now), LookAlikes.of(step, ledger));
            coming.add(one);
            if (!one.goesOn()) {
                break;
            }
            heeded.addAll(heeding(one, now));
            way = way.in(step.id());
            for (Thing thing : step.things()) {
                for (Move move :
                        TakenOff.usual(ledger, step, thing, Basis.COUNTED).moves(ledger)) {
                    ledger = ledger.with(move);
                }
            }
            next = way.nextIn(run.route());
        }
        return coming;
    }

    /** The way out, the next step first; nothing unless a run is under way. */
    public static List<Coming> out(Run run, Instant now) {
        List<Coming> coming = new ArrayList<>();
        if (run.underWay().isEmpty()) {
            return coming;
        }
        List<Acknowledgement> heeded = new ArrayList<>(run.log().acknowledged());
        WayIn way = run.way();
        Optional<Step> next = way.nextOut();
        while (next.isPresent() && coming.size() < MOST) {
            Step step = next.get();
            Coming one = new Coming(step.id(), first(run, way, heeded, step, now), List.of());
            coming.add(one);
            if (!one.goesOn()) {
                break;
            }
            heeded.addAll(heeding(one, now));
            way = way.out(step.id());
            next = way.nextOut();
        }
        return coming;
    }

    private static List<SayFirst> first(Run run, WayIn way, List<Acknowledgement> heeded, Step step, Instant now) {
        Hazards hazards = new Hazards(run.notes(), way, run.power(), heeded);
        return first(hazards, new Marks(way, run.log().marks()), step, now);
    }

    /** The first of it; empty when the step can be done. */
    static Optional<SayFirst> next(Hazards hazards, Marks marks, Step step, Instant now) {
        return first(hazards, marks, step, now).stream().findFirst();
    }

    /** All that has to be said before a step, in the order in which it is asked. */
    static List<SayFirst> first(Hazards hazards, Marks marks, Step step, Instant now) {
        return Stream.concat(hazards.all(step, now).stream(), marks.all(step).stream())
                .toList();
    }

    private static List<Acknowledgement> heeding(Coming one, Instant now) {
        return one.sayFirst().stream()
                .flatMap(first -> first.hazard().stream())
                .map(hazard -> new Acknowledgement(hazard.step(), new Moment(Long.MAX_VALUE, now)))
                .toList();
    }
}
