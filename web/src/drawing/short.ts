import { figure } from '../api/shopWide';

/** Short enough for a drawing. */
export function short(value: number, digits = 3): string {
  return figure(Number(value.toPrecision(digits)));
}
