import { afterEach, describe, expect, it } from 'vitest';
import type { Schemas } from './client';
import { day, dayForField, figure, figures, moment, momentOf, wallClock, writeAs } from './shopWide';

type Shop = Schemas['ShopSettings'];

function written(decimal: Shop['decimal'], dates: Shop['dates'], zone = 'Europe/Lisbon') {
  writeAs({ decimal, dates, zone } as Shop);
}

// Summer time in Lisbon: an hour before UTC's clock strikes.
const AT = '2026-07-05T23:30:00Z';

describe('how a shop writes', () => {
  afterEach(() => written('POINT', 'DAY_FIRST'));

  it('numbers, and figures within words that the core made: as core.shop.DecimalMark', () => {
    written('COMMA', 'DAY_FIRST');
    expect(figure(1234.5)).toBe('1234,5');
    expect(figure(0.26, 1)).toBe('0,3');
    expect(figures('Earth 0.12 Ω of 0.3. Lead sound, see 4.5.')).toBe(
      'Earth 0,12 Ω of 0,3. Lead sound, see 4,5.',
    );
    written('POINT', 'DAY_FIRST');
    expect(figure(1234.5)).toBe('1234.5');
    expect(figures('2.9 × 12 mm')).toBe('2.9 × 12 mm');
  });

  it.each([
    ['DAY_FIRST', '6 Jul 2026', '6 Jul, 00:30'],
    ['MONTH_FIRST', 'Jul 6, 2026', 'Jul 6, 00:30'],
    ['YEAR_FIRST', '2026-07-06', '07-06, 00:30'],
  ] as const)('days and moments, %s, by its own clock', (order, whole, at) => {
    written('POINT', order);
    expect(day(AT)).toBe(whole);
    expect(moment(AT)).toBe(at);
    expect(dayForField(AT)).toBe('2026-07-06');
  });

  it('what is typed as a moment is read by the clock on its wall', () => {
    written('POINT', 'DAY_FIRST');
    expect(momentOf('2026-07-06T00:30')).toBe('2026-07-05T23:30:00.000Z');
    expect(wallClock(Date.parse(AT))).toBe('2026-07-06T00:30');
  });
});
