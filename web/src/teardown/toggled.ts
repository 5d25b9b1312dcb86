/** The list without one if it has it, with it if not. */
export function toggled<T>(all: T[], one: T): T[] {
  return all.includes(one) ? all.filter((other) => other !== one) : [...all, one];
}
