import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { newRequestId, Problem, type Schemas } from '../api/client';
import { answers } from '../api/queries';
import { useSession } from '../api/session';
import { asPressed, mustBeAnswered } from './asPressed';
import type { Bench, Press } from './press';
import { type Made, PressQueue } from './queue';
import { send } from './send';

/** By person: what one has pressed is never sent in another's name. */
const place = (who: number, job: number) => `wn.presses.${who}.${job}`;

/** They go on while another room is open. */
const queues = new Map<string, PressQueue>();
/** Who is told of what the bench on the screen was refused. */
const told = new Map<string, (problem: unknown) => void>();

/** The one press that an earlier version of this page may have left: it goes through first. */
function beforeQueues(who: number, job: number): Made[] {
  const place = `wn.press.${who}.${job}`;
  const left = localStorage.getItem(place);
  localStorage.removeItem(place);
  return left ? [JSON.parse(left) as Made] : [];
}

function queueAt(who: number, job: number, client: QueryClient): PressQueue {
  const at = place(who, job);
  const known = queues.get(at);
  if (known) {
    return known;
  }
  const made = new PressQueue({
    shelf: {
      load: () => [...beforeQueues(who, job), ...(JSON.parse(localStorage.getItem(at) ?? '[]') as Made[])],
      save: (presses) =>
        presses.length > 0 ? localStorage.setItem(at, JSON.stringify(presses)) : localStorage.removeItem(at),
    },
    send: async (version, press, id) => {
      const now = client.getQueryData<Schemas['SessionView']>(answers.session());
      if (now?.person?.id !== who) {
        throw new Problem(
          401,
          'Whoever pressed it is not at work here now. It goes through when they are.',
          [],
          [],
        );
      }
      return send(job, version, press, id);
    },
    newId: newRequestId,
    answered: (bench) => {
      client.setQueryData(answers.bench(job), bench);
      // While more is on its way its answers will say it all.
      if (!queues.get(at)?.now().made.length) {
        for (const changed of [
          answers.rack(),
          answers.benches(),
          answers.parts(),
          answers.foundParts(),
          answers.holds(),
          answers.job(job),
          answers.there(job),
        ]) {
          client.invalidateQueries({ queryKey: changed });
        }
      }
    },
    turnedDown: (problem) => {
      told.get(at)?.(problem);
      if (problem instanceof Problem && problem.status === 412) {
        client.invalidateQueries({ queryKey: answers.bench(job) });
      }
    },
    later: (act, ms) => window.setTimeout(act, ms),
  });
  queues.set(at, made);
  return made;
}

/**
 * Keeps what is pressed until the server has answered, also over a reload, and shows the bench as it was pressed: whoever works does not wait for a connection.
 *
 * @param done after an answer, and after a refusal
 */
export function usePresses(bench: Bench, done: () => void) {
  const client = useQueryClient();
  const job = bench.unit.jobId;
  const who = useSession().data?.person?.id ?? 0;
  const at = place(who, job);
  const queue = queueAt(who, job, client);
  const { made, stuck, refused, turns, answered } = useSyncExternalStore(queue.subscribe, queue.now);
  const [error, setError] = useState<unknown>();

  useEffect(() => {
    told.set(at, setError);
    return () => {
      told.delete(at);
    };
  }, [at]);
  useEffect(() => queue.seen(bench.version), [queue, bench]);
  useEffect(() => {
    if (stuck?.isOfTheShop) {
      client.invalidateQueries({ queryKey: answers.keeping('wrong') });
    }
  }, [stuck, client]);

  const press = useCallback(
    (one: Press): Promise<boolean> => {
      if (queue.now().made.some((before) => mustBeAnswered(before.press)) || queue.now().refused) {
        return Promise.resolve(false);
      }
      setError(undefined);
      return queue.press(one).then((through) => {
        if (through) {
          done();
        }
        return through;
      });
    },
    [queue, done],
  );
  const shown = useMemo(
    () => asPressed(answered ?? bench, refused ? [] : made.map((one) => one.press)),
    [bench, answered, made, refused],
  );
  return {
    /** the bench as it was pressed */
    shown,
    /** counts up whenever what is before the bench is another thing by a press of one's own */
    turns,
    press,
    busy: refused !== undefined || made.some((one) => mustBeAnswered(one.press)),
    made,
    /** Why they wait. */
    why: stuck,
    refused,
    again: () => queue.again(),
    leaveOut: (all: boolean) => queue.leaveOut(all),
    error: refused ? undefined : error,
  };
}
