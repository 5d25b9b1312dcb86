package wrenchnotes.core.diagnosis.advice;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import wrenchnotes.core.checkin.ArrivalMark;
import wrenchnotes.core.diagnosis.Cause;
import wrenchnotes.core.teardown.Step;
import wrenchnotes.core.teardown.Teardown;

/**
 * What to mind of a unit before anybody reaches into it. A unit that fell or got wet is looked over as a whole before anything is swapped,
 * whatever it came for (common practice, no source).
 *
 * @param lookFirst in this order; empty if nothing points to a fall or liquid
 * @param mind the watch points of the notes
 * @param cautions of what is seen of its state, then of the notes' steps, each once
 */
public record BeforeWork(List<LookFirst> lookFirst, List<MindPoint> mind, List<String> cautions) {

    /** @param componentId to be looked at after a fall or liquid; @param words what to look for; empty if nobody wrote it */
    public record LookFirst(long componentId, String component, String words) {}

    /** @param component what to mind of it */
    public record MindPoint(String component, String words) {}

    /**
     * @param notes of its revision
     * @param components of its model, their names by id, in the order in which they are told
     * @param marks what is seen of its state
     * @param causes of the faults that were found so far
     */
    public static BeforeWork of(
            Teardown notes, Map<Long, String> components, Set<ArrivalMark> marks, Collection<Cause> causes) {
        boolean shaken =
                marks.stream().anyMatch(ArrivalMark::shakes) || causes.stream().anyMatch(Cause::shakes);
        return new BeforeWork(
                shaken ? lookFirst(notes, components) : List.of(),
                notes.overview().watch().stream()
                        .map(watch -> new MindPoint(components.getOrDefault(watch.component(), ""), watch.words()))
                        .toList(),
                Stream.concat(
                                ArrivalMark.cautions(marks).stream(),
                                notes.steps().stream().map(Step::caution).filter(caution -> !caution.isEmpty()))
                        .distinct()
                        .toList());
    }

    /** The shop's list for this revision; while nobody has written one, everything there is. */
    private static List<LookFirst> lookFirst(Teardown notes, Map<Long, String> components) {
        return notes.overview().lookOver().isEmpty()
                ? components.entrySet().stream()
                        .map(component -> new LookFirst(component.getKey(), component.getValue(), ""))
                        .toList()
                : notes.overview().lookOver().stream()
                        .map(look -> new LookFirst(
                                look.component(), components.getOrDefault(look.component(), ""), look.words()))
                        .toList();
    }
}
