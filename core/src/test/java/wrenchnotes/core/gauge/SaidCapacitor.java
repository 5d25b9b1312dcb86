package wrenchnotes.core.gauge;

import java.util.Optional;
import wrenchnotes.core.gauge.CapacitorGauge.Capacitor;
import wrenchnotes.core.gauge.CapacitorGauge.CapacitorKind;
import wrenchnotes.core.gauge.CapacitorGauge.RatedFor;

/** As it is said, a part at a time; what is not said is not known. */
record SaidCapacitor(
        double microfarads,
        double volts,
        RatedFor ratedFor,
        CapacitorKind kind,
        String grade,
        Double tolerance,
        Double celsius,
        Double wide,
        Double high,
        Double lead,
        Double esr,
        Double ripple) {

    static SaidCapacitor of(CapacitorKind kind, double microfarads, double volts) {
        return new SaidCapacitor(microfarads, volts, null, kind, null, null, null, null, null, null, null, null);
    }

    static SaidCapacitor whole(CapacitorKind kind, double microfarads, double volts) {
        String grade = kind == CapacitorKind.SAFETY_X ? "X2" : kind == CapacitorKind.SAFETY_Y ? "Y2" : null;
        RatedFor of = kind.safety() || kind.polar() ? null : RatedFor.DC;
        return new SaidCapacitor(microfarads, volts, of, kind, grade, 10.0, 85.0, 8.0, 12.0, 3.5, 0.1, 1.0);
    }

    SaidCapacitor grade(String printed) {
        return new SaidCapacitor(
                microfarads, volts, ratedFor, kind, printed, tolerance, celsius, wide, high, lead, esr, ripple);
    }

    SaidCapacitor rated(RatedFor of) {
        return new SaidCapacitor(
                microfarads, volts, of, kind, grade, tolerance, celsius, wide, high, lead, esr, ripple);
    }

    SaidCapacitor with(Double tol, Double heat, Double ohm, Double amps) {
        return new SaidCapacitor(microfarads, volts, ratedFor, kind, grade, tol, heat, wide, high, lead, ohm, amps);
    }

    SaidCapacitor sized(Double across, Double tall, Double apart) {
        return new SaidCapacitor(
                microfarads, volts, ratedFor, kind, grade, tolerance, celsius, across, tall, apart, esr, ripple);
    }

    Capacitor part() {
        return new Capacitor(
                microfarads,
                volts,
                Optional.ofNullable(ratedFor),
                kind,
                Optional.ofNullable(grade),
                Optional.ofNullable(tolerance),
                Optional.ofNullable(celsius),
                Optional.ofNullable(wide),
                Optional.ofNullable(high),
                Optional.ofNullable(lead),
                Optional.ofNullable(esr),
                Optional.ofNullable(ripple));
    }
}
