package wrenchnotes.core.teardown;

/**
 * A thread as a standard has it. Diameters and pitch in mm.
 *
 * @param standard "ISO 261 coarse"
 * @param designation "M3 × 0.5", "ST2.9", "UNC #4-40", "BA 2"
 * @param mostMm the largest that a screw made to it may be across its thread @param leastMm the smallest
 * @param usual found in small devices everywhere
 */
public record StandardThread(
        String standard,
        String designation,
        ThreadForm form,
        double diameterMm,
        double mostMm,
        double leastMm,
        double pitchMm,
        boolean usual) {}
