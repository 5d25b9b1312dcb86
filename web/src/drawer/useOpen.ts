import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useStillHere } from '../app/leaving';

type What = {
  part?: number;
  drawer?: string;
  take?: number;
  unread?: boolean;
  add?: boolean;
  orders?: boolean;
  order?: number;
  donors?: boolean;
  donor?: number;
  list?: boolean;
};

export type Open = What & {
  /** what is searched for */
  asked: string;
  ask: (words: string) => void;
  /** opens this and nothing else */
  go: (what: What) => void;
  /** opens a part beside what is open on the left */
  beside: (part?: number) => void;
};

/** What of the drawers is open: it stands in the address, so that it can be gone back to and sent to somebody. What is searched for may begin there. */
export function useOpen(): Open {
  const [params, put] = useSearchParams();
  const stillHere = useStillHere();
  // What was put in a drawer opens by itself once it is there, unless one has gone to another room meanwhile.
  const set = (next: URLSearchParams) => stillHere() && put(next);
  // An address follows too late for a hand that types.
  const [asked, ask] = useState(params.get('q') ?? '');
  const number = (name: string) => (params.has(name) ? Number(params.get(name)) : undefined);
  return {
    part: number('part'),
    drawer: params.get('drawer') ?? undefined,
    take: number('take'),
    unread: params.has('unread'),
    add: params.has('add'),
    orders: params.has('orders'),
    order: number('order'),
    donors: params.has('donors'),
    donor: number('donor'),
    list: params.has('list'),
    asked,
    ask,
    go: (what) => {
      ask('');
      set(
        new URLSearchParams(
          Object.entries(what)
            .filter(([, value]) => value !== undefined && value !== false)
            .map(([name, value]): [string, string] => [name, value === true ? '' : String(value)]),
        ),
      );
    },
    beside: (part) => {
      const next = new URLSearchParams(params);
      next.delete('add');
      part === undefined ? next.delete('part') : next.set('part', String(part));
      set(next);
    },
  };
}
