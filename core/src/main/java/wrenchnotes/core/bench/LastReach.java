package wrenchnotes.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;
import wrenchnotes.core.teardown.Thing;

/** What can no longer be reached once a step is back in: asked for by name at the last moment. */
public final class LastReach {

    private LastReach() {}

    /**
     * What is unsettled of things whose own step is closed already and lies inside this one: in the tray, broken, lost, missing, used up, or
     * left out for now.
     *
     * @param id a step that is about to go back
     * @param stays ids of things of which it was said on this run that they stay out for now
     */
    public static List<Unsettled> before(Teardown notes, WayIn way, Ledger ledger, String id, Set<String> stays) {
        Set<String> buried = notes.inside(id).stream()
                .filter(inner -> !way.isOpen(inner.id()))
                .flatMap(inner -> inner.things().stream())
                .map(Thing::id)
                .collect(Collectors.toSet());
        return ledger.unsettled().stream()
                .filter(one -> buried.contains(one.thing().id()))
                .filter(one -> one.account() != Account.OUT_FOR_NOW
                        || !stays.contains(one.thing().id()))
                .toList();
    }

    /**
     * What no account holds and can be reached no longer: what is so for a test only and was not said on this run to stay in, and pieces
     * that are still inside. It was made so, or broke, in what the step lays open, or further in.
     *
     * @param id a step that is about to go back
     * @return a sentence each
     */
    public static List<String> ends(Teardown notes, OpenEnds ends, Optional<RunRecord> run, String id) {
        Set<String> reached = Stream.concat(
                        Stream.of(id), notes.inside(id).stream().map(Step::id))
                .collect(Collectors.toSet());
        return Stream.concat(
                        ends.temporary().stream()
                                .filter(one ->
                                        one.step().filter(reached::contains).isPresent() && !one.staysOn(run))
                                .map(OpenEnds.ForTheTest::sentence),
                        ends.fragments().stream()
                                .filter(one ->
                                        one.step().filter(reached::contains).isPresent()
                                                && one.tally().stillInside() > 0)
                                .map(one -> one.tally().sentence()))
                .toList();
    }
}
