/** What was read of something typed: one reading, two to choose between, or why it cannot be read. */
export type Typed = { read: number } | { ask: number[] } | { problem: string };

const GROUPED = /^(\d{1,3}([ '.,])\d{3}(?:\2\d{3})*)(?:([.,])(\d+))?$/;
const PLAIN = /^(\d*)(?:[.,](\d+))?$/;
const EITHER = /^[1-9]\d{0,2}[.,]\d{3}$/;

/** Spaces of any width are one space, curly apostrophes straight ones. */
export function plain(typed: string): string {
  return typed
    .replace(/\s+/g, ' ')
    .replace(/\u2019/g, "'")
    .trim();
}

/** A number, 0 or more, by the rules of core.typed.Numeral: as a decimal, unrounded. */
export function numerals(typed: string): string[] {
  if (EITHER.test(typed)) {
    return [typed.replace(/[.,]/, ''), typed.replace(',', '.')];
  }
  if (typed !== '' && PLAIN.test(typed)) {
    return [`0${typed}`.replace(',', '.')];
  }
  const grouped = GROUPED.exec(typed);
  if (!grouped || grouped[2] === grouped[3]) {
    return [];
  }
  const whole = (grouped[1] as string).replace(/\D/g, '');
  return [grouped[4] === undefined ? whole : `${whole}.${grouped[4]}`];
}
