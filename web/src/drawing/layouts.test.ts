import { describe, expect, it } from 'vitest';
import type { Schemas } from '../api/client';
import { accessLayout, needed, smooth } from './accessLayout';
import { type Cell, type Heap, layOut, MAT_WIDTH } from './matLayout';

/** The same numbers each time: a failure can be looked at again. */
function numbers(seed: number) {
  let state = seed;
  return (below: number) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
}

function heap(key: number, next: (below: number) => number): Heap {
  const lying = Array.from({ length: 1 + next(4) }, (_, n) => {
    const screw = next(3) > 0;
    const count = 1 + next(screw ? 9 : 2);
    const thing = {
      id: `${key}-${n}`,
      label: `screws ${n}`,
      kind: screw ? 'FASTENER' : 'CONNECTOR',
      count,
      accounts: { TRAY: count },
      group: screw
        ? { id: `${key}-${n}`, head: 'CROSS', diameterMm: 2 + next(3), lengthMm: 4 + next(16), count }
        : undefined,
      shape: screw ? { headDiameterMm: 4 + next(5), headHeightMm: 1 + next(3) } : undefined,
    } as unknown as Schemas['ThingView'];
    return { thing, count };
  });
  return { key: `${key}`, label: `step ${key}`, lying, ghost: false };
}

const overlap = (one: Cell, other: Cell) =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height;

describe('the mat', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('lays out everything once, in its cell, to one scale (%i)', (seed) => {
    const next = numbers(seed);
    const heaps = Array.from({ length: 1 + next(12) }, (_, n) => heap(n, next));
    const height = 400 + next(900);
    const layout = layOut(heaps, height);

    expect(layout.cells.map((cell) => cell.heap.key)).toEqual(heaps.map((one) => one.key));
    for (const cell of layout.cells) {
      expect(cell.x).toBeGreaterThan(0);
      expect(cell.x + cell.width).toBeLessThan(MAT_WIDTH);
      expect(cell.y + cell.height).toBeLessThanOrEqual(layout.height);
      for (const { lying, spots } of cell.placed) {
        expect(spots).toHaveLength(lying.count);
        for (const { x, y } of spots) {
          expect(x).toBeGreaterThanOrEqual(cell.x);
          expect(x).toBeLessThan(cell.x + cell.width);
          expect(y).toBeGreaterThanOrEqual(cell.y);
          expect(y).toBeLessThan(cell.y + cell.height);
        }
        expect(new Set(spots.map(({ x, y }) => `${x} ${y}`)).size).toBe(lying.count);
      }
    }
    const pairs = layout.cells.flatMap((one, n) => layout.cells.slice(n + 1).map((other) => [one, other]));
    expect(pairs.filter(([one, other]) => overlap(one as Cell, other as Cell))).toEqual([]);
  });

  it('is as large as it can be: fewer things are never drawn smaller', () => {
    const next = numbers(42);
    const heaps = Array.from({ length: 9 }, (_, n) => heap(n, next));
    const scales = heaps.map((_, n) => layOut(heaps.slice(0, n + 1), 700).scale);
    expect(scales).toEqual([...scales].sort((a, b) => b - a));
  });
});

const step = (id: string, needs: string[], insteadOf = '', exposes: number[] = []) =>
  ({
    id,
    title: `${id} comes off with all that hangs on it`,
    needs,
    insteadOf,
    exposes,
  }) as Schemas['StepSaid'];

describe('the map of the way in', () => {
  const steps = [
    step('case', []),
    step('shield', ['case'], '', [1, 2]),
    step('door by hand', ['case'], 'door'),
    step('door by motor', ['case'], 'door'),
    step('drive', ['shield', 'door'], '', [3]),
    step('board', ['drive'], '', [4, 5, 6]),
  ];
  const map = accessLayout(steps, new Map([[1, 'fan']]));

  it('has what comes off first on the left, and nothing on top of another', () => {
    const at = new Map(map.boxes.map((box) => [box.step.id, box]));
    for (const one of steps) {
      for (const need of needed(one, steps)) {
        const before = at.get(need);
        expect((before?.x ?? 0) + (before?.width ?? 0)).toBeLessThan(at.get(one.id)?.x ?? 0);
      }
    }
    for (const [n, one] of map.boxes.entries()) {
      for (const other of map.boxes.slice(n + 1)) {
        const apart =
          one.x + one.width <= other.x ||
          other.x + other.width <= one.x ||
          Math.abs(one.y - other.y) >= one.head;
        expect(apart, `${one.step.id} and ${other.step.id}`).toBe(true);
      }
    }
  });

  it('goes from each need to what needs it, by every member of a group', () => {
    expect(map.paths.map(({ from, to }) => `${from} → ${to}`).sort()).toEqual(
      [
        'case → door by hand',
        'case → door by motor',
        'case → shield',
        'door by hand → drive',
        'door by motor → drive',
        'drive → board',
        'shield → drive',
      ].sort(),
    );
    for (const { points } of map.paths) {
      expect(smooth(points)).toMatch(/^M[\d.]+ [\d.]+(C[\d. -]+)+$/);
    }
  });

  it('says a long title in two lines at most, and names what lies behind', () => {
    for (const box of map.boxes) {
      expect(box.title.length).toBeLessThanOrEqual(2);
      expect(Math.max(...box.title.map((line) => line.length))).toBeLessThanOrEqual(20);
    }
    expect(map.boxes[1]?.behind).toEqual(['fan', '']);
  });
});
