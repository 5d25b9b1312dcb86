package wrenchnotes.server.diagnosis;

import java.util.List;
import java.util.Optional;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.FindingKind;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where;
import wrenchnotes.server.drawer.UsedBefore;

/**
 * What somebody at an open unit is offered to say.
 *
 * @param faults what is in reach first, of that the likeliest; then what else is in reach; then the rest
 * @param left how many more may be wrong with it, less likely
 * @param next what tells most a minute
 * @param inReach components that lie open, and that nobody has spoken of yet
 * @param found on this stay, what stands of it, in its order
 */
public record There(
        List<LikelyHere> faults,
        int left,
        double leftOut,
        boolean trusted,
        List<UnitOdds.CheckAdvice> next,
        List<InReach> inReach,
        List<FindingStore.FindingRow> found) {

    public record InReach(long component, String name) {}

    /**
     * @param wrong empty of a component in reach that nothing was found wrong with before: then {@code wrongs} are words for it, and its probability is 0
     * @param componentId empty if the model has no such component yet
     * @param behind empty without {@code wrong}
     * @param inReach whether it lies open
     * @param photo hash of the shop's last picture of that fault
     * @param remedies what held most often first
     * @param parts of the drawers, those that went in most often for that component first
     */
    public record LikelyHere(
            String component,
            Optional<String> wrong,
            List<String> wrongs,
            Optional<Long> componentId,
            double probability,
            double low,
            double high,
            Optional<Rates.Behind> behind,
            boolean inReach,
            Optional<String> photo,
            List<RemedyHere> remedies,
            List<UsedBefore> parts) {}

    /**
     * @param times how often it was done here; 0 if never
     * @param failed in how many of these it changed nothing
     * @param cameBack how many of the others came back with that component
     * @param level on the model, or anywhere in the shop; empty if never
     * @param kind what the finding most likely is then
     * @param cautions what can hurt in it
     */
    public record RemedyHere(
            Remedy remedy,
            int times,
            int failed,
            int cameBack,
            Optional<Where.Level> level,
            FindingKind kind,
            List<String> cautions) {}

    /**
     * A component to go to.
     *
     * @param probability that something is wrong with it
     * @param faults the likeliest of it, at most two
     * @param minutes of the way from what is open
     * @param steps how many that are
     * @param breaks the steps on the way that cannot be undone, by their titles
     * @param parts of the drawers that went in for it before
     */
    public record WorthGoing(
            long component,
            String name,
            double probability,
            List<FaultName> faults,
            double minutes,
            int steps,
            List<String> breaks,
            List<UsedBefore> parts) {}
}
