package wrenchnotes.server.supplier;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import wrenchnotes.core.unit.Checked;

/**
 * What a supplier says of a line of an order.
 *
 * @param answer numbers upwards within an order, from 1
 * @param day when they are expected
 * @param number the supplier's of what is sent, if it is another than was asked for
 */
record SupplierAnswer(
        long answer,
        long line,
        Says what,
        int count,
        Optional<LocalDate> day,
        Optional<String> number,
        Optional<String> words) {

    SupplierAnswer {
        Checked.present("what", what);
        day = day == null ? Optional.empty() : day;
        number = number == null ? Optional.empty() : number;
        words = words == null ? Optional.empty() : words;
    }

    enum Says {
        CONFIRMED,
        SENT,
        /** They do not have it. */
        CANNOT
    }

    /** As they are fetched, the oldest first. */
    record Answers(List<SupplierAnswer> answers) {
        Answers {
            answers = List.copyOf(Checked.present("answers", answers));
        }
    }
}
