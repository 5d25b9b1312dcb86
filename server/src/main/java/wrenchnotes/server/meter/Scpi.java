package wrenchnotes.server.meter;

import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.BiConsumer;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.random.RandomGenerator;
import java.util.regex.Pattern;
import wrenchnotes.core.gauge.MeterFunction;

/**
 * One conversation with the stand-in: a command a line, short or long, in any case, as SCPI-1999 has it (published; from memory). Besides
 * what meters know it has a subsystem of its own: {@code SIMulate:POINt "rails/5 V"} holds its probes there, for this conversation;
 * {@code SIMulate:NOISe}, {@code :DIGits}, {@code :OVERload}, {@code :DELay} (seconds) and {@code :TALK} change its manner.
 */
final class Scpi {

    static final String IDENTITY = "Wrench Notes,Meter stand-in,0,1";
    private static final String OVERLOAD = "+9.90000000E+37";
    private static final int MOST_ERRORS = 20;

    private record Command(Pattern header, BiFunction<Scpi, String, Optional<String>> work) {}

    private static final List<Command> COMMANDS = List.of(
            asked("\\*IDN\\?", scpi -> IDENTITY),
            measured("MEAS(?:URE)?:VOLT(?:AGE)?(?::DC)?\\?", MeterFunction.VOLTS_DC),
            measured("MEAS(?:URE)?:VOLT(?:AGE)?:AC\\?", MeterFunction.VOLTS_AC),
            measured("MEAS(?:URE)?:CURR(?:ENT)?(?::DC)?\\?", MeterFunction.AMPERES_DC),
            measured("MEAS(?:URE)?:RES(?:ISTANCE)?\\?", MeterFunction.OHMS),
            measured("MEAS(?:URE)?:CAP(?:ACITANCE)?\\?", MeterFunction.FARADS),
            asked("SYST(?:EM)?:ERR(?:OR)?(?::NEXT)?\\?", Scpi::nextError),
            done("\\*CLS", (scpi, words) -> scpi.errors.clear()),
            done("\\*RST", (scpi, words) -> scpi.point = ""),
            done("SIM(?:ULATE)?:POIN(?:T)?", (scpi, words) -> scpi.point = words.replace("\"", "")),
            set("SIM(?:ULATE)?:NOIS(?:E)?", (manner, value) -> manner.withNoise(value)),
            set("SIM(?:ULATE)?:DIG(?:ITS)?", (manner, value) -> manner.withDigits(value.intValue())),
            set("SIM(?:ULATE)?:OVER(?:LOAD)?", (manner, value) -> manner.withOverload(value)),
            set("SIM(?:ULATE)?:DEL(?:AY)?", (manner, value) -> manner.withDelay(Math.round(value * 1000))),
            set("SIM(?:ULATE)?:TALK", (manner, value) -> manner.talking(value != 0)));

    /** How the meter behaves, shared by all conversations. */
    interface Manners {
        StandInManner now();

        void change(UnaryOperator<StandInManner> how);
    }

    private final Manners manners;
    private final RandomGenerator noise;
    private final Deque<String> errors = new ArrayDeque<>();
    private String point = "";

    Scpi(Manners manners, RandomGenerator noise) {
        this.manners = manners;
        this.noise = noise;
    }

    /** @return what it answers; empty if the command asks nothing */
    Optional<String> line(String line) {
        String text = line.strip();
        if (text.isEmpty()) {
            return Optional.empty();
        }
        String[] parts = text.split("\\s+", 2);
        for (Command command : COMMANDS) {
            if (command.header().matcher(parts[0]).matches()) {
                return command.work().apply(this, parts.length > 1 ? parts[1] : "");
            }
        }
        error("-113,\"Undefined header\"");
        return Optional.empty();
    }

    private String nextError() {
        return errors.isEmpty() ? "0,\"No error\"" : errors.poll();
    }

    private void error(String words) {
        if (errors.size() < MOST_ERRORS) {
            errors.add(words);
        }
    }

    private String measure(MeterFunction function) {
        StandInManner manner = manners.now();
        double exact = SickUnit.at(point, function);
        double read = exact * (1 + manner.noisePercent() / 100 * noise.nextGaussian());
        if (Math.abs(read) > manner.overloadAbove()) {
            return OVERLOAD;
        }
        BigDecimal shown = new BigDecimal(read).round(new MathContext(manner.digits(), RoundingMode.HALF_EVEN));
        return String.format(Locale.ROOT, "%+.8E", shown);
    }

    private static Pattern header(String pattern) {
        return Pattern.compile(":?" + pattern, Pattern.CASE_INSENSITIVE);
    }

    private static Command asked(String pattern, Function<Scpi, String> answer) {
        return new Command(header(pattern), (scpi, words) -> Optional.of(answer.apply(scpi)));
    }

    private static Command measured(String pattern, MeterFunction function) {
        return asked(pattern, scpi -> scpi.measure(function));
    }

    private static Command done(String pattern, BiConsumer<Scpi, String> work) {
        return new Command(header(pattern), (scpi, words) -> {
            work.accept(scpi, words);
            return Optional.empty();
        });
    }

    private static Command set(String pattern, BiFunction<StandInManner, Double, StandInManner> how) {
        return done(
                pattern,
                (scpi, words) -> scpi.tried(() -> {
                    double value = Double.parseDouble(words.strip());
                    scpi.manners.change(manner -> how.apply(manner, value));
                }));
    }

    private void tried(Runnable change) {
        try {
            change.run();
        } catch (NumberFormatException e) {
            error("-104,\"Data type error\"");
        } catch (IllegalArgumentException e) {
            error("-222,\"Data out of range\"");
        }
    }
}
