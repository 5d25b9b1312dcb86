import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Chip } from '../parts/Buttons';
import { colours } from '../theme';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

const BLANK = { teeth: '', outside: '', mate: '', mateOutside: '', centres: '', bore: '', shaft: '' };
const EXAMPLE = {
  teeth: '20',
  outside: '11',
  mate: '40',
  mateOutside: '21',
  centres: '15.02',
  bore: '2.0',
  shaft: '2.05',
};
const FITS = { INTERFERENCE: 'press fit', TRANSITION: 'hardly any grip', CLEARANCE: 'loose' };

export function GearPage() {
  const [said, say] = useState(BLANK);
  const [splined, setSplined] = useState(false);
  const set = (field: keyof typeof BLANK) => (typed: string) => say((now) => ({ ...now, [field]: typed }));
  const mm = (field: keyof typeof BLANK) => quantity(said[field], 'mm');
  const [teeth, outside, mateTeeth, mateOutside] = [
    quantity(said.teeth),
    mm('outside'),
    quantity(said.mate),
    mm('mateOutside'),
  ];
  const mate =
    mateTeeth !== undefined && mateOutside !== undefined
      ? { teeth: Math.round(mateTeeth), outsideDiameterMm: mateOutside }
      : undefined;
  const asked =
    teeth !== undefined && outside !== undefined
      ? {
          teeth: Math.round(teeth),
          outsideDiameterMm: outside,
          mate,
          centresMm: mm('centres'),
          boreMm: mm('bore'),
          shaftMm: mm('shaft'),
          splined,
        }
      : undefined;
  const query = useGauge('gear', asked, () =>
    answer(api.POST('/api/gauges/gear', { body: asked as Schemas['GearAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => say(EXAMPLE)}
      fields={
        <>
          <Measure label="teeth" value={said.teeth} set={set('teeth')} problem={problemOf(query, 'teeth')} />
          <Measure
            label="across the tips"
            unit="mm"
            value={said.outside}
            set={set('outside')}
            problem={problemOf(query, 'outsideDiameterMm')}
          />
          <Measure label="mate, teeth" value={said.mate} set={set('mate')} />
          <Measure label="mate, across" unit="mm" value={said.mateOutside} set={set('mateOutside')} />
          <Measure
            label="shaft to shaft"
            unit="mm"
            value={said.centres}
            set={set('centres')}
            problem={problemOf(query, 'centresMm')}
          />
          <Measure label="bore" unit="mm" value={said.bore} set={set('bore')} />
          <Measure label="shaft" unit="mm" value={said.shaft} set={set('shaft')} />
          <Chip on={splined} onClick={() => setSplined(!splined)}>
            {splined ? 'splined shaft' : 'plain shaft'}
          </Chip>
        </>
      }
    >
      {(found) => (
        <Box display="grid" gridTemplateColumns="1fr 220px" gap="20px">
          <Pair asked={asked as Schemas['GearAsked']} found={found} />
          <Box>
            <Figure name="module" value={`${short(found.module)} → ${found.preferredModule}`} />
            <Figure name="diametral pitch" value={short(found.diametralPitch)} />
            {found.expectedCentresMm !== undefined && (
              <Figure name="shafts should be" value={`${short(found.expectedCentresMm, 4)} mm apart`} />
            )}
            {found.ratio !== undefined && (
              <Figure name="turns for one of its mate" value={short(found.ratio, 4)} />
            )}
            {found.mesh && (
              <VerdictOf
                verdict={found.mesh}
                words={{ GOOD: 'they mesh', BAD: 'they do not', CAN_NOT_SAY: 'look' }[found.mesh]}
              />
            )}
            {found.fit && <Box mt="6px">On its shaft: {FITS[found.fit]}</Box>}
            <Reasons reasons={found.reasons} />
          </Box>
        </Box>
      )}
    </Gauge>
  );
}

/** Gear and mate to one scale, teeth drawn as many as there are. */
function Pair({ asked, found }: { asked: Schemas['GearAsked']; found: Schemas['GearFound'] }) {
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
