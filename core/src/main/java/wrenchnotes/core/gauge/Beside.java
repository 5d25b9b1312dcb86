package wrenchnotes.core.gauge;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.gauge.LimitGauge.Limits;

/**
 * Readings of one unit by stage of the work beside those of a good one. Compare with a good unit when there is one (common practice).
 *
 * <p>Two readings with a state differ if the states do. Two values differ by more than what the two instruments leave open, and if
 * nobody said that, by more than a twentieth of the good one. Ours, no source.
 */
public final class Beside {

    private static final double SHARE = 0.05;
    /** Below this, in any unit, two values are both nothing: what a probe picks up. Ours, no source. */
    private static final double NOTHING = 0.05;

    private Beside() {}

    /** @param title "before", "good unit, WN-0031" */
    public record BesideColumn(String title, boolean goodUnit, List<Reading> readings) {
        public BesideColumn {
            readings = List.copyOf(readings);
        }

        private Optional<Reading> of(String what) {
            return readings.stream().filter(one -> one.what().equals(what)).findFirst();
        }
    }

    /** @param words empty if it was not read @param limits "19 to 26.6"; empty if none @param differs from the good unit */
    public record BesideCell(String words, String limits, Optional<Judgement> verdict, boolean differs) {}

    /** @param cells one for each column */
    public record BesideRow(String what, List<BesideCell> cells) {}

    /** @param rows in the order in which they were read first @param good which column is the good unit, from 0 */
    public record BesideTable(List<String> titles, Optional<Integer> good, List<BesideRow> rows) {}

    /** @param columns in the order they are to stand; the last good unit is what the others are compared with */
    public static BesideTable of(List<BesideColumn> columns) {
        Optional<Integer> good = Optional.empty();
        Set<String> whats = new LinkedHashSet<>();
        for (int at = 0; at < columns.size(); at++) {
            good = columns.get(at).goodUnit() ? Optional.of(at) : good;
            columns.get(at).readings().forEach(reading -> whats.add(reading.what()));
        }
        Optional<BesideColumn> model = good.map(columns::get);
        List<BesideRow> rows = new ArrayList<>();
        for (String what : whats) {
            Optional<Reading> wanted = model.flatMap(column -> column.of(what));
            rows.add(new BesideRow(
                    what,
                    columns.stream()
                            .map(column -> cell(column.of(what), wanted))
                            .toList()));
        }
        return new BesideTable(columns.stream().map(BesideColumn::title).toList(), good, rows);
    }

    private static BesideCell cell(Optional<Reading> read, Optional<Reading> wanted) {
        return new BesideCell(
                read.map(Reading::words).orElse(""),
                read.map(Reading::limits).orElse(""),
                read.flatMap(Reading::verdict),
                read.isPresent() && wanted.isPresent() && differ(read.get(), wanted.get()));
    }

    /** What is right where a good unit read this: its limits if it had some, else what does not differ from it. Empty for a state. */
    public static Optional<Limits> rightBy(Reading good) {
        if (good.min().isPresent() || good.max().isPresent()) {
            return Optional.of(new Limits(good.min(), good.max()));
        }
        return good.value()
                .filter(value -> good.state().isEmpty())
                .map(value -> new Limits(Optional.of(value - small(value)), Optional.of(value + small(value))));
    }

    private static double small(double good) {
        return Math.abs(good) < NOTHING ? NOTHING : SHARE * Math.abs(good);
    }

    static boolean differ(Reading read, Reading wanted) {
        if (read.state().isPresent() && wanted.state().isPresent()) {
            return !read.state().equals(wanted.state());
        }
        if (read.value().isEmpty() || wanted.value().isEmpty()) {
            return !read.words().equals(wanted.words());
        }
        double off = Math.abs(read.value().get() - wanted.value().get());
        boolean said = read.uncertainty().isPresent() || wanted.uncertainty().isPresent();
        double open = read.uncertainty().orElse(0.0) + wanted.uncertainty().orElse(0.0);
        return off > (said ? open : small(wanted.value().get()));
    }
}
