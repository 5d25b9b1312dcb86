import { useSyncExternalStore } from 'react';

let lost = false;
const listeners = new Set<() => void>();

/** Whether the last request reached the server. */
export function reached(yes: boolean) {
  if (lost === yes) {
    lost = !yes;
    for (const listener of listeners) {
      listener();
    }
  }
}

window.addEventListener('offline', () => reached(false));

export function useConnectionLost(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => lost,
  );
}
