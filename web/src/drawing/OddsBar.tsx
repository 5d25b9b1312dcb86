import { colours } from '../theme';
import { percent } from './IntervalBar';

/** How likely, as a bar; the dark line says between where it would lie if the shop's counts were a little other. */
export function OddsBar({
  probability,
  low,
  high,
  faint,
  bench,
  height = 20,
}: {
  probability: number;
  low: number;
  high: number;
  faint?: boolean;
  /** drawn on the mat rather than on paper */
  bench?: boolean;
  height?: number;
}) {
  const [track, bar, line] = bench
    ? [colours.matGrid, faint ? colours.matLine : colours.brassPale, colours.brassLight]
    : [colours.track, faint ? colours.matFaded : colours.mat, colours.ink];
  return (
    <svg
      viewBox={`0 0 100 ${height}`}
      preserveAspectRatio="none"
      width="100%"
      height={height}
      role="img"
      aria-label={`about ${percent(probability)}, between ${percent(low)} and ${percent(high)}`}
      style={{ borderRadius: 3, display: 'block' }}
    >
      <rect width={100} height={height} fill={track} />
      <rect width={100 * probability} height={height} fill={bar} />
      <path
        d={`M${100 * low} ${height / 2}H${100 * high}`}
        stroke={line}
        strokeOpacity={bench ? 1 : 0.65}
        strokeWidth={4}
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
