package wrenchnotes.core.recurring;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import wrenchnotes.core.checkin.Ownership;
import wrenchnotes.core.diagnosis.Remedy;
import wrenchnotes.core.diagnosis.history.ClosedJob;
import wrenchnotes.core.diagnosis.history.SoldUnit;
import wrenchnotes.core.outcome.Outcome;

/** How long units lasted after what was done, and what is said of that. */
class FaultStaysTest {

    private final SmallBook jobs = new SmallBook();

    @Test
    void aStayBeginsWithTheSaleAndEndsWithTheUnit() {
        long sold = jobs.job(1, 1, Ownership.RESALE, 0, Outcome.FIXED, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.book.add(new SoldUnit(sold, 1, true, 9_000, 31 * SmallBook.DAY));
        jobs.book.add(new SoldUnit(sold, 1, true, 8_500, 60 * SmallBook.DAY));
        jobs.mended(2, 0, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.job(2, 1, Ownership.CUSTOMER, 51, Outcome.KEPT_FOR_PARTS, SmallBook.found(1, 2, Remedy.LEFT_AS_IT_IS));
        // On the shelf it gave out before anybody had bought it.
        long shelf = jobs.job(3, 1, Ownership.RESALE, 0, Outcome.FIXED, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.job(3, 1, Ownership.RESALE, 11, Outcome.FIXED, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.book.add(new SoldUnit(shelf, 1, true, 9_000, 90 * SmallBook.DAY));
        // Nobody knows which unit it was: nobody could see it come back. Measured: such jobs counted as lasting for
        // years.
        jobs.mended(ClosedJob.NO_UNIT, 0, SmallBook.found(1, 1, Remedy.REPLACED));
        assertThat(jobs.stays(101).stays())
                .extracting(stay -> stay.length().days() + " " + stay.length().cameBack() + " " + stay.followedToDay())
                .containsExactly("70.0 false 70.0", "50.0 false 50.0", "10.0 true 100.0", "89.0 false 89.0");
    }

    /** Eight belts of one supplier of which five were back within two months, among forty others of which one was; and what differs by chance is not called. */
    @Test
    void aBadBatchIsFoundAmongAllSuppliers() {
        Random random = new Random(8);
        for (long unit = 1; unit <= 48; unit++) {
            long supplier = unit <= 8 ? 2 : unit <= 30 ? 1 : ClosedJob.NOBODY;
            jobs.mended(unit, unit, SmallBook.from(supplier, 1));
            jobs.mended(100 + unit, unit, SmallBook.from(1 + random.nextInt(2), 2));
            if (unit <= 5 || unit == 20) {
                jobs.mended(unit, unit + 40, SmallBook.from(ClosedJob.NOBODY, 1));
            }
        }
        List<BadBatch> bad = BadBatch.of(jobs.book, List.of(), 400 * SmallBook.DAY, supplier -> "S" + supplier);
        assertThat(bad).hasSize(1);
        assertThat(bad.get(0).on()).isEqualTo(new FaultOn(1, 1));
        assertThat(bad.get(0).supplier()).isEqualTo(2);
        assertThat(bad.get(0).comparison().said())
                .startsWith(
                        "Of parts from S2 5 of 8 came back; at the rate of all others (1 of 46) it would have been 0.2: 4.8 more");
        // Whoever went out a month ago says nothing of three.
        assertThat(BadBatch.of(jobs.book, List.of(), 60 * SmallBook.DAY, supplier -> "S"))
                .isEmpty();
        FaultStays belts = jobs.stays(400);
        assertThat(Compared.cameBack(belts, supplier -> "S" + supplier))
                .filteredOn(Comparison::tells)
                .extracting(Comparison::said)
                .containsExactly(bad.get(0).comparison().said());
    }

    /**
     * By hand: ten replaced at 5.00 of parts, none back; eight revived at nothing, four back in a month. A job takes a minute at 60.00 an hour, so 1.00. What another
     * repair costs on average: (10 × 6.00 + 8 × 6.00) / 18; the revived ones cost 6.00 + half of that.
     */
    @Test
    void whatARemedyCostsOverTheTermCountsItsComebacks() {
        for (long unit = 1; unit <= 18; unit++) {
            jobs.mended(unit, unit, SmallBook.found(1, 1, unit <= 10 ? Remedy.REPLACED : Remedy.REVIVED));
        }
        for (long unit = 11; unit <= 14; unit++) {
            jobs.mended(unit, unit + 30, SmallBook.found(1, 1, Remedy.LEFT_AS_IT_IS));
        }
        List<RemedyOverTerm> told = RemedyOverTerm.of(jobs.stays(400), 183, 6_000);
        assertThat(told).extracting(RemedyOverTerm::remedy).containsExactly(Remedy.REPLACED, Remedy.REVIVED);
        assertThat(told).extracting(one -> one.termMinor().orElseThrow()).containsExactly(600L, 900L);
        assertThat(told).extracting(RemedyOverTerm::cheapest).containsExactly(true, false);
        assertThat(told.get(1).lasts().orElseThrow().survival()).isCloseTo(0.5, within(1e-12));
        // Followed for a month only, nobody can say.
        assertThat(RemedyOverTerm.of(jobs.stays(48), 183, 6_000))
                .allMatch(one -> one.termMinor().isEmpty() && !one.cheapest());
    }

    /** Measured: a unit that was known to be gone still counted as out with a warranty that runs. */
    @Test
    void onlyWhatIsOutThereHasAWarrantyThatRuns() {
        jobs.mended(1, 0, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.mended(2, 0, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.job(2, 1, Ownership.CUSTOMER, 20, Outcome.KEPT_FOR_PARTS);
        jobs.mended(3, 0, SmallBook.found(1, 1, Remedy.REPLACED));
        jobs.mended(3, 30, SmallBook.found(1, 1, Remedy.LEFT_AS_IT_IS));
        WarrantyNow warranty = warranty(jobs.stays(101), 101);
        assertThat(warranty.units()).isEqualTo(1);
        assertThat(warranty.eachMinor()).isEqualTo(600);
        assertThat(warranty(jobs.stays(301), 301).units())
                .as("the term is over")
                .isZero();
    }

    /**
     * By hand: four out on day 1, two of them back a hundred days later; four out on day 101. On day 151 the curve of eight stays is a half from day 100 on, so
     * each of the younger four comes back with a chance of a half, at 6.00; the older two have lasted what counts. One of another fault, too few to
     * say anything, is read on the remedy of all. Half a year before that nobody knew of a comeback.
     */
    @Test
    void theReserveOfAllWarrantiesIsWhatWasKnownByThen() {
        for (long unit = 1; unit <= 4; unit++) {
            jobs.mended(unit, 0, SmallBook.found(1, 1, Remedy.REPLACED));
            jobs.mended(4 + unit, 100, SmallBook.found(1, 1, Remedy.REPLACED));
        }
        jobs.mended(1, 101, SmallBook.found(1, 1, Remedy.LEFT_AS_IT_IS));
        jobs.mended(2, 101, SmallBook.found(1, 1, Remedy.LEFT_AS_IT_IS));
        jobs.mended(9, 100, SmallBook.found(1, 2, Remedy.REPLACED));
        FaultStays belts = jobs.stays(400);
        // Known on day 90: neither comeback. On day 150: the first of unit 1, not that of day 200.
        jobs.mended(1, 201, SmallBook.found(1, 1, Remedy.LEFT_AS_IT_IS));
        FaultStays.StayAfter first = jobs.stays(400).stays().get(0);
        assertThat(first.often()).hasSize(2);
        assertThat(first.asOf(91 * SmallBook.DAY).orElseThrow().often()).isEmpty();
        assertThat(first.asOf(151 * SmallBook.DAY).orElseThrow().often()).containsExactly(100.0);
        assertThat(first.asOf(151 * SmallBook.DAY).orElseThrow().followedToDay())
                .isEqualTo(150);
        assertThat(first.asOf(SmallBook.DAY)).as("it had not begun").isEmpty();
        assertThat(warranty(belts, 151)).isEqualTo(new WarrantyNow(183, 6, 600, 1_200, 600));
        FaultStays all = FaultStays.of(jobs.book, fault -> true, Narrowed.NOT, List.of(), 400 * SmallBook.DAY);
        assertThat(warranty(all, 151)).isEqualTo(new WarrantyNow(183, 7, 600, 1_500, 671));
        assertThat(warranty(all, 51)).isEqualTo(new WarrantyNow(183, 4, 600, 0, 0));
    }

    private static WarrantyNow warranty(FaultStays stays, long day) {
        return WarrantyNow.of(stays.stays(), day * SmallBook.DAY, 6_000);
    }
}
