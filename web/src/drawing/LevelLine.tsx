import type { Schemas } from '../api/client';
import { day } from '../api/words';
import { colours } from '../theme';
import { Lettering } from './Lettering';

const [WIDE, HIGH] = [520, 150];
const [LEFT, BOTTOM] = [34, 124];

/** How many lay in the drawer over time, and the level at which to order more. */
export function LevelLine({ levels, at }: { levels: Schemas['LevelAt'][]; at?: number }) {
  const first = levels[0];
  const last = levels[levels.length - 1];
  if (!first || !last || levels.length < 2) {
    return null;
  }
  const most = Math.max(...levels.map((one) => one.count), at ?? 0, 1);
  const [from, to] = [Date.parse(first.at), Date.now()];
  const x = (moment: string) =>
    LEFT + ((WIDE - LEFT - 10) * (Date.parse(moment) - from)) / Math.max(1, to - from);
  const y = (count: number) => BOTTOM - ((BOTTOM - 14) * count) / most;
  let path = '';
  levels.forEach((one, n) => {
    path += n === 0 ? `M${x(one.at)} ${y(one.count)}` : `H${x(one.at)}V${y(one.count)}`;
  });
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width="100%"
      role="img"
      aria-label={`In the drawer over time: ${last.count} now, ${most} at most${at === undefined ? '' : `; order at ${at}`}`}
    >
      <path d={`M${LEFT} 10V${BOTTOM}H${WIDE - 6}`} fill="none" stroke={colours.muted} />
      {[0, most].map((count) => (
        <Lettering
          key={count}
          x={LEFT - 6}
          y={y(count) + 4}
          textAnchor="end"
          fill={colours.muted}
          size={12}
          hand
        >
          {count}
        </Lettering>
      ))}
      {at !== undefined && (
        <>
          <path d={`M${LEFT} ${y(at)}H${WIDE - 6}`} stroke={colours.hazard} strokeDasharray="4 4" />
          <Lettering x={WIDE - 8} y={y(at) - 4} textAnchor="end" fill={colours.hazard} size={12}>
            order at {at}
          </Lettering>
        </>
      )}
      <path d={`${path}H${WIDE - 10}`} fill="none" stroke={colours.mat} strokeWidth={2.4} />
      <Lettering x={LEFT} y={HIGH - 8} fill={colours.muted} size={12}>
        {day(first.at)}
      </Lettering>
      <Lettering x={WIDE - 8} y={HIGH - 8} textAnchor="end" fill={colours.muted} size={12}>
        today
      </Lettering>
    </svg>
  );
}
