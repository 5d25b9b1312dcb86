package wrenchnotes.core.gauge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorAsked;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorFound;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorSeries;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;

/** Which capacitor may stand in for which: never a yes that somebody burns his fingers with. */
class CapacitorTest {

    private static final Judgement GOOD = Judgement.GOOD;
    private static final Judgement BAD = Judgement.BAD;
    private static final Judgement OPEN = Judgement.CAN_NOT_SAY;

    private static CapacitorFound found(SaidCapacitor was, SaidCapacitor is) {
        return CapacitorGauge.of(new CapacitorAsked(was.part(), Optional.of(is.part())));
    }

    private static Judgement instead(SaidCapacitor was, SaidCapacitor is) {
        return found(was, is).verdict().orElseThrow();
    }

    private static SaidCapacitor safety(String printed, double volts) {
        CapacitorKind kind = printed.startsWith("X") ? CapacitorKind.SAFETY_X : CapacitorKind.SAFETY_Y;
        return SaidCapacitor.of(kind, 0.1, volts).grade(printed.length() == 2 ? printed : null);
    }

    /** Published: IEC 60384-14, from memory. "X" and "Y" are parts on which no class is printed. */
    @ParameterizedTest
    @CsvSource({
        "X1,X1,GOOD",
        "X1,X2,BAD",
        "X1,X3,BAD",
        "X1,Y1,GOOD",
        "X1,Y2,GOOD",
        "X1,Y3,BAD",
        "X1,Y4,BAD",
        "X2,X1,GOOD",
        "X2,X2,GOOD",
        "X2,X3,BAD",
        "X2,Y1,GOOD",
        "X2,Y2,GOOD",
        "X2,Y3,BAD",
        "X2,Y4,BAD",
        "X3,X1,GOOD",
        "X3,X2,GOOD",
        "X3,X3,GOOD",
        "X3,Y2,GOOD",
        "X3,Y3,CAN_NOT_SAY",
        "X3,Y4,CAN_NOT_SAY",
        "Y1,Y1,GOOD",
        "Y1,Y2,BAD",
        "Y1,Y4,BAD",
        "Y1,X1,BAD",
        "Y2,Y1,GOOD",
        "Y2,Y2,GOOD",
        "Y2,Y3,BAD",
        "Y2,Y4,BAD",
        "Y2,X1,BAD",
        "Y3,Y1,GOOD",
        "Y3,Y2,GOOD",
        "Y3,Y3,GOOD",
        "Y3,Y4,CAN_NOT_SAY",
        "Y3,X1,BAD",
        "Y4,Y2,GOOD",
        "Y4,Y3,CAN_NOT_SAY",
        "Y4,Y4,GOOD",
        "Y4,X1,BAD",
        "X,X2,CAN_NOT_SAY",
        "X2,X,CAN_NOT_SAY",
        "X,X,CAN_NOT_SAY",
        "X,Y1,CAN_NOT_SAY",
        "X2,Y,CAN_NOT_SAY",
        "Y,Y1,CAN_NOT_SAY",
        "Y2,Y,CAN_NOT_SAY",
        "Y,X1,BAD"
    })
    void aClassStandsInForTheSameOrAWeakerOne(String was, String is, Judgement verdict) {
        assertThat(instead(safety(was, 250), safety(is, 250))).isEqualTo(verdict);
        assertThat(instead(safety(was, 250), safety(is, 249)))
                .as("of fewer volts")
                .isEqualTo(BAD);
    }

    @Test
    void nothingElseGoesAcrossTheMains() {
        for (CapacitorKind kind : List.of(CapacitorKind.FILM, CapacitorKind.CERAMIC, CapacitorKind.ELECTROLYTIC)) {
            assertThat(instead(safety("X2", 275), SaidCapacitor.of(kind, 0.1, 1000)))
                    .as(kind.name())
                    .isEqualTo(BAD);
        }
        assertThat(found(safety("X2", 275), safety("X2", 275)).cautions()).hasSize(2);
        assertThatThrownBy(() -> safety("X2", 275).rated(RatedFor.DC).part()).hasMessageContaining("a.c.");
        assertThatThrownBy(() -> safety("X2", 275).grade("Y2").part()).hasMessageContaining("disagree");
        assertThatThrownBy(() -> safety("Y2", 275).grade("X2").part()).hasMessageContaining("disagree");
        assertThatThrownBy(() -> safety("X2", 275).grade("X4").part()).hasMessageContaining("X1 to X3 or Y1 to Y4");
        assertThatThrownBy(() -> SaidCapacitor.of(CapacitorKind.TANTALUM, 1, 16)
                        .rated(RatedFor.AC)
                        .part())
                .hasMessageContaining("bears no a.c.");
    }

