package wrenchnotes.core.brought;

import java.util.List;
import wrenchnotes.core.unit.Spoken;

/** What a column of past jobs can say. */
public enum Field implements Spoken {
    DATE("date", "day", "datum", "date out", "finished", "closed", "returned", "date in", "received"),
    OWNER("owner", "customer", "client", "name", "kunde"),
    MODEL("model", "unit", "device", "machine", "type", "modell", "geraet", "gerät"),
    SYMPTOM("symptom", "symptoms", "complaint", "problem", "says", "reported"),
    FAULT("fault", "cause", "diagnosis", "found", "defect", "fehler"),
    REMEDY("remedy", "repair", "action", "done", "work", "what was done"),
    PART("part", "parts", "part used", "parts used", "teil"),
    COST("cost", "part cost", "parts cost", "cost of parts", "price of parts", "kosten"),
    OUTCOME("outcome", "result", "status", "ended", "ergebnis");

    private final List<String> names;

    Field(String... names) {
        this.names = List.of(names);
    }

    /** What such a column is called, the likeliest first; in lower case. */
    List<String> names() {
        return names;
    }
}
