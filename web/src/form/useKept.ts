import { useEffect, useState } from 'react';
import { useSession } from '../api/session';
import { keep } from './keep';
import { keyOf } from './useSending';

/** Whether something was begun in a form of this name, by whoever is at work, and not sent yet. */
export function useKept(kept: string): boolean {
  const person = useSession().data?.person?.name;
  const [begun, setBegun] = useState(false);
  useEffect(() => {
    let here = true;
    keep.find(keyOf(person, kept)).then((found) => here && setBegun(found !== undefined));
    return () => {
      here = false;
    };
  }, [person, kept]);
  return begun;
}
