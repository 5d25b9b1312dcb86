package wrenchnotes.core.diagnosis.odds;

import java.util.Optional;

/**
 * How the faults of a model come, fault by fault: as what comes by itself or besides a main one ({@link #beside}), and as the main one ({@link
 * #asMain}). A set's chance is followed in two numbers: with no main fault met so far, and with it.
 *
 * @param beside chance of each fault by itself, or besides a main one
 * @param asMain its share of the main fault; all 0 where faults are independent
 * @param main empty where faults are independent
 */
record Coming(double[] beside, double[] asMain, Optional<OneMain> main) {

    static Coming of(FaultModel model) {
        double[] priors = model.faults().stream()
                .mapToDouble(FaultModel.ModelFault::prior)
                .toArray();
        double[] beside = priors.clone();
        double[] asMain = new double[priors.length];
        model.main().ifPresent(main -> {
            double all = 0;
            for (double rate : priors) {
                all += rate;
            }
            for (int at = 0; at < priors.length; at++) {
                asMain[at] = priors[at] / all;
                beside[at] = main.extras() * asMain[at];
            }
        });
        return new Coming(beside, asMain, model.main());
    }

    int faults() {
        return beside.length;
    }

    /** Of a set that was followed to its end. */
    double chance(boolean empty, double without, double met) {
        return main.map(one -> empty ? one.nothingWrong() : (1 - one.nothingWrong()) * met)
                .orElse(without);
    }

    /** What an end without, and one with a main fault counts. */
    double[] atTheEnd() {
        return main.map(one -> new double[] {0, 1 - one.nothingWrong()}).orElse(new double[] {1, 0});
    }

    /** How likely nothing is wrong, before anything is known. */
    double nothing() {
        double nothing = 1;
        for (double one : beside) {
            nothing *= 1 - one;
        }
        return main.map(OneMain::nothingWrong).orElse(nothing);
    }

    /** How likely so many faults are there at once, before anything is known. */
    double[] sizes() {
        int n = faults();
        double[][] of = new double[n + 2][2];
        of[0][0] = 1;
        for (int at = 0; at < n; at++) {
            for (int size = at + 1; size >= 0; size--) {
                double without = size > 0 ? of[size - 1][0] : 0;
                double met = size > 0 ? of[size - 1][1] : 0;
                of[size][1] = of[size][1] * (1 - beside[at]) + met * beside[at] + without * asMain[at];
                of[size][0] = of[size][0] * (1 - beside[at]) + without * beside[at];
            }
        }
        double[] sizes = new double[n + 1];
        for (int size = 0; size <= n; size++) {
            sizes[size] = chance(size == 0, of[size][0], of[size][1]);
        }
        return sizes;
    }
}
