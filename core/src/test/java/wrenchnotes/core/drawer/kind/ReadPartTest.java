package wrenchnotes.core.drawer.kind;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.teardown.FastenerGroup;
import wrenchnotes.core.teardown.Head;
import wrenchnotes.core.teardown.ThreadForm;
import wrenchnotes.core.unit.Invalid;

class ReadPartTest {

    /** How labels are written is common practice; units are those of the SI, "4k7" that of IEC 60062 (published). */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "belt 50 × 1.2 square;BELT;inner circumference 50 mm, square, width 1.2 mm, thickness 1.2 mm",
                "belt 50 square;BELT;inner circumference 50 mm, square",
                "flat belt 120x4x0,6;BELT;inner circumference 120 mm, flat, width 4 mm, thickness 0.6 mm",
                "drive belt, inner circumference 64 mm, round 1.6 mm;BELT;"
                        + "inner circumference 64 mm, round, width 1.6 mm, thickness 1.6 mm",
                "M2×5 brass;FASTENER;machine, into metal, diameter 2 mm, length 5 mm, brass",
                "screw 2.6 × 8 tapping black, PH1;FASTENER;"
                        + "cross head, PH1, tapping, into plastic or sheet metal, diameter 2.6 mm, length 8 mm, black",
                "screw M3 x 6 T8;FASTENER;hexalobular head, T8, machine, into metal, diameter 3 mm, length 6 mm",
                "gear 16 teeth m 0.5 bore 2 splined brass;GEAR;16 teeth, module 0.5 mm, bore 2 mm, splined, brass",
                "idler tyre 12 mm, outside 12 mm, bore 8 mm;ROLLER;outside 12 mm, bore 8 mm",
                "roller 12 x 6 x 3;ROLLER;outside 12 mm, bore 6 mm, width 3 mm",
                "47u 16V;CAPACITOR;47 µF, 16 V",
                "470 µF, 25 V, electrolytic, 105 °C, 10 × 16 mm, radial, pitch 5;CAPACITOR;"
                        + "470 µF, 25 V, electrolytic, to 105 °C, diameter 10 mm, height 16 mm, lead pitch 5 mm, radial",
                "inlet filter, 0.1 µF, 275 V~, class X2;CAPACITOR;0.1 µF, 275 V, a.c., safety x, class X2",
                "resistor 4k7 1/4 W ±5 %;RESISTOR;4700 Ω, 0.25 W, ±5 %",
                "T1.6A 5×20 250 V;FUSE;1.6 A, slow, T, 5 × 20, 250 V",
                "fuse 500 mA quick;FUSE;0.5 A, quick, F",
                "74LS04 DIP-14;CHIP;74LS04, LS, DIP-14",
                "chip 7406;CHIP;7406",
                "lamp 12 V 50 mA green;LAMP;12 V, 50 mA, green",
                "hinge ribbon, 16 ways, 1 mm, 120 mm;LEAD;16 ways, pitch 1 mm, length 120 mm",
                "grease, light, sachet;CONSUMABLE;grease, sachet",
                "isopropyl alcohol, bottle;CONSUMABLE;isopropyl alcohol, bottle",
                "lens, tall;LENS;''"
            })
    void whatPeopleTypeIsRead(String typed, PartKind kind, String told) {
        PartSpec read = ReadPart.of(typed).orElseThrow();
        assertThat(read.kind()).isEqualTo(kind);
        assertThat(read.told()).isEqualTo(told);
    }

    @Test
    void whatTellsOfNoKindIsLeftToAPerson() {
        for (String none : new String[] {"latch CD-5, printed, left hand", "membrane, three layers", "", "x"}) {
            assertThat(ReadPart.of(none)).as(none).isEmpty();
        }
        // A figure that no such part can have was not meant as one.
        assertThat(ReadPart.of("belt 99999 square").orElseThrow().figures()).isEmpty();
        assertThat(ReadPart.of("capacitor 10 µF, 99999999 V").orElseThrow().figures())
                .containsOnlyKeys(PartField.CAPACITANCE);
    }

    @Property
    void nothingThatIsTypedIsAnError(@ForAll String typed) {
        ReadPart.of(typed).ifPresent(read -> assertThat(read.told()).isNotNull());
        ReadPart.of(PartKind.CAPACITOR, typed);
        ReadPart.of(PartKind.FUSE, typed);
    }

    /** Which sort of volts it is stands after them; "mF" on old parts says microfarads, elsewhere a thousand times as many: it is not guessed. */
    @Test
    void aCapacitorIsTakenByItsGauge() {
        Capacitor film = capacitor("0.1 µF ±5 %, 63 V d.c., film");
        assertThat(film.ratedFor()).contains(RatedFor.DC);
        assertThat(film.tolerancePercent()).contains(5.0);
        assertThat(capacitor("0.1 µF, 250 V~, film").ratedFor()).contains(RatedFor.AC);
        assertThat(capacitor("0.1 µF, 63 V, film").ratedFor()).isEmpty();
        assertThat(capacitor("4n7 ceramic 1 kV").volts()).isEqualTo(1000);
        assertThat(capacitor("electrolytic, 16 mfd, 450 V").microfarads()).isEqualTo(16);
        assertThat(capacitor("100 nF, 275 V~, class X2")).isEqualTo(capacitor("0.1 µF, 275 V~, class X2"));
        assertThat(capacitor("220 pF, 0.5 kV ceramic")).isEqualTo(capacitor("0.22 nF, 500 V ceramic"));
        assertThat(capacitor("0.1 µF, 275 V~, class X2").kind()).isEqualTo(CapacitorKind.SAFETY_X);
        assertThat(ReadPart.of("4.7 mF, 16 V electrolytic")
                        .flatMap(spec -> GaugePart.capacitor(spec, Optional.empty())))
                .isEmpty();
        // What nobody said of its kind is not made up.
        assertThat(ReadPart.of("47u 16V").flatMap(spec -> GaugePart.capacitor(spec, Optional.empty())))
                .isEmpty();
    }

    private static Capacitor capacitor(String label) {
        return GaugePart.capacitor(ReadPart.of(PartKind.CAPACITOR, label), Optional.empty())
                .orElseThrow();
    }

    @Test
    void aBeltIsTakenByItsGauge() {
        PartSpec flat = ReadPart.of("belt", "inner circumference 89 mm, flat 3 × 0.5 mm")
                .orElseThrow();
        assertThat(GaugePart.belt(7, "belt", "2", 4, flat).orElseThrow().circumferenceMm())
                .isEqualTo(89);
        assertThat(GaugePart.section(flat)).contains(new BeltSection(BeltShape.FLAT, 3, 0.5));
        assertThat(GaugePart.section(ReadPart.of("belt 95 × 3 flat").orElseThrow()))
                .as("half a section is none")
                .isEmpty();
    }

    @Test
    void whatIsSaidMustBeOfTheKindAndWithinReason() {
        assertThatThrownBy(() -> PartSpec.of(PartKind.BELT).with(PartField.TEETH, 12))
                .isInstanceOf(Invalid.class)
                .hasMessage("A belt has no teeth: leave it out");
        assertThatThrownBy(() -> PartSpec.of(PartKind.BELT).with(PartField.SECTION, "OVAL"))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("one of SQUARE, FLAT, ROUND");
        assertThatThrownBy(() -> PartSpec.of(PartKind.GEAR).with(PartField.MODULE, 0))
                .isInstanceOf(Invalid.class);
        assertThatThrownBy(() -> new PartSpec(PartKind.GEAR, Map.of(), Map.of(PartField.TEETH, "twelve")))
                .isInstanceOf(Invalid.class)
                .hasMessageContaining("is a figure");
    }

    @Test
    void aSearchAgreesWithWhatIsKnownAndIsNotRefusedByWhatIsNot() {
        PartSpec asked = ReadPart.of("belt 50 square").orElseThrow();
        assertThat(ReadPart.of("belt 50 × 1.2 square").orElseThrow().answers(asked))
                .contains(2);
        assertThat(ReadPart.of("belt 50").orElseThrow().answers(asked)).contains(1);
        assertThat(ReadPart.of("belt 52 × 1.2 square").orElseThrow().answers(asked))
                .isEmpty();
        assertThat(ReadPart.of("belt 50 × 3 flat").orElseThrow().answers(asked)).isEmpty();
        assertThat(ReadPart.of("gear 50 teeth").orElseThrow().answers(asked)).isEmpty();
    }

    @Test
    void aFastenerOfTheNotesIsAPartThatIsWanted() {
        FastenerGroup group = new FastenerGroup(
                "s",
                "case",
                Optional.of(Head.CROSS),
                "PH1",
                Optional.of(ThreadForm.TAPPING),
                Optional.of(2.6),
                Optional.of(8.0),
                Optional.empty(),
                Optional.of(4),
                "",
                null);
        assertThat(ThingPart.of(group).orElseThrow().told())
                .isEqualTo("cross head, PH1, tapping, into plastic or sheet metal, diameter 2.6 mm, length 8 mm");
    }
}
