package wrenchnotes.core.drawer.donor;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalLong;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.diagnosis.Means;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.drawer.donor.DonorWorth.Piece;
import wrenchnotes.core.unit.Invalid;

class DonorWorthTest {

    private static final Instant MORNING = Instant.parse("2026-05-04T09:00:00Z");

    /**
     * A joint cost by relative sales value at the split, as Horngren's Cost Accounting shares it (its figures are not at hand; these are worked by
     * hand): 400 paid, products that sell at 500 and 300 bear 250 and 150. The third is bad and bears nothing.
     */
    @Test
    void whatWasPaidIsSharedByWhatEachWouldCostNew() {
        DonorWorth worth = DonorWorth.of(
                400,
                0,
                List.of(
                        new Piece(1, InDonor.GOOD, OptionalLong.of(500)),
                        new Piece(2, InDonor.UNKNOWN, OptionalLong.of(300)),
                        new Piece(3, InDonor.BAD, OptionalLong.of(900))));
        assertThat(worth.shares()).isEqualTo(Map.of(1L, 250L, 2L, 150L));
        assertThat(worth.leftMinor()).isEqualTo(400);
        assertThat(worth.goodMinor()).isEqualTo(500);
        assertThatThrownBy(() -> DonorWorth.of(400, 401, List.of())).isInstanceOf(Invalid.class);
    }

    /** Whatever is taken in whatever order, and whatever is known of prices: all of it costs what was paid, to the last minor unit. */
    @Property
    void allOfItTogetherCostsWhatTheUnitDid(
            @ForAll @LongRange(max = 10_000_000) long paid,
            @ForAll @IntRange(min = 1, max = 12) int count,
            @ForAll long seed) {
        Random random = new Random(seed);
        List<Piece> pieces = new ArrayList<>();
        for (int n = 0; n < count; n++) {
            pieces.add(new Piece(
                    n,
                    random.nextBoolean() ? InDonor.GOOD : InDonor.UNKNOWN,
                    random.nextInt(3) == 0 ? OptionalLong.empty() : OptionalLong.of(1 + random.nextInt(9_000))));
        }
        long taken = 0;
        for (int left = count; left > 0; left--) {
            Map<Long, Long> shares = DonorWorth.of(paid, taken, pieces).shares();
            assertThat(shares.values()).allMatch(share -> share >= 0);
            int at = random.nextInt(left);
            Piece out = pieces.remove(at);
            taken += shares.get(out.component());
        }
        assertThat(taken).isEqualTo(paid);
    }

    @Test
    void theLastWordStandsAndWhatWasTakenIsGone() {
        SaidOfDonor bad = SaidOfDonor.finding(MORNING, "torn", Remedy.LEFT_AS_IT_IS, false);
        SaidOfDonor mended = SaidOfDonor.finding(MORNING.plusSeconds(60), "torn", Remedy.REPLACED, false);
        SaidOfDonor seen = SaidOfDonor.look(MORNING.plusSeconds(120), false, Means.MEASURED);
        assertThat(SaidOfDonor.standing(List.of(), false)).isEqualTo(InDonor.UNKNOWN);
        assertThat(SaidOfDonor.standing(List.of(bad), false)).isEqualTo(InDonor.BAD);
        assertThat(SaidOfDonor.standing(List.of(mended, bad), false)).isEqualTo(InDonor.GOOD);
        assertThat(SaidOfDonor.standing(List.of(seen, mended, bad), false)).isEqualTo(InDonor.BAD);
        assertThat(SaidOfDonor.finding(MORNING, "torn", Remedy.REVIVED, true).good())
                .isFalse();
        assertThat(SaidOfDonor.standing(List.of(mended), true)).isEqualTo(InDonor.GONE);
        assertThat(mended.words()).isEqualTo("torn, replaced");
    }
}
