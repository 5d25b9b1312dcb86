import { useSyncExternalStore } from 'react';

/** What this device is at the bench: its name, and whether gloves are worn before it. */
function remembered(place: string) {
  const listeners = new Set<() => void>();
  const now = () => localStorage.getItem(place) ?? '';
  return {
    now,
    set(words: string) {
      words ? localStorage.setItem(place, words) : localStorage.removeItem(place);
      for (const listener of listeners) {
        listener();
      }
    },
    subscribe(listener: () => void) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}

export const benchName = remembered('wn.bench');
export const gloves = remembered('wn.gloves');

/** As this browser was called once; empty if nobody has. */
export function useBenchName(): string {
  return useSyncExternalStore(benchName.subscribe, benchName.now);
}

/** Half as many targets, twice as large. */
export function useGloves(): boolean {
  return useSyncExternalStore(gloves.subscribe, gloves.now) !== '';
}
