import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { answer, api, type Schemas } from '../api/client';
import { Lettering } from '../drawing/Lettering';
import { Caution } from '../parts/States';
import { colours } from '../theme';
import { Figure, Gauge, problemOf, Reasons, useGauge } from './Frame';
import { Measure } from './Measure';
import { quantity, short } from './quantity';

const BLANK = { farads: '', ohms: '', volts: '' };

export function BleedPage() {
  const [said, say] = useState(BLANK);
  const set = (field: keyof typeof BLANK) => (typed: string) => say((now) => ({ ...now, [field]: typed }));
  const [microfarads, ohms, volts] = [
    quantity(said.farads, 'µF'),
    quantity(said.ohms, 'Ω'),
    quantity(said.volts, 'V'),
  ];
  const asked =
    microfarads !== undefined && ohms !== undefined && volts !== undefined
      ? { microfarads, ohms, volts }
      : undefined;
  const query = useGauge('bleed', asked, () =>
    answer(api.POST('/api/gauges/bleed', { body: asked as Schemas['BleedAsked'] })),
  );
  return (
    <Gauge
      query={query}
      ready={asked !== undefined}
      example={() => say({ farads: '470', ohms: '10k', volts: '325' })}
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
            value={said.volts}
            set={set('volts')}
            problem={problemOf(query, 'volts')}
          />
          <Measure
            label="through"
            unit="Ω"
            value={said.ohms}
            set={set('ohms')}
            problem={problemOf(query, 'ohms')}
          />
          <Box color="muted" fontSize="14px" mt="6px">
            Reckoned with 60 V as the touch limit and a capacitor up to 20 % larger than marked.
          </Box>
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
            <Curve found={found} limit={60} />
            <Box>
              <Figure name="measure after" value={`${short(found.secondsToMeasure)} s`} />
              <Figure name="stored" value={`${short(found.joules)} J`} />
              <Figure name="in the resistor at first" value={`${short(found.peakWatts)} W`} />
              <Figure
                name="resistor rated"
                value={found.ratingWatts === undefined ? 'none' : `${found.ratingWatts} W`}
              />
            </Box>
          </Box>
          <Reasons reasons={found.reasons} />
        </>
      )}
    </Gauge>
  );
}

function Curve({ found, limit }: { found: Schemas['BleedFound']; limit: number }) {
  const most = found.curve[0]?.volts ?? 1;
  const end = found.curve[found.curve.length - 1]?.seconds ?? 1;
  const x = (seconds: number) => 40 + (440 * seconds) / end;
  const y = (volts: number) => 210 - (190 * volts) / most;
  const path = found.curve.map((at, n) => `${n === 0 ? 'M' : 'L'}${x(at.seconds)} ${y(at.volts)}`).join('');
  return (
    <svg
      viewBox="0 0 500 240"
      width="100%"
      role="img"
      aria-label={`From ${short(most)} V to ${limit} V in ${short(found.secondsToMeasure)} seconds at the worst`}
    >
      <path d="M40 20V210H490" fill="none" stroke={colours.muted} />
      {limit < most && (
        <>
          <rect x={40} y={y(limit)} width={440} height={210 - y(limit)} fill="#B9D3CA" opacity={0.5} />
          <Lettering x={46} y={y(limit) - 4} fill={colours.muted} size={13}>
            {limit} V: measure from here on
          </Lettering>
          <path
            d={`M${x(found.secondsToMeasure)} ${y(limit)}V210`}
            stroke={colours.chalk}
            strokeDasharray="4 3"
          />
        </>
      )}
      <path d={path} fill="none" stroke={colours.hazard} strokeWidth={3} />
      <Lettering x={x(found.secondsToMeasure)} y={228} textAnchor="middle" fill={colours.chalk} size={14}>
        {short(found.secondsToMeasure)} s
      </Lettering>
      <Lettering x={36} y={26} textAnchor="end" fill={colours.ink} size={13}>
        {short(most)} V
      </Lettering>
    </svg>
  );
}
