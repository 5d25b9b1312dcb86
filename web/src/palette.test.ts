import { describe, expect, it } from 'vitest';
import { BENCH, FIXED, ROOMS } from './palette';

/** Relative luminance and contrast ratio: WCAG 2.2, definitions of the same names. */
function luminance(hex: string): number {
  const [r, g, b] = [1, 3, 5].map((at) => {
    const part = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(one: string, other: string): number {
  const [dark, light] = [luminance(one), luminance(other)].sort((a, b) => a - b) as [number, number];
  return (light + 0.05) / (dark + 0.05);
}

type Room = keyof typeof ROOMS;
type Bench = keyof typeof BENCH;

const PAPERS: Room[] = ['paper', 'card'];
const WORDS: Room[] = ['ink', 'muted', 'mat', 'chalk', 'brassInk', 'amberInk', 'hazard'];
/** Words that stand on a paper of their own. */
const PAIRS: [Room, Room][] = [
  ['onMat', 'mat'],
  ['onMat', 'hazard'],
  ['onMat', 'chalk'],
  ['brassOnMat', 'mat'],
  ['onMat', 'amber'],
  ['hazardInk', 'hazardPaper'],
  ['ink', 'field'],
  ['ink', 'goodPaper'],
  ['ink', 'matPaper'],
  ['ink', 'brassPaper'],
  ['ink', 'differs'],
  ['ink', 'waitPaper'],
  ['ink', 'meterPaper'],
  ['ink', 'badPale'],
];
const BENCH_PAIRS: [Bench, Bench][] = [
  ['bone', 'matSurface'],
  ['bone', 'matDeep'],
  ['chalkDust', 'matSurface'],
  ['chalkDust', 'matDeep'],
  ['brassLight', 'matSurface'],
  ['brassPale', 'matDeep'],
  ['onBrass', 'brassLight'],
  ['onBrass', 'brassHover'],
  ['hazardPale', 'hazardDeep'],
];

describe('every word can be read on its paper: 4.5 to 1 (WCAG 2.2, 1.4.3), whatever the light', () => {
  it('knows black on white', () => {
    expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
    // Worked by hand in many a guide: the lightest grey that white can bear.
    expect(contrast('#767676', '#FFFFFF')).toBeGreaterThan(4.5);
    expect(contrast('#777777', '#FFFFFF')).toBeLessThan(4.5);
  });

  const pairs = [...PAPERS.flatMap((paper) => WORDS.map((word) => [word, paper] as [Room, Room])), ...PAIRS];
  it.each(pairs)('%s on %s', (word, paper) => {
    for (const light of [0, 1] as const) {
      expect(contrast(ROOMS[word][light], ROOMS[paper][light])).toBeGreaterThanOrEqual(4.5);
    }
  });

  it.each(BENCH_PAIRS)('%s on %s of the bench', (word, paper) => {
    for (const light of [0, 1] as const) {
      expect(contrast(BENCH[word][light], BENCH[paper][light])).toBeGreaterThanOrEqual(4.5);
    }
  });

  it('masking tape', () => expect(contrast(FIXED.onTape, FIXED.tape)).toBeGreaterThan(4.5));
});
