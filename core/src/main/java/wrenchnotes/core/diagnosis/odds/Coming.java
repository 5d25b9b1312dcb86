package wrenchnotes.core.diagnosis.odds;

import java.util.Arrays;
import java.util.Optional;

/**
 * How the faults of a model come, fault by fault. A set of them is followed in three numbers ({@link Chance}): as one of a unit that has nothing, as one
 * whose main fault is not met so far, and as one whose main fault is. Where faults are independent the second is all there is.
 *
 * @param beside chance of each fault by itself, or besides a main one
 * @param asMain its share of the main fault; all 0 where faults are independent
 * @param aside whether it is there or not whatever else is
 * @param main empty where faults are independent
 */
record Coming(double[] beside, double[] asMain, boolean[] aside, Optional<OneMain> main) {

    /** How likely a set is so far: with nothing of the unit's own wrong, with no main fault met, with it met. */
    record Chance(double nothing, double without, double met) {

        static final Chance START = new Chance(1, 1, 0);
        static final Chance NONE = new Chance(0, 0, 0);

        Chance plus(Chance other) {
            return new Chance(nothing + other.nothing, without + other.without, met + other.met);
        }
    }

    static Coming of(FaultModel model) {
        int n = model.faults().size();
        double[] beside = new double[n];
        double[] asMain = new double[n];
        boolean[] aside = new boolean[n];
        double all = 0;
        for (int at = 0; at < n; at++) {
            FaultModel.ModelFault fault = model.faults().get(at);
            beside[at] = fault.prior();
            aside[at] = fault.aside();
            all += fault.aside() ? 0 : fault.prior();
        }
        if (model.main().isPresent()) {
            for (int at = 0; at < n; at++) {
                if (!aside[at]) {
                    asMain[at] = beside[at] / all;
                    beside[at] = model.main().get().extras() * asMain[at];
                }
            }
        }
        return new Coming(beside, asMain, aside, model.main());
    }

    int faults() {
        return beside.length;
    }

    Chance with(Chance so, int fault) {
        return new Chance(
                aside[fault] ? so.nothing() * beside[fault] : 0,
                so.without() * beside[fault],
                so.met() * beside[fault] + so.without() * asMain[fault]);
    }

    Chance without(Chance so, int fault) {
        double away = 1 - beside[fault];
        return new Chance(aside[fault] ? so.nothing() * away : so.nothing(), so.without() * away, so.met() * away);
    }

    /** What each of the three counts at the end. */
    Chance atTheEnd() {
        return main.map(one -> new Chance(one.nothingWrong(), 0, 1 - one.nothingWrong()))
                .orElse(new Chance(0, 1, 0));
    }

    /** Of a set that was followed to its end. */
    double of(Chance set) {
        Chance counts = atTheEnd();
        return set.nothing() * counts.nothing() + set.without() * counts.without() + set.met() * counts.met();
    }

    /** The same with each fault so much oftener than the model says. */
    Coming scaled(double[] rate) {
        double[] more = new double[faults()];
        double[] share = new double[faults()];
        double all = 0;
        for (int at = 0; at < faults(); at++) {
            more[at] = Math.min(0.999, beside[at] * rate[at]);
            share[at] = asMain[at] * rate[at];
            all += share[at];
        }
        if (main.isPresent()) {
            for (int at = 0; at < faults(); at++) {
                share[at] /= all;
                more[at] = aside[at] ? more[at] : main.get().extras() * share[at];
            }
        }
        return new Coming(more, share, aside, main);
    }

    /** How likely it is that no fault of the unit's own comes besides a main one. */
    double noneBeside() {
        double none = 1;
        for (int at = 0; at < faults(); at++) {
            none *= aside[at] ? 1 : 1 - beside[at];
        }
        return none;
    }

    /** How likely a set is, as far as sets differ. @param noneBeside as {@link #noneBeside} says */
    double ofSet(int[] set, double noneBeside) {
        double byThemselves = 1;
        double asOneMain = 0;
        boolean own = false;
        for (int fault : set) {
            if (main.isEmpty() || aside[fault]) {
                byThemselves *= beside[fault] / (1 - beside[fault]);
                continue;
            }
            own = true;
            double with = asMain[fault] / (1 - beside[fault]);
            for (int other : set) {
                with *= other == fault || aside[other] ? 1 : beside[other] / (1 - beside[other]);
            }
            asOneMain += with;
        }
        double nothing = main.map(OneMain::nothingWrong).orElse(1.0);
        return byThemselves * (own ? (1 - nothing) * noneBeside * asOneMain : nothing);
    }

    /** How likely nothing is wrong, before anything is known. */
    double nothing() {
        Chance none = Chance.START;
        for (int at = 0; at < faults(); at++) {
            none = without(none, at);
        }
        return of(none);
    }

    /** How likely so many faults are there at once, before anything is known. */
    double[] sizes() {
        int n = faults();
        Chance[] of = new Chance[n + 1];
        Arrays.fill(of, Chance.NONE);
        of[0] = Chance.START;
        for (int at = 0; at < n; at++) {
            for (int size = at + 1; size >= 0; size--) {
                Chance there = size > 0 ? with(of[size - 1], at) : Chance.NONE;
                of[size] = without(of[size], at).plus(there);
            }
        }
        double[] sizes = new double[n + 1];
        for (int size = 0; size <= n; size++) {
            sizes[size] = of(of[size]);
        }
        return sizes;
    }
}
