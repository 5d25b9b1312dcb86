import { Box } from '@chakra-ui/react';
import { answer, api, type Schemas } from '../api/client';
import { BleedCurve } from '../drawing/BleedCurve';
import { short } from '../drawing/short';
import { Caution } from '../parts/States';
import { quantity } from '../typed/quantity';
import { Figure, Gauge, problemOf, Reasons, useGauge, VerdictOf } from './Frame';
import { Measure } from './Measure';
import { useTyped } from './useTyped';

const BLANK = {
  farads: '',
  ohms: '',
  volts: '',
  limit: '60',
  tolerance: '20',
  stands: '',
  watts: '',
  slower: '10',
  meter: '',
};

const STANDS = { GOOD: 'enough', BAD: 'not enough', CAN_NOT_SAY: 'not said' };

export function BleedPage() {
  const [said, say, set] = useTyped('bleed', BLANK);
  const [microfarads, ohms, volts] = [
    quantity(said.farads, 'µF'),
    quantity(said.ohms, 'Ω'),
    quantity(said.volts, 'V'),
  ];
  const asked =
    microfarads !== undefined && ohms !== undefined && volts !== undefined
      ? {
          microfarads,
          ohms,
          volts,
          safeVolts: quantity(said.limit, 'V'),
          tolerancePercent: quantity(said.tolerance),
          resistorVolts: quantity(said.stands, 'V'),
          resistorWatts: quantity(said.watts, 'W'),
          resistorTolerancePercent: quantity(said.slower),
          meterVolts: quantity(said.meter, 'V'),
        }
      : undefined;
  const query = useGauge('bleed', asked, () =>
    answer(api.POST('/api/gauges/bleed', { body: asked as Schemas['BleedAsked'] })),
  );
  return (
    <Gauge
      name="bleed"
      metered
      caution="It may hold its charge for days. Unplug, do not touch, read on before you bleed it."
      asked={asked}
      typed={said}
      query={query}
      example={() =>
        say({ ...BLANK, farads: '220', ohms: '15k', volts: '320', stands: '500', watts: '3', meter: '600' })
      }
      clear={() => say(BLANK)}
      fields={
        <>
          <Measure
            label="capacitor"
            unit="µF"
            value={said.farads}
            set={set('farads')}
            problem={problemOf(query, 'microfarads')}
          />
          <Measure
            label="charged to"
            unit="V"
            metered={{ fn: 'VOLTS_DC', at: 'bleed/volts' }}
            caution="Meter and probes must stand it: look at what is printed on both first."
            value={said.volts}
            set={set('volts')}
            problem={problemOf(query, 'volts')}
          />
          <Measure
            label="through"
            unit="Ω"
            metered={{ fn: 'OHMS', at: 'bleed/ohms' }}
            caution="The resistor alone, before it goes to the capacitor: never ohms across what is charged."
            value={said.ohms}
            set={set('ohms')}
            problem={problemOf(query, 'ohms')}
          />
          <Measure
            label="touch limit"
            unit="V"
            value={said.limit}
            set={set('limit')}
            problem={problemOf(query, 'safeVolts')}
          />
          <Measure
            label="larger than marked by up to, %"
            value={said.tolerance}
            set={set('tolerance')}
            problem={problemOf(query, 'tolerancePercent')}
          />
          <Measure
            label="resistor stands"
            unit="V"
            value={said.stands}
            set={set('stands')}
            problem={problemOf(query, 'resistorVolts')}
          />
          <Measure
            label="resistor rated"
            unit="W"
            value={said.watts}
            set={set('watts')}
            problem={problemOf(query, 'resistorWatts')}
          />
          <Measure
            label="resistor larger by up to, %"
            value={said.slower}
            set={set('slower')}
            problem={problemOf(query, 'resistorTolerancePercent')}
          />
          <Measure
            label="meter and probes stand"
            unit="V"
            value={said.meter}
            set={set('meter')}
            problem={problemOf(query, 'meterVolts')}
          />
        </>
      }
    >
      {(found) => (
        <>
          <Box display="grid" gap="6px" mb="10px">
            {found.cautions.map((caution) => (
              <Caution key={caution}>{caution}</Caution>
            ))}
          </Box>
          <Box display="grid" gridTemplateColumns="1fr 200px" gap="20px">
            <BleedCurve found={found} limit={asked?.safeVolts ?? 60} />
            <Box>
              <Figure name="measure after" value={`${short(found.secondsToMeasure)} s`} />
              <Figure name="stored" value={`${short(found.joules)} J`} />
              <Figure name="in the resistor at first" value={`${short(found.peakWatts)} W`} />
              {found.ratingWatts !== undefined && (
                <Figure name="wire-wound, rated" value={`${found.ratingWatts} W`} />
              )}
            </Box>
          </Box>
          <Box display="flex" gap="10px" flexWrap="wrap" my="8px">
            <VerdictOf verdict={found.resistor} words={`resistor: ${STANDS[found.resistor]}`} />
            <VerdictOf verdict={found.meter} words={`meter and probes: ${STANDS[found.meter]}`} />
          </Box>
          {found.proposed && (
            <Box mb="8px">
              <b>From the drawer:</b>{' '}
              {found.proposed.series > 1 && `${found.proposed.series} in a row, each `}
              {short(found.proposed.ohms)} Ω, {found.proposed.watts} W, wire-wound; measure after{' '}
              {short(found.proposed.seconds)} s.
            </Box>
          )}
          <Reasons reasons={found.reasons} />
        </>
      )}
    </Gauge>
  );
}
