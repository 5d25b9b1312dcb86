package wrenchnotes.server.bench;

import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import wrenchnotes.core.bench.Account;
import wrenchnotes.core.bench.Entered;
import wrenchnotes.core.bench.LedgerEntry;
import wrenchnotes.core.bench.PlaceMark;
import wrenchnotes.core.bench.PowerEntry;
import wrenchnotes.core.bench.Run;
import wrenchnotes.core.bench.RunRecord;
import wrenchnotes.core.job.Hold;
import wrenchnotes.core.job.HoldKind;
import wrenchnotes.core.job.JobEntry;
import wrenchnotes.core.unit.By;
import wrenchnotes.server.drawer.PartsOfJob;
import wrenchnotes.server.job.EntryService;
import wrenchnotes.server.job.HoldService;

/** Keeps what a press entered. Runs in the caller's transaction. */
@Component
class Recorder {

    private final BenchStore store;
    private final RunStore runs;
    private final HoldService holds;
    private final EntryService entries;
    private final PartsOfJob parts;

    Recorder(BenchStore store, RunStore runs, HoldService holds, EntryService entries, PartsOfJob parts) {
        this.store = store;
        this.runs = runs;
        this.holds = holds;
        this.entries = entries;
        this.parts = parts;
    }

    /**
     * @param before the run before the press
     * @return the number of the last thing that was written, for the job's story
     */
    long keep(By by, BenchState before, List<Entered> entered) {
        long job = before.job().id();
        long run = before.run().underWay().map(RunRecord::id).orElse(0L);
        long last = run;
        for (Entered entry : entered) {
            last = entry.read(new Keeping(by, job, run, before.run()));
        }
        return last;
    }

    /** Each answers with the number that the job's story knows it by. */
    private final class Keeping implements Entered.Reader<Long> {
        private final By by;
        private final long job;
        private final long run;
        private final Run before;

        Keeping(By by, long job, long run, Run before) {
            this.by = by;
            this.job = job;
            this.run = run;
            this.before = before;
        }

        @Override
        public Long begun(Entered.Begun begun) {
            return runs.add(by, job, begun.run());
        }

        @Override
        public Long turned(Entered.Turned turned) {
            runs.turn(run, turned.route());
            return run;
        }

        @Override
        public Long stepped(Entered.Stepped stepped) {
            long step = store.addStep(by, job, stepped.step());
            keep(Optional.of(step), stepped.moves());
            return step;
        }

        @Override
        public Long moved(Entered.Moved moved) {
            keep(Optional.empty(), moved.moves());
            return job;
        }

        /** A part that was put in by what is taken back goes back where it came from, unless somebody else tells of it too. */
        private void keep(Optional<Long> step, List<LedgerEntry> moves) {
            store.addMoves(by, job, step, before.ledger(), moves);
            List<Long> undone =
                    moves.stream().flatMap(entry -> entry.undoes().stream()).toList();
            before.log().moves().stream()
                    .filter(entry -> undone.contains(entry.id()) && entry.move().to() == Account.REPLACED)
                    .forEach(entry -> parts.pressBack(
                            by, job, entry.moment().number(), entry.move().thing(), "taken back"));
        }

        @Override
        public Long skipped(Entered.Skipped skipped) {
            runs.skip(by, job, run, skipped.step(), skipped.reason());
            return run;
        }

        @Override
        public Long openedAgain(Entered.OpenedAgain again) {
            runs.openedAgain(by, job, run, again);
            return run;
        }

        @Override
        public Long heeded(Entered.Heeded heeded) {
            return entries.say(
                    by, job, new JobEntry.Acknowledged(heeded.acknowledged().step(), heeded.title(), heeded.caution()));
        }

        @Override
        public Long marked(Entered.Marked marked) {
            PlaceMark mark = marked.mark();
            return entries.say(
                    by,
                    job,
                    new JobEntry.Marked(
                            mark.step(), mark.stays(), marked.label(), mark.back(), mark.words(), mark.photo()));
        }

        @Override
        public Long powered(Entered.Powered powered) {
            PowerEntry entry = powered.entry();
            holds.powered(
                    by,
                    job,
                    powered.until()
                            .map(until -> new Hold(
                                    HoldKind.BLEED,
                                    "Unplugged for " + powered.hours() + " hours",
                                    entry.since(),
                                    Optional.of(until),
                                    Optional.empty())));
            return entries.say(
                    by,
                    job,
                    entry.sinceSaid()
                            ? new JobEntry.PowerOff(entry.since())
                            : new JobEntry.Powered(entry.power(), entry.why()));
        }

        @Override
        public Long paused(Entered.Paused paused) {
            runs.pause(by, job);
            return run;
        }

        @Override
        public Long wentOn(Entered.WentOn wentOn) {
            runs.goOn(by, job);
            return run;
        }

        @Override
        public Long ended(Entered.Ended ended) {
            long closing = store.addClosing(by, job, ended.forNow());
            runs.close(run, closing);
            return closing;
        }
    }
}
