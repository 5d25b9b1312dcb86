import type { Schemas } from '../api/client';
import { inAccount } from './heaps';
import type { Bench, Press } from './press';

type Step = Schemas['StepView'];
type Thing = Schemas['ThingView'];
type Coming = Schemas['Coming'];

/** What the server has to answer before anything else can be pressed: it decides what the bench looks like then. */
export function mustBeAnswered(press: Press): boolean {
  // What did not go as the notes say has consequences that only the core knows.
  const otherwise =
    (press.act === 'in' && press.said.found.length > 0) || (press.act === 'out' && press.settled.length > 0);
  return otherwise || !GOES_ON.includes(press.act);
}

const GOES_ON: Press['act'][] = ['in', 'out', 'heed', 'mark', 'note', 'finding', 'told', 'looked'];

/**
 * The bench as it will be if everything that was pressed goes through: drawn until the server has answered, and by what it said beforehand of the steps that
 * come. What is decided stands in its answer alone.
 */
export function asPressed(bench: Bench, presses: Press[]): Bench {
  return presses.reduce(after, bench);
}

function after(bench: Bench, press: Press): Bench {
  const now = { ...bench, version: bench.version + 1 };
  switch (press.act) {
    case 'in':
      return moved(now, press.step, true);
    case 'out':
      return moved(now, press.step, false);
    case 'heed':
      return said(now, (first) => first.what === 'HEED' && first.hazard?.step === press.step);
    case 'mark':
      return said(
        now,
        (first) => first.adjusted?.step === press.step && first.adjusted.stays.id === press.said.stays,
      );
    default:
      return now;
  }
}

function moved(bench: Bench, id: string, opens: boolean): Bench {
  const step = bench.way.steps.find((one) => one.id === id);
  if (!step || step.open === opens) {
    return bench;
  }
  const without = (coming: Coming[]) => coming.filter((one) => one.step !== id);
  const itself: Coming = { step: id, sayFirst: [], keepApart: [] };
  const comingIn = opens ? without(bench.way.comingIn) : [itself, ...without(bench.way.comingIn)];
  const comingOut = opens ? [itself, ...without(bench.way.comingOut)] : without(bench.way.comingOut);
  const opened = opens
    ? { opened: true, closed: false, lastIn: bench.stand.lastIn ?? new Date().toISOString() }
    : {};
  return next({
    ...bench,
    stand: { ...bench.stand, ...opened },
    way: {
      ...bench.way,
      comingIn,
      comingOut,
      lastReach: [],
      endsUnder: [],
      steps: bench.way.steps.map((one) =>
        one.id === id ? { ...one, open: opens, things: one.things.map(opens ? off : back) } : one,
      ),
    },
  });
}

/** What comes next either way, with what has to be said before it. */
function next(bench: Bench): Bench {
  const [into] = bench.way.comingIn;
  const [outOf] = bench.way.comingOut;
  const first = (step: Step): Step => {
    const coming = step.id === into?.step ? into : step.id === outOf?.step ? outOf : undefined;
    return coming ? { ...step, sayFirst: coming.sayFirst[0] } : step;
  };
  return {
    ...bench,
    way: {
      ...bench.way,
      nextIn: into?.step,
      nextOut: outOf?.step,
      keepApart: into?.keepApart ?? [],
      steps: bench.way.steps.map(first),
    },
  };
}

function said(bench: Bench, it: (first: Schemas['SayFirst']) => boolean): Bench {
  const without = (coming: Coming[]) =>
    coming.map((one, n) =>
      n === 0 ? { ...one, sayFirst: one.sayFirst.filter((first) => !it(first)) } : one,
    );
  return next({
    ...bench,
    way: { ...bench.way, comingIn: without(bench.way.comingIn), comingOut: without(bench.way.comingOut) },
  });
}

function off(thing: Thing): Thing {
  const { FITTED: fitted = 0, REPLACED: replaced = 0, ...elsewhere } = thing.accounts;
  const lies = inAccount(thing, 'TRAY') + (thing.usedUp ? 0 : fitted + replaced);
  return { ...thing, accounts: { ...elsewhere, TRAY: lies } };
}

function back(thing: Thing): Thing {
  const { TRAY: lies = 0, ...elsewhere } = thing.accounts;
  return { ...thing, accounts: { ...elsewhere, FITTED: inAccount(thing, 'FITTED') + lies } };
}
