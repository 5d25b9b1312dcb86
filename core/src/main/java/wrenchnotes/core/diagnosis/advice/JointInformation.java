package wrenchnotes.core.diagnosis.advice;

import java.util.List;

/** What answers tell of which of many cases it is, when each answer depends on the case alone. */
final class JointInformation {

    private final double[] shares;

    /** @param shares of each case; they add up to 1 */
    JointInformation(double[] shares) {
        this.shares = shares;
    }

    /** @param shows of each case, how likely the answer is yes */
    double likely(double[] shows) {
        double likely = 0;
        for (int at = 0; at < shares.length; at++) {
            likely += shares[at] * shows[at];
        }
        return Math.min(1, likely);
    }

    /** Mutual information of all answers and the case, in bits, 0 or more. @param answers of each case, how likely each is yes; a few */
    double bits(List<double[]> answers) {
        double[] outcomes = new double[1 << answers.size()];
        double left = 0;
        for (int at = 0; at < shares.length; at++) {
            for (int outcome = 0; outcome < outcomes.length; outcome++) {
                double chance = shares[at];
                for (int n = 0; n < answers.size(); n++) {
                    double yes = answers.get(n)[at];
                    chance *= (outcome >> n & 1) == 1 ? yes : 1 - yes;
                }
                outcomes[outcome] += chance;
            }
            for (double[] answer : answers) {
                left += shares[at] * doubt(answer[at]);
            }
        }
        double all = 0;
        for (double chance : outcomes) {
            all -= chance <= 0 ? 0 : chance * Math.log(chance) / Math.log(2);
        }
        return Math.max(0, all - left);
    }

    /** Of a thing that is so with a chance, in bits. */
    static double doubt(double p) {
        return p <= 0 || p >= 1 ? 0 : -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }
}
