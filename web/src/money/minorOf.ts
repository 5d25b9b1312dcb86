/** Minor units of what was typed as money; undefined if nothing that is money was. */
export function minorOf(typed: string): number | undefined {
  const value = Number(typed.trim().replace(',', '.'));
  return typed.trim() && Number.isFinite(value) && value >= 0 ? Math.round(value * 100) : undefined;
}
