import type { Schemas } from '../api/client';
import { rules } from '../api/enumWords';
import type { Heap, Lying } from '../drawing/matLayout';

type Step = Schemas['StepView'];
type Thing = Schemas['ThingView'];
export type Account = Schemas['MoveSaid']['from'];

export function inAccount(thing: Thing, account: Account): number {
  return thing.accounts[account] ?? 0;
}

/** What lies on the mat, a heap a step; and what the coming step will add, as a ghost. */
export function heaps(steps: Step[], coming?: Step): Heap[] {
  const lying = steps
    .map((step) => heap(step, (thing) => inAccount(thing, 'TRAY'), false))
    .filter((one) => one.lying.length > 0);
  const ghost = coming ? heap(coming, comesOff, true) : undefined;
  return ghost && ghost.lying.length > 0 ? [...lying, ghost] : lying;
}

/** What the step lays on the mat: what it uses up lies nowhere. */
export function comesOff(thing: Thing): number {
  return thing.usedUp ? 0 : inAccount(thing, 'FITTED') + inAccount(thing, 'REPLACED');
}

function heap(step: Step, count: (thing: Thing) => number, ghost: boolean): Heap {
  const lying: Lying[] = step.things
    .map((thing) => ({ thing, count: count(thing) }))
    .filter((one) => one.count > 0);
  return { key: step.id, label: step.cell || step.title, lying, ghost };
}

/** Where somebody has still to say what fills the place. */
export const OWED: readonly Account[] = rules.owed;
const ABSENT: Account[] = [...OWED, 'LEFT_OUT'];

export type Absent = { thing: Thing; account: Account; count: number };

/** Where something lies that is not in the tray and has still to be settled. */
export function owedAccount(thing: Thing): Account {
  return OWED.find((account) => inAccount(thing, account) > 0) ?? 'TRAY';
}

/** What is neither in its place nor on the mat. */
export function absent(steps: Step[]): Absent[] {
  return steps.flatMap((step) =>
    step.things.flatMap((thing) =>
      ABSENT.map((account) => ({ thing, account, count: inAccount(thing, account) })).filter(
        (one) => one.count > 0,
      ),
    ),
  );
}
