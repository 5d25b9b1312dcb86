package wrenchnotes.core.brought;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.outcome.Outcome;

/** What people call remedies and outcomes in their own lists (common practice, no source): the first that stands in a cell is meant. */
final class Terms {

    private static final Map<Outcome, List<String>> OUTCOMES = new LinkedHashMap<>();
    private static final Map<Remedy, List<String>> REMEDIES = new LinkedHashMap<>();

    static {
        // What denies stands before what it denies.
        OUTCOMES.put(Outcome.NO_FAULT_FOUND, List.of("no fault found", "nff", "no fault", "nothing found"));
        OUTCOMES.put(
                Outcome.NOT_WORTH_IT,
                List.of("not worth it", "uneconomical", "not worth", "too dear", "beyond economic repair"));
        OUTCOMES.put(
                Outcome.KEPT_FOR_PARTS,
                List.of("kept for parts", "for parts", "parts only", "scrapped", "scrap", "donor"));
        OUTCOMES.put(
                Outcome.NOT_FIXED,
                List.of("not fixed", "not repaired", "unrepairable", "unrepaired", "unfixed", "failed", "gave up"));
        OUTCOMES.put(Outcome.PARTLY_FIXED, List.of("partly fixed", "partly", "partially", "partial"));
        OUTCOMES.put(Outcome.FIXED_WITH_REMARK, List.of("fixed with a remark", "fixed with remark"));
        OUTCOMES.put(Outcome.FIXED, List.of("fixed", "repaired", "working", "works", "done", "ok"));

        REMEDIES.put(Remedy.LEFT_AS_IT_IS, List.of("left as it is", "left", "nothing", "none", "no action"));
        REMEDIES.put(Remedy.RESOLDERED, List.of("resoldered", "resolder", "soldered", "reflowed", "reflow"));
        REMEDIES.put(
                Remedy.REPLACED,
                List.of("replaced", "replace", "replacement", "new", "changed", "swapped", "exchanged", "recapped"));
        REMEDIES.put(Remedy.CLEANED, List.of("cleaned", "clean", "cleaning", "washed"));
        REMEDIES.put(Remedy.REVIVED, List.of("revived", "restored", "reconditioned", "roughened"));
        REMEDIES.put(Remedy.STRAIGHTENED, List.of("straightened", "bent back", "unbent"));
        REMEDIES.put(Remedy.RESEATED, List.of("reseated", "reseat", "plugged in", "reconnected", "plugged"));
        REMEDIES.put(Remedy.LUBRICATED, List.of("lubricated", "oiled", "greased", "lubed", "oil", "grease"));
        REMEDIES.put(Remedy.ADJUSTED, List.of("adjusted", "adjust", "aligned", "alignment", "calibrated", "set"));
        REMEDIES.put(Remedy.OBJECT_REMOVED, List.of("object removed", "removed", "took out"));
        REMEDIES.put(Remedy.IMPROVISED, List.of("improvised", "glued", "bridged", "bypassed", "made"));
    }

    private Terms() {}

    static Optional<Outcome> outcome(String said) {
        return first(OUTCOMES, said);
    }

    static Optional<Remedy> remedy(String said) {
        return first(REMEDIES, said);
    }

    private static <T> Optional<T> first(Map<T, List<String>> terms, String said) {
        String words = " "
                + said.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip() + " ";
        return terms.entrySet().stream()
                .filter(one -> one.getValue().stream().anyMatch(term -> Pattern.compile(" " + Pattern.quote(term) + " ")
                        .matcher(words)
                        .find()))
                .map(Map.Entry::getKey)
                .findFirst();
    }
}
