package wrenchnotes.server.diagnosis;

import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Overruling;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.job.Warranty;
import wrenchnotes.core.teardown.plan.Reach;

/** The faults of one unit in the order in which they are told, by the model's own names, with what people said of them. */
final class LikelyFaults {

    private static final int SHOWN = 8;

    private LikelyFaults() {}

    record EarlierMend(long job, FaultName fault, Remedy remedy, Instant handedOver) {}

    /** What it may have: what a person puts first, then the likeliest first, then what was ruled out or dealt with. */
    static List<UnitOdds.LikelyFault> of(
            Asked asked, List<EarlierMend> earlier, Diagnosis diagnosis, Map<FaultName, BookStore.KnownFault> ids) {
        Set<FaultName> done = asked.done();
        return diagnosis.faults().stream()
                .map(likely -> {
                    FaultName fault = likely.fault();
                    Optional<BookStore.KnownFault> id = Optional.ofNullable(ids.get(fault));
                    return new UnitOdds.LikelyFault(
                            own(ids, fault),
                            id.map(BookStore.KnownFault::componentId),
                            id.map(BookStore.KnownFault::faultId),
                            likely.probability(),
                            likely.low(),
                            likely.high(),
                            likely.behind(),
                            Optional.ofNullable(asked.ways().get(fault.component()))
                                    .map(Reach.WayIn::minutes),
                            done.contains(fault),
                            Optional.ofNullable(asked.said().get(fault)),
                            earlierFix(earlier, fault, asked.now()));
                })
                .sorted(Comparator.comparingInt(LikelyFaults::place))
                .toList();
    }

    /** The likeliest, and what a person has spoken on, or dealt with, however unlikely it is. */
    static List<UnitOdds.LikelyFault> told(List<UnitOdds.LikelyFault> faults) {
        return Stream.concat(
                        faults.stream().filter(fault -> place(fault) == 1).limit(SHOWN),
                        faults.stream().filter(fault -> place(fault) != 1))
                .sorted(Comparator.comparingInt(LikelyFaults::place))
                .toList();
    }

    /** What a person puts first stands first, what was ruled out or dealt with last; between them the odds decide. */
    static int place(UnitOdds.LikelyFault fault) {
        Optional<Overruling> word = fault.overruled().map(EvidenceStore.OverruledRow::word);
        return word.equals(Optional.of(Overruling.THIS_FIRST)) ? 0 : word.isPresent() || fault.out() ? 2 : 1;
    }

    private static Optional<UnitOdds.EarlierFix> earlierFix(List<EarlierMend> earlier, FaultName fault, Instant now) {
        return earlier.stream()
                .filter(fix -> fix.fault().component().equals(fault.component()))
                .findFirst()
                .map(fix -> {
                    Duration ago = Duration.between(fix.handedOver(), now);
                    boolean covered = Warranty.covers(fix.handedOver(), now);
                    return new UnitOdds.EarlierFix(fix.job(), fix.remedy(), fix.handedOver(), ago.toDays(), covered);
                });
    }

    static FaultName own(Map<FaultName, BookStore.KnownFault> ids, FaultName fault) {
        return Optional.ofNullable(ids.get(fault))
                .map(BookStore.KnownFault::name)
                .orElse(fault);
    }
}
