import { useEffect } from 'react';

/** What the tab of the browser says: the room, or the unit before it. */
export function useTitle(words: string) {
  useEffect(() => {
    document.title = `${words} · Wrench Notes`;
  }, [words]);
}
