import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Typed } from './numeral';
import { readQuantity } from './quantity';
import { readCount, readSum } from './sum';

type Case = {
  typed: string;
  unit?: string;
  currency?: string;
  value?: number;
  minor?: number;
  count?: number;
  asks?: number[];
};

const cases: Record<'quantities' | 'sums' | 'counts', Case[]> = JSON.parse(
  readFileSync(new URL('../../../core/src/test/resources/typed-cases.json', import.meta.url), 'utf-8'),
);

function agrees(one: Case, read: Typed) {
  const wanted = one.value ?? one.minor ?? one.count;
  if (wanted !== undefined) {
    expect(read).toEqual({ read: expect.closeTo(wanted, 9) });
  } else if (one.asks) {
    expect(read).toEqual({ ask: one.asks });
  } else {
    expect(read).toHaveProperty('problem');
  }
}

/** One table of cases for core and browser: core's TypedTest runs the same. */
describe('what a person types', () => {
  it.each(cases.quantities)('quantity "$typed" in $unit', (one) =>
    agrees(one, readQuantity(one.typed, one.unit)),
  );
  it.each(cases.sums)('sum "$typed" in $currency', (one) =>
    agrees(one, readSum(one.typed, one.currency as string)),
  );
  it.each(cases.counts)('count "$typed"', (one) => agrees(one, readCount(one.typed)));
});
