package wrenchnotes.core.drawer.donor;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;

/**
 * What a unit that is kept for parts is worth still, and what each part that is taken out of it costs. What was paid for the whole is shared by what
 * each part would cost new (a joint cost by relative sales value: Horngren, Datar, Rajan, Cost Accounting, the chapter on joint costs; from memory).
 * Parts that are bad bear nothing. Whatever is taken in whatever order, all of it together costs what the unit did, to the last minor unit.
 *
 * @param leftMinor of what was paid, what no part has carried away yet, in minor units
 * @param goodMinor what those that are known good would cost new, in minor units; what nobody knows the price of counts as nothing
 * @param shares by component, what each would carry away if it were taken now, in minor units
 */
public record DonorWorth(long leftMinor, long goodMinor, Map<Long, Long> shares) {

    public DonorWorth {
        shares = Map.copyOf(shares);
    }

    /**
     * A component of the unit.
     *
     * @param newMinor what one costs new, in minor units, 1 or more; empty if nobody knows: then it counts as the others do on average
     */
    public record Piece(long component, InDonor state, OptionalLong newMinor) {

        public Piece {
            Checked.present("state", state);
            if (newMinor.isPresent() && newMinor.getAsLong() < 1) {
                throw new Invalid("newMinor", "A part costs something new, or nobody knows what");
            }
        }
    }

    /**
     * @param paidMinor for the unit, in minor units, 0 or more
     * @param takenMinor what the parts that were taken out carried away, in minor units, at most that
     */
    public static DonorWorth of(long paidMinor, long takenMinor, List<Piece> pieces) {
        if (paidMinor < 0 || takenMinor < 0 || takenMinor > paidMinor) {
            throw new Invalid("takenMinor", "No more can be carried away than was paid: 0 to " + paidMinor);
        }
        long left = paidMinor - takenMinor;
        List<Piece> there =
                pieces.stream().filter(piece -> piece.state().isThere()).toList();
        double usual = there.stream()
                .flatMapToLong(piece -> piece.newMinor().stream())
                .average()
                .orElse(1);
        Map<Long, BigDecimal> weights = there.stream()
                .collect(Collectors.toMap(
                        Piece::component,
                        piece -> piece.newMinor().isPresent()
                                ? BigDecimal.valueOf(piece.newMinor().getAsLong())
                                : BigDecimal.valueOf(usual),
                        (one, other) -> one,
                        LinkedHashMap::new));
        BigDecimal all = weights.values().stream().reduce(BigDecimal.ZERO, BigDecimal::add);
        Map<Long, Long> shares = new LinkedHashMap<>();
        weights.forEach((component, weight) -> shares.put(
                component,
                BigDecimal.valueOf(left)
                        .multiply(weight)
                        .divide(all, 0, RoundingMode.HALF_UP)
                        .longValueExact()));
        long good = there.stream()
                .filter(piece -> piece.state() == InDonor.GOOD)
                .flatMapToLong(piece -> piece.newMinor().stream())
                .sum();
        return new DonorWorth(left, good, shares);
    }
}
