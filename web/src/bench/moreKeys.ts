import { gloves } from './device';
import type { Form, Props, Way } from './way';

/** The large key of the panel. */
export type MainKey = { key: string; also?: string; words: string; act: () => void; off: boolean };
/** @property small whether it is seldom needed */
export type MoreKey = MainKey & { small?: boolean };

/** What else can be done now, each with its key. */
export function moreKeys({
  bench,
  way,
  step,
  others,
  canTurn,
  closable,
  other,
  setForm,
  turn,
  choose,
  press,
  busy,
}: {
  canTurn: boolean;
  closable: boolean;
  other: Way;
  setForm: (form: Form) => void;
} & Pick<Props, 'bench' | 'way' | 'step' | 'others' | 'turn' | 'choose' | 'press' | 'busy'>): MoreKey[] {
  const open = bench.way.steps.some(
    (one) =>
      one.open && one.things.some((thing) => thing.notKnown.length > 0 && (thing.accounts.TRAY ?? 0) > 0),
  );
  const opened = bench.stand.lastIn !== undefined && !bench.stand.closed;
  const all: (MoreKey | false | undefined)[] = [
    step && {
      key: 'X',
      words: way === 'IN' ? 'Not as the notes say' : 'Not all of it back',
      act: () => setForm('otherwise'),
      off: false,
    },
    ...others.map((one, n) => ({
      key: n === 0 ? 'O' : '',
      words: `Or: ${one.title}`,
      act: () => choose(one.id),
      off: false,
    })),
    bench.canStepBack && {
      key: 'U',
      words: 'Take that back',
      act: () => press({ act: 'back' }),
      off: busy,
      small: true,
    },
    way === 'IN' &&
      step &&
      bench.stand.lastIn === undefined && {
        key: 'B',
        words: 'It came apart already',
        act: () => setForm('foundOpen'),
        off: false,
        small: !bench.stand.perhapsOpen,
      },
    canTurn && {
      key: 'T',
      words: way === 'IN' ? 'Turn round: way out' : 'Turn round: way in',
      act: () => turn(other),
      off: false,
      small: true,
    },
    opened && step && { key: 'R', words: 'Found something', act: () => setForm('found'), off: false },
    opened && { key: 'K', words: 'Check it', act: () => setForm('check'), off: false, small: true },
    closable && { key: 'I', words: 'Close for now', act: () => setForm('forNow'), off: false },
    way === 'IN' && step && { key: 'S', words: 'skip', act: () => setForm('skip'), off: false, small: true },
    way === 'IN' &&
      bench.way.steps.length > 0 && {
        key: 'A',
        words: 'elsewhere',
        act: () => setForm('turn'),
        off: false,
        small: true,
      },
    step && { key: 'N', words: 'notes wrong', act: () => setForm('wrong'), off: false, small: true },
    { key: 'J', words: 'note', act: () => setForm('note'), off: false, small: true },
    opened && {
      key: 'W',
      words: 'which screw?',
      act: () => setForm('screw'),
      off: false,
      small: true,
    },
    // On the way in what is otherwise is said with the step; what nobody has counted or measured is asked for while it lies there.
    (open || (opened && way === 'OUT')) && {
      key: 'M',
      words: 'count, measure',
      act: () => setForm('known'),
      off: false,
      // What nobody knows yet is worth a large target.
      small: !open,
    },
    opened && { key: 'E', words: 'open ends', act: () => setForm('ends'), off: false, small: true },
    bench.way.steps.length > 0 && {
      key: 'G',
      words: 'paper mat',
      act: () => window.open(`/api/jobs/${bench.unit.jobId}/papers/mat.pdf`, '_blank', 'noopener'),
      off: false,
      small: true,
    },
    bench.stand.power.state === 'UNPLUGGED'
      ? { key: 'V', words: 'make it live', act: () => setForm('live'), off: false, small: true }
      : step?.sayFirst?.what !== 'UNPLUG' && {
          key: 'Q',
          words: 'off, unplugged',
          act: () => press({ act: 'power', said: { power: 'UNPLUGGED', why: '' } }),
          off: busy,
          small: true,
        },
    {
      key: 'Y',
      words: gloves.now() ? 'gloves off' : 'gloves on',
      act: () => gloves.set(gloves.now() ? '' : 'on'),
      off: false,
      small: true,
    },
    { key: 'P', words: 'pause', act: () => press({ act: 'pause' }), off: busy, small: true },
  ];
  // While a press is on its way nothing else is opened: its answer would take it away again.
  return all.filter((one): one is MoreKey => !!one).map((one) => ({ ...one, off: one.off || busy }));
}
