package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.history.Where.Level;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.unit.Kind;

/** What is expected, and how surely, while there are no jobs of a model or a few. */
class FewJobsTest {

    private static final FaultName BELT = new FaultName("drawer belt", "slack");
    private static final FaultName LATCH = new FaultName("door latch", "broken");
    private static final Where HERE = new Where(11, 1, Kind.PLAYER);
    private static final Map<Long, Set<String>> COMPONENTS = Map.of(1L, Set.of("drawer belt", "door latch", "keys"));

    private final History history = new History(new Learning(6, 2, 1.5, Double.POSITIVE_INFINITY));

    private void came(int times, Where where, Set<FaultName> faults, Set<String> present) {
        for (int n = 0; n < times; n++) {
            history.learn(new PastJob(where, faults, present, Set.of(), Optional.empty()));
        }
    }

    @Test
    void a_new_model_starts_with_common_practice() {
        Rates rates = history.rates(HERE, Set.of(), Map.of(), List.of("smells burnt"));

        assertThat(rates.faults()).extracting(Rates.Rated::behind).containsOnly(new Rates.Behind(Level.SHIPPED, 0, 0));
        Diagnosis burnt = Diagnosis.of(rates, Known.told(Set.of("smells burnt"), Set.of()));
        assertThat(burnt.faults().get(0).fault().component())
                .as("filters of the metallised-paper kind fail with age and smoke: common practice")
                .isEqualTo("inlet filter");
    }

    /** Measured: a computer of a model that nobody had seen, and that did not start, had socket and keys at 0.22 each, and no drive. */
    @Test
    void a_model_that_nobody_has_seen_starts_with_what_its_kind_teaches() {
        FaultName drive = new FaultName("drive", "belt slack");
        Where old = new Where(31, 3, Kind.COMPUTER);
        Where never = new Where(41, 4, Kind.COMPUTER);
        Map<Long, Set<String>> components = Map.of(3L, Set.of("drive", "fuse"));
        Vocabulary words = new Vocabulary(
                List.of("dead", "does not read", "does not start"), Map.of("dead", "power", "does not start", "power"));
        came(12, old, Set.of(drive), Set.of("does not read"));
        came(10, old, Set.of(new FaultName("fuse", "blown")), Set.of("dead"));

        Rates rates = history.rates(never, Set.of(), components, words);
        assertThat(Diagnosis.of(rates, Known.told(Set.of("does not read"), Set.of()))
                        .faults()
                        .get(0)
                        .fault())
                .isEqualTo(drive);
        Diagnosis off = Diagnosis.of(rates, Known.told(Set.of("does not start"), Set.of()));
        assertThat(off.faults().get(0).fault())
                .as("nobody here has said so before, but of power they have")
                .isEqualTo(new FaultName("fuse", "blown"));
        assertThat(off.faults().stream().filter(one -> one.fault().component().startsWith("cartridge")))
                .allSatisfy(one -> assertThat(one.probability()).isLessThan(0.1));
        assertThat(rates.fresh()).containsExactly("does not start");
    }

    /** The range is that of rates and strengths both: three jobs say less than sixty, though they say the same. */
    @Test
    void what_few_jobs_say_lies_in_a_wide_range() {
        came(3, HERE, Set.of(BELT), Set.of("grinds"));
        came(1, HERE, Set.of(LATCH), Set.of("grinds"));
        Diagnosis.Likely few = grinding();
        came(57, HERE, Set.of(BELT), Set.of("grinds"));
        came(19, HERE, Set.of(LATCH), Set.of("grinds"));
        Diagnosis.Likely many = grinding();
        assertThat(few.low()).isLessThan(few.probability());
        assertThat(few.high()).isGreaterThan(few.probability());
        assertThat(many.high() - many.low()).isLessThan(0.5 * (few.high() - few.low()));
        assertThat(grinding()).as("drawn with a fixed seed").isEqualTo(many);
    }

    private Diagnosis.Likely grinding() {
        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of("grinds"));
        return Diagnosis.of(rates, Known.told(Set.of("grinds"), Set.of()))
                .faults()
                .get(0);
    }

    /** Good 1953: of ten jobs two faults were found once, (2 + 2 × 0.1) / (10 + 2); where all was found before, less is left for what was not. */
    @Test
    void what_nobody_has_met_has_its_share() {
        assertThat(history.rates(HERE, Set.of(), COMPONENTS, List.of()).unmet()).isCloseTo(0.1, within(1e-12));
        came(8, HERE, Set.of(BELT), Set.of("grinds"));
        came(1, HERE, Set.of(LATCH), Set.of("grinds"));
        came(1, HERE, Set.of(new FaultName("keys", "worn")), Set.of("grinds"));
        Rates rates = history.rates(HERE, Set.of(), COMPONENTS, List.of("grinds"));
        assertThat(rates.unmet()).isCloseTo(2.2 / 12, within(1e-12));
        double none = Diagnosis.of(rates, Known.told(Set.of("grinds"), Set.of()))
                .somethingElse()
                .orElseThrow();
        assertThat(none).isGreaterThan(0.05);
        came(1, HERE, Set.of(LATCH), Set.of("grinds"));
        came(1, HERE, Set.of(new FaultName("keys", "worn")), Set.of("grinds"));
        Rates met = history.rates(HERE, Set.of(), COMPONENTS, List.of("grinds"));
        assertThat(Diagnosis.of(met, Known.told(Set.of("grinds"), Set.of()))
                        .somethingElse()
                        .orElseThrow())
                .isLessThan(none / 3);
    }
}
