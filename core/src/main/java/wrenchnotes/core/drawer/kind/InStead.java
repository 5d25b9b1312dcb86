package wrenchnotes.core.drawer.kind;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wrenchnotes.core.gauge.BeltGauge;
import wrenchnotes.core.gauge.CapacitorGauge;
import wrenchnotes.core.gauge.Judgement;

/**
 * Whether one part may stand in for another, with the reasons. Belts and capacitors are judged by their gauges; the rest property by property: what
 * is refused is refused by a property that both are known to have, and what is not known of either leaves it open. It is never more than a
 * help for the eye: whether it fits is decided with both in the hand.
 *
 * @param reasons a sentence each, the decisive ones first
 */
public record InStead(Judgement verdict, List<String> reasons) {

    public InStead {
        reasons = List.copyOf(reasons);
    }

    /** @return a refusal if they are of two kinds */
    public static InStead of(PartSpec wanted, PartSpec at) {
        if (wanted.kind() != at.kind()) {
            return new InStead(
                    Judgement.BAD,
                    List.of("It is a " + at.kind().words() + ", not a "
                            + wanted.kind().words()));
        }
        return switch (wanted.kind()) {
            case BELT -> belt(wanted, at);
            case CAPACITOR -> capacitor(wanted, at);
            default -> new Compared(wanted, at).judged();
        };
    }

    /** The belt that is wanted is the best there is for its place: what the gauge takes beside it, the place takes. */
    private static InStead belt(PartSpec wanted, PartSpec at) {
        Optional<BeltGauge.BeltInDrawer> belt = GaugePart.belt(at);
        OptionalDouble around = wanted.figure(PartField.CIRCUMFERENCE);
        if (belt.isEmpty() || around.isEmpty()) {
            return new InStead(
                    Judgement.CAN_NOT_SAY,
                    List.of("How long " + (around.isEmpty() ? "the one wanted" : "this one") + " is, is not known"));
        }
        BeltGauge.BeltAsked asked = new BeltGauge.BeltAsked(
                Optional.of(BeltGauge.WornBelt.replacedBest(around.getAsDouble())),
                Optional.empty(),
                GaugePart.section(wanted));
        BeltGauge.BeltCandidate judged =
                BeltGauge.of(asked, List.of(belt.get())).candidates().get(0);
        return new InStead(judged.verdict(), judged.reasons());
    }

    private static InStead capacitor(PartSpec wanted, PartSpec at) {
        Optional<CapacitorGauge.Capacitor> original = GaugePart.capacitor(wanted, Optional.empty());
        if (original.isEmpty()) {
            return new InStead(
                    Judgement.CAN_NOT_SAY, List.of("What the one wanted is: value, voltage or kind is not known"));
        }
        CapacitorGauge.CapacitorAsked asked =
                new CapacitorGauge.CapacitorAsked(original.get(), Optional.empty(), Optional.empty(), Optional.empty());
        return capacitor(asked, at);
    }

    /** By the capacitor gauge, for the place of one that was described to it. */
    public static InStead capacitor(CapacitorGauge.CapacitorAsked asked, PartSpec at) {
        Optional<CapacitorGauge.Capacitor> candidate =
                GaugePart.capacitor(at, Optional.of(asked.original().kind()));
        if (candidate.isEmpty()) {
            return new InStead(Judgement.CAN_NOT_SAY, List.of("Its value or its voltage is not known"));
        }
        CapacitorGauge.CapacitorFound found =
                CapacitorGauge.of(asked.of(candidate.get()).withSeries(GaugePart.series(at)));
        List<String> reasons = new ArrayList<>(found.reasons());
        Judgement verdict = found.verdict().orElseThrow();
        if (at.word(PartField.DIELECTRIC).isEmpty()) {
            reasons.add("Not known: of which kind it is");
            verdict = verdict == Judgement.BAD ? verdict : Judgement.CAN_NOT_SAY;
        }
        return new InStead(verdict, reasons);
    }
}
