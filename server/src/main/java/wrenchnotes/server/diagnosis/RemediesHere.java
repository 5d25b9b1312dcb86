package wrenchnotes.server.diagnosis;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.WorkHazard;
import wrenchnotes.core.diagnosis.history.Remedied;
import wrenchnotes.core.diagnosis.history.Where;

/** What is offered about a fault once it was picked. */
final class RemediesHere {

    private static final int REMEDIES = 5;
    /** Offered after what was done here before. Common practice, no source. */
    private static final List<Remedy> USUAL =
            List.of(Remedy.REPLACED, Remedy.CLEANED, Remedy.ADJUSTED, Remedy.LUBRICATED, Remedy.RESEATED);

    private RemediesHere() {}

    /** What was done before, then what else is usual; that it was left is always among them. */
    static List<There.RemedyHere> of(FaultName fault, List<Remedied> before, boolean told) {
        List<There.RemedyHere> offered = new ArrayList<>();
        Set<Remedy> left = EnumSet.allOf(Remedy.class);
        before.stream()
                .filter(one -> one.remedy() != Remedy.LEFT_AS_IT_IS)
                .limit(REMEDIES - 1)
                .forEach(one -> {
                    left.remove(one.remedy());
                    offered.add(remedy(
                            fault,
                            one.remedy(),
                            one.times(),
                            one.failed(),
                            one.cameBack(),
                            Optional.of(one.level()),
                            told));
                });
        USUAL.stream()
                .filter(left::contains)
                .limit(REMEDIES - 1 - offered.size())
                .forEach(one -> offered.add(remedy(fault, one, 0, 0, 0, Optional.empty(), told)));
        Optional<Remedied> leftBefore = before.stream()
                .filter(one -> one.remedy() == Remedy.LEFT_AS_IT_IS)
                .findFirst();
        offered.add(remedy(
                fault,
                Remedy.LEFT_AS_IT_IS,
                leftBefore.map(Remedied::times).orElse(0),
                0,
                leftBefore.map(Remedied::cameBack).orElse(0),
                leftBefore.map(Remedied::level),
                told));
        return offered;
    }

    private static There.RemedyHere remedy(
            FaultName fault,
            Remedy remedy,
            int times,
            int failed,
            int cameBack,
            Optional<Where.Level> level,
            boolean told) {
        return new There.RemedyHere(
                remedy,
                times,
                failed,
                cameBack,
                level,
                FindingKind.likely(remedy, told, false),
                WorkHazard.of(Optional.of(remedy), fault.words()).stream()
                        .map(WorkHazard::caution)
                        .toList());
    }
}
