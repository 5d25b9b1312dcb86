import { useLayoutEffect } from 'react';

let shown: string | undefined;

/** Another room is asked for and not there yet: what is pressed now is not meant for the one that is still to be seen. */
export function leaving(): boolean {
  return shown !== undefined && shown !== window.location.pathname;
}

/** @param path of the room that is on the screen */
export function useShown(path: string) {
  useLayoutEffect(() => {
    shown = path;
    return () => {
      shown = undefined;
    };
  }, [path]);
}
