import { del, get, set } from 'idb-keyval';

/** What was typed and not sent, as it lies in the browser. */
export type Kept<T> = { value: T; at: number };

/** A browser that keeps nothing is no reason to stop typing. */
const nothing = () => undefined;

export const keep = {
  find: <T>(key: string) => get<Kept<T>>(key).catch(nothing),
  put: <T>(key: string, value: T) => set(key, { value, at: Date.now() } satisfies Kept<T>).catch(nothing),
  drop: (key: string) => del(key).catch(nothing),
};
