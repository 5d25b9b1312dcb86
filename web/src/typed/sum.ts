import { numberLocale } from '../api/shopWide';
import { numerals, plain, type Typed } from './numeral';

const SIGNS: Record<string, string> = { EUR: '€', GBP: '£', USD: '$', JPY: '¥' };
const MOST_DIGITS = 13;

/** How many digits a currency has after the mark. */
export function digitsOf(currency: string): number {
  const money = new Intl.NumberFormat('en-GB', { style: 'currency', currency });
  return money.resolvedOptions().maximumFractionDigits ?? 2;
}

/** Minor units of a sum of money in the shop's currency; asks if it can be read in two ways. As core.typed.Sum. */
export function readSum(typed: string, currency: string): Typed {
  let text = plain(typed);
  for (const sign of [currency, SIGNS[currency] ?? '']) {
    if (sign && text.startsWith(sign)) {
      text = text.slice(sign.length).trim();
    } else if (sign && text.endsWith(sign)) {
      text = text.slice(0, -sign.length).trim();
    }
  }
  const digits = digitsOf(currency);
  const readings = numerals(text);
  if (readings.length === 2) {
    return { ask: readings.map((one) => Math.round(Number(one) * 10 ** digits)) };
  }
  const [whole, part = ''] = (readings[0] ?? '').split('.');
  if (whole === undefined || whole === '') {
    return { problem: `Such as ${(4.5).toFixed(digits)}` };
  }
  const tail = part.replace(/0+$/, '');
  if (tail.length > digits) {
    return { problem: `${currency} has ${digits === 0 ? 'no' : digits} digits after the mark: write fewer` };
  }
  const minor = `${whole}${tail.padEnd(digits, '0')}`.replace(/^0+(?=\d)/, '');
  return minor.length > MOST_DIGITS
    ? { problem: 'That is more than a shop can owe' }
    : { read: Number(minor) };
}

/** Minor units of a sum that can be read in one way; undefined if nothing was typed, NaN if it cannot be read so. */
export function minorOf(typed: string, currency: string): number | undefined {
  const sum = typed.trim() ? readSum(typed, currency) : undefined;
  return sum && ('read' in sum ? sum.read : Number.NaN);
}

/** A whole number, 0 or more. As core.typed.Sum.count. */
export function readCount(typed: string): Typed {
  const whole = numerals(plain(typed))
    .map(Number)
    .filter((one) => Number.isInteger(one) && one < 1e9);
  return whole.length > 0
    ? { read: whole[0] as number }
    : { problem: 'A count is a whole number, such as 12' };
}

/** A sum in minor units, as people here write it. */
export function money(minor: number, currency: string): string {
  return (minor / 10 ** digitsOf(currency)).toLocaleString(numberLocale(), { style: 'currency', currency });
}

/** A sum in minor units as it can be typed again: "12.50". */
export function plainSum(minor: number, currency: string): string {
  const digits = digitsOf(currency);
  return (minor / 10 ** digits).toFixed(digits);
}
