package wrenchnotes.core.pattern.rises;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.apache.commons.statistics.distribution.NormalDistribution;
import org.apache.commons.statistics.inference.AlternativeHypothesis;
import org.apache.commons.statistics.inference.FisherExactTest;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Which faults are rising from month to month. Each by the trend of its shares (Cochran, Biometrics 10, 1954; Armitage, Biometrics 11, 1955: scores 1, 2,
 * …, variance with p(1 − p), no continuity correction, one-sided up), or by Fisher's exact test of the last three months against those before where
 * counts are small; then over all of them at once, so that of what is called rising no more than a set share is so by chance (Benjamini & Hochberg,
 * Journal of the Royal Statistical Society B 57, 1995).
 *
 * @param rows in the order in which they were asked
 */
public record Rising(List<RisingVerdict> rows) {

    private static final double USUAL_ERROR_RATE = 0.05;
    private static final int LAST = 3;
    /** Below it the trend's normal curve is a poor guess (common practice: Cochran's rule). */
    private static final double SMALL = 5;

    private static final int MOST_ROWS = 5_000;
    private static final int MOST_MONTHS = 240;

    public enum Method implements Spoken {
        TREND,
        FISHER
    }

    /** @param jobs of each month, the oldest first @param faults how many of them had it */
    public record RisingRow(String name, List<Integer> jobs, List<Integer> faults) {
        public RisingRow {
            name = Checked.text("name", name, 200);
            jobs = List.copyOf(Checked.present("jobs", jobs));
            faults = List.copyOf(Checked.present("faults", faults));
            Checked.within("jobs", jobs.size(), 1, MOST_MONTHS);
            if (jobs.size() != faults.size()) {
                throw new Invalid(
                        "faults",
                        name + ": " + jobs.size() + " months of jobs, " + faults.size()
                                + " of faults: give as many of both");
            }
            for (int month = 0; month < jobs.size(); month++) {
                Checked.within("jobs", jobs.get(month), 0, 1_000_000);
                if (faults.get(month) < 0 || faults.get(month) > jobs.get(month)) {
                    throw new Invalid(
                            "faults",
                            name + ": month " + (month + 1) + " has " + faults.get(month) + " faults in "
                                    + jobs.get(month) + " jobs: 0 to as many as there are jobs");
                }
            }
        }
    }

    /** @param errorRate what share of what is called rising may be so by chance, above 0, below 1; 0.05 if left out */
    public record RisingAsked(List<RisingRow> rows, Optional<Double> errorRate) {
        public RisingAsked {
            rows = List.copyOf(Checked.present("rows", rows));
            Checked.within("rows", rows.size(), 1, MOST_ROWS);
            errorRate = errorRate == null ? Optional.empty() : errorRate;
            errorRate.ifPresent(rate -> Checked.within("errorRate", rate, 1e-9, 1 - 1e-9));
        }
    }

    /**
     * @param z of the trend; empty by Fisher's test, and where nothing varies
     * @param p how likely so much is without any rise
     * @param q the least error rate at which it is called rising
     */
    public record RisingVerdict(String name, Optional<Double> z, double p, double q, boolean rising, Method method) {}

    private record Tested(Optional<Double> z, double p, Method method) {}

    public static Rising of(RisingAsked asked) {
        return of(
                asked.rows().stream()
                        .map(row -> new Months(row.name(), plain(row.jobs()), plain(row.faults())))
                        .toList(),
                asked.errorRate().orElse(USUAL_ERROR_RATE));
    }

    /** Jobs of each month, and how many of them had it: 0 to as many as there were. */
    public record Months(String name, int[] jobs, int[] faults) {}

    /** Of a shop's own rows, however many, counted by the core itself. */
    public static Rising of(List<Months> of) {
        return of(of, USUAL_ERROR_RATE);
    }

    private static Rising of(List<Months> of, double rate) {
        List<Tested> tested = of.stream().map(Rising::tested).toList();
        double[] q = together(tested.stream().mapToDouble(Tested::p).toArray());
        List<RisingVerdict> rows = new ArrayList<>();
        for (int at = 0; at < tested.size(); at++) {
            Tested one = tested.get(at);
            rows.add(new RisingVerdict(of.get(at).name(), one.z(), one.p(), q[at], q[at] <= rate, one.method()));
        }
        return new Rising(List.copyOf(rows));
    }

