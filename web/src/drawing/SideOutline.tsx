import { type KeyboardEvent, useState } from 'react';
import type { Schemas } from '../api/client';
import { floor } from '../api/enumWords';
import { colours } from '../theme';

type Group = Schemas['FastenerGroup'];

const WIDTH = 180;
const HEIGHT = 112;
const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-0.05, 0],
  ArrowRight: [0.05, 0],
  ArrowUp: [0, -0.05],
  ArrowDown: [0, 0.05],
};

const within = (part: number) => Math.min(0.97, Math.max(0.03, part));

const MARKS = ['●', '■', '▲', '◆', '✚'];

/** One side of a unit in plain outline, with the places of its odd fasteners; each group has a mark of its own. */
export function SideOutline({
  side,
  groups,
  place,
}: {
  side: Schemas['StepSaid']['side'];
  groups: Group[];
  /** called with a place, 0 to 1 each way, when somebody points at the outline */
  place?: (x: number, y: number) => void;
}) {
  const [cursor, setCursor] = useState<{ x: number; y: number }>();
  function key(event: KeyboardEvent) {
    const step = STEPS[event.key];
    if (place && step) {
      event.preventDefault();
      const at = cursor ?? { x: 0.5, y: 0.5 };
      setCursor({ x: within(at.x + step[0]), y: within(at.y + step[1]) });
    } else if (place && cursor && event.key === 'Enter') {
      event.preventDefault();
      place(cursor.x, cursor.y);
    }
  }
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT + 18 + groups.length * 17}`}
      width="100%"
      role={place ? 'application' : 'img'}
      tabIndex={place ? 0 : undefined}
      aria-label={`${floor.Side[side]}: ${groups.map((group) => `${group.spots.length} marked for ${group.label}`).join(', ')}${place ? '. Point, or move with the arrows and mark with Enter' : ''}`}
      onKeyDown={key}
      style={{ cursor: place ? 'crosshair' : undefined, maxWidth: place ? 360 : 180 }}
      onClick={(event) => {
        const box = event.currentTarget.getBoundingClientRect();
        const x = ((event.clientX - box.left) / box.width) * WIDTH;
        const y = ((event.clientY - box.top) / box.width) * WIDTH;
        if (place && x > 4 && x < WIDTH - 4 && y > 4 && y < HEIGHT - 4) {
          place((x - 4) / (WIDTH - 8), (y - 4) / (HEIGHT - 8));
        }
      }}
    >
      <rect
        x={4}
        y={4}
        width={WIDTH - 8}
        height={HEIGHT - 8}
        rx={7}
        fill={colours.card}
        stroke={colours.ink}
        strokeWidth={1.6}
      />
      <path
        d={`M${WIDTH / 2 - 9} ${HEIGHT - 9}h18`}
        stroke={colours.line}
        strokeWidth={3}
        strokeLinecap="round"
      />
      {cursor && (
        <path
          d={`M${4 + cursor.x * (WIDTH - 8)} ${4 + cursor.y * (HEIGHT - 8) - 7}v14m-7 -7h14`}
          stroke={colours.chalk}
          strokeWidth={1.5}
        />
      )}
      {groups.map((group, n) => (
        <g key={group.id} fill={n === 0 ? colours.brassInk : colours.chalk} fontSize={13} textAnchor="middle">
          {group.spots.map((spot, at) => (
            <text key={at} x={4 + spot.x * (WIDTH - 8)} y={8.5 + spot.y * (HEIGHT - 8)}>
              {MARKS[n % MARKS.length]}
            </text>
          ))}
          <text x={10} y={HEIGHT + 14 + n * 17}>
            {MARKS[n % MARKS.length]}
          </text>
          <text x={20} y={HEIGHT + 14 + n * 17} textAnchor="start" fill={colours.ink} fontSize={12}>
            {group.label}
          </text>
        </g>
      ))}
    </svg>
  );
}
