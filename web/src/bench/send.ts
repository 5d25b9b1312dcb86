import { answer, api, seen } from '../api/client';
import type { Bench, Press } from './press';

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
    case 'takeOver':
      return answer(api.POST('/api/jobs/{job}/bench/take-over', { ...at, body: { bench: press.bench } }));
    case 'leftOff':
      return answer(api.POST('/api/jobs/{job}/bench/left-off', { ...at, body: { since: press.since } }));
    case 'power':
      return answer(api.POST('/api/jobs/{job}/bench/power', { ...at, body: press.said }));
    case 'heed':
      return answer(api.POST('/api/jobs/{job}/bench/steps/{step}/heed', atStep(press.step)));
    case 'mark':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/mark', { ...atStep(press.step), body: press.said }),
      );
    case 'in':
      return answer(
        api.POST('/api/jobs/{job}/bench/steps/{step}/in', { ...atStep(press.step), body: press.said }),
      );
    case 'foundOpen':
      return answer(api.POST('/api/jobs/{job}/bench/found-open', { ...at, body: press.said }));
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
        api.POST('/api/jobs/{job}/bench/looked', {
          ...at,
          body: { component: press.component, good: press.good },
        }),
      );
    case 'finding':
      return thenTheBench(
        job,
        api.POST('/api/jobs/{job}/findings', { params: { path: { job } }, headers, body: press.said }),
      );
    case 'check':
      return thenTheBench(
        job,
        api.POST('/api/jobs/{job}/checks', { params: { path: { job } }, headers, body: press.said }),
      );
    case 'told':
      return thenTheBench(
        job,
        'name' in press.said
          ? api.POST('/api/jobs/{job}/symptoms', { params: { path: { job } }, headers, body: press.said })
          : api.POST('/api/jobs/{job}/looks', {
              params: { path: { job } },
              headers,
              body: {
                componentId: press.said.component,
                good: press.said.good,
                means: press.said.how ?? 'LOOKED',
                words: '',
              },
            }),
      );
    case 'bears':
      return answer(
        api.POST('/api/jobs/{job}/bench/bears', {
          ...at,
          body: { component: press.component, thing: press.thing },
        }),
      );
    case 'cameOff':
      return answer(api.POST('/api/jobs/{job}/bench/came-off', { ...at, body: press.said }));
    case 'newer':
      return answer(api.POST('/api/jobs/{job}/bench/notes/newer', { ...at, body: press.said }));
    case 'known':
      return answer(api.POST('/api/jobs/{job}/bench/known', { ...at, body: press.said }));
    case 'close':
      return answer(api.POST('/api/jobs/{job}/bench/close', at));
    case 'closeForNow':
      return answer(
        api.POST('/api/jobs/{job}/bench/close-for-now', { ...at, body: { reason: press.reason } }),
      );
  }
}

/** What is told in another room's words changes the bench too: it is asked for once that is through. */
async function thenTheBench(
  job: number,
  told: Promise<{ data?: unknown; error?: unknown; response: Response }>,
) {
  await answer(told);
  return answer(api.GET('/api/jobs/{job}/bench', { params: { path: { job } } }));
}
