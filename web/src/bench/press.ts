import type { Schemas } from '../api/client';
import type { Told } from '../diagnosis/told';

export type Bench = Schemas['BenchView'];

/** One key press on the bench. */
export type Press =
  | { act: 'start'; said: Schemas['StartSaid'] }
  | { act: 'turn'; said: Schemas['AimSaid'] }
  | { act: 'leftOff'; since: string }
  | { act: 'power'; said: Schemas['PowerSaidNow'] }
  | { act: 'heed'; step: string }
  | { act: 'mark'; step: string; said: Schemas['MarkSaid'] }
  | { act: 'in'; step: string; said: Schemas['InSaid'] }
  | { act: 'foundOpen'; said: Schemas['FoundOpenSaid'] }
  | { act: 'out'; step: string; settled: Schemas['ThingOut'][] }
  | { act: 'skip'; step: string; reason: string }
  | { act: 'back' }
  | { act: 'takeOver'; bench: string }
  | { act: 'pause' }
  | { act: 'goOn' }
  | { act: 'note'; said: Schemas['NoteSaid'] }
  | { act: 'move'; move: Schemas['MoveSaid'] }
  | { act: 'fit'; component: number; revision: number }
  | { act: 'temporary'; words: string }
  | { act: 'stays'; temporary: number; why: string }
  | { act: 'putRight'; temporary: number }
  | { act: 'broken'; said: Schemas['BrokenSaid'] }
  | { act: 'found'; fragment: number; said: Schemas['FoundSaid'] }
  | { act: 'looked'; component: number; good: boolean }
  | { act: 'finding'; said: Schemas['FindingSaid'] }
  | { act: 'told'; said: Told }
  | { act: 'check'; said: Schemas['CheckSaid'] }
  | { act: 'bears'; component: number; thing?: string }
  | { act: 'newer'; said: Schemas['NewerSaid'] }
  | { act: 'known'; said: Schemas['KnownSaid'] }
  | { act: 'cameOff'; said: Schemas['CameOffSaid'] }
  | { act: 'close' }
  | { act: 'closeForNow'; reason: string };

/** Presses; whether it went through is known when the server has answered. */
export type Presses = (press: Press) => Promise<boolean>;

/** For a form: it is sent when its press went through; what was refused the bench says, and the form stays. */
export async function through(pressed: Promise<boolean>): Promise<void> {
  if (!(await pressed)) {
    throw new Error('The bench did not take it.');
  }
}

const WORDS: Record<Press['act'], string> = {
  start: 'the run is begun',
  turn: 'on elsewhere',
  leftOff: 'since when it is off',
  power: 'its power',
  heed: 'a caution heeded',
  mark: 'marked',
  in: 'off to the tray',
  foundOpen: 'came apart already',
  out: 'back in',
  skip: 'skipped',
  back: 'taken back',
  takeOver: 'taken over',
  pause: 'paused',
  goOn: 'went on',
  note: 'a note',
  move: 'a thing moved',
  fit: 'which one is inside',
  temporary: 'for the test only',
  stays: 'stays in for now',
  putRight: 'put right',
  broken: 'a broken piece',
  found: 'fragments found',
  looked: 'looked at',
  finding: 'found',
  told: 'tried, looked at',
  check: 'checked',
  bears: 'which thing it is',
  newer: 'on by newer notes',
  known: 'counted, measured',
  cameOff: 'came off',
  close: 'closed up',
  closeForNow: 'closed for now',
};

/** What was pressed, for somebody who waits for it to go through. */
export function pressWords(press: Press, bench: Bench): string {
  const step = 'step' in press ? bench.way.steps.find((one) => one.id === press.step)?.title : undefined;
  if (press.act === 'check') {
    return `checked: ${press.said.what}`;
  }
  if (press.act === 'finding') {
    return `found: ${press.said.component}, ${press.said.wrong}`;
  }
  return step ? `${step}: ${WORDS[press.act]}` : WORDS[press.act];
}
