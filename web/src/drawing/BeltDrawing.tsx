import { colours } from '../theme';
import { Lettering } from './Lettering';

/** A belt round its two pulleys, to one scale; crossed if it runs so. */
export function BeltDrawing({
  driver,
  driven,
  centres,
  crossed,
}: {
  driver: number;
  driven: number;
  centres: number;
  crossed: boolean;
}) {
  const left = driven / 2;
  const right = driver / 2;
  const lean = Math.asin(Math.min(1, Math.max(-1, (crossed ? left + right : left - right) / centres)));
  const touch = (x: number, r: number, side: 1 | -1): [number, number] => [
    x + r * Math.sin(lean),
    -side * r * Math.cos(lean),
  ];
  const tops: [number, number][] = crossed
    ? [touch(0, left, 1), [centres - right * Math.sin(lean), right * Math.cos(lean)]]
    : [touch(0, left, 1), touch(centres, right, 1)];
  const bottoms: [number, number][] = crossed
    ? [touch(0, left, -1), [centres - right * Math.sin(lean), -right * Math.cos(lean)]]
    : [touch(0, left, -1), touch(centres, right, -1)];
  const most = Math.max(left, right);
  const box = `${-left - 3} ${-most - 6} ${left + centres + right + 6} ${2 * most + 14}`;
  const line = ([a, b]: [number, number][]) => `M${a?.[0]} ${a?.[1]}L${b?.[0]} ${b?.[1]}`;
  const thick = Math.max(0.8, most / 14);
  const arc = (r: number, x: number, outer: 0 | 1, [from, to]: [[number, number], [number, number]]) =>
    `M${from[0]} ${from[1]}A${r} ${r} 0 ${outer} ${x === 0 ? 0 : 1} ${to[0]} ${to[1]}`;
  const pair = (at: 0 | 1): [[number, number], [number, number]] =>
    crossed && at === 1
      ? [bottoms[at] as [number, number], tops[at] as [number, number]]
      : [tops[at] as [number, number], bottoms[at] as [number, number]];
  return (
    <svg
      viewBox={box}
      width="100%"
      style={{ maxHeight: 330, display: 'block' }}
      role="img"
      aria-label={`Belt round pulleys of ${driver} and ${driven} mm, ${centres} mm apart${crossed ? ', crossed' : ''}`}
    >
      {[
        [0, left, driven],
        [centres, right, driver],
      ].map(([x, r, size]) => (
        <g key={x}>
          <circle cx={x} cy={0} r={r} fill={colours.card} stroke={colours.muted} strokeWidth={thick / 5} />
          <circle cx={x} cy={0} r={thick / 2} fill={colours.muted} />
          <Lettering x={x} y={-thick} textAnchor="middle" fill={colours.chalk} size={Math.max(1.6, most / 6)}>
            ⌀ {size}
          </Lettering>
        </g>
      ))}
      <g fill="none" stroke={colours.ink} strokeWidth={thick} strokeLinecap="round">
        <path d={line(tops)} />
        <path d={line(bottoms)} />
        <path d={arc(left, 0, crossed || left > right ? 1 : 0, pair(0))} />
        <path d={arc(right, centres, crossed || right > left ? 1 : 0, pair(1))} />
      </g>
      <path d={`M0 ${most + 4}H${centres}`} stroke={colours.chalk} strokeWidth={thick / 4} />
      <Lettering
        x={centres / 2}
        y={most + 3}
        textAnchor="middle"
        fill={colours.chalk}
        size={Math.max(1.6, most / 6)}
      >
        {centres}
      </Lettering>
    </svg>
  );
}
