package wrenchnotes.core.check;

import java.util.ArrayList;
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
     * Failed checks of the work that stand, in the order in which they failed last: until the same check with the same load passes, is struck
     * (and so not here), or is taken as a remark. Neither another check nor "not tested" makes a failure good.
     */
    public List<Check> standingFailures() {
        List<Check> standing = new ArrayList<>();
        for (int at = 0; at < checks.size(); at++) {
            Check check = checks.get(at);
            if (check.verdict() == Verdict.FAILED
                    && check.stage() != Stage.ARRIVAL
                    && check.asRemark().isEmpty()
                    && checks.subList(at + 1, checks.size()).stream().noneMatch(later -> answers(later, check))) {
                standing.add(check);
            }
        }
        return standing;
    }

    /** Tried again: it passed, or it failed again and stands for both. */
    private static boolean answers(Check later, Check failed) {
        return later.verdict() != Verdict.NOT_TESTED && later.stage() != Stage.ARRIVAL && later.sameAs(failed);
    }

    /** What nobody has tried since it was said not to be tested, in that order: it goes out untested, and why. */
    public List<Check> notTested() {
        return checks.stream()
                .filter(check -> check.verdict() == Verdict.NOT_TESTED && check.stage() != Stage.ARRIVAL)
                .filter(check ->
                        checks.stream().noneMatch(later -> later.at().isAfter(check.at()) && later.sameAs(check)))
                .toList();
    }

    /** Whether it was said of the closed unit that it is not tested, and nobody tried it all the same. */
    public boolean goesUntested() {
        List<Check> closed = checks.stream()
                .filter(check -> check.stage() == Stage.AFTER_CLOSING)
                .toList();
        return !closed.isEmpty() && closed.stream().allMatch(check -> check.verdict() == Verdict.NOT_TESTED);
    }

    /**
     * What went and what stayed, read off by comparing the same check later with what was tried as it came, a sentence each; what was good and
     * still is needs none.
     */
    public List<String> sinceArrival() {
        List<String> lines = new ArrayList<>();
        List<Check> came = checks.stream()
                .filter(check -> check.stage() == Stage.ARRIVAL && check.verdict() != Verdict.NOT_TESTED)
                .toList();
        for (Check before : came) {
            if (came.stream().anyMatch(later -> later.at().isAfter(before.at()) && later.sameAs(before))) {
                continue;
            }
            checks.stream()
                    .filter(check -> check.stage() != Stage.ARRIVAL
                            && check.verdict() != Verdict.NOT_TESTED
                            && check.sameAs(before))
                    .reduce((earlier, later) -> later)
                    .flatMap(now -> change(before.verdict(), now.verdict()))
                    .ifPresent(change -> lines.add(before.words() + ": " + change));
        }
        return lines;
    }

    private static Optional<String> change(Verdict came, Verdict now) {
        if (came == now) {
            return came == Verdict.FAILED ? Optional.of("failed as it came, and still does") : Optional.empty();
        }
        return Optional.of(now == Verdict.PASSED ? "failed as it came, passes now" : "passed as it came, FAILS NOW");
    }

    /** Failures that somebody took as a remark, and that did not pass since. */
    public List<Check> remarks() {
        return checks.stream()
                .filter(check ->
                        check.verdict() == Verdict.FAILED && check.asRemark().isPresent())
                .filter(check -> checks.stream()
                        .noneMatch(later -> later.at().isAfter(check.at())
                                && later.verdict() == Verdict.PASSED
                                && later.sameAs(check)))
                .toList();
    }
}
