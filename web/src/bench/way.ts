import type { Schemas } from '../api/client';
import type { Bench, Presses } from './press';

type Step = Schemas['StepView'];

/** Which way somebody is going. */
export type Way = 'IN' | 'OUT';
/** What stands in place of the step while it is filled in. */
export type Form =
  | 'live'
  | 'found'
  | 'otherwise'
  | 'check'
  | 'wrong'
  | 'skip'
  | 'note'
  | 'screw'
  | 'known'
  | 'foundOpen'
  | 'ends'
  | 'forNow'
  | 'turn';

/** What the left half of the bench is given. */
export type Props = {
  bench: Bench;
  way: Way;
  /** sub-assemblies that are not gone into */
  passed: number[];
  pass: (component: number) => void;
  step?: Step;
  /** other steps that do the same */
  others: Step[];
  turn: (way: Way) => void;
  choose: (step: string) => void;
  /** opens a closed unit again */
  again: () => void;
  press: Presses;
  /** asks where something that is not in the tray goes */
  settle: (thing: Schemas['ThingView']) => void;
  busy: boolean;
  /** presses that are not answered yet */
  unsent: number;
  error: unknown;
};
