import { useCallback, useLayoutEffect } from 'react';
import { type NavigateOptions, useLocation, useNavigate } from 'react-router';

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

/** Whether nobody has gone to another room since this one was drawn: to be asked when an answer has come. */
export function useStillHere(): () => boolean {
  const here = useLocation().pathname;
  return useCallback(() => window.location.pathname === here, [here]);
}

/** Goes to the place of what an answer is about; whoever has gone to another room meanwhile is not fetched from there. */
export function useGoOn(): (to: string, options?: NavigateOptions) => void {
  const navigate = useNavigate();
  const stillHere = useStillHere();
  return useCallback(
    (to, options) => {
      if (stillHere()) {
        navigate(to, options);
      }
    },
    [navigate, stillHere],
  );
}
