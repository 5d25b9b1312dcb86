package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.ThreadGauge.Flank;
import wrenchnotes.core.gauge.ThreadGauge.GoesInto;
import wrenchnotes.core.gauge.ThreadGauge.ThreadAsked;
import wrenchnotes.core.gauge.ThreadGauge.ThreadFound;
import wrenchnotes.core.gauge.ThreadGauge.ThreadMatch;
import wrenchnotes.core.gauge.ThreadGauge.ThreadsCounted;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.StandardThread;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.teardown.ThreadTable;
import wrenchnotes.core.unit.Invalid;

/** Threads and recesses, against the formulas of their standards where there are some. */
class ThreadTest {

    private static ThreadFound screw(double diameter, int threads, double over) {
        return ThreadGauge.of(asked(diameter, new ThreadsCounted(threads, over, Optional.empty()), null));
    }

    private static ThreadAsked asked(double diameter, ThreadsCounted threads, Double u) {
        return new ThreadAsked(
                diameter,
                Optional.ofNullable(threads),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.ofNullable(u));
    }

    private static List<String> names(ThreadFound found) {
        return found.designations().stream().map(ThreadMatch::designation).toList();
    }

    /** Pitches: ISO 261, ISO 1478, ASME B1.1, BS 93 (all published; from memory). Screws are made a little under their nominal size. */
    @ParameterizedTest
    @CsvSource({
        "2.95,10,5,M3 × 0.5,METAL",
        "2.85,10,11,ST2.9,PLASTIC_OR_SHEET_METAL",
        "2,10,4,M2 × 0.4,METAL",
        "2.2,10,8,ST2.2,PLASTIC_OR_SHEET_METAL",
        "1.6,10,3.5,M1.6 × 0.35,METAL",
        "7.9,10,12.5,M8 × 1.25,METAL",
        "7.9,20,20,M8 × 1,METAL",
        "2.95,20,7,M3 × 0.35,METAL",
        "6.2,10,18,ST6.3,PLASTIC_OR_SHEET_METAL",
        "2.8,20,12.7,UNC #4-40,METAL",
        "6.3,20,25.4,UNC 1/4-20,METAL",
        "6.3,28,25.4,UNF 1/4-28,METAL",
        "1.5,20,6.35,UNF #0-80,METAL",
        "4.65,20,16.2,BA 2,METAL"
    })
    void aScrewIsKnownByDiameterAndPitch(double diameter, int threads, double over, String designation, GoesInto into) {
        ThreadFound found = screw(diameter, threads, over);
        assertThat(names(found)).contains(designation);
        assertThat(names(found).get(0)).isEqualTo(designation);
        assertThat(found.goesInto()).contains(into);
        assertThat(found.nearest()).isEmpty();
    }

    /** BS 93: pitch 0.9ⁿ mm to two digits, diameter 6 P^1.2; numbered unified sizes: 0.060 + 0.013 n inches (published; from memory). */
    @Test
    void theTableFollowsItsFormulas() {
        int checked = 0;
        for (StandardThread thread : ThreadTable.all()) {
            if (thread.standard().equals("BS 93")) {
                int n = Integer.parseInt(thread.designation().substring(3));
                assertThat(thread.pitchMm()).isCloseTo(Math.pow(0.9, n), within(0.005));
                assertThat(thread.diameterMm()).isCloseTo(6 * Math.pow(thread.pitchMm(), 1.2), within(0.051));
                checked++;
            } else if (thread.designation().contains("#")) {
                String[] parts = thread.designation().split("[#-]");
                assertThat(thread.diameterMm())
                        .isCloseTo(25.4 * (0.060 + 0.013 * Integer.parseInt(parts[1])), within(0.0006));
                assertThat(thread.pitchMm()).isCloseTo(25.4 / Integer.parseInt(parts[2]), within(0.0006));
                checked++;
            }
            assertThat(thread.leastMm()).isLessThan(thread.mostMm());
            assertThat(thread.mostMm() - thread.leastMm()).isLessThan(0.3);
        }
        assertThat(checked).isEqualTo(11 + 9 + 10);
        assertThat(ThreadTable.all())
                .filteredOn(thread -> thread.designation().equals("M3 × 0.5"))
                .singleElement()
                .satisfies(m3 -> assertThat(m3.leastMm())
                        .as("2.874 in ISO 965-1, 6g (published; from memory)")
                        .isCloseTo(2.874, within(0.005)));
    }

    /** Whatever the table has is known when it is measured as it is made, and better measuring never lets more in. */
    @Property
    void everyThreadIsKnownAndDoubtOnlyWidens(
            @ForAll @IntRange(min = 0, max = 76) int which,
            @ForAll @DoubleRange(min = 0, max = 1) double made,
            @ForAll @DoubleRange(min = 0, max = 0.3) double u) {
        StandardThread thread = ThreadTable.all().get(which % ThreadTable.all().size());
        double across = thread.leastMm() + made * (thread.mostMm() - thread.leastMm());
        ThreadsCounted counted = new ThreadsCounted(20, 20 * thread.pitchMm(), Optional.empty());
        List<String> sure = names(ThreadGauge.of(asked(across, counted, 0.0)));
        assertThat(sure).contains(thread.designation());
        ThreadFound unsure = ThreadGauge.of(asked(across, counted, u));
        if (unsure.designations().size() < 6) {
            assertThat(names(unsure)).containsAll(sure);
        }
        if (ThreadGauge.of(asked(across, counted, 0.0)).form().isEmpty()) {
            assertThat(unsure.form()).as("doubt decides nothing").isEmpty();
        }
    }

