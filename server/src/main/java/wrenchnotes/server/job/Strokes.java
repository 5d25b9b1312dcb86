package wrenchnotes.server.job;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import wrenchnotes.core.teardown.Spot;
import wrenchnotes.core.teardown.Stroke;

/** Strokes as they are stored: each as x, y, x, y, to a thousandth of the picture. */
final class Strokes {

    private Strokes() {}

    static List<List<Double>> stored(List<Stroke> strokes) {
        return strokes.stream()
                .map(stroke -> stroke.through().stream()
                        .flatMap(spot -> Stream.of(thousandth(spot.x()), thousandth(spot.y())))
                        .toList())
                .toList();
    }

    private static double thousandth(double share) {
        return Math.round(1000 * share) / 1000.0;
    }

    static List<Stroke> read(List<List<Double>> stored) {
        return stored.stream()
                .map(flat -> {
                    List<Spot> through = new ArrayList<>();
                    for (int at = 0; at + 1 < flat.size(); at += 2) {
                        through.add(new Spot(flat.get(at), flat.get(at + 1)));
                    }
                    return new Stroke(through);
                })
                .toList();
    }
}
