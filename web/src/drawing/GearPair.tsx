import type { Schemas } from '../api/client';
import { colours } from '../theme';

/** Gear and mate to one scale, teeth drawn as many as there are. */
export function GearPair({ asked, found }: { asked: Schemas['GearAsked']; found: Schemas['GearFound'] }) {
  const own = asked.outsideDiameterMm / 2;
  const other = asked.mate ? asked.mate.outsideDiameterMm / 2 : 0;
  const apart = asked.centresMm ?? found.expectedCentresMm ?? own + other;
  const most = Math.max(own, other);
  return (
    <svg
      viewBox={`${-own - 2} ${-most - 2} ${own + (asked.mate ? apart + other : own) + 4} ${2 * most + 4}`}
      width="100%"
      style={{ maxHeight: 480 }}
      role="img"
      aria-label={`A gear of ${asked.teeth} teeth${asked.mate ? ` with one of ${asked.mate.teeth}` : ''}`}
    >
      <Wheel
        x={0}
        teeth={asked.teeth}
        radius={own}
        module={found.module}
        colour={colours.mat}
        bore={asked.boreMm}
      />
      {asked.mate && (
        <Wheel
          x={apart}
          teeth={asked.mate.teeth}
          radius={other}
          module={found.mateModule ?? found.module}
          colour={found.mesh === 'BAD' ? colours.hazard : colours.brass}
        />
      )}
    </svg>
  );
}

function Wheel({
  x,
  teeth,
  radius,
  module,
  colour,
  bore,
}: {
  x: number;
  teeth: number;
  radius: number;
  module: number;
  colour: string;
  bore?: number;
}) {
  const root = Math.max(radius * 0.3, radius - 2.25 * module);
  const points: string[] = [];
  for (let n = 0; n < teeth; n++) {
    for (const [part, r] of [
      [0, root],
      [0.25, root],
      [0.4, radius],
      [0.6, radius],
      [0.75, root],
    ] as const) {
      const angle = (2 * Math.PI * (n + part)) / teeth;
      points.push(`${x + r * Math.cos(angle)},${r * Math.sin(angle)}`);
    }
  }
  return (
    <g>
      <polygon points={points.join(' ')} fill={colours.card} stroke={colour} strokeWidth={radius / 60} />
      <circle
        cx={x}
        cy={0}
        r={bore ? bore / 2 : radius / 10}
        fill={colours.paper}
        stroke={colour}
        strokeWidth={radius / 80}
      />
    </g>
  );
}
