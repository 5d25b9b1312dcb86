import type { Schemas } from '../api/client';
import { fastenerWidthMm } from './Fastener';

type Thing = Schemas['ThingView'];

/** Some of one thing, to be laid on the mat. */
export type Lying = { thing: Thing; count: number };

/** What is laid together: the things of one step. */
export type Heap = { key: string; label: string; lying: Lying[]; ghost: boolean };

export type Placed = { lying: Lying; spots: { x: number; y: number }[]; rowHeight: number; wide: number };
export type Cell = { heap: Heap; x: number; y: number; width: number; height: number; placed: Placed[] };
/** @param spills whether something is longer than its cell is wide */
export type Layout = { cells: Cell[]; scale: number; height: number; spills: boolean };

export const MAT_WIDTH = 780;
const COLUMNS = [2, 3];
const EDGE = 34;
const GUTTER = 20;
const LABEL = 30;
const FOOT = 28;
const PAD = 16;
/** Pixels per mm, largest first: the mat takes the largest at which all of it fits. */
const SCALES = [6.5, 6, 5, 4.2, 3.4, 2.8];

/**
 * Lays every heap into a cell, all to one scale, filling each row in counting order: in as many columns as let the scale be
 * largest.
 */
export function layOut(heaps: Heap[], height: number): Layout {
  const tried = COLUMNS.map((n) => largest(heaps, height, MAT_WIDTH, n));
  const best = tried.reduce((one, other) => (fits(other, height) > fits(one, height) ? other : one));
  return { ...best, height: Math.max(best.height, height) };
}

/** The scale if it fits; if not, how nearly it does. */
function fits(layout: Layout, height: number): number {
  return layout.height <= height && !layout.spills
    ? layout.scale
    : height / layout.height / (layout.spills ? 2 : 1);
}

function largest(heaps: Heap[], height: number, width: number, columns: number): Layout {
  let layout = atScale(heaps, SCALES[0] as number, width, columns);
  for (const scale of SCALES) {
    layout = atScale(heaps, scale, width, columns);
    if (layout.height <= height && !layout.spills) {
      break;
    }
  }
  return layout;
}

function atScale(heaps: Heap[], scale: number, all: number, columns: number): Layout {
  const width = (all - 2 * EDGE - (columns - 1) * GUTTER) / columns;
  const bottoms = new Array<number>(columns).fill(26);
  const cells = heaps.map((heap) => {
    const column = bottoms.indexOf(Math.min(...bottoms));
    const x = EDGE + column * (width + GUTTER);
    const y = (bottoms[column] as number) + 14;
    const { placed, bottom } = place(heap.lying, x + PAD, y + LABEL, width - 2 * PAD, scale);
    const height = Math.max(84, bottom - y + FOOT);
    bottoms[column] = y + height + 14;
    return { heap, x, y, width, height, placed };
  });
  const spills = cells.some((cell) => cell.placed.some((one) => one.wide > width - 2 * PAD + 14));
  return { cells, scale, height: Math.max(...bottoms) + 30, spills };
}

function place(all: Lying[], left: number, top: number, width: number, scale: number) {
  const placed: Placed[] = [];
  let y = top;
  for (const lying of all) {
    const { thing } = lying;
    const fastener = thing.group && thing.shape;
    const wide = fastener ? fastenerWidthMm(thing.shape as Schemas['FastenerShape']) * scale + 16 : 150;
    const rowHeight = fastener
      ? Math.max((thing.shape as Schemas['FastenerShape']).headDiameterMm * scale, 14) + 12
      : 50;
    const perRow = Math.max(1, Math.floor((width + 12) / wide));
    const spots = Array.from({ length: lying.count }, (_, n) => ({
      x: left + (n % perRow) * wide,
      y: y + Math.floor(n / perRow) * rowHeight + rowHeight / 2,
    }));
    placed.push({ lying, spots, rowHeight, wide });
    y += Math.ceil(lying.count / perRow) * rowHeight + 4;
  }
  return { placed, bottom: y };
}
