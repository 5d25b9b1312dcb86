import { useSyncExternalStore } from 'react';

/** How the shop's server answers: not at all, or busy with another program's writing and asked again by itself. */
export type Connection = 'there' | 'lost' | 'busy';

let now: Connection = 'there';
const listeners = new Set<() => void>();
const returns = new Set<() => void>();

function is(next: Connection) {
  if (now !== next) {
    const back = now === 'lost' && next === 'there';
    now = next;
    for (const listener of [...listeners, ...(back ? returns : [])]) {
      listener();
    }
  }
}

/** Whether the last request reached the server. */
export function reached(yes: boolean) {
  is(yes ? 'there' : 'lost');
}

/** What is done each time the server answers again after it did not. */
export function whenBack(listener: () => void) {
  returns.add(listener);
}

export function busy() {
  is('busy');
}

window.addEventListener('offline', () => reached(false));

export function useConnection(): Connection {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => now,
  );
}
