import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { countWords, howMany } from '../drawing/howMany';
import { absent, heaps, owedAccount } from './heaps';
import { type Bench, pressWords, through } from './press';

type Thing = Schemas['ThingView'];

const thing = (id: string, accounts: Thing['accounts'], kind: Thing['kind'] = 'FASTENER') =>
  ({
    id,
    kind,
    label: id,
    counted: true,
    count: Object.values(accounts).reduce((a, b) => a + b, 0),
    accounts,
  }) as Thing;

const lid = {
  id: 'lid',
  title: 'Lid off',
  cell: '',
  things: [thing('lid screws', { TRAY: 3, FITTED: 0, LOST: 1 }), thing('fan plug', { TRAY: 1 }, 'CONNECTOR')],
} as unknown as Schemas['StepView'];
const drive = {
  id: 'drive',
  title: 'Drive out',
  cell: 'B2',
  things: [thing('drive screws', { FITTED: 4, REPLACED: 1 }), thing('foam', { LEFT_OUT: 1 }, 'PIECE')],
} as unknown as Schemas['StepView'];
const lying = (all: ReturnType<typeof heaps>) =>
  all.map((one) => ({
    [one.label]: one.lying.map(({ thing: { id }, count }) => `${count} ${id}`),
    ghost: one.ghost,
  }));

describe('what lies on the mat', () => {
  it('is what is in the tray, with what the coming step takes off as a ghost', () => {
    expect(lying(heaps([lid, drive], drive))).toEqual([
      { 'Lid off': ['3 lid screws', '1 fan plug'], ghost: false },
      { B2: ['5 drive screws'], ghost: true },
    ]);
  });

  it('leaves out what is neither in its place nor on the mat, and says where that is', () => {
    expect(
      absent([lid, drive]).map(({ thing: { id }, account, count }) => `${count} ${id} ${account}`),
    ).toEqual(['1 lid screws LOST', '1 foam LEFT_OUT']);
    expect(owedAccount(lid.things[0] as Thing)).toBe('LOST');
    expect(owedAccount(drive.things[0] as Thing)).toBe('TRAY');
  });

  it('is counted in words', () => {
    expect(countWords([])).toBe('nothing');
    expect(countWords([...lid.things, ...drive.things])).toBe('9 fasteners, 1 plug, 1 loose');
    const lot = { kind: 'FASTENER' as const, count: 1, counted: false, label: 'lid screws' };
    expect(countWords([lot])).toBe('not counted');
    expect(countWords([lot, ...drive.things])).toBe('5 fasteners, 1 loose, some not counted');
    expect(howMany(lot, 1)).toBe('lid screws, not counted');
  });
});

describe('a press', () => {
  const bench = { way: { steps: [lid, drive] } } as unknown as Bench;

  it('is named with its step while it waits', () => {
    expect(pressWords({ act: 'in', step: 'drive', said: { found: [] } }, bench)).toMatch(/^Drive out: /);
    expect(pressWords({ act: 'close' }, bench)).toBe('closed up');
  });

  it('sends its form only when it went through', async () => {
    await expect(through(Promise.resolve(true))).resolves.toBeUndefined();
    await expect(through(Promise.resolve(false))).rejects.toThrow();
  });
});
