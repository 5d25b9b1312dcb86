package wrenchnotes.core.diagnosis.history;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.FaultName;
import wrenchnotes.core.diagnosis.odds.Diagnosis;
import wrenchnotes.core.diagnosis.odds.Known;
import wrenchnotes.core.unit.Kind;

/**
 * The closed book of an earlier build's demo shop, and what that build foretold of each of its jobs, lie beside this test: it had faults come
 * independently, and took silence for nothing. Of the faults that it thought likeliest, what is said now comes true more nearly as often as it is said.
 */
class BetterThanBeforeTest {

    private final History history = new History();
    private final Map<Long, Set<String>> components = new HashMap<>();
    private List<String> words = List.of();
    private int compared;
    private double wasOff;
    private double isOff;

    @Test
    void theOldDemosJobsAreForetoldBetterThanTheyWere() throws IOException {
        for (String line : lines()) {
            List<String> part = Arrays.asList(line.split("\t", -1));
            switch (part.get(0)) {
                case "components" -> components.put(Long.parseLong(part.get(1)), set(part.get(2)));
                case "words" -> words = List.of(part.get(1).split(";"));
                case "job" -> replay(part);
                default -> assertThat(line).startsWith("#");
            }
        }
        assertThat(compared).isGreaterThan(600);
        assertThat(isOff).as("squared errors, before %.1f", wasOff).isLessThan(0.9 * wasOff);
    }

    private void replay(List<String> said) {
        Where where = new Where(Long.parseLong(said.get(1)), Long.parseLong(said.get(2)), Kind.valueOf(said.get(3)));
        Set<FaultName> faults =
                set(said.get(4)).stream().map(BetterThanBeforeTest::fault).collect(Collectors.toSet());
        Rates rates = history.rates(where, Set.of(), components, words);
        List<Diagnosis.Likely> now = Diagnosis.of(rates, Known.told(set(said.get(5)), set(said.get(6))))
                .faults();
        String[] before = said.get(8).split(";");
        for (String one : before) {
            FaultName fault = fault(one);
            double was = Double.parseDouble(one.substring(one.lastIndexOf('|') + 1));
            double is = now.stream()
                    .filter(likely -> likely.fault().equals(fault))
                    .mapToDouble(Diagnosis.Likely::probability)
                    .findFirst()
                    .orElse(0);
            double came = faults.contains(fault) ? 1 : 0;
            wasOff += (was - came) * (was - came);
            isOff += (is - came) * (is - came);
            compared++;
        }
        history.learn(new PastJob(where, faults, set(said.get(5)), set(said.get(6)), Optional.empty()));
    }

    private static FaultName fault(String words) {
        String[] part = words.split("\\|");
        return new FaultName(part[0], part[1]);
    }

    private static Set<String> set(String all) {
        return Stream.of(all.split(";")).filter(one -> !one.isEmpty()).collect(Collectors.toCollection(TreeSet::new));
    }

    private static List<String> lines() throws IOException {
        try (InputStream in = BetterThanBeforeTest.class.getResourceAsStream("before-kinds.tsv")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        }
    }
}
