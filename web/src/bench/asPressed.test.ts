import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { asPressed } from './asPressed';
import type { Bench, Press } from './press';

const thing = (id: string, accounts: Record<string, number>, usedUp = false) =>
  ({ id, accounts, usedUp }) as unknown as Schemas['ThingView'];
const step = (id: string, open: boolean, things: Schemas['ThingView'][]) =>
  ({ id, title: id, open, things }) as unknown as Schemas['StepView'];
const heed = { what: 'HEED', hazard: { step: 'deck' } } as unknown as Schemas['SayFirst'];

const bench = {
  version: 4,
  stand: { closed: true },
  way: {
    nextIn: 'lid',
    keepApart: [],
    steps: [
      step('lid', false, [thing('screws', { FITTED: 3, REPLACED: 1 }), thing('seal', { FITTED: 1 }, true)]),
      step('deck', false, [thing('plug', { FITTED: 1 })]),
      step('drive', false, [thing('bolts', { FITTED: 2, LOST: 1 })]),
    ],
    comingIn: [
      { step: 'lid', sayFirst: [], keepApart: [] },
      { step: 'deck', sayFirst: [heed], keepApart: ['Keep apart, one and the other.'] },
      { step: 'drive', sayFirst: [], keepApart: [] },
    ],
    comingOut: [],
  },
} as unknown as Bench;

const into = (id: string): Press => ({ act: 'in', step: id, said: { found: [] } });
const out = (id: string): Press => ({ act: 'out', step: id, settled: [] });
const lies = (now: Bench) =>
  now.way.steps.flatMap((one) => one.things.map(({ id, accounts }) => `${id} ${accounts.TRAY ?? 0}`));

describe('the bench as it was pressed', () => {
  it('lays off what comes off, and stands before the next step with what has to be said and kept apart', () => {
    const now = asPressed(bench, [into('lid')]);
    expect(lies(now)).toEqual(['screws 4', 'seal 0', 'plug 0', 'bolts 0']);
    expect(now.stand.closed).toBe(false);
    expect(now.way.nextIn).toBe('deck');
    expect(now.way.nextOut).toBe('lid');
    expect(now.way.keepApart).toEqual(['Keep apart, one and the other.']);
    expect(now.way.steps[1]?.sayFirst).toEqual(heed);
    expect(asPressed(now, [{ act: 'heed', step: 'deck' }]).way.steps[1]?.sayFirst).toBeUndefined();
  });

  it('goes in and out again through as many as are pressed, and what is lost stays lost', () => {
    const all = asPressed(bench, [into('lid'), { act: 'heed', step: 'deck' }, into('deck'), into('drive')]);
    expect(all.way.nextIn).toBeUndefined();
    expect(all.way.nextOut).toBe('drive');
    const back = asPressed(all, [out('drive'), out('deck'), out('lid')]);
    expect(back.way.nextOut).toBeUndefined();
    expect(lies(back).every((one) => one.endsWith(' 0'))).toBe(true);
    expect(back.way.steps[2]?.things[0]?.accounts).toEqual({ FITTED: 2, LOST: 1 });
    expect(back.version).toBe(bench.version + 7);
  });

  it('is as it was if the server has heard already', () => {
    const heard = asPressed(bench, [into('lid')]);
    expect(lies(asPressed(heard, [into('lid')]))).toEqual(lies(heard));
  });
});
