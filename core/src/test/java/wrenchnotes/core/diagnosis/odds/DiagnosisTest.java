package wrenchnotes.core.diagnosis.odds;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.advice.NextCheck;
import wrenchnotes.core.diagnosis.advice.Ways;
import wrenchnotes.core.diagnosis.history.Rates;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Tried;
import wrenchnotes.core.diagnosis.odds.CrossedTries.Try;
import wrenchnotes.core.diagnosis.odds.Known.Done;
import wrenchnotes.core.diagnosis.odds.Known.Look;
import wrenchnotes.core.unit.Invalid;

/** Each answer at the bench moves the odds as Bayes' rule says, on numbers small enough to do by hand. */
class DiagnosisTest {

    private static final FaultName BELT = new FaultName("belt", "slack");
    private static final FaultName LENS = new FaultName("lens", "dirty");
    private static final FaultName GEAR = new FaultName("gear", "split");
    private static final Rates RATES = new Rates(
            List.of(rated(BELT, 0.3), rated(LENS, 0.2), rated(GEAR, 0.1)),
            Map.of(
                    "does not load", Map.of(BELT, 0.8, LENS, 0.02, GEAR, 0.6),
                    "skips", Map.of(BELT, 0.02, LENS, 0.7, GEAR, 0.02)),
            Map.of("does not load", 0.02, "skips", 0.02));

    private static Rates.Rated rated(FaultName fault, double rate) {
        return new Rates.Rated(fault, rate, 20 * rate, 20, new Rates.Behind(Level.MODEL, (int) (20 * rate), 20));
    }

    private static double of(Diagnosis diagnosis, FaultName fault) {
        return diagnosis.faults().stream()
                .filter(one -> one.fault().equals(fault))
                .findFirst()
                .orElseThrow()
                .probability();
    }

    private static Known seen(Look... looks) {
        return new Known(Set.of("does not load"), Set.of(), List.of(looks), List.of(), List.of());
    }

    private static Known done(Done... done) {
        return new Known(Set.of("does not load"), Set.of(), List.of(), List.of(done), List.of());
    }

    private static final Diagnosis TOLD = Diagnosis.of(RATES, seen());

    /** Bayes by hand: odds after a look = odds before × (1 − finds) / (1 − 0) for a good one, whatever else is known. */
    @Test
    void a_look_lowers_the_odds_a_little_and_a_reading_or_a_swap_a_lot() {
        double before = of(TOLD, BELT) / (1 - of(TOLD, BELT));
        double least = 1;
        for (Means means : Means.values()) {
            double after = of(Diagnosis.of(RATES, seen(new Look("Belt", true, means))), BELT);
            assertThat(after / (1 - after)).as(means.name()).isCloseTo(before * (1 - means.finds()), within(1e-9));
            least = Math.min(least, after);
        }
        assertThat(of(Diagnosis.of(RATES, seen(new Look("belt", true, Means.SWAPPED))), BELT))
                .isEqualTo(least);
        double bad = of(Diagnosis.of(RATES, seen(new Look("belt", false, Means.MEASURED))), BELT);
        double hand = before * (1 - (1 - 0.03) * (1 - 0.92)) / 0.03;
        assertThat(bad / (1 - bad)).isCloseTo(hand, within(1e-6));
    }

    @Test
    void the_belt_is_new_and_it_still_does_not_load_so_the_gear_is_next() {
        assertThat(TOLD.faults().get(0).fault()).isEqualTo(BELT);

        Diagnosis after = Diagnosis.of(RATES, done(new Done(BELT, Remedy.REPLACED, true)));

        assertThat(after.faults().get(0).fault()).isEqualTo(GEAR);
        assertThat(of(after, GEAR)).isGreaterThan(2 * of(TOLD, GEAR));
        assertThat(of(after, BELT)).isLessThan(of(TOLD, BELT) / 5);
    }

    @Test
    void a_cleaning_that_changed_nothing_proves_nothing_and_one_that_helped_does() {
        assertThat(of(Diagnosis.of(RATES, done(new Done(BELT, Remedy.CLEANED, true))), BELT))
                .isCloseTo(of(TOLD, BELT), within(1e-12));
        assertThat(of(Diagnosis.of(RATES, done(new Done(BELT, Remedy.CLEANED, false))), BELT))
                .isLessThan(0.3);
    }

    @Test
    void not_so_counts_as_much_as_so() {
        Diagnosis asked = Diagnosis.of(RATES, Known.told(Set.of("does not load"), Set.of("skips")));

        assertThat(of(asked, LENS))
                .as("nobody's silence had counted for most of it already")
                .isLessThan(0.9 * of(TOLD, LENS));
        assertThat(TOLD.somethingElse().orElseThrow()).isCloseTo(noneByHand(), within(1e-9));
    }

    /**
     * Of the 3 in 100 that come with nothing wrong, by enumeration: one main fault by its share of the rates, each other with 0.12 times its share
     * besides. One is told, of the other nobody spoke: it stays away to the power of Network.SILENCE.
     */
    private static double noneByHand() {
        double[] share = {0.3 / 0.6, 0.2 / 0.6, 0.1 / 0.6};
        double[] loads = {0.2, 0.98, 0.4};
        double[] skips = {0.98, 0.3, 0.98};
        double all = 0;
        double none = 0;
        for (int set = 0; set < 8; set++) {
            double loadsAway = 0.98;
            double skipsAway = 0.98;
            for (int at = 0; at < 3; at++) {
                loadsAway *= (set >> at & 1) > 0 ? loads[at] : 1;
                skipsAway *= (set >> at & 1) > 0 ? skips[at] : 1;
            }
            double weight = OneMainByHand.chance(share, 0.12, 0.03, set)
                    * (1 - loadsAway)
                    * Math.pow(skipsAway, Network.SILENCE);
            all += weight;
            none += set == 0 ? weight : 0;
        }
        return none / all;
    }

