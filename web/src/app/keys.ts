import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';
import { leaving } from './leaving';
import { watchForScans } from './scans';

/** One key and what it does on the screen that is open. @property everywhere whether it is no room's: it acts while one is left for another, too */
export type Key = { key: string; label: string; act: () => void; off?: boolean; everywhere?: boolean };

const screens = new Set<{ keys: Key[] }>();
const listeners = new Set<() => void>();
let listed: Key[] = [];

function renew() {
  listed = [...screens].flatMap((screen) => screen.keys.filter((key) => !key.off));
  for (const listener of listeners) {
    listener();
  }
}

function typing(target: EventTarget | null): boolean {
  return target instanceof HTMLElement && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName);
}

/** A dialog is in front: what is behind it is not pressed. */
function covered(): boolean {
  return document.querySelector('[role="dialog"][data-state="open"]') !== null;
}

/** Whether a key may act at all; that a scanner types is heard either way. */
function acts(name: string): boolean {
  return name.length > 1 || name === '?' || singleKeys.on();
}

function act(name: string) {
  if (!covered() && acts(name)) {
    listed.find((one) => one.key === name && (one.everywhere || !leaving()))?.act();
  }
}

/** On a layout with other letters a key is called by where it lies: the one that is Q elsewhere. */
export function nameOf({ key, code }: { key: string; code: string }): string {
  if (key === ' ') {
    return 'Space';
  }
  const letter = /^Key([A-Z])$/.exec(code)?.[1];
  return key.length > 1 ? key : letter && !/^[\x20-\x7e]$/.test(key) ? letter : key.toUpperCase();
}

const OFF = 'single keys are off';

/** Whether keys of one letter or digit act on this device; what asks for them still lists them. */
export const singleKeys = {
  on: () => localStorage.getItem(OFF) === null,
  set(on: boolean) {
    if (on) {
      localStorage.removeItem(OFF);
    } else {
      localStorage.setItem(OFF, 'yes');
    }
  },
};

const scans = watchForScans(act);

function pressed(event: KeyboardEvent) {
  if (event.altKey || event.ctrlKey || event.metaKey || typing(event.target) || event.repeat) {
    return;
  }
  if (event.key === 'Enter' && scans.enter()) {
    event.preventDefault();
    return;
  }
  const name = nameOf(event);
  // A focused button keeps its own Space and Enter, but for the one act that is the screen's main key.
  const known = !covered() && acts(name) && listed.some((one) => one.key === name);
  if (known) {
    event.preventDefault();
  }
  if (event.key.length === 1) {
    scans.typed(event.key, name);
  } else if (known) {
    act(name);
  }
}

window.addEventListener('keydown', pressed);

/** Gives the screen its keys while it is shown. */
export function useKeys(keys: Key[]) {
  const screen = useRef<{ keys: Key[] }>({ keys });
  screen.current.keys = keys;
  // In the same breath as they are drawn: what stands on a button is what its key does, however busy the machine is.
  useLayoutEffect(() => {
    const own = screen.current;
    screens.add(own);
    renew();
    return () => {
      screens.delete(own);
      renew();
    };
  }, []);
  // What a key does changes with every render; who listens to the list does not.
  useLayoutEffect(renew);
}

export function useListedKeys(): Key[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => listed,
  );
}
