import type { Schemas } from './client';

/** How this shop writes dates, times and sums. Set when the session answers, before anything of the shop is drawn. */
let zone: string | undefined;
let locale = 'en-GB';

export function writeAs({ zone: where, decimal }: Schemas['ShopSettings']) {
  zone = where;
  locale = decimal === 'COMMA' ? 'de-DE' : 'en-GB';
}

/** For numbers and sums: words stay English. */
export function numberLocale(): string {
  return locale;
}

export function day(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
    timeZone: zone,
  });
}

export function moment(iso: string): string {
  return new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
    timeZone: zone,
  });
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
