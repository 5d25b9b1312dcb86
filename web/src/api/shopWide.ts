import type { Schemas } from './client';

/** How this shop writes dates, times and sums. Set when the session answers, before anything of the shop is drawn. */
let zone: string | undefined;
let locale = 'en-GB';
let order: Schemas['ShopSettings']['dates'] = 'DAY_FIRST';

export function writeAs({ zone: where, decimal, dates }: Schemas['ShopSettings']) {
  zone = where;
  locale = decimal === 'COMMA' ? 'de-DE' : 'en-GB';
  order = dates;
}

/** For numbers and sums: words stay English. */
export function numberLocale(): string {
  return locale;
}

/** A number with the shop's decimal mark, without groups of thousands. */
export function figure(value: number, places = 20): string {
  return value.toLocaleString(locale, { useGrouping: false, maximumFractionDigits: places });
}

/** Words made elsewhere, with their figures as the shop writes them. As core.shop.DecimalMark. */
export function figures(words: string): string {
  return locale === 'de-DE' ? words.replace(/(?<=\d)\.(?=\d)/g, ',') : words;
}

const DAY = { day: 'numeric', month: 'short' } as const;
const CLOCK = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' } as const;
const WORDS = { DAY_FIRST: 'en-GB', MONTH_FIRST: 'en-US' } as const;

/** "26 Nov 2026", "Nov 26, 2026" or "2026-11-26". */
export function day(iso: string): string {
  return order === 'YEAR_FIRST'
    ? dayForField(iso)
    : new Date(iso).toLocaleDateString(WORDS[order], { ...DAY, year: 'numeric', timeZone: zone });
}

/** "26 Nov, 14:05", "Nov 26, 14:05" or "11-26, 14:05". */
export function moment(iso: string): string {
  return order === 'YEAR_FIRST'
    ? wallClock(Date.parse(iso)).slice(5).replace('T', ', ')
    : new Date(iso).toLocaleString(WORDS[order], { ...DAY, ...CLOCK, timeZone: zone });
}

/** The day of a moment where the shop is, as a date field wants it; empty if there is none. */
export function dayForField(iso?: string): string {
  return iso ? new Date(iso).toLocaleDateString('sv-SE', { timeZone: zone }) : '';
}

/** What the clock on the shop's wall shows at a moment, as a field for date and time wants it. */
export function wallClock(time: number): string {
  return new Date(time).toLocaleString('sv-SE', { timeZone: zone }).replace(' ', 'T').slice(0, 16);
}

/** The moment at which the clock on the shop's wall shows what was typed: "2026-11-26T18:00". */
export function momentOf(typed: string): string {
  const asUtc = Date.parse(`${typed}Z`);
  // The offset of the zone is that of the moment sought: twice, since the first guess can lie across a change of the clocks.
  let time = asUtc;
  for (let n = 0; n < 2; n++) {
    time = asUtc - (Date.parse(`${wallClock(time)}Z`) - time);
  }
  return new Date(time).toISOString();
}
