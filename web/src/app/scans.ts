/** A scanner types faster than any hand: keys that come closer than this are one burst. */
const GAP_MS = 50;
/** Shorter than this is no tag, serial or lot. */
const LEAST = 3;

type Held = { text: string; key: string };

const listeners = new Set<(text: string) => void>();

/** Calls whoever wants to know what was scanned while no field had the focus. */
export function onScan(listener: (text: string) => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * Tells a scanner from a typist. Keys of one character are held back for a moment: if they turn out to be a burst that ends with
 * Enter it was a scan, and none of them is pressed; if not, they are pressed in their order.
 *
 * @param press what a key does on the screen
 */
export function watchForScans(press: (key: string) => void) {
  let held: Held[] = [];
  let timer: ReturnType<typeof setTimeout> | undefined;

  function flush() {
    const keys = held;
    held = [];
    for (const one of keys) {
      press(one.key);
    }
  }

  return {
    /** @param key what it is called among the keys of a screen */
    typed(text: string, key: string) {
      clearTimeout(timer);
      held.push({ text, key });
      timer = setTimeout(flush, GAP_MS);
    },
    /** Whether Enter ended a scan. */
    enter(): boolean {
      clearTimeout(timer);
      if (held.length < LEAST) {
        flush();
        return false;
      }
      const text = held.map((one) => one.text).join('');
      held = [];
      for (const listener of listeners) {
        listener(text);
      }
      return true;
    },
  };
}
