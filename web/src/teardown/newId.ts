/** An id for a step or a thing: it stays with it from version to version. */
export function newId(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(6)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
}