    /** 0.05 mm across and half a thread in the count, if nobody says better: what is outside is near to nothing. */
    @ParameterizedTest
    @CsvSource({
        "3.04,10,5,true",
        "3.06,10,5,false",
        "3.2,10,4,false",
        "3,10,5.24,true",
        "3,10,5.3,false",
        "12,10,17.5,false"
    })
    void nothingNearIsAnAnswer(double diameter, int threads, double over, boolean known) {
        ThreadFound found = screw(diameter, threads, over);
        assertThat(names(found).contains("M3 × 0.5")).isEqualTo(known);
        assertThat(found.designations().isEmpty()).isEqualTo(!known);
        assertThat(found.form().isPresent()).isEqualTo(known);
        assertThat(found.nearest().isPresent()).isEqualTo(!known);
        assertThat(String.join(" ", found.reasons()))
                .contains("0.05 mm across and half a thread")
                .contains(known ? "goes into metal" : "No thread of the tables is near");
        ThreadFound said = ThreadGauge.of(asked(diameter, new ThreadsCounted(threads, over, Optional.of(0.5)), 0.05));
        assertThat(names(said)).isEqualTo(names(found));
        assertThat(said.reasons().toString()).doesNotContain("is not said");
    }

    @Test
    void withoutAPitchItIsLeftOpen() {
        ThreadFound found = ThreadGauge.of(asked(2.6, null, null));
        assertThat(found.form()).isEmpty();
        assertThat(found.designations()).extracting(ThreadMatch::form).contains(ThreadForm.TAPPING);
        // 3.5 × 1.3 and 3.3 × 1.3 are of one kind: which of the two is left open, where it goes is not.
        ThreadFound two = ThreadGauge.of(asked(3.33, new ThreadsCounted(10, 13, Optional.empty()), null));
        assertThat(names(two)).containsExactlyInAnyOrder("ST3.3", "ST3.5");
        assertThat(two.reasons().toString()).contains("2 fit as well as it was measured");
        // One thread counted is any pitch from two thirds to twice of it.
        ThreadFound both = screw(2.87, 1, 0.9);
        assertThat(both.form()).isEmpty();
        assertThat(both.reasons().toString()).contains("Both kinds fit");
    }

    /** Screws for plastic have flanks of about 30°, those for sheet metal 60° and serve in plastic too (common practice). */
    @Test
    void theFlankTellsPlasticFromSheetMetal() {
        for (Flank flank : Flank.values()) {
            ThreadFound found = ThreadGauge.of(new ThreadAsked(
                    2.85,
                    Optional.of(new ThreadsCounted(10, 11, Optional.empty())),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.of(flank),
                    Optional.empty()));
            assertThat(found.goesInto())
                    .contains(flank == Flank.NARROW ? GoesInto.PLASTIC : GoesInto.PLASTIC_OR_SHEET_METAL);
        }
    }

    /** ISO 10664 (published; from memory), T1 to T40; between two sizes no driver is named. */
    @ParameterizedTest
    @CsvSource({
        "0.81,T1", "0.93,T2", "1.1,T3", "1.28,T4", "1.42,T5", "1.7,T6", "1.99,T7", "2.31,T8", "2.5,T9", "2.74,T10",
        "3.27,T15", "3.86,T20", "4.43,T25", "4.99,T27", "5.52,T30", "6.65,T40", "2.26,T8", "2.36,T8", "2.4,", "7.2,"
    })
    void theRecessSaysWhichDriver(double across, String driver) {
        for (Head head : List.of(Head.HEXALOBULAR, Head.HEXALOBULAR_SECURITY)) {
            ThreadFound found = headed(new ScrewHead(head, Optional.of(across)), null);
            String hole = head == Head.HEXALOBULAR ? "" : " with a hole";
            assertThat(found.driver()).isEqualTo(Optional.ofNullable(driver).map(size -> size + hole));
        }
        assertThat(headed(new ScrewHead(Head.CROSS, Optional.empty()), null).driver())
                .isEmpty();
    }

    @Test
    void aRecessThatWasMeasuredBadlyNamesNoDriver() {
        ScrewHead between = new ScrewHead(Head.HEXALOBULAR, Optional.of(2.4));
        assertThat(headed(between, null).reasons().toString()).contains("T8").contains("T9");
        assertThat(headed(between, 0.2).driver()).isEmpty();
        assertThat(headed(between, 0.095).driver()).contains("T8");
        assertThatThrownBy(() -> headed(new ScrewHead(Head.HEXALOBULAR, Optional.empty()), null))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("across the points");
    }

    private static ThreadFound headed(ScrewHead head, Double u) {
        return ThreadGauge.of(new ThreadAsked(
                2.6, Optional.empty(), Optional.empty(), Optional.of(head), Optional.empty(), Optional.ofNullable(u)));
    }
}
