package wrenchnotes.core.bench;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wrenchnotes.core.check.CheckRecord;

/** What can be pressed on the bench. {@link Run#press} says what follows, or why it may not be. */
public sealed interface Press {
    /** One answer for each kind of press. */
    interface Reader<R> {
        R begin(Begin begin);

        R turn(Turn turn);

        R stepIn(StepIn stepIn);

        R foundOpen(FoundOpen foundOpen);

        R stepOut(StepOut stepOut);

        R stepBack(StepBack stepBack);

        R moveByHand(MoveByHand moveByHand);

        R skip(Skip skip);

        R leaveOff(LeaveOff leaveOff);

        R switchTo(SwitchTo switchTo);

        R heed(Heed heed);

        R marking(Marking marking);

        R countMissing(CountMissing countMissing);

        R settle(Settle settle);

        R takeBack(TakeBack takeBack);

        R counted(Counted counted);

        R pause(Pause pause);

        R goOn(GoOn goOn);

        R close(Close close);
    }

    <R> R read(Reader<R> reader);

    /** Whether it makes an entry that only the notes can read: a job goes by its notes from the first of these on. */
    default boolean goesByNotes() {
        return this instanceof StepIn
                || this instanceof FoundOpen
                || this instanceof MoveByHand
                || this instanceof Skip
                || this instanceof Heed
                || this instanceof Marking
                || this instanceof Counted
                || this instanceof CountMissing;
    }

    /** Whether it only puts right what is on record: nobody touches the unit for it, and no run need be under way. */
    default boolean onRecord() {
        return this instanceof Settle || this instanceof TakeBack;
    }

    /**
     * A run begins.
     *
     * @param off that somebody says the unit is off and unplugged
     * @param closing when the unit was last closed; empty if it never was
     */
    record Begin(RunRecord.Route route, boolean off, RunRecord.Why why, Optional<Closing> closing) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.begin(this);
        }
    }

    /** The run goes elsewhere; what is open stays open. */
    record Turn(RunRecord.Route route) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.turn(this);
        }
    }

    /**
     * One step in. What is not said comes off as is usual.
     *
     * @param found otherwise than the notes say
     * @param basis how the counts are known that are not said one by one
     * @param lead whether a lead does it
     * @param checks all that stand
     */
    record StepIn(String step, List<TakenOff> found, Basis basis, boolean lead, CheckRecord checks) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.stepIn(this);
        }

        /** By anybody, with no check made yet. */
        public static StepIn said(String step, List<TakenOff> found, Basis basis) {
            return new StepIn(step, found, basis, false, new CheckRecord(List.of()));
        }

        /** As it is said, by this person and at this stage of the job. */
        public StepIn by(boolean lead, CheckRecord checks) {
            return new StepIn(step, found, basis, lead, checks);
        }

        public static StepIn asTheNotesSay(String step) {
            return said(step, List.of(), Basis.COUNTED);
        }
    }

    /**
     * The unit came half apart: it is entered as it lies, before anything is taken off here.
     *
     * @param lying how many of a thing lie there, by its id, 0 to 99; of what is left out nobody has counted them
     */
    record FoundOpen(Set<String> steps, Map<String, Integer> lying) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.foundOpen(this);
        }
    }

    /**
     * One step out. What is not said goes back from the tray.
     *
     * @param settled what did not simply go back
     * @param parts by thing: where what it was replaced with came from, in words
     * @param checks all that stand
     */
    record StepOut(String step, List<PutBack> settled, Map<String, String> parts, OpenEnds ends, CheckRecord checks)
            implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.stepOut(this);
        }
    }

    /** The last press of the run that moved something is taken back: a step in or out, or a move by hand after it. */
    record StepBack() implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.stepBack(this);
        }
    }

    /**
     * One move by hand: found again, lost, broken, put back, replaced, left out.
     *
     * @param part where what it was replaced with came from, in words; empty if nobody said
     */
    record MoveByHand(Move move, String part) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.moveByHand(this);
        }
    }

    /** A step is passed over. */
    record Skip(String step, String reason) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.skip(this);
        }
    }

    /**
     * Since when the unit is unplugged. Whoever works on it may say so once, as far back as the unit is here; what was said is made
     * earlier by a lead only. Nobody can say that it was unplugged when it is known to have had power.
     *
     * @param here since when the unit is in the shop
     * @param lead whether a lead says it
     */
    record LeaveOff(Instant since, Instant here, boolean lead) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.leaveOff(this);
        }
    }

    /**
     * The unit is switched.
     *
     * @param why what it is live for: "tracking is adjusted"; may be empty
     */
    record SwitchTo(Power power, String why) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.switchTo(this);
        }
    }

    /**
     * A caution is heeded: read, waited for, and done what it asks for.
     *
     * @param step id of the step whose caution it is
     */
    record Heed(String step) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.heed(this);
        }
    }

    /**
     * Where something stands that the step moves without taking it off, before it does; or that it stands there again.
     *
     * @param stays id of what is adjusted
     * @param words how it was marked, up to 200 characters; may be empty if there is a picture, or on the way back
     * @param photo SHA-256 of a picture that is kept
     */
    record Marking(String step, String stays, String words, Optional<String> photo) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.marking(this);
        }
    }

    /** What findings say was replaced is replaced in the ledger too, where the old one was said to be back. */
    record Settle(List<Replaced> replaced) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.settle(this);
        }
    }

    /**
     * Moves by hand are taken back.
     *
     * @param moment of the press that made them
     */
    record TakeBack(long moment) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.takeBack(this);
        }
    }

    /** Somebody counts what lies in the tray of one thing, 1 to 99, where nobody had counted or there are more than the notes say. */
    record Counted(String thing, int lying) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.counted(this);
        }
    }

    /** Some things were not there before the first step; those that the notes do not know are passed over. */
    record CountMissing(List<CountedMissing> things) implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.countMissing(this);
        }
    }

    /** Some of a thing that were not there before the first step. */
    record CountedMissing(String thing, int count) {}

    /** The clock stands still until the next press. */
    record Pause() implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.pause(this);
        }
    }

    /** The clock goes on. */
    record GoOn() implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.goOn(this);
        }
    }

    /**
     * The unit is closed.
     *
     * @param forNow why it is for now only; empty for good
     * @param closing when it was last closed; empty if it never was
     * @param checks all that stand
     */
    record Close(Optional<String> forNow, Optional<Closing> closing, OpenEnds ends, CheckRecord checks)
            implements Press {
        @Override
        public <R> R read(Reader<R> reader) {
            return reader.close(this);
        }
    }
}
