package wrenchnotes.core.drawer.need;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.apache.commons.statistics.distribution.BinomialDistribution;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.drawer.need.Shortage.Wants;

class ShortageTest {

    /** Jobs that are all as likely are a binomial (beside Apache Commons Statistics). */
    @Property
    void alikeJobsAreABinomial(
            @ForAll @IntRange(min = 1, max = 30) int jobs,
            @ForAll @DoubleRange(min = 0, max = 1) double probability,
            @ForAll @IntRange(min = 0, max = 31) int there) {
        Shortage found = Shortage.of(
                IntStream.range(0, jobs)
                        .mapToObj(job -> new Wants(job, 1, probability, 1))
                        .toList(),
                there);
        BinomialDistribution library = BinomialDistribution.of(jobs, probability);
        assertThat(found.runsOut()).isCloseTo(library.survivalProbability(there), within(1e-9));
        assertThat(found.wanted()).isCloseTo(jobs * probability, within(1e-9));
    }

    /** Worked by hand: of ½ and ½ for two each, three are there: both want with ¼, and then one is missing. */
    @Test
    void jobsThatWantSeveral() {
        Shortage found = Shortage.of(List.of(new Wants(1, 1, 0.5, 2), new Wants(2, 1, 0.5, 2)), 3);
        assertThat(found.runsOut()).isCloseTo(0.25, within(1e-12));
        assertThat(found.expectedShort()).isCloseTo(0.25, within(1e-12));
        assertThat(Shortage.of(List.of(), 0)).isEqualTo(new Shortage(0, 0, 0, 0, List.of()));
    }

    @Property
    void moreOnTheShelfIsNeverWorse(
            @ForAll @Size(max = 12) List<@DoubleRange(min = 0, max = 1) Double> odds,
            @ForAll @IntRange(min = 0, max = 12) int there) {
        List<Wants> wants = odds.stream().map(one -> new Wants(1, 1, one, 1)).toList();
        Shortage few = Shortage.of(wants, there);
        Shortage more = Shortage.of(wants, there + 1);
        assertThat(more.runsOut()).isLessThanOrEqualTo(few.runsOut() + 1e-12);
        assertThat(more.expectedShort()).isLessThanOrEqualTo(few.expectedShort() + 1e-12);
    }
}
