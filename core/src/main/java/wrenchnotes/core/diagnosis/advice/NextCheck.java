package wrenchnotes.core.diagnosis.advice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.odds.FaultModel;
import wrenchnotes.core.diagnosis.odds.LikelySets;
import wrenchnotes.core.diagnosis.odds.Network;
import wrenchnotes.core.diagnosis.odds.Weighed;

/**
 * What to look at or to ask next: whatever tells most about the faults for each minute it takes, with what lies open on the way looked at too where that
 * tells more a minute than without.
 *
 * <p>What a check tells is its mutual information with the set of faults, in bits (published: Shannon 1948; Cover and Thomas, Elements of Information Theory,
 * chapter 2; from memory): the doubt about its answer less what of that is left once the faults are known. Of several at once, that of all their answers.
 * For one fault and independent checks the best order is known; CheckOrderTest holds this to it, NextCheckTest to enumeration.
 *
 * @param what name of a component to look at or measure, or a symptom to ask for or try
 * @param how by which means; empty for a symptom
 * @param onTheWay components to look at on the way there, nearest first
 * @param bits expected of all of it, 0 or more
 * @param minutes all of it takes, above 0
 * @param likely how likely it comes out bad, or the symptom is there
 * @param settles the faults that it tells most about, at most two, most first
 */
