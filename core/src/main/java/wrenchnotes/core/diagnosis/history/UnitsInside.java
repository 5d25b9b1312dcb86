package wrenchnotes.core.diagnosis.history;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;

/** Which sub-assemblies were seen in each job's unit, in columns: 4 bytes a job and 4 a sub-assembly. */
final class UnitsInside {

    private static final int[] NOTHING = {};
    private final Columns.Ints first = new Columns.Ints();
    private final Columns.Ints revision = new Columns.Ints();
    private final Set<Long> seen = new HashSet<>();

    /** Of the job after the last that was added. */
    void add(List<Long> inside) {
        first.add(revision.size());
        inside.forEach(revision::add);
        seen.addAll(inside);
    }

    /** The revisions of what was seen in a job's unit. */
    int[] of(int job) {
        int end = job + 1 < first.size() ? first.get(job + 1) : revision.size();
        if (end == first.get(job)) {
            return NOTHING;
        }
        int[] of = new int[end - first.get(job)];
        for (int at = 0; at < of.length; at++) {
            of[at] = revision.get(first.get(job) + at);
        }
        return of;
    }

    /** Of a job, which of its faults are of which sub-assembly: of those whose component that model has too. */
    Map<Where, Set<FaultName>> faults(int job, Set<FaultName> faults, Names names) {
        int end = job + 1 < first.size() ? first.get(job + 1) : revision.size();
        Map<Where, Set<FaultName>> its = new HashMap<>();
        for (int at = first.get(job); at < end; at++) {
            Where where = names.revisions().get((long) revision.get(at));
            Set<String> components = names.components().getOrDefault(where.model(), Set.of());
            for (FaultName fault : faults) {
                if (components.contains(fault.component())) {
                    its.computeIfAbsent(where, one -> new HashSet<>()).add(fault);
                }
            }
        }
        return its;
    }

    /** Whether the models of all that was seen inside have the components that they had. */
    boolean sameComponents(Names before, Names now) {
        return seen.stream()
                .map(id -> before.revisions().get(id))
                .filter(Objects::nonNull)
                .allMatch(where -> before.components()
                        .getOrDefault(where.model(), Set.of())
                        .equals(now.components().getOrDefault(where.model(), Set.of())));
    }

    long bytes() {
        return first.bytes() + revision.bytes();
    }
}
