import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';

const SRC = join(__dirname);

function files(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? files(path) : /\.tsx?$/.test(name) ? [path] : [];
  });
}

const ALL = files(SRC).filter((path) => !path.endsWith('.test.ts') && !path.endsWith('schema.d.ts'));
const room = (path: string) => relative(SRC, path).split('/')[0] as string;

/** Which rooms each looks into. */
function looks(): Map<string, Set<string>> {
  const found = new Map<string, Set<string>>();
  for (const path of ALL) {
    const others = [...readFileSync(path, 'utf8').matchAll(/from '\.\.\/(\w+)\//g)].map(
      (one) => one[1] as string,
    );
    const into = found.get(room(path)) ?? new Set();
    for (const other of others) {
      into.add(other);
    }
    found.set(room(path), into);
  }
  return found;
}

function circle(rooms: Map<string, Set<string>>, from: string, way: string[] = []): string[] | undefined {
  if (way.includes(from)) {
    return [...way.slice(way.indexOf(from)), from];
  }
  for (const next of rooms.get(from) ?? []) {
    const found = next === from ? undefined : circle(rooms, next, [...way, from]);
    if (found) {
      return found;
    }
  }
  return undefined;
}

describe('the house', () => {
  it('has no circle between its rooms', () => {
    const rooms = looks();
    expect(rooms.size).toBeGreaterThan(12);
    expect([...rooms.keys()].map((one) => circle(rooms, one)).filter(Boolean)).toEqual([]);
  });

  it('makes every key of a query in one place', () => {
    const own = ALL.filter((path) => /queryKey: \[|QueryData\(\s*\[/.test(readFileSync(path, 'utf8')));
    expect(own.map((path) => relative(SRC, path))).toEqual([]);
  });

  it('has every form on the one kit', () => {
    const own = ALL.filter(
      (path) => room(path) !== 'form' && /<(chakra\.)?form\b|onSubmit=/.test(readFileSync(path, 'utf8')),
    );
    expect(own.map((path) => relative(SRC, path))).toEqual([]);
  });

  it('takes every colour and size of type from the theme', () => {
    const own = ALL.filter((path) => !path.endsWith('palette.ts')).flatMap((path) =>
      [
        ...readFileSync(path, 'utf8').matchAll(
          // What is lettered on a drawing is as large as the drawing's own measure says.
          room(path) === 'drawing'
            ? /#[0-9A-Fa-f]{6}\b|fontSize=["'][\d.]+/g
            : /#[0-9A-Fa-f]{6}\b|fontSize(?:=\{?|: ?)["'`]?[\d.]+(?:px|rem|["'`}])/g,
        ),
      ].map((one) => `${relative(SRC, path)}: ${one[0]}`),
    );
    expect(own).toEqual([]);
  });
});
