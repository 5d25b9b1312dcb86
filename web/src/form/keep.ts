/** What was typed and not sent, as it lies in the browser. */
export type Kept<T> = { value: T; at: number };

/** A browser that keeps nothing, or has no room left, is no reason to stop typing. */
function unless<T>(does: () => T): T | undefined {
  try {
    return does();
  } catch {
    return undefined;
  }
}

/** Written before the key press is over: what is written later is lost by a reload that follows at once. */
export const keep = {
  find: <T>(key: string): Kept<T> | undefined =>
    unless(() => JSON.parse(localStorage.getItem(key) ?? 'null') ?? undefined),
  put: <T>(key: string, value: T) =>
    unless(() => localStorage.setItem(key, JSON.stringify({ value, at: Date.now() } satisfies Kept<T>))),
  drop: (key: string) => unless(() => localStorage.removeItem(key)),
};
