package wrenchnotes.core.check;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * Whether a unit may be plugged in after work on its mains side, as it was measured and judged by the shop's limits of that day.
 *
 * @param earthOhm from the plug's earth to what can be touched, 0 to 10,000 Ω; empty for a double insulated one
 * @param insulationMohm from both mains poles to what can be touched, 0 to 100,000 MΩ
 * @param leadSound whether lead, plug and strain relief were looked at and are whole
 * @param failed what did not meet the limits, a sentence each; empty if it passed
 */
public record ElectricalCheck(
        Protection protection,
        Optional<Double> earthOhm,
        double insulationMohm,
        boolean leadSound,
        String words,
        List<String> failed) {

    private static final double MOST_OHM = 10_000;
    private static final double MOST_MOHM = 100_000;

    public ElectricalCheck {
        Checked.present("protection", protection);
        earthOhm.ifPresent(ohm -> Checked.within("earthOhm", ohm, 0, MOST_OHM));
        Checked.within("insulationMohm", insulationMohm, 0, MOST_MOHM);
        words = Checked.optionalText("words", words, 300);
        if (protection == Protection.EARTHED && earthOhm.isEmpty()) {
            throw new Invalid("earthOhm", "An earthed unit has its earth measured: give the resistance");
        }
        if (protection == Protection.DOUBLE_INSULATED && earthOhm.isPresent()) {
            throw new Invalid("earthOhm", "A double insulated unit has no earth: leave it out, or say earthed");
        }
        failed = List.copyOf(failed);
    }

    /** Judged by the shop's limits. At the limit passes. */
    public static ElectricalCheck judged(
            ElectricalLimits limits,
            Protection protection,
            Optional<Double> earthOhm,
            double insulationMohm,
            boolean leadSound,
            String words) {
        Checked.present("protection", protection);
        List<String> failed = new ArrayList<>();
        earthOhm.filter(ohm -> ohm > limits.earthOhm())
                .ifPresent(
                        ohm -> failed.add("earth %s Ω, at most %s Ω".formatted(plain(ohm), plain(limits.earthOhm()))));
        double least = limits.leastMohm(protection);
        if (insulationMohm < least) {
            failed.add("insulation %s MΩ, at least %s MΩ".formatted(plain(insulationMohm), plain(least)));
        }
        if (!leadSound) {
            failed.add("lead or plug not sound");
        }
        return new ElectricalCheck(protection, earthOhm, insulationMohm, leadSound, words, failed);
    }

    public boolean passed() {
        return failed.isEmpty();
    }

    /** "passed: earth 0.12 Ω, insulation 200 MΩ, lead and plug sound". */
    public String sentence() {
        return (passed() ? "passed: " : "FAILED: ")
                + earthOhm.map(ohm -> "earth " + plain(ohm) + " Ω, ").orElse("")
                + "insulation " + plain(insulationMohm) + " MΩ, lead and plug " + (leadSound ? "sound" : "not sound")
                + (passed() ? "" : " (" + String.join("; ", failed) + ")")
                + (words.isEmpty() ? "" : ". " + words);
    }

    private static String plain(double value) {
        return Figures.rounded(value, 3);
    }
}
