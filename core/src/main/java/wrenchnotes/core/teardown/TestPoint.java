package wrenchnotes.core.teardown;

import java.util.Optional;
import wrenchnotes.core.typed.Figures;
import wrenchnotes.core.unit.Checked;
import wrenchnotes.core.unit.Invalid;
import wrenchnotes.core.unit.Spoken;

/**
 * Where to measure on a revision, and what is right there. Rails name what they are made from; any other point has its limits.
 *
 * @param name up to 40 characters, unique within the notes: "TP4", "5 V"
 * @param component id of the component that a bad reading speaks against
 * @param madeFrom name of the point that a rail is made from; empty for the mains, and for what is no rail
 * @param nominal of a rail, volts, 0.1 to 5000 or as much below 0; empty if nobody knows it
 * @param least lowest good value @param most highest good value; a point that is no rail has one of them at least
 * @param unit "mV", "%"; volts if empty
 * @param probes where they go: "red at the leg next to the notch, black at the shield"
 * @param conditions under which it holds: "playing, ten minutes warm"; may be empty
 * @param step id of the step after which it can be reached; if empty, the one that exposes its component
 */
public record TestPoint(
        String name,
        PointKind kind,
        long component,
        String madeFrom,
        Optional<Double> nominal,
        Optional<Double> least,
        Optional<Double> most,
        String unit,
        String probes,
        String conditions,
        String step) {

    public enum PointKind implements Spoken {
        WINDING,
        RAW,
        REGULATED,
        OTHER;

        public boolean rail() {
            return this != OTHER;
        }
    }

    public TestPoint {
        name = Checked.text("points.name", name, 40);
        Checked.present("points.kind", kind);
        madeFrom = Checked.optionalText("points.madeFrom", madeFrom, 40);
        unit = Checked.optionalText("points.unit", unit, 12);
        probes = Checked.optionalText("points.probes", probes, 200);
        conditions = Checked.optionalText("points.conditions", conditions, 120);
        step = Checked.optionalText("points.step", step, 80);
        nominal.ifPresent(value -> Checked.within("points.nominal", Math.abs(value), 0.1, 5000.0));
        least.ifPresent(value -> Checked.within("points.least", value, -1e9, 1e9));
        most.ifPresent(value -> Checked.within("points.most", value, -1e9, 1e9));
        if (!kind.rail() && least.isEmpty() && most.isEmpty()) {
            throw new Invalid("points.least", "Say from where or up to where \"" + name + "\" is good");
        }
        if (least.isPresent() && most.isPresent() && least.get() > most.get()) {
            throw new Invalid("points.least", "\"" + name + "\" is good from more than it is good up to: swap the two");
        }
    }

    /** Whether it can be reached once this step is done, and was not before. */
    public boolean reachedBy(Step other) {
        return step.isEmpty() ? other.exposes().contains(component) : step.equals(other.id());
    }

    /** The same point in another shop, whose components have other ids. */
    public TestPoint about(long other) {
        return new TestPoint(name, kind, other, madeFrom, nominal, least, most, unit, probes, conditions, step);
    }

    /** In a list: "5 V, regulated, 5 V: red at the leg next to the notch", "eye, from 0.9 V". */
    public String words() {
        String right = kind.rail()
                ? kind.words()
                        + nominal.map(volts -> ", " + Figures.of(volts, 4) + " V")
                                .orElse("")
                : Figures.range(least, most) + " " + (unit.isEmpty() ? "V" : unit);
        return name + ", " + right + (probes.isEmpty() ? "" : ": " + probes);
    }
}
