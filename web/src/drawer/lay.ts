import type { Schemas } from '../api/client';
import { shapeOf } from '../drawing/PartDrawing';

/** @param shrunk what is too large for a drawer's drawing is drawn smaller than to scale */
export type Laid = { lies: Schemas['Lies']; x: number; y: number; shrunk: number };

const GAP = 7;
const MOST_PER_MM = 5;
const LEAST_PER_MM = 0.4;
/** Boards, drives and leads would make a speck of everything else. */
const LARGEST_MM = 46;
const LARGE = new Set(['BOARD', 'DRIVE', 'LEAD']);

/** Lays what is in a drawer out in rows, all to one scale, the largest at which everything goes in; what still does not stays out. */
export function lay(all: Schemas['Lies'][], width: number, height: number): { scale: number; laid: Laid[] } {
  for (let scale = MOST_PER_MM; ; scale *= 0.9) {
    const laid = rows(all, width, height, scale);
    if (laid.length === all.length || scale < LEAST_PER_MM) {
      return { scale, laid };
    }
  }
}

function rows(all: Schemas['Lies'][], width: number, height: number, scale: number): Laid[] {
  const laid: Laid[] = [];
  let x = GAP;
  let y = GAP;
  let tall = 0;
  for (const lies of all) {
    const shape = shapeOf(lies);
    const shrunk = LARGE.has(lies.part.spec?.kind ?? '')
      ? Math.min(1, LARGEST_MM / Math.max(shape.wideMm, shape.highMm))
      : 1;
    const [w, h] = [shape.wideMm * scale * shrunk, shape.highMm * scale * shrunk];
    if (x + w + GAP > width && x > GAP) {
      x = GAP;
      y += tall + GAP;
      tall = 0;
    }
    if (x + w + GAP > width || y + h + GAP > height) {
      return laid;
    }
    laid.push({ lies, x, y, shrunk });
    x += w + GAP;
    tall = Math.max(tall, h);
  }
  return laid;
}
