import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { GearPair } from '../drawing/GearPair';
import { short } from '../drawing/short';
import { Chip } from '../parts/Buttons';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

const BLANK = {
  teeth: '',
  outside: '',
  mate: '',
  mateOutside: '',
  centres: '',
  bore: '',
  shaft: '',
  splined: false,
};
const EXAMPLE = {
  ...BLANK,
  teeth: '20',
  outside: '11',
  mate: '40',
  mateOutside: '21',
  centres: '15.02',
  bore: '2.0',
  shaft: '2.05',
};
const FITS = {
  TOO_TIGHT: 'too tight: it splits',
  INTERFERENCE: 'press fit',
  TRANSITION: 'hardly any grip',
  CLEARANCE: 'loose',
};

export function GearPage() {
  const [said, say, set] = useTyped('gear', BLANK);
  const { splined } = said;
  const mm = (field: Exclude<keyof typeof BLANK, 'splined'>) => quantity(said[field], 'mm');
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
      name="gear"
      asked={asked}
      typed={said}
      query={query}
      example={() => say(EXAMPLE)}
      clear={() => say(BLANK)}
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
          <Chip on={splined} onClick={() => set('splined')(!splined)}>
            {splined ? 'splined shaft' : 'plain shaft'}
          </Chip>
        </>
      }
    >
      {(found) => (
        <Box display="grid" gridTemplateColumns="1fr 220px" gap="20px">
          <GearPair asked={asked as Schemas['GearAsked']} found={found} />
          <Box>
            <Figure name="module" value={`${short(found.module)} → ${found.preferredModule}`} />
            <Figure
              name="diametral pitch"
              value={`${short(found.diametralPitch)}${
                found.preferredPitch === undefined ? '' : ` → ${found.preferredPitch}`
              }`}
            />
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
