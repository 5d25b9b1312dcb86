package wrenchnotes.core.check;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Moment;

/**
 * What was done on the mains side of a unit in one stay, and the electrical checks that followed.
 *
 * @param asked whether the shop asks for one
 * @param done what was worked on, with when
 * @param checks those made, oldest first
 */
public record MainsWork(boolean asked, List<Done> done, List<Made> checks) {

    /** @param what "inlet: loose" */
    public record Done(String what, Moment at) {}

    /** @param by the name of whoever measured */
    public record Made(ElectricalCheck check, Moment at, String by) {}

    public static final MainsWork NONE = new MainsWork(true, List.of(), List.of());

    public MainsWork {
        done = List.copyOf(done);
        checks = List.copyOf(checks);
    }

    /** The last one. */
    public Optional<Made> last() {
        return checks.isEmpty() ? Optional.empty() : Optional.of(checks.get(checks.size() - 1));
    }

    /**
     * What keeps the unit from leaving ready to be plugged in.
     *
     * @param lastIn when it was last opened: what was measured before that says nothing of it now
     * @return empty if nothing does
     */
    public Optional<String> inTheWay(Optional<Moment> lastIn) {
        if (last().filter(made -> !made.check().passed()).isPresent()) {
            return Optional.of(
                    "The electrical check " + last().get().check().sentence() + ". Mend it and measure again.");
        }
        if (!asked || done.isEmpty()) {
            return Optional.empty();
        }
        boolean good = last().filter(made -> lastIn.filter(made.at()::isBefore).isEmpty())
                .filter(made -> done.stream().noneMatch(one -> made.at().isBefore(one.at())))
                .isPresent();
        return good
                ? Optional.empty()
                : Optional.of("Worked on its mains side (" + what()
                        + "): earth, insulation and lead are to be checked closed, by"
                        + " somebody who may where you are.");
    }

    private String what() {
        return String.join("; ", done.stream().map(Done::what).distinct().toList());
    }
}
