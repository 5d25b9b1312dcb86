import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { newRequestId, Problem } from '../api/client';
import { answers } from '../api/queries';
import { useSession } from '../api/session';
import type { Bench, Press } from './press';
import { send } from './send';

type Kept = { id: string; version: number; press: Press };

const RETRY_MS = 1500;
/** What passes by itself: no server, no session, a busy or damaged file, a full disk. */
const PASSES = [0, 401, 503, 507];
/** By person: what one has pressed is never sent in another's name. */
const place = (who: number, job: number) => `wn.press.${who}.${job}`;

function keptIn(at: string): Kept | undefined {
  const text = localStorage.getItem(at);
  return text ? (JSON.parse(text) as Kept) : undefined;
}

/**
 * Sends what is pressed, one at a time. A press that does not get through is kept, also over a reload, and sent again with
 * the same id until the server has answered: it is done exactly once.
 */
export function usePresses(bench: Bench, done: () => void) {
  const client = useQueryClient();
  const job = bench.unit.jobId;
  const at = place(useSession().data?.person?.id ?? 0, job);
  const [kept, setKept] = useState<Kept | undefined>(() => keptIn(at));
  const [stuck, setStuck] = useState<Problem>();
  const [error, setError] = useState<unknown>();
  const sending = useRef<string | undefined>(undefined);
  const went = useRef<(through: boolean) => void>(undefined);

  const settle = useCallback(
    (through: boolean) => {
      localStorage.removeItem(at);
      sending.current = undefined;
      went.current?.(through);
      went.current = undefined;
      setKept(undefined);
      setStuck(undefined);
    },
    [at],
  );

  useEffect(() => {
    if (!kept || sending.current === kept.id) {
      return;
    }
    let left = false;
    let timer: number | undefined;
    sending.current = kept.id;
    const attempt = () =>
      send(job, kept.version, kept.press, kept.id).then(
        (now) => {
          settle(true);
          client.setQueryData(answers.bench(job), now);
          for (const changed of [answers.rack(), answers.parts(), answers.holds()]) {
            client.invalidateQueries({ queryKey: changed });
          }
          client.invalidateQueries({ queryKey: answers.job(job) });
          done();
        },
        (problem) => {
          if (problem instanceof Problem && PASSES.includes(problem.status)) {
            setStuck(problem);
            if (problem.isOfTheShop) {
              client.invalidateQueries({ queryKey: answers.keeping('wrong') });
            }
            if (!left) {
              timer = window.setTimeout(attempt, RETRY_MS);
            }
            return;
          }
          settle(false);
          setError(problem);
          if (problem instanceof Problem && problem.status === 412) {
            client.invalidateQueries({ queryKey: answers.bench(job) });
          }
        },
      );
    attempt();
    return () => {
      left = true;
      sending.current = undefined;
      window.clearTimeout(timer);
    };
  }, [kept, job, client, settle, done]);

  const press = useCallback(
    (one: Press): Promise<boolean> => {
      if (keptIn(at)) {
        return Promise.resolve(false);
      }
      const next = { id: newRequestId(), version: bench.version, press: one };
      localStorage.setItem(at, JSON.stringify(next));
      setError(undefined);
      setKept(next);
      return new Promise((resolve) => {
        went.current = resolve;
      });
    },
    [at, bench.version],
  );
  return {
    press,
    busy: kept !== undefined,
    pressed: kept?.press,
    waiting: stuck ? kept?.press : undefined,
    /** Why it waits. */
    why: stuck,
    error,
  };
}
