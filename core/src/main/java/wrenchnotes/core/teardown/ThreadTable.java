package wrenchnotes.core.teardown;

import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.OptionalDouble;
import java.util.TreeMap;
import org.apache.commons.csv.CSVRecord;
import wrenchnotes.core.unit.PublishedTable;

/**
 * The threads found in small devices: metric coarse and fine from M1 to M8 (ISO 261), tapping screws (ISO 1478), unified (ASME B1.1), BA (BS
 * 93). The table, with its sources, is threads.csv.
 */
public final class ThreadTable {

    private static final List<StandardThread> ALL = PublishedTable.rows(ThreadTable.class, "threads.csv").stream()
            .map(ThreadTable::read)
            .toList();

    private static final NavigableMap<Double, Double> MACHINE = usual(ThreadForm.MACHINE);
    private static final NavigableMap<Double, Double> TAPPING = usual(ThreadForm.TAPPING);

    private static final double ALIKE_MM = 0.051;

    private ThreadTable() {}

    /** Every thread of the table. */
    public static List<StandardThread> all() {
        return ALL;
    }

    private static StandardThread read(CSVRecord row) {
        double most = Double.parseDouble(row.get("most_mm"));
        double pitch = Double.parseDouble(row.get("pitch_mm"));
        String least = row.get("least_mm");
        return new StandardThread(
                row.get("standard"),
                row.get("designation"),
                ThreadForm.valueOf(row.get("form")),
                Double.parseDouble(row.get("nominal_mm")),
                most,
                least.isEmpty() ? most - under(pitch) : Double.parseDouble(least),
                pitch,
                !row.get("usual").isEmpty());
    }

    /**
     * How far a machine screw may be made under its nominal diameter, in mm: 15 + 11 P, and the tolerance 180 P^(2/3) − 3.15 / √P, in µm (ISO 965-1,
     * 6g; published, from memory). Class 2A of ASME B1.1 comes within some hundredths of it.
     */
    private static double under(double pitch) {
        return (15 + 11 * pitch + 180 * Math.pow(pitch, 2.0 / 3) - 3.15 / Math.sqrt(pitch)) / 1000;
    }

    private static NavigableMap<Double, Double> usual(ThreadForm form) {
        NavigableMap<Double, Double> pitches = new TreeMap<>();
        ALL.stream()
                .filter(thread -> thread.usual() && thread.form() == form)
                .forEach(thread -> pitches.put(thread.diameterMm(), thread.pitchMm()));
        return pitches;
    }

    /**
     * @param diameterMm nominal diameter
     * @return the pitch in mm that this diameter usually has, metric coarse or tapping; empty if no usual thread has it
     */
    public static OptionalDouble pitchMm(ThreadForm form, double diameterMm) {
        if (form == ThreadForm.NONE) {
            return OptionalDouble.empty();
        }
        Map.Entry<Double, Double> near = nearest(form, diameterMm);
        return Math.abs(near.getKey() - diameterMm) <= ALIKE_MM
                ? OptionalDouble.of(near.getValue())
                : OptionalDouble.empty();
    }

    /** The pitch in mm of the nearest usual diameter: good enough to draw, or to know a screw by. Not for NONE. */
    public static double nearestPitchMm(ThreadForm form, double diameterMm) {
        return nearest(form, diameterMm).getValue();
    }

    static double nearestDiameterMm(ThreadForm form, double diameterMm) {
        return nearest(form, diameterMm).getKey();
    }

    private static Map.Entry<Double, Double> nearest(ThreadForm form, double diameterMm) {
        NavigableMap<Double, Double> table = form == ThreadForm.MACHINE ? MACHINE : TAPPING;
        Map.Entry<Double, Double> below = table.floorEntry(diameterMm);
        Map.Entry<Double, Double> above = table.ceilingEntry(diameterMm);
        if (below == null) {
            return above;
        }
        if (above == null) {
            return below;
        }
        return diameterMm - below.getKey() <= above.getKey() - diameterMm ? below : above;
    }
}
