import { useSearchParams } from 'react-router';
import type { Schemas } from '../api/client';
import type { paths } from '../api/schema';

/** What the room is narrowed to, as the API takes it. */
export type Query = NonNullable<paths['/api/patterns']['get']['parameters']['query']>;

export type Looked = {
  query: Query;
  months: number;
  /** the fault that is picked, as revision and fault */
  picked?: { on: number; fault: number };
  narrowed: boolean;
  /** narrows by these too; undefined takes one away */
  narrow: (change: Partial<Record<keyof Query, string | number | undefined>>) => void;
  pick: (fault: Pick<Schemas['FaultPattern'], 'revisionId' | 'faultId'>) => void;
  widen: () => void;
  /** what stands in the address of a table of the same */
  asTable: string;
};

const NUMBERS = ['months', 'model', 'revision', 'supplier', 'owner'] as const;
const WORDS = ['kind', 'component', 'remedy', 'ownership', 'since'] as const;
const USUAL_MONTHS = 18;

/** All of it stands in the address: it can be gone back to, and sent to somebody. */
export function useLooked(): Looked {
  const [params, set] = useSearchParams();
  const query: Record<string, string | number> = {};
  for (const name of NUMBERS) {
    const value = Number(params.get(name));
    if (params.get(name) && Number.isFinite(value)) {
      query[name] = value;
    }
  }
  for (const name of WORDS) {
    const value = params.get(name);
    if (value) {
      query[name] = value;
    }
  }
  const put = (change: (next: URLSearchParams) => void) =>
    set((before) => {
      const next = new URLSearchParams(before);
      change(next);
      return next;
    });
  const on = Number(params.get('on'));
  const fault = Number(params.get('fault'));
  return {
    query: query as Query,
    months: Number(query.months ?? USUAL_MONTHS),
    picked: on && fault ? { on, fault } : undefined,
    narrowed: Object.keys(query).some((name) => name !== 'months'),
    narrow: (change) =>
      put((next) => {
        for (const [name, value] of Object.entries(change)) {
          value === undefined || value === '' ? next.delete(name) : next.set(name, String(value));
        }
      }),
    pick: (one) =>
      put((next) => {
        next.set('on', String(one.revisionId));
        next.set('fault', String(one.faultId));
      }),
    widen: () =>
      put((next) => {
        for (const name of [...NUMBERS, ...WORDS]) {
          name !== 'months' && next.delete(name);
        }
      }),
    asTable: new URLSearchParams(
      Object.entries(query).map(([name, value]) => [name, String(value)]),
    ).toString(),
  };
}
