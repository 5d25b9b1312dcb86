import { numerals, plain, type Typed } from './numeral';

/** Unit asked for → what may be written → how many of the first it is. As core.typed.Quantity. */
const UNITS: Record<string, Record<string, number>> = {
  mm: { '': 1, mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4, '"': 25.4, '″': 25.4 },
  V: { '': 1, V: 1, v: 1, µV: 1e-6, mV: 1e-3, kV: 1e3 },
  mV: { '': 1, mV: 1, V: 1e3, µV: 1e-3 },
  mA: { '': 1, mA: 1, A: 1e3, µA: 1e-3 },
  Ω: { '': 1, Ω: 1, R: 1, ohm: 1, ohms: 1, k: 1e3, K: 1e3, kΩ: 1e3, M: 1e6, MΩ: 1e6, mΩ: 1e-3 },
  µF: {
    '': 1,
    F: 1e6,
    µF: 1,
    µ: 1,
    uF: 1,
    u: 1,
    mfd: 1,
    mF: 1e3,
    MFD: 1,
    nF: 1e-3,
    n: 1e-3,
    pF: 1e-6,
    p: 1e-6,
  },
  min: { '': 1, min: 1, h: 60 },
  '°C': { '': 1, '°C': 1, C: 1 },
};

const FRACTION = /^(?:(\d+) )?(\d+)\/([1-9]\d*) ?([^\d\s]*)$/;
const LETTER = /^(\d+)([RkKMµunp])(\d+) ?(?:F|Ω)?$/;
const NUMBER = /^([-\u2212]?)([\d .,']*\d) ?([^\d\s]*)$/;

/** What was typed, in the unit that is asked for: "0.83in" is 21.082 mm. Either decimal mark is one. */
export function readQuantity(typed: string, unit = ''): Typed {
  const text = plain(typed)
    .replace(/\u03bc/g, 'µ')
    .replace(/\u2126/g, 'Ω')
    .replace('½', ' 1/2')
    .replace('¼', ' 1/4')
    .replace('¾', ' 3/4')
    .trim();
  const inUnit = (value: number, written: string): Typed => {
    const units = UNITS[unit] ?? { '': 1, [unit]: 1 };
    const factor = Object.hasOwn(units, written) ? units[written] : undefined;
    return factor === undefined
      ? { problem: `"${typed.trim()}" is not in ${unit || 'a unit that is known'}` }
      : { read: Number((value * factor).toPrecision(12)) };
  };
  const fraction = FRACTION.exec(text);
  if (fraction) {
    const value = Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
    return inUnit(value, fraction[4] ?? '');
  }
  const letter = LETTER.exec(text);
  if (letter) {
    return inUnit(Number(`${letter[1]}.${letter[3]}`), letter[2] as string);
  }
  const number = NUMBER.exec(text);
  const value = number && numerals(number[2] as string).pop();
  return value
    ? inUnit(Number(value) * (number?.[1] ? -1 : 1), number?.[3] ?? '')
    : { problem: `No quantity can be read in "${typed.trim()}"` };
}

/** As {@link readQuantity}, where a field shows by itself what could not be read. */
export function quantity(typed: string, unit = ''): number | undefined {
  const read = readQuantity(typed, unit);
  return 'read' in read ? read.read : undefined;
}
