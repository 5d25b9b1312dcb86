package wrenchnotes.server.demo;

import java.util.List;

/** What owners say at the demo shop's counter. */
final class DemoWords {

    private DemoWords() {}

    private static final List<String> WHEN =
            List.of("since Tuesday", "after the summer", "now and then", "since the crossing", "more every week", "");

    static String complaint(String symptom, int luck) {
        String when = WHEN.get(luck % WHEN.size());
        String said = Character.toUpperCase(symptom.charAt(0)) + symptom.substring(1);
        return when.isEmpty() ? said : said + ", " + when;
    }
}
