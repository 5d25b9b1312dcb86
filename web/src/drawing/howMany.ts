import type { Schemas } from '../api/client';

type Thing = Schemas['ThingView'];

/** "5 × plate screws"; "plate screws, not counted". */
export function howMany(thing: Pick<Thing, 'label' | 'counted'>, count: number): string {
  return thing.counted ? `${count} × ${thing.label}` : `${thing.label}, not counted`;
}

/** "4 fasteners, 1 plug, 1 loose, some not counted". */
export function countWords(things: { kind: Thing['kind']; count: number; counted: boolean }[]): string {
  const sum = (kind: Thing['kind']) =>
    things.filter((one) => one.kind === kind && one.counted).reduce((n, one) => n + one.count, 0);
  const said: [number, string, string][] = [
    [sum('FASTENER'), 'fastener', 'fasteners'],
    [sum('CONNECTOR'), 'plug', 'plugs'],
    [sum('PIECE'), 'loose', 'loose'],
  ];
  const words = said.filter(([n]) => n > 0).map(([n, one, many]) => `${n} ${n === 1 ? one : many}`);
  const open = things.some((one) => !one.counted && one.count > 0);
  return (
    [...words, ...(open ? [words.length > 0 ? 'some not counted' : 'not counted'] : [])].join(', ') ||
    'nothing'
  );
}
