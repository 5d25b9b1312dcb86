import { useState } from 'react';

/** What is typed into the fields of a gauge: all of it, a way to set all of it, and one to set a field. */
export function useTyped<T extends Record<string, string>>(blank: T) {
  const [said, say] = useState(blank);
  const set = (field: keyof T) => (typed: string) => say((now) => ({ ...now, [field]: typed }));
  return [said, say, set] as const;
}