    @ParameterizedTest
    @EnumSource(CapacitorKind.class)
    void anyPartOfWhichAllIsKnownStandsInForItself(CapacitorKind kind) {
        SaidCapacitor part = SaidCapacitor.whole(kind, 0.1, 250);
        assertThat(instead(part, part)).isEqualTo(GOOD);
        assertThat(found(part, part).unchecked()).isEmpty();
        assertThat(instead(part, SaidCapacitor.whole(kind, 0.1, 249))).isEqualTo(BAD);
        assertThat(instead(part, SaidCapacitor.whole(kind, 0.03, 250))).isEqualTo(BAD);
        assertThat(instead(part, SaidCapacitor.whole(kind, 0.2, 250))).isEqualTo(BAD);
        SaidCapacitor other =
                SaidCapacitor.whole(kind == CapacitorKind.FILM ? CapacitorKind.CERAMIC : CapacitorKind.FILM, 0.1, 250);
        assertThat(instead(part, other)).isEqualTo(kind.safety() ? BAD : OPEN);
    }

    /** A rating for d.c. says nothing of a.c.; one for a.c. bears as many volts d.c. (common practice). */
    @Test
    void voltsAreOfASort() {
        SaidCapacitor film = SaidCapacitor.of(CapacitorKind.FILM, 0.47, 250);
        assertThat(instead(film, film)).as("nobody said which").isEqualTo(OPEN);
        assertThat(instead(film.rated(RatedFor.DC), film)).isEqualTo(OPEN);
        assertThat(instead(film, film.rated(RatedFor.AC))).isEqualTo(OPEN);
        assertThat(instead(film.rated(RatedFor.DC), film.rated(RatedFor.DC))).isEqualTo(GOOD);
        assertThat(instead(film.rated(RatedFor.AC), film.rated(RatedFor.AC))).isEqualTo(GOOD);
        assertThat(instead(film.rated(RatedFor.DC), film.rated(RatedFor.AC))).isEqualTo(GOOD);
        assertThat(instead(film.rated(RatedFor.AC), film.rated(RatedFor.DC))).isEqualTo(OPEN);
    }

    private static CapacitorFound found(SaidCapacitor was, SaidCapacitor is, Boolean switched, CapacitorSeries series) {
        return CapacitorGauge.of(new CapacitorAsked(
                was.part(), Optional.of(is.part()), Optional.ofNullable(switched), Optional.ofNullable(series)));
    }

