package wrenchnotes.server.figures;

import java.util.Map;

/** How long a screen's answer took over HTTP, and the same SQL bare, in turns. */
record Answered(Times http, Times bare) {

    void print(String name) {
        double http95 = http.millis95();
        double bare95 = bare.millis95();
        System.out.printf(
                "%-22s %7.2f ms %7.2f ms %7.2f ms %7.2f ms %8.2f  %s%n",
                name,
                http.medianMillis(),
                http95,
                bare.medianMillis(),
                bare95,
                http95 / bare95,
                http95 <= 2 * bare95 + 5 ? "yes" : "no");
    }

    /** Of the same screens in two shops. */
    static void growth(Map<String, Answered> small, Map<String, Answered> large) {
        System.out.printf("%ngrowth from 10,000 to 100,000 jobs (aim below 2 but for patterns)%n");
        small.forEach((name, before) -> System.out.printf(
                "%-22s median × %.2f, 95th percentile × %.2f%n",
                name,
                large.get(name).http().medianMillis() / before.http().medianMillis(),
                large.get(name).http().millis95() / before.http().millis95()));
    }
}
