import { answer, api, type Schemas, seen } from '../api/client';

export type Bench = Schemas['BenchView'];

/** One key press on the bench. */
export type Press =
  | { act: 'start'; said: Schemas['StartSaid'] }
  | { act: 'turn'; said: Schemas['AimSaid'] }
  | { act: 'leftOff'; since: string }
  | { act: 'power'; said: Schemas['PowerSaidNow'] }
  | { act: 'heed'; step: string }
  | { act: 'in'; step: string; said: Schemas['InSaid'] }
  | { act: 'out'; step: string; settled: Schemas['ThingOut'][] }
  | { act: 'skip'; step: string; reason: string }
  | { act: 'back' }
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
  | { act: 'looked'; component: number }
  | { act: 'cameOff'; said: Schemas['CameOffSaid'] }
  | { act: 'close' }
  | { act: 'closeForNow'; reason: string };

/**
 * Sends a press, made on the bench of one version.
 *
 * @param id of the request: sent again with the same id it is done once
 */
export function send(job: number, version: number, press: Press, id: string): Promise<Bench> {
  const header = seen(version);
  const headers = { 'Idempotency-Key': id };
  const at = { params: { path: { job }, header }, headers };
  const atStep = (step: string) => ({ params: { path: { job, step }, header }, headers });
  switch (press.act) {
    case 'start':
      return answer(api.POST('/api/jobs/{job}/bench/start', { ...at, body: press.said }));
    case 'turn':
      return answer(api.POST('/api/jobs/{job}/bench/turn', { ...at, body: press.said }));
    case 'leftOff':
      return answer(api.POST('/api/jobs/{job}/bench/left-off', { ...at, body: { since: press.since } }));
    case 'power':
      return answer(api.POST('/api/jobs/{job}/bench/power', { ...at, body: press.said }));
    case 'heed':
      return answer(api.POST('/api/jobs/{job}/bench/steps/{step}/heed', atStep(press.step)));
    case 'in':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/in', { ...atStep(press.step), body: press.said }),
      );
    case 'out':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/out', {
          ...atStep(press.step),
          body: { settled: press.settled },
        }),
      );
    case 'skip':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/skip', {
          ...atStep(press.step),
          body: { reason: press.reason },
        }),
      );
    case 'back':
      return answer(api.POST('/api/jobs/{job}/bench/back', at));
    case 'pause':
      return answer(api.POST('/api/jobs/{job}/bench/pause', at));
    case 'goOn':
      return answer(api.POST('/api/jobs/{job}/bench/go-on', at));
    case 'note':
      return answer(api.POST('/api/jobs/{job}/bench/notes', { ...at, body: press.said }));
    case 'move':
      return answer(api.POST('/api/jobs/{job}/bench/moves', { ...at, body: press.move }));
    case 'fit':
      return answer(
        api.POST('/api/jobs/{job}/bench/fitted', {
          ...at,
          body: { component: press.component, revision: press.revision },
        }),
      );
    case 'temporary':
      return answer(api.POST('/api/jobs/{job}/bench/temporary', { ...at, body: { words: press.words } }));
    case 'stays':
      return answer(
        api.POST('/api/jobs/{job}/bench/temporary/{temporary}/stays', {
          params: { path: { job, temporary: press.temporary }, header },
          headers,
          body: { why: press.why },
        }),
      );
    case 'putRight':
      return answer(
        api.POST('/api/jobs/{job}/bench/temporary/{temporary}/right', {
          params: { path: { job, temporary: press.temporary }, header },
          headers,
        }),
      );
    case 'broken':
      return answer(api.POST('/api/jobs/{job}/bench/fragments', { ...at, body: press.said }));
    case 'found':
      return answer(
        api.POST('/api/jobs/{job}/bench/fragments/{fragment}', {
          params: { path: { job, fragment: press.fragment }, header },
          headers,
          body: press.said,
        }),
      );
    case 'looked':
      return answer(
        api.POST('/api/jobs/{job}/bench/looked', { ...at, body: { component: press.component } }),
      );
    case 'cameOff':
      return answer(api.POST('/api/jobs/{job}/bench/came-off', { ...at, body: press.said }));
    case 'close':
      return answer(api.POST('/api/jobs/{job}/bench/close', at));
    case 'closeForNow':
      return answer(
        api.POST('/api/jobs/{job}/bench/close-for-now', { ...at, body: { reason: press.reason } }),
      );
  }
}

const WORDS: Record<Press['act'], string> = {
  start: 'the run is begun',
  turn: 'on elsewhere',
  leftOff: 'since when it is off',
  power: 'its power',
  heed: 'a caution heeded',
  in: 'off to the tray',
  out: 'back in',
  skip: 'skipped',
  back: 'taken back',
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
  cameOff: 'came off',
  close: 'closed up',
  closeForNow: 'closed for now',
};

/** What was pressed, for somebody who waits for it to go through. */
export function pressWords(press: Press, bench: Bench): string {
  const step = 'step' in press ? bench.way.steps.find((one) => one.id === press.step)?.title : undefined;
  return step ? `${step}: ${WORDS[press.act]}` : WORDS[press.act];
}
