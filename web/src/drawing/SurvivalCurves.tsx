import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { colours } from '../theme';
import { Lettering } from './Lettering';

type Lasts = Schemas['RemedyLasts'];
type At = (value: number) => number;

const WIDE = 520;
const [LEFT, TOP, RIGHT, BOTTOM] = [44, 14, 508, 190];
const INKS = [colours.mat, colours.brassInk, colours.hazard, colours.ink];
const DASHES = [undefined, '7 4', '2 3', '10 3 2 3'];
/** More than these nobody tells apart. */
const DRAWN = 4;
/** A band round fewer says nothing. */
const BANDED = 5;

/** How many have not come back after so many days: a line for each remedy, its band, a mark for each unit that has lasted so far, and how many had lasted until then. */
export function SurvivalCurves({ remedies, days }: { remedies: Lasts[]; days: number }) {
  const shown = remedies.filter((one) => one.done > 0).slice(0, DRAWN);
  const first = shown[0];
  if (!first || days <= 0) {
    return null;
  }
  const x = (day: number) => LEFT + ((RIGHT - LEFT) * Math.min(day, days)) / days;
  const y = (share: number) => BOTTOM - (BOTTOM - TOP) * share;
  const high = BOTTOM + 34 + 14 * shown.length;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${high}`}
      width="100%"
      role="group"
      aria-label={shown
        .map((one) => `${floor.Remedy[one.remedy]}: ${one.cameBack} of ${one.done} came back`)
        .join('; ')}
    >
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <path d={`M${LEFT} ${y(share)}H${RIGHT}`} stroke={colours.line} />
          <Lettering x={LEFT - 6} y={y(share) + 4} textAnchor="end" fill={colours.muted} size={11} hand>
            {`${100 * share} %`}
          </Lettering>
        </g>
      ))}
      {first.readAt
        .filter((read) => read.day <= days)
        .map(({ day }) => (
          <Lettering
            key={day}
            x={x(day)}
            y={BOTTOM + 15}
            textAnchor={day === 0 ? 'start' : 'middle'}
            fill={colours.muted}
            size={11}
          >
            {day === 0 ? 'handed over' : `${day} days`}
          </Lettering>
        ))}
      {shown.map((one, n) => (
        <Curve key={one.remedy} one={one} n={n} x={x} y={y} />
      ))}
      {shown.map((one, n) => (
        <g key={one.remedy}>
          {one.readAt
            .filter((read) => read.day <= days)
            .map((read) => (
              <Lettering
                key={read.day}
                x={x(read.day)}
                y={BOTTOM + 30 + 14 * n}
                textAnchor={read.day === 0 ? 'start' : 'middle'}
                fill={INKS[n]}
                size={11}
                hand
              >
                {read.day === 0 ? `${read.atRisk} ${floor.Remedy[one.remedy]}` : String(read.atRisk)}
              </Lettering>
            ))}
        </g>
      ))}
    </svg>
  );
}

function Curve({ one, n, x, y }: { one: Lasts; n: number; x: At; y: At }) {
  const end = Math.max(0, ...one.marks.map((mark) => mark.day), ...one.points.map((point) => point.day));
  return (
    <g>
      {one.done >= BANDED && <path d={band(one, end, x, y)} fill={INKS[n]} opacity={0.13} />}
      <path
        d={steps(one.points, 'survival', end, x, y)}
        fill="none"
        stroke={INKS[n]}
        strokeWidth={2.4}
        strokeDasharray={DASHES[n]}
      />
      {one.marks.map((mark) => (
        <Link key={`${mark.job} ${mark.day}`} to={`/jobs/${mark.job}`} tabIndex={-1} aria-hidden="true">
          <title>
            {mark.cameBack
              ? `back after ${Math.round(mark.day)} days`
              : `${Math.round(mark.day)} days so far`}
          </title>
          {mark.cameBack ? (
            <circle cx={x(mark.day)} cy={y(heightAt(one, mark.day))} r={4} fill={INKS[n]} />
          ) : (
            <path
              d={`M${x(mark.day)} ${y(heightAt(one, mark.day)) - 5}v10`}
              stroke={INKS[n]}
              strokeWidth={1.4}
              opacity={0.6}
            />
          )}
        </Link>
      ))}
    </g>
  );
}

type Edge = 'survival' | 'low' | 'high';

function steps(points: Lasts['points'], edge: Edge, end: number, x: At, y: At): string {
  return `M${x(0)} ${y(1)}${points.map((point) => `H${x(point.day)}V${y(point[edge])}`).join('')}H${x(end)}`;
}

/** There along its upper edge, and back along the lower one. */
function band(one: Lasts, end: number, x: At, y: At): string {
  let back = `L${x(end)} ${y(one.points[one.points.length - 1]?.low ?? 1)}`;
  for (let at = one.points.length - 1; at >= 0; at--) {
    const point = one.points[at] as Lasts['points'][number];
    back += `H${x(point.day)}V${y(at > 0 ? (one.points[at - 1]?.low ?? 1) : 1)}`;
  }
  return `${steps(one.points, 'high', end, x, y)}${back}Z`;
}

function heightAt(one: Lasts, day: number): number {
  return one.points.filter((point) => point.day <= day).at(-1)?.survival ?? 1;
}
