import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { onScan, watchForScans } from './scans';

let pressed: string[];
let scanned: string[];
let scans: ReturnType<typeof watchForScans>;
let deaf: () => void;

beforeEach(() => {
  vi.useFakeTimers();
  pressed = [];
  scanned = [];
  scans = watchForScans((key) => pressed.push(key));
  deaf = onScan((text) => scanned.push(text));
});
afterEach(() => {
  deaf();
  vi.useRealTimers();
});

function type(text: string, gap: number) {
  for (const one of text) {
    scans.typed(one, one);
    vi.advanceTimersByTime(gap);
  }
}

test('a burst that ends with Enter is a scan, and presses nothing', () => {
  type('1WN-47', 10);
  expect(scans.enter()).toBe(true);
  vi.advanceTimersByTime(500);
  expect(pressed).toEqual([]);
  expect(scanned).toEqual(['1WN-47']);
});

test('keys of a hand are pressed in their order, and Enter stays what it is', () => {
  type('XK', 120);
  expect(pressed).toEqual(['X', 'K']);
  expect(scans.enter()).toBe(false);
  type('10', 20);
  vi.advanceTimersByTime(60);
  expect(pressed).toEqual(['X', 'K', '1', '0']);
  expect(scanned).toEqual([]);
});
