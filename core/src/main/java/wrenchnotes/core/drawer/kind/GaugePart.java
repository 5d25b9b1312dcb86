package wrenchnotes.core.drawer.kind;

import java.util.Optional;
import wrenchnotes.core.gauge.BeltGauge;
import wrenchnotes.core.gauge.BeltGauge.BeltInDrawer;
import wrenchnotes.core.gauge.BeltGauge.BeltSection;
import wrenchnotes.core.gauge.BeltGauge.BeltShape;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorSeries;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;
import wrenchnotes.core.unit.Invalid;

/** A part as the gauges take it. */
public final class GaugePart {

    private GaugePart() {}

    /** @return empty if it is no belt, or one of which nobody knows how long it is */
    public static Optional<BeltInDrawer> belt(long part, String name, String drawer, int count, PartSpec spec) {
        return spec.kind() == PartKind.BELT
                ? spec.figureIfAny(PartField.CIRCUMFERENCE)
                        .map(around -> new BeltInDrawer(part, name, drawer, count, around, section(spec)))
                : Optional.empty();
    }

    static Optional<BeltInDrawer> belt(PartSpec spec) {
        return belt(0, "", "", 1, spec);
    }

    /** Known whole or not at all: half a section would pass for one. */
    static Optional<BeltSection> section(PartSpec spec) {
        Optional<BeltShape> shape = spec.choice(PartField.SECTION, BeltShape.class);
        Optional<Double> width = spec.figureIfAny(PartField.WIDTH);
        Optional<Double> thickness = spec.figureIfAny(PartField.THICKNESS);
        try {
            return shape.isPresent() && width.isPresent() && thickness.isPresent()
                    ? Optional.of(new BeltGauge.BeltSection(shape.get(), width.get(), thickness.get()))
                    : Optional.empty();
        } catch (Invalid e) {
            return Optional.empty();
        }
    }

    /**
     * @param unsaid the kind to judge it as, where it is not known: whoever asks says that it is not
     * @return empty if it is no capacitor, or its value, its voltage or its kind is not known
     */
    public static Optional<Capacitor> capacitor(PartSpec spec, Optional<CapacitorKind> unsaid) {
        Optional<Double> farads = spec.figureIfAny(PartField.CAPACITANCE);
        Optional<Double> volts = spec.figureIfAny(PartField.VOLTS);
        Optional<CapacitorKind> kind =
                spec.choice(PartField.DIELECTRIC, CapacitorKind.class).or(() -> unsaid);
        if (spec.kind() != PartKind.CAPACITOR || farads.isEmpty() || volts.isEmpty() || kind.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(new Capacitor(
                    farads.get(),
                    volts.get(),
                    spec.choice(PartField.RATED_FOR, RatedFor.class),
                    kind.get(),
                    spec.word(PartField.SAFETY_CLASS),
                    spec.figureIfAny(PartField.TOLERANCE),
                    spec.figureIfAny(PartField.CELSIUS),
                    spec.figureIfAny(PartField.DIAMETER),
                    spec.figureIfAny(PartField.HEIGHT),
                    spec.figureIfAny(PartField.LEAD_PITCH),
                    Optional.empty(),
                    Optional.empty()));
        } catch (Invalid e) {
            return Optional.empty();
        }
    }

    static Optional<CapacitorSeries> series(PartSpec spec) {
        return spec.choice(PartField.SERIES, CapacitorSeries.class);
    }
}
