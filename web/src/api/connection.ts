import { useSyncExternalStore } from 'react';

/** How the shop's server answers: not at all, or busy with another program's writing and asked again by itself. */
export type Connection = 'there' | 'lost' | 'busy';

let now: Connection = 'there';
const listeners = new Set<() => void>();

function is(next: Connection) {
  if (now !== next) {
    now = next;
    for (const listener of listeners) {
      listener();
    }
  }
}

/** Whether the last request reached the server. */
export function reached(yes: boolean) {
  is(yes ? 'there' : 'lost');
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
