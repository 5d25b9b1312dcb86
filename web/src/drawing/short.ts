/** Short enough for a drawing. */
export function short(value: number, digits = 3): string {
  return Number(value.toPrecision(digits)).toString();
}
