import { describe, expect, it } from 'vitest';
import { said } from './said';

/** What is sent, or what its field says. */
function sent(
  check: {
    safeParse: (typed: unknown) => {
      success: boolean;
      data?: unknown;
      error?: { issues: { message: string }[] };
    };
  },
  typed: unknown,
) {
  const read = check.safeParse(typed);
  return read.success ? read.data : `! ${read.error?.issues[0]?.message}`;
}

describe('what a field holds and sends', () => {
  it('words, without the spaces around them', () => {
    expect(sent(said.words('Say why'), '  the owner asked ')).toBe('the owner asked');
    expect(sent(said.words('Say why'), '   ')).toBe('! Say why');
  });

  it('a sum in minor units, by the rules of what people type', () => {
    expect(sent(said.sum('EUR'), '12,50')).toBe(1250);
    expect(sent(said.sum('EUR'), '€ 1.234,5')).toBe(123450);
    expect(sent(said.sum('JPY'), '1200')).toBe(1200);
    expect(sent(said.sum('EUR'), '1.234')).toBe('! Say which is meant');
    expect(sent(said.sum('EUR'), 'a lot')).toBe('! Such as 4.50');
    expect(sent(said.sumIfAny('EUR'), ' ')).toBeUndefined();
    expect(sent(said.sumIfAny('EUR'), '3')).toBe(300);
  });

  it('a quantity in the unit that is asked for', () => {
    expect(sent(said.quantity('Ω', 'Measure it'), '0,12')).toBe(0.12);
    expect(sent(said.quantity('Ω', 'Measure it'), '4k7')).toBe(4700);
    expect(sent(said.quantity('Ω', 'Measure it'), '')).toBe('! Measure it');
    expect(sent(said.quantity('mm', ''), '3 V')).toBe('! "3 V" is not in mm');
    expect(sent(said.quantityIfAny('mm'), '')).toBeUndefined();
  });

  it('a count within its bounds', () => {
    expect(sent(said.count(1, 99), 7)).toBe(7);
    expect(sent(said.count(1, 99), 0)).toBe('! At least 1');
    expect(sent(said.count(1, 99), 100)).toBe('! At most 99');
    expect(sent(said.count(1, 99), Number.NaN)).toBe('! A whole number, 1 to 99');
    expect(sent(said.count(1, 99), 1.5)).toBe('! A whole number');
  });

  it('names with commas between them', () => {
    expect(sent(said.listed, ' fan, , drive plug')).toEqual(['fan', 'drive plug']);
  });
});
