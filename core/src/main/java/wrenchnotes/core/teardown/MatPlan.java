package wrenchnotes.core.teardown;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The mat on paper, at its true size: a cell for each step, and in it a place for each thing that the step takes off. Cells go
 * down the columns in the order of the steps; what finds no room on a page goes on to the next.
 *
 * @param pages A4 across, at least one
 */
public record MatPlan(List<MatPage> pages) {

    /** Of a page and what stays free around it, in mm. */
    public static final double PAGE_WIDTH = 297;

    public static final double PAGE_HEIGHT = 210;
    public static final double MARGIN = 10;

    /** Over the cells: what it is of; under them: the ruler. */
    private static final double HEAD = 12;

    private static final double FOOT = 10;
    private static final double GUTTER = 4;
    private static final double LABEL = 7;
    private static final double PAD = 3;
    /** Between two fasteners, and between one drawn from above and from its side. */
    private static final double APART = 3;

    public static final double HEAD_TO_SIDE = 0.9;
    private static final double WORDS = 4.5;
    private static final double BOX = 6;
    private static final int MOST_COLUMNS = 3;

    public record MatPage(List<MatCell> cells) {}

    /** @param label of the step; what goes on in another cell says so */
    public record MatCell(String label, double x, double y, double width, double height, List<MatRow> rows) {}

    /**
     * Some of one thing.
     *
     * @param first whether its words stand over it here
     * @param y of its words, mm from the top of the page
     * @param middle of what is drawn
     * @param lefts left edge of each that is drawn
     */
    public record MatRow(Thing thing, boolean first, double y, double middle, List<Double> lefts) {}

    /** How wide one of a thing is drawn, in mm. */
    public static double width(Thing thing) {
        if (thing instanceof FastenerGroup group) {
            FastenerShape shape = FastenerShape.of(group);
            return shape.headDiameterMm() + HEAD_TO_SIDE + shape.headHeightMm() + shape.lengthMm();
        }
        return BOX;
    }

    private static double height(Thing thing) {
        return thing instanceof FastenerGroup group
                ? Math.max(FastenerShape.of(group).headDiameterMm(), 3)
                : BOX;
    }

    /** In as many columns as let everything lie in its true size. */
    public static MatPlan of(List<Step> steps) {
        double widest = steps.stream()
                .flatMap(step -> step.things().stream())
                .mapToDouble(MatPlan::width)
                .max()
                .orElse(0);
        int columns = MOST_COLUMNS;
        while (columns > 1 && columnWidth(columns) - 2 * PAD < widest) {
            columns--;
        }
        Laying laying = new Laying(columns);
        for (int n = 0; n < steps.size(); n++) {
            laying.step((n + 1) + "  " + steps.get(n).cell(), steps.get(n).things());
        }
        return new MatPlan(laying.pages());
    }

    private static double columnWidth(int columns) {
        return (PAGE_WIDTH - 2 * MARGIN - (columns - 1) * GUTTER) / columns;
    }

    /** A scratch pad: where the next cell goes. */
    private static final class Laying {

        private static final double TOP = MARGIN + HEAD;
        private static final double BOTTOM = PAGE_HEIGHT - MARGIN - FOOT;

        private final double width;
        private final double[] bottoms;
        private final List<MatPage> pages = new ArrayList<>();
        private List<MatCell> cells = new ArrayList<>();
        private int current;

        private Laying(int columns) {
            width = columnWidth(columns);
            bottoms = new double[columns];
            Arrays.fill(bottoms, TOP);
        }

        private int perLine(Thing thing) {
            return Math.max(1, (int) ((width - 2 * PAD + APART) / (MatPlan.width(thing) + APART)));
        }

        private double rowHeight(Thing thing, int count) {
            int lines = (count + perLine(thing) - 1) / perLine(thing);
            return WORDS + lines * (MatPlan.height(thing) + APART);
        }

        private void step(String label, List<Thing> things) {
            if (things.isEmpty()) {
                return;
            }
            double all = LABEL
                    + PAD
                    + things.stream()
                            .mapToDouble(one -> rowHeight(one, one.asMade()))
                            .sum();
            int column = room(Math.min(all, BOTTOM - TOP));
            double y = bottoms[column];
            List<MatRow> rows = new ArrayList<>();
            double at = y + LABEL;
            String named = label;
            for (Thing thing : things) {
                int left = thing.asMade();
                while (left > 0) {
                    int fits = fitting(thing, left, BOTTOM - PAD - at);
                    if (fits == 0) {
                        cell(named, column, y, at, rows);
                        named = label + ", more";
                        column = room(LABEL + PAD + rowHeight(thing, 1));
                        y = bottoms[column];
                        at = y + LABEL;
                        rows = new ArrayList<>();
                        continue;
                    }
                    at = lay(thing, fits, column, at, rows);
                    left -= fits;
                }
            }
            cell(named, column, y, at, rows);
        }

        /** How many of them find room below one another in this height. */
        private int fitting(Thing thing, int left, double height) {
            int lines = (int) Math.floor((height - WORDS) / (MatPlan.height(thing) + APART) + 1e-9);
            return Math.min(left, Math.max(0, lines) * perLine(thing));
        }

        private double lay(Thing thing, int count, int column, double at, List<MatRow> rows) {
            double high = MatPlan.height(thing);
            int perLine = perLine(thing);
            double y = at + WORDS;
            for (int laid = 0; laid < count; laid += perLine) {
                List<Double> lefts = new ArrayList<>();
                for (int n = 0; n < Math.min(perLine, count - laid); n++) {
                    lefts.add(left(column) + PAD + n * (MatPlan.width(thing) + APART));
                }
                rows.add(new MatRow(thing, laid == 0, at, y + high / 2, List.copyOf(lefts)));
                y += high + APART;
            }
            return y;
        }

        private double left(int column) {
            return MARGIN + column * (width + GUTTER);
        }

        private void cell(String label, int column, double y, double end, List<MatRow> rows) {
            if (!rows.isEmpty()) {
                cells.add(new MatCell(label, left(column), y, width, end + PAD - y, List.copyOf(rows)));
                bottoms[column] = end + PAD + GUTTER;
            }
        }

        /** This column or the next one, and if need be the next page, that has this much room: cells stay in their order. */
        private int room(double height) {
            while (current < bottoms.length && BOTTOM - bottoms[current] < height - 1e-9) {
                current++;
            }
            if (current == bottoms.length) {
                pages.add(new MatPage(List.copyOf(cells)));
                cells = new ArrayList<>();
                Arrays.fill(bottoms, TOP);
                current = 0;
            }
            return current;
        }

        private List<MatPage> pages() {
            if (!cells.isEmpty() || pages.isEmpty()) {
                pages.add(new MatPage(List.copyOf(cells)));
            }
            return List.copyOf(pages);
        }
    }
}
