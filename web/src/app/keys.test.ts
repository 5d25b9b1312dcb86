import { beforeAll, describe, expect, it, vi } from 'vitest';
import { mayReload } from './upgraded';

describe('what a key is called', () => {
  let nameOf: typeof import('./keys').nameOf;
  beforeAll(async () => {
    vi.stubGlobal('window', { addEventListener: () => undefined });
    ({ nameOf } = await import('./keys'));
  });

  it.each([
    ['q', 'KeyQ', 'Q'],
    ['й', 'KeyQ', 'Q'],
    ['Ψ', 'KeyC', 'C'],
    ['a', 'KeyQ', 'A'],
    ['z', 'KeyY', 'Z'],
    ['1', 'Digit1', '1'],
    ['?', 'Slash', '?'],
    ['?', 'Minus', '?'],
    [' ', 'Space', 'Space'],
    ['Enter', 'Enter', 'Enter'],
    ['é', 'Digit2', 'É'],
  ])('%s at %s is %s', (key, code, name) => {
    expect(nameOf({ key, code })).toBe(name);
  });
});

describe('a page of an older version', () => {
  it('is loaded anew once, and not again and again', () => {
    expect(mayReload(null, 5)).toBe(true);
    expect(mayReload('1000', 2000)).toBe(false);
    expect(mayReload('1000', 60_000)).toBe(true);
  });
});
