package wrenchnotes.core.diagnosis.odds;

import java.util.HashMap;
import java.util.Map;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.history.Rates;

/** How likely each fault of the rates is, by itself or with others that it comes with: told of one network again and again, so where each stands is looked up once. */
final class ByFault {

    /** Of each fault of the rates, the faults of the model that stand for it: itself, and each group that it came in. */
    private final int[][] places;

    ByFault(FaultModel model, Rates rates) {
        Map<String, Integer> byId = new HashMap<>();
        for (int at = 0; at < model.faults().size(); at++) {
            byId.put(model.faults().get(at).id(), at);
        }
        places = rates.faults().stream()
                .map(rated -> Stream.concat(
                                Stream.of(rated.fault().words()),
                                rates.groups().stream()
                                        .filter(group -> group.faults().contains(rated.fault()))
                                        .map(Rates.Group::id))
                        .mapToInt(byId::get)
                        .toArray())
                .toArray(int[][]::new);
    }

    /** @param marginals in the order of the model @return in the order of the rates */
    double[] of(double[] marginals) {
        double[] byFault = new double[places.length];
        for (int at = 0; at < byFault.length; at++) {
            byFault[at] = Math.min(
                    1,
                    IntStream.of(places[at])
                            .mapToDouble(place -> marginals[place])
                            .sum());
        }
        return byFault;
    }
}
