package wrenchnotes.core.drawer.order;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** What carriage costs, shared by value among what came with it: to the last minor unit, the largest remainders first. */
public final class Freight {

    private Freight() {}

    /**
     * @param freightMinor 0 or more
     * @param valuesMinor of each line, 0 or more; if all are nothing, each bears as much
     * @return as many shares, which are the freight together
     */
    public static List<Long> shared(long freightMinor, List<Long> valuesMinor) {
        double all = valuesMinor.stream().mapToLong(Long::longValue).sum();
        List<Long> shares = new ArrayList<>();
        List<Double> rest = new ArrayList<>();
        for (Long value : valuesMinor) {
            double exact = all > 0 ? freightMinor * (value / all) : (double) freightMinor / valuesMinor.size();
            long whole = (long) Math.floor(exact);
            shares.add(whole);
            rest.add(exact - whole);
        }
        long left = freightMinor - shares.stream().mapToLong(Long::longValue).sum();
        List<Integer> byRest = IntStream.range(0, rest.size())
                .boxed()
                .sorted(Comparator.comparingDouble((Integer at) -> -rest.get(at)))
                .toList();
        for (int at = 0; at < left; at++) {
            int one = byRest.get(at % byRest.size());
            shares.set(one, shares.get(one) + 1);
        }
        return List.copyOf(shares);
    }
}
