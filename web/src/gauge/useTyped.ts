import { useEffect, useState } from 'react';
import { useLocation, useSearchParams } from 'react-router';

/** What was typed into this gauge before, in this window. */
function kept<T extends object>(key: string): Partial<T> {
  try {
    return JSON.parse(sessionStorage.getItem(key) ?? '{}') as Partial<T>;
  } catch {
    return {};
  }
}

/**
 * What is typed into the fields of a gauge, kept as it was typed while one goes away and comes back; opened from a job's record it
 * is what was typed then. All of it, a way to set all of it, and one to set a field.
 */
export function useTyped<T extends object>(gauge: string, blank: T) {
  const key = `gauge ${gauge} ${useSearchParams()[0].get('job') ?? ''}`;
  const opened = useLocation().state?.typed as Partial<T> | undefined;
  const [said, say] = useState<T>(() => ({ ...blank, ...(opened ?? kept<T>(key)) }));
  useEffect(() => sessionStorage.setItem(key, JSON.stringify(said)), [key, said]);
  // Opened once: a reload shows what is typed by then.
  useEffect(() => window.history.replaceState({ ...window.history.state, usr: null }, ''), []);
  const set =
    <F extends keyof T>(field: F) =>
    (typed: T[F]) =>
      say((now) => ({ ...now, [field]: typed }));
  return [said, say, set] as const;
}