public record NextCheck(
        String what,
        Optional<Means> how,
        List<String> onTheWay,
        double bits,
        double minutes,
        double likely,
        List<FaultName> settles) {

    private static final int SHOWN = 3;
    /** More on one way nobody keeps in mind. */
    private static final int MOST_ON_THE_WAY = 2;
    /** Components with less than this between them are not worth a look yet. */
    private static final double TOO_UNLIKELY = 0.01;
    /** In bits: what tells less is not worth a line. Ours, no source. */
    private static final double TELLS_NOTHING = 0.005;
    /** A question that no fault answers is not worth asking. */
    private static final double SAYS_LITTLE = 0.1;

    public double bitsPerMinute() {
        return bits / minutes;
    }

    /**
     * @param askMinutes what one question or try takes
     * @param leaveOut what was looked at or overruled already: names of components
     * @return the best three, best first, no component or symptom twice; empty if nothing is left that would tell
     */
    public static List<NextCheck> best(Weighed now, Ways ways, double askMinutes, Set<String> leaveOut) {
        return new Choice(now, now.sets(), ways).best(askMinutes, leaveOut);
    }

    /** @param shows of each set, how likely it comes out bad */
    private record Check(String what, Optional<Means> how, double minutes, double[] shows) {}

    private static final class Choice {

        private final Weighed now;
        private final Rates rates;
        private final LikelySets sets;
        private final Ways ways;
        private final double[] before;
        private final JointInformation information;

        Choice(Weighed now, LikelySets sets, Ways ways) {
            this.now = now;
            this.rates = now.rates();
            this.sets = sets;
            this.ways = ways;
            this.before = now.byFault(sets, sets.shares());
            this.information = new JointInformation(sets.shares());
        }

        List<NextCheck> best(double askMinutes, Set<String> leaveOut) {
            List<String> components = components(leaveOut);
            List<NextCheck> all = new ArrayList<>();
            for (String component : components) {
                for (Means means : List.of(Means.LOOKED, Means.MEASURED)) {
                    look(component, means).ifPresent(check -> all.add(withTheWay(check, components)));
                }
            }
            for (String word : rates.shows().keySet()) {
                boolean said = now.known().present().contains(word)
                        || now.known().absent().contains(word);
                if (!said && worthAsking(word)) {
                    all.add(ask(word, askMinutes));
                }
            }
            all.removeIf(check -> check.bits() < TELLS_NOTHING);
            all.sort(Comparator.comparingDouble(NextCheck::bitsPerMinute)
                    .reversed()
                    .thenComparing(NextCheck::what));
            Set<String> shown = new HashSet<>();
            return all.stream()
                    .filter(check -> shown.add(check.what()))
                    .limit(SHOWN)
                    .toList();
        }

        private List<String> components(Set<String> leaveOut) {
            return IntStream.range(0, rates.faults().size())
                    .filter(at -> before[at] >= TOO_UNLIKELY)
                    .mapToObj(at -> rates.faults().get(at).fault().component())
                    .filter(component -> !leaveOut.contains(component))
                    .distinct()
                    .toList();
        }

        private boolean worthAsking(String word) {
            return IntStream.range(0, rates.faults().size())
                    .anyMatch(at -> before[at] >= TOO_UNLIKELY
                            && rates.shows()
                                            .get(word)
                                            .getOrDefault(rates.faults().get(at).fault(), 0.0)
                                    >= SAYS_LITTLE);
        }

        /** Set against not having heard of it at all: so far silence has said a part of it. */
        private NextCheck ask(String word, double askMinutes) {
            FaultModel.ModelSymptom symptom = Network.symptom(rates, word);
            LikelySets unheard = sets.before(symptom, now.network().silentOn(word));
            Check check = new Check(word, Optional.empty(), askMinutes, unheard.shows(symptom));
            return new Choice(now, unheard, ways).told(check, List.of());
        }

        private Optional<Check> look(String component, Means means) {
            Optional<FaultModel.ModelSymptom> check = Network.look("check", component, means, rates);
            return check.map(one -> new Check(component, Optional.of(means), means.minutes(), sets.shows(one)));
        }

        /** Whatever else lies open on the way is looked at too, one after the other, as long as that tells more a minute. */
        private NextCheck withTheWay(Check target, List<String> components) {
            List<Check> along = new ArrayList<>();
            NextCheck best = told(target, along);
            Set<String> passing = ways.passing(target.what());
            List<Check> left = new ArrayList<>();
            components.stream()
                    .filter(one -> !one.equals(target.what()) && passing.contains(one))
                    .forEach(one -> look(one, Means.LOOKED).ifPresent(left::add));
            while (along.size() < MOST_ON_THE_WAY && !left.isEmpty()) {
                Check added = null;
                NextCheck better = best;
                for (Check one : left) {
                    List<Check> more = new ArrayList<>(along);
                    more.add(one);
                    NextCheck with = told(target, more);
                    if (with.bitsPerMinute() > better.bitsPerMinute()) {
                        better = with;
                        added = one;
                    }
                }
                if (added == null) {
                    return best;
                }
                along.add(added);
                left.remove(added);
                best = better;
            }
            return best;
        }

        private NextCheck told(Check check, List<Check> along) {
            List<double[]> answers = new ArrayList<>();
            answers.add(check.shows());
            along.forEach(one -> answers.add(one.shows()));
            double way = check.how().isPresent() ? ways.to(check.what()) : 0;
            double minutes = way
                    + check.minutes()
                    + along.stream().mapToDouble(Check::minutes).sum();
            double likely = information.likely(check.shows());
            return new NextCheck(
                    check.what(),
                    check.how(),
                    along.stream()
                            .map(Check::what)
                            .sorted(Comparator.comparingDouble(ways::to))
                            .toList(),
                    information.bits(answers),
                    minutes,
                    likely,
                    settles(check, likely));
        }

        /** By how much the doubt about each fault by itself is lessened. */
        private List<FaultName> settles(Check check, double likely) {
            double[] share = sets.shares();
            double[] bad = new double[share.length];
            double[] good = new double[share.length];
            for (int at = 0; at < share.length; at++) {
                bad[at] = share[at] * check.shows()[at];
                good[at] = share[at] - bad[at];
            }
            double[] ifBad = now.byFault(sets, bad);
            double[] ifGood = now.byFault(sets, good);
            double[] each = new double[rates.faults().size()];
            for (int at = 0; at < each.length; at++) {
                each[at] = JointInformation.doubt(before[at])
                        - likely * JointInformation.doubt(ifBad[at])
                        - (1 - likely) * JointInformation.doubt(ifGood[at]);
            }
            return IntStream.range(0, each.length)
                    .boxed()
                    .filter(at -> each[at] > 1e-9)
                    .sorted(Comparator.comparingDouble((Integer at) -> -each[at]))
                    .limit(2)
                    .map(at -> rates.faults().get(at).fault())
                    .toList();
        }
    }
}