    /** In a switched supply series resistance and ripple current decide as much as value and voltage (common practice). */
    @Test
    void anElectrolyticOfEqualRatingsFitsIfItsRippleSuits() {
        SaidCapacitor lytic = SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 470, 25);
        assertThat(found(lytic, lytic, null, null).verdict()).contains(GOOD);
        assertThat(found(lytic, lytic, null, null).unchecked().toString()).contains("switched supply");
        assertThat(found(lytic, lytic, false, null).verdict()).contains(GOOD);
        assertThat(found(lytic, lytic, false, null).unchecked().toString()).doesNotContain("switched supply");
        CapacitorFound open = found(lytic, lytic, true, null);
        assertThat(open.verdict()).contains(OPEN);
        assertThat(open.reasons().toString())
                .contains("it fits if ripple current and series resistance suit: not said");
        assertThat(found(lytic, lytic, true, CapacitorSeries.GENERAL).verdict()).contains(OPEN);
        assertThat(found(lytic, lytic, true, CapacitorSeries.LOW_ESR).verdict()).contains(GOOD);
        SaidCapacitor known = lytic.with(null, null, 0.1, 1.2);
        assertThat(found(known, known, true, null).verdict()).contains(GOOD);
        assertThat(found(known, lytic, true, CapacitorSeries.LOW_ESR).verdict()).contains(OPEN);
        assertThat(found(known, lytic.with(null, null, 0.2, 1.2), true, null).verdict())
                .contains(BAD);
        assertThat(found(known, lytic.with(null, null, 0.1, 1.1), true, null).verdict())
                .contains(BAD);
        assertThat(found(known, lytic.with(null, null, 0.05, 2.0), true, null).verdict())
                .contains(GOOD);
        assertThat(found(lytic.with(null, null, 0.1, null), known, true, null).verdict())
                .as("its ripple is not known")
                .contains(OPEN);
    }

    /** Preferred values: published, IEC 60063, from memory. 500 is none of them, and 470 was sold in its stead (common practice). */
    @Test
    void whatIsSoldIsOffered() {
        assertThat(range(SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 470, 16)).preferred())
                .containsExactly(470.0, 680.0);
        CapacitorFound odd = range(SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 500, 16));
        assertThat(odd.preferred()).containsExactly(470.0, 680.0);
        assertThat(instead(
                        SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 500, 16),
                        SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 470, 16)))
                .isEqualTo(GOOD);
        assertThat(range(SaidCapacitor.of(CapacitorKind.FILM, 0.082, 63)).preferred())
                .containsExactly(0.082);
        assertThat(range(SaidCapacitor.of(CapacitorKind.FILM, 0.05, 63)).preferred())
                .contains(0.047);
        assertThat(range(SaidCapacitor.of(CapacitorKind.FILM, 0.091, 63).with(2.0, null, null, null))
                        .preferred())
                .as("E24")
                .containsExactly(0.091);
        assertThat(PreferredValues.E6.within(1, 9.9)).containsExactly(1.0, 1.5, 2.2, 3.3, 4.7, 6.8);
        assertThat(PreferredValues.E12.within(1, 9.9)).hasSize(12).contains(1.2, 8.2);
        assertThat(PreferredValues.E24.within(10, 99)).hasSize(24).contains(11.0, 91.0);
        assertThat(PreferredValues.has(510)).isTrue();
        assertThat(PreferredValues.has(500)).isFalse();
    }

    private static CapacitorFound range(SaidCapacitor was) {
        return CapacitorGauge.of(new CapacitorAsked(was.part(), Optional.empty()));
    }

    @Test
    void theOldPartsToleranceDecidesTheRange() {
        SaidCapacitor tight = SaidCapacitor.whole(CapacitorKind.FILM, 0.1, 63).with(5.0, 85.0, null, null);
        assertThat(range(tight).microfarads().min().orElseThrow()).isBetween(0.0949, 0.0951);
        assertThat(range(tight).microfarads().max().orElseThrow()).isBetween(0.1049, 0.1051);
        assertThat(instead(tight, tight)).isEqualTo(GOOD);
        assertThat(instead(tight, tight.with(10.0, 85.0, null, null))).isEqualTo(OPEN);
        assertThat(instead(tight, tight.with(null, 85.0, null, null))).isEqualTo(OPEN);
        assertThat(instead(tight, tight.with(1.0, 85.0, null, null))).isEqualTo(GOOD);
        SaidCapacitor lytic =
                SaidCapacitor.of(CapacitorKind.ELECTROLYTIC, 100, 16).with(20.0, null, null, null);
        assertThat(range(lytic).microfarads().min().orElseThrow()).isBetween(79.9, 80.1);
        assertThat(range(lytic).microfarads().max().orElseThrow()).isBetween(149.9, 150.1);
    }

    @Test
    void heatAndRoomAreLookedAtOrNamed() {
        SaidCapacitor part = SaidCapacitor.whole(CapacitorKind.FILM, 0.1, 63);
        assertThat(instead(part, part.with(10.0, 70.0, null, null))).isEqualTo(BAD);
        assertThat(instead(part, part.with(10.0, null, null, null))).isEqualTo(OPEN);
        assertThat(instead(part, part.with(10.0, 105.0, null, null))).isEqualTo(GOOD);
        assertThat(instead(part, part.sized(8.5, 12.5, 4.0))).isEqualTo(GOOD);
        assertThat(instead(part, part.sized(8.6, 12.0, 3.5))).isEqualTo(OPEN);
        assertThat(instead(part, part.sized(8.0, 12.6, 3.5))).isEqualTo(OPEN);
        assertThat(instead(part, part.sized(8.0, 12.0, 4.1))).isEqualTo(OPEN);
        assertThat(instead(part, part.sized(8.0, 12.0, 2.9))).isEqualTo(OPEN);
        SaidCapacitor bare = SaidCapacitor.of(CapacitorKind.FILM, 0.1, 63).rated(RatedFor.DC);
        assertThat(found(bare, bare).unchecked())
                .containsExactly("temperature", "how wide it is", "how high it is", "how far apart its leads are");
    }

    /** Leaving a field of the candidate out never makes good what was not. */
    @Property
    void whatIsNotSaidIsNeverAYes(
            @ForAll CapacitorKind kind, @ForAll @DoubleRange(min = 30, max = 90) double volts, @ForAll int left) {
        SaidCapacitor was = SaidCapacitor.whole(kind, 0.1, 63);
        SaidCapacitor is = SaidCapacitor.whole(kind, 0.1, volts).with(20.0, 60.0, 0.5, 0.5);
        SaidCapacitor less = is.grade((left & 1) == 0 ? is.grade() : null)
                .rated((left & 2) == 0 ? is.ratedFor() : null)
                .with(
                        (left & 4) == 0 ? 20.0 : null,
                        (left & 8) == 0 ? 60.0 : null,
                        (left & 16) == 0 ? 0.5 : null,
                        null);
        assertThat(instead(was, is)).isNotEqualTo(GOOD);
        assertThat(instead(was, less)).isNotEqualTo(GOOD);
    }

    /** Voltage equal or higher (common practice): more volts never turn a part that fits into one that does not. */
    @Property
    void moreVoltsAreNeverWorse(
            @ForAll CapacitorKind kind,
            @ForAll @DoubleRange(min = 1, max = 400) double volts,
            @ForAll @DoubleRange(min = 0, max = 200) double more) {
        SaidCapacitor was = SaidCapacitor.whole(kind, 0.47, 63);
        if (instead(was, SaidCapacitor.whole(kind, 0.47, volts)) == GOOD) {
            assertThat(instead(was, SaidCapacitor.whole(kind, 0.47, volts + more)))
                    .isEqualTo(GOOD);
        }
    }
}
