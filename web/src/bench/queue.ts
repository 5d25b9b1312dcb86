import { Problem } from '../api/problem';
import { mustBeAnswered } from './asPressed';
import type { Bench, Press } from './press';

/** A press that the server has not answered yet. @property version of the bench that it went out with: sent again it must be the same */
export type Made = { id: string; press: Press; version?: number };

/** What the queue looks like to whoever shows it. */
export type Waiting = {
  /** oldest first */
  made: readonly Made[];
  /** why the first of them does not get through, though nothing is wrong with it */
  stuck?: Problem;
  /** what the server said to the first of them: it and those behind it wait for a word */
  refused?: Problem;
  /** counts up whenever what is before the bench becomes another thing by one of them: in the same breath as they change, since a render between would be a third bench */
  turns: number;
  /** the last answer, until the screen has heard of it: what was answered must not be missing for a moment */
  answered?: Bench;
};

/** Where presses are kept over a reload. */
export type Shelf = { load: () => Made[]; save: (made: readonly Made[]) => void };

type Ways = {
  shelf: Shelf;
  send: (version: number, press: Press, id: string) => Promise<Bench>;
  newId: () => string;
  answered: (bench: Bench) => void;
  /** a press that nothing waited behind was refused, and is gone */
  turnedDown: (problem: unknown) => void;
  later: (act: () => void, ms: number) => void;
};

const RETRY_MS = 1500;
/** What passes by itself: no server, no session, a busy or damaged file, a full disk. */
const PASSES = [0, 401, 503, 507];

/**
 * Presses in the order in which they were made, sent one after the other, each exactly once: it keeps its id until the server has answered. As many as are made
 * without a connection are kept. One that is refused stops those behind it, and none is lost before somebody has said what becomes of it.
 */
export class PressQueue {
  private made: Made[];
  private stuck?: Problem;
  private refused?: Problem;
  private sending = false;
  private turns = 0;
  private answered?: Bench;
  private version = -1;
  private readonly waiters = new Map<string, (through: boolean) => void>();
  private readonly listeners = new Set<() => void>();
  private shown: Waiting;

  constructor(private readonly ways: Ways) {
    this.made = ways.shelf.load();
    ways.shelf.save(this.made);
    this.shown = { made: this.made, turns: 0 };
  }

  now = (): Waiting => this.shown;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** The server's bench as it was seen last; what was kept over a reload goes on from it. */
  seen(version: number) {
    this.version = Math.max(this.version, version);
    if (this.answered && version >= this.answered.version) {
      this.answered = undefined;
      this.show();
    }
    this.go();
  }

  /** Whether it went through is known when the server has answered. */
  press(press: Press): Promise<boolean> {
    const id = this.ways.newId();
    this.turns += mustBeAnswered(press) ? 0 : 1;
    this.change([...this.made, { id, press }]);
    const went = new Promise<boolean>((resolve) => this.waiters.set(id, resolve));
    this.go();
    return went;
  }

  /** What was refused is pressed again on the bench as it is now. */
  again() {
    const [first, ...behind] = this.made;
    if (first && this.refused) {
      this.refused = undefined;
      this.change([{ id: this.ways.newId(), press: first.press }, ...behind]);
      this.go();
    }
  }

  /** What was refused goes; those behind it go on. @param all of them go too */
  leaveOut(all: boolean) {
    if (this.refused) {
      this.refused = undefined;
      this.change(all ? [] : this.made.slice(1));
      this.go();
    }
  }

  private change(made: Made[]) {
    this.made = made;
    this.ways.shelf.save(made);
    this.show();
  }

  private show() {
    this.shown = {
      made: this.made,
      stuck: this.stuck,
      refused: this.refused,
      turns: this.turns,
      answered: this.answered,
    };
    for (const listener of this.listeners) {
      listener();
    }
  }

  private go() {
    const [first, ...behind] = this.made;
    if (!first || this.sending || this.refused || this.version < 0) {
      return;
    }
    const version = first.version ?? this.version;
    if (first.version === undefined) {
      this.change([{ ...first, version }, ...behind]);
    }
    this.sending = true;
    this.ways.send(version, first.press, first.id).then(
      (bench) => {
        this.sending = false;
        this.stuck = undefined;
        this.version = bench.version;
        this.turns += mustBeAnswered(first.press) ? 1 : 0;
        this.answered = bench;
        this.change(this.made.slice(1));
        this.settle(first, true);
        this.ways.answered(bench);
        this.go();
      },
      (problem: unknown) => {
        this.sending = false;
        if (problem instanceof Problem && PASSES.includes(problem.status)) {
          this.stuck = problem;
          this.show();
          this.ways.later(() => this.go(), RETRY_MS);
          return;
        }
        const kept = this.made.length > 1 || this.stuck !== undefined;
        this.stuck = undefined;
        if (kept && problem instanceof Problem) {
          this.refused = problem;
          this.show();
        } else {
          this.change(this.made.slice(1));
          this.go();
        }
        this.settle(first, false);
        this.ways.turnedDown(problem);
      },
    );
  }

  private settle(made: Made, through: boolean) {
    this.waiters.get(made.id)?.(through);
    this.waiters.delete(made.id);
  }
}
