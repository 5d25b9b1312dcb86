package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** What a press puts on record. Ids of new entries are those after the last on record, until the store has kept them. */
public sealed interface Entered {
    /** One answer for each kind of entry. */
    interface Reader<R> {
        R begun(Begun begun);

        R turned(Turned turned);

        R stepped(Stepped stepped);

        R moved(Moved moved);

        R skipped(Skipped skipped);

        R waitKept(WaitKept waitKept);

        R leftOff(LeftOff leftOff);

        R paused(Paused paused);

        R wentOn(WentOn wentOn);

        R ended(Ended ended);
    }

    <R> R read(Reader<R> reader);

    /** A run was begun. */
    record Begun(RunRecord run) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.begun(this);
        }
    }

    /** The run goes elsewhere. */
    record Turned(RunRecord.Route route) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.turned(this);
        }
    }

    /** A step was done, with what it moved. */
    record Stepped(StepEntry step, List<LedgerEntry> moves) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.stepped(this);
        }
    }

    /** Something was moved that no step moved. */
    record Moved(List<LedgerEntry> moves) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.moved(this);
        }
    }

    /** A step was passed over. */
    record Skipped(String step, String reason) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.skipped(this);
        }
    }

    /** The wait before a step was kept and its caution followed. */
    record WaitKept(String step, String title, String caution) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.waitKept(this);
        }
    }

    /**
     * Since when the unit is without power.
     *
     * @param hours the longest wait among what is still to open; 0 if there is none
     * @param until when that is over; empty if it is already
     */
    record LeftOff(Instant since, int hours, Optional<Instant> until) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.leftOff(this);
        }
    }

    /** The clock stands still. */
    record Paused(Instant since) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.paused(this);
        }
    }

    /** The clock goes on. */
    record WentOn() implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.wentOn(this);
        }
    }

    /** The unit was closed through the gate, and the run ended with it. */
    record Ended(Optional<String> forNow) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.ended(this);
        }
    }
}
