package wrenchnotes.server.pattern;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * One figure of a month beside that of the month before.
 *
 * @param now and before as they are read
 * @param share and beforeShare of the longer of the two bars, 0 to 1; 0 where there is nothing to draw
 * @param marked whether it is called rising
 */
public record MonthRow(String words, String now, String before, double share, double beforeShare, boolean marked) {

    /** More lines of a sort nobody reads. */
    static final int MOST = 6;

    static MonthRow row(String words, double now, double before, Function<Double, String> as) {
        double most = Math.max(1e-9, Math.max(now, before));
        return new MonthRow(
                words, as.apply(now), as.apply(before), Math.max(0, now / most), Math.max(0, before / most), false);
    }

    MonthRow marking(boolean mark) {
        return new MonthRow(words, now, before, share, beforeShare, mark);
    }

    static String count(double of) {
        return String.valueOf(Math.round(of));
    }

    /** Each thing of either month, those of this one first. */
    static List<MonthRow> beside(List<MonthStore.Back> now, List<MonthStore.Back> before) {
        Map<String, int[]> both = new LinkedHashMap<>();
        now.forEach(one -> both.computeIfAbsent(one.words(), words -> new int[2])[0] += one.jobs());
        before.forEach(one -> both.computeIfAbsent(one.words(), words -> new int[2])[1] += one.jobs());
        List<MonthRow> rows = new ArrayList<>();
        both.forEach((words, counts) -> rows.add(row(words, counts[0], counts[1], MonthRow::count)));
        return rows.stream().limit(MOST).toList();
    }
}
