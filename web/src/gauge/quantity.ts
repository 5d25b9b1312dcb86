export { short } from '../drawing/short';

/** How many of the base unit one of the written unit is. */
const UNITS: Record<string, Record<string, number>> = {
  mm: { mm: 1, cm: 10, in: 25.4, '"': 25.4, '': 1 },
  V: { V: 1, µV: 1e-6, mV: 1e-3, kV: 1e3, '': 1 },
  mV: { mV: 1, V: 1e3, µV: 1e-3, '': 1 },
  Ω: { Ω: 1, R: 1, ohm: 1, k: 1e3, kΩ: 1e3, M: 1e6, MΩ: 1e6, mΩ: 1e-3, '': 1 },
  µF: { F: 1e6, µF: 1, uF: 1, µ: 1, u: 1, nF: 1e-3, n: 1e-3, pF: 1e-6, p: 1e-6, mF: 1e3, '': 1 },
  min: { min: 1, '': 1 },
};

/** What was typed, in the base unit: "0.83in" is 21.082 mm. Undefined if it is no number with a unit that is known. */
export function quantity(typed: string, unit = ''): number | undefined {
  const match = /^\s*(-?\d*[.,]?\d+)\s*([^\d\s]*)\s*$/.exec(typed);
  if (!match) {
    return undefined;
  }
  const factor =
    unit in UNITS ? UNITS[unit]?.[match[2] ?? ''] : match[2] === '' || match[2] === unit ? 1 : undefined;
  return factor === undefined ? undefined : Number((match[1] ?? '').replace(',', '.')) * factor;
}
