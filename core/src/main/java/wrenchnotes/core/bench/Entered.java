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

        R openedAgain(OpenedAgain again);

        R heeded(Heeded heeded);

        R marked(Marked marked);

        R powered(Powered powered);

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

    /** Something that was back already on this run is opened again. */
    record OpenedAgain(String step, Rework reason) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.openedAgain(this);
        }
    }

    /** A caution was heeded. */
    record Heeded(Acknowledgement acknowledged, String title, String caution) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.heeded(this);
        }
    }

    /** Something was marked before it was moved, or stands there again. @param label what it is called */
    record Marked(PlaceMark mark, String label) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.marked(this);
        }
    }

    /**
     * The unit's power was switched, or somebody said since when it is unplugged.
     *
     * @param hours the longest wait among what is open or still to open; 0 if there is none, or if it is not unplugged
     * @param until when that is over; empty if it is already, or if there is none
     */
    record Powered(PowerEntry entry, int hours, Optional<Instant> until) implements Entered {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.powered(this);
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
