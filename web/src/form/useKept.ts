import { useMemo } from 'react';
import { useSession } from '../api/session';
import { keep } from './keep';
import { keyOf } from './useSending';

/** Whether something was begun in a form of this name, by whoever is at work, and not sent yet. */
export function useKept(kept: string): boolean {
  const person = useSession().data?.person?.name;
  return useMemo(() => keep.find(keyOf(person, kept)) !== undefined, [person, kept]);
}
