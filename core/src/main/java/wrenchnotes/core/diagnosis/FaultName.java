package wrenchnotes.core.diagnosis;

import java.util.Locale;
import wrenchnotes.core.unit.Checked;

/**
 * What is wrong with which component, in words that mean the same on every model: "idler tyre, glazed" is one fault whether it
 * sits in a player or in a recorder. Upper and lower case are one.
 */
public record FaultName(String component, String wrong) implements Comparable<FaultName> {

    public FaultName {
        component = Checked.text("component", component, 80).toLowerCase(Locale.ROOT);
        wrong = Checked.text("wrong", wrong, 80).toLowerCase(Locale.ROOT);
    }

    public String words() {
        return component + ", " + wrong;
    }

    @Override
    public int compareTo(FaultName other) {
        return words().compareTo(other.words());
    }
}
