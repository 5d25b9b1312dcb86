import type { Schemas } from '../api/client';
import { colours } from '../theme';

/** One share with where the truth lies nineteen times in twenty: a dot on a line, never a bare percentage. */
export function IntervalBar({ share, height = 30 }: { share: Schemas['Share']; height?: number }) {
  const middle = height / 2;
  const x = (part: number) => part * 100;
  return (
    <svg
      viewBox={`-2 0 104 ${height}`}
      preserveAspectRatio="none"
      width="100%"
      height={height}
      role="img"
      aria-label={`${share.count} of ${share.outOf}, between ${percent(share.low)} and ${percent(share.high)}`}
    >
      {[0, 25, 50, 75, 100].map((at) => (
        <path key={at} d={`M${at} 0V${height}`} stroke={colours.line} vectorEffect="non-scaling-stroke" />
      ))}
      <path
        d={`M${x(share.low)} ${middle - 5}V${middle + 5}M${x(share.low)} ${middle}H${x(share.high)}M${x(share.high)} ${middle - 5}V${middle + 5}`}
        stroke={colours.ink}
        strokeWidth={2.5}
        vectorEffect="non-scaling-stroke"
        fill="none"
      />
      {/* A path of no length with round ends is a dot that stays round when the picture is stretched. */}
      <path
        d={`M${x(share.share)} ${middle}h0.001`}
        stroke={colours.mat}
        strokeWidth={14}
        strokeLinecap="round"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

export function percent(part: number): string {
  return `${Math.round(part * 100)} %`;
}

/** One square a job: customers' first, then resale. */
export function JobSquares({ customer, resale }: { customer: number; resale: number }) {
  const most = 24;
  const total = customer + resale;
  const each = Math.max(1, Math.ceil(total / most));
  const squares = [
    ...new Array<string>(Math.round(customer / each)).fill(colours.mat),
    ...new Array<string>(Math.round(resale / each)).fill(colours.brassLight),
  ];
  return (
    <svg
      width={8 * 11}
      height={Math.max(1, Math.ceil(squares.length / 8)) * 11}
      role="img"
      aria-label={`${customer} customer units, ${resale} resale units${each > 1 ? `; one square is ${each} jobs` : ''}`}
    >
      {squares.map((colour, n) => (
        <rect key={n} x={(n % 8) * 11} y={Math.floor(n / 8) * 11} width={9} height={9} fill={colour} />
      ))}
    </svg>
  );
}