    private static int[] plain(List<Integer> of) {
        return of.stream().mapToInt(Integer::intValue).toArray();
    }

    private static Tested tested(Months row) {
        int months = row.jobs().length;
        if (months > LAST) {
            int[][] table = {{sum(row.faults(), months - LAST, months), 0}, {sum(row.faults(), 0, months - LAST), 0}};
            table[0][1] = sum(row.jobs(), months - LAST, months) - table[0][0];
            table[1][1] = sum(row.jobs(), 0, months - LAST) - table[1][0];
            if (isSmall(table)) {
                return new Tested(Optional.empty(), upperTail(table), Method.FISHER);
            }
        }
        return trend(row);
    }

    private static boolean isSmall(int[][] table) {
        double all =
                IntStream.of(table[0][0], table[0][1], table[1][0], table[1][1]).sum();
        for (int row = 0; row < 2; row++) {
            for (int column = 0; column < 2; column++) {
                double expected =
                        (double) (table[row][0] + table[row][1]) * (table[0][column] + table[1][column]) / all;
                if (!(expected >= SMALL)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** How likely as many or more in the last months are, if all months are alike. Where nothing can differ: 1. */
    private static double upperTail(int[][] table) {
        boolean fixed = table[0][0] + table[0][1] == 0
                || table[1][0] + table[1][1] == 0
                || table[0][0] + table[1][0] == 0
                || table[0][1] + table[1][1] == 0;
        return fixed
                ? 1
                : FisherExactTest.withDefaults()
                        .with(AlternativeHypothesis.GREATER_THAN)
                        .test(table)
                        .getPValue();
    }

    private static Tested trend(Months row) {
        double jobs = sum(row.jobs(), 0, row.jobs().length);
        double share = jobs == 0 ? 0 : sum(row.faults(), 0, row.faults().length) / jobs;
        double over = 0;
        double scores = 0;
        double squares = 0;
        for (int month = 0; month < row.jobs().length; month++) {
            double score = month + 1.0;
            over += score * (row.faults()[month] - row.jobs()[month] * share);
            scores += score * row.jobs()[month];
            squares += score * score * row.jobs()[month];
        }
        double variance = jobs == 0 ? 0 : share * (1 - share) * (squares - scores * scores / jobs);
        if (variance <= 0) {
            return new Tested(Optional.empty(), 1, Method.TREND);
        }
        double z = over / Math.sqrt(variance);
        return new Tested(Optional.of(z), NormalDistribution.of(0, 1).survivalProbability(z), Method.TREND);
    }

    /**
     * Whether each of some shares is larger than the one beside it, by Fisher's exact test, over all of them at once.
     *
     * @param ones each a count and of how many
     * @param others as many
     * @return of each, the least error rate at which it is called larger
     */
    public static double[] moreOften(List<int[]> ones, List<int[]> others) {
        return together(IntStream.range(0, ones.size())
                .mapToDouble(at -> upperTail(new int[][] {
                    {ones.get(at)[0], ones.get(at)[1] - ones.get(at)[0]},
                    {others.get(at)[0], others.get(at)[1] - others.get(at)[0]}
                }))
                .toArray());
    }

    /** The step-up of Benjamini & Hochberg: for each the least rate at which it is among those that are called. */
    static double[] together(double[] p) {
        List<Integer> order = IntStream.range(0, p.length)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer at) -> p[at]).reversed())
                .toList();
        double[] q = new double[p.length];
        double least = 1;
        for (int rank = p.length; rank >= 1; rank--) {
            int at = order.get(p.length - rank);
            least = Math.min(least, p[at] * p.length / rank);
            q[at] = least;
        }
        return q;
    }

    private static int sum(int[] of, int from, int until) {
        int sum = 0;
        for (int at = from; at < until; at++) {
            sum += of[at];
        }
        return sum;
    }
}
