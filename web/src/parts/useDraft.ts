import { del, get, set } from 'idb-keyval';
import { useCallback, useEffect, useRef, useState } from 'react';
import { useSession } from '../api/session';

/** What was typed and not sent, as it lies in the browser. */
type Kept<T> = { value: T; at: number };

export type Draft<T> = {
  value: T;
  /** takes the next, or makes it of what is there now */
  set: (next: T | ((now: T) => T)) => void;
  /** when it was typed, if it was found here and not typed since the screen was opened */
  foundAt?: number;
  /** it was sent, or is thrown away */
  forget: (then?: T) => void;
};

/**
 * What is typed into a long form, kept in this browser until it is sent: it is there again after a reload, a crash or a sign-out, for whoever
 * typed it.
 *
 * @param name of the form; undefined for one that is not kept
 * @param blank what nothing typed is
 */
export function useDraft<T>(name: string | undefined, blank: T): Draft<T> {
  const person = useSession().data?.person?.name;
  const key = name === undefined ? undefined : `draft ${person ?? ''} ${name}`;
  const [value, setValue] = useState(blank);
  const [foundAt, setFoundAt] = useState<number>();
  const now = useRef(value);
  const touched = useRef(false);
  const first = useRef(blank);
  useEffect(() => {
    touched.current = false;
    if (key === undefined) {
      return;
    }
    get<Kept<T>>(key).then(
      (kept) => {
        if (kept && !touched.current) {
          now.current = kept.value;
          setValue(kept.value);
          setFoundAt(kept.at);
        }
      },
      () => undefined,
    );
  }, [key]);
  const change = useCallback(
    (next: T | ((now: T) => T)) => {
      const to = typeof next === 'function' ? (next as (now: T) => T)(now.current) : next;
      touched.current = true;
      now.current = to;
      setValue(to);
      setFoundAt(undefined);
      if (key !== undefined) {
        // A browser that keeps nothing is no reason to stop typing.
        const same = JSON.stringify(to) === JSON.stringify(first.current);
        (same ? del(key) : set(key, { value: to, at: Date.now() } satisfies Kept<T>)).catch(() => undefined);
      }
    },
    [key],
  );
  const forget = useCallback((then?: T) => change(then ?? first.current), [change]);
  return { value, set: change, foundAt, forget };
}
