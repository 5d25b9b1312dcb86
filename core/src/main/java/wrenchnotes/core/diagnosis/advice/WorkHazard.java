package wrenchnotes.core.diagnosis.advice;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.teardown.MainsSide;
import wrenchnotes.core.unit.Spoken;

/**
 * What can hurt in the work itself, whatever unit it is done on: this is the whole table. A row hangs on what is done and on the words
 * for agents, tools and faults; it is shown when one of them is chosen, and before a step that has it. The usual cautions (common practice, no
 * source); the sheets of the makers and local rules decide. None of them says that something is safe.
 */
public enum WorkHazard implements Spoken {
    SOLVENT(
            "Solvents and sprays: air, gloves, no flame, nothing live. Let it dry before power. Read the sheet.",
            "isopropyl|alcohol|solvent|spray|contact cleaner|acetone|thinner",
            Remedy.CLEANED),
    RUBBER_CONDITIONER(
            "Rubber conditioner: skin, eyes and air; gloves, no flame, and none of it on belts' pulleys or the lens.",
            "conditione",
            Remedy.REVIVED),
    RESIN(
            "Resin and retaining compound: skin, eyes, fumes; gloves and air. It grips only when it has cured.",
            "resin|epoxy|retaining compound|cyanoacrylate|super ?glue"),
    SOLDERING(
            "Soldering: fumes away from the face, eyes covered. Old boards carry lead: wash your hands.",
            "solder|flux",
            Remedy.RESOLDERED),
    HOT_AIR(
            "Hot air: burns, and what is around melts or bursts. Shield it, keep capacitors and cells cold.",
            "hot.?air|heat gun"),
    SPRING("Springs: eyes. Hold it before it is let go, and let it go away from the face.", "spring"),
    TAR(
            "Tar of decayed belts: it stains and creeps. Gloves; scrape first, then solvent with air, and never on the lens.",
            "\\btar\\b|sticky|melted|belt residue"),
    ELECTROLYTE(
            "Leaking electrolytics: what leaks burns skin and eyes, and eats the board. Gloves, wash, and mind the charge.",
            "electrolyt|leaking|leaked|capacitor"),
    DUST("Dust and mould: mask, outside or at the extractor, no compressed air into the face.", "dust|mould"),
    GLASS(
            "Broken glass and tubes: eyes and hands covered, and a tube can burst.",
            "\\bglass(?!.?fib)|\\btube\\b|cracked screen"),
    FIBREGLASS(
            "Fibreglass pen: the fibres go into skin and eyes. Gloves, wipe up wet, never blow.",
            "fibre.?glass|glass.?fibre"),
    LASER(
            "Laser light with covers off: never look in, and power off while the cover is open.",
            "laser|\\blens\\b|pick.?up"),
    MAINS_SIDE(
            "Mains side: only if you are qualified where you are. Unplugged, discharged, measured before it is touched; one hand,"
                    + " insulated probes of that category for what has to be read live.",
            MainsSide.WORDS);

    private final String caution;
    private final Pattern named;
    private final Set<Remedy> remedies;

    WorkHazard(String caution, String named, Remedy... remedies) {
        this.caution = caution;
        this.named = Pattern.compile(named, Pattern.CASE_INSENSITIVE);
        this.remedies = EnumSet.noneOf(Remedy.class);
        this.remedies.addAll(List.of(remedies));
    }

    /**
     * Whether something was done on the mains side, after which the shop measures (common practice, no source).
     *
     * @param words of component and fault
     */
    public static boolean isMainsWork(Remedy done, String words) {
        return done != Remedy.LEFT_AS_IT_IS && MainsSide.named(words);
    }

    /** What to mind. */
    public String caution() {
        return caution;
    }

    /**
     * @param remedy what is done; empty if nobody has said
     * @param words of agents, tools, components and faults
     */
    public static List<WorkHazard> of(Optional<Remedy> remedy, String... words) {
        return Stream.of(values())
                .filter(one -> remedy.filter(one.remedies::contains).isPresent()
                        || Stream.of(words)
                                .anyMatch(said -> one.named.matcher(said).find()))
                .toList();
    }
}
