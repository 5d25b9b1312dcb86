package wrenchnotes.core.check;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/** The checks of one job that stand (struck ones left out), in the order in which they were written. */
public record CheckRecord(List<Check> checks) {

    public CheckRecord {
        checks = checks.stream().sorted(Comparator.comparing(Check::at)).toList();
    }

    /** Those made then or after, such as since the last opening of the unit. */
    public CheckRecord since(Moment moment) {
        return new CheckRecord(
                checks.stream().filter(check -> !check.at().isBefore(moment)).toList());
    }

    public Optional<Check> last(Stage stage) {
        return checks.stream().filter(check -> check.stage() == stage).reduce((earlier, later) -> later);
    }

    /**
     * A failed check that nothing has answered: of the last check that was tried at each stage of the work, and of the
     * latest of those. Saying "not tested" afterwards does not make a failure good.
     */
    public Optional<Check> standingFailure() {
        return checks.stream()
                .filter(check -> check.stage() != Stage.ARRIVAL && check.verdict() != Verdict.NOT_TESTED)
                .reduce((earlier, later) -> later)
                .filter(check -> check.verdict() == Verdict.FAILED);
    }
}
