import type { Schemas } from '../api/client';
import { colours } from '../theme';
import { Lettering } from './Lettering';
import { short } from './short';

type RailAsked = { name: string; from?: string; measured?: number };

const MARKS: Record<Schemas['RailRead']['verdict'], string> = { GOOD: '✓', BAD: '✗', CAN_NOT_SAY: '?' };

function edge(verdict: Schemas['RailRead']['verdict'] | undefined, culprit: boolean) {
  return culprit
    ? { stroke: colours.hazard, strokeWidth: 4 }
    : verdict === 'CAN_NOT_SAY'
      ? { stroke: colours.amberInk, strokeWidth: 2, strokeDasharray: '6 4' }
      : { stroke: colours.line, strokeWidth: 1.5 };
}

/**
 * The supply as a tree from the mains: each rail with what is expected of it, the bad ones on a broken red line. What cannot be told has a dashed
 * outline, never that of good.
 */
export function RailsTree({ rails, found }: { rails: RailAsked[]; found: Schemas['RailsFound'] }) {
  const depth = (rail: RailAsked): number => {
    const source = rails.find((one) => one.name === rail.from);
    return source ? 1 + depth(source) : 0;
  };
  const ordered: RailAsked[] = [];
  const walk = (from?: string) => {
    for (const rail of rails.filter((one) => one.from === from)) {
      ordered.push(rail);
      walk(rail.name);
    }
  };
  walk(undefined);
  const row = 62;
  const place = (name?: string) => ordered.findIndex((one) => one.name === name);
  const y = (at: number) => 66 + at * row;
  const x = (rail: RailAsked) => 60 + depth(rail) * 150;
  return (
    <svg
      viewBox={`0 0 820 ${Math.max(1, ordered.length) * row + 42}`}
      width="100%"
      style={{ maxHeight: 440 }}
      role="img"
      aria-label={`Rails: ${found.rails.map((rail) => `${rail.name} ${rail.verdict}`).join(', ')}`}
    >
      <rect
        x={2}
        y={4}
        width={84}
        height={30}
        rx={3}
        fill={colours.card}
        {...edge(found.mains, found.culprit === 'mains')}
      />
      <Lettering x={12} y={24} fill={found.mains === 'BAD' ? colours.hazard : colours.ink} size={16} bold>
        {`mains ${found.mains === 'GOOD' ? '' : MARKS[found.mains]}`}
      </Lettering>
      {ordered.map((rail, at) => {
        const read = found.rails.find((one) => one.name === rail.name);
        const bad = read?.verdict === 'BAD';
        const source = place(rail.from);
        const sourceRail = ordered[source];
        const startX = sourceRail ? x(sourceRail) + 40 : 20;
        const startY = sourceRail ? y(source) + 20 : 34;
        return (
          <g key={rail.name}>
            <path
              d={`M${startX} ${startY}V${y(at)}H${x(rail)}`}
              fill="none"
              stroke={bad ? colours.hazard : colours.mat}
              strokeWidth={bad ? 3 : 2}
              strokeDasharray={bad ? '6 4' : undefined}
            />
            <rect
              x={x(rail)}
              y={y(at) - 22}
              width={210}
              height={44}
              rx={3}
              fill={colours.card}
              {...edge(read?.verdict, found.culprit === rail.name)}
            />
            <Lettering x={x(rail) + 10} y={y(at) - 3} fill={colours.ink} size={16} bold>
              {rail.name}
            </Lettering>
            <Lettering x={x(rail) + 10} y={y(at) + 15} fill={colours.muted} size={13}>
              {read?.minVolts !== undefined && read.maxVolts !== undefined
                ? `${short(read.minVolts)} to ${short(read.maxVolts)} V`
                : 'not known'}
            </Lettering>
            <Lettering
              x={x(rail) + 200}
              y={y(at) + 5}
              textAnchor="end"
              fill={bad ? colours.hazard : read?.verdict === 'GOOD' ? colours.mat : colours.amberInk}
              size={19}
              hand
            >
              {rail.measured === undefined
                ? '?'
                : `${short(rail.measured, 4)} ${MARKS[read?.verdict ?? 'CAN_NOT_SAY']}`}
            </Lettering>
          </g>
        );
      })}
    </svg>
  );
}
