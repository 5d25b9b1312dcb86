import { useState } from 'react';
import { useSearchParams } from 'react-router';

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
  const [params, set] = useSearchParams();
  // An address follows too late for a hand that types.
  const [asked, ask] = useState(params.get('q') ?? '');
  const number = (name: string) => (params.has(name) ? Number(params.get(name)) : undefined);
  const put = (change: (next: URLSearchParams) => void) =>
    set((before) => {
      const next = new URLSearchParams(before);
      change(next);
      return next;
    });
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
        Object.entries(what)
          .filter(([, value]) => value !== undefined && value !== false)
          .map(([name, value]): [string, string] => [name, value === true ? '' : String(value)]),
      );
    },
    beside: (part) =>
      put((next) => {
        next.delete('add');
        part === undefined ? next.delete('part') : next.set('part', String(part));
      }),
  };
}
