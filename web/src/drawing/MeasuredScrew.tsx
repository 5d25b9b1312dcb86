import { colours } from '../theme';
import { short } from './short';

/** The screw as it was measured: as many turns as its pitch gives; what was not counted is an open outline with no turns. */
export function MeasuredScrew({
  diameter,
  pitch,
  length,
  coarse,
}: {
  diameter: number;
  /** empty if nothing was counted */
  pitch?: number;
  length: number;
  coarse: boolean;
}) {
  const r = diameter / 2;
  const depth = (coarse ? 0.28 : 0.18) * diameter;
  const turns = pitch === undefined ? 0 : Math.min(80, Math.floor(length / pitch));
  const side = (sign: number) =>
    pitch === undefined
      ? `M${sign * r} 0L${sign * r} ${length}`
      : Array.from({ length: turns }, (_, n) => {
          const y = n * pitch;
          return `L${sign * r} ${y + pitch * 0.25}L${sign * (r - depth)} ${y + pitch * 0.75}`;
        }).join('');
  // The core goes on from the last turn to the point.
  const threaded = pitch === undefined ? length : turns * pitch;
  const end = (sign: number) => `L${sign * (pitch === undefined ? r : r - depth)} ${threaded}`;
  return (
    <svg
      viewBox={`${-diameter * 1.6} ${-diameter} ${diameter * 3.2} ${length + diameter * 2}`}
      width="100%"
      style={{ maxHeight: 520 }}
      role="img"
      aria-label={`A screw of ${short(diameter)} mm with ${pitch === undefined ? 'an unknown' : `${short(pitch)} mm`} pitch`}
    >
      <path
        d={`M${-diameter} 0A${diameter} ${diameter * 0.75} 0 0 1 ${diameter} 0Z`}
        fill={colours.brassLight}
        stroke={colours.ink}
        strokeWidth={diameter / 60}
      />
      <path
        d={`M${r - depth} 0${side(1)}${end(1)}L0 ${length + (coarse ? diameter * 0.7 : 0.2)}L${-(pitch === undefined ? r : r - depth)} ${threaded}M${-(r - depth)} 0${side(-1)}${end(-1)}`}
        fill="none"
        stroke={colours.ink}
        strokeWidth={diameter / 40}
        strokeDasharray={pitch === undefined ? `${diameter / 8} ${diameter / 10}` : undefined}
      />
    </svg>
  );
}