    /** Before anything is told: a fault is the main one by its share of the rates, or came besides another. */
    @Test
    void before_anything_is_told_the_odds_are_the_shares_of_the_rates() {
        Diagnosis nothing = Diagnosis.of(RATES, Known.told(Set.of(), Set.of()));

        for (Map.Entry<FaultName, Double> one :
                Map.of(BELT, 0.5, LENS, 1 / 3.0, GEAR, 1 / 6.0).entrySet()) {
            double share = one.getValue();
            assertThat(of(nothing, one.getKey())).isCloseTo(0.97 * (share + (1 - share) * 0.12 * share), within(1e-9));
        }
        assertThat(nothing.somethingElse().orElseThrow()).isCloseTo(0.03, within(1e-9));
    }

    /** A fault that was mended takes the main one's place: what is left is as likely as what comes besides. */
    @Test
    void once_the_main_fault_is_mended_the_rest_is_what_came_with_it() {
        Diagnosis mended = Diagnosis.of(
                RATES,
                new Known(Set.of(), Set.of(), List.of(), List.of(new Done(BELT, Remedy.REPLACED, false)), List.of()));

        assertThat(of(mended, LENS)).isCloseTo(0.12 / 3, within(1e-9));
        assertThat(of(mended, GEAR)).isCloseTo(0.12 / 6, within(1e-9));
    }

    private static Known crossed(List<Try> tries) {
        return new Known(
                Set.of(),
                Set.of(),
                List.of(),
                List.of(),
                List.of(new CrossedTries(
                        List.of(tried("disc one"), tried("disc two"), tried("disc three")),
                        List.of(new Tried("this one", false, Optional.of("lens")), tried("the good drive")),
                        tries)));
    }

    private static Tried tried(String name) {
        return new Tried(name, false, Optional.empty());
    }

    @Test
    void crossed_tries_blame_what_they_have_in_common() {
        Diagnosis column = Diagnosis.of(
                RATES,
                crossed(List.of(
                        new Try(0, 0, false),
                        new Try(1, 0, false),
                        new Try(2, 0, false),
                        new Try(0, 1, true),
                        new Try(1, 1, true))));
        assertThat(of(column, LENS)).isGreaterThan(0.95);
        assertThat(column.outside())
                .allSatisfy(one -> assertThat(one.probability()).isLessThan(0.2));

        Diagnosis row = Diagnosis.of(
                RATES,
                crossed(List.of(new Try(0, 0, false), new Try(0, 1, false), new Try(1, 0, true), new Try(2, 1, true))));
        assertThat(row.outside().get(0).name()).isEqualTo("disc one");
        assertThat(row.outside().get(0).probability()).isGreaterThan(0.9);
        assertThat(of(row, LENS)).as("less than before anything was tried").isLessThan(0.2);

        assertThatThrownBy(() -> crossed(List.of(new Try(0, 0, true), new Try(0, 0, false))))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("disc one in this one");
    }

    /** The mutual information of a check and a single fault, from its definition. */
    @Test
    void what_a_check_tells_is_shannons_information() {
        Rates one = new Rates(List.of(rated(BELT, 0.3)), Map.of(), Map.of());

        NextCheck look = NextCheck.best(
                        Weighed.of(one, Known.told(Set.of(), Set.of())),
                        new Ways(Map.of("belt", 5.0), Map.of(), 20),
                        1,
                        Set.of())
                .get(0);

        Means means = look.how().orElseThrow();
        double badIfFault = 1 - (1 - means.falseAlarm()) * (1 - means.finds());
        double bad = 0.97 * badIfFault + 0.03 * means.falseAlarm();
        double bits = h(bad) - 0.97 * h(badIfFault) - 0.03 * h(means.falseAlarm());
        assertThat(look.bits()).isCloseTo(bits, within(1e-9));
        assertThat(look.likely()).isCloseTo(bad, within(1e-9));
        assertThat(look.minutes()).isEqualTo(5 + means.minutes());
    }

    private static double h(double p) {
        return -(p * Math.log(p) + (1 - p) * Math.log(1 - p)) / Math.log(2);
    }

    @Test
    void what_is_near_comes_before_what_is_deep() {
        Ways belt = new Ways(Map.of("belt", 40.0, "lens", 40.0, "gear", 1.0), Map.of(), 20);
        Ways deep = new Ways(Map.of("belt", 40.0, "lens", 40.0, "gear", 40.0), Map.of(), 20);
        assertThat(NextCheck.best(Weighed.of(RATES, seen()), belt, 60, Set.of())
                        .get(0)
                        .what())
                .isEqualTo("gear");
        assertThat(NextCheck.best(Weighed.of(RATES, Known.told(Set.of(), Set.of())), deep, 0.5, Set.of())
                        .get(0)
                        .what())
                .as("a question costs nothing")
                .isIn("skips", "does not load");
        assertThat(NextCheck.best(Weighed.of(RATES, seen()), belt, 60, Set.of("gear")))
                .extracting(NextCheck::what)
                .doesNotContain("gear")
                .doesNotHaveDuplicates();
    }
}
