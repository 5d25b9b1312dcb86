package wrenchnotes.core.diagnosis.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.odds.Explained;
import wrenchnotes.core.diagnosis.odds.FaultModel;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.diagnosis.odds.Network;
import wrenchnotes.core.diagnosis.odds.Suspects;

/**
 * What to look at or to ask next: whatever tells most about the faults for each minute it takes.
 *
 * <p>What a check tells is by how much it is expected to lessen the doubt about each fault: the sum over the faults of the binary
 * entropy before, less the mean of it after, in bits (information gain, published: Shannon 1948). Its minutes include the way to get at the
 * component from what is open now. For one fault and independent checks the best order is known; CheckOrderTest holds this to it.
 *
 * @param what name of a component to look at or measure, or a symptom to ask for or try
 * @param how by which means; empty for a symptom
 * @param bits expected, 0 or more
 * @param minutes above 0
 * @param likely how likely it comes out bad, or the symptom is there
 * @param settles the faults that it tells most about, at most two, most first
 */
public record NextCheck(
        String what, Optional<Means> how, double bits, double minutes, double likely, List<FaultName> settles) {

    private static final int SHOWN = 3;
    /** Components with less than this between them are not worth a look yet. */
    private static final double TOO_UNLIKELY = 0.01;
    /** A question that no fault answers is not worth asking. */
    private static final double SAYS_LITTLE = 0.1;

    /**
     * @param minutesTo by name of component in lower case, how long it takes to get at it from what is open now
     * @param unknownWay minutes to a component that is not in there
     * @param askMinutes what one question or try takes
     * @param leaveOut what was looked at or overruled already: names of components
     * @return the best three, best first, no component or symptom twice; empty if nothing is left that would tell
     */
    public static List<NextCheck> best(
            Rates history,
            Known known,
            Map<String, Double> minutesTo,
            double unknownWay,
            double askMinutes,
            Set<String> leaveOut) {
        Rates rates = Suspects.beside(history, known);
        Network now = Network.of(rates, known);
        if (now.present().size() >= Network.MOST_PRESENT) {
            return List.of();
        }
        Explained.Marginals before = now.marginals();
        if (!(before.evidence() > 0)) {
            return List.of();
        }
        List<NextCheck> all = new ArrayList<>();
        for (String component : components(rates, before)) {
            if (leaveOut.contains(component)) {
                continue;
            }
            double way = minutesTo.getOrDefault(component, unknownWay);
            for (Means means : List.of(Means.LOOKED, Means.MEASURED)) {
                Network.look("check", component, means, rates)
                        .ifPresent(check -> all.add(
                                tell(now, before, check, component, Optional.of(means), way + means.minutes(), rates)));
            }
        }
        for (String word : rates.shows().keySet()) {
            boolean said = known.present().contains(word) || known.absent().contains(word);
            if (!said && worthAsking(word, rates, before)) {
                all.add(tell(now, before, Network.symptom(rates, word), word, Optional.empty(), askMinutes, rates));
            }
        }
        all.removeIf(check -> check.bits() < 1e-4);
        all.sort(Comparator.comparingDouble(NextCheck::bitsPerMinute).reversed().thenComparing(NextCheck::what));
        Set<String> shown = new HashSet<>();
        return all.stream()
                .filter(check -> shown.add(check.what()))
                .limit(SHOWN)
                .toList();
    }

    public double bitsPerMinute() {
        return bits / minutes;
    }

    private static List<String> components(Rates rates, Explained.Marginals before) {
        List<String> components = new ArrayList<>();
        for (int at = 0; at < rates.faults().size(); at++) {
            String component = rates.faults().get(at).fault().component();
            if (before.probabilities()[at] >= TOO_UNLIKELY && !components.contains(component)) {
                components.add(component);
            }
        }
        return components;
    }

    private static boolean worthAsking(String word, Rates rates, Explained.Marginals before) {
        for (int at = 0; at < rates.faults().size(); at++) {
            FaultName fault = rates.faults().get(at).fault();
            if (before.probabilities()[at] >= TOO_UNLIKELY
                    && rates.shows().get(word).getOrDefault(fault, 0.0) >= SAYS_LITTLE) {
                return true;
            }
        }
        return false;
    }

    private static NextCheck tell(
            Network now,
            Explained.Marginals before,
            FaultModel.ModelSymptom check,
            String what,
            Optional<Means> how,
            double minutes,
            Rates rates) {
        Explained.Marginals bad = now.with(check, true).marginals();
        Explained.Marginals good = now.with(check, false).marginals();
        double likely = Math.min(1, bad.evidence() / before.evidence());
        double bits = 0;
        double[] each = new double[rates.faults().size()];
        for (int at = 0; at < each.length; at++) {
            each[at] = Math.max(
                    0,
                    entropy(before.probabilities()[at])
                            - likely * entropy(bad.probabilities()[at])
                            - (1 - likely) * entropy(good.probabilities()[at]));
            bits += each[at];
        }
        List<FaultName> settles = IntStream.range(0, each.length)
                .boxed()
                .filter(at -> each[at] > 0)
                .sorted(Comparator.comparingDouble((Integer at) -> -each[at]))
                .limit(2)
                .map(at -> rates.faults().get(at).fault())
                .toList();
        return new NextCheck(what, how, bits, minutes, likely, settles);
    }

    private static double entropy(double p) {
        return p <= 0 || p >= 1 ? 0 : -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }
}
