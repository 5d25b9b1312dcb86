import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';
import { short } from './short';

/** Good is green only where the uncertainty lets it be; between the bands nothing can be said. */
export function LimitBand({
  found,
  readings,
  min,
  max,
  u,
  unit,
}: {
  found: Schemas['LimitFound'];
  readings: number[];
  min?: number;
  max?: number;
  u: number;
  unit: string;
}) {
  const all = [
    ...readings,
    found.mean,
    ...(min === undefined ? [] : [min]),
    ...(max === undefined ? [] : [max]),
  ];
  const reach = Math.max(...all) - Math.min(...all) || 1;
  const from = Math.min(...all) - reach * 0.4 - u;
  const to = Math.max(...all) + reach * 0.4 + u;
  const x = (value: number) => (600 * (value - from)) / (to - from);
  const good = [min === undefined ? from : min + u, max === undefined ? to : max - u] as const;
  return (
    <svg
      viewBox="0 0 600 120"
      width="100%"
      role="img"
      aria-label={`Mean ${short(found.mean, 5)}: ${found.verdict ?? 'not judged'}`}
    >
      {found.verdict && <rect y={40} width={600} height={40} fill={colours.badPale} />}
      {found.verdict && (
        <rect
          x={x(min === undefined ? from : min - u)}
          y={40}
          width={x(max === undefined ? to : max + u) - x(min === undefined ? from : min - u)}
          height={40}
          fill={colours.differs}
        />
      )}
      {found.verdict && good[1] > good[0] && (
        <rect x={x(good[0])} y={40} width={x(good[1]) - x(good[0])} height={40} fill={colours.matPale} />
      )}
      {[min, max].map((limit, n) =>
        limit === undefined ? null : (
          <g key={n === 0 ? 'min' : 'max'}>
            <path d={`M${x(limit)} 30V90`} stroke={colours.ink} strokeWidth={2} />
            <Lettering x={x(limit)} y={106} textAnchor="middle" fill={colours.ink} size={14}>
              {short(limit, 5)} {unit}
            </Lettering>
          </g>
        ),
      )}
      {readings.map((reading, n) => (
        <circle key={n} cx={x(reading)} cy={60} r={5} fill="none" stroke={colours.chalk} strokeWidth={2} />
      ))}
      <circle cx={x(found.mean)} cy={60} r={8} fill={colours.ink} />
    </svg>
  );
}
